/** An agreed order that is changed: the difference, what was cut, what the bench then has to do, and the money to its end. */
import { beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { USUAL_SETTINGS } from '@/contract/settings';
import { changedOf, changedPrice, inWordsOf, withCut } from '@/core/changes/change';
import type { Design } from '@/core/design/design';
import { inches } from '@/core/units/length';
import { money } from '@/core/units/money';
import { prices as book } from '../shop';
import { type Stocked, TOTAL, codes, must, stocked, stockedDesign } from '../stocked';

const wider = (design: Design): Design => ({ ...design, border: { mode: 'equal', all: inches(3) } });
const titled = (design: Design, title: string): Design => ({ ...design, piece: { ...design.piece, title } });

describe('what is changed', () => {
  const was = stockedDesign();
  it('is nothing, words, or the design', () => {
    expect(changedOf(was, structuredClone(was))).toBe('no');
    expect(changedOf(was, { ...titled(was, 'Harbour'), insists: 'No glue' })).toBe('words');
    expect(changedOf(was, wider(titled(was, 'Harbour')))).toBe('design');
    expect(inWordsOf(was, titled(wider(was), 'Harbour'))).toEqual(titled(was, 'Harbour'));
  });

  it('what was cut becomes a line of the price, and none where nothing of it is paid', () => {
    expect(withCut(was, 'Cut', 0)).toBe(was);
    expect(withCut(was, 'Cut', 450).extras).toEqual([{ name: 'Cut', amount: 450, taxGroup: 'goods' }]);
  });

  it('keeps the deposit that was agreed, but never more than the total', () => {
    const price = (amount: number) => [
      { price: money(amount), taxed: { goods: money(amount), labour: money(0), delivery: money(0) } },
    ];
    const of = (amount: number, deposit: number) => {
      const priced = changedPrice(price(amount), book, { deposit: money(deposit) });
      return priced.ok ? [priced.value.total, priced.value.deposit] : priced.issues;
    };
    expect(of(10_000, 9_000)).toEqual([10_800, 9_000]);
    expect(of(5_000, 9_000)).toEqual([5_400, 5_400]);
  });
});

describe('an order after yes', () => {
  let shop: Stocked;
  beforeAll(async () => {
    shop = await stocked();
  });
  beforeEach(() => {
    shop.app.clock.at = new Date('2031-05-05T10:00:00Z');
  });
  const view = async (orderId: string) => shop.viewOf(orderId);
  const agreed = async (orderId: string) => (await view(orderId)).pieces[0]!.agreed!.resolved.design;
  interface Over {
    readonly promised?: string;
    readonly paid?: Record<string, number>;
    readonly total?: number;
    readonly revision?: number;
    readonly as?: { id: string; name: string; role: 'counter' };
  }
  /** Asks for the change; the total that is wanted is what the server says it is now. */
  async function change(orderId: string, make: (was: Design) => Design, { as, ...over }: Over = {}) {
    const order = await view(orderId);
    const pieces = order.pieces.map(({ id, agreed: was }) => ({ id, design: make(was!.resolved.design) }));
    const payload = {
      orderId,
      revision: order.revision,
      promised: order.promised,
      pieces,
      paid: {},
      total: order.agreed!.total,
      reasons: {},
      ...over,
    };
    const answer = await shop.app.command('change-agreed', payload, as && { as });
    if (answer.ok || answer.issues[0]!.code !== 'price-changed' || over.total !== undefined) return answer;
    return shop.app.command(
      'change-agreed',
      { ...payload, total: Number(answer.issues[0]!.figures.now) },
      as && { as },
    );
  }

  it('is another design while nothing is cut: price, sizes, ticket and steps follow, and the difference is written down', async () => {
    const { orderId, ticket } = await shop.accepted();
    const before = await shop.jobOf(ticket);
    expect(codes(await change(orderId, wider, { total: 1 }))).toBe('price-changed');
    expect((await view(orderId)).agreed!.total).toBe(TOTAL);
    await must(change(orderId, wider));
    const order = await view(orderId);
    const job = await shop.jobOf(ticket);
    expect(order.agreed!.total).toBeGreaterThan(TOTAL);
    expect(job.worked.sizes.outside!.w - before.worked.sizes.outside!.w).toBe(inches(1));
    expect([job.ticket, job.id, job.events.map(({ what }) => what)]).toEqual([
      ticket,
      before.id,
      ['accepted', 'changed'],
    ]);
    expect(job.steps.every(({ state }) => state === 'todo')).toBe(true);
    const [audit] = await shop.app.db.query<{ before: object; after: object }>(
      "SELECT before, after FROM audit WHERE what = 'changed after yes' AND entity_id = $1",
      [orderId],
    );
    expect(audit).toMatchObject({ before: { total: TOTAL }, after: { total: order.agreed!.total, changed: [ticket] } });
    // A customer who saw the former one cannot be made to agree to it, nor somebody at a stale screen.
    expect(codes(await change(orderId, (was) => was, { revision: 2 }))).toBe('order-stale');
  });

  it('costs for what stays what was agreed, whatever the books say now', async () => {
    const { orderId } = await shop.accepted();
    const { prices } = (await shop.app.books())!;
    const { labourPerHour } = prices;
    const dearer = async (to: string) => {
      const { edition, groups: _groups, ...rest } = (await shop.app.books())!.prices;
      const rules = { ...rest, labourIncluded: rest.labourIncluded ?? false, labourPerHour: to };
      await must(shop.app.command('set-prices', { edition, starts: '2031-05-05', why: 'work', rules: rules as never }));
    };
    await dearer('96');
    await must(change(orderId, (was) => titled(was, 'Spelt right'), { promised: '2031-12-16' }));
    const order = await view(orderId);
    expect([order.agreed!.total, order.promised, order.pieces[0]!.design.piece.title]).toEqual([
      TOTAL,
      '2031-12-16',
      'Spelt right',
    ]);
    await dearer(labourPerHour);
  });

  it('that has begun says what was cut: it is paid as far as is said, and the bench begins anew', async () => {
    const { orderId, ticket, jobId } = await shop.accepted();
    await shop.workTo(ticket, 'join');
    const { begun } = await view(orderId);
    expect(begun[jobId]).toMatchObject({ begun: true, planned: false });
    const { amount } = begun[jobId]!;
    expect(amount).toBeGreaterThan(0);
    const refused = await change(orderId, wider);
    expect(codes(refused)).toBe('change-cut');
    expect(refused.ok ? {} : refused.issues[0]!.figures).toMatchObject({ ticket, amount });
    const free = await shop.app.command('change-agreed', {
      ...(await asked(orderId, wider)),
      paid: { [jobId]: 0 },
      total: 1,
    });
    const withoutIt = free.ok ? 0 : Number(free.issues[0]!.figures.now);
    await must(change(orderId, wider, { paid: { [jobId]: amount } }));
    const order = await view(orderId);
    expect(order.agreed!.total).toBeGreaterThan(withoutIt);
    expect(order.pieces[0]!.agreed!.price!.lines.find(({ amount: is }) => is === amount)).toBeDefined();
    expect((await shop.jobOf(ticket)).steps.every(({ state }) => state === 'todo')).toBe(true);
    // The words can be put right at any time, and nothing is begun anew for it.
    await shop.workTo(ticket, 'join');
    await must(change(orderId, (was) => titled(was, 'Harbour')));
    expect((await shop.jobOf(ticket)).next).toBe('join');
  });
  const asked = async (orderId: string, make: (was: Design) => Design) => {
    const order = await view(orderId);
    return {
      orderId,
      revision: order.revision,
      promised: order.promised,
      pieces: order.pieces.map(({ id, agreed: was }) => ({ id, design: make(was!.resolved.design) })),
      paid: {},
      total: order.agreed!.total,
      reasons: {},
    };
  };

  it('is not changed by halves: other pieces, invented figures, a day that is over, nothing at all', async () => {
    const { orderId } = await shop.accepted();
    const one = await asked(orderId, wider);
    const command = (over: object) => shop.app.command('change-agreed', { ...one, ...over });
    const stranger = { id: crypto.randomUUID(), design: stockedDesign() };
    expect(codes(await command({ pieces: [stranger] }))).toBe('change-pieces');
    expect(codes(await command({ pieces: [...one.pieces, stranger] }))).toBe('change-pieces');
    expect(codes(await command({ pieces: [...one.pieces, ...one.pieces] }))).toBe('change-pieces');
    expect(codes(await command({ promised: '2031-05-04' }))).toBe('promise-past');
    expect(codes(await change(orderId, (was) => was))).toBe('change-none');
    const was = await agreed(orderId);
    const moulding = was.frame.moulding as { given: { code: string; name: string } };
    const cheap = { ...was, frame: { ...was.frame, moulding: { given: { ...moulding.given, name: 'Cheaper' } } } };
    expect(codes(await change(orderId, () => cheap as never))).toBe('material-invented');
    const quote = await shop.quote();
    const open = { ...one, orderId: quote.orderId, revision: 1, pieces: quote.pieces as never };
    expect(codes(await shop.app.command('change-agreed', open))).toBe('order-agreed');
    expect(await agreed(orderId)).toEqual(was);
  });

  it('gives nobody a discount beyond their own limit', async () => {
    const { orderId } = await shop.accepted();
    const as = { id: crypto.randomUUID(), name: 'Tess', role: 'counter' as const };
    await must(shop.app.command('add-staff', { id: as.id, name: 'Tess', pin: '4711', role: 'counter' }));
    const given = (was: Design): Design => ({ ...was, discount: { percent: '50', reason: 'friend', by: '' } });
    expect(codes(await change(orderId, given, { as }))).toBe('discount-needs-owner');
    expect(codes(await change(orderId, given))).toBe('ok');
  });

  it.each([true, false])(
    'is paid to its end, tax at payment %s: nothing is left over in any account',
    async (taxAtPayment) => {
      const { edition } = (
        await shop.app.db.query<{ edition: number }>(
          'SELECT coalesce(max(number), 0)::int AS edition FROM settings_edition',
        )
      )[0]!;
      await must(shop.app.command('change-settings', { edition, settings: { ...USUAL_SETTINGS, taxAtPayment } }));
      const { orderId, ticket } = await shop.accepted();
      await must(shop.app.command('take-cash', { orderId, paymentId: crypto.randomUUID(), amount: 9_400 }));
      await must(change(orderId, wider));
      const { agreed: now, balance } = await view(orderId);
      expect(balance).toBe(now!.total - 9_400);
      await must(shop.app.command('take-cash', { orderId, paymentId: crypto.randomUUID(), amount: balance }));
      await shop.workTo(ticket, 'final-check');
      const job = await shop.jobOf(ticket);
      await must(
        shop.app.command('final-check', {
          jobId: job.id,
          revision: job.revision,
          points: Object.fromEntries(job.checks.map((point) => [point, 'ok'])),
        }),
      );
      const { revision } = await view(orderId);
      await must(shop.app.command('hand-over', { orderId, revision, signedBy: 'Bo', identified: true }));
      const rows = await shop.app.db.query<{ account: string; sum: number }>(
        `SELECT p.account, sum(p.amount)::int AS sum FROM ledger_posting p JOIN ledger_entry e ON e.id = p.entry_id
        WHERE e.order_id = $1 GROUP BY p.account`,
        [orderId],
      );
      const of = Object.fromEntries(rows.map(({ account, sum }) => [account, sum]));
      const tax = now!.tax.reduce((total, { amount }) => total + amount, 0);
      expect([of.cash, of.deposits ?? 0, of.receivable ?? 0, of.tax, of.sales]).toEqual([
        now!.total,
        0,
        0,
        -tax,
        tax - now!.total,
      ]);
    },
  );
});
