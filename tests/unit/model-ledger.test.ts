import { beforeAll, describe, expect, it } from 'vitest';
import { CHECK_POINTS } from '@/core/route/steps';
import type { CommandName } from '@/contract/commands';
import { MEANS } from '@/core/ledger/accounts';
import { standingAt } from '@/db/queries/ledger';
import { orderById } from '@/db/queries/orders';
import { accountOf } from '@/server/ledger';
import { ledgerView, tillReport, tillView } from '@/server/ledger-views';
import { randomFrom } from '@/core/cutting/random';
import { type Stocked, TOTAL, codes, must, stocked } from '../stocked';

const id = () => crypto.randomUUID();
const GOOD = Object.fromEntries(Object.keys(CHECK_POINTS).map((point) => [point, 'ok' as const]));
let shop: Stocked;
/** What was answered, over all days. */
const met = new Set<string>();
beforeAll(async () => {
  shop = await stocked({ till: false });
});

/** What the money of a shop goes through, in any order. */
class Counter {
  readonly orders: string[] = [];
  readonly vouchers: string[] = [];
  readonly sealed = new Map<string, string>();
  /** All that was ever taken and given back, by order. */
  readonly came = new Map<string, number>();
  private readonly random;
  constructor(seed: number) {
    this.random = randomFrom(seed);
  }
  below = (most: number) => this.random.below(Math.max(1, most));
  pick = <T>(list: readonly T[]): T => list[this.below(list.length)]!;
  amount = () => this.pick([1, 999, 5000, 9400, TOTAL, this.below(TOTAL) + 1]);

  async give(name: CommandName, payload: unknown) {
    const before = await this.all();
    const answer = await shop.app.command(name, payload as never);
    met.add(`${name} ${codes(answer)}`);
    if (!answer.ok) expect(await this.all()).toEqual(before);
    return answer;
  }
  /** Everything that stands in the books. */
  all = () => standingAt(shop.app.db, '2199-12-31');

  async take(orderId: string) {
    const amount = this.amount();
    const code = this.pick(['AAAA', ...this.vouchers]);
    const [name, more] = this.pick([
      ['take-cash', {}],
      ['take-cash', { tendered: amount + this.below(3000) }],
      ['take-transfer', { note: 'seen' }],
      ['take-voucher', { code }],
    ] as const);
    const answer = await this.give(name, { orderId, paymentId: id(), amount, ...more });
    if (answer.ok) this.came.set(orderId, (this.came.get(orderId) ?? 0) + amount);
  }
  async refund(orderId: string) {
    const payload = { orderId, refundId: id(), means: this.pick(MEANS), amount: this.amount(), reason: 'a scratch' };
    await this.give('refund', payload);
  }
  async reverse(orderId: string) {
    const { payments } = await shop.viewOf(orderId);
    if (payments.length === 0) return;
    await this.give('reverse-payment', { paymentId: this.pick(payments).id, newId: id(), reason: 'a slip' });
  }
  async cancel(orderId: string) {
    const { revision } = await shop.viewOf(orderId);
    await this.give('cancel-order', { orderId, revision, reason: 'no', kept: this.pick([0, 1, 3045, TOTAL]) });
  }
  async hand(orderId: string) {
    const { revision } = await shop.viewOf(orderId);
    await this.give('hand-over', { orderId, revision, signedBy: 'Bo', identified: true });
  }
  async till() {
    const { open } = await tillView(shop.app.viewer());
    const pieces = [{ of: 1, count: this.below(60_000) }];
    if (!open) await this.give('open-till', { dayId: id(), till: 1, pieces });
    else if (this.below(2) === 0) await this.give('count-till', { dayId: open.id, pieces, card: 0, vouchers: 0 });
    else {
      const answer = await this.give('seal-till', { dayId: open.id, note: this.pick(['', 'as it was']) });
      if (answer.ok) this.sealed.set(open.id, JSON.stringify(await tillReport(shop.app.viewer(), open.id)));
    }
  }

