/**
 * Prices: lines, then breaks, rush, discount and ending on the piece, then tax and deposit on the order. There is one
 * rounding, at the line; every percent is spread over the tax groups so that what is shown adds up to the cent.
 * Source: handbook, prices; rulings R12, R40 to R46, R73, R75.
 */
import { mountOf } from '../builds';
import type { LayUp, Layer, Loose, Pair } from '../builds/build';
import { groupOf } from '../builds/layers';
import type { SheetMaterial } from '../materials';
import type { Resolved } from '../design/resolve';
import type { Scoped } from '../jobs/scope';
import type { Sizes } from '../sizes';
import { type Length, type Size, fitsEitherWay, size } from '../units/length';
import { type Money, money, moneyFrom, sum } from '../units/money';
import { compare, div, mul, mustDecimal, rational, toDecimal } from '../units/rational';
import { ofMoney, ofNumber } from '../working';
import { type Group, type GroupRule, type ItemRule, type PriceBook, USUAL_BARS, USUAL_PLATE } from './book';
import { finish } from './finish';
import {
  AREA,
  AREA_NAME,
  areaIn,
  byChart,
  charge,
  costOfAll,
  fitOnSheet,
  fixedLine,
  outsideLine,
  soldLength,
  type Charged,
  type Made,
  UNIT_OF,
} from './charge';
import { overriding } from './override';
import { type LineCode, type PiecePrice, type PriceLine, extraKeys } from './price-line';

const ruled = (rule: GroupRule, item: ItemRule | undefined): GroupRule => (item ? { ...rule, ...item } : rule);

/** Everything one piece's lines are made from. */
interface Pricing {
  readonly book: PriceBook;
  readonly united: Length;
  readonly areas: Map<string, Charged>;
}

/** A line of goods under its code, of one charge or of several. */
const goods = (code: Exclude<LineCode, 'extra'>, quantity: string, made: readonly Made[]): PriceLine => ({
  code,
  key: code,
  quantity,
  amount: sum(made.map((charge) => charge.amount)),
  taxGroup: 'goods',
  ...costOfAll(made),
  workings: made.map((charge) => charge.working),
});

function frameCharge({ book }: Pricing, { moulding, lengthCharged }: Sizes['frames'][number]): Made | undefined {
  const rule = ruled(book.groups.moulding, moulding.price);
  if (rule.school === 'chart' && rule.chart) return byChart(moulding.name, rule.chart, lengthCharged);
  if (!moulding.cost) return undefined;
  const { amount: cost, per } = moulding.cost;
  const sold = soldLength(lengthCharged, per, book.sellingStep[per]);
  const made = charge('moulding', { quantity: sold, figure: toDecimal(sold, 5), of: per }, cost, rule);
  return { ...made, shown: `${toDecimal(sold, 4)} ${per}` };
}
/** The wood of one kind, of one frame or of several in one another, each with its own working. */
function framesLine(
  pricing: Pricing,
  code: 'moulding' | 'liner' | 'fillet',
  frames: Sizes['frames'],
): PriceLine | undefined {
  const made = frames.flatMap((frame) => frameCharge(pricing, frame) ?? []);
  return made.length === 0 ? undefined : goods(code, together(made), made);
}

/** Two pairs of metal sections, each as long as it is stocked; with the corner sets of one frame (R75). */
function pairsLines({ book }: Pricing, { moulding }: Sizes['frames'][number], pairs: readonly Pair[]): PriceLine[] {
  const rule = ruled(book.groups.moulding, moulding.price);
  const lengths = pairs.map(({ side, from }) => from ?? side);
  const made = lengths.map((long): Made | undefined => {
    if (rule.school === 'chart' && rule.chart) return byChart(moulding.name, rule.chart, long);
    if (!moulding.cost) return undefined;
    const { amount: cost, per } = moulding.cost;
    const quantity = div(rational(2 * long), UNIT_OF[per]);
    return charge('pair', { quantity, figure: toDecimal(quantity, 5), of: per }, cost, rule);
  });
  const priced = made.filter((one) => one !== undefined);
  if (priced.length < pairs.length) return [];
  const sets = book.cornerSets;
  return [
    goods('moulding', '2 ×', priced),
    ...(sets ? [goods('corners', '4 ×', [{ amount: sets, shown: '', working: fixedLine('corners', sets) }])] : []),
  ];
}

function chargedArea({ areas }: Pricing, size: Size, per: 'sqft' | 'sqm', minimumArea: string | undefined): Charged {
  const key = `${size.w}x${size.h} ${per} ${minimumArea}`;
  const before = areas.get(key);
  if (before) return before;
  const area = areaIn(size, per);
  const least = minimumArea ? div(mul(mustDecimal(minimumArea), AREA.sqm), AREA[per]) : undefined;
  const quantity = least && compare(area, least) < 0 ? least : area;
  const charged = { quantity, figure: toDecimal(quantity, 5), of: AREA_NAME[per] };
  areas.set(key, charged);
  return charged;
}

