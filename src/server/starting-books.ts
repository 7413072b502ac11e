/** Boards, glazing and backing that every shop starts with. Mouldings come from a supplier's list. */
import type { Tx } from '@/db/client';
import { insertEdition, putMaterials } from '@/db/queries/books';
import type { By } from '@/db/queries/rows';
import type { Backing, Glazing, ReadyMade, SheetMaterial } from '@/core/materials';
import { type Length, type Unit, inches, mm, toMm } from '@/core/units/length';
import { money } from '@/core/units/money';
import { mul, mustDecimal, rational, toDecimal } from '@/core/units/rational';
import { dayOf } from './clock';

const BOARD = { w: inches(32), h: inches(40) };
const LARGE = { w: inches(48), h: inches(96) };
const board = (
  code: string,
  name: string,
  colour: string,
  cost = '1.10',
  over: Partial<SheetMaterial> = {},
): SheetMaterial => ({
  code,
  name,
  thickness: mm(1.4),
  colour,
  cost: { amount: cost, per: 'sqft' },
  largest: BOARD,
  archival: true,
  ...over,
});

const STARTING_MATS: readonly SheetMaterial[] = [
  board('RAG-SHELL', 'Shell, 4-ply rag', '#f4ecdd'),
  board('RAG-CHALK', 'Chalk, 4-ply rag', '#f7f5ee'),
  board('RAG-SAND', 'Sand, 4-ply rag', '#dccfb2'),
  board('RAG-HARBOUR', 'Harbour, 4-ply rag', '#405b64'),
  board('RAG-SLATE', 'Slate, 4-ply rag', '#5b6166'),
  board('RAG-KELP', 'Kelp, 4-ply rag', '#5f6a4b'),
  board('RAG-RUST', 'Rust, 4-ply rag', '#9a4f34'),
  board('RAG-INK', 'Ink, 4-ply rag', '#262b31'),
  board('RAG-SHELL-8', 'Shell, 8-ply rag', '#f4ecdd', '2.30', { thickness: mm(2.8) }),
  board('RAG-CHALK-XL', 'Chalk, 4-ply rag, large sheet', '#f7f5ee', '1.90', { largest: LARGE }),
  board('PULP-WHITE', 'White, pulp', '#f2f1ec', '0.55', { archival: false }),
];

const glass = (code: string, name: string, cost: string, over: Partial<Glazing> = {}): Glazing => ({
  code,
  name,
  thickness: mm(2),
  colour: '#c6dddc',
  cost: { amount: cost, per: 'sqft' },
  largest: { w: inches(36), h: inches(48) },
  archival: true,
  type: 'glass',
  uv: false,
  coated: false,
  ...over,
});
const STARTING_GLAZINGS: readonly Glazing[] = [
  glass('GL-CLEAR', 'Clear glass', '1.60'),
  glass('GL-UV', 'Clear glass, UV 92', '3.90', { uv: true, coated: true }),
  glass('AC-CLEAR', 'Clear acrylic', '3.20', { type: 'acrylic', thickness: mm(2.5), largest: LARGE }),
  glass('AC-UV', 'Acrylic, UV 98', '5.60', { type: 'acrylic', thickness: mm(2.5), uv: true, largest: LARGE }),
  glass('MIR-4', 'Mirror 4 mm, film-backed', '4.10', { thickness: mm(4), colour: '#c9d6da' }),
  {
    code: 'NONE',
    name: 'No glazing',
    thickness: mm(0),
    colour: '#ffffff',
    cost: { amount: '0', per: 'sqft' },
    archival: true,
    type: 'none',
    uv: false,
    coated: false,
  },
];

const back = (code: string, name: string, thick: number, cost: string, over: Partial<Backing> = {}): Backing => ({
  code,
  name,
  thickness: mm(thick),
  colour: '#fdfcf8',
  cost: { amount: cost, per: 'sqft' },
  largest: { w: inches(48), h: inches(96) },
  archival: true,
  type: 'foam',
  ...over,
});
const STARTING_BACKINGS: readonly Backing[] = [
  back('FOAM-5', 'Foam board 5 mm', 5, '0.90'),
  back('FOAM-3', 'Foam board 3 mm', 3, '0.80'),
  back('FOAM-10', 'Foam board 10 mm', 10, '1.60'),
  back('CORR-4', 'Corrugated, acid-free, 4 mm', 4, '0.75', { type: 'corrugated', colour: '#c9b78f' }),
  back('HARD-3', 'Hardboard 3 mm', 3, '0.50', { type: 'hardboard', colour: '#8a6a45', archival: false }),
];

/** The codes a new design starts with; the moulding is the first of the list when this one is not in it. */
export const STARTING_MATERIALS = {
  mat: 'RAG-SHELL',
  moulding: 'GAN-31',
  glazing: 'GL-CLEAR',
  backing: 'FOAM-5',
  mirror: 'MIR-4',
  boxBoard: 'FOAM-5',
};

