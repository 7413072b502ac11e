import fs from 'node:fs';
import { beforeAll, describe, expect, it } from 'vitest';
import type { Payload } from '@/contract/commands';
import type { Design } from '@/core/design/design';
import { set, apply } from '@/core/design/edit';
import { CHECK_POINTS } from '@/core/route/steps';
import { newDesign } from '@/core/design/design';
import { defaultSettings } from '@/core/settings';
import { inches, length } from '@/core/units/length';
import { MOST_MONEY, money, withinLimit } from '@/core/units/money';
import { mustPriceOrder, priceOrder } from '@/core/pricing/order-price';
import { workOut } from '@/core/work-out';
import { settleCard } from '@/server/card';
import { orderById } from '@/db/queries/orders';
import { boardView, findOrdersView, jobView, orderView } from '@/server/views';
import { type TestApp, openApp } from '../app';
import { prices } from '../shop';

let app: TestApp;
let customerId: string;
const codes = (answer: { ok: boolean; issues?: { code: string }[] }) =>
  answer.ok ? 'ok' : answer.issues!.map((one) => one.code).join();
const must = async (answer: Promise<{ ok: boolean; issues?: { code: string }[] }>) =>
  expect(codes(await answer)).toBe('ok');

const design = (): Design => {
  const start = newDesign(
    defaultSettings('in'),
    { mat: 'RAG-SHELL', moulding: 'MAR-31', glazing: 'GL-CLEAR', backing: 'FOAM-5' },
    inches(12),
    inches(16),
  );
  return { ...start, border: { mode: 'equal', all: inches(2, 1, 2) } };
};
const quote = async (designs: Design[] = [design()]) => {
  const payload: Payload<'save-quote'> = {
    orderId: crypto.randomUUID(),
    revision: null,
    customerId,
    promised: '2031-05-20',
    pieces: designs.map((one) => ({ id: crypto.randomUUID(), design: one })),
  };
  await must(app.command('save-quote', payload));
  return payload;
};
/** An order as the counter sees it. */
const viewOf = async (orderId: string) => orderView(app.viewer(), (await orderById(app.db, orderId))?.number ?? 0);
const TOTAL = 18684;
const accepted = async () => {
  const order = await quote();
  await must(app.command('accept-order', { orderId: order.orderId, revision: 1, total: TOTAL, reasons: {} }));
  return { ...order, jobId: order.pieces[0]!.id };
};

beforeAll(async () => {
  app = await openApp();
  await app.setUp();
  await must(
    app.command('import-mouldings', {
      text: fs.readFileSync('samples/mouldings-clean.csv', 'utf8'),
      edition: 1,
      file: 'clean.csv',
    }),
  );
  customerId = crypto.randomUUID();
  await must(
    app.command('add-customer', {
      id: customerId,
      name: 'Bo "Robert\'); DROP TABLE piece;--" Ström',
      phone: '555 0101',
      email: '',
    }),
  );
});

