/** One charge: a quantity at its cost and markup, or by a chart, with how it came about. */
import { type Length, type Size, UNITS_PER_INCH, UNITS_PER_MM } from '../units/length';
import { type Money, money, moneyFrom, toMajor } from '../units/money';
import { type Rational, add, ceil, compare, div, mul, mustDecimal, rational, sub, toDecimal } from '../units/rational';
import { type Quantity, type Working, ofMoney, ofNumber } from '../working';
import type { Chart, GroupRule } from './book';

const INCH = rational(UNITS_PER_INCH);
export const UNIT_OF = {
  in: INCH,
  cm: rational(10 * UNITS_PER_MM),
  ft: rational(12 * UNITS_PER_INCH),
  m: rational(1000 * UNITS_PER_MM),
} as const;
export const AREA = { sqft: mul(UNIT_OF.ft, UNIT_OF.ft), sqm: mul(UNIT_OF.m, UNIT_OF.m) } as const;
export const AREA_NAME = { sqft: 'sq ft', sqm: 'm²' } as const;

const upToStep = (value: Rational, step: Rational): Rational => mul(rational(ceil(div(value, step))), step);
/** A length charged, up to whole selling steps, in feet or metres. */
export const soldLength = (charged: Length, per: 'ft' | 'm', step: string): Rational =>
  upToStep(div(rational(charged), UNIT_OF[per]), mustDecimal(step));
export const areaIn = (size: Size, per: 'sqft' | 'sqm'): Rational =>
  div(rational(BigInt(size.w) * BigInt(size.h)), AREA[per]);

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
): Made {
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
    cost: mul(quantity, mustDecimal(cost)),
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

export interface Made {
  readonly amount: Money;
  readonly shown: string;
  readonly working: Working;
  /** Quantity × cost, before rounding, in major units; nothing where the price is no multiple of a cost. */
  readonly cost?: Rational;
}
/** What charges cost together, rounded once; nothing where one of them is not known. */
export function costOfAll(made: readonly Made[]): { readonly cost?: Money } {
  const costs = made.flatMap(({ cost }) => (cost === undefined ? [] : [cost]));
  return costs.length === 0 || costs.length < made.length ? {} : { cost: moneyFrom(costs.reduce(add)) };
}
export const fixedLine = (label: string, amount: Money): Working => ({
  label,
  formula: 'charge',
  inputs: { charge: ofMoney(amount) },
  value: ofMoney(amount),
});

/** What somebody outside does, with what it costs the shop. */
export const outsideLine = (label: string, cost: Money, amount: Money): Working => ({
  label,
  formula: 'quantity × cost, at its margin',
  inputs: { quantity: ofNumber('1'), cost: ofNumber(toDecimal(toMajor(cost), 2)) },
  value: ofMoney(amount),
});

export function byChart(label: string, chart: Chart, size: Length): Made | undefined {
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
