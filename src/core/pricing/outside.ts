/** What is charged for work that somebody outside does. */
import { type Money, money } from '../units/money';
import { div, mustDecimal, rational, roundHalfUp, sub } from '../units/rational';

const WHOLE = rational(100);
/**
 * The price that leaves so many percent of itself above the cost: cost ÷ (1 − percent ÷ 100), half up to the minor
 * unit. Percent as decimal text from 0 to below 100.
 */
export function atMargin(cost: Money, percent: string): Money {
  const left = sub(WHOLE, mustDecimal(percent));
  return money(Number(roundHalfUp(div(rational(cost * 100), left))));
}