describe('the door', () => {
  it('refuses what is malformed, unknown, unpermitted or unsigned, and changes nothing', async () => {
    const bench = { ...app.owner, role: 'bench' as const };
    const before = await app.db.query('SELECT count(*)::int AS n FROM command');
    expect(codes(await app.command('take-cash', { orderId: 'x', paymentId: 'y', amount: -5 } as never))).toBe(
      'input-wrong,input-wrong,input-wrong',
    );
    expect(codes(await app.command('__proto__' as never, {} as never))).toBe('command-unknown');
    expect(
      codes(
        await app.command('add-customer', { id: crypto.randomUUID(), name: 'X', phone: '', email: '' }, { as: bench }),
      ),
    ).toBe('not-permitted');
    expect(
      codes(
        await app.command(
          'add-customer',
          { id: crypto.randomUUID(), name: 'X', phone: '', email: '' },
          { as: undefined },
        ),
      ),
    ).toBe('sign-in-first');
    expect(
      codes(
        await app.command(
          'set-up-shop',
          { shop: 'Other', owner: 'Eve', pin: '6666', homeUnit: 'mm', code: '' },
          { as: undefined },
        ),
      ),
    ).toBe('shop-exists');
    expect(await app.db.query('SELECT count(*)::int AS n FROM command')).toEqual(before);
  });

  it('does a repeated command once, also when both arrive together, and refuses its id for something else', async () => {
    const { orderId } = await accepted();
    const id = crypto.randomUUID();
    const payload = { orderId, paymentId: crypto.randomUUID(), amount: 9400 };
    const answers = await Promise.all([1, 2, 3].map(() => app.command('take-cash', payload, { id })));
    expect(answers.map(codes)).toEqual(['ok', 'ok', 'ok']);
    expect((await viewOf(orderId))!.paid).toBe(9400);
    expect(codes(await app.command('take-cash', { ...payload, amount: 1 }, { id }))).toBe('command-reused');
  });

  it('writes who, when, before and after in the same transaction, and keeps it from being changed', async () => {
    const { orderId } = await accepted();
    const rows = await app.db.query<{
      what: string;
      by: string;
      before: { state?: string } | null;
      after: { state?: string };
    }>(
      "SELECT a.what, s.name AS by, a.before, a.after FROM audit a JOIN staff s ON s.id = a.by_id WHERE a.entity = 'order' AND a.entity_id = $1 ORDER BY a.id",
      [orderId],
    );
    expect(rows.map((row) => [row.what, row.by])).toEqual([
      ['quoted', 'Ada'],
      ['accepted', 'Ada'],
    ]);
    expect([rows[1]!.before?.state, rows[1]!.after.state]).toEqual(['quoted', 'accepted']);
    const write = (sql: string) => app.db.transaction((tx) => tx.query(sql));
    for (const kept of ['audit', 'payment', 'command', 'job_event', 'security_event'])
      await expect(write(`DELETE FROM ${kept}`), kept).rejects.toThrow(/append-only|violates foreign key/);
    await expect(write("UPDATE audit SET what = 'nothing'")).rejects.toThrow('append-only');
    await expect(app.db.query("UPDATE orders SET state = 'cancelled'")).rejects.toThrow('read-only');
  });

  it('tells the screens only what was committed', async () => {
    const heard: string[] = [];
    const stop = app.bus.listen(({ what }) => heard.push(what));
    const order = await quote();
    await app.command('accept-order', { orderId: order.orderId, revision: 1, total: 1, reasons: {} });
    stop();
    expect(heard).toEqual(['save-quote']);
  });
});

