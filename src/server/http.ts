/** HTTP manners shared by the routes: bounded bodies, problem details (RFC 9457), who is asking. */
import { cookies, headers } from 'next/headers';
import type { NextRequest } from 'next/server';
import type { Issue } from '@/core/issue';
import type { Unit } from '@/core/units/length';
import type { Person } from '@/db/queries/staff';
import { sayIssue } from '@/words/issues';
import { house } from './compose';
import type { House } from './house';
import { COOKIE, personOf } from './sessions';

const STATUS: Record<string, number> = {
  'sign-in-first': 401,
  'not-permitted': 403,
  'input-wrong': 400,
  'body-not-json': 400,
  'body-too-large': 413,
  'too-many': 429,
  'order-unknown': 404,
  'topic-unknown': 404,
  'path-unknown': 404,
  'job-unknown': 404,
  'ticket-unknown': 404,
  'order-stale': 409,
  'job-stale': 409,
  'books-stale': 409,
  'order-agreed': 409,
  'price-changed': 409,
  'command-reused': 409,
  'already-there': 409,
  'plan-rack-changed': 409,
  'plan-not-latest': 409,
  'rack-gone': 409,
  'plan-unknown': 404,
  'cut-stopped': 503,
  'budget-wrong': 400,
  fault: 500,
};

/** Problem details with one entry for each issue: code, path, figures, message. */
export function problem(issues: readonly Issue[], unit: Unit = 'in'): Response {
  const said = issues.map((one) => ({
    code: one.code,
    path: one.path ?? '',
    figures: one.figures,
    message: sayIssue(one, unit),
  }));
  const status = STATUS[issues[0]?.code ?? ''] ?? 422;
  const body = { type: 'about:blank', title: said[0]?.message ?? 'Refused', status, issues: said };
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/problem+json', 'cache-control': 'no-store' },
  });
}

/** Reads a body of at most `most` bytes as text; undefined when it is larger, without reading the rest. */
export async function readText(request: Request, most: number): Promise<string | undefined> {
  if (Number(request.headers.get('content-length') ?? 0) > most) return undefined;
  const reader = request.body?.getReader();
  if (!reader) return '';
  const chunks: Uint8Array[] = [];
  let read = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    read += value.byteLength;
    if (read > most) {
      await reader.cancel();
      return undefined;
    }
    chunks.push(value);
  }
  return Buffer.concat(chunks).toString('utf8');
}

/** The body as JSON, or the response that refuses it. */
export async function readJson(request: Request, most: number): Promise<{ value: unknown } | { refusal: Response }> {
  const text = await readText(request, most);
  if (text === undefined)
    return { refusal: problem([{ code: 'body-too-large', figures: { most: `${Math.round(most / 1000)} kB` } }]) };
  try {
    return { value: JSON.parse(text) as unknown };
  } catch {
    return { refusal: problem([{ code: 'body-not-json', figures: {} }]) };
  }
}

export async function currentPerson(of: House): Promise<Person | undefined> {
  return personOf(of, (await cookies()).get(COOKIE)?.value);
}

/** The house and who is asking, or the response that sends them to sign in. */
export async function signedIn(): Promise<{ house: House; person: Person } | { refusal: Response }> {
  const of = await house();
  const person = await currentPerson(of);
  return person ? { house: of, person } : { refusal: problem([{ code: 'sign-in-first', figures: {} }]) };
}

const LOCAL = /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/;

/**
 * Whether the open computations answer: to anyone signed in; in the demo also to requests made on the same machine.
 * The demo listens on the loopback address only, so what arrives is from this machine; the host name is checked as
 * well, so that a page elsewhere cannot borrow a browser to ask.
 */
export async function mayCompute(of: House): Promise<boolean> {
  if (await currentPerson(of)) return true;
  return of.demo && process.env.LOPREN_HOST === undefined && LOCAL.test((await headers()).get('host') ?? '');
}

/** What an open computation starts from: the house, the unit asked for; or the response that refuses it. */
export async function openRequest(
  request: NextRequest,
  most: number,
): Promise<{ house: House; value: unknown; unit: Unit | undefined; working: boolean } | { refusal: Response }> {
  const of = await house();
  if (!(await mayCompute(of))) return { refusal: problem([{ code: 'sign-in-first', figures: {} }]) };
  if (overRate(performance.now())) return { refusal: problem([{ code: 'too-many', figures: {} }]) };
  const body = request.method === 'GET' ? { value: undefined } : await readJson(request, most);
  if ('refusal' in body) return body;
  const { searchParams } = request.nextUrl;
  const asked = searchParams.get('unit');
  return {
    house: of,
    value: body.value,
    unit: asked === 'in' || asked === 'mm' ? asked : undefined,
    working: searchParams.get('working') === 'true',
  };
}

/** A simple bucket: so many computations a second for the whole server, so that a loop cannot starve the counter. */
const RATE = { perSecond: 2000, burst: 6000 };
let bucket = { left: RATE.burst, at: 0 };
export function overRate(now: number, cost = 1): boolean {
  const left = Math.min(RATE.burst, bucket.left + ((now - bucket.at) / 1000) * RATE.perSecond);
  bucket = { left: Math.max(0, left - cost), at: now };
  return left < 1;
}
