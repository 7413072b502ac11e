/** Payments: entries of the ledger. Nothing is taken above the balance; a slip is reversed by another entry. */
import { type Outcome, bad, good, issue } from '@/core/issue';
import { type Means } from '@/core/ledger/accounts';
import { type OrderAccount, heldOf, owed, received, taxInPayment } from '@/core/ledger/order-account';
import { changeOf } from '@/core/ledger/till';
import { type Money, money } from '@/core/units/money';
import type { Tx } from '@/db/client';
import { type BookedPosting, lockVoucher, postingOf, postingsOfEntry } from '@/db/queries/ledger';
import {
  type OrderRow,
  cardRequest,
  insertCard,
  isReversed,
  lockOrder,
  openCards,
  paymentById,
  setCard,
} from '@/db/queries/orders';
import type { AuditEntry } from '@/db/queries/door';
import type { Context, Handler } from '../door';
import { dayOf } from '../clock';
import { insertLinkEvent } from '@/db/queries/links';
import { accountOf, book, paidOf } from '../ledger';

interface Found {
  readonly order: OrderRow;
  readonly account: OrderAccount;
  readonly balance: Money;
}

async function found(tx: Tx, orderId: string): Promise<Outcome<Found>> {
  const order = await lockOrder(tx, orderId);
  if (!order) return bad(issue('order-unknown'));
  if (!order.agreed || order.state === 'cancelled')
    return bad(issue('payment-not-agreed', { number: order.number, state: order.state }));
  const account = await accountOf(tx, order);
  return good({ order, account, balance: owed(account) });
}

/** The first money on an order is its deposit, what follows goes to the balance. */
const kindFor = ({ account, order }: Found) =>
  paidOf(account) === 0 && order.state === 'accepted' ? ('deposit' as const) : ('balance' as const);

/** The postings of a payment, with the tax in it where tax is owed from the payment on. */
async function postingsFor(tx: Tx, { account }: Found, means: Means, amount: Money, { app }: Context) {
  const { taxAtPayment } = await app.settingsIn(tx);
  return [...received(account, means, amount), ...(taxAtPayment ? taxInPayment(account, amount) : [])];
}

/** Refuses what is more than is still to come, less what the terminal may take yet, unless it is meant as credit. */
async function above(
  tx: Tx,
  { balance, order }: Found,
  amount: number,
  credit = false,
): Promise<Outcome<never> | undefined> {
  if (credit) return undefined;
  const held = (await openCards(tx, order.id)).reduce((total, one) => total + one.amount, 0);
  return amount > balance - held
    ? bad(issue('payment-above-balance', { amount, balance: balance - held }, 'amount'))
    : undefined;
}

/** Less than the deposit is taken with a reason, or by an owner. */
function lessThanDeposit(
  { order, account }: Found,
  amount: number,
  less: string | undefined,
  { role }: Context,
): Outcome<never> | undefined {
  const deposit = order.state === 'accepted' ? (order.agreed?.deposit ?? 0) : 0;
  const so = paidOf(account) + amount;
  return so < deposit && less === undefined && role !== 'owner'
    ? bad(issue('deposit-less', { deposit, missing: deposit - so }, 'less'))
    : undefined;
}
const why = (less: string | undefined) => (less === undefined ? {} : { less });

const taken = (what: string, orderId: string, balance: number, amount: number, more: AuditEntry['after']) => ({
  audit: [
    {
      what,
      entity: 'order',
      entityId: orderId,
      before: { balance },
      after: { balance: balance - amount, ...(more as object) },
    },
  ],
  touched: [`order:${orderId}`, 'ledger'],
});