describe('from quote to order', () => {
  it('agrees the worked example at 186.84 with a deposit of 94.00, and freezes it against later books', async () => {
    const order = await accepted();
    const view = (await viewOf(order.orderId))!;
    expect([view.agreed!.total, view.agreed!.deposit]).toEqual([TOTAL, 9400]);
    const list = fs.readFileSync('samples/mouldings-clean.csv', 'utf8').replace('120,4.20,ft', '120,9.90,ft');
    await must(app.command('import-mouldings', { text: list, edition: 2, file: 'dearer.csv' }));
    const later = (await viewOf(order.orderId))!;
    expect(later.pieces[0]!.agreed!.price!.price).toBe(17300);
    await must(
      app.command('import-mouldings', {
        text: fs.readFileSync('samples/mouldings-clean.csv', 'utf8'),
        edition: 3,
        file: 'back.csv',
      }),
    );
  });

  it('a price rule is the owner’s, makes a new edition, and leaves a held quote as it was', async () => {
    const order = await quote();
    const { edition } = (await app.books())!.prices;
    const rule = {
      school: 'chart' as const,
      markup: '3.5',
      chart: { by: 'in' as const, steps: [['40', 77_00]] as never },
    };
    const setRule = (over: object = {}, as = app.owner) =>
      app.command('set-group-rule', { edition, group: 'glazing', rule: { ...rule, ...over } }, { as });
    expect(codes(await setRule({}, { ...app.owner, role: 'counter' }))).toBe('not-permitted');
    expect(codes(await setRule({ chart: { by: 'in', steps: [] } }))).toContain('input-wrong');
    expect(
      codes(
        await setRule({
          chart: {
            by: 'in',
            steps: [
              ['40', 100],
              ['30', 200],
            ],
          },
        }),
      ),
    ).toBe('input-wrong');
    await must(setRule());
    expect(codes(await setRule())).toBe('books-stale');
    const after = (await app.books())!.prices;
    expect([after.edition, after.groups.glazing.school, after.groups.glazing.minimumArea]).toEqual([
      edition + 1,
      'chart',
      '0.1',
    ]);
    expect((await viewOf(order.orderId))!.held).toBe(true);
    await must(app.command('accept-order', { orderId: order.orderId, revision: 1, total: TOTAL, reasons: {} }));
    await must(
      app.command('set-group-rule', {
        edition: edition + 1,
        group: 'glazing',
        rule: { school: 'cost-up', markup: '3.5' },
      }),
    );
  });

  it('holds the prices of a quote while it runs, and asks for today’s when it ran out', async () => {
    const [holding, expiring, renewed] = [await quote(), await quote(), await quote()];
    const edition = (await app.books())!.prices.edition;
    const list = fs.readFileSync('samples/mouldings-clean.csv', 'utf8');
    const dearer = list.replace('120,4.20,ft', '120,9.90,ft');
    await must(app.command('import-mouldings', { text: dearer, edition, file: 'dearer.csv' }));
    const view = (await viewOf(holding.orderId))!;
    expect([view.held, view.expired]).toEqual([true, false]);
    const accept = (order: { orderId: string }, revision = 1) =>
      app.command('accept-order', { orderId: order.orderId, revision, total: TOTAL, reasons: {} });
    const again = {
      ...holding,
      revision: 1,
      pieces: view.pieces.map(({ id, design: held }) => ({ id, design: held })),
    };
    await must(app.command('save-quote', again));
    await must(accept(holding, 2));
    await must(app.command('save-quote', { ...renewed, revision: 1 }));
    expect(codes(await accept(renewed, 2))).toBe('price-changed');
    app.clock.at = new Date(app.clock.at.getTime() + 31 * 86_400_000);
    expect((await viewOf(expiring.orderId))!.expired).toBe(true);
    expect(codes(await accept(expiring))).toBe('price-changed');
    await must(app.command('import-mouldings', { text: list, edition: edition + 1, file: 'back.csv' }));
  });

  it('believes no material that is made up in the request', async () => {
    const own = (await app.books())!.lists.mouldings[0]!;
    const cheap = { ...own, cost: { ...own.cost, amount: '0.01' } };
    const forged = apply(design(), set(design(), ['frame', 'moulding'], { given: cheap }));
    const order = await quote();
    const pieces = [{ id: order.pieces[0]!.id, design: forged }];
    expect(codes(await app.command('save-quote', { ...order, revision: 1, pieces }))).toBe('material-invented');
  });

  it('accepts once: a second acceptance and a change from a stale tab are refused', async () => {
    const order = await quote();
    await must(app.command('save-quote', { ...order, revision: 1, promised: '2031-06-01' }));
    expect(codes(await app.command('save-quote', { ...order, revision: 1, promised: '2031-07-01' }))).toBe(
      'order-stale',
    );
    const both = await Promise.all(
      [1, 2].map(() => app.command('accept-order', { orderId: order.orderId, revision: 2, total: TOTAL, reasons: {} })),
    );
    expect(both.map(codes).sort()).toEqual(['ok', 'order-stale']);
    expect(codes(await app.command('save-quote', { ...order, revision: 3 }))).toBe('order-agreed');
    expect((await viewOf(order.orderId))!.promised).toBe('2031-06-01');
  });

  it.each<[string, (one: Design) => Design]>([
    ['caution-refuses', (one) => apply(one, set(one, ['window', 'overlap'], length(0)))],
    ['caution-needs-reason', (one) => apply(one, set(one, ['window', 'overlap'], length(100)))],
  ])('does not accept over a caution: %s', async (code, change) => {
    const order = await quote([change(design())]);
    const books = (await app.books())!;
    const worked = workOut(change(design()), {
      settings: books.settings,
      catalogue: books.catalogue,
      prices: books.prices,
    });
    const total = worked.ok ? mustPriceOrder([worked.value.price!], books.prices).total : 0;
    const ask = (reasons: Record<string, string>) =>
      app.command('accept-order', { orderId: order.orderId, revision: 1, total, reasons });
    expect(codes(await ask({}))).toBe(code);
    const withReason = await ask({ [`${order.pieces[0]!.id}:opening-overlap-small`]: 'A narrow margin, agreed' });
    expect(codes(withReason)).toBe(code === 'caution-refuses' ? code : 'ok');
    if (withReason.ok)
      expect((await jobView(app.viewer(), `${withReason.value.number}-1`))!.reasons).toEqual({
        'opening-overlap-small': 'A narrow margin, agreed',
      });
  });

  it('refuses a moulding that is not in the books any more, and says which', async () => {
    const answer = await app.command('save-quote', {
      orderId: crypto.randomUUID(),
      revision: null,
      customerId,
      promised: '2031-05-20',
      pieces: [
        { id: crypto.randomUUID(), design: apply(design(), set(design(), ['frame', 'moulding'], { code: 'GONE-1' })) },
      ],
    });
    expect(answer).toMatchObject({
      ok: false,
      issues: [{ code: 'material-unknown', figures: { code: 'GONE-1' }, path: 'pieces.0.frame.moulding' }],
    });
  });

  it('does not take a piece away from another order', async () => {
    const first = await quote();
    const answer = await app.command('save-quote', { ...first, orderId: crypto.randomUUID(), revision: null });
    expect(codes(answer)).toBe('piece-elsewhere');
    expect((await viewOf(first.orderId))!.pieces).toHaveLength(1);
  });
});

