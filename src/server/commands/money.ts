/** Payments: a ledger that only grows. Nothing is taken above the balance; a slip is reversed by another entry. */
import { type Outcome, bad, good, issue } from '@/core/issue';
import type { Tx } from '@/db/client';
import {
  type OrderRow,
  cardRequest,
  insertCard,
  insertPayment,
  isReversed,
  lockOrder,
  openCards,
  paymentById,
  paymentsOf,
  setCard,
} from '@/db/queries/orders';
import type { Handler } from '../door';

interface Account {
  readonly order: OrderRow;
  readonly paid: number;
  readonly balance: number;
}

async function account(tx: Tx, orderId: string): Promise<Outcome<Account>> {
  const order = await lockOrder(tx, orderId);
  if (!order) return bad(issue('order-unknown'));
  if (!order.agreed || order.state === 'cancelled')
    return bad(issue('payment-not-agreed', { number: order.number, state: order.state }));
  const paid = (await paymentsOf(tx, orderId)).reduce((total, one) => total + one.amount, 0);
  return good({ order, paid, balance: order.agreed.total - paid });
}

/** The first money on an order is its deposit, what follows goes to the balance. */
const kindFor = ({ paid }: Account) => (paid === 0 ? 'deposit' : 'balance');

export const takeCash: Handler<'take-cash'> = async (tx, { orderId, paymentId, amount }, { now, by }) => {
  const found = await account(tx, orderId);
  if (!found.ok) return found;
  const held = (await openCards(tx, orderId)).reduce((total, one) => total + one.amount, 0);
  const { balance } = found.value;
  if (amount > balance - held)
    return bad(issue('payment-above-balance', { amount, balance: balance - held }, 'amount'));
  const entry = {
    id: paymentId,
    order_id: orderId,
    kind: kindFor(found.value),
    method: 'cash',
    amount,
    at: now,
    by,
    note: '',
    reverses: null,
  } as const;
  await insertPayment(tx, entry);
  return good({
    result: { balance: balance - amount },
    audit: [
      {
        what: 'cash taken',
        entity: 'order',
        entityId: orderId,
        before: { balance },
        after: { balance: balance - amount, paymentId },
      },
    ],
    touched: [`order:${orderId}`],
  });
};

export const askCard: Handler<'ask-card'> = async (tx, { orderId, requestId, amount }, { now, by }) => {
  const found = await account(tx, orderId);
  if (!found.ok) return found;
  const waiting = await openCards(tx, orderId);
  if (waiting.length > 0) return bad(issue('card-waiting', { amount: waiting[0]!.amount }));
  if (amount > found.value.balance)
    return bad(issue('payment-above-balance', { amount, balance: found.value.balance }, 'amount'));
  await insertCard(tx, { id: requestId, order_id: orderId, kind: kindFor(found.value), amount, at: now }, by);
  return good({
    audit: [{ what: 'card asked', entity: 'order', entityId: orderId, after: { requestId, amount } }],
    touched: [`order:${orderId}`],
  });
};

export const cardAnswer: Handler<'card-answer'> = async (tx, { requestId, answer }, { now, by }) => {
  const request = await cardRequest(tx, requestId);
  if (!request) return bad(issue('card-unknown'));
  await lockOrder(tx, request.order_id);
  const current = await cardRequest(tx, requestId);
  // Money that was taken is booked, also when nobody waited for it any more: what is too much is owed back.
  const late = current!.state === 'dropped' && answer === 'approved';
  if (current!.state !== 'open' && current!.state !== 'unanswered' && !late)
    return good({ result: { state: current!.state }, audit: [], touched: [] });
  await setCard(tx, requestId, answer);
  if (answer === 'approved') {
    await insertPayment(tx, {
      id: requestId,
      order_id: request.order_id,
      kind: request.kind,
      method: 'card',
      amount: request.amount,
      at: now,
      by,
      note: late ? 'approved after the question was dropped' : '',
      reverses: null,
    });
  }
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
    touched: [`order:${request.order_id}`],
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

export const reversePayment: Handler<'reverse-payment'> = async (tx, { paymentId, newId, reason }, { now, by }) => {
  const entry = await paymentById(tx, paymentId);
  if (!entry) return bad(issue('payment-unknown'));
  const order = await lockOrder(tx, entry.order_id);
  if (order?.state === 'handed-over') return bad(issue('order-agreed', { number: order.number, state: order.state }));
  if (entry.reverses || (await isReversed(tx, paymentId))) return bad(issue('payment-reversed'));
  await insertPayment(tx, {
    ...entry,
    id: newId,
    kind: 'correction',
    amount: -entry.amount,
    at: now,
    by,
    note: reason,
    reverses: paymentId,
  });
  return good({
    audit: [
      { what: 'payment reversed', entity: 'order', entityId: entry.order_id, before: entry, after: { newId, reason } },
    ],
    touched: [`order:${entry.order_id}`],
  });
};
