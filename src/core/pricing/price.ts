/**
 * Prices: lines, then breaks, rush, discount and ending on the piece, then tax and deposit on the order. There is one
 * rounding, at the line; every percent is spread over the tax groups so that what is shown adds up to the cent.
 * Source: handbook, prices; rulings R12, R40 to R46.
 */
import type { Laid, Layer } from '../builds/build';
import type { Resolved } from '../design/resolve';
import type { Scoped } from '../jobs/scope';
import type { Sizes } from '../sizes';
import { type Length, type Size, UNITS_PER_INCH, UNITS_PER_MM, fitsEitherWay } from '../units/length';
import {
  type Ending,
  type Money,
  NOTHING,
  depositOf,
  money,
  moneyFrom,
  percentOf,
  spread,
  sum,
  withEnding,
} from '../units/money';
import {
  type Rational,
  ceil,
  compare,
  div,
  mul,
  mustDecimal,
  rational,
  roundHalfUp,
  sub,
  toDecimal,
} from '../units/rational';
import { type Quantity, type Working, ofMoney, ofNumber } from '../working';
import {
  type Chart,
  type Group,
  type GroupRule,
  type ItemRule,
  type PriceBook,
  TAX_GROUPS,
  type TaxGroup,
} from './book';

export interface PriceLine {
  readonly key: string;
  /** What is counted, as text: `7.25 ft`, `55 min`. */
  readonly quantity: string;
  readonly amount: Money;
  readonly taxGroup: TaxGroup;
  readonly workings: readonly Working[];
}
export type Taxed = Readonly<Record<TaxGroup, Money>>;
export interface PiecePrice {
  readonly lines: readonly PriceLine[];
  readonly subtotal: Money;
  readonly quantityBreak: Money;
  readonly rush: Money;
  readonly discount: Money;
  readonly rounding: Money;
  /** The piece before tax (or with it, when tax is contained). */
  readonly price: Money;
  /** The price by tax group; adds up to `price`. */
  readonly taxed: Taxed;
  /** Names of materials that have no cost in the books; their lines are missing and the price is not complete. */
  readonly missing: readonly string[];
}

const INCH = rational(UNITS_PER_INCH);
const UNIT_OF = {
  in: INCH,
  cm: rational(10 * UNITS_PER_MM),
  ft: rational(12 * UNITS_PER_INCH),
  m: rational(1000 * UNITS_PER_MM),
} as const;
const AREA = { sqft: mul(UNIT_OF.ft, UNIT_OF.ft), sqm: mul(UNIT_OF.m, UNIT_OF.m) } as const;
const AREA_NAME = { sqft: 'sq ft', sqm: 'm²' } as const;

const upToStep = (value: Rational, step: Rational): Rational => mul(rational(ceil(div(value, step))), step);
/** A length charged, up to whole selling steps, in feet or metres. */
export const soldLength = (charged: Length, per: 'ft' | 'm', step: string): Rational =>
  upToStep(div(rational(charged), UNIT_OF[per]), mustDecimal(step));
export const areaIn = (of: Size, per: 'sqft' | 'sqm'): Rational =>
  div(rational(BigInt(of.w) * BigInt(of.h)), AREA[per]);

/** The price of the first step at or above the size; beyond the last, begun units count whole (R41). */
export function chartPrice(
  { steps, perExtraUnit }: Pick<Chart, 'steps' | 'perExtraUnit'>,
  size: Rational,
): Money | undefined {
  const step = steps.find(([upTo]) => compare(size, mustDecimal(upTo)) <= 0);
  if (step) return step[1];
  const last = steps.at(-1);
  if (!last || perExtraUnit === undefined) return undefined;
  return money(last[1] + Number(ceil(sub(size, mustDecimal(last[0])))) * perExtraUnit);
}

/** How many packages a sheet gives: a plain grid, the better way round, no kerf and no trim (R42). */
export function fitOnSheet(sheet: Size, pack: Size): number {
  const grid = (w: number, h: number) => Math.floor(sheet.w / w) * Math.floor(sheet.h / h);
  return Math.max(grid(pack.w, pack.h), grid(pack.h, pack.w));
}

/** A quantity that is charged, with its figure to five places: enough to check the line with a calculator. */
export interface Charged {
  readonly quantity: Rational;
  readonly figure: string;
  readonly of: string;
}
/** A figure cut to two places for showing beside its line; the working has it in full. */
const shortened = (figure: string) => (figure.includes('.') ? String(Math.round(Number(figure) * 100) / 100) : figure);

