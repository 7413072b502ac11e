/** What a cancelled order keeps: material that was cut, at its cost, and minutes that were worked. Source: handbook, money. */
import type { LineCode, PriceLine } from '../pricing/price-line';
import type { StepKey } from '../route/steps';
import { type Money, moneyFrom, sum } from '../units/money';
import { mul, mustDecimal, rational } from '../units/rational';

export interface Kept {
  /** Of a line of the price, or of the minutes worked. */
  readonly of: LineCode;
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

const CUT_AT: Readonly<Partial<Record<LineCode, StepKey>>> = {
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
      const step = CUT_AT[line.code];
      const cost = step !== undefined && done.includes(step) ? line.cost : undefined;
      return cost === undefined || cost === 0 ? [] : [{ of: line.code, amount: cost, quantity: line.quantity }];
    }),
    ...(minutes > 0
      ? [
          {
            of: 'labour' as const,
            amount: moneyFrom(mul(rational(minutes, 60), mustDecimal(perHour))),
            quantity: `${minutes} min`,
          },
        ]
      : []),
  ]);
}
export const keptInAll = (kept: readonly Kept[]): Money => sum(kept.map(({ amount }) => amount));
