/** Lists of materials as they are looked at before they are taken, and as they go out. */
import type { ImportPreview, ListTablesView } from '@/contract/views';
import { cellsToWrite, textOfCells } from '@/core/supplier-list/list';
import { type AnyListed, listKind } from '@/core/supplier-list/lists';
import { LIST_NAMES, type ListName } from '@/core/supplier-list/names';
import { columnsRemembered, newestEdition } from '@/db/queries/books';
import type { Viewer } from './access';
import { plannedList } from './lists';

/** Rows of each kind that a preview shows; the counts are of all. */
const MOST_SHOWN = 500;

export async function previewList({ app }: Viewer<'owner'>, name: ListName, text: string): Promise<ImportPreview> {
  const edition = (await newestEdition(app.db))?.number ?? 0;
  const { list, plan } = await plannedList(app.db, name, text, edition);
  const counts = { refuse: 0, change: 0, add: 0, same: 0 };
  const jumps: number[] = [];
  const rows = plan.filter(({ does, jump }) => {
    counts[does] += 1;
    if (jump !== undefined) jumps.push(jump);
    return counts[does] <= MOST_SHOWN;
  });
  return {
    edition,
    issues: list.issues,
    ignored: list.ignored,
    counts,
    jumps,
    rows: rows.map(({ item: _item, ...row }) => row),
  };
}

async function cells({ app }: Viewer, name: ListName) {
  const books = await app.books();
  const kind = listKind(name);
  return cellsToWrite(kind, (books?.lists[name] ?? []) as readonly AnyListed[], books?.settings.homeUnit ?? 'in');
}
export async function listTables(viewer: Viewer): Promise<ListTablesView> {
  const books = await viewer.app.books();
  const [mouldings, mats, glazings, backings] = await Promise.all(LIST_NAMES.map((name) => cells(viewer, name)));
  return {
    edition: books?.prices.edition ?? 0,
    home: books?.settings.homeUnit ?? 'in',
    tables: { mouldings: mouldings!, mats: mats!, glazings: glazings!, backings: backings! },
  };
}
export const listAsCsv = async (viewer: Viewer, name: ListName): Promise<string> =>
  textOfCells(await cells(viewer, name));
/** The same as a workbook of one sheet, every cell a text, as the list writes it. */
export async function listAsWorkbook(viewer: Viewer, name: ListName): Promise<Uint8Array> {
  const { default: writeWorkbook } = await import('write-excel-file/node');
  const rows = (await cells(viewer, name)).map((row) => row.map((value) => ({ value, type: String })));
  return writeWorkbook(rows, { sheet: name }).toBuffer();
}

export const columnsKept = ({ app }: Viewer<'owner'>, name: ListName) => columnsRemembered(app.db, name);