function layerCharge(pricing: Pricing, layer: Layer, rule: GroupRule): Made | undefined {
  // What is cut large and trimmed later is charged as it is cut.
  const { sheet } = layer;
  const size = layer.first ?? layer.size;
  if (!sheet || !size) return undefined;
  const mine = ruled(rule, sheet.price);
  if (mine.school === 'chart' && mine.chart) return byChart(sheet.name, mine.chart, pricing.united);
  if (!sheet.cost) return undefined;
  const { amount: cost, per } = sheet.cost;
  const factor = mine.oversize && !fitsEitherWay(size, mine.oversize) ? mine.oversize.factor : undefined;
  const fit = mine.charge === 'share' && sheet.largest ? fitOnSheet(sheet.largest, size) : 0;
  if (fit > 0) {
    const quantity = div(areaIn(sheet.largest!, per), rational(fit));
    return charge(sheet.name, { quantity, figure: toDecimal(quantity, 5), of: AREA_NAME[per] }, cost, mine, factor);
  }
  return charge(sheet.name, chargedArea(pricing, size, per, mine.minimumArea), cost, mine, factor);
}

type LayerCode = 'mats' | 'glazing' | 'backing' | 'filler' | 'sides';
function layersLine(pricing: Pricing, code: LayerCode, group: Group, layers: readonly Layer[]): PriceLine | undefined {
  const rule = pricing.book.groups[group];
  const charged = layers.flatMap((layer) => layerCharge(pricing, layer, rule) ?? []);
  return charged.length === 0 ? undefined : goods(code, together(charged), charged);
}

/** What is charged in one line: so many alike, or each as it is. */
function together(charged: readonly Made[]): string {
  const shown = charged.map((one) => one.shown);
  return [...new Set(shown)]
    .map((one) => [shown.filter((other) => other === one).length, one] as const)
    .map(([count, one]) => (count > 1 ? `${count} × ${one}` : one))
    .join(' + ');
}

function labourLine(minutes: number, book: PriceBook): PriceLine {
  const amount = moneyFrom(mul(rational(minutes, 60), mustDecimal(book.labourPerHour)));
  const inputs = { minutes: ofNumber(minutes, 'min'), 'rate an hour': ofNumber(book.labourPerHour) };
  const working = { label: 'labour', formula: 'minutes × rate an hour ÷ 60', inputs, value: ofMoney(amount) };
  return { code: 'labour', key: 'labour', quantity: `${minutes} min`, amount, taxGroup: 'labour', workings: [working] };
}

type CountedCode = 'ready-made' | 'windows' | 'shapes' | 'plates';
function counted(code: CountedCode, count: number, each: Money | undefined): PriceLine[] {
  if (!each || count <= 0) return [];
  const amount = money(each * count);
  const inputs = { count: ofNumber(count), each: ofMoney(each) };
  const working = { label: code, formula: 'count × each', inputs, value: ofMoney(amount) };
  return [goods(code, `${count} ×`, [{ amount, shown: '', working }])];
}

/** Bars made for a canvas, crossbars among them, by their length. */
function barsLine({ book }: Pricing, { loose }: LayUp): PriceLine[] {
  const bars = loose.filter(({ part }) => part === 'stretcher bar');
  if (bars.length === 0) return [];
  const { per, price } = book.bars ?? USUAL_BARS;
  const long = bars.reduce((all, bar) => all + (bar.length ?? 0) * bar.count, 0);
  const measured = div(rational(long), UNIT_OF[per]);
  const quantity = { quantity: measured, figure: toDecimal(measured, 5), of: per };
  const made = charge('bars', quantity, price, { markup: '1' });
  return [goods('bars', made.shown, [made])];
}

/** So many of one size, each charged as a layer of that sheet is. */
const cutFrom = (sheet: SheetMaterial, of: Size, count: number, group: 'mat' | 'backing'): Layer[] =>
  Array.from({ length: count }, () => ({
    part: 'insert',
    name: sheet.name,
    colour: sheet.colour,
    thickness: sheet.thickness,
    kg: 0,
    sheet,
    size: of,
    group,
  }));
/** What a board beside the stack takes of its sheet: a strip by its length and height, a sleeve by its longer edge. */
const takes = ({ size: flat, length: long, height, width, covered }: Loose): Size | undefined => {
  const other = covered ? height : (width ?? height);
  return flat ?? (long && other ? size(long, other) : undefined);
};
/** Mat board on the sides of a box, by the area of its strips. */
function sidesLine(pricing: Pricing, { loose }: LayUp): PriceLine | undefined {
  const sides = loose.flatMap(({ covered, length: long, height, count }) =>
    covered && long && height ? cutFrom(covered, size(long, height), count, 'mat') : [],
  );
  return layersLine(pricing, 'sides', 'mat', sides);
}
/** Boards that are put inside beside the stack: an insert, sleeves, patches, the core of side strips. */
const besides = ({ loose }: LayUp): Layer[] =>
  loose.flatMap((one) => {
    const of = takes(one);
    return one.board && of ? cutFrom(one.board, of, one.count, groupOf(one.board)) : [];
  });

