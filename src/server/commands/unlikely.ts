/** Amounts that are hardly meant are asked about before they are booked. */
import { type Outcome, bad, issue } from '@/core/issue';
import { isUnlikely } from '@/core/ledger/till';

/** Refuses more than a drawer ever holds, until it was said that it is meant. */
export const unlikely = (amount: number, sure: true | undefined, path = 'amount'): Outcome<never> | undefined =>
  isUnlikely(amount) && !sure ? bad(issue('amount-unlikely', { amount }, path)) : undefined;