/** Quantity × cost × markup (× factor), one rounding, at least the group's minimum. */
export function charge(
  label: string,
  { quantity, figure, of }: Charged,
  cost: string,
  rule: Pick<GroupRule, 'markup' | 'minimum'>,
  factor?: string,
): { amount: Money; shown: string; working: Working } {
  const rate = mul(mustDecimal(cost), mustDecimal(rule.markup));
  const exact = moneyFrom(mul(quantity, factor === undefined ? rate : mul(rate, mustDecimal(factor))));
  const least = rule.minimum !== undefined && exact < rule.minimum;
  const inputs: Record<string, Quantity> = {
    quantity: ofNumber(figure, of),
    cost: ofNumber(cost),
    markup: ofNumber(rule.markup),
    ...(factor === undefined ? {} : { oversize: ofNumber(factor) }),
  };
  const amount = least ? rule.minimum! : exact;
  return {
    amount,
    shown: `${shortened(figure)} ${of}`,
    working: least
      ? { label, formula: 'minimum charge', inputs: { 'minimum charge': ofMoney(amount) }, value: ofMoney(amount) }
      : {
          label,
          formula: `quantity × cost × markup${factor === undefined ? '' : ' × oversize'}`,
          inputs,
          value: ofMoney(amount),
        },
  };
}

type Made = { readonly amount: Money; readonly shown: string; readonly working: Working };
const fixedLine = (label: string, amount: Money): Working => ({
  label,
  formula: 'charge',
  inputs: { charge: ofMoney(amount) },
  value: ofMoney(amount),
});

function byChart(label: string, chart: Chart, size: Length): Made | undefined {
  const measured = div(rational(size), UNIT_OF[chart.by]);
  const amount = chartPrice(chart, measured);
  if (amount === undefined) return undefined;
  const figure = toDecimal(measured, 3);
  return {
    amount,
    shown: `${shortened(figure)} ${chart.by}`,
    working: {
      label,
      formula: 'price in the chart',
      inputs: { size: ofNumber(figure, chart.by), 'price in the chart': ofMoney(amount) },
      value: ofMoney(amount),
    },
  };
}

const ruled = (rule: GroupRule, item: ItemRule | undefined): GroupRule => (item ? { ...rule, ...item } : rule);

/** Everything one piece's lines are made from. */
interface Pricing {
  readonly book: PriceBook;
  readonly united: Length;
  readonly areas: Map<string, Charged>;
}

function frameLine({ book }: Pricing, key: string, frame: Sizes['frames'][number]): PriceLine | undefined {
  const { moulding, lengthCharged } = frame;
  const rule = ruled(book.groups.moulding, moulding.price);
  if (rule.school === 'chart' && rule.chart) {
    const made = byChart(moulding.name, rule.chart, lengthCharged);
    return made && { key, quantity: made.shown, amount: made.amount, taxGroup: 'goods', workings: [made.working] };
  }
  if (!moulding.cost) return undefined;
  const { amount: cost, per } = moulding.cost;
  const sold = soldLength(lengthCharged, per, book.sellingStep[per]);
  const { amount, working } = charge('moulding', { quantity: sold, figure: toDecimal(sold, 5), of: per }, cost, rule);
  return { key, quantity: `${toDecimal(sold, 4)} ${per}`, amount, taxGroup: 'goods', workings: [working] };
}

function chargedArea({ areas }: Pricing, of: Size, per: 'sqft' | 'sqm', minimumArea: string | undefined): Charged {
  const key = `${of.w}x${of.h} ${per} ${minimumArea}`;
  const before = areas.get(key);
  if (before) return before;
  const area = areaIn(of, per);
  const least = minimumArea ? div(mul(mustDecimal(minimumArea), AREA.sqm), AREA[per]) : undefined;
  const quantity = least && compare(area, least) < 0 ? least : area;
  const charged = { quantity, figure: toDecimal(quantity, 5), of: AREA_NAME[per] };
  areas.set(key, charged);
  return charged;
}

function layerCharge(pricing: Pricing, layer: Layer, rule: GroupRule): Made | undefined {
  const { sheet, size: of } = layer;
  if (!sheet || !of) return undefined;
  const mine = ruled(rule, sheet.price);
  if (mine.school === 'chart' && mine.chart) return byChart(sheet.name, mine.chart, pricing.united);
  if (!sheet.cost) return undefined;
  const { amount: cost, per } = sheet.cost;
  const factor = mine.oversize && !fitsEitherWay(of, mine.oversize) ? mine.oversize.factor : undefined;
  const fit = mine.charge === 'share' && sheet.largest ? fitOnSheet(sheet.largest, of) : 0;
  if (fit > 0) {
    const quantity = div(areaIn(sheet.largest!, per), rational(fit));
    return charge(sheet.name, { quantity, figure: toDecimal(quantity, 5), of: AREA_NAME[per] }, cost, mine, factor);
  }
  return charge(sheet.name, chargedArea(pricing, of, per, mine.minimumArea), cost, mine, factor);
}

