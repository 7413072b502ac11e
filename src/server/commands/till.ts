/** A drawer's day: opened with what is counted, cash that goes in and out, counted blind at the end, and sealed. */
import { bad, good, issue } from '@/core/issue';
import { move } from '@/core/ledger/accounts';
import { countedOff, paidOut } from '@/core/ledger/till';
import { type Money, money, sumOf, summed } from '@/core/units/money';
import type { Tx } from '@/db/client';
import {
  type BookedPosting,
  type EntryKind,
  type TillDayRow,
  cashIn,
  entryById,
  insertTill,
  insertTillDay,
  lastEntryBefore,
  lastEntryOf,
  lastSealed,
  lockTill,
  lockVoucherOf,
  openDayOf,
  postingOf,
  postingsOfEntry,
  postingsOfTill,
  sealDay,
  setCounted,
  setDeviceTill,
  setTerms,
  tillDayById,
  tillOfSession,
} from '@/db/queries/ledger';
import { droppedCards } from '@/db/queries/orders';
import { daysAfter } from '../clock';
import type { Handler, Readying } from '../door';
import { cardAnswer } from './money';
import { unlikely } from './unlikely';
import { book, dayAt } from '../ledger';

export const addTill: Handler<'add-till'> = async (tx, { name }) => {
  const number = await insertTill(tx, name);
  if (number === undefined) return bad(issue('till-name-taken', { name }, 'name'));
  return good({
    result: { number },
    audit: [{ what: 'till added', entity: 'till', entityId: String(number), after: { name } }],
    touched: ['ledger'],
  });
};

/** From now on this device works at that drawer. */
export const useTill: Handler<'use-till'> = async (tx, { till }, { session }) => {
  if (!(await lockTill(tx, till))) return bad(issue('till-unknown'));
  if (session === undefined || !(await setDeviceTill(tx, session, till))) return bad(issue('sign-in-first'));
  return good({
    audit: [{ what: 'device put at a till', entity: 'till', entityId: String(till) }],
    touched: ['ledger'],
  });
};

interface Piece {
  readonly of: number;
  readonly count: number;
}
const worthOf = (pieces: readonly Piece[]): Money => sumOf(pieces.map(({ of, count }) => summed(of * count)));

/**
 * Opens a drawer with its counted float. What the first count finds is the float that is put in; later, what differs
 * from the last count went over or short in between.
 */
export const openTill: Handler<'open-till'> = async (tx, { dayId, till, pieces, sure }, context) => {
  if (!(await lockTill(tx, till))) return bad(issue('till-unknown'));
  if (await openDayOf(tx, till)) return bad(issue('till-open'));
  const last = await lastSealed(tx, till);
  const float = worthOf(pieces);
  const asked = unlikely(float, sure, 'pieces');
  if (asked) return asked;
  const day = await dayAt(tx, till, context.now);
  // Without cash something may have been booked since the last seal: what fell on this day is in its report, too.
  const before = Math.max(last?.up_to ?? 0, await lastEntryBefore(tx, till, day));
  await insertTillDay(tx, { id: dayId, till, day, after_entry: before, opened_at: context.now, float }, context.by);
  const stood = await cashIn(tx, till);
  const at = { id: crypto.randomUUID(), till };
  if (last) await book(tx, context, { ...at, kind: 'count' }, countedOff(float, stood));
  else await book(tx, context, { ...at, kind: 'float' }, move('cash', 'bank', summed(float - stood)));
  return good({
    result: { day, off: last ? float - stood : 0 },
    audit: [{ what: 'till opened', entity: 'till', entityId: String(till), after: { dayId, day, float } }],
    touched: ['ledger'],
  });
};
export const moveCash: Handler<'move-cash'> = async (tx, { entryId, kind, amount, why, sure }, context) => {
  const till = await tillOfSession(tx, context.session);
  await lockTill(tx, till);
  if (!(await openDayOf(tx, till))) return bad(issue('till-closed'));
  const there = await cashIn(tx, till);
  const asked = kind === 'cash-in' ? unlikely(amount, sure) : undefined;
  if (asked) return asked;
  if (kind !== 'cash-in' && amount > there) return bad(issue('cash-less', { amount, there }, 'amount'));
  const postings = {
    'cash-in': () => move('cash', 'bank', money(amount)),
    expense: () => move('expenses', 'cash', money(amount)),
    'to-bank': () => move('bank', 'cash', money(amount)),
  }[kind]();
  await book(tx, context, { id: entryId, kind, note: why, till }, postings);
  return good({
    audit: [{ what: `cash moved, ${kind}`, entity: 'till', entityId: String(till), after: { amount, why } }],
    touched: ['ledger'],
  });
};

/** What can be taken back by its opposite: cash that was moved, a payout, a voucher of which nothing was used. */
const TAKEN_BACK: readonly EntryKind[] = ['cash-in', 'expense', 'to-bank', 'payout', 'voucher-sold'];

