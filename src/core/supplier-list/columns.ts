/** A supplier's own columns put under ours: told once, remembered with the supplier. */
import { columnName, type ListKind, type Listable } from './list';
import type { ColumnMap, ColumnSource } from './names';

/** Other names that lists give our columns. */
const ALSO: Readonly<Record<string, readonly string[]>> = {
  code: ['item', 'item no', 'item number', 'article', 'sku', 'number', 'no', 'ref', 'reference'],
  name: ['description', 'title', 'text'],
  supplier: ['maker', 'vendor', 'brand'],
  'face width': ['face', 'width', 'moulding width'],
  'rabbet width': ['rabbet', 'rebate', 'rebate width', 'lip'],
  'rabbet depth': ['rebate depth', 'depth'],
  'thickness mm': ['thickness'],
  colour: ['color', 'hex'],
  stick: ['stick length', 'length'],
  cost: ['price', 'cost price', 'net', 'net price', 'list price'],
  per: ['unit of sale', 'sold by'],
};

const uniqueNames = (head: readonly string[]) => new Set(head.map(columnName));

/** What can be told from the names alone, after what is remembered of this supplier as far as the file has it. */
export function guessColumns<T extends Listable>(
  kind: ListKind<T>,
  head: readonly string[],
  remembered: ColumnMap = {},
): ColumnMap {
  const names = uniqueNames(head);
  const guess = (column: string): ColumnSource | undefined => {
    const known = remembered[column];
    if (known && ('same' in known || names.has(columnName(known.from)))) return known;
    const found = [column, ...(ALSO[column] ?? [])].find((name) => names.has(name));
    return found === undefined ? undefined : { from: found };
  };
  return Object.fromEntries(
    kind.columns.flatMap((column) => {
      const source = guess(column);
      return source ? [[column, source] as const] : [];
    }),
  );
}

/** Columns of ours that every row needs and nothing gives yet. */
export const columnsMissing = <T extends Listable>(kind: ListKind<T>, map: ColumnMap): readonly string[] =>
  kind.needed.filter((column) => {
    const source = map[column];
    return source === undefined || ('same' in source && source.same.trim() === '');
  });

/** The file's cells under our columns; a row with too few or too many cells stays as long as it was wrong. */
export function underOurs(
  cells: readonly (readonly string[])[],
  columns: readonly string[],
  map: ColumnMap,
): readonly (readonly string[])[] {
  const [head = [], ...rows] = cells;
  const names = head.map(columnName);
  const used = columns.filter((column) => map[column] !== undefined);
  const places = used.map((column) => {
    const source = map[column]!;
    return 'from' in source ? names.indexOf(columnName(source.from)) : source.same;
  });
  return [
    used,
    ...rows.map((row) => {
      const mapped = places.map((place) => (typeof place === 'string' ? place : (row[place] ?? '')));
      return row.length === head.length ? mapped : [...mapped, ...Array<string>(1).fill('')];
    }),
  ];
}
