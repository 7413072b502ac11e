/**
 * npm run fuzz: a built demo and an own shop are asked FUZZ_REQUESTS things (default 20,000) that nobody should ask, at
 * every page, route and command, as every role and as a stranger. Nothing may answer 5xx (but 503 when it is meant),
 * hang, or stop the server. Seeded by FUZZ_SEED: the same requests each time.
 */
import fs from 'node:fs';
import http from 'node:http';
import os from 'node:os';
import path from 'node:path';
import { STAFF } from '@demo/people';
import { PAGES, ROUTES } from '@/contract/access';
import { commands } from '@/contract/commands';
import { serveApart } from './lib.mjs';

const REQUESTS = Number(process.env.FUZZ_REQUESTS ?? 20_000);
const PORT = 3925;
const SLOWEST = 20_000;
const AT_ONCE = 6;

let state = Number(process.env.FUZZ_SEED ?? 20_311);
const random = () => {
  state = (Math.imul(state, 1_103_515_245) + 12_345) & 0x7fffffff;
  return state / 0x80000000;
};
const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
const some = <T>(list: readonly T[]): T | undefined => (random() < 0.5 ? pick(list) : undefined);

const TEXTS = [
  '',
  ' ',
  '\u0000',
  'a\u0000b',
  '\ud800',
  'x\udc00y',
  '\u202eabc',
  '\u200b',
  "'; DROP TABLE payment; --",
  '%ff',
  '%',
  '../../../etc/passwd',
  '__proto__',
  'constructor',
  '0000-01-01',
  '9999-12-31',
  '2031-02-30',
  '1e9',
  '-1',
  'NaN',
  '<script>alert(1)</script>',
  '=HYPERLINK("x")',
  'a'.repeat(5000),
  '🖼'.repeat(300),
  '2424',
  '2424-1',
  'Orla',
  '00000000-0000-4000-8000-000000000000',
  '9007199254740993',
];
const NUMBERS = [0, -0, -1, 1, 0.5, 1e308, -1e308, 2 ** 31, 2 ** 53, 2 ** 63, 1e10, 5_262_109_920];
const uuid = () =>
  '00000000-0000-4000-8000-000000000000'
    .replace(/0/g, () => Math.floor(random() * 16).toString(16))
    .replace(/-(.)(...)-(.)/, '-4$2-8');

/** Any JSON value, the deeper the plainer. */
function value(depth = 0): unknown {
  const kind = random() * (depth > 3 ? 5 : 8);
  if (kind < 2) return pick(TEXTS);
  if (kind < 3) return pick(NUMBERS);
  if (kind < 4) return pick([true, false, null]);
  if (kind < 5) return uuid();
  if (kind < 6) return Array.from({ length: Math.floor(random() * 5) }, () => value(depth + 1));
  return record(depth);
}
const KEYS = [
  'id',
  'name',
  'orderId',
  'revision',
  'payload',
  '__proto__',
  'constructor',
  'design',
  'pieces',
  'pin',
  '',
];
const record = (depth: number): Record<string, unknown> => {
  const made: Record<string, unknown> = Object.create(null) as Record<string, unknown>;
  for (let k = 0; k < random() * 6; k += 1) made[pick([...KEYS, ...TEXTS.slice(0, 10)])] = value(depth + 1);
  return made;
};

/** A payload with the right keys and mostly wrong values. */
function payloadOf(name: keyof typeof commands): unknown {
  if (random() < 0.2) return value();
  const shape = (commands[name].payload as { shape?: Record<string, unknown> }).shape ?? {};
  return Object.fromEntries(Object.keys(shape).flatMap((key) => (random() < 0.1 ? [] : [[key, value(1)]])));
}
function bodyOf(route: string): string | Buffer {
  const chance = random();
  if (chance < 0.05) return Buffer.from(Array.from({ length: 200 }, () => Math.floor(random() * 256)));
  if (chance < 0.08) return '['.repeat(5000) + ']'.repeat(5000);
  if (chance < 0.1) return '{"a":';
  if (route.endsWith('/commands')) {
    const name = pick(Object.keys(commands) as (keyof typeof commands)[]);
    return JSON.stringify({ id: random() < 0.9 ? uuid() : value(), name, payload: payloadOf(name) });
  }
  return JSON.stringify(value());
}

