/**
 * npm run keep-release -- 0.4.0: keeps what this version writes, as rows of JSON in `tests/data`, so that later ones are
 * tested on it. Two files: the demo, and a shop of one's own with a little of what the demo has not.
 */
import fs from 'node:fs';
import { seedDemo } from '@demo/seed';
import type { Asked, CommandName } from '@/contract/commands';
import { type Design, newDesign } from '@/core/design/design';
import { mustPriceOrder } from '@/core/pricing/order-price';
import { inches } from '@/core/units/length';
import { money } from '@/core/units/money';
import { workOut } from '@/core/work-out';
import type { Db } from '@/db/client';
import { openApp } from '../tests/app';

/** Rows of all tables but those that only say how the database came to be. */
async function keep(db: Db, file: string): Promise<void> {
  const tables = await db.query<{ name: string }>(
    "SELECT tablename AS name FROM pg_tables WHERE schemaname = 'public' AND tablename NOT IN ('migration', 'session') ORDER BY 1",
  );
  const lines: string[] = [];
  for (const { name } of tables)
    for (const { row } of await db.query<{ row: unknown }>(`SELECT to_jsonb(t) AS row FROM ${name} t`))
      lines.push(JSON.stringify({ table: name, row }));
  fs.writeFileSync(`tests/data/${file}.jsonl`, `${lines.join('\n')}\n`);
}

const version = process.argv[2];
if (!/^\d+\.\d+\.\d+$/.test(version ?? '')) throw new Error('Say which version: npm run keep-release -- 0.4.0');

const demo = await openApp();
await seedDemo(demo);
await keep(demo.db, `demo-${version}`);

const own = await openApp();
const must = async <N extends CommandName>(name: N, payload: Asked<N>) => {
  const done = await own.command(name, payload);
  if (!done.ok) throw new Error(`${name}: ${done.issues.map(({ code }) => code).join()}`);
};
const id = () => crypto.randomUUID();
await own.setUp('mm');
const text = fs.readFileSync('samples/mouldings-clean.csv', 'utf8');
await must('import-list', { text, edition: 1, file: 'clean.csv' });
await must('add-staff', { id: id(), name: 'Odd', role: 'counter', pin: '4242' });
const customerId = id();
await must('add-customer', { id: customerId, name: 'Tamsin Frew', phone: '555 0101', email: '' });
const books = (await own.books())!;
const start = newDesign(books.settings, books.house, inches(12), inches(16));
const design: Design = {
  ...start,
  frame: { ...start.frame, moulding: { code: 'MAR-31' } },
  // Names that also mean something to the program.
  extras: [
    { name: 'moulding', amount: money(1200) },
    { name: 'constructor', amount: money(700) },
    { name: 'Plate', amount: money(300) },
    { name: 'Plate', amount: money(400) },
  ],
  overrides: [{ key: 'glazing', amount: money(2000), reason: 'as last year' }],
};
const worked = workOut(design, books);
if (!worked.ok) throw new Error(worked.issues.map(({ code }) => code).join());
const { total } = mustPriceOrder([worked.value.price!], books.prices);
const [orderId, pieceId] = [id(), id()];
const pieces = [{ id: pieceId, design }];
await must('save-quote', { orderId, revision: null, customerId, promised: '2031-12-15', pieces });
const warned = worked.value.cautions.filter(({ level }) => level === 'warn');
const reasons = Object.fromEntries(warned.map(({ code }) => [`${pieceId}:${code}`, 'shown to the customer']));
await must('accept-order', { orderId, revision: 1, total, reasons });
await must('open-till', { dayId: id(), till: 1, pieces: [{ of: 1000, count: 5 }] });
await must('take-cash', { orderId, paymentId: id(), amount: total });
await keep(own.db, `shop-${version}`);
process.exit(0);
