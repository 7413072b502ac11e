/** The books change by editions: a supplier's list, all rows or none; a rule of price. */
import { type PlannedRow, planningImport, readingMouldingList } from '@/core/supplier-list/moulding-list';
import { type Outcome, bad, good, issue } from '@/core/issue';
import {
  type EditionContent,
  type PlacedMoulding,
  beginEdition,
  dropEdition,
  editionByNumber,
  insertEdition,
  listMouldings,
  makeEdition,
  mouldingPlaces,
  newestEdition,
  putMouldings,
  withdrawEdition,
} from '@/db/queries/books';
import type { Db, Queries } from '@/db/client';
import { dayOf } from '../clock';
import type { Handler, Readying } from '../door';
import { inSlices } from '../slices';

/** Rows written at a time: a slice takes a few ms, and whoever else asks comes in between. */
const SLICE = 500;

/**
 * What a new edition is a change of: the newest one. Refused when it is not the one that was seen, or when it only
 * begins after the new one would: that one is changed or taken back first.
 */
export async function nextFrom(db: Queries, seen: number, starts: string): Promise<Outcome<EditionContent>> {
  const newest = await newestEdition(db);
  if (!newest?.prices || !newest.house) return bad(issue('shop-unknown'));
  if (newest.starts > starts)
    return bad(issue('edition-scheduled', { edition: newest.number, starts: newest.starts }, 'starts'));
  if (newest.number !== seen) return bad(issue('books-stale', { seen, now: newest.number }));
  return good({ prices: newest.prices, house: newest.house });
}

/** A list that lies in an edition of its own, where nobody sees it yet. */
interface Filled {
  readonly edition: number;
  readonly from: number;
  readonly added: number;
  readonly changed: readonly { readonly code: string; readonly changes: PlannedRow['changes'] }[];
}

async function fill(db: Db, edition: number, todo: readonly PlannedRow[]): Promise<void> {
  const places = await mouldingPlaces(db);
  let next = Math.max(-1, ...places.values()) + 1;
  const placed = todo.map((row): PlacedMoulding => ({
    moulding: row.moulding!,
    position: places.get(row.code) ?? next++,
  }));
  for (let at = 0; at < placed.length; at += SLICE) {
    await db.transaction((tx) => putMouldings(tx, edition, placed.slice(at, at + SLICE)));
  }
}

export const readyImport: Readying<'import-mouldings'> = async (payload, { app: { db }, now, by }) => {
  const base = await nextFrom(db, payload.edition, dayOf(now));
  if (!base.ok) return base;
  const list = await inSlices(readingMouldingList(payload.text));
  if (list.issues.length > 0) return bad(...list.issues);
  const plan = await inSlices(planningImport(list, await listMouldings(db, payload.edition)));
  const refused = plan.filter((row) => row.does === 'refuse');
  if (refused.length > 0) return bad(issue('list-refused', { rows: refused.length, first: refused[0]!.row }));
  const todo = plan.filter((row) => row.does === 'add' || row.does === 'change');
  if (todo.length === 0) return bad(issue('list-unchanged'));
  const next = { ...base.value, at: now, by, why: `list ${payload.file}`, starts: dayOf(now) };
  const edition = await db.transaction((tx) => beginEdition(tx, next));
  try {
    await fill(db, edition, todo);
  } catch (error) {
    await db.transaction((tx) => dropEdition(tx, edition)).catch(() => undefined);
    throw error;
  }
  const filled: Filled = {
    edition,
    from: payload.edition,
    added: todo.filter((row) => row.does === 'add').length,
    changed: todo.filter((row) => row.does === 'change').map(({ code, changes }) => ({ code, changes })),
  };
  return good(filled);
};

/** Makes the list's edition the newest, unless another came first; then it stays unseen for good. */
export const importMouldings: Handler<'import-mouldings'> = async (tx, { edition, file }, { now, ready }) => {
  const filled = ready as Filled;
  const current = (await newestEdition(tx))?.number ?? 0;
  if (current !== edition || filled.edition < current || !(await makeEdition(tx, filled.edition, now)))
    return bad(issue('books-stale', { seen: edition, now: current }));
  const { added, changed } = filled;
  return good({
    result: { edition: filled.edition, added, changed: changed.length },
    audit: [
      {
        what: 'mouldings imported',
        entity: 'books',
        entityId: String(filled.edition),
        before: { edition: current },
        after: { edition: filled.edition, file, added, changed },
      },
    ],
    touched: ['books'],
  });
};

export const setGroupRule: Handler<'set-group-rule'> = async (tx, { edition, group, rule }, { now, by }) => {
  const base = await nextFrom(tx, edition, dayOf(now));
  if (!base.ok) return base;
  const { prices, house } = base.value;
  const before = prices.groups[group];
  // What the page does not ask about stays as it was.
  const { chart: _chart, minimum: _minimum, ...kept } = before;
  const after = { ...kept, ...rule };
  const next = await insertEdition(tx, {
    prices: { ...prices, groups: { ...prices.groups, [group]: after } },
    house,
    at: now,
    by,
    why: `price rule of ${group}`,
    starts: dayOf(now),
  });
  return good({
    result: { edition: next },
    audit: [
      {
        what: 'price rule set',
        entity: 'books',
        entityId: String(next),
        before: { group, rule: before },
        after: { group, rule: after },
      },
    ],
    touched: ['books'],
  });
};

export const setPrices: Handler<'set-prices'> = async (tx, { edition, starts, why, rules }, { now, by }) => {
  if (starts < dayOf(now)) return bad(issue('edition-past', { day: starts }, 'starts'));
  const base = await nextFrom(tx, edition, starts);
  if (!base.ok) return base;
  const { prices, house } = base.value;
  const next = await insertEdition(tx, {
    prices: { groups: prices.groups, ...rules },
    house,
    at: now,
    by,
    why,
    starts,
  });
  const { groups: _groups, ...before } = prices;
  return good({
    result: { edition: next },
    audit: [{ what: 'prices set', entity: 'books', entityId: String(next), before, after: { starts, ...rules } }],
    touched: ['books'],
  });
};

export const takeBackEdition: Handler<'withdraw-edition'> = async (tx, { edition }, { now }) => {
  const found = await editionByNumber(tx, edition);
  if (!found || !(await withdrawEdition(tx, edition, dayOf(now)))) return bad(issue('edition-begun', { edition }));
  return good({
    audit: [
      {
        what: 'edition taken back',
        entity: 'books',
        entityId: String(edition),
        before: { starts: found.starts, why: found.why },
      },
    ],
    touched: ['books'],
  });
};