interface Asked {
  readonly method: string;
  readonly path: string;
  readonly headers: Record<string, string>;
  readonly body: string | Buffer | undefined;
}
const NAMES = [...Object.keys(PAGES).map((page) => `GET ${page}`), ...Object.keys(ROUTES)];
const encoded = (text: string) => {
  if (random() < 0.3) return text.replace(/[^\x21-\x7e]/g, '').replace(/[\s#]/g, '') || 'x';
  return encodeURIComponent(text.toWellFormed()) || 'x';
};
function request(cookie: string | undefined): Asked {
  const [method = 'GET', route = '/'] = pick(NAMES).split(' ');
  const filled = route.replace(/\[[^\]]+\]/g, () => encoded(pick(TEXTS)));
  const query = some(['text', 'what', 'in', 'job', 'sum', 'unit', 'working', 'budgetMs', 'iterations', '_rsc']);
  const asked = `${filled}${query ? `?${query}=${encoded(pick(TEXTS))}` : ''}`;
  const reading = method === 'GET';
  const headers: Record<string, string> = {
    'content-type': pick(['application/json', 'application/json', 'text/csv', 'text/plain', 'x']),
    ...(cookie ? { cookie } : {}),
    ...(random() < 0.3 ? { 'x-lopren-upload': 'fuzz' } : {}),
    ...(random() < 0.2 ? { rsc: '1', 'next-router-state-tree': encoded(JSON.stringify(value())) } : {}),
    ...(random() < 0.05 ? { 'next-action': 'x' } : {}),
    ...(random() < 0.05 ? { accept: 'text/event-stream' } : {}),
  };
  // Streams stay open on purpose, and plans take what time they are given.
  const calm = asked.replace(/^\/api\/live/, '/api/rack').replace(/budgetMs=[^&]*/, 'budgetMs=20');
  const other = random() < 0.03 ? pick(['TRACE', 'PUT', 'OPTIONS', 'HEAD']) : method;
  return { method: other, path: calm, headers, body: reading && other !== 'PUT' ? undefined : bodyOf(route) };
}

const agent = new http.Agent({ keepAlive: true, maxSockets: AT_ONCE });
const ask = ({ method, path: url, headers, body }: Asked) =>
  new Promise<number | string>((resolve) => {
    const length = body === undefined ? {} : { 'content-length': String(Buffer.byteLength(body)) };
    const sent = http.request(
      { port: PORT, host: '127.0.0.1', method, path: url, headers: { ...headers, ...length }, agent },
      (response) => {
        response.resume();
        response.on('end', () => resolve(response.statusCode!));
        response.on('error', (error) => resolve(error.message));
      },
    );
    sent.setTimeout(SLOWEST, () => sent.destroy(new Error('no answer')));
    sent.on('error', (error) => resolve(error.message));
    sent.end(body);
  });

async function signIn(name: string, pin: string): Promise<string> {
  const answer = await fetch(`http://127.0.0.1:${PORT}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name, pin }),
  });
  return answer.headers.getSetCookie().map((one) => one.split(';')[0]!)[0]!;
}

const data = fs.mkdtempSync(path.join(os.tmpdir(), 'lopren-fuzz-'));
const server = serveApart({ PORT: String(PORT), LOPREN_DEMO: '1', LOPREN_DATA: data }, ['ignore', 'ignore', 'inherit']);
process.on('exit', () => {
  server.kill('SIGKILL');
  fs.rmSync(data, { recursive: true, force: true });
});
while (!(await fetch(`http://127.0.0.1:${PORT}/sign-in`).catch(() => undefined))?.ok)
  await new Promise((resolve) => setTimeout(resolve, 100));
const people = STAFF.slice(0, 3);
const cookies: (string | undefined)[] = [undefined];
for (const { name, pin } of people) cookies.push(await signIn(name, pin));

const statuses = new Map<string, number>();
const bad: string[] = [];
let left = REQUESTS;
const from = performance.now();
await Promise.all(
  Array.from({ length: AT_ONCE }, async () => {
    while (left > 0) {
      left -= 1;
      const who = Math.floor(random() * cookies.length);
      const one = request(cookies[who]);
      const status = await ask(one);
      statuses.set(String(status), (statuses.get(String(status)) ?? 0) + 1);
      if (typeof status === 'string' || status >= 500)
        bad.push(
          `${status} ${people[who - 1]?.role ?? 'stranger'} ${one.method} ${one.path} ${String(one.body).slice(0, 400)}`,
        );
      if (status === 401 && who > 0) cookies[who] = await signIn(people[who - 1]!.name, people[who - 1]!.pin);
    }
  }),
);
for (const [status, count] of [...statuses].sort()) process.stdout.write(`${status}: ${count}\n`);
process.stdout.write(`${REQUESTS} requests in ${Math.round((performance.now() - from) / 1000)} s, ${bad.length} bad\n`);
for (const one of bad.slice(0, 40)) process.stdout.write(`${one}\n`);
const alive = await ask({ method: 'GET', path: '/sign-in', headers: {}, body: undefined });
process.stdout.write(`afterwards the server answers ${alive}\n`);
process.exit(bad.length === 0 && alive === 200 ? 0 : 1);
