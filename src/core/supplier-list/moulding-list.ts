/**
 * A supplier's list of mouldings as CSV, read row by row and written again. Commas, semicolons or tabs; a byte-order
 * mark, quotes and line breaks in fields, and decimal commas are read. A row is either a whole moulding or refused
 * with every reason. Written rows are canonical, so a list that was exported comes back unchanged.
 */
import Papa from 'papaparse';
import { type Issue, issue } from '../issue';
import { type Pausing, atOnce } from '../pausing';
import { type Moulding, PROFILES, TIMBERS } from '../materials';
import { FINEST, fieldText } from '../units/format-length';
import { type Length, type Unit, UNITS_PER_MM } from '../units/length';
import { parseLength } from '../units/parse-length';
import { decimal, toDecimal } from '../units/rational';

export const COLUMNS = [
  'code',
  'name',
  'supplier',
  'unit',
  'face width',
  'rabbet width',
  'rabbet depth',
  'height',
  'material',
  'profile',
  'finish',
  'colour',
  'stick',
  'cost',
  'per',
] as const;
type Column = (typeof COLUMNS)[number];
const NEEDED: readonly Column[] = COLUMNS.filter((column) => column !== 'stick' && column !== 'supplier');
export const MOST_ROWS = 10_000;

export type Listed = Moulding & { readonly cost: NonNullable<Moulding['cost']>; readonly unit: Unit };
export type ReadRow = { readonly row: number; readonly code: string; readonly name: string } & (
  { readonly moulding: Listed } | { readonly issues: readonly Issue[] }
);
export interface ReadList {
  /** What is wrong with the file as a whole; then there are no rows. */
  readonly issues: readonly Issue[];
  readonly ignored: readonly string[];
  readonly rows: readonly ReadRow[];
}

type Fields = Record<Column, string>;

/** A spreadsheet would run a text that begins like this. */
const FORMULA = /^[=+\-@\t\r]/;

function lengthIn(fields: Fields, column: Column, unit: Unit, issues: Issue[]): Length | undefined {
  const read = parseLength(fields[column], { unit, decimalComma: true });
  if (read.ok) return read.value;
  issues.push(...read.issues.map((issue) => ({ ...issue, path: column })));
  return undefined;
}

function oneOf<T extends string>(
  fields: Fields,
  column: Column,
  allowed: readonly T[],
  issues: Issue[],
): T | undefined {
  const text = fields[column].toLowerCase();
  const found = allowed.find((one) => one === text);
  if (!found) issues.push(issue('list-choice', { read: fields[column], allowed: allowed.join(', ') }, column));
  return found;
}

function textIn(fields: Fields, column: Column, limit: number, issues: Issue[]): string {
  const text = fields[column];
  if (text === '') issues.push(issue('list-empty', {}, column));
  if (text.length > limit) issues.push(issue('list-long', { length: text.length, most: limit }, column));
  if (FORMULA.test(text)) issues.push(issue('list-formula', { read: text.slice(0, 20) }, column));
  return text;
}

function costIn(fields: Fields, issues: Issue[]): string | undefined {
  const value = decimal(fields.cost.replace(',', '.'));
  const [whole = ''] = fields.cost.split(/[.,]/);
  if (value && value.n > 0n && whole.length <= 6)
    return toDecimal(value, 4)
      .replace(/^(\d+)$/, '$1.00')
      .replace(/^(\d+\.\d)$/, '$10');
  issues.push(issue('list-cost', { read: fields.cost }, 'cost'));
  return undefined;
}

