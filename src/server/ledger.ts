/** Booking: which till and day an entry falls on, and how an order's money stands. Nothing else writes to the ledger. */
import { issue } from '@/core/issue';
import { type Posting } from '@/core/ledger/accounts';
import { type OrderAccount, after, newAccount } from '@/core/ledger/order-account';
import { afterPart } from '@/core/ledger/order-part';
import { saleOfAgreed } from '@/core/ledger/order-sale';
import type { Sale } from '@/core/ledger/sale';
import type { Queries, Tx } from '@/db/client';
import {
  type BookedPosting,
  type EntryKind,
  insertEntry,
  lastSealed,
  lockTill,
  openDayOf,
  postingOf,
  postingsOfOrder,
  saleOfOrder,
  tillOfSession,
} from '@/db/queries/ledger';
import type { OrderRow } from '@/db/queries/orders';
import { type Context, Refused } from './door';
import { dayOf, daysLater } from './clock';

/** The day an entry of a till falls on: the open one, else today, and never one that was sealed. */
export async function dayAt(db: Queries, till: number, now: Date): Promise<string> {
  const open = await openDayOf(db, till);
  if (open) return open.day;
  const today = dayOf(now);
  const sealed = (await lastSealed(db, till))?.day;
  return sealed === undefined || sealed < today ? today : daysLater(sealed, 1);
}

interface Entry {
  readonly id: string;
  readonly kind: EntryKind;
  readonly orderId?: string;
  readonly note?: string;
  readonly reverses?: string;
  /** Where it is not the till of who asks; null for what lies in no drawer. */
  readonly till?: number | null;
}

/** What a drawer is counted to: booked by its opening and its seal themselves. */
const COUNTS: readonly EntryKind[] = ['float', 'count'];

/**
 * Books an entry at the till of whoever asks; tells the day it falls on. Cash goes into a drawer that was counted, or
 * not at all: `till-closed` else, and nothing of the command is done.
 */
export async function book(
  tx: Tx,
  { now, by, session, link }: Pick<Context, 'now' | 'by' | 'session' | 'link'>,
  entry: Entry,
  postings: readonly BookedPosting[],
): Promise<string> {
  const till = entry.till === undefined ? await tillOfSession(tx, session) : entry.till;
  if (till !== null) await lockTill(tx, till);
  const moves = till !== null && !COUNTS.includes(entry.kind) && postings.some(({ account }) => account === 'cash');
  if (moves && !(await openDayOf(tx, till))) throw new Refused([issue('till-closed')]);
  const day = till === null ? dayOf(now) : await dayAt(tx, till, now);
  await insertEntry(tx, { ...entry, at: now, day, till, by, link }, postings);
  return day;
}

/** What an order sells, as agreed. */
export const saleOf = async (db: Queries, order: Pick<OrderRow, 'id' | 'agreed'>): Promise<Sale> =>
  (await saleOfOrder(db, order.id)) ?? saleOfAgreed(order.agreed!);

/** Entries after which what was held is the shop’s own. */
const SOLD: readonly EntryKind[] = ['sale', 'kept'];

/** How the money of an agreed order stands, from all that was booked for it. */
export async function accountOf(db: Queries, order: Pick<OrderRow, 'id' | 'agreed'>): Promise<OrderAccount> {
  let account = newAccount(await saleOf(db, order));
  const rows = await postingsOfOrder(db, order.id);
  const entries = new Map<string, { kind: EntryKind; postings: Posting[] }>();
  for (const row of rows) {
    const entry = entries.get(row.entry_id) ?? { kind: row.kind, postings: [] };
    entry.postings.push(postingOf(row));
    entries.set(row.entry_id, entry);
  }
  for (const { kind, postings } of entries.values())
    account =
      kind === 'part-sale'
        ? afterPart(account, postings)
        : after(account, postings, account.handed || SOLD.includes(kind));
  return account;
}
/** All that came and was not given back. */
export const paidOf = ({ received }: OrderAccount): number =>
  Object.values(received).reduce<number>((total, amount) => total + amount, 0);
