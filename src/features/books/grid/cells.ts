/**
 * A list as a table of texts that is edited: every change is a new table, so that each can be taken back. Rows that the
 * books know keep their code; what is typed is read by the list's own rules.
 */
export interface TableRow {
  readonly id: number;
  readonly cells: readonly string[];
  /** As the books have it; undefined for a row that is new. */
  readonly was?: readonly string[];
}
export interface Place {
  readonly row: number;
  readonly column: number;
}
/** Texts side by side and below one another, as a clipboard has them. */
export type Block = readonly (readonly string[])[];
/** Two corners, in any order, of what is selected. */
export interface Selection {
  readonly from: Place;
  readonly to: Place;
}
interface Change extends Place {
  readonly text: string;
}
export interface Range {
  readonly top: number;
  readonly bottom: number;
  readonly left: number;
  readonly right: number;
}
export const MOST_PASTED = 25_000;

export const rangeOf = ({ from, to }: Selection): Range => ({
  top: Math.min(from.row, to.row),
  bottom: Math.max(from.row, to.row),
  left: Math.min(from.column, to.column),
  right: Math.max(from.column, to.column),
});

export const rowsOf = (cells: readonly (readonly string[])[]): readonly TableRow[] =>
  cells.map((row, id) => ({ id, cells: row, was: row }));

export const isChanged = ({ cells, was }: TableRow): boolean =>
  was === undefined ? cells.some((cell) => cell.trim() !== '') : cells.some((cell, at) => cell !== was[at]);
export const changedRows = (rows: readonly TableRow[]): readonly TableRow[] => rows.filter(isChanged);

/** The rows with these texts in them; the first column of a row that the books know stays. */
export function written(rows: readonly TableRow[], changes: readonly Change[]): readonly TableRow[] {
  const byRow = new Map<number, Change[]>();
  for (const change of changes) {
    const kept = rows[change.row]?.was !== undefined && change.column === 0;
    if (!kept) byRow.set(change.row, [...(byRow.get(change.row) ?? []), change]);
  }
  if (byRow.size === 0) return rows;
  return rows.map((row, at) => {
    const own = byRow.get(at);
    if (!own) return row;
    const cells = [...row.cells];
    for (const { column, text } of own) cells[column] = text;
    return { ...row, cells };
  });
}

/** A row more, with what most rows of this list begin with. */
export function withRow(rows: readonly TableRow[], start: readonly string[]): readonly TableRow[] {
  return [...rows, { id: rows.length, cells: start }];
}

/**
 * A block of texts from a spreadsheet, put in from the upper left of the selection; one text alone fills the whole
 * selection. `shown` are the rows in sight, by their place in the table; rows beyond the last are new ones.
 */
export function pasted(
  rows: readonly TableRow[],
  shown: readonly number[],
  selection: Selection,
  given: Block,
  start: readonly string[],
): readonly TableRow[] {
  const block = given.slice(0, MOST_PASTED);
  const { top, left, bottom, right } = rangeOf(selection);
  const columns = start.length;
  const single = block.length === 1 && block[0]!.length === 1;
  const height = single ? bottom - top + 1 : block.length;
  let table = rows;
  const places = [...shown];
  while (places.length < top + height) {
    places.push(table.length);
    table = [...table, { id: table.length, cells: start }];
  }
  const changes: Change[] = [];
  for (let down = 0; down < height; down += 1) {
    const line = single ? Array<string>(right - left + 1).fill(block[0]![0]!) : block[down]!;
    for (const [across, cell] of line.entries())
      if (left + across < columns) changes.push({ row: places[top + down]!, column: left + across, text: cell.trim() });
  }
  return written(table, changes);
}

/** Every selected row says what the first one says. */
export function filledDown(
  rows: readonly TableRow[],
  shown: readonly number[],
  selection: Selection,
): readonly TableRow[] {
  const { top, bottom, left, right } = rangeOf(selection);
  const first = rows[shown[top]!]!;
  const changes: Change[] = [];
  for (let row = top + 1; row <= bottom; row += 1)
    for (let column = left; column <= right; column += 1)
      changes.push({ row: shown[row]!, column, text: first.cells[column]! });
  return written(rows, changes);
}

export function cleared(rows: readonly TableRow[], shown: readonly number[], selection: Selection) {
  const { top, bottom, left, right } = rangeOf(selection);
  const changes: Change[] = [];
  for (let row = top; row <= bottom; row += 1)
    for (let column = left; column <= right; column += 1) changes.push({ row: shown[row]!, column, text: '' });
  return written(rows, changes);
}

export function copied(rows: readonly TableRow[], shown: readonly number[], selection: Selection): Block {
  const { top, bottom, left, right } = rangeOf(selection);
  return shown.slice(top, bottom + 1).map((at) => rows[at]!.cells.slice(left, right + 1));
}

/** Places of the rows that have these texts in their columns; a row that is new is always in sight. */
export function shownRows(rows: readonly TableRow[], filters: Readonly<Record<number, string>>): readonly number[] {
  const asked = Object.entries(filters)
    .map(([column, text]) => [Number(column), text.trim().toLowerCase()] as const)
    .filter(([, text]) => text !== '');
  return rows.flatMap((row, at) =>
    row.was === undefined || asked.every(([column, text]) => (row.cells[column] ?? '').toLowerCase().includes(text))
      ? [at]
      : [],
  );
}
