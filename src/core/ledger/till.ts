/** What a drawer holds, and what is booked when it is counted. Source: handbook, money, "The day". */
import { type Money, summed } from '../units/money';
import { type Posting, credit, debit, entry } from './accounts';

/** More than any drawer of a frame shop holds: it is asked about before it is booked. A code that was scanned into the field reads so. */
export const UNLIKELY_CASH = 20_000_00;
export const isUnlikely = (amount: number): boolean => amount > UNLIKELY_CASH;

/** What should be in the drawer: its float and everything that came and went since. */
export const expectedIn = (float: Money, cash: Money): Money => summed(float + cash);

/** Counted against expected: over is a credit of *over and short*, short a debit. */
export const countedOff = (counted: Money, expected: Money): Posting[] => {
  const off = summed(counted - expected);
  return entry([debit('cash', off), credit('overShort', off)]);
};

/** Change out of what was tendered; undefined when it is not enough. */
export const changeOf = (tendered: Money, due: Money): Money | undefined =>
  tendered < due ? undefined : summed(tendered - due);

/** A card payout arrives less its fee; `amount` is before the fee. */
export const paidOut = (amount: Money, fee: Money): Posting[] =>
  entry([debit('bank', summed(amount - fee)), debit('fees', fee), credit('card', amount)]);
