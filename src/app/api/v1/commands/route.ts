import { LARGEST_LIST } from '@/contract/commands';
import { asker, openRoute } from '@/server/access';
import { handlers, readyings } from '@/server/commands';
import { enter } from '@/server/door';
import { readJson } from '@/server/http';
import { problem } from '@/server/problem';

/** A list at its largest, as JSON text, and its envelope. */
const LARGEST = 2 * LARGEST_LIST + 10_000;

export const POST = openRoute('POST /api/v1/commands', async (request, house, person) => {
  const body = await readJson(request, person ? LARGEST : 10_000);
  if ('refusal' in body) return body.refusal;
  const result = await enter(house, await asker(house), body.value, handlers, readyings);
  const unit = (await house.books())?.settings.homeUnit;
  return result.ok ? Response.json(result.value) : problem(result.issues, unit);
});
