/** A sheet as its form has it, as texts, and read back from it. */
import type { Asked } from '@/contract/commands';
import { type Issue, issue } from '@/core/issue';
import { BACKINGS, type Backing, type Glazing, type SheetMaterial } from '@/core/materials';
import { fieldText } from '@/core/units/format-length';
import { type Length, type Unit, mm } from '@/core/units/length';
import { parseLength } from '@/core/units/parse-length';
import { DECIMAL } from '@/core/units/rational';

export const SHEET_KINDS = ['mat', 'glazing', 'backing'] as const;
export type SheetKind = (typeof SHEET_KINDS)[number];
export type AnySheet = SheetMaterial | Glazing | Backing;
type Put = Asked<'change-sheets'>['put'][number];

export interface SheetTexts extends Record<string, string> {
  readonly code: string;
  readonly name: string;
  readonly colour: string;
  readonly thickness: string;
  readonly cost: string;
  readonly width: string;
  readonly height: string;
}
export interface SheetChoices {
  readonly per: 'sqft' | 'sqm';
  readonly archival: boolean;
  readonly glass: Glazing['type'];
  readonly uv: boolean;
  readonly coated: boolean;
  readonly board: Backing['type'];
}

export const textsOf = (sheet: AnySheet | undefined, unit: Unit): SheetTexts => ({
  code: sheet?.code ?? '',
  name: sheet?.name ?? '',
  colour: sheet?.colour ?? '#ffffff',
  thickness: sheet ? fieldText(sheet.thickness, 'mm') : '',
  cost: sheet?.cost?.amount ?? '',
  width: sheet?.largest ? fieldText(sheet.largest.w, unit) : '',
  height: sheet?.largest ? fieldText(sheet.largest.h, unit) : '',
});
export const choicesOf = (sheet: AnySheet | undefined, home: Unit): SheetChoices => ({
  per: sheet?.cost?.per ?? (home === 'in' ? 'sqft' : 'sqm'),
  archival: sheet?.archival ?? true,
  glass: sheet && 'uv' in sheet ? sheet.type : 'glass',
  uv: sheet && 'uv' in sheet ? sheet.uv : false,
  coated: sheet && 'coated' in sheet ? sheet.coated : false,
  board: sheet && 'type' in sheet && !('uv' in sheet) ? (sheet as Backing).type : BACKINGS[0],
});

/** What the form says; what it does not ask about stays as it was. Thickness is in millimetres in every shop. */
export function sheetOf(
  kind: SheetKind,
  texts: SheetTexts,
  choices: SheetChoices,
  unit: Unit,
  was: AnySheet | undefined,
): { readonly put: Put } | { readonly wrong: readonly Issue[] } {
  const wrong: Issue[] = [];
  const long = (field: 'thickness' | 'width' | 'height', of: Unit): Length => {
    const read = parseLength(texts[field], { unit: of });
    if (read.ok) return read.value;
    wrong.push(...read.issues.map((one) => ({ ...one, path: field })));
    return mm(1);
  };
  const cost = texts.cost.trim().replace(',', '.');
  if (cost !== '' && !DECIMAL.test(cost)) wrong.push(issue('number-wrong', { typed: texts.cost }, 'cost'));
  const colour = texts.colour.trim().toLowerCase();
  if (!/^#[0-9a-f]{6}$/.test(colour)) wrong.push(issue('list-colour', { read: texts.colour }, 'colour'));
  if (texts.name.trim() === '') wrong.push(issue('list-empty', {}, 'name'));
  const code = texts.code.trim().toUpperCase();
  if (!/^[\w.\-/ ]{1,40}$/.test(code)) wrong.push(issue('list-code', { read: texts.code }, 'code'));
  const sized = texts.width.trim() !== '' || texts.height.trim() !== '';
  const base = {
    ...(was?.price ? { price: was.price } : {}),
    code,
    name: texts.name.trim(),
    colour,
    thickness: long('thickness', 'mm'),
    archival: choices.archival,
    ...(cost === '' ? {} : { cost: { amount: cost, per: choices.per } }),
    ...(sized ? { largest: { w: long('width', unit), h: long('height', unit) } } : {}),
  };
  if (wrong.length > 0) return { wrong };
  if (kind === 'glazing')
    return { put: { kind, spec: { ...base, type: choices.glass, uv: choices.uv, coated: choices.coated } } };
  return kind === 'backing' ? { put: { kind, spec: { ...base, type: choices.board } } } : { put: { kind, spec: base } };
}