  async act() {
    const order = this.pick(this.orders);
    const deeds = [
      ...Array.from({ length: 4 }, () => () => this.take(order)),
      () => this.refund(order),
      () => this.refund(order),
      () => this.reverse(order),
      () => this.hand(order),
      ...(this.below(4) === 0 ? [() => this.cancel(order)] : []),
      () => this.give('write-off', { orderId: order, entryId: id(), amount: this.amount(), reason: 'gone' }),
      async () => {
        const sold = await this.give('sell-voucher', { id: id(), amount: this.amount(), means: 'cash', expires: null });
        if (sold.ok) this.vouchers.push(String(sold.value.code));
      },
      () =>
        this.give('move-cash', {
          entryId: id(),
          kind: this.pick(['cash-in', 'expense', 'to-bank']),
          amount: this.amount(),
          why: 'x',
        }),
      () => this.give('book-payout', { entryId: id(), amount: this.amount(), fee: this.below(600) }),
      () => this.till(),
      () => this.till(),
    ];
    await this.pick(deeds)();
  }

  async agrees() {
    expect((await this.all()).reduce((total, { amount }) => total + amount, 0)).toBe(0);
    for (const orderId of this.orders) {
      const order = (await orderById(shop.app.db, orderId))!;
      const { deposits, receivable, received } = await accountOf(shop.app.db, order);
      expect(deposits).toBeGreaterThanOrEqual(0);
      expect(receivable).toBeGreaterThanOrEqual(0);
      const kept = Object.values(received).reduce<number>((total, amount) => total + amount, 0);
      expect(kept).toBeGreaterThanOrEqual(0);
      expect(kept).toBeLessThanOrEqual(this.came.get(orderId) ?? 0);
      const view = await shop.viewOf(orderId);
      expect(view.paid).toBe(kept);
      if (view.state === 'accepted') expect(view.balance).toBe(Math.max(0, TOTAL - kept));
    }
    for (const [dayId, report] of this.sealed)
      expect(JSON.stringify(await tillReport(shop.app.viewer(), dayId))).toBe(report);
    const { vouchers } = await ledgerView(shop.app.viewer(), '2000-01-01', '2199-12-31');
    for (const { left } of vouchers) expect(left).toBeGreaterThan(0);
    const owed = (await this.all()).find(({ account }) => account === 'vouchers')?.amount ?? 0;
    expect(vouchers.reduce((total, { left }) => total + left, 0)).toBe(0 - owed);
  }
}

describe('money in any order', () => {
  beforeAll(() => must(shop.app.command('change-terms', { customerId: shop.customerId, days: 7, limit: 25_000 })));

  it.each([21, 22, 23])(
    'comes to zero, never below what is held, and leaves sealed days alone, seed %i',
    async (seed) => {
      const counter = new Counter(seed);
      for (let index = 0; index < 3; index += 1) {
        const { orderId, ticket } = await shop.accepted();
        counter.orders.push(orderId);
        await shop.workTo(ticket, 'final-check');
        const job = await shop.jobOf(ticket);
        await must(shop.app.command('final-check', { jobId: job.id, revision: job.revision, points: GOOD }));
      }
      for (let index = 0; index < 120; index += 1) {
        await counter.act();
        if (index % 10 === 9) await counter.agrees();
      }
    },
  );

  it('meets what a counter meets', () => {
    const wanted = [
      'take-cash ok',
      'take-cash payment-above-balance',
      'take-cash till-closed',
      'take-voucher ok',
      'take-voucher voucher-unknown',
      'take-voucher voucher-less',
      'refund ok',
      'refund refund-above-paid',
      'reverse-payment ok',
      'cancel-order ok',
      'hand-over ok',
      'write-off ok',
      'write-off write-off-early',
      'open-till ok',
      'seal-till ok',
      'seal-till till-off',
      'seal-till till-moved',
    ];
    expect(wanted.filter((one) => !met.has(one))).toEqual([]);
  });
});
