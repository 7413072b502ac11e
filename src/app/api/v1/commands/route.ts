import { LARGEST_LIST } from '@/contract/commands';
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
  const result = await handleCommand(app, await asker(app), body.value, handlers, readyings);
  const unit = (await app.books())?.settings.homeUnit;
  return result.ok ? Response.json(result.value) : problem(result.issues, unit);
});
