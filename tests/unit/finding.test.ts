/** Finding among many orders, held against going through all of them one by one; and that the years themselves are whole. */
import { beforeAll, describe, expect, it } from 'vitest';
import { seedDemo } from '@demo/seed';
import { findCustomers } from '@/db/queries/customers';
import { findOrders } from '@/db/queries/orders';
import { staffByName } from '@/db/queries/staff';
import { jobView, orderView } from '@/server/views';
import { fillYears } from '../../scripts/many/years';
import { type TestApp, openApp } from '../app';

const MADE = 620;
const STATES = ['quoted', 'accepted', 'handed-over', 'cancelled'];
let app: TestApp;
let every: { number: number; state: string; customer: string; digits: string; ready: boolean }[];

beforeAll(async () => {
  app = await openApp();
  await seedDemo(app);
  app = app.as((await staffByName(app.db, 'Ines'))!);
  await fillYears(app.db, { orders: MADE, mouldings: 50, now: app.clock.now() });
  every = await app.db.query(
    `SELECT o.number, o.state, c.name AS customer, c.digits,
            o.state = 'accepted' AND NOT EXISTS (SELECT 1 FROM job j JOIN step s ON s.job_id = j.id
              WHERE j.order_id = o.id AND s.step = 'final-check' AND s.state <> 'done') AS ready
       FROM orders o JOIN customer c ON c.id = o.customer_id`,
  );
}, 60_000);

/** The numbers that going through all of them finds, in the order in which they are shown. */
function gone(text: string, states: readonly string[]): number[] {
  const number = /^(\d+)(-\d*)?$/.exec(text)?.[1];
  const digits = text.replace(/\D/g, '');
  const name = (of: string) =>
    text.length < 3 ? of.toLowerCase().startsWith(text.toLowerCase()) : of.toLowerCase().includes(text.toLowerCase());
  return every
    .filter((one) => states.includes(one.state))
    .filter(
      (one) =>
        name(one.customer) ||
        (number !== undefined && String(one.number).startsWith(number)) ||
        (digits.length > 2 && one.digits.includes(digits)),
    )
    .sort((a, b) => Number(b.ready) - Number(a.ready) || b.number - a.number)
    .map((one) => one.number)
    .slice(0, 30);
}
const found = async (text: string, states: readonly string[] = STATES) =>
  (await findOrders(app.db, text, states)).map((one) => one.number);

describe('finding orders', () => {
  it.each([
    '',
    'al',
    'Alma',
    'bach',
    'and',
    'tamsin',
    'x',
    'zzz',
    '2',
    '24',
    '2430',
    '2999-1',
    '555',
    '5550',
    '7919',
    '00',
  ])('by “%s” finds what going through all of them finds', async (text) => {
    expect(await found(text)).toEqual(gone(text, STATES));
    expect(await found(text, ['accepted'])).toEqual(gone(text, ['accepted']));
  });

  it('by the whole number of an old one finds that one alone, with what was paid', async () => {
    const old = every.find((one) => one.state === 'handed-over' && one.number > 2500)!;
    const [only, ...more] = await findOrders(app.db, String(old.number), STATES);
    expect(more).toEqual([]);
    expect(only).toMatchObject({ number: old.number, customer: old.customer, ready: false });
    expect(only!.paid).toBe(only!.total);
  });
});

describe('finding customers', () => {
  it('counts their orders, the busiest first, and takes fewer than three letters for a beginning', async () => {
    const people = await findCustomers(app.db, 'Al');
    expect(people.length).toBeGreaterThan(3);
    expect(people.every(({ name }) => name.startsWith('Al'))).toBe(true);
    const counts = people.map(({ orders }) => orders!);
    expect(counts).toEqual([...counts].sort((a, b) => b - a));
    const [first] = people;
    expect(counts[0]).toBe(every.filter(({ customer }) => customer === first!.name).length);
    expect(await findCustomers(app.db, '55')).toEqual([]);
    expect((await findCustomers(app.db, '555')).length).toBe(12);
  });
});

describe('the years of a shop', () => {
  it('are as many as were asked for, spread over twenty of them, each paid to the cent or given back', async () => {
    const [sums] = await app.db.query(
      `SELECT count(*)::int AS orders, (max(quoted_at)::date - min(quoted_at)::date) AS days
         FROM orders WHERE number > (SELECT min(number) FROM orders) + 40`,
    );
    expect(sums!.orders).toBeGreaterThan(MADE - 41);
    expect(Number(sums!.days)).toBeGreaterThan(19 * 365);
    const off = await app.db.query(
      `SELECT o.number FROM orders o LEFT JOIN payment p ON p.order_id = o.id
        WHERE o.state IN ('handed-over', 'cancelled') AND o.agreed IS NOT NULL
        GROUP BY o.id HAVING o.number > 2440 AND coalesce(sum(p.amount), 0) <> CASE o.state WHEN 'cancelled' THEN 0 ELSE (o.agreed ->> 'total')::bigint END`,
    );
    expect(off).toEqual([]);
  });

  it('open at the desk and the bench like any other', async () => {
    const old = every.find((one) => one.state === 'handed-over' && one.number > 2700)!;
    const order = (await orderView(app.viewer(), old.number))!;
    expect(order.jobs).toEqual([{ ticket: `${old.number}-1`, state: 'handed-over', hold: null }]);
    const job = (await jobView(app.viewer(), `${old.number}-1`))!;
    expect(job.steps.every(({ state }) => state === 'done')).toBe(true);
    expect(job.instructions.length).toBe(job.steps.length);
  });
});