function readFields(fields: Fields): Listed | Issue[] {
  const issues: Issue[] = [];
  const code = textIn(fields, 'code', 40, issues);
  if (code !== '' && !/^[\w.\-/ ]+$/.test(code)) issues.push(issue('list-code', { read: code }, 'code'));
  const name = textIn(fields, 'name', 120, issues);
  const finish = textIn(fields, 'finish', 120, issues);
  if (FORMULA.test(fields.supplier))
    issues.push(issue('list-formula', { read: fields.supplier.slice(0, 20) }, 'supplier'));
  const unit = oneOf(fields, 'unit', ['in', 'mm'] as const, issues);
  const material = oneOf(fields, 'material', TIMBERS, issues);
  const profile = oneOf(fields, 'profile', PROFILES, issues);
  const per = oneOf(fields, 'per', ['ft', 'm'] as const, issues);
  const colour = fields.colour.toLowerCase();
  if (!/^#[0-9a-f]{6}$/.test(colour)) issues.push(issue('list-colour', { read: fields.colour }, 'colour'));
  const measured = (column: Column) => lengthIn(fields, column, unit ?? 'mm', issues);
  const faceWidth = measured('face width');
  const rabbetWidth = measured('rabbet width');
  const rabbetDepth = measured('rabbet depth');
  const height = measured('height');
  const stick = fields.stick === '' ? undefined : measured('stick');
  if (faceWidth && rabbetWidth && rabbetWidth >= faceWidth) issues.push(issue('list-rabbet-wide', {}, 'rabbet width'));
  if (height && rabbetDepth && rabbetDepth >= height) issues.push(issue('list-rabbet-deep', {}, 'rabbet depth'));
  const amount = costIn(fields, issues);
  if (issues.length > 0) return issues;
  return {
    code,
    name,
    supplier: fields.supplier.slice(0, 120),
    faceWidth: faceWidth!,
    rabbetWidth: rabbetWidth!,
    rabbetDepth: rabbetDepth!,
    height: height!,
    material: material!,
    profile: profile!,
    finish,
    colour,
    ...(stick === undefined ? {} : { stick }),
    cost: { amount: amount!, per: per! },
    unit: unit!,
  };
}

/** Rows that are read between two pauses. */
const SLICE = 200;

/** Reads a whole list, pausing every so many rows so that others get their turn. Never throws, whatever the text is. */
export function* readingMouldingList(text: string): Pausing<ReadList> {
  const fail = (...issues: Issue[]): ReadList => ({ issues, ignored: [], rows: [] });
  if (text.trim() === '') return fail(issue('list-nothing'));
  if (text.includes('\u0000')) return fail(issue('list-binary'));
  const parsed = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), {
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t'],
  });
  const [head = [], ...records] = parsed.data;
  const names = head.map((name) =>
    name
      .trim()
      .toLowerCase()
      .replace(/[_\s]+/g, ' '),
  );
  const missing = NEEDED.filter((column) => !names.includes(column));
  if (missing.length > 0) return fail(issue('list-columns', { missing: missing.join(', ') }));
  const twice = COLUMNS.filter((column) => names.indexOf(column) !== names.lastIndexOf(column));
  if (twice.length > 0) return fail(issue('list-column-twice', { column: twice.join(', ') }));
  if (records.length > MOST_ROWS) return fail(issue('list-rows', { rows: records.length, most: MOST_ROWS }));
  if (parsed.errors.some((error) => error.type === 'Quotes'))
    return fail(issue('list-quotes', { row: (parsed.errors.find((error) => error.type === 'Quotes')?.row ?? 0) + 1 }));

  const seen = new Map<string, number>();
  const readRow = (record: readonly string[], index: number): ReadRow => {
    const row = index + 2;
    const fields = Object.fromEntries(
      COLUMNS.map((column) => [column, (record[names.indexOf(column)] ?? '').trim()]),
    ) as Fields;
    const about = { row, code: fields.code.slice(0, 40), name: fields.name.slice(0, 60) };
    if (record.length !== head.length)
      return { ...about, issues: [issue('list-fields', { found: record.length, wanted: head.length })] };
    const read = readFields(fields);
    const first = seen.get(fields.code.toLowerCase());
    if (first === undefined) seen.set(fields.code.toLowerCase(), row);
    const double =
      first === undefined || fields.code === ''
        ? []
        : [issue('list-code-twice', { code: fields.code, row: first }, 'code')];
    if (Array.isArray(read)) return { ...about, issues: [...read, ...double] };
    return double.length > 0 ? { ...about, issues: double } : { ...about, moulding: read };
  };
  const rows: ReadRow[] = [];
  for (const [index, record] of records.entries()) {
    rows.push(readRow(record, index));
    if (index % SLICE === SLICE - 1) yield;
  }
  return {
    issues: [],
    ignored: head.filter((_, index) => !(COLUMNS as readonly string[]).includes(names[index]!)),
    rows,
  };
}