describe('money', () => {
  it('refuses more than the balance, reverses a slip by another entry, and refuses to reverse twice', async () => {
    const { orderId } = await accepted();
    expect(codes(await app.command('take-cash', { orderId, paymentId: crypto.randomUUID(), amount: TOTAL + 1 }))).toBe(
      'payment-above-balance',
    );
    const paymentId = crypto.randomUUID();
    await must(app.command('take-cash', { orderId, paymentId, amount: 5000 }));
    await must(
      app.command('reverse-payment', { paymentId, newId: crypto.randomUUID(), reason: 'Typed in the wrong order' }),
    );
    expect(
      codes(await app.command('reverse-payment', { paymentId, newId: crypto.randomUUID(), reason: 'again' })),
    ).toBe('payment-reversed');
    const view = (await viewOf(orderId))!;
    expect([view.payments.length, view.paid]).toEqual([2, 0]);
  });

  it('books a card once: approved, declined, and unanswered then asked again', async () => {
    const { orderId } = await accepted();
    const terminal = app.terminal;
    const pay = async (acts: Parameters<typeof terminal.next>[0], requestId: string = crypto.randomUUID()) => {
      terminal.next(acts);
      const asked = await app.command('ask-card', { orderId, requestId, amount: 9400 });
      if (!asked.ok) return codes(asked);
      const settled = await settleCard(app.viewer(), requestId);
      return settled.ok ? settled.value.state : codes(settled);
    };
    expect(await pay('is declined')).toBe('declined');
    const lost = crypto.randomUUID();
    expect(await pay('walks away', lost)).toBe('unanswered');
    expect(await pay('pays')).toBe('card-waiting');
    expect(codes(await app.command('take-cash', { orderId, paymentId: crypto.randomUUID(), amount: TOTAL }))).toBe(
      'payment-above-balance',
    );
    terminal.next('pays');
    const twice = await Promise.all([settleCard(app.viewer(), lost), settleCard(app.viewer(), lost)]);
    expect(twice.every((one) => one.ok && one.value.state === 'approved')).toBe(true);
    expect((await viewOf(orderId))!.paid).toBe(9400);
  });

  it('books what comes after the question was dropped, and shows it as owed back until it is given back', async () => {
    const { orderId } = await accepted();
    const requestId = crypto.randomUUID();
    app.terminal.next('pays');
    await must(app.command('ask-card', { orderId, requestId, amount: TOTAL }));
    const terminal = settleCard(app.viewer(), requestId);
    await must(app.command('drop-card', { requestId }));
    await must(app.command('take-cash', { orderId, paymentId: crypto.randomUUID(), amount: TOTAL }));
    expect(await terminal).toMatchObject({ ok: true, value: { state: 'approved' } });
    const after = (await viewOf(orderId))!;
    expect([after.paid, after.owedBack, after.openCards]).toEqual([2 * TOTAL, TOTAL, []]);
    await must(
      app.command('reverse-payment', { paymentId: requestId, newId: crypto.randomUUID(), reason: 'paid twice' }),
    );
    expect([(await viewOf(orderId))!.paid, (await viewOf(orderId))!.owedBack]).toEqual([TOTAL, 0]);
  });

  it('does not cancel an order whose card question is open; what comes on one cancelled after it is owed back', async () => {
    const { orderId } = await accepted();
    const requestId = crypto.randomUUID();
    await must(app.command('ask-card', { orderId, requestId, amount: 3000 }));
    const cancel = () => app.command('cancel-order', { orderId, revision: 2, reason: 'no' });
    expect(codes(await cancel())).toBe('card-waiting');
    app.terminal.next('pays');
    const terminal = settleCard(app.viewer(), requestId);
    await must(app.command('drop-card', { requestId }));
    await must(cancel());
    await terminal;
    const after = (await viewOf(orderId))!;
    expect([after.state, after.paid, after.owedBack]).toEqual(['cancelled', 3000, 3000]);
  });

  it('keeps an order of 5,262,109,920 in every list, and refuses one above the limit of every amount', async () => {
    const big = 5_262_109_920;
    const { orderId } = await accepted();
    await app.db.transaction((tx) =>
      tx.query("UPDATE orders SET agreed = jsonb_set(agreed, '{total}', $2::jsonb) WHERE id = $1", [
        orderId,
        String(big),
      ]),
    );
    await must(app.command('take-cash', { orderId, paymentId: crypto.randomUUID(), amount: 4_000_000_000 }));
    const requestId = crypto.randomUUID();
    await must(app.command('ask-card', { orderId, requestId, amount: 1_262_109_920 }));
    const order = (await viewOf(orderId))!;
    expect([order.agreed!.total, order.paid, order.openCards[0]!.amount]).toEqual([big, 4_000_000_000, 1_262_109_920]);
    const [found] = await findOrdersView(app.viewer(), String(order.number), ['accepted']);
    expect([found!.total, found!.paid]).toEqual([big, 4_000_000_000]);

    const dear = (cents: number) =>
      withinLimit(() => Array.from({ length: 40 }, () => money(cents)).reduce((sum, one) => money(sum + one)));
    expect(dear(MOST_MONEY / 40)).toEqual({ ok: true, value: MOST_MONEY });
    expect(dear(MOST_MONEY / 40 + 1)).toMatchObject({ ok: false, issues: [{ code: 'price-too-high' }] });
    const pieces = Array.from({ length: 40 }, () => ({
      price: money(300_000_000),
      taxed: { goods: money(300_000_000) },
    }));
    expect(priceOrder(pieces as never, prices)).toMatchObject({ ok: false, issues: [{ code: 'price-too-high' }] });
  });

  it('does not cancel an order with money on it', async () => {
    const { orderId } = await accepted();
    const paymentId = crypto.randomUUID();
    await must(app.command('take-cash', { orderId, paymentId, amount: 100 }));
    expect(codes(await app.command('cancel-order', { orderId, revision: 2, reason: 'x' }))).toBe('cancel-with-money');
    await must(app.command('reverse-payment', { paymentId, newId: crypto.randomUUID(), reason: 'given back' }));
    await must(app.command('cancel-order', { orderId, revision: 2, reason: 'moved away' }));
    expect(codes(await app.command('take-cash', { orderId, paymentId: crypto.randomUUID(), amount: 100 }))).toBe(
      'payment-not-agreed',
    );
  });
});