/** Frames bought whole, in the sizes that are asked for most. */
const readyMade = (
  code: string,
  finish: string,
  colour: string,
  { w, h, said }: { readonly w: Length; readonly h: Length; readonly said: readonly [number, number] },
  price: number,
): ReadyMade => ({
  code: `${code}-${said.join('X')}`,
  name: `Ready-made ${said.join(' × ')}, ${finish}`,
  size: { w, h },
  price: money(price),
  moulding: {
    code,
    name: `Ready-made, ${finish}`,
    supplier: '',
    faceWidth: inches(0, 3, 4),
    rabbetWidth: inches(0, 1, 4),
    rabbetDepth: inches(0, 1, 2),
    height: inches(0, 3, 4),
    material: 'wood',
    profile: 'flat',
    finish,
    colour,
  },
  glazing: glass('OWN-GLASS', 'Its own glass', '0', { archival: false }),
  backing: back('OWN-BACK', 'Its own back', 3, '0', { type: 'hardboard', colour: '#8d7351', archival: false }),
});
const IN_INCHES = [
  [5, 7, 1400],
  [8, 10, 1900],
  [11, 14, 2600],
  [12, 16, 2900],
  [16, 20, 3800],
] as const;
const IN_CENTIMETRES = [
  [13, 18, 1400],
  [20, 30, 2000],
  [30, 40, 2900],
  [40, 50, 3800],
  [50, 70, 4900],
] as const;
const FINISHES = [
  ['RM-BLACK', 'black', '#2a2827', 0],
  ['RM-OAK', 'oak', '#b98f5a', 200],
] as const;
const readyMades = (unit: Unit): ReadyMade[] =>
  FINISHES.flatMap(([code, finish, colour, more]) =>
    (unit === 'in' ? IN_INCHES : IN_CENTIMETRES).map(([w, h, price]) => {
      const long = (said: number) => (unit === 'in' ? inches(said) : mm(said * 10));
      return readyMade(code, finish, colour, { w: long(w), h: long(h), said: [w, h] }, price + more);
    }),
  );

/** A square metre is so many square feet, exactly: 1 ÷ 0.3048². */
const SQUARE_FEET = rational(100_000_000n, 9_290_304n);
/** Sheets as they are sold by the metre: costs for a square metre to the cent, sizes in whole tens of millimetres. */
function byTheMetre<S extends SheetMaterial>(sheet: S): S {
  const { cost, largest } = sheet;
  const tens = (of: Length) => mm(Math.round(toMm(of) / 10) * 10);
  return {
    ...sheet,
    ...(cost ? { cost: { amount: toDecimal(mul(mustDecimal(cost.amount), SQUARE_FEET), 2), per: 'sqm' } } : {}),
    ...(largest ? { largest: { w: tens(largest.w), h: tens(largest.h) } } : {}),
  };
}
/** What a new shop finds in its books: sold by the foot or by the metre, as it measures. */
function startingLists(unit: Unit) {
  const sheets = <S extends SheetMaterial>(list: readonly S[]) => (unit === 'in' ? list : list.map(byTheMetre));
  return {
    mat: sheets(STARTING_MATS),
    glazing: sheets(STARTING_GLAZINGS),
    backing: sheets(STARTING_BACKINGS),
    'ready-made': readyMades(unit),
  } as const;
}
/** Tax as a new shop says it. */
export interface StartingTax {
  readonly mode: 'exclusive' | 'inclusive';
  readonly percent: string;
}
const USUAL_TAX: StartingTax = { mode: 'exclusive', percent: '8' };
/** Price rules a new shop starts with; the owner changes them in the books. */
const startingPrices = (unit: Unit, tax: StartingTax = USUAL_TAX) => ({
  groups: {
    moulding: { markup: '3.0' },
    mat: { markup: '4.0' },
    glazing: { markup: '3.5', minimumArea: '0.1' },
    backing: { markup: '3.0' },
  },
  labourPerHour: '48.00',
  kit: money(600),
  cornerSets: money(350),
  sellingStep: { ft: '0.25', m: '0.1' },
  ending: '.00' as const,
  tax: { mode: tax.mode, percent: { goods: tax.percent, labour: tax.percent } },
  ...(unit === 'in' ? {} : { bars: { per: 'm' as const, price: '7.90' } }),
  extras: [
    { name: 'Hand finish', price: money(3500), taxGroup: 'labour' as const },
    { name: 'Cleaning', price: money(2000), taxGroup: 'labour' as const },
    { name: 'Delivery, in town', price: money(1500), taxGroup: 'delivery' as const },
    { name: 'Delivery, out of town', price: money(3500), taxGroup: 'delivery' as const },
    { name: 'Hanging at yours', price: money(4500), taxGroup: 'labour' as const },
    { name: 'Gift wrapping', price: money(600), taxGroup: 'goods' as const },
  ],
  depositPercent: '50',
  quoteDays: 30,
});

interface FirstBooks {
  readonly at: Date;
  readonly by: By;
  readonly unit: Unit;
  readonly tax?: StartingTax | undefined;
}
/** Writes the first edition of a new shop's books; answers its number. */
export async function firstBooks(tx: Tx, { at, by, unit, tax }: FirstBooks): Promise<number> {
  const edition = await insertEdition(tx, {
    prices: startingPrices(unit, tax),
    house: STARTING_MATERIALS,
    at,
    by,
    why: 'first books',
    starts: dayOf(at),
  });
  const lists = startingLists(unit);
  for (const kind of ['mat', 'glazing', 'backing', 'ready-made'] as const)
    await putMaterials(
      tx,
      edition,
      lists[kind].map((spec, position) => ({ kind, spec, position })),
    );
  return edition;
}