export const takeCash: Handler<'take-cash'> = async (tx, payload, context) => {
  const { orderId, paymentId, amount, tendered, less, credit } = payload;
  const order = await found(tx, orderId);
  if (!order.ok) return order;
  const refusal = (await above(tx, order.value, amount, credit)) ?? lessThanDeposit(order.value, amount, less, context);
  if (refusal) return refusal;
  const change = changeOf(money(tendered ?? amount), money(amount));
  if (change === undefined) return bad(issue('tendered-less', { tendered: tendered!, amount }, 'tendered'));
  const postings = await postingsFor(tx, order.value, 'cash', money(amount), context);
  await book(tx, context, { id: paymentId, kind: kindFor(order.value), orderId, note: less ?? '' }, postings);
  const { balance } = order.value;
  return good({
    result: { balance: balance - amount, ...(tendered === undefined ? {} : { change }) },
    ...taken('cash taken', orderId, balance, amount, { paymentId, ...why(less) }),
  });
};

/** Money that came to the bank; booked when it is seen there. */
export const takeTransfer: Handler<'take-transfer'> = async (tx, payload, context) => {
  const { orderId, paymentId, amount, note, less, credit } = payload;
  const order = await found(tx, orderId);
  if (!order.ok) return order;
  const refusal = (await above(tx, order.value, amount, credit)) ?? lessThanDeposit(order.value, amount, less, context);
  if (refusal) return refusal;
  const postings = await postingsFor(tx, order.value, 'bank', money(amount), context);
  await book(tx, context, { id: paymentId, kind: kindFor(order.value), orderId, note }, postings);
  const { balance } = order.value;
  return good({
    result: { balance: balance - amount },
    ...taken('transfer taken', orderId, balance, amount, { paymentId, note, ...why(less) }),
  });
};

export const takeVoucher: Handler<'take-voucher'> = async (tx, payload, context) => {
  const { orderId, paymentId, amount, code, less } = payload;
  const order = await found(tx, orderId);
  if (!order.ok) return order;
  const voucher = await lockVoucher(tx, code);
  if (!voucher) return bad(issue('voucher-unknown', {}, 'code'));
  if (voucher.expires !== null && voucher.expires < dayOf(context.now))
    return bad(issue('voucher-expired', { day: voucher.expires }, 'code'));
  if (voucher.left === 0) return bad(issue('voucher-used', {}, 'code'));
  if (amount > voucher.left) return bad(issue('voucher-less', { amount, left: voucher.left }, 'amount'));
  const refusal = (await above(tx, order.value, amount)) ?? lessThanDeposit(order.value, amount, less, context);
  if (refusal) return refusal;
  const postings = (await postingsFor(tx, order.value, 'vouchers', money(amount), context)).map(
    (posting): BookedPosting => (posting.account === 'vouchers' ? { ...posting, voucher: voucher.id } : posting),
  );
  await book(tx, context, { id: paymentId, kind: kindFor(order.value), orderId, note: less ?? '' }, postings);
  const { balance } = order.value;
  return good({
    result: { balance: balance - amount, left: voucher.left - amount },
    ...taken('voucher taken', orderId, balance, amount, { paymentId, voucher: voucher.id, ...why(less) }),
  });
};

export const askCard: Handler<'ask-card'> = async (tx, { orderId, requestId, amount, less }, context) => {
  const { now, by } = context;
  const order = await found(tx, orderId);
  if (!order.ok) return order;
  const waiting = await openCards(tx, orderId);
  if (waiting.length > 0) return bad(issue('card-waiting', { amount: waiting[0]!.amount }));
  if (amount > order.value.balance)
    return bad(issue('payment-above-balance', { amount, balance: order.value.balance }, 'amount'));
  const refusal = lessThanDeposit(order.value, amount, less, context);
  if (refusal) return refusal;
  await insertCard(
    tx,
    { id: requestId, order_id: orderId, kind: kindFor(order.value), amount, at: now, link_id: null },
    by,
  );
  return good({
    audit: [{ what: 'card asked', entity: 'order', entityId: orderId, after: { requestId, amount, ...why(less) } }],
    touched: [`order:${orderId}`],
  });
};

