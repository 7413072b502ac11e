/**
 * A list of things the shop buys, as rows under named columns: read row by row, compared with the books, and written
 * again. Commas, semicolons or tabs; a byte-order mark, quotes and line breaks in fields, and decimal commas are read.
 * A row is either a whole thing or refused with every reason. Written rows are canonical, so a list that was exported
 * comes back unchanged.
 */
import Papa from 'papaparse';
import { type Issue, issue } from '../issue';
import type { Pausing } from '../pausing';
import type { Unit } from '../units/length';
import { type Fields, RowReader } from './fields';

export interface Listable {
  readonly code: string;
  readonly name: string;
}
/** What one kind of list holds. */
export interface ListKind<T extends Listable> {
  readonly columns: readonly string[];
  /** Columns that every file must have. */
  readonly needed: readonly string[];
  readonly read: (row: RowReader) => T;
  /** As its row writes it, lengths in the thing's own unit or else in the shop's. */
  readonly write: (one: T, home: Unit) => Fields;
  /** What the row does not say stays as it was. */
  readonly over?: (before: T, read: T) => T;
}
export const MOST_ROWS = 25_000;

export type ReadRow<T> = { readonly row: number; readonly code: string; readonly name: string } & (
  { readonly item: T } | { readonly issues: readonly Issue[] }
);
export interface ReadList<T> {
  /** What is wrong with the file as a whole; then there are no rows. */
  readonly issues: readonly Issue[];
  readonly ignored: readonly string[];
  readonly rows: readonly ReadRow<T>[];
}

/** A column's name as it is compared: case, underscores and double spaces do not count. */
export const columnName = (name: string): string =>
  name
    .trim()
    .toLowerCase()
    .replace(/[_\s]+/g, ' ');

/** The cells of a text, the head first; or what is wrong with it as a whole. */
export function cellsOf(text: string): { readonly cells: readonly (readonly string[])[] } | { readonly wrong: Issue } {
  if (text.trim() === '') return { wrong: issue('list-nothing') };
  if (text.includes('\u0000')) return { wrong: issue('list-binary') };
  const parsed = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), {
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t'],
  });
  const quotes = parsed.errors.find((error) => error.type === 'Quotes');
  if (parsed.data.length - 1 > MOST_ROWS)
    return { wrong: issue('list-rows', { rows: parsed.data.length - 1, most: MOST_ROWS }) };
  return quotes ? { wrong: issue('list-quotes', { row: (quotes.row ?? 0) + 1 }) } : { cells: parsed.data };
}

/** Cells as a text that is read again as they are. */
export const textOfCells = (cells: readonly (readonly string[])[]): string =>
  `${Papa.unparse(cells as string[][], { newline: '\n' })}\n`;

/** Rows that are read between two pauses. */
const SLICE = 200;

/** Reads a whole list, pausing every so many rows so that others get their turn. Never throws, whatever the text is. */
export function* readingList<T extends Listable>(kind: ListKind<T>, text: string): Pausing<ReadList<T>> {
  const fail = (...issues: Issue[]): ReadList<T> => ({ issues, ignored: [], rows: [] });
  const read = cellsOf(text);
  if ('wrong' in read) return fail(read.wrong);
  const [head = [], ...records] = read.cells;
  const names = head.map(columnName);
  const missing = kind.needed.filter((column) => !names.includes(column));
  if (missing.length > 0) return fail(issue('list-columns', { missing: missing.join(', ') }));
  const twice = kind.columns.filter((column) => names.indexOf(column) !== names.lastIndexOf(column));
  if (twice.length > 0) return fail(issue('list-column-twice', { column: twice.join(', ') }));

  const seen = new Map<string, number>();
  const readRow = (record: readonly string[], index: number): ReadRow<T> => {
    const row = index + 2;
    const fields: Fields = Object.fromEntries(
      kind.columns.map((column) => [column, (record[names.indexOf(column)] ?? '').trim()]),
    );
    const code = fields.code ?? '';
    const about = { row, code: code.slice(0, 40), name: (fields.name ?? '').slice(0, 60) };
    if (record.length !== head.length)
      return { ...about, issues: [issue('list-fields', { found: record.length, wanted: head.length })] };
    const reader = new RowReader(fields);
    const item = kind.read(reader);
    const first = seen.get(code.toLowerCase());
    if (first === undefined) seen.set(code.toLowerCase(), row);
    else if (code !== '') reader.issues.push(issue('list-code-twice', { code, row: first }, 'code'));
    return reader.issues.length > 0 ? { ...about, issues: reader.issues } : { ...about, item };
  };
  const rows: ReadRow<T>[] = [];
  for (const [index, record] of records.entries()) {
    rows.push(readRow(record, index));
    if (index % SLICE === SLICE - 1) yield;
  }
  return { issues: [], ignored: head.filter((_, index) => !kind.columns.includes(names[index]!)), rows };
}

