/** A list of materials against the books: what it would do, row by row. */
import { issue } from '@/core/issue';
import { type PlannedRow, type ReadList, planningList, readingList } from '@/core/supplier-list/list';
import { type AnyListed, listKind } from '@/core/supplier-list/lists';
import type { ListName } from '@/core/supplier-list/names';
import type { Queries } from '@/db/client';
import { articleKinds, getShop, listMaterials } from '@/db/queries/books';
import { inSlices } from './slices';

/** Read and planned in slices; a code that the books hold as something else is refused in its row. */
export async function plannedList(
  db: Queries,
  name: ListName,
  text: string,
  edition: number,
): Promise<{ readonly list: ReadList<AnyListed>; readonly plan: readonly PlannedRow<AnyListed>[] }> {
  const kind = listKind(name);
  const list = await inSlices(readingList(kind, text));
  const home = (await getShop(db))?.home_unit ?? 'in';
  const plan = await inSlices(planningList(kind, list, (await listMaterials(db, edition))[name], home));
  const taken = await articleKinds(
    db,
    plan.filter(({ does }) => does === 'add').map(({ code }) => code),
  );
  const own = name.slice(0, -1);
  const refusing = (row: PlannedRow<AnyListed>): PlannedRow<AnyListed> => {
    const known = taken.get(row.code);
    if (row.does !== 'add' || known === undefined || known === own) return row;
    return { ...row, does: 'refuse', issues: [issue('code-taken', { code: row.code, kind: known }, 'code')] };
  };
  return { list, plan: plan.map(refusing) };
}
