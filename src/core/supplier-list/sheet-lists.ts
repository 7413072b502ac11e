/** Boards, glass and backs as rows of a list. Sizes are in the unit the row names, thickness in millimetres always. */
import { issue } from '../issue';
import { BACKINGS, type Backing, type Glazing, type SheetMaterial } from '../materials';
import type { Length, Unit } from '../units/length';
import { type Fields, type RowReader, writtenCost, writtenLength } from './fields';
import type { ListKind } from './list';

const COLUMNS = [
  'code',
  'name',
  'unit',
  'width',
  'height',
  'thickness mm',
  'colour',
  'archival',
  'cost',
  'per',
] as const;
const needed = (columns: readonly string[]) => columns.filter((column) => column !== 'width' && column !== 'height');

function readSheet(row: RowReader, thin: boolean): SheetMaterial {
  const code = row.code('code');
  const name = row.text('name');
  const unit = row.oneOf('unit', ['in', 'mm']);
  const [w, h] = [row.optionalLength('width', unit), row.optionalLength('height', unit)];
  if ((w === undefined) !== (h === undefined))
    row.issues.push(issue('list-empty', {}, w === undefined ? 'width' : 'height'));
  const amount = row.optionalCost('cost');
  const per = row.oneOf('per', ['sqft', 'sqm']);
  return {
    code,
    name,
    ...(w !== undefined && h !== undefined ? { largest: { w, h } } : {}),
    // What could not be read stands in the issues; the row is then not used.
    thickness: row.length('thickness mm', 'mm', thin) as Length,
    colour: row.colour('colour'),
    archival: row.yes('archival'),
    ...(amount === undefined ? {} : { cost: { amount, per } }),
  };
}
const yesNo = (is: boolean) => (is ? 'yes' : 'no');
const writeSheet = (sheet: SheetMaterial, home: Unit): Fields => ({
  code: sheet.code,
  name: sheet.name,
  unit: home,
  width: writtenLength(sheet.largest?.w, home),
  height: writtenLength(sheet.largest?.h, home),
  'thickness mm': writtenLength(sheet.thickness, 'mm'),
  colour: sheet.colour,
  archival: yesNo(sheet.archival),
  cost: writtenCost(sheet.cost?.amount),
  per: sheet.cost?.per ?? (home === 'in' ? 'sqft' : 'sqm'),
});
/** The item's own rule of price is not in the list. */
const keepsRule = <T extends SheetMaterial>(before: T, read: T): T =>
  before.price === undefined ? read : { ...read, price: before.price };

export const MATS: ListKind<SheetMaterial> = {
  columns: COLUMNS,
  needed: needed(COLUMNS),
  read: (row) => readSheet(row, false),
  write: writeSheet,
  over: keepsRule,
};

const GLAZING_COLUMNS = [...COLUMNS, 'type', 'uv', 'coated'] as const;
export const GLAZINGS: ListKind<Glazing> = {
  columns: GLAZING_COLUMNS,
  needed: needed(GLAZING_COLUMNS),
  read: (row) => ({
    ...readSheet(row, true),
    type: row.oneOf('type', ['glass', 'acrylic', 'none']),
    uv: row.yes('uv'),
    coated: row.yes('coated'),
  }),
  write: (glazing, home) => ({
    ...writeSheet(glazing, home),
    type: glazing.type,
    uv: yesNo(glazing.uv),
    coated: yesNo(glazing.coated),
  }),
  over: keepsRule,
};

const BACKING_COLUMNS = [...COLUMNS, 'type'] as const;
export const BACKING_LIST: ListKind<Backing> = {
  columns: BACKING_COLUMNS,
  needed: needed(BACKING_COLUMNS),
  read: (row) => ({ ...readSheet(row, false), type: row.oneOf('type', BACKINGS) }),
  write: (backing, home) => ({ ...writeSheet(backing, home), type: backing.type }),
  over: keepsRule,
};
