import type { NextRequest } from 'next/server';
import { openRequest, overRate, problem } from '@/server/http';
import { isBatch, openBatch, openWorkOut } from '@/server/open';

/** A thousand designs with everything they may say. */
const LARGEST = 4_000_000;

export async function POST(request: NextRequest): Promise<Response> {
  const asked = await openRequest(request, LARGEST);
  if ('refusal' in asked) return asked.refusal;
  const { value, unit, working } = asked;
  const books = await asked.house.books();
  if (isBatch(value)) {
    if (overRate(performance.now(), value.designs.length)) return problem([{ code: 'too-many', figures: {} }]);
    const results = await openBatch(value.designs, books, unit, working);
    return results.ok ? Response.json({ results: results.value }) : problem(results.issues, unit);
  }
  const result = openWorkOut(value, books, unit, working);
  return result.ok ? Response.json(result.value) : problem(result.issues, unit);
}
