import { beforeAll, describe, expect, it } from 'vitest';
import type { Design } from '@/core/design/design';
import { apply, set } from '@/core/design/edit';
import { length } from '@/core/units/length';
import { mustPriceOrder } from '@/core/pricing/order-price';
import { workOut } from '@/core/work-out';
import { latestSettings } from '@/db/queries/settings';
import { jobView } from '@/server/views';
import { type Stocked, CLEAN_LIST, TOTAL, codes, must, stocked, stockedDesign } from '../stocked';

let accepted: Stocked['accepted'];
let app: Stocked['app'];
let customerId: Stocked['customerId'];
let quote: Stocked['quote'];
let viewOf: Stocked['viewOf'];
beforeAll(async () => {
  ({ accepted, app, customerId, quote, viewOf } = await stocked());
});

describe('from quote to order', () => {
  it('agrees the worked example at 186.84 with a deposit of 94.00, and freezes it against later books', async () => {
    const order = await accepted();
    const view = await viewOf(order.orderId);
    expect([view.agreed!.total, view.agreed!.deposit]).toEqual([TOTAL, 9400]);
    const list = CLEAN_LIST.replace('120,4.20,ft', '120,9.90,ft');
    await must(app.command('import-list', { text: list, edition: 2, file: 'dearer.csv' }));
    const later = await viewOf(order.orderId);
    expect(later.pieces[0]!.agreed!.price!.price).toBe(17300);
    await must(
      app.command('import-list', {
        text: CLEAN_LIST,
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
    expect((await viewOf(order.orderId)).held).toBe(true);
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
    const list = CLEAN_LIST;
    const dearer = list.replace('120,4.20,ft', '120,9.90,ft');
    await must(app.command('import-list', { text: dearer, edition, file: 'dearer.csv' }));
    const view = await viewOf(holding.orderId);
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
    const then = app.clock.at;
    app.clock.at = new Date(then.getTime() + 31 * 86_400_000);
    expect((await viewOf(expiring.orderId)).expired).toBe(true);
    expect(codes(await accept(expiring))).toBe('price-changed');
    app.clock.at = then;
    await must(app.command('import-list', { text: list, edition: edition + 1, file: 'back.csv' }));
  });

  it.each([
    ['yesterday', '2031-05-04', 'promise-past'],
    ['today', '2031-05-05', 'ok'],
    ['a Saturday', '2031-05-10', 'promise-closed'],
    ['a Sunday', '2031-05-11', 'promise-closed'],
    ['the Monday after', '2031-05-12', 'ok'],
  ])('promises %s: %s %s', async (_when, promised, code) => {
    const now = app.clock.at;
    app.clock.at = new Date('2031-05-05T10:00:00Z');
    const order = await quote();
    expect(codes(await app.command('save-quote', { ...order, revision: 1, promised }))).toBe(code);
    app.clock.at = now;
  });

  it('promises no day that was closed since: acceptance looks again', async () => {
    const now = app.clock.at;
    app.clock.at = new Date('2031-05-05T10:00:00Z');
    const order = await quote();
    const settings = await app.shopSettings();
    const { number: edition } = (await latestSettings(app.db)) ?? { number: 0 };
    await must(app.command('change-settings', { edition, settings: { ...settings, closed: ['2031-12-15'] } }));
    const accept = () =>
      app.command('accept-order', { orderId: order.orderId, revision: 1, total: TOTAL, reasons: {} });
    const refused = await accept();
    expect([codes(refused), !refused.ok && refused.issues[0]!.figures.next]).toEqual(['promise-closed', '2031-12-16']);
    await must(app.command('change-settings', { edition: edition + 1, settings }));
    await must(accept());
    app.clock.at = now;
  });

  it('believes no material that is made up in the request', async () => {
    const own = (await app.books())!.lists.mouldings[0]!;
    const cheap = { ...own, cost: { ...own.cost, amount: '0.01' } };
    const forged = apply(stockedDesign(), set(stockedDesign(), ['frame', 'moulding'], { given: cheap }));
    const order = await quote();
    const pieces = [{ id: order.pieces[0]!.id, design: forged }];
    expect(codes(await app.command('save-quote', { ...order, revision: 1, pieces }))).toBe('material-invented');
  });

  it('accepts once: a second acceptance and a change from a stale tab are refused', async () => {
    const order = await quote();
    await must(app.command('save-quote', { ...order, revision: 1, promised: '2031-12-16' }));
    expect(codes(await app.command('save-quote', { ...order, revision: 1, promised: '2031-12-17' }))).toBe(
      'order-stale',
    );
    const both = await Promise.all(
      [1, 2].map(() => app.command('accept-order', { orderId: order.orderId, revision: 2, total: TOTAL, reasons: {} })),
    );
    expect(both.map(codes).sort()).toEqual(['ok', 'order-stale']);
    expect(codes(await app.command('save-quote', { ...order, revision: 3 }))).toBe('order-agreed');
    expect((await viewOf(order.orderId)).promised).toBe('2031-12-16');
  });

  it.each<[string, (one: Design) => Design]>([
    ['caution-refuses', (one) => apply(one, set(one, ['window', 'overlap'], length(0)))],
    ['caution-needs-reason', (one) => apply(one, set(one, ['window', 'overlap'], length(100)))],
  ])('does not accept over a caution: %s', async (code, change) => {
    const order = await quote([change(stockedDesign())]);
    const books = (await app.books())!;
    const worked = workOut(change(stockedDesign()), {
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
      promised: '2031-12-15',
      pieces: [
        {
          id: crypto.randomUUID(),
          design: apply(stockedDesign(), set(stockedDesign(), ['frame', 'moulding'], { code: 'GONE-1' })),
        },
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
    expect((await viewOf(first.orderId)).pieces).toHaveLength(1);
  });
});
