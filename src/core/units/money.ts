/**
 * Money in whole minor units (cents). There is one rounding, at the price line, half up.
 * Source: handbook, prices; rulings R40, R43, R44, R45, R46.
 */
import { type Outcome, bad, good, issue } from '../issue';
import { type Rational, ceil, mul, rational, roundHalfUp } from './rational';

declare const moneyBrand: unique symbol;
export type Money = number & { readonly [moneyBrand]: 'minor units' };

/** A hundred million: the one limit of every amount, on the screen, at the door and in the database. */
export const MOST_MONEY = 100_000_000_00;

/** An amount above the limit. Thrown inside sums, answered by `withinLimit` as an issue. */
class AboveLimit extends RangeError {}

/** The one door to the brand. Throws RangeError unless whole and within the limit. */
export function money(minor: number): Money {
  if (Math.abs(minor) > MOST_MONEY) throw new AboveLimit(`above ${MOST_MONEY}: ${minor}`);
  if (!Number.isSafeInteger(minor)) throw new RangeError(`not an amount: ${minor}`);
  return (minor === 0 ? 0 : minor) as Money;
}

/**
 * What amounts come to together, or what is left of one by another: whole and exact, and not held to the limit of one
 * amount, so that no booking that was taken makes a drawer, a day or an account unreadable. Throws RangeError otherwise.
 */
export function summed(minor: number): Money {
  if (!Number.isSafeInteger(minor)) throw new RangeError(`not an amount: ${minor}`);
  return (minor === 0 ? 0 : minor) as Money;
}
export const sumOf = (amounts: readonly Money[]): Money =>
  summed(amounts.reduce<number>((total, amount) => total + amount, 0));

/** What sums of money come to, or the issue that one of them is above the limit. */
export function withinLimit<T>(work: () => T): Outcome<T> {
  try {
    return good(work());
  } catch (error) {
    if (error instanceof AboveLimit) return bad(issue('price-too-high', { most: MOST_MONEY }));
    throw error;
  }
}

export const NOTHING = money(0);
export const sum = (amounts: readonly Money[]): Money =>
  money(amounts.reduce<number>((total, amount) => total + amount, 0));

/** Major units as an exact fraction, to the nearest minor unit, half up. */
export const moneyFrom = (major: Rational): Money => money(Number(roundHalfUp(mul(major, rational(100)))));
export const toMajor = (amount: Money): Rational => rational(amount, 100);

/** Reads `94`, `94.5`, `94.50` (or with a comma); undefined when it is not an amount. */
export function parseMoney(text: string): Money | undefined {
  const match = /^(\d{1,8})(?:[.,](\d{1,2}))?$/.exec(text.trim());
  return match ? money(Number(match[1]) * 100 + Number((match[2] ?? '').padEnd(2, '0'))) : undefined;
}

/** `186.84`; a minus sign before, never brackets. */
export function formatMoney(amount: Money): string {
  const digits = String(Math.abs(amount)).padStart(3, '0');
  return `${amount < 0 ? '−' : ''}${digits.slice(0, -2)}.${digits.slice(-2)}`;
}

export const percentOf = (amount: Money, percent: Rational): Money =>
  money(Number(roundHalfUp(mul(rational(amount), mul(percent, rational(1, 100))))));

/**
 * Splits `amount` over `weights` so that the parts add up exactly: each gets its share rounded down, the cents
 * that are left go to the largest remainders, at a tie to the earlier (R46). All weights zero: all to the first.
 */
export function spread(amount: Money, weights: readonly Money[]): Money[] {
  if (weights.length === 0) return [];
  if (amount < 0) return spread(summed(-amount), weights).map((part) => summed(-part));
  const whole = weights.reduce<number>((total, weight) => total + weight, 0);
  if (whole === 0) return weights.map((_, index) => (index === 0 ? amount : NOTHING));
  const exact = weights.map((weight) => BigInt(amount) * BigInt(weight));
  const parts = exact.map((share) => Number(share / BigInt(whole)));
  const order = exact
    .map((share, index) => ({ index, rest: share % BigInt(whole) }))
    .sort((a, b) => (a.rest === b.rest ? a.index - b.index : a.rest > b.rest ? -1 : 1));
  const left = amount - parts.reduce((total, part) => total + part, 0);
  for (let k = 0; k < left; k += 1) parts[order[k % order.length]!.index]! += 1;
  return parts.map(summed);
}

export const ENDINGS = ['none', '.00', '.50', '.95', '.99'] as const;
export type Ending = (typeof ENDINGS)[number];

/** The next amount at or above `amount` with that ending (R44). */
export function withEnding(amount: Money, ending: Ending): Money {
  if (ending === 'none') return amount;
  const cents = Number(ending.slice(1));
  return money(amount + ((((cents - amount) % 100) + 100) % 100));
}

/** `percent` of the total, up to a whole major unit, never above the total (R45). */
export function depositOf(total: Money, percent: Rational): Money {
  const exact = mul(rational(total), mul(percent, rational(1, 10_000)));
  return money(Math.min(total, Number(ceil(exact)) * 100));
}

/** What an amount changed by, in percent of what it was, to a tenth; nothing where there was nothing. */
export const changeOf = (before: Money, after: Money): number =>
  before === 0 ? 0 : Math.round(((after - before) * 1000) / before) / 10;