/** A slip at a till is taken back by its opposite, which names it; both stay in the books. */
export const reverseEntry: Handler<'reverse-entry'> = async (tx, { entryId, newId, reason }, context) => {
  const found = await entryById(tx, entryId);
  if (!found || !TAKEN_BACK.includes(found.kind)) return bad(issue('entry-unknown'));
  if (found.kind === 'payout' && context.role !== 'owner')
    return bad(issue('role-not-permitted', { role: context.role ?? '' }));
  const { till, kind } = found;
  if (till !== null) await lockTill(tx, till);
  if (kind !== 'payout' && (till === null || !(await openDayOf(tx, till)))) return bad(issue('till-closed'));
  // Looked at anew behind the lock: two who take it back at once.
  const current = (await entryById(tx, entryId))!;
  if (current.taken_back || current.reverses !== null) return bad(issue('entry-reversed'));
  const booked = (await postingsOfEntry(tx, entryId)).map(postingOf);
  // Its voucher has the entry's own id.
  const sold = booked.find(({ voucher }) => voucher !== undefined);
  if (sold && (await lockVoucherOf(tx, entryId))?.left !== 0 - sold.amount) return bad(issue('voucher-begun'));
  const back = booked.map((posting): BookedPosting => ({ ...posting, amount: summed(-posting.amount) }));
  await book(tx, context, { id: newId, kind, till, note: reason, reverses: entryId }, back);
  return good({
    audit: [
      { what: 'entry taken back', entity: 'ledger', entityId: entryId, before: { kind }, after: { newId, reason } },
    ],
    touched: ['ledger'],
  });
};

/** What the card company paid to the bank; the amount is before its fee. */
export const bookPayout: Handler<'book-payout'> = async (tx, { entryId, amount, fee }, context) => {
  if (fee > amount) return bad(issue('fee-above', { amount, fee }, 'fee'));
  await book(tx, context, { id: entryId, kind: 'payout', note: '' }, paidOut(money(amount), money(fee)));
  return good({
    audit: [{ what: 'card payout', entity: 'ledger', entityId: entryId, after: { amount, fee } }],
    touched: ['ledger'],
  });
};

/** What a drawer's day should come to: cash that lies there, and what was taken by card and voucher. */
export async function expectedOf(tx: Tx, { till, after_entry }: TillDayRow) {
  const postings = await postingsOfTill(tx, till, after_entry, null);
  const taken = (account: 'card' | 'vouchers') =>
    sumOf(
      postings
        .filter((one) => one.account === account && one.kind !== 'payout' && one.kind !== 'voucher-sold')
        .map(({ amount }) => amount),
    );
  return { cash: await cashIn(tx, till), card: taken('card'), vouchers: taken('vouchers') };
}

/** How long a question that was dropped may still turn out to have been approved. */
const ASKED_AGAIN_DAYS = 7;
/** Before a count the terminal and the payment page are asked what became of the questions that were dropped. */
export const readyCount: Readying<'count-till'> = async (_payload, { app, now }) => {
  const approved: string[] = [];
  for (const { id, link_id: link } of await droppedCards(app.db, daysAfter(now, -ASKED_AGAIN_DAYS)))
    if ((await (link === null ? app.terminal : app.paymentPage).found(id)) === 'approved') approved.push(id);
  return good(approved);
};

/** Counts a drawer, not knowing what is expected; that is answered by it. It may be counted again until it is sealed. */
export const countTill: Handler<'count-till'> = async (tx, { dayId, pieces, card, vouchers }, context) => {
  const first = await tillDayById(tx, dayId);
  if (!first) return bad(issue('till-closed'));
  await lockTill(tx, first.till);
  const day = (await tillDayById(tx, dayId))!;
  if (day.sealed_at) return bad(issue('till-closed'));
  for (const requestId of (context.ready ?? []) as readonly string[]) {
    const late = await cardAnswer(tx, { requestId, answer: 'approved' }, context);
    if (!late.ok) return late;
  }
  const expected = await expectedOf(tx, day);
  const cash = worthOf(pieces);
  const upTo = await lastEntryOf(tx, day.till);
  await setCounted(tx, dayId, {
    cash,
    card: money(card),
    vouchers: money(vouchers),
    expected,
    pieces: [...pieces],
    upTo,
    by: context.by ?? '',
  });
  return good({
    audit: [
      {
        what: 'till counted',
        entity: 'till',
        entityId: String(day.till),
        after: { dayId, cash, card, vouchers, expected },
      },
    ],
    touched: ['ledger'],
  });
};

/** Seals a drawer's day as it was counted: what is over or short is booked; nothing is added to it any more. */
export const sealTill: Handler<'seal-till'> = async (tx, { dayId, note }, context) => {
  const first = await tillDayById(tx, dayId);
  if (!first) return bad(issue('till-closed'));
  await lockTill(tx, first.till);
  const day = (await tillDayById(tx, dayId))!;
  if (day.sealed_at) return bad(issue('till-closed'));
  const { counted } = day;
  if (!counted) return bad(issue('till-not-counted'));
  if (counted.upTo !== (await lastEntryOf(tx, day.till))) return bad(issue('till-moved'));
  const off = (['cash', 'card', 'vouchers'] as const).filter((one) => counted[one] !== counted.expected[one]);
  if (off.length > 0 && note === '')
    return bad(issue('till-off', { off: counted.cash - counted.expected.cash }, 'note'));
  const at = { id: crypto.randomUUID(), till: day.till, kind: 'count', note } as const;
  await book(tx, context, at, countedOff(counted.cash, counted.expected.cash));
  await sealDay(tx, dayId, await lastEntryOf(tx, day.till), context.now, context.by, note);
  return good({
    result: { off: counted.cash - counted.expected.cash },
    audit: [{ what: 'till sealed', entity: 'till', entityId: String(day.till), after: { dayId, day: day.day, note } }],
    touched: ['ledger'],
  });
};

/** Who pays later: within so many days, never owing more than the limit; null for nobody does. */
export const changeTerms: Handler<'change-terms'> = async (tx, { customerId, days, limit }) => {
  if (!(await setTerms(tx, customerId, days, limit))) return bad(issue('customer-unknown'));
  return good({
    audit: [{ what: 'terms changed', entity: 'customer', entityId: customerId, after: { days, limit } }],
    touched: ['ledger', `customer:${customerId}`],
  });
};
