/** The rack as CSV, written and read. A row is either a whole piece or refused with every reason; none is taken unless all are good. */
import Papa from 'papaparse';
import { type Issue, issue } from '../issue';
import { FINEST, fieldText } from '../units/format-length';
import type { Length, Unit } from '../units/length';
import { parseLength } from '../units/parse-length';

export const RACK_COLUMNS = [
  'kind',
  'material',
  'unit',
  'length',
  'height',
  'batch',
  'no-go',
  'place',
  'note',
] as const;
export interface ListedPiece {
  readonly kind: 'stick' | 'sheet';
  readonly material: string;
  readonly length: Length;
  readonly height: Length | null;
  readonly batch: string;
  readonly noGo: readonly { readonly from: Length; readonly to: Length }[];
  readonly place: string;
  readonly note: string;
}
const MOST_ROWS = 5000;
const FORMULA = /^[=+\-@\t\r]/;

const exact = (value: Length, unit: Unit) => value % FINEST[unit] === 0;
/** Written in inches where that is exact, else in millimetres to the last unit. */
export function writeRackList(pieces: readonly (ListedPiece & { readonly code: string })[], home: Unit): string {
  const safe = (text: string) => (FORMULA.test(text) ? `'${text}` : text);
  const rows = pieces.map((one) => {
    const lengths = [
      one.length,
      ...(one.height === null ? [] : [one.height]),
      ...one.noGo.flatMap(({ from, to }) => [from, to]),
    ];
    const unit: Unit = home === 'in' && lengths.every((value) => exact(value, 'in')) ? 'in' : 'mm';
    const text = (value: Length) => (unit === 'in' ? fieldText(value, 'in') : String(value / 320));
    return [
      one.kind,
      one.material,
      unit,
      text(one.length),
      one.height === null ? '' : text(one.height),
      safe(one.batch),
      one.noGo.map(({ from, to }) => `${text(from)} to ${text(to)}`).join('; '),
      safe(one.place),
      safe(one.note),
    ];
  });
  return `${Papa.unparse([[...RACK_COLUMNS], ...rows], { newline: '\n' })}\n`;
}

/** Pieces and what is wrong, each with its row (1 is the first below the heading). */
export function readRackList(
  text: string,
  known: { readonly stick: ReadonlySet<string>; readonly sheet: ReadonlySet<string> },
): { pieces: ListedPiece[]; issues: Issue[] } {
  const { data } = Papa.parse<Record<string, string>>(text.replace(/^\ufeff/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim().toLowerCase(),
    transform: (value) => value.trim(),
  });
  if (data.length === 0) return { pieces: [], issues: [issue('list-nothing')] };
  if (data.length > MOST_ROWS)
    return { pieces: [], issues: [issue('list-rows', { rows: data.length, most: MOST_ROWS })] };
  const missing = ['kind', 'material', 'length'].filter((column) => !(column in data[0]!));
  if (missing.length > 0) return { pieces: [], issues: [issue('list-columns', { missing: missing.join(', ') })] };
  const issues: Issue[] = [];
  const pieces = data.flatMap((row, index): ListedPiece[] => {
    const wrong: Issue[] = [];
    const at = (column: string) => `row ${index + 1}, ${column}`;
    const unit: Unit = row.unit === 'mm' ? 'mm' : 'in';
    const read = (value: string | undefined, column: string): Length | undefined => {
      const found = parseLength(value ?? '', { unit, decimalComma: true });
      if (found.ok) return found.value;
      wrong.push(...found.issues.map((one) => ({ ...one, path: at(column) })));
      return undefined;
    };
    const kind = row.kind === 'sheet' ? 'sheet' : row.kind === 'stick' ? 'stick' : undefined;
    if (!kind) wrong.push(issue('list-choice', { read: row.kind ?? '', allowed: 'stick, sheet' }, at('kind')));
    const material = row.material ?? '';
    if (kind && !known[kind].has(material))
      wrong.push(issue('material-unknown', { code: material.slice(0, 40) }, at('material')));
    for (const column of ['batch', 'place', 'note'] as const)
      if (FORMULA.test(row[column] ?? ''))
        wrong.push(issue('list-formula', { read: row[column]!.slice(0, 20) }, at(column)));
    const length = read(row.length, 'length');
    const height = kind === 'sheet' ? read(row.height, 'height') : null;
    const noGo = (row['no-go'] ?? '')
      .split(';')
      .map((one) => one.trim())
      .filter((one) => one !== '')
      .flatMap((one) => {
        const [from, to] = one.split(/\s+to\s+/).map((value) => read(value, 'no-go'));
        return from !== undefined && to !== undefined ? [{ from, to }] : [];
      });
    issues.push(...wrong);
    if (wrong.length > 0 || !kind || length === undefined || height === undefined) return [];
    const cell = (column: string) => (row[column] ?? '').slice(0, 200);
    return [
      {
        kind,
        material,
        length,
        height,
        batch: cell('batch'),
        noGo,
        place: cell('place').slice(0, 60),
        note: cell('note'),
      },
    ];
  });
  return { pieces, issues };
}
