/** Mouldings as rows of a list: measured in the unit that each row names. */
import { issue } from '../issue';
import { type Moulding, PROFILES, TIMBERS } from '../materials';
import { type Length, type Unit } from '../units/length';
import { writtenLength } from './fields';
import type { ListKind } from './list';

export type Listed = Moulding & { readonly cost: NonNullable<Moulding['cost']>; readonly unit: Unit };

const COLUMNS = [
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

export const MOULDINGS: ListKind<Listed> = {
  columns: COLUMNS,
  needed: COLUMNS.filter((column) => column !== 'stick' && column !== 'supplier'),
  read: (row) => {
    const code = row.code('code');
    const name = row.text('name');
    const finish = row.text('finish');
    const supplier = row.optionalText('supplier');
    const unit = row.oneOf('unit', ['in', 'mm']);
    const material = row.oneOf('material', TIMBERS);
    const profile = row.oneOf('profile', PROFILES);
    const per = row.oneOf('per', ['ft', 'm']);
    const colour = row.colour('colour');
    const faceWidth = row.length('face width', unit);
    const rabbetWidth = row.length('rabbet width', unit);
    const rabbetDepth = row.length('rabbet depth', unit);
    const height = row.length('height', unit);
    const stick = row.optionalLength('stick', unit);
    if (faceWidth && rabbetWidth && rabbetWidth >= faceWidth)
      row.issues.push(issue('list-rabbet-wide', {}, 'rabbet width'));
    if (height && rabbetDepth && rabbetDepth >= height) row.issues.push(issue('list-rabbet-deep', {}, 'rabbet depth'));
    const amount = row.cost('cost');
    return {
      code,
      name,
      supplier,
      // What could not be read stands in the issues; the row is then not used.
      faceWidth: faceWidth as Length,
      rabbetWidth: rabbetWidth as Length,
      rabbetDepth: rabbetDepth as Length,
      height: height as Length,
      material,
      profile,
      finish,
      colour,
      ...(stick === undefined ? {} : { stick }),
      cost: { amount, per },
      unit,
    };
  },
  write: (listed) => ({
    code: listed.code,
    name: listed.name,
    supplier: listed.supplier,
    unit: listed.unit,
    'face width': writtenLength(listed.faceWidth, listed.unit),
    'rabbet width': writtenLength(listed.rabbetWidth, listed.unit),
    'rabbet depth': writtenLength(listed.rabbetDepth, listed.unit),
    height: writtenLength(listed.height, listed.unit),
    material: listed.material,
    profile: listed.profile,
    finish: listed.finish,
    colour: listed.colour,
    stick: writtenLength(listed.stick, listed.unit),
    cost: listed.cost.amount,
    per: listed.cost.per,
  }),
};
