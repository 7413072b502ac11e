/**
 * What a piece costs the customer: lines that add up to its price, then tax and deposit on the order. Every line is
 * rounded once, half up (R40); every line says its quantity, rate and markup. No floating point.
 * Source: handbook, prices; rulings R12, R40, R43, R44, R45.
 */
import type { Resolved } from '../design/resolve';
import type { Sizes } from '../sizing/window-mat';
import { type Length, UNITS_PER_INCH, UNITS_PER_MM } from '../units/length';
import { type Money, NOTHING, depositOf, money, moneyFrom, spread, sum, withEnding } from '../units/money';
import {
  type Rational,
  ceil,
  compare,
  div,
  mul,
  mustDecimal,
  rational,
  roundHalfUp,
  toDecimal,
} from '../units/rational';
import { type Quantity, type Working, ofMoney, ofNumber } from '../working';
import type { Group, GroupRule, PriceBook, TaxGroup } from './book';

export interface PriceLine {
  readonly key: 'moulding' | 'mats' | 'glazing' | 'backing' | 'labour' | 'hardware';
  /** What is counted, as text: `7.25 ft`, `55 min`. */
  readonly quantity: string;
  readonly amount: Money;
  readonly taxGroup: TaxGroup;
  readonly workings: readonly Working[];
}
export interface PiecePrice {
  readonly lines: readonly PriceLine[];
  readonly subtotal: Money;
  readonly rounding: Money;
  /** The piece before tax (or with it, when tax is contained). */
  readonly price: Money;
  /** The price by tax group; adds up to `price`. */
  readonly taxed: Readonly<Record<TaxGroup, Money>>;
  /** Names of materials that have no cost in the books; their lines are missing and the price is not complete. */
  readonly missing: readonly string[];
}

const FOOT = rational(12 * UNITS_PER_INCH);
const METRE = rational(1000 * UNITS_PER_MM);
const AREA = { sqft: mul(FOOT, FOOT), sqm: mul(METRE, METRE) } as const;
const AREA_NAME = { sqft: 'sq ft', sqm: 'm²' } as const;

const upToStep = (value: Rational, step: Rational): Rational => mul(rational(ceil(div(value, step))), step);

/** A quantity that is charged, with its figure to five places: enough to check the line with a calculator. */
interface Charged {
  readonly quantity: Rational;
  readonly figure: string;
  readonly of: string;
}

/** A figure cut to two places for showing beside its line; the working has it in full. */
const shortened = (figure: string) => (figure.includes('.') ? String(Math.round(Number(figure) * 100) / 100) : figure);

/** Quantity × cost × markup, one rounding, at least the group's minimum. */
function charge(
  label: string,
  { quantity, figure, of }: Charged,
  cost: string,
  rule: GroupRule,
): { amount: Money; shown: string; working: Working } {
  const exact = moneyFrom(mul(quantity, mul(mustDecimal(cost), mustDecimal(rule.markup))));
  const least = rule.minimum !== undefined && exact < rule.minimum;
  const inputs: Record<string, Quantity> = {
    quantity: ofNumber(figure, of),
    cost: ofNumber(cost),
    markup: ofNumber(rule.markup),
  };
  const amount = least ? rule.minimum! : exact;
  return {
    amount,
    shown: `${shortened(figure)} ${of}`,
    working: least
      ? { label, formula: 'minimum charge', inputs: { 'minimum charge': ofMoney(amount) }, value: ofMoney(amount) }
      : { label, formula: 'quantity × cost × markup', inputs, value: ofMoney(amount) },
  };
}

function mouldingLine({ moulding }: Resolved, charged: Length, book: PriceBook): PriceLine | undefined {
  if (!moulding.cost) return undefined;
  const { amount: cost, per } = moulding.cost;
  const sold = upToStep(div(rational(charged), per === 'ft' ? FOOT : METRE), mustDecimal(book.sellingStep[per]));
  const { amount, working } = charge(
    'moulding',
    { quantity: sold, figure: toDecimal(sold, 5), of: per },
    cost,
    book.groups.moulding,
  );
  return { key: 'moulding', quantity: `${toDecimal(sold, 4)} ${per}`, amount, taxGroup: 'goods', workings: [working] };
}

type Areas = (per: 'sqft' | 'sqm', minimumArea: string | undefined) => Charged;

