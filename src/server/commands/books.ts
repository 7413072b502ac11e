/** A supplier's list into the books: all rows or none, as a new edition. */
import { planImport, readMouldingList } from '@/core/books/moulding-list';
import { bad, good, issue } from '@/core/issue';
import { insertEdition, latestEdition, listMouldings, putMoulding } from '@/db/queries/books';
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
