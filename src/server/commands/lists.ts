/** A list of materials comes in as an edition of its own: all rows or none, seen by nobody until it is whole. */
import type { AnyListed } from '@/core/supplier-list/lists';
import type { ListName } from '@/core/supplier-list/names';
import type { Listed } from '@/core/supplier-list/moulding-list';
import type { PlannedRow } from '@/core/supplier-list/list';
import type { Backing, Glazing, SheetMaterial } from '@/core/materials';
import { bad, good, issue } from '@/core/issue';
import {
  beginEdition,
  dropEdition,
  editionBefore,
  makeEdition,
  materialPlaces,
  mouldingPlaces,
  newestEdition,
  putBack,
  putMaterials,
  putMouldings,
  rememberColumns,
} from '@/db/queries/books';
import type { Db } from '@/db/client';
import { dayOf } from '../clock';
import type { Context, Handler, Readying } from '../door';
import { plannedList } from '../lists';
import { nextFrom } from './books';

/** Rows written at a time: a slice takes a few ms, and whoever else asks comes in between. */
const SLICE = 500;

/** A list that lies in an edition of its own, where nobody sees it yet. */
interface Filled {
  readonly edition: number;
  readonly added: number;
  readonly changed: readonly { readonly code: string; readonly changes: PlannedRow<AnyListed>['changes'] }[];
}
const SHEET_KIND = { mats: 'mat', glazings: 'glazing', backings: 'backing' } as const;

async function fill(db: Db, list: ListName, edition: number, items: readonly AnyListed[]): Promise<void> {
  const places = list === 'mouldings' ? await mouldingPlaces(db) : await materialPlaces(db);
  let next = Math.max(-1, ...places.values()) + 1;
  const placed = items.map((item) => ({ item, position: places.get(item.code) ?? next++ }));
  for (let at = 0; at < placed.length; at += SLICE) {
    const slice = placed.slice(at, at + SLICE);
    await db.transaction((tx) =>
      list === 'mouldings'
        ? putMouldings(
            tx,
            edition,
            slice.map(({ item, position }) => ({ moulding: item as Listed, position })),
          )
        : putMaterials(
            tx,
            edition,
            slice.map(({ item, position }) => ({
              kind: SHEET_KIND[list],
              spec: item as SheetMaterial | Glazing | Backing,
              position,
            })),
          ),
    );
  }
}

/** Fills an edition that nobody sees, and lets it go when that fails. */
async function filling({ app: { db } }: Context, edition: number, work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    await db.transaction((tx) => dropEdition(tx, edition)).catch(() => undefined);
    throw error;
  }
}

export const readyImport: Readying<'import-list'> = async (payload, context) => {
  const { app, now, by } = context;
  const base = await nextFrom(app.db, payload.edition, dayOf(now));
  if (!base.ok) return base;
  const { list, plan } = await plannedList(app.db, payload.list, payload.text, payload.edition);
  if (list.issues.length > 0) return bad(...list.issues);
  const refused = plan.filter((row) => row.does === 'refuse');
  if (refused.length > 0) return bad(issue('list-refused', { rows: refused.length, first: refused[0]!.row }));
  const todo = plan.filter((row) => row.does === 'add' || row.does === 'change');
  if (todo.length === 0) return bad(issue('list-unchanged'));
  const next = { ...base.value, at: now, by, why: `list ${payload.file}`, starts: dayOf(now) };
  const edition = await app.db.transaction((tx) => beginEdition(tx, next));
  await filling(context, edition, () =>
    fill(
      app.db,
      payload.list,
      edition,
      todo.map((row) => row.item!),
    ),
  );
  const filled: Filled = {
    edition,
    added: todo.filter((row) => row.does === 'add').length,
    changed: todo.filter((row) => row.does === 'change').map(({ code, changes }) => ({ code, changes })),
  };
  return good(filled);
};

/** Makes the list's edition the newest, unless another came first; then it stays unseen for good. */
export const importList: Handler<'import-list'> = async (tx, { list, edition, file, remember }, { now, ready }) => {
  const filled = ready as Filled;
  const current = (await newestEdition(tx))?.number ?? 0;
  if (current !== edition || filled.edition < current || !(await makeEdition(tx, filled.edition, now)))
    return bad(issue('books-stale', { seen: edition, now: current }));
  if (remember) await rememberColumns(tx, remember.supplier, list, remember.columns);
  const { added, changed } = filled;
  return good({
    result: { edition: filled.edition, added, changed: changed.length },
    audit: [
      {
        what: `${list} imported`,
        entity: 'books',
        entityId: String(filled.edition),
        before: { edition: current },
        after: { edition: filled.edition, file, added, changed },
      },
    ],
    touched: ['books'],
  });
};

export const readyUndo: Readying<'undo-edition'> = async ({ edition }, context) => {
  const { app, now, by } = context;
  const base = await nextFrom(app.db, edition, dayOf(now));
  if (!base.ok) return base;
  const before = await editionBefore(app.db, edition);
  if (!before?.prices || !before.house) return bad(issue('edition-first', { edition }));
  const { prices, house } = before;
  const why = `as before edition ${edition}`;
  const next = await app.db.transaction((tx) =>
    beginEdition(tx, { prices, house, at: now, by, why, starts: dayOf(now) }),
  );
  await filling(context, next, () => putBack(app.db, edition, next));
  return good({ edition: next, before: before.number });
};

/** The edition that is as the one before the newest; what was quoted or agreed keeps its own. */
export const undoEdition: Handler<'undo-edition'> = async (tx, { edition }, { now, ready }) => {
  const made = ready as { readonly edition: number; readonly before: number };
  const current = (await newestEdition(tx))?.number ?? 0;
  if (current !== edition || !(await makeEdition(tx, made.edition, now)))
    return bad(issue('books-stale', { seen: edition, now: current }));
  return good({
    result: { edition: made.edition },
    audit: [
      {
        what: 'edition undone',
        entity: 'books',
        entityId: String(made.edition),
        before: { edition },
        after: { edition: made.edition, as: made.before },
      },
    ],
    touched: ['books'],
  });
};
