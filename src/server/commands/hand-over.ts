/** Handing an order over, whole or in parts: every piece that goes is ready and paid, or owed on account; that is when it is sold. */
import { type Outcome, bad, good, issue } from '@/core/issue';
import { type OrderAccount, handedOver, owed } from '@/core/ledger/order-account';
import { partHandedOver } from '@/core/ledger/order-part';
import { NOTHING } from '@/core/units/money';
import { jobState } from '@/core/route/state';
import type { Tx } from '@/db/client';
import { type JobRow, finishStep, insertEvent, jobsOfOrder, setHanded, stepsOf } from '@/db/queries/jobs';
import { lockTerms, owingOrders, partsOfOrder, setDue } from '@/db/queries/ledger';
import { type OrderRow, setOrderState } from '@/db/queries/orders';
import { daysLater } from '../clock';
import type { Context, Handler } from '../door';
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

/** Refused while one of them is held or not ready. */
async function allReady(tx: Tx, jobs: readonly JobRow[]): Promise<Outcome<undefined>> {
  for (const job of jobs) {
    if (job.hold) return bad(issue('job-held', { ticket: job.ticket, reason: job.hold.reason }));
    if (jobState(await stepsOf(tx, job.id)) !== 'ready') return bad(issue('job-not-ready', { ticket: job.ticket }));
  }
  return good(undefined);
}

/** The pieces go: each is signed for, and its last step is done. */
async function letGo(tx: Tx, jobs: readonly JobRow[], signedBy: string, { now, by }: Context): Promise<void> {
  for (const job of jobs) {
    await finishStep(tx, job.id, 'hand-over', now, by);
    await setHanded(tx, job.id, { signedBy, byId: by }, now);
    await insertEvent(tx, job.id, { at: now, by, what: 'handed over', step: 'hand-over', detail: { signedBy } });
  }
}

/** Books what each of these pieces sells; the rest of the order stays. */
async function sellParts(
  tx: Tx,
  order: OrderRow,
  jobs: readonly JobRow[],
  context: Context,
): Promise<Outcome<{ readonly owing?: number }>> {
  const parts = await partsOfOrder(tx, order.id);
  for (const job of jobs) {
    const part = parts?.[job.id];
    if (!part) return bad(issue('part-unknown'));
    const postings = partHandedOver(await accountOf(tx, order), part);
    if (!postings.ok) return postings;
    await book(
      tx,
      context,
      { id: crypto.randomUUID(), kind: 'part-sale', orderId: order.id, note: job.ticket },
      postings.value,
    );
  }
  return good({});
}

/** Books the rest of the order; what is not paid is owed within so many days. */
async function sellRest(
  tx: Tx,
  { id }: OrderRow,
  account: OrderAccount,
  days: number | null,
  context: Context,
): Promise<Outcome<{ readonly owing?: number }>> {
  const day = await book(tx, context, { id: crypto.randomUUID(), kind: 'sale', orderId: id }, handedOver(account));
  if (days === null) return good({});
  await setDue(tx, id, daysLater(day, days));
  return good({ owing: owed(account) });
}

export const handOver: Handler<'hand-over'> = async (tx, { orderId, revision, signedBy, jobIds }, context) => {
  const order = await freshOrder(tx, orderId, revision);
  if (!order.ok) return order;
  if (order.value.state !== 'accepted' || !order.value.agreed)
    return bad(issue('order-agreed', { number: order.value.number, state: order.value.state }));
  const here = (await jobsOfOrder(tx, orderId)).filter(({ handed }) => handed === null);
  const going = here.filter(({ id }) => jobIds?.includes(id) ?? true);
  if (jobIds && going.length < new Set(jobIds).size) return bad(issue('part-gone', {}, 'jobIds'));
  const last = going.length === here.length;
  const account = await accountOf(tx, order.value);
  const owing = await onAccount(tx, order.value, last ? owed(account) : NOTHING);
  if (!owing.ok) return owing;
  const ready = await allReady(tx, going);
  if (!ready.ok) return ready;
  const sold = last
    ? await sellRest(tx, order.value, account, owing.value.days, context)
    : await sellParts(tx, order.value, going, context);
  if (!sold.ok) return sold;
  await letGo(tx, going, signedBy, context);
  const state = last ? 'handed-over' : 'accepted';
  await setOrderState(tx, orderId, state);
  const tickets = going.map(({ ticket }) => ticket);
  return good({
    audit: [
      {
        what: last ? 'handed over' : 'handed over in part',
        entity: 'order',
        entityId: orderId,
        before: { state: 'accepted' },
        after: { state, signedBy, tickets, ...sold.value },
      },
    ],
    touched: [`order:${orderId}`, 'board', 'ledger', ...tickets.map((ticket) => `job:${ticket}`)],
  });
};
