/** A supplier's list of 20,000 mouldings coming in over HTTP, and what others feel meanwhile. */
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { serveApart } from '../lib.mjs';
import { say, sayOne } from './figures';

const PORT = 3924;
const ROWS = 20_000;
const BASE = `http://127.0.0.1:${PORT}`;
const data = fs.mkdtempSync(path.join(os.tmpdir(), 'lopren-import-'));
const server = serveApart({ PORT: String(PORT), LOPREN_DEMO: '1', LOPREN_DATA: data }, 'ignore');
while (!(await fetch(`${BASE}/sign-in`).catch(() => undefined))?.ok)
  await new Promise((resolve) => setTimeout(resolve, 50));
let cookie = '';
const post = (url: string, body: unknown) =>
  fetch(BASE + url, {
    method: 'POST',
    headers: { 'content-type': 'application/json', cookie },
    body: JSON.stringify(body),
  });
cookie = (await post('/api/session', { name: 'Ines', pin: '2417' })).headers.getSetCookie()[0]!.split(';')[0]!;

const [head = '', first = ''] = fs.readFileSync('demo/mouldings.csv', 'utf8').split('\n');
const code = first.split(',')[0]!;
const listOf = (cost: number) =>
  [
    head,
    ...Array.from({ length: ROWS }, (_, row) =>
      first.replace(code, `Z${row}`).replace(/,\d+(\.\d+)?,(ft|m)$/, `,${cost},$2`),
    ),
  ].join('\n');

const command = (edition: number, cost: number) =>
  post('/api/v1/commands', {
    id: crypto.randomUUID(),
    name: 'import-list',
    payload: { text: listOf(cost), edition, file: 'bench.csv' },
  });
const find = async () => {
  const from = performance.now();
  await (await fetch(`${BASE}/api/find?text=a`, { headers: { cookie } })).text();
  return performance.now() - from;
};
for (let k = 0; k < 30; k += 1) await find();
for (const [name, edition, cost] of [
  ['all new', 1, 4.2],
  ['all changed', 2, 4.4],
] as const) {
  let busy = true;
  const others: number[] = [];
  const asking = (async () => {
    while (busy) {
      others.push(await find());
      await new Promise((resolve) => setTimeout(resolve, 5));
    }
  })();
  const from = performance.now();
  const answer = await command(edition, cost);
  sayOne(`${ROWS} mouldings, ${name}: ${answer.status}`, `${Math.round(performance.now() - from)} ms`);
  busy = false;
  await asking;
  say('  what others waited meanwhile', others);
}
server.kill('SIGKILL');
fs.rmSync(data, { recursive: true, force: true });
process.exit(0);
