import { LARGEST_LIST } from '@/contract/commands';
import { handlers } from '@/server/commands';
import { house } from '@/server/compose';
import { enter } from '@/server/door';
import { currentPerson, problem, readJson } from '@/server/http';

/** A list at its largest, as JSON text, and its envelope. */
const LARGEST = 2 * LARGEST_LIST + 10_000;

export async function POST(request: Request): Promise<Response> {
  const of = await house();
  const person = await currentPerson(of);
  const body = await readJson(request, person ? LARGEST : 10_000);
  if ('refusal' in body) return body.refusal;
  const result = await enter(of, person, body.value, handlers);
  const unit = (await of.books())?.settings.homeUnit;
  return result.ok ? Response.json(result.value) : problem(result.issues, unit);
}
