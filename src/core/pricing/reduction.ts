/** How much of what the rules ask is let go on a piece: by a discount, and by lines that somebody priced lower. */
import { type Money, money, sum } from '../units/money';
import { mul, rational, roundHalfUp } from '../units/rational';
import type { PiecePrice } from './price-line';

export interface Reduction {
  readonly off: Money;
  /** In hundredths of a percent of the lines as the rules price them; nothing of nothing is none. */
  readonly share: number;
}
const WHOLE = 10_000;

export function reductionOf({ lines, discount }: Pick<PiecePrice, 'lines' | 'discount'>): Reduction {
  const byRule = sum(lines.map(({ amount, rule }) => rule ?? amount));
  const lower = sum(lines.map(({ amount, rule }) => money(Math.max(0, (rule ?? amount) - amount))));
  const off = money(lower - discount);
  return { off, share: byRule <= 0 ? 0 : Number(roundHalfUp(mul(rational(off), rational(WHOLE, byRule)))) };
}
