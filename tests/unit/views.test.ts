import { previewList } from '@/server/list-views';
import fs from 'node:fs';
import { beforeAll, describe, expect, it } from 'vitest';
import { seedDemo } from '@demo/seed';
import { ORDERS } from '@demo/orders';
import { CUSTOMERS } from '@demo/people';
import { simulatedTerminal } from '@/standins/terminal/terminal';
import { money } from '@/core/units/money';
import { workOut } from '@/core/work-out';
import { dayOf, daysAfter } from '@/server/clock';
import { readText } from '@/server/http';
import { boardView, findCustomersView, findOrdersView, jobView, orderView, shopView } from '@/server/views';
import { staffByName } from '@/db/queries/staff';
import { type TestApp, openApp } from '../app';

let app: TestApp;
beforeAll(async () => {
  app = await openApp();
  await seedDemo(app);
  app = app.as((await staffByName(app.db, 'Ines'))!);
});
const all = ['quoted', 'accepted', 'handed-over', 'cancelled'];
const numbers = async (text: string, states = all) =>
  (await findOrdersView(app.viewer(), text, states)).map((one) => one.number);

describe('the demo shop', () => {
  it('is whole or not there, and is made once', async () => {
    await seedDemo(app);
    const counted = await app.db.query<{ count: number }>('SELECT count(*)::int AS count FROM orders');
    expect(counted[0]?.count).toBe(ORDERS.length);
    expect((await shopView(app.viewer()))!.lists.mouldings).toHaveLength(64);
  });

  it('holds jobs in every state, some late, some held by each who must act', async () => {
    const { jobs, today } = await boardView(app.viewer());
    expect(new Set(jobs.map((job) => job.state))).toEqual(
      new Set(['waiting-for-material', 'ready-to-start', 'in-work', 'ready']),
    );
    expect(new Set(jobs.flatMap((job) => job.hold?.who ?? []))).toEqual(
      new Set(['conservator', 'supplier', 'customer']),
    );
    expect(jobs.filter((job) => job.promised < today && job.state !== 'ready').length).toBeGreaterThan(0);
    expect(jobs.some((job) => job.failures > 0)).toBe(true);
    expect(jobs.map((job) => job.promised)).toEqual(jobs.map((job) => job.promised).sort());
  });

  it('agrees everywhere: ticket, order and board say the same figures, and money adds up', async () => {
    const books = (await app.books())!;
    for (const number of await numbers('', ['accepted', 'handed-over'])) {
      const order = (await orderView(app.viewer(), number))!;
      expect(order.paid).toBe(order.payments.reduce((sum, one) => sum + one.amount, 0));
      expect(order.paid).toBeLessThanOrEqual(order.agreed!.total);
      expect(order.paid + order.balance).toBe(order.agreed!.total);
      if (order.state === 'handed-over' && order.due === null) expect(order.balance).toBe(0);
      for (const [index, piece] of order.pieces.entries()) {
        const job = (await jobView(app.viewer(), `${number}-${index + 1}`))!;
        expect(job.worked.sizes).toEqual(piece.agreed!.sizes);
        const again = workOut(piece.design, {
          settings: books.settings,
          catalogue: books.catalogue,
          prices: books.prices,
        });
        expect(again.ok && again.value.price!.price).toBe(piece.agreed!.price!.price);
      }
    }
  });
});

describe('a job looked at while something happens to it', () => {
  it('is shown as it was before or as it is after, its revision never older than its steps', async () => {
    const { jobs } = await boardView(app.viewer());
    let seen = 0;
    for (const { ticket, hold, next } of jobs) {
      const before = (await jobView(app.viewer(), ticket))!;
      if (hold || !next || next === 'final-check' || next === 'hand-over') continue;
      const move = { jobId: before.id, revision: before.revision, step: next, to: 'done' as const, ticks: [] };
      const [meanwhile, answer] = await Promise.all([jobView(app.viewer(), ticket), app.command('move-step', move)]);
      if (!answer.ok) continue;
      seen += 1;
      const after = (await jobView(app.viewer(), ticket))!;
      const told = (view: typeof before) => [view.revision, view.next, view.steps.map(({ state }) => state).join()];
      expect(after.revision).toBe(before.revision + 1);
      expect([told(before), told(after)]).toContainEqual(told(meanwhile!));
    }
    expect(seen).toBeGreaterThan(3);
  });
});

