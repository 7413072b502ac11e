/** What a drawer holds, and what is booked when it is counted. Source: handbook, money, "The day". */
import { type Money, money } from '../units/money';
import { type Posting, credit, debit, entry } from './accounts';

/** What should be in the drawer: its float and everything that came and went since. */
export const expectedIn = (float: Money, cash: Money): Money => money(float + cash);

/** Counted against expected: over is a credit of *over and short*, short a debit. */
export const countedOff = (counted: Money, expected: Money): Posting[] => {
  const off = money(counted - expected);
  return entry([debit('cash', off), credit('overShort', off)]);
};

/** Change out of what was tendered; undefined when it is not enough. */
export const changeOf = (tendered: Money, due: Money): Money | undefined =>
  tendered < due ? undefined : money(tendered - due);

/** A card payout arrives less its fee; `amount` is before the fee. */
export const paidOut = (amount: Money, fee: Money): Posting[] =>
  entry([debit('bank', money(amount - fee)), debit('fees', fee), credit('card', amount)]);
