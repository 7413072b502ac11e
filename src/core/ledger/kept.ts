/** What a cancelled order keeps: material that was cut, at its cost, and minutes that were worked. Source: handbook, money. */
import { costOf } from '../pricing/margin';
import type { PriceLine } from '../pricing/price-line';
import type { StepKey } from '../route/steps';
import { type Money, moneyFrom, sum } from '../units/money';
import { mul, mustDecimal, rational } from '../units/rational';

export interface Kept {
  /** Of a line of the price, or `labour`. */
  readonly of: string;
  readonly amount: Money;
  /** As text: `7.25 ft`, `12 min`. */
  readonly quantity: string;
}
export interface Worked {
  readonly lines: readonly PriceLine[];
  readonly done: readonly StepKey[];
  /** Minutes between Begin and done, where somebody said that they begin. */
  readonly minutes: number;
}

const CUT_AT: Readonly<Record<string, StepKey>> = {
  moulding: 'cut-legs',
  liner: 'cut-legs',
  fillet: 'cut-legs',
  bars: 'cut-legs',
  mats: 'cut-mats',
  glazing: 'cut-glazing',
  backing: 'cut-backing',
  filler: 'cut-backing',
  sides: 'cut-strips',
};

/** What is proposed to be kept; each can be lowered. */
export function proposedKept(pieces: readonly Worked[], perHour: string): Kept[] {
  return pieces.flatMap(({ lines, done, minutes }) => [
    ...lines.flatMap((line) => {
      const step = CUT_AT[line.key];
      const cost = step !== undefined && done.includes(step) ? costOf(line) : undefined;
      return cost === undefined || cost === 0 ? [] : [{ of: line.key, amount: cost, quantity: line.quantity }];
    }),
    ...(minutes > 0
      ? [
          {
            of: 'labour',
            amount: moneyFrom(mul(rational(minutes, 60), mustDecimal(perHour))),
            quantity: `${minutes} min`,
          },
        ]
      : []),
  ]);
}
export const keptInAll = (kept: readonly Kept[]): Money => sum(kept.map(({ amount }) => amount));
