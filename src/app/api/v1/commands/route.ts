import { LARGEST_LIST } from '@/contract/commands';
import { TOUCHED_HEADER } from '@/contract/limits';
import { asker, openRoute } from '@/server/access';
import { handlers, readyings } from '@/server/commands';
import { handleCommand } from '@/server/door';
import { readJson } from '@/server/http';
import { problem } from '@/server/problem';

/** A list at its largest, as JSON text, and its envelope. */
const LARGEST = 2 * LARGEST_LIST + 10_000;

export const POST = openRoute('POST /api/v1/commands', async (request, app, person) => {
  const body = await readJson(request, person ? LARGEST : 10_000);
  if ('refusal' in body) return body.refusal;
  let touched: readonly string[] | undefined;
  const told = (all: readonly string[]) => (touched = all);
  const result = await handleCommand(app, await asker(app), body.value, handlers, readyings, told);
  const unit = (await app.books())?.settings.homeUnit;
  if (!result.ok) return problem(result.issues, unit);
  // Not in the body, which is the command's own; a screen asks for no more than what changed.
  return Response.json(result.value, touched && { headers: { [TOUCHED_HEADER]: touched.join(' ') } });
});