describe('through the shop', () => {
  const good = Object.fromEntries(Object.keys(CHECK_POINTS).map((point) => [point, 'ok' as const]));
  const ticks = ['insisted-kept', 'right-way-up'];

  it('works every step, sends a failed check back and counts it, and hands over for the balance', async () => {
    const { orderId, jobId } = await accepted();
    const number = (await viewOf(orderId))!.number;
    const job = async () => (await jobView(app.viewer(), `${number}-1`))!;
    const step = async (to: 'doing' | 'done' | 'todo', key?: string) => {
      const now = await job();
      return app.command('move-step', { jobId, revision: now.revision, step: (key ?? now.next) as never, to, ticks });
    };
    expect(codes(await step('done', 'fit'))).toBe('step-needs');
    expect((await job()).state).toBe('waiting-for-material');
    for (let now = await job(); now.next !== 'final-check'; now = await job()) await must(step('done'));
    expect(
      codes(await app.command('final-check', { jobId, revision: (await job()).revision, points: { corners: 'ok' } })),
    ).toBe('check-open');
    await must(
      app.command('final-check', {
        jobId,
        revision: (await job()).revision,
        points: { ...good, 'specks-inside': { failed: 'a hair' } },
      }),
    );
    const back = await job();
    expect([back.next, back.steps.filter((one) => one.state === 'todo').map((one) => one.step)]).toEqual([
      'fit',
      ['fit', 'back-and-hang', 'touch-up', 'final-check', 'hand-over'],
    ]);
    expect((await boardView(app.viewer())).jobs.find((one) => one.ticket === back.ticket)!.failures).toBe(1);
    expect(
      codes(await app.command('move-step', { jobId, revision: back.revision, step: 'fit', to: 'done', ticks: [] })),
    ).toBe('enclosure-open');
    for (let now = await job(); now.next !== 'final-check'; now = await job()) await must(step('done'));
    expect((await job()).steps.find((one) => one.step === 'fit')!.times).toBe(2);
    await must(app.command('final-check', { jobId, revision: (await job()).revision, points: good }));
    const hand = () => app.command('hand-over', { orderId, revision: 2, signedBy: 'Bo Ström', identified: true });
    expect(codes(await hand())).toBe('balance-open');
    await must(app.command('take-cash', { orderId, paymentId: crypto.randomUUID(), amount: TOTAL }));
    await must(hand());
    expect([(await viewOf(orderId))!.state, (await job()).state]).toEqual(['handed-over', 'handed-over']);
    expect(codes(await step('todo', 'final-check'))).toBe('job-closed');
  });

  it('holds and releases; a held job stands still; a stale bench is refused', async () => {
    const { orderId, jobId } = await accepted();
    const number = (await viewOf(orderId))!.number;
    await must(app.command('hold', { jobId, revision: 1, reason: 'Moulding is late', who: 'supplier' }));
    expect(
      codes(await app.command('move-step', { jobId, revision: 2, step: 'materials-here', to: 'done', ticks: [] })),
    ).toBe('job-held');
    expect(codes(await app.command('release', { jobId, revision: 1 }))).toBe('job-stale');
    await must(app.command('release', { jobId, revision: 2 }));
    await must(app.command('move-step', { jobId, revision: 3, step: 'materials-here', to: 'done', ticks: [] }));
    await must(app.command('move-step', { jobId, revision: 4, step: 'materials-here', to: 'todo', ticks: [] }));
    expect((await jobView(app.viewer(), `${number}-1`))!.state).toBe('waiting-for-material');
  });
});

describe('the price list', () => {
  it('takes all or nothing, and not on books that changed since the preview', async () => {
    const edition = (await app.books())!.prices.edition;
    const import_ = (text: string, at: number) => app.command('import-mouldings', { text, edition: at, file: 'x.csv' });
    expect(codes(await import_(fs.readFileSync('samples/mouldings-bad.csv', 'utf8'), edition))).toBe('list-refused');
    expect(codes(await import_(fs.readFileSync('samples/mouldings-clean.csv', 'utf8'), edition - 1))).toBe(
      'books-stale',
    );
    expect((await app.books())!.lists.mouldings).toHaveLength(64);
  });
});
