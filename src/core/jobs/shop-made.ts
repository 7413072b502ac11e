/**
 * Moulding made in the shop, and finishes by hand: strips from a sheet, rough lengths, the true cost of a length, and
 * the hours of a schedule of coats. Source: handbook, builds 7, jobs, "Finish" and "Moulding made in the shop"; R64.
 */
import { type Length, length, times } from '../units/length';
import { type Money, moneyFrom, toMajor } from '../units/money';
import { type Rational, add, div, mul, mustDecimal, rational } from '../units/rational';

/** Strips of one width from a sheet: n strips need n − 1 cuts between them. */
export const stripsFrom = (sheetWidth: Length, strip: Length, kerf: Length): number =>
  Math.max(0, Math.floor((sheetWidth + kerf) / (strip + kerf)));

export interface ShopMade {
  readonly strips: number;
  /** Length of moulding that a sheet gives. */
  readonly length: Length;
  /** Money a foot or a metre. */
  readonly cost: Money;
}
/** True cost of a length, from the sheet's price and the minutes it takes. Undefined when the sheet gives no strip. */
export function shopMade(
  sheet: { readonly w: Length; readonly h: Length; readonly price: Money },
  strip: Length,
  kerf: Length,
  minutes: string,
  perHour: string,
  per: Length,
): ShopMade | undefined {
  const strips = stripsFrom(sheet.w, strip, kerf);
  if (strips === 0) return undefined;
  const total = times(sheet.h, strips);
  const labour: Rational = div(mul(mustDecimal(minutes), mustDecimal(perHour)), rational(60));
  const cost = div(mul(add(toMajor(sheet.price), labour), rational(per)), rational(total));
  return { strips, length: length(total), cost: moneyFrom(cost) };
}

export interface Coat {
  readonly name: string;
  readonly minutes: number;
  /** Hours to dry before the next. */
  readonly dryHours: number;
}
export interface CoatTime extends Coat {
  /** Hours after the start. */
  readonly from: number;
  readonly readyAt: number;
}
/** When each coat can begin and is dry, one after the other. */
export function finishSchedule(coats: readonly Coat[]): CoatTime[] {
  let index = 0;
  return coats.map((coat) => {
    const from = index;
    index += coat.minutes / 60 + coat.dryHours;
    return { ...coat, from, readyAt: index };
  });
}
