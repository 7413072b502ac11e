/** The accounts of a shop's ledger and what an entry in it is. Source: handbook, money. */
import { type Money, NOTHING, sumOf, summed } from '../units/money';
import { type Account, ACCOUNTS } from './account-list';

export { type Account, ACCOUNTS };

/** How money comes and goes; each is the account it is booked on. */
export const MEANS = ['cash', 'card', 'bank', 'vouchers'] as const;
export type Means = (typeof MEANS)[number];

/** One side of an entry: debit positive, credit negative, in minor units. */
export interface Posting {
  readonly account: Account;
  readonly amount: Money;
  /** Of sales and returns: what was sold. */
  readonly group?: string;
  /** Of tax: its rate in percent, as an exact decimal. */
  readonly rate?: string;
}

/** A debit and the credit against it, that much. */
export const move = (to: Account, from: Account, amount: Money): Posting[] =>
  entry([debit(to, amount), credit(from, amount)]);
export const debit = (account: Account, amount: Money, of: Pick<Posting, 'group' | 'rate'> = {}): Posting => ({
  account,
  amount,
  ...of,
});
export const credit = (account: Account, amount: Money, of: Pick<Posting, 'group' | 'rate'> = {}): Posting =>
  debit(account, summed(-amount), of);

/** The postings that say something. Throws when they do not sum to zero: such an entry is never booked. */
export function entry(postings: readonly Posting[]): Posting[] {
  const off = postings.reduce((total, { amount }) => total + amount, 0);
  if (off !== 0) throw new RangeError(`an entry is off by ${off}`);
  return postings.filter(({ amount }) => amount !== 0);
}

/** What stands on each account; those that come to nothing are left out. */
export function balances(postings: readonly Posting[]): Partial<Record<Account, Money>> {
  const found: Partial<Record<Account, Money>> = {};
  for (const account of ACCOUNTS) {
    const amount = sumOf(postings.filter((one) => one.account === account).map((one) => one.amount));
    if (amount !== NOTHING) found[account] = amount;
  }
  return found;
}
