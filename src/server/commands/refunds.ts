/** Money that goes back, orders that are cancelled, and what is given up. */
import { type Outcome, bad, good, issue } from '@/core/issue';
import { MEANS, type Means, type Posting } from '@/core/ledger/accounts';
import { type OrderAccount, after, kept as keptPostings, refunded, writtenOff } from '@/core/ledger/order-account';
import { type Money, money } from '@/core/units/money';
import type { Tx } from '@/db/client';
import { type BookedPosting, postingsOfOrder } from '@/db/queries/ledger';
import { jobsOfOrder } from '@/db/queries/jobs';
import { type OrderRow, lockOrder, openCards, setOrderState } from '@/db/queries/orders';
import { ownersPin } from '../owners-pin';
import type { Context, Handler, Readying } from '../door';
import { accountOf, book, paidOf } from '../ledger';
import { freshOrder } from './orders';

/** A voucher that paid for an order is given back what it gave. */
async function toVouchers(tx: Tx, orderId: string, postings: readonly Posting[]): Promise<BookedPosting[]> {
  const used = (await postingsOfOrder(tx, orderId)).filter((row) => row.voucher_id !== null);
  const left = new Map<string, number>();
  for (const { voucher_id, amount } of used) left.set(voucher_id!, (left.get(voucher_id!) ?? 0) + amount);
  return postings.flatMap((posting): BookedPosting[] => {
    if (posting.account !== 'vouchers') return [posting];
    let back = -posting.amount;
    const parts: BookedPosting[] = [];
    for (const [voucher, had] of left) {
      const part = Math.min(back, had);
      if (part > 0) parts.push({ ...posting, amount: money(-part), voucher });
      back -= part;
    }
    return parts;
  });
}

export const readyRefund: Readying<'refund'> = ({ pin }, context) => ownersPin(pin, context);

/** Gives money back, to the means it came by; to another, and above the limit, with the owner's PIN. */
export const refund: Handler<'refund'> = async (tx, { orderId, refundId, means, amount, reason }, context) => {
  const order = await lockOrder(tx, orderId);
  if (!order?.agreed) return bad(issue('order-unknown'));
  const account = await accountOf(tx, order);
  const { refundLimit } = await context.app.settingsIn(tx);
  const owner = context.role === 'owner' || context.ready === true;
  if (amount > refundLimit * MINOR && !owner)
    return bad(issue('refund-needs-owner', { limit: refundLimit * MINOR }, 'pin'));
  if (amount > account.received[means]) {
    if (means === 'vouchers') return bad(issue('refund-other-means', { received: account.received[means] }, 'amount'));
    if (!owner) return bad(issue('refund-other-means', { received: account.received[means] }, 'pin'));
  }
  const waiting = await openCards(tx, orderId);
  if (waiting[0]) return bad(issue('card-waiting', { amount: waiting[0].amount }));
  const postings = refunded(account, means, money(amount));
  if (!postings.ok) return postings;
  const booked = await toVouchers(tx, orderId, postings.value);
  await book(tx, context, { id: refundId, kind: 'refund', orderId, note: reason }, booked);
  return good({
    audit: [
      {
        what: 'refunded',
        entity: 'order',
        entityId: orderId,
        before: { paid: paidOf(account) },
        after: { refundId, means, amount, reason },
      },
    ],
    touched: [`order:${orderId}`, 'ledger'],
  });
};
const MINOR = 100;

/** What goes back by each means: to a voucher first, in cash last, so that what is kept is kept of the cash. */
function backBy({ received }: OrderAccount, amount: number): { means: Means; amount: Money }[] {
  let left = amount;
  return [...MEANS].reverse().flatMap((means) => {
    // More than came by a means may have gone back by it already.
    const part = money(Math.max(0, Math.min(left, received[means])));
    left -= part;
    return part > 0 ? [{ means, amount: part }] : [];
  });
}

async function giveBack(
  tx: Tx,
  order: OrderRow,
  kept: number,
  context: Context,
): Promise<Outcome<{ readonly back: number }>> {
  let account = await accountOf(tx, order);
  const paid = paidOf(account);
  if (kept > paid) return bad(issue('kept-above-paid', { kept, paid }, 'kept'));
  for (const { means, amount } of backBy(account, paid - kept)) {
    const postings = refunded(account, means, amount);
    if (!postings.ok) return postings;
    const booked = await toVouchers(tx, order.id, postings.value);
    await book(tx, context, { id: crypto.randomUUID(), kind: 'refund', orderId: order.id }, booked);
    account = after(account, postings.value);
  }
  if (kept > 0)
    await book(
      tx,
      context,
      { id: crypto.randomUUID(), kind: 'kept', orderId: order.id },
      keptPostings(account, money(kept)),
    );
  return good({ back: paid - kept });
}

/** Cancels an order. Where money came, it is said what of it is kept; the rest goes back as it came. */
export const cancelOrder: Handler<'cancel-order'> = async (tx, { orderId, revision, reason, kept }, context) => {
  const order = await freshOrder(tx, orderId, revision);
  if (!order.ok) return order;
  if (order.value.state !== 'quoted' && order.value.state !== 'accepted')
    return bad(issue('order-agreed', { number: order.value.number, state: order.value.state }));
  if ((await jobsOfOrder(tx, orderId)).some(({ handed }) => handed !== null)) return bad(issue('order-part-gone'));
  let back = 0;
  if (order.value.agreed) {
    const paid = paidOf(await accountOf(tx, order.value));
    if (paid !== 0 && kept === undefined) return bad(issue('cancel-with-money', { paid }));
    const asked = await openCards(tx, orderId);
    if (asked[0]) return bad(issue('card-waiting', { amount: asked[0].amount }));
    const given = await giveBack(tx, order.value, kept ?? 0, context);
    if (!given.ok) return given;
    ({ back } = given.value);
  }
  await setOrderState(tx, orderId, 'cancelled');
  return good({
    ...(kept === undefined ? {} : { result: { back } }),
    audit: [
      {
        what: 'cancelled',
        entity: 'order',
        entityId: orderId,
        before: { state: order.value.state },
        after: { state: 'cancelled', reason, ...(kept === undefined ? {} : { kept, back }) },
      },
    ],
    touched: [`order:${orderId}`, 'board', 'ledger'],
  });
};

/** Gives up what a customer owes for what was handed over. */
export const writeOff: Handler<'write-off'> = async (tx, { orderId, entryId, amount, reason }, context) => {
  const order = await lockOrder(tx, orderId);
  if (!order?.agreed) return bad(issue('order-unknown'));
  const account = await accountOf(tx, order);
  const postings = writtenOff(account, money(amount));
  if (!postings.ok) return postings;
  await book(tx, context, { id: entryId, kind: 'write-off', orderId, note: reason }, postings.value);
  return good({
    audit: [
      {
        what: 'written off',
        entity: 'order',
        entityId: orderId,
        before: { owed: account.receivable },
        after: { owed: account.receivable - amount, reason },
      },
    ],
    touched: [`order:${orderId}`, 'ledger'],
  });
};
