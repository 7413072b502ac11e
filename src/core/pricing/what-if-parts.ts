/** What came of pricing orders anew, and parts of it put together; no more than a screen needs. */
import { type Money, sum } from '../units/money';

export interface Repriced {
  readonly number: number;
  readonly customer: string;
  readonly before: Money;
  readonly after: Money;
}
export interface WhatIf {
  /** Orders that could be priced by the other rules; the rest hold what is no longer sold, or cannot be built any more. */
  readonly orders: number;
  readonly left: number;
  readonly before: Money;
  readonly after: Money;
  /** Those that change most, up or down. */
  readonly most: readonly Repriced[];
  /** How many orders change by how much, in the steps of `CHANGES`. */
  readonly spread: readonly number[];
}
/** Percent of change at which a step of the distribution begins; the first has all that falls further, the last all that rises. */
export const CHANGES = [-25, -20, -15, -10, -5, 0, 5, 10, 15, 20, 25] as const;

/** The step a change falls in: 0 is below the first bound, 1 from the first bound on. One that stays as it is: from 0 on. */
export function stepOf({ before, after }: Pick<Repriced, 'before' | 'after'>): number {
  if (before === 0) return after > 0 ? CHANGES.length : CHANGES.indexOf(0) + 1;
  // Compared without a division: change × 100 against percent × before.
  return CHANGES.filter((percent) => (after - before) * 100 >= percent * before).length;
}

const MOST = 20;

const off = ({ before, after }: Repriced) => Math.abs(after - before);
export const mostOf = (orders: readonly Repriced[]): Repriced[] =>
  orders
    .filter((one) => off(one) > 0)
    .sort((a, b) => off(b) - off(a) || a.number - b.number)
    .slice(0, MOST);

/** Two parts of one question together. */
export const together = (one: WhatIf, other: WhatIf): WhatIf => ({
  orders: one.orders + other.orders,
  left: one.left + other.left,
  before: sum([one.before, other.before]),
  after: sum([one.after, other.after]),
  most: mostOf([...one.most, ...other.most]),
  spread: one.spread.map((count, index) => count + other.spread[index]!),
});
