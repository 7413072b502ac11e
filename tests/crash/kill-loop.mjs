/**
 * Kills the server with SIGKILL in the middle of saves, again and again, and counts: every order that was
 * acknowledged must be there after the restart, once; an unacknowledged one may be there at most once, and sending
 * it again must answer as if nothing had happened. KILLS says how often: twelve in npm test, more with npm run kill.
 */
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { pg_trgm } from '@electric-sql/pglite/contrib/pg_trgm';
import { serveForTests } from '../../scripts/lib.mjs';

const KILLS = Number(process.env.KILLS ?? 12);
const PORT = 3919;
/** So often a server that starts is asked, twenty times a second: filling the demo takes a while on a busy machine. */
const PATIENCE = 6000;
const BASE = `http://127.0.0.1:${PORT}`;
const data = fs.mkdtempSync(path.join(os.tmpdir(), 'lopren-crash-'));

/** A small seeded generator: the same moments of death at every run. */
let state = 20_311;
const random = () => {
  state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
  return state / 2_147_483_648;
};
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

// Whoever ends this ends its server.
let running;
process.on('exit', () => running?.kill('SIGKILL'));
process.on('SIGTERM', () => process.exit(1));

async function start() {
  const server = serveForTests({ PORT: String(PORT), LOPREN_DEMO: '1', LOPREN_DATA: data }, [
    'ignore',
    'ignore',
    'pipe',
  ]);
  running = server;
  let said = '';
  server.stderr.on('data', (chunk) => (said += chunk));
  for (let tries = 0; tries < PATIENCE; tries += 1) {
    if (server.exitCode !== null) throw new Error(`the server did not start:\n${said}`);
    const answer = await fetch(`${BASE}/sign-in`).catch(() => undefined);
    if (answer?.ok) return server;
    await wait(50);
  }
  throw new Error('the server never answered');
}

const post = (url, body, cookie) =>
  fetch(BASE + url, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...(cookie ? { cookie } : {}) },
    body: JSON.stringify(body),
  });

async function signIn() {
  const answer = await post('/api/session', { name: 'Ines', pin: '2417' });
  return answer.headers.get('set-cookie').split(';')[0];
}

const IN = 8128;
const design = {
  version: 1,
  build: 'window-mat',
  insists: '',
  piece: {
    title: 'Crash',
    kind: 'print',
    width: 12 * IN,
    height: 16 * IN,
    thickness: 96,
    irreplaceable: false,
    signed: false,
  },
  window: { overlap: IN / 8 },
  mats: [{ board: { code: 'RAG-SHELL' }, reveal: 0 }],
  border: { mode: 'equal', all: 2.5 * IN },
  frame: { moulding: { code: 'GAN-31' }, allowance: IN / 8 },
  glazing: { code: 'GL-CLEAR' },
  backing: { code: 'FOAM-5' },
  hanging: { rings: 'third', slack: '0.05' },
};

const newOrder = (customerId) => ({
  id: crypto.randomUUID(),
  name: 'save-quote',
  payload: {
    orderId: crypto.randomUUID(),
    revision: null,
    customerId,
    promised: '2031-05-05',
    pieces: [{ id: crypto.randomUUID(), design }],
  },
});

const acknowledged = new Set();
const unsure = new Map();

/** Saves one order after another until the server dies. */
async function saveUntilDead(cookie, customerId, dying) {
  while (!dying.dead) {
    const command = newOrder(customerId);
    unsure.set(command.payload.orderId, command);
    const answer = await post('/api/v1/commands', command, cookie).catch(() => undefined);
    if (answer?.ok && (await answer.json().catch(() => undefined))) {
      acknowledged.add(command.payload.orderId);
      unsure.delete(command.payload.orderId);
    }
  }
}

let server = await start();
let cookie = await signIn();
const customerId = crypto.randomUUID();
await post(
  '/api/v1/commands',
  { id: crypto.randomUUID(), name: 'add-customer', payload: { id: customerId, name: 'Crash', phone: '', email: '' } },
  cookie,
);

const second = serveForTests({ PORT: String(PORT + 1), LOPREN_DEMO: '1', LOPREN_DATA: data }, [
  'ignore',
  'ignore',
  'pipe',
]);
let refusal = '';
second.stderr.on('data', (chunk) => (refusal += chunk));
const ended = await Promise.race([
  new Promise((resolve) => second.once('exit', resolve)),
  wait(15_000).then(() => 'still running'),
]);
if (ended !== 1 || !refusal.includes('already running on the data folder'))
  throw new Error(`a second process was not refused: ${ended} ${refusal}`);

for (let kill = 1; kill <= KILLS; kill += 1) {
  const dying = { dead: false };
  const savers = [1, 2, 3].map(() => saveUntilDead(cookie, customerId, dying));
  await wait(60 + random() * 240);
  const gone = new Promise((resolve) => server.once('exit', resolve));
  server.kill('SIGKILL');
  dying.dead = true;
  await Promise.all([...savers, gone]);
  server = await start();
  cookie = await signIn();
  for (const [orderId, command] of unsure) {
    const again = await post('/api/v1/commands', command, cookie);
    if (!again.ok) throw new Error(`sending ${orderId} again was refused: ${await again.text()}`);
    acknowledged.add(orderId);
  }
  unsure.clear();
}
server.kill('SIGKILL');
await new Promise((resolve) => server.once('exit', resolve));

const database = await PGlite.create(path.join(data, 'db'), { extensions: { pg_trgm } });
const { rows } = await database.query(
  'SELECT o.id::text, count(p.id)::int AS pieces FROM orders o JOIN piece p ON p.order_id = o.id WHERE o.customer_id = $1 GROUP BY o.id',
  [customerId],
);
const numbers = await database.query('SELECT count(*)::int AS n, count(DISTINCT number)::int AS different FROM orders');
await database.close();
fs.rmSync(data, { recursive: true, force: true });

const found = new Set(rows.map((row) => row.id));
const lost = [...acknowledged].filter((id) => !found.has(id));
const extra = [...found].filter((id) => !acknowledged.has(id));
const doubled = rows.filter((row) => row.pieces !== 1).length + numbers.rows[0].n - numbers.rows[0].different;
process.stdout.write(
  `${KILLS} kills: ${acknowledged.size} orders acknowledged, ${lost.length} lost, ${doubled} doubled, ${extra.length} never asked for; a second process was refused\n`,
);
process.exit(lost.length + extra.length + doubled === 0 && acknowledged.size > KILLS ? 0 : 1);
