/** Customers: added, changed, joined with another, forgotten, and a whole list of them. */
import { readCustomers, sameCustomer, withListed } from '@/core/customers/customer-list';
import { type Outcome, bad, good, issue } from '@/core/issue';
import type { Tx } from '@/db/client';
import {
  type FullCustomer,
  forgetCustomer,
  insertCustomer,
  listCustomers,
  lockCustomer,
  mergeCustomer,
  openOrderOf,
  updateCustomer,
} from '@/db/queries/customers';
import { owingOrders } from '@/db/queries/ledger';
import { FORGOTTEN } from '@/words/screens/customers';
import { dayOf } from '../clock';
import type { Handler } from '../door';

export const addCustomer: Handler<'add-customer'> = async (tx, payload, { now }) => {
  await insertCustomer(tx, payload, now);
  return good({
    audit: [{ what: 'added', entity: 'customer', entityId: payload.id, after: payload }],
    touched: ['customers'],
  });
};

/** The customer, held for this transaction, if they are what the caller last saw and still there. */
async function freshCustomer(tx: Tx, id: string, revision: number): Promise<Outcome<FullCustomer>> {
  const found = await lockCustomer(tx, id);
  if (!found) return bad(issue('customer-unknown'));
  if (found.merged_into !== null || found.forgotten) return bad(issue('customer-gone', { name: found.name }));
  if (found.revision !== revision) return bad(issue('customer-stale', { name: found.name }));
  return good(found);
}

export const editCustomer: Handler<'edit-customer'> = async (tx, { customerId, revision, ...said }) => {
  const before = await freshCustomer(tx, customerId, revision);
  if (!before.ok) return before;
  await updateCustomer(tx, { id: customerId, ...said });
  return good({
    result: { revision: revision + 1 },
    audit: [{ what: 'changed', entity: 'customer', entityId: customerId, before: before.value, after: said }],
    touched: ['customers', `customer:${customerId}`, 'order:'],
  });
};

/** What only the other entry knows is kept; what both know stays as the kept one says it. */
function joined(keep: FullCustomer, gone: FullCustomer): FullCustomer {
  const also = [gone.phone, gone.email].filter((one) => one !== '' && one !== keep.phone && one !== keep.email);
  const phone = keep.phone || gone.phone;
  const email = keep.email || gone.email;
  const left = also.filter((one) => one !== phone && one !== email);
  return {
    ...keep,
    phone,
    email,
    addresses: [...new Set([...keep.addresses, ...gone.addresses])],
    prefers: { ...gone.prefers, ...keep.prefers },
    notes: [keep.notes, gone.notes, ...left].filter(Boolean).join('\n'),
  };
}

export const mergeCustomers: Handler<'merge-customers'> = async (tx, { keep, keepRevision, gone, goneRevision }) => {
  if (keep === gone) return bad(issue('customer-same'));
  // In one order, whoever is kept, so that two who join the same pair do not wait for each other.
  const locked = new Map<string, Outcome<FullCustomer>>();
  for (const [id, revision] of [
    [keep, keepRevision],
    [gone, goneRevision],
  ].sort() as [string, number][])
    locked.set(id, await freshCustomer(tx, id, revision));
  const [stays, goes] = [locked.get(keep)!, locked.get(gone)!];
  if (!stays.ok) return stays;
  if (!goes.ok) return goes;
  await updateCustomer(tx, joined(stays.value, goes.value));
  await mergeCustomer(tx, gone, keep);
  return good({
    result: { revision: keepRevision + 1 },
    audit: [
      { what: 'joined with', entity: 'customer', entityId: gone, before: goes.value, after: { keep } },
      { what: 'took in', entity: 'customer', entityId: keep, before: stays.value, after: { gone } },
    ],
    touched: ['customers', `customer:${keep}`, `customer:${gone}`, 'order:'],
  });
};

export const forget: Handler<'forget-customer'> = async (tx, { customerId, revision }, { now }) => {
  const found = await freshCustomer(tx, customerId, revision);
  if (!found.ok) return found;
  const open = (await openOrderOf(tx, customerId)) ?? (await owingOrders(tx, customerId))[0]?.number;
  if (open !== undefined) return bad(issue('customer-open', { number: open }));
  await forgetCustomer(tx, customerId, FORGOTTEN.name(dayOf(now)), now);
  return good({
    audit: [{ what: 'forgotten', entity: 'customer', entityId: customerId }],
    touched: ['customers', `customer:${customerId}`, 'order:'],
    security: 'customer forgotten',
  });
};

/** A list longer than any shop's; those beyond it are not compared. */
const MOST = 200_000;

export const importCustomers: Handler<'import-customers'> = async (tx, { text, file }, { now }) => {
  const { issues, rows } = readCustomers(text);
  if (issues.length > 0) return bad(...issues.slice(0, 50));
  const known = new Map((await listCustomers(tx, MOST)).map((one) => [sameCustomer(one), one]));
  let added = 0;
  for (const row of rows) {
    const before = known.get(sameCustomer(row));
    const id = before?.id ?? crypto.randomUUID();
    if (!before) {
      await insertCustomer(tx, { id, name: row.name, phone: row.phone, email: row.email }, now);
      added += 1;
    }
    const after = before ? withListed(before, row) : row;
    await updateCustomer(tx, { ...after, id, addresses: [...after.addresses] });
  }
  const counts = { rows: rows.length, added, changed: rows.length - added };
  return good({
    result: counts,
    audit: [{ what: 'list taken', entity: 'customers', entityId: file, after: counts }],
    touched: ['customers'],
  });
};