/** The package's area as it is charged, worked out once for each unit and minimum. */
function areasOf({ package: pack }: Sizes): Areas {
  const squareUnits = rational(BigInt(pack.w) * BigInt(pack.h));
  const known = new Map<string, Charged>();
  return (per, minimumArea) => {
    const key = `${per} ${minimumArea}`;
    const before = known.get(key);
    if (before) return before;
    const area = div(squareUnits, AREA[per]);
    const least = minimumArea ? div(mul(mustDecimal(minimumArea), AREA.sqm), AREA[per]) : undefined;
    const quantity = least && compare(area, least) < 0 ? least : area;
    const charged = { quantity, figure: toDecimal(quantity, 5), of: AREA_NAME[per] };
    known.set(key, charged);
    return charged;
  };
}

type Costed = { readonly name: string; readonly cost?: { readonly amount: string; readonly per: 'sqft' | 'sqm' } };

function areaLine(
  key: 'mats' | 'glazing' | 'backing',
  group: Group,
  sheets: readonly Costed[],
  areas: Areas,
  book: PriceBook,
): PriceLine | undefined {
  const rule = book.groups[group];
  const charged = sheets.flatMap((sheet) =>
    sheet.cost ? [charge(sheet.name, areas(sheet.cost.per, rule.minimumArea), sheet.cost.amount, rule)] : [],
  );
  if (charged.length === 0) return undefined;
  const [first] = charged;
  const layers = charged.length > 1 ? `${charged.length} × ` : '';
  return {
    key,
    quantity: `${layers}${first!.shown}`,
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

/** Prices one piece. `minutes` come from its route. */
export function pricePiece(resolved: Resolved, sizes: Sizes, minutes: number, book: PriceBook): PiecePrice {
  const { moulding, mats, glazing, backing } = resolved;
  const areas = areasOf(sizes);
  const glazed = glazing.type === 'none' ? [] : [glazing];
  const kit = { label: 'hardware', formula: 'kit', inputs: { kit: ofMoney(book.kit) }, value: ofMoney(book.kit) };
  const all: (PriceLine | undefined)[] = [
    mouldingLine(resolved, sizes.lengthCharged, book),
    areaLine('mats', 'mat', mats, areas, book),
    areaLine('glazing', 'glazing', glazed, areas, book),
    areaLine('backing', 'backing', [backing], areas, book),
    labourLine(minutes, book),
    { key: 'hardware', quantity: 'kit', amount: book.kit, taxGroup: 'goods', workings: [kit] },
  ];
  const lines = all.filter((line) => line !== undefined);
  const subtotal = sum(lines.map((line) => line.amount));
  const price = withEnding(subtotal, book.ending);
  const rounding = money(price - subtotal);
  const groups: TaxGroup[] = ['goods', 'labour'];
  const before = groups.map((group) => sum(lines.filter((line) => line.taxGroup === group).map((line) => line.amount)));
  const extra = spread(rounding, before);
  const missing = [moulding, ...mats, ...glazed, backing].filter((one) => !one.cost).map((one) => one.name);
  return {
    lines,
    subtotal,
    rounding,
    price,
    taxed: { goods: money(before[0]! + extra[0]!), labour: money(before[1]! + extra[1]!) },
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

/** Tax per rate on the order's sums, rounded once per rate; deposit up to a whole unit. */
export function priceOrder(
  pieces: readonly Pick<PiecePrice, 'price' | 'taxed'>[],
  book: Pick<PriceBook, 'tax' | 'depositPercent'>,
): OrderPrice {
  const prices = sum(pieces.map((piece) => piece.price));
  const byRate = new Map<string, Money>();
  for (const group of ['goods', 'labour'] as const) {
    const rate = book.tax.percent[group];
    byRate.set(rate, sum([byRate.get(rate) ?? NOTHING, ...pieces.map((piece) => piece.taxed[group])]));
  }
  const exclusive = book.tax.mode === 'exclusive';
  const tax = [...byRate]
    .filter(([, on]) => on !== 0)
    .map(([percent, on]) => {
      const rate = mustDecimal(percent);
      const whole = exclusive ? rational(100) : rational(100n * rate.d + rate.n, rate.d);
      return { percent, on, amount: money(Number(roundHalfUp(div(mul(rational(on), rate), whole)))) };
    });
  const taxes = sum(tax.map((one) => one.amount));
  const total = exclusive ? money(prices + taxes) : prices;
  return {
    pieces: prices,
    taxMode: book.tax.mode,
    tax,
    total,
    net: money(total - taxes),
    deposit: depositOf(total, mustDecimal(book.depositPercent)),
  };
}