function mountingLine({ design }: Resolved, { united, book }: Pricing): PriceLine[] {
  const method = mountOf(design);
  const rate = book.mounting?.[method];
  if (!rate) return [];
  const measured = div(rational(united), UNIT_OF[rate.per]);
  const made = charge(method, { quantity: measured, figure: toDecimal(measured, 5), of: rate.per }, rate.price, {
    markup: '1',
  });
  return [goods('mounting', made.shown, [made])];
}

function extraLines(extras: NonNullable<Resolved['design']['extras']>): PriceLine[] {
  const keys = extraKeys(extras.map(({ name }) => name));
  return extras.map(({ name, amount: typed, taxGroup = 'goods', outside }, index): PriceLine => {
    const amount = money(typed);
    const cost = outside && money(outside.cost);
    const working = cost === undefined ? fixedLine(name, amount) : outsideLine(name, cost, amount);
    const known = cost === undefined ? {} : { cost };
    return { code: 'extra', key: keys[index]!, name, quantity: '', amount, taxGroup, ...known, workings: [working] };
  });
}

/** Prices one piece. `minutes` come from its route; the kit of hangers is charged where it `hangs` by some. */
export function pricePiece(
  resolved: Resolved,
  sizes: Sizes,
  laid: LayUp,
  scope: Scoped,
  { minutes, hangs }: { readonly minutes: number; readonly hangs: boolean },
  book: PriceBook,
): PiecePrice {
  const { design } = resolved;
  const pricing: Pricing = { book, united: sizes.unitedSize, areas: new Map() };
  const group = (key: Group) =>
    [...laid.layers, ...besides(laid)].filter(
      (layer) => layer.group === key && layer.part !== 'filler' && !layer.comes,
    );
  const fillers = laid.layers.filter((layer) => layer.part === 'filler');
  const frames = scope.frame ? sizes.frames : [];
  const inner = (of: 'liner' | 'fillet') => [...frames].reverse().filter((frame) => frame.of === of);
  const outer = frames.filter(({ of }) => of !== 'liner' && of !== 'fillet');
  const kit = { label: 'hardware', formula: 'kit', inputs: { kit: ofMoney(book.kit) }, value: ofMoney(book.kit) };
  const windows = sizes.matted?.windows ?? [];
  const plates = windows.filter((window) => window.holds === 'plate').length;
  const shaped = windows.filter((window) => window.shape.shape !== 'rectangle').length;
  const all: (PriceLine | undefined)[] = [
    ...outer.flatMap((frame) =>
      laid.readyMade
        ? counted('ready-made', 1, money(laid.readyMade.price))
        : laid.pairs
          ? pairsLines(pricing, frame, laid.pairs)
          : [framesLine(pricing, 'moulding', [frame])],
    ),
    framesLine(pricing, 'liner', inner('liner')),
    framesLine(pricing, 'fillet', inner('fillet')),
    layersLine(pricing, 'mats', 'mat', group('mat')),
    layersLine(pricing, 'glazing', 'glazing', group('glazing')),
    layersLine(pricing, 'backing', 'backing', group('backing')),
    layersLine(pricing, 'filler', 'backing', fillers),
    ...counted('windows', windows.length - 1, book.extraWindow),
    ...counted('shapes', shaped, book.shapedWindow),
    ...counted('plates', plates, book.plate ?? money(USUAL_PLATE)),
    sidesLine(pricing, laid),
    ...barsLine(pricing, laid),
    ...mountingLine(resolved, pricing),
    book.labourIncluded ? undefined : labourLine(minutes, book),
    hangs ? goods('hardware', 'kit', [{ amount: book.kit, shown: '', working: kit }]) : undefined,
    ...extraLines(design.extras ?? []),
  ];
  const lines = overriding(
    all.filter((line) => line !== undefined),
    design.overrides?.map(({ key, amount, reason }) => ({ key, amount: money(amount), reason })),
  );
  const costed = (one: { cost?: unknown; price?: ItemRule | undefined }, rule: GroupRule) =>
    one.cost !== undefined || ruled(rule, one.price).school === 'chart';
  const missing = [
    ...frames
      .filter((frame) => !(laid.readyMade && frame.of === 'frame'))
      .map((frame) => ({ of: frame.moulding, rule: book.groups.moulding })),
    ...[...laid.layers, ...besides(laid)].flatMap((layer) =>
      layer.sheet && layer.group && !layer.comes ? [{ of: layer.sheet, rule: book.groups[layer.group] }] : [],
    ),
  ]
    .filter(({ of, rule }) => !costed(of, rule))
    .map(({ of }) => of.name);
  return {
    lines,
    ...finish(
      lines,
      {
        identical: design.count ?? 1,
        rush: design.rush ? book.rush : undefined,
        discount:
          design.discount &&
          ('percent' in design.discount ? design.discount : { amount: money(design.discount.amount) }),
      },
      book,
    ),
    missing: [...new Set(missing)],
  };
}