/** A length as its list writes it; with its unit when a rule could not show it exactly. */
const written = (value: Length, unit: Unit) =>
  value % FINEST[unit] === 0 ? fieldText(value, unit) : `${value / UNITS_PER_MM} mm`;

const fieldsOf = (listed: Listed): Fields => ({
  code: listed.code,
  name: listed.name,
  supplier: listed.supplier,
  unit: listed.unit,
  'face width': written(listed.faceWidth, listed.unit),
  'rabbet width': written(listed.rabbetWidth, listed.unit),
  'rabbet depth': written(listed.rabbetDepth, listed.unit),
  height: written(listed.height, listed.unit),
  material: listed.material,
  profile: listed.profile,
  finish: listed.finish,
  colour: listed.colour,
  stick: listed.stick === undefined ? '' : written(listed.stick, listed.unit),
  cost: listed.cost.amount,
  per: listed.cost.per,
});

/** The list as CSV, one row a moulding, in the given order. */
export const writeMouldingList = (list: readonly Listed[]): string =>
  `${Papa.unparse({ fields: [...COLUMNS], data: list.map((listed) => COLUMNS.map((column) => fieldsOf(listed)[column])) }, { newline: '\n' })}\n`;

export interface PlannedRow {
  readonly row: number;
  readonly code: string;
  readonly name: string;
  readonly does: 'add' | 'change' | 'same' | 'refuse';
  readonly issues: readonly Issue[];
  /** What would change, as written in the list: field, before, after. */
  readonly changes: readonly { readonly field: string; readonly from: string; readonly to: string }[];
  readonly moulding?: Listed;
}

/** What the list would do to the books, row by row, pausing as reading does. Codes that differ by case only are one. */
export function* planningImport(list: ReadList, books: readonly Listed[]): Pausing<PlannedRow[]> {
  const byCode = new Map(books.map((book) => [book.code.toLowerCase(), book]));
  const planRow = (readRow: ReadRow): PlannedRow => {
    const { row, code, name } = readRow;
    if ('issues' in readRow) return { row, code, name, does: 'refuse', issues: readRow.issues, changes: [] };
    const before = byCode.get(readRow.moulding.code.toLowerCase());
    if (before && before.code !== readRow.moulding.code) {
      const issues = [issue('list-code-case', { code, known: before.code }, 'code')];
      return { row, code, name, does: 'refuse', issues, changes: [] };
    }
    if (!before) return { row, code, name, does: 'add', issues: [], changes: [], moulding: readRow.moulding };
    const [from, to] = [fieldsOf(before), fieldsOf(readRow.moulding)];
    const changes = COLUMNS.filter((field) => from[field] !== to[field]).map((field) => ({
      field,
      from: from[field],
      to: to[field],
    }));
    return {
      row,
      code,
      name,
      does: changes.length > 0 ? 'change' : 'same',
      issues: [],
      changes,
      moulding: readRow.moulding,
    };
  };
  const plan: PlannedRow[] = [];
  for (const [index, readRow] of list.rows.entries()) {
    plan.push(planRow(readRow));
    if (index % SLICE === SLICE - 1) yield;
  }
  return plan;
}

export const readMouldingList = (text: string): ReadList => atOnce(readingMouldingList(text));
export const planImport = (list: ReadList, books: readonly Listed[]): PlannedRow[] =>
  atOnce(planningImport(list, books));
