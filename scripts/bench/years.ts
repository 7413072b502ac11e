/**
 * What the screens that look through everything cost after twenty years: 100,000 orders, 20,000 mouldings, or as many
 * as BENCH_ORDERS and BENCH_MOULDINGS say. Filling takes minutes; BENCH_YEARS names a folder that keeps them.
 */
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { seedDemo } from '@demo/seed';
import { openDb } from '@/db/client';
import { migrate, readMigrations } from '@/db/migrate';
import { openJobs, stepsOfAll } from '@/db/queries/jobs';
import { newestEdition } from '@/db/queries/books';
import { findCustomers } from '@/db/queries/customers';
import { findOrders } from '@/db/queries/orders';
import { partsOfTickets } from '@/db/queries/rack';
import { readBooks } from '@/server/app-context';
import { systemClock } from '@/server/clock';
import { contextOver } from '@/server/compose';
import { ORDER_STATES } from '@/server/views';
import { sourceCuttingThread } from '../cutting-thread';
import { PATIENT, fillYears } from '../many/years';
import { sourceThread } from '../tsx-thread';
import { say, sayOne } from './figures';

const ROUNDS = 15;
const kept = process.env['BENCH_YEARS'];
const folder = kept ?? fs.mkdtempSync(path.join(os.tmpdir(), 'lopren-years-'));
const db = await openDb({ folder, prepared: '.build/empty-database.tar', thread: sourceThread, limits: PATIENT });
await migrate(db, readMigrations('src/db/migrations'));
const app = contextOver(db, systemClock, fs.readFileSync(path.join(folder, 'secret')), true, {
  thread: sourceCuttingThread,
});
await seedDemo(app);
const count = async (table: string) =>
  (await db.query<{ count: number }>(`SELECT count(*)::int AS count FROM ${table}`))[0]!.count;
if ((await count('orders')) < 1000) {
  const from = performance.now();
  await fillYears(db, {
    orders: Number(process.env['BENCH_ORDERS'] ?? 100_000),
    mouldings: Number(process.env['BENCH_MOULDINGS'] ?? 20_000),
    now: new Date(),
    tell: (done) => process.stderr.write(`${done}\n`),
  });
  sayOne('filling the years took', `${Math.round((performance.now() - from) / 1000)} s`);
}
sayOne('orders / steps / mouldings', `${await count('orders')} / ${await count('step')} / ${await count('moulding')}`);

async function time(name: string, work: () => Promise<unknown>): Promise<void> {
  const took: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    const from = performance.now();
    await work();
    took.push(performance.now() - from);
  }
  say(name, took);
}
await time('the board: open jobs with their steps', async () => {
  const jobs = await openJobs(db);
  await stepsOfAll(
    db,
    jobs.map(({ id }) => id),
  );
});
const open = (await openJobs(db)).map(({ ticket }) => ticket);
await time('parts of all open tickets', () => partsOfTickets(db, open));
const [newest] = await db.query<{ number: number; name: string; digits: string }>(
  'SELECT o.number, c.name, c.digits FROM orders o JOIN customer c ON c.id = o.customer_id ORDER BY o.number DESC LIMIT 1',
);
const searches: readonly (readonly [name: string, text: string])[] = [
  ['a whole number', String(newest!.number)],
  ['one digit of a number', '3'],
  ['a ticket', `${newest!.number}-1`],
  ['a whole name', newest!.name],
  ['the end of a name', newest!.name.slice(-5)],
  ['a syllable of very many names', 'and'],
  ['two letters', 'al'],
  ['a whole phone number', newest!.digits],
  ['the end of a phone number', newest!.digits.slice(-4)],
  ['nothing to be found', 'zzyzx'],
  ['everything', ''],
];
for (const [name, text] of searches) {
  await time(`finding orders by ${name}`, () => findOrders(db, text, ORDER_STATES.all));
  await time(`finding customers by ${name}`, () => findCustomers(db, text));
}
await time('the books with all mouldings', async () => readBooks(db, (await newestEdition(db))!.number));
await db.close();
if (!kept) fs.rmSync(folder, { recursive: true, force: true });
process.exit(0);