describe('finding', () => {
  it('finds by number, ticket, part of a name in any case, and digits of the phone', async () => {
    const newest = Math.max(...(await numbers('')));
    expect(await numbers(String(newest))).toEqual([newest]);
    expect(await numbers(`${newest}-1`)).toEqual([newest]);
    expect((await findOrdersView(app.viewer(), 'tAmSiN', all)).every((one) => one.customer === 'Orla Tamsin')).toBe(
      true,
    );
    expect((await findOrdersView(app.viewer(), '55 501 42', all)).map((one) => one.customer)).toContain('Orla Tamsin');
    expect(await numbers('', ['cancelled'])).toHaveLength(1);
    const open = await findOrdersView(app.viewer(), '', ['accepted']);
    expect(open.map((one) => one.ready)).toEqual(
      [...open.map((one) => one.ready)].sort((a, b) => Number(b) - Number(a)),
    );
    expect(open.filter((one) => one.ready).map((one) => one.titles)).toEqual([
      'Mooring plan',
      'Harbour light, first state',
    ]);
  });

  it('takes percent signs, quotes and nonsense for what they are', async () => {
    for (const text of ['%', '_', "'; DROP TABLE orders; --", '\\', '\u0001', '9'.repeat(80)])
      expect(await numbers(text)).toEqual([]);
    expect(await findCustomersView(app.viewer(), '')).toHaveLength(CUSTOMERS.length);
    expect((await findCustomersView(app.viewer(), 'quill')).map((one) => one.name).sort()).toEqual([
      'Harbour office, Quillet',
      'Nerys Quill',
    ]);
  });

  it('answers nothing for what is not there', async () => {
    expect([
      await orderView(app.viewer(), 1),
      await jobView(app.viewer(), '1-1'),
      await jobView(app.viewer(), "x' OR 1=1"),
    ]).toEqual([undefined, undefined, undefined]);
  });
});

describe('a list looked at before it is taken', () => {
  it('changes nothing, and says what each row would do', async () => {
    const before = await app.db.query('SELECT count(*)::int AS n FROM moulding');
    const preview = await previewList(app.viewer(), 'mouldings', fs.readFileSync('samples/mouldings-bad.csv', 'utf8'));
    const count = (does: keyof typeof preview.counts) => preview.counts[does];
    expect([count('add'), count('change'), count('refuse'), count('same')]).toEqual([2, 1, 17, 0]);
    const same = await previewList(app.viewer(), 'mouldings', fs.readFileSync('demo/mouldings.csv', 'utf8'));
    expect(same.rows.every((row) => row.does === 'same')).toBe(true);
    expect(await app.db.query('SELECT count(*)::int AS n FROM moulding')).toEqual(before);
  });
});

describe('at the edges', () => {
  it('the simulated terminal charges a reference once and remembers what it answered', async () => {
    const terminal = simulatedTerminal({ answerMs: 1, patienceMs: 2 });
    terminal.next('walks away');
    expect(await terminal.charge('a', money(500))).toBe('unanswered');
    terminal.next('pays');
    expect(await terminal.charge('a', money(500))).toBe('approved');
    terminal.next('is declined');
    expect([
      await terminal.charge('a', money(500)),
      await terminal.charge('a', money(600)),
      await terminal.charge('b', money(500)),
    ]).toEqual(['approved', 'declined', 'declined']);
  });

  it('reads a body up to its limit and not a byte more, also when its length is not told', async () => {
    const request = (text: string) =>
      new Request('http://x/', { method: 'POST', body: new Blob([text]).stream(), duplex: 'half' } as RequestInit);
    expect(await readText(request('å'.repeat(50)), 100)).toBe('å'.repeat(50));
    expect(await readText(request('x'.repeat(101)), 100)).toBeUndefined();
    expect(await readText(new Request('http://x/', { method: 'POST' }), 100)).toBe('');
  });

  it('counts days by the calendar, over months and clock changes', () => {
    expect(dayOf(daysAfter(new Date(2031, 1, 27, 12), 3))).toBe('2031-03-02');
    expect(dayOf(daysAfter(new Date(2031, 2, 29, 23, 30), 2))).toBe('2031-03-31');
  });
});
