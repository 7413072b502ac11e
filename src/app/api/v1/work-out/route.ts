import { issue } from '@/core/issue';
import { openRoute } from '@/server/access';
import { openRequest, overRate } from '@/server/http';
import { isBatch, openBatch, openWorkOut } from '@/server/public-api';
import { problem } from '@/server/problem';

/** A thousand designs with everything they may say. */
const LARGEST = 4_000_000;

export const POST = openRoute('POST /api/v1/work-out', async (request, app, person) => {
  const asked = await openRequest(request, LARGEST);
  if ('refusal' in asked) return asked.refusal;
  const { value, unit, working } = asked;
  const all = await app.books();
  // The bench sees no price of the books; rates that it brings itself are its own.
  const books = all && person?.role === 'bench' ? { ...all, prices: undefined } : all;
  if (isBatch(value)) {
    if (overRate(performance.now(), value.designs.length)) return problem([issue('too-many')]);
    const results = await openBatch(value.designs, books, unit, working);
    return results.ok ? Response.json({ results: results.value }) : problem(results.issues, unit);
  }
  const result = openWorkOut(value, books, unit, working);
  return result.ok ? Response.json(result.value) : problem(result.issues, unit);
});