export const cardAnswer: Handler<'card-answer'> = async (tx, { requestId, answer }, context) => {
  const request = await cardRequest(tx, requestId);
  if (!request) return bad(issue('card-unknown'));
  const order = await lockOrder(tx, request.order_id);
  const current = await cardRequest(tx, requestId);
  // Money that was taken is booked, also when nobody waited for it any more: what is too much is owed back.
  const late = current!.state === 'dropped' && answer === 'approved';
  if (current!.state !== 'open' && current!.state !== 'unanswered' && !late)
    return good({ result: { state: current!.state }, audit: [], touched: [] });
  await setCard(tx, requestId, answer);
  if (answer === 'approved' && order?.agreed) {
    const account = await accountOf(tx, order);
    const amount = money(request.amount);
    const postings = await postingsFor(tx, { order, account, balance: owed(account) }, 'card', amount, context);
    const note = late ? 'approved after the question was dropped' : '';
    const entry = { id: requestId, kind: request.kind, orderId: order.id, note };
    const link = request.link_id;
    if (link === null) await book(tx, context, entry, postings);
    else await book(tx, { ...context, by: null, link }, { ...entry, till: null }, postings);
  }
  if (request.link_id !== null && answer !== 'unanswered')
    await insertLinkEvent(tx, request.link_id, {
      at: context.now,
      what: answer === 'approved' ? 'paid' : 'not paid',
      detail: { amount: request.amount },
    });
  return good({
    result: { state: answer },
    audit: [
      {
        what: `card ${answer}`,
        entity: 'order',
        entityId: request.order_id,
        before: { state: current!.state },
        after: { requestId, amount: request.amount },
      },
    ],
    touched: [`order:${request.order_id}`, 'ledger'],
  });
};

export const dropCard: Handler<'drop-card'> = async (tx, { requestId }) => {
  const request = await cardRequest(tx, requestId);
  if (!request) return bad(issue('card-unknown'));
  await lockOrder(tx, request.order_id);
  const { state } = (await cardRequest(tx, requestId))!;
  if (state !== 'open' && state !== 'unanswered') return good({ result: { state }, audit: [], touched: [] });
  await setCard(tx, requestId, 'dropped');
  return good({
    result: { state: 'dropped' },
    audit: [
      {
        what: 'card dropped',
        entity: 'order',
        entityId: request.order_id,
        before: { state },
        after: { requestId, amount: request.amount },
      },
    ],
    touched: [`order:${request.order_id}`],
  });
};

/** A slip is taken back by an entry that says the contrary and names it. */
export const reversePayment: Handler<'reverse-payment'> = async (tx, { paymentId, newId, reason }, context) => {
  const entry = await paymentById(tx, paymentId);
  if (!entry) return bad(issue('payment-unknown'));
  const order = await lockOrder(tx, entry.order_id);
  if (order?.state === 'handed-over') return bad(issue('order-agreed', { number: order.number, state: order.state }));
  if (entry.reverses || (await isReversed(tx, paymentId))) return bad(issue('payment-reversed'));
  const account = order?.agreed ? await accountOf(tx, order) : undefined;
  const held = account ? Math.min(heldOf(account), account.received[entry.method]) : 0;
  if (entry.amount > held && entry.amount > 0)
    return bad(issue('refund-above-paid', { amount: entry.amount, paid: held }));
  const back = (await postingsOfEntry(tx, paymentId)).map(postingOf).map((posting): BookedPosting => ({
    ...posting,
    amount: money(-posting.amount),
  }));
  const reversed = {
    id: newId,
    kind: 'correction',
    orderId: entry.order_id,
    note: reason,
    reverses: paymentId,
  } as const;
  await book(tx, context, reversed, back);
  return good({
    audit: [
      { what: 'payment reversed', entity: 'order', entityId: entry.order_id, before: entry, after: { newId, reason } },
    ],
    touched: [`order:${entry.order_id}`, 'ledger'],
  });
};
