/** The books change by editions: a supplier's list, all rows or none; a rule of price. */
import { type PlannedRow, planningImport, readingMouldingList } from '@/core/supplier-list/moulding-list';
import { bad, good, issue } from '@/core/issue';
import {
  type PlacedMoulding,
  beginEdition,
  dropEdition,
  getShop,
  insertEdition,
  latestEdition,
  listMouldings,
  makeEdition,
  mouldingPlaces,
  putMouldings,
  setPrices,
} from '@/db/queries/books';
import type { Db } from '@/db/client';
import type { Handler, Readying } from '../door';
import { inSlices } from '../slices';

/** Rows written at a time: a slice takes a few ms, and whoever else asks comes in between. */
const SLICE = 500;

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
  const current = await latestEdition(db);
  if (current !== payload.edition) return bad(issue('books-stale', { seen: payload.edition, now: current }));
  const list = await inSlices(readingMouldingList(payload.text));
  if (list.issues.length > 0) return bad(...list.issues);
  const plan = await inSlices(planningImport(list, await listMouldings(db)));
  const refused = plan.filter((row) => row.does === 'refuse');
  if (refused.length > 0) return bad(issue('list-refused', { rows: refused.length, first: refused[0]!.row }));
  const todo = plan.filter((row) => row.does === 'add' || row.does === 'change');
  if (todo.length === 0) return bad(issue('list-unchanged'));
  const edition = await db.transaction((tx) => beginEdition(tx, now, by, `list ${payload.file}`));
  try {
    await fill(db, edition, todo);
  } catch (error) {
    await db.transaction((tx) => dropEdition(tx, edition)).catch(() => undefined);
    throw error;
  }
  const filled: Filled = {
    edition,
    from: current,
    added: todo.filter((row) => row.does === 'add').length,
    changed: todo.filter((row) => row.does === 'change').map(({ code, changes }) => ({ code, changes })),
  };
  return good(filled);
};

/** Makes the list's edition the newest, unless another came first; then it stays unseen for good. */
export const importMouldings: Handler<'import-mouldings'> = async (tx, { edition, file }, { now, ready }) => {
  const filled = ready as Filled;
  const current = await latestEdition(tx);
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
  const current = await latestEdition(tx);
  if (current !== edition) return bad(issue('books-stale', { seen: edition, now: current }));
  const shop = await getShop(tx);
  if (!shop) return bad(issue('shop-unknown'));
  const before = shop.prices.groups[group];
  // What the page does not ask about stays as it was.
  const { chart: _chart, minimum: _minimum, ...kept } = before;
  const after = { ...kept, ...rule };
  const next = await insertEdition(tx, now, by, `price rule of ${group}`);
  await setPrices(tx, { ...shop.prices, groups: { ...shop.prices.groups, [group]: after } });
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