function layersLine(pricing: Pricing, key: string, group: Group, layers: readonly Layer[]): PriceLine | undefined {
  const rule = pricing.book.groups[group];
  const charged = layers.flatMap((layer) => layerCharge(pricing, layer, rule) ?? []);
  if (charged.length === 0) return undefined;
  const count = charged.length > 1 ? `${charged.length} × ` : '';
  return {
    key,
    quantity: `${count}${charged[0]!.shown}`,
    amount: sum(charged.map((one) => one.amount)),
    taxGroup: 'goods',
    workings: charged.map((one) => one.working),
  };
}

function labourLine(minutes: number, book: PriceBook): PriceLine {
  const amount = moneyFrom(mul(rational(minutes, 60), mustDecimal(book.labourPerHour)));
  const inputs = { minutes: ofNumber(minutes, 'min'), 'rate an hour': ofNumber(book.labourPerHour) };
  const working = { label: 'labour', formula: 'minutes × rate an hour ÷ 60', inputs, value: ofMoney(amount) };
  return { key: 'labour', quantity: `${minutes} min`, amount, taxGroup: 'labour', workings: [working] };
}

const counted = (key: string, count: number, each: Money | undefined): PriceLine[] =>
  each && count > 0
    ? [
        {
          key,
          quantity: `${count} ×`,
          amount: money(each * count),
          taxGroup: 'goods',
          workings: [
            {
              label: key,
              formula: 'count × each',
              inputs: { count: ofMoney(money(count)), each: ofMoney(each) },
              value: ofMoney(money(each * count)),
            },
          ],
        },
      ]
    : [];

function mountingLine({ design }: Resolved, { united, book }: Pricing): PriceLine[] {
  const method = design.mount ?? (design.build === 'dry-mount' ? 'dry mount' : 'hinges');
  const rate = book.mounting?.[method];
  if (!rate) return [];
  const measured = div(rational(united), UNIT_OF[rate.per]);
  const { amount, shown, working } = charge(
    method,
    { quantity: measured, figure: toDecimal(measured, 5), of: rate.per },
    rate.price,
    { markup: '1' },
  );
  return [{ key: 'mounting', quantity: shown, amount, taxGroup: 'goods', workings: [working] }];
}

/** What is changed on a piece after its lines. Percents are decimal texts. */
export interface Adjust {
  readonly identical?: number;
  readonly rush?: string | undefined;
  readonly discount?: { readonly percent: string } | { readonly amount: Money } | undefined;
}
interface Finished {
  readonly subtotal: Money;
  readonly quantityBreak: Money;
  readonly rush: Money;
  readonly discount: Money;
  readonly rounding: Money;
  readonly price: Money;
  readonly taxed: Taxed;
}

/** The best break that the count reaches, as a percent. */
const breakFor = (breaks: PriceBook['quantityBreaks'], count: number): string | undefined =>
  breaks?.filter(([from]) => count >= from).sort((a, b) => b[0] - a[0])[0]?.[1];

/** Breaks, rush, discount and ending on a piece, each on the running sum and spread over its tax groups (R43). */
export function finish(
  lines: readonly Pick<PriceLine, 'amount' | 'taxGroup'>[],
  adjust: Adjust,
  rules: { readonly ending: Ending; readonly quantityBreaks?: PriceBook['quantityBreaks'] },
): Finished {
  let groups = TAX_GROUPS.map((group) => sum(lines.filter((one) => one.taxGroup === group).map((one) => one.amount)));
  const subtotal = sum(groups);
  const running = () => sum(groups);
  const add = (amount: Money): Money => {
    if (amount === 0) return amount;
    const parts = spread(amount, groups);
    groups = groups.map((one, index) => money(one + parts[index]!));
    return amount;
  };
  const off = breakFor(rules.quantityBreaks, adjust.identical ?? 1);
  const quantityBreak = add(off === undefined ? NOTHING : money(-percentOf(running(), mustDecimal(off))));
  const rush = add(adjust.rush === undefined ? NOTHING : percentOf(running(), mustDecimal(adjust.rush)));
  const asked = adjust.discount;
  const wanted =
    asked === undefined
      ? NOTHING
      : 'percent' in asked
        ? percentOf(running(), mustDecimal(asked.percent))
        : asked.amount;
  const discount = add(money(-Math.min(wanted, running())));
  const price = withEnding(running(), rules.ending);
  const rounding = add(money(price - running()));
  const [goods, labour, delivery] = groups as [Money, Money, Money];
  return { subtotal, quantityBreak, rush, discount, rounding, price, taxed: { goods, labour, delivery } };
}

