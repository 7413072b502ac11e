/** The books change by editions: a supplier's list, all rows or none; a rule of price. */
import { planImport, readMouldingList } from '@/core/books/moulding-list';
import { bad, good, issue } from '@/core/issue';
import { getShop, insertEdition, latestEdition, listMouldings, putMoulding, setPrices } from '@/db/queries/books';
import type { Handler } from '../door';

export const importMouldings: Handler<'import-mouldings'> = async (tx, { text, edition, file }, { now, by }) => {
  const current = await latestEdition(tx);
  if (current !== edition) return bad(issue('books-stale', { seen: edition, now: current }));
  const list = readMouldingList(text);
  if (list.issues.length > 0) return bad(...list.issues);
  const before = await listMouldings(tx);
  const plan = planImport(list, new Map(before.map((one) => [one.code, one])));
  const refused = plan.filter((row) => row.does === 'refuse');
  if (refused.length > 0) return bad(issue('list-refused', { rows: refused.length, first: refused[0]!.row }));
  const todo = plan.filter((row) => row.does === 'add' || row.does === 'change');
  if (todo.length === 0) return bad(issue('list-unchanged'));
  const next = current + 1;
  await insertEdition(tx, next, now, by, `list ${file}`);
  for (const [index, row] of todo.entries()) await putMoulding(tx, row.moulding!, next, before.length + index);
  const added = todo.filter((row) => row.does === 'add').length;
  const changed = todo.filter((row) => row.does === 'change').map((row) => ({ code: row.code, changes: row.changes }));
  return good({
    result: { edition: next, added, changed: changed.length },
    audit: [
      {
        what: 'mouldings imported',
        entity: 'books',
        entityId: String(next),
        before: { edition: current },
        after: { edition: next, file, added, changed },
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
  await insertEdition(tx, current + 1, now, by, `price rule of ${group}`);
  await setPrices(tx, { ...shop.prices, groups: { ...shop.prices.groups, [group]: after } });
  return good({
    result: { edition: current + 1 },
    audit: [
      {
        what: 'price rule set',
        entity: 'books',
        entityId: String(current + 1),
        before: { group, rule: before },
        after: { group, rule: after },
      },
    ],
    touched: ['books'],
  });
};