/** The list as CSV, one row a thing, in the given order. */
export const writeList = <T extends Listable>(kind: ListKind<T>, list: readonly T[], home: Unit): string =>
  textOfCells(cellsToWrite(kind, list, home));
export const cellsToWrite = <T extends Listable>(
  { columns, write }: ListKind<T>,
  list: readonly T[],
  home: Unit,
): readonly (readonly string[])[] => [
  columns,
  ...list.map((one) => {
    const fields = write(one, home);
    return columns.map((column) => fields[column] ?? '');
  }),
];

export interface PlannedRow<T> {
  readonly row: number;
  readonly code: string;
  readonly name: string;
  readonly does: 'add' | 'change' | 'same' | 'refuse';
  readonly issues: readonly Issue[];
  /** What would change, as written in the list: field, before, after. */
  readonly changes: readonly { readonly field: string; readonly from: string; readonly to: string }[];
  /** By how many whole percent its cost rises or falls, where it does. */
  readonly jump?: number;
  readonly item?: T;
}

const HUNDRED = 100;
/** Rounded to the whole percent, for the eye only. */
const percentBetween = (from: string, to: string): number =>
  Math.round(((Number(to) - Number(from)) / Number(from)) * HUNDRED);

/** What the list would do to the books, row by row, pausing as reading does. Codes that differ by case only are one. */
export function* planningList<T extends Listable>(
  kind: ListKind<T>,
  list: ReadList<T>,
  books: readonly T[],
  home: Unit,
): Pausing<PlannedRow<T>[]> {
  const byCode = new Map(books.map((book) => [book.code.toLowerCase(), book]));
  const planRow = (readRow: ReadRow<T>): PlannedRow<T> => {
    const { row, code, name } = readRow;
    const about = { row, code, name };
    if ('issues' in readRow) return { ...about, does: 'refuse', issues: readRow.issues, changes: [] };
    const before = byCode.get(readRow.item.code.toLowerCase());
    if (before && before.code !== readRow.item.code) {
      const issues = [issue('list-code-case', { code, known: before.code }, 'code')];
      return { ...about, does: 'refuse', issues, changes: [] };
    }
    if (!before) return { ...about, does: 'add', issues: [], changes: [], item: readRow.item };
    const item = kind.over ? kind.over(before, readRow.item) : readRow.item;
    const [from, to] = [kind.write(before, home), kind.write(item, home)];
    const changes = kind.columns
      .filter((field) => from[field] !== to[field])
      .map((field) => ({ field, from: from[field] ?? '', to: to[field] ?? '' }));
    const cost = changes.find(({ field }) => field === 'cost');
    return {
      ...about,
      does: changes.length > 0 ? 'change' : 'same',
      issues: [],
      changes,
      ...(cost && cost.from !== '' && cost.to !== '' ? { jump: percentBetween(cost.from, cost.to) } : {}),
      item,
    };
  };
  const plan: PlannedRow<T>[] = [];
  for (const [index, readRow] of list.rows.entries()) {
    plan.push(planRow(readRow));
    if (index % SLICE === SLICE - 1) yield;
  }
  return plan;
}
