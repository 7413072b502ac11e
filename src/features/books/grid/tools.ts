/** What the table needs once it is touched: texts of the clipboard, what a row says, the list as it is sent. */
import Papa from 'papaparse';
import type { Issue } from '@/core/issue';
import { RowReader } from '@/core/supplier-list/fields';
import { textOfCells } from '@/core/supplier-list/list';
import { listKind } from '@/core/supplier-list/lists';
import type { ListName } from '@/core/supplier-list/names';
import type { Block, TableRow } from './cells';

/** A block as a spreadsheet gives it. */
export const blockOf = (text: string): Block =>
  Papa.parse<string[]>(text.replace(/\r?\n$/, ''), { delimiter: '\t' }).data;
/** A block as a spreadsheet takes it. */
export const textOfBlock = (block: Block): string =>
  Papa.unparse(block as string[][], { delimiter: '\t', newline: '\n' });

/** What is wrong in a row, by its columns' places. */
export function wrongIn(list: ListName, row: TableRow): ReadonlyMap<number, Issue> {
  const { columns, read } = listKind(list);
  const reader = new RowReader(Object.fromEntries(columns.map((column, at) => [column, row.cells[at]!.trim()])));
  read(reader);
  return new Map(reader.issues.map((one) => [columns.indexOf(one.path ?? ''), one]));
}

export const listText = (columns: readonly string[], rows: readonly TableRow[]): string =>
  textOfCells([columns, ...rows.map((row) => row.cells)]);
