/** Lines that somebody priced by hand: the rule's own price stays in sight beside them. */
import type { Money } from '../units/money';
import { ofMoney } from '../working';
import type { PriceLine } from './price-line';

/** The formula of a price that no rule gave. */
const BY_HAND = 'by hand instead of rule';

export interface Override {
  /** The line's key. */
  readonly key: string;
  readonly amount: Money;
  readonly reason: string;
}

export function overriding(
  lines: readonly PriceLine[],
  overrides: readonly Override[] | undefined,
): readonly PriceLine[] {
  if (!overrides?.length) return lines;
  return lines.map((line) => {
    const own = overrides.find(({ key }) => key === line.key);
    if (!own) return line;
    const byHand = {
      label: own.reason,
      formula: BY_HAND,
      inputs: { rule: ofMoney(line.amount) },
      value: ofMoney(own.amount),
    };
    const workings = [...line.workings, byHand];
    return { ...line, amount: own.amount, rule: line.amount, workings };
  });
}
