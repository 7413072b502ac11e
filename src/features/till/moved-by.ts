import type { EntryView } from '@/contract/money-views';
import { MEANS } from '@/core/ledger/accounts';

/** What an entry moved at the counter: its money, else what it sold. */
export const movedBy = ({ postings }: EntryView): number => {
  const of = (accounts: readonly string[]) =>
    postings.filter(({ account }) => accounts.includes(account)).reduce((total, { amount }) => total + amount, 0);
  return of(['cash']) || of(MEANS) || -of(['sales', 'tax']);
};
