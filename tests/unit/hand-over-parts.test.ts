/** An order of several pieces that goes out one by one, with its money. */
import { beforeEach, describe, expect, it } from 'vitest';
import { CHECK_POINTS } from '@/core/route/steps';
import { ledgerView } from '@/server/ledger-views';
import { type Stocked, codes, must, stocked, stockedDesign } from '../stocked';

const id = () => crypto.randomUUID();
const GOOD = Object.fromEntries(Object.keys(CHECK_POINTS).map((point) => [point, 'ok' as const]));
let shop: Stocked;
let orderId: string;
let ids: string[];
let number: number;

/** Three pieces of 173.00: 519.00, with 8 % 560.52. */
const TOTAL = 56_052;
const ONE = 18_684;
beforeEach(async () => {
  shop = await stocked();
  const order = await shop.quote([stockedDesign(), stockedDesign(), stockedDesign()]);
  await must(shop.app.command('accept-order', { orderId: order.orderId, revision: 1, total: TOTAL, reasons: {} }));
  ({ orderId } = order);
  ids = order.pieces.map((piece) => piece.id);
  ({ number } = await shop.viewOf(orderId));
});
const ready = async (piece: number) => {
  const ticket = `${number}-${piece}`;
  await shop.workTo(ticket, 'final-check');
  const job = await shop.jobOf(ticket);
  await must(shop.app.command('final-check', { jobId: job.id, revision: job.revision, points: GOOD }));
};
const pay = (amount: number) => must(shop.app.command('take-cash', { orderId, paymentId: id(), amount }));
const handOver = async (jobIds?: string[]) =>
  shop.app.command('hand-over', {
    orderId,
    revision: (await shop.viewOf(orderId)).revision,
    signedBy: 'Bo',
    identified: true,
    ...(jobIds ? { jobIds } : {}),
  });
/** What stands on each account. */
const books = async () => {
  const { standing } = await ledgerView(shop.app.viewer(), '2000-01-01', '2199-12-31');
  const found: Record<string, number> = {};
  for (const { account, amount } of standing) found[account] = (found[account] ?? 0) + amount;
  return found;
};

describe('pieces of one order', () => {
  it('go one by one, each with its own lines; the last takes what is left to the cent', async () => {
    await pay(30_000);
    await ready(1);
    await must(handOver([ids[0]!]));
    let view = await shop.viewOf(orderId);
    expect([view.state, view.balance, view.paid, view.jobs.map(({ state }) => state)]).toEqual([
      'accepted',
      TOTAL - 30_000,
      30_000,
      ['handed-over', 'waiting-for-material', 'waiting-for-material'],
    ]);
    expect(await books()).toMatchObject({ sales: -17_300, tax: -1384, deposits: -(30_000 - ONE) });
    await ready(2);
    expect(codes(await handOver([ids[1]!]))).toBe('part-not-paid');
    await pay(TOTAL - 30_000);
    await must(handOver([ids[1]!]));
    await ready(3);
    await must(handOver());
    view = await shop.viewOf(orderId);
    expect([view.state, view.balance]).toEqual(['handed-over', 0]);
    const after = await books();
    expect(after).toMatchObject({ sales: -51_900, tax: -4152, cash: TOTAL });
    expect(after.deposits ?? 0).toBe(0);
    expect(Object.values(after).reduce((all, amount) => all + amount, 0)).toBe(0);
  });

  it('are refused when they are not ready, gone already, or of another order', async () => {
    await pay(TOTAL);
    expect(codes(await handOver([ids[0]!]))).toBe('job-not-ready');
    await ready(1);
    await must(handOver([ids[0]!]));
    expect(codes(await handOver([ids[0]!]))).toBe('part-gone');
    expect(codes(await handOver([id()]))).toBe('part-gone');
    expect(codes(await handOver())).toBe('job-not-ready');
  });

  it('leave an order that cannot be cancelled; what is held beyond them can go back', async () => {
    await pay(30_000);
    await ready(1);
    await must(handOver([ids[0]!]));
    const { revision, received } = await shop.viewOf(orderId);
    const cancel = await shop.app.command('cancel-order', { orderId, revision, reason: 'x', kept: 0 });
    expect(codes(cancel)).toBe('order-part-gone');
    const back = (amount: number) =>
      shop.app.command('refund', { orderId, refundId: id(), means: 'cash', amount, reason: 'too much' });
    expect(codes(await back(30_000 - ONE + 1))).toBe('refund-above-paid');
    await must(back(30_000 - ONE));
    expect([received.cash, (await shop.viewOf(orderId)).balance]).toEqual([30_000, TOTAL - ONE]);
  });
});