/** Prices one piece. `minutes` come from its route. */
export function pricePiece(
  resolved: Resolved,
  sizes: Sizes,
  laid: Laid,
  scope: Scoped,
  minutes: number,
  book: PriceBook,
): PiecePrice {
  const { design } = resolved;
  const pricing: Pricing = { book, united: sizes.unitedSize, areas: new Map() };
  const group = (key: Group) => laid.layers.filter((layer) => layer.group === key);
  const frames = scope.frame ? sizes.frames : [];
  const kit = { label: 'hardware', formula: 'kit', inputs: { kit: ofMoney(book.kit) }, value: ofMoney(book.kit) };
  const windows = sizes.matted?.windows ?? [];
  const shaped = windows.filter((one) => one.shape.shape !== 'rectangle').length;
  const all: (PriceLine | undefined)[] = [
    ...[...frames].reverse().map((frame) => frameLine(pricing, frame.of === 'frame' ? 'moulding' : frame.of, frame)),
    layersLine(pricing, 'mats', 'mat', group('mat')),
    layersLine(pricing, 'glazing', 'glazing', group('glazing')),
    layersLine(pricing, 'backing', 'backing', group('backing')),
    ...counted('windows', windows.length - 1, book.extraWindow),
    ...counted('shapes', shaped, book.shapedWindow),
    ...mountingLine(resolved, pricing),
    book.labourIncluded ? undefined : labourLine(minutes, book),
    scope.hung || scope.closed
      ? { key: 'hardware', quantity: 'kit', amount: book.kit, taxGroup: 'goods', workings: [kit] }
      : undefined,
    ...(design.extras ?? []).map((one): PriceLine => ({
      key: one.name,
      quantity: '',
      amount: money(one.amount),
      taxGroup: one.taxGroup ?? 'goods',
      workings: [fixedLine(one.name, money(one.amount))],
    })),
  ];
  const lines = all.filter((line) => line !== undefined);
  const costed = (one: { cost?: unknown; price?: ItemRule | undefined }, rule: GroupRule) =>
    one.cost !== undefined || ruled(rule, one.price).school === 'chart';
  const missing = [
    ...frames.map((frame) => ({ of: frame.moulding, rule: book.groups.moulding })),
    ...laid.layers.flatMap((layer) =>
      layer.sheet && layer.group ? [{ of: layer.sheet, rule: book.groups[layer.group] }] : [],
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

export interface OrderPrice {
  /** Sum of the pieces' prices. */
  readonly pieces: Money;
  readonly taxMode: 'exclusive' | 'inclusive';
  readonly tax: readonly { readonly percent: string; readonly on: Money; readonly amount: Money }[];
  readonly total: Money;
  readonly net: Money;
  readonly deposit: Money;
}

/** Tax on amounts that share rates, rounded once per rate; added, or contained in them. */
export function taxOn(
  amounts: readonly { readonly on: Money; readonly percent: string }[],
  mode: 'exclusive' | 'inclusive',
) {
  const byRate = new Map<string, Money>();
  for (const { on, percent } of amounts) byRate.set(percent, money((byRate.get(percent) ?? 0) + on));
  return [...byRate].map(([percent, on]) => {
    const rate = mustDecimal(percent);
    const whole = mode === 'exclusive' ? rational(100) : rational(100n * rate.d + rate.n, rate.d);
    return { percent, on, amount: money(Number(roundHalfUp(div(mul(rational(on), rate), whole)))) };
  });
}

/** Tax per rate on the order's sums; deposit up to a whole unit. */
export function priceOrder(
  pieces: readonly Pick<PiecePrice, 'price' | 'taxed'>[],
  book: Pick<PriceBook, 'tax' | 'depositPercent'>,
): OrderPrice {
  const prices = sum(pieces.map((piece) => piece.price));
  const { percent, mode } = book.tax;
  const tax = taxOn(
    TAX_GROUPS.map((group) => ({
      percent: percent[group] ?? percent.goods,
      on: sum(pieces.map((piece) => piece.taxed[group] ?? NOTHING)),
    })),
    mode,
  ).filter(({ on }) => on !== 0);
  const taxes = sum(tax.map((one) => one.amount));
  const total = mode === 'exclusive' ? money(prices + taxes) : prices;
  return {
    pieces: prices,
    taxMode: mode,
    tax,
    total,
    net: money(total - taxes),
    deposit: depositOf(total, mustDecimal(book.depositPercent)),
  };
}
