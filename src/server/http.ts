/** HTTP manners shared by the routes: bounded bodies, texts that can be stored, what an open computation is given. */
import type { NextRequest } from 'next/server';
import { issue } from '@/core/issue';
import type { Unit } from '@/core/units/length';
import { problem } from './problem';
import { unreadable } from './texts';

/** Reads a body of at most `most` bytes; undefined when it is larger, without reading the rest. */
export async function readBytes(request: Request, most: number): Promise<Buffer | undefined> {
  if (Number(request.headers.get('content-length') ?? 0) > most) return undefined;
  const reader = request.body?.getReader();
  if (!reader) return Buffer.alloc(0);
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
  return Buffer.concat(chunks);
}

/** The same as text. */
export const readText = async (request: Request, most: number): Promise<string | undefined> =>
  (await readBytes(request, most))?.toString('utf8');

/** The body as JSON, or the response that refuses it. */
export async function readJson(request: Request, most: number): Promise<{ value: unknown } | { refusal: Response }> {
  const text = await readText(request, most);
  if (text === undefined)
    return { refusal: problem([{ code: 'body-too-large', figures: { most: `${Math.round(most / 1000)} kB` } }]) };
  let value: unknown;
  try {
    value = JSON.parse(text) as unknown;
  } catch {
    return { refusal: problem([issue('body-not-json')]) };
  }
  const path = unreadable(value);
  return path === undefined ? { value } : { refusal: problem([issue('text-unreadable', {}, path)]) };
}

/** What an open computation starts from: the body, the unit asked for; or the response that refuses it. */
export async function openRequest(
  request: NextRequest,
  most: number,
): Promise<{ value: unknown; unit: Unit | undefined; working: boolean } | { refusal: Response }> {
  if (overRate(performance.now())) return { refusal: problem([issue('too-many')]) };
  const body = request.method === 'GET' ? { value: undefined } : await readJson(request, most);
  if ('refusal' in body) return body;
  const { searchParams } = request.nextUrl;
  const asked = searchParams.get('unit');
  return {
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
