/** Handing an order over: every piece ready, the rest paid or owed on account; that is when it is sold. */
import { type Outcome, bad, good, issue } from '@/core/issue';
import { handedOver, owed } from '@/core/ledger/order-account';
import { jobState } from '@/core/route/state';
import type { Tx } from '@/db/client';
import { finishStep, insertEvent, jobsOfOrder, setHanded, stepsOf } from '@/db/queries/jobs';
import { lockTerms, owingOrders, setDue } from '@/db/queries/ledger';
import { type OrderRow, setOrderState } from '@/db/queries/orders';
import { daysLater } from '../clock';
import type { Handler } from '../door';
import { accountOf, book } from '../ledger';
import { freshOrder } from './orders';

/** What is not paid is owed on account, where the customer has terms and stays within the limit. */
async function onAccount(tx: Tx, order: OrderRow, balance: number): Promise<Outcome<{ readonly days: number | null }>> {
  if (balance === 0) return good({ days: null });
  const { days, limit } = (await lockTerms(tx, order.customer_id)) ?? { days: null, limit: null };
  if (days === null) return bad(issue('balance-open', { balance }));
  const owing = (await owingOrders(tx, order.customer_id)).reduce((total, one) => total + one.amount, 0);
  if (limit !== null && owing + balance > limit) return bad(issue('account-limit', { owing, balance, limit }));
  return good({ days });
}

export const handOver: Handler<'hand-over'> = async (tx, { orderId, revision, signedBy }, context) => {
  const { now, by } = context;
  const order = await freshOrder(tx, orderId, revision);
  if (!order.ok) return order;
  if (order.value.state !== 'accepted' || !order.value.agreed)
    return bad(issue('order-agreed', { number: order.value.number, state: order.value.state }));
  const account = await accountOf(tx, order.value);
  const owing = await onAccount(tx, order.value, owed(account));
  if (!owing.ok) return owing;
  const jobs = await jobsOfOrder(tx, orderId);
  for (const job of jobs) {
    if (job.hold) return bad(issue('job-held', { ticket: job.ticket, reason: job.hold.reason }));
    const steps = await stepsOf(tx, job.id);
    if (jobState(steps) !== 'ready') return bad(issue('job-not-ready', { ticket: job.ticket }));
  }
  for (const job of jobs) {
    await finishStep(tx, job.id, 'hand-over', now, by);
    await setHanded(tx, job.id, { signedBy, byId: by }, now);
    await insertEvent(tx, job.id, { at: now, by, what: 'handed over', step: 'hand-over', detail: { signedBy } });
  }
  const day = await book(tx, context, { id: crypto.randomUUID(), kind: 'sale', orderId }, handedOver(account));
  if (owing.value.days !== null) await setDue(tx, orderId, daysLater(day, owing.value.days));
  await setOrderState(tx, orderId, 'handed-over');
  return good({
    audit: [
      {
        what: 'handed over',
        entity: 'order',
        entityId: orderId,
        before: { state: 'accepted' },
        after: { state: 'handed-over', signedBy, ...(owing.value.days === null ? {} : { owing: owed(account) }) },
      },
    ],
    touched: [`order:${orderId}`, 'board', 'ledger', ...jobs.map((job) => `job:${job.ticket}`)],
  });
};
