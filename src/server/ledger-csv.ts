/** The journal, the trial balance and the tax of a time as CSV. Texts that a spreadsheet would compute are made harmless. */
import Papa from 'papaparse';
import { journalBetween, standingAt, taxBetween } from '@/db/queries/ledger';
import type { Account } from '@/core/ledger/accounts';
import { LEDGER_CSV } from '@/words/screens/papers';
import { ACCOUNT_NAMES, entryName, soldName } from '@/words/screens/till';
import type { Viewer } from './access';

/** What begins like a formula and is no plain amount. */
const FORMULA = /^[=+@\t\r]|^-(?!\d+\.\d\d$)/;
const csv = (fields: readonly string[], data: readonly (readonly (string | number)[])[]) =>
  `${Papa.unparse([[...fields], ...data.map((row) => [...row])], { newline: '\n', escapeFormulae: FORMULA })}\n`;
/** `1234.50`, a minus before it where it is below zero. */
export const plain = (amount: number): string => {
  const digits = String(Math.abs(amount)).padStart(3, '0');
  return `${amount < 0 ? '-' : ''}${digits.slice(0, -2)}.${digits.slice(-2)}`;
};
const sides = (amount: number) => [amount > 0 ? plain(amount) : '', amount < 0 ? plain(-amount) : ''];

export interface Time {
  readonly from: string;
  readonly to: string;
}

/** An account by the shop's own number, else by its name. */
async function namesOf(app: Viewer['app']): Promise<(account: Account) => string> {
  const { accounts } = await app.shopSettings();
  return (account) => accounts[account] ?? ACCOUNT_NAMES[account];
}

export async function journalCsv({ app }: Viewer, { from, to }: Time): Promise<string> {
  const named = await namesOf(app);
  const rows = await app.db.read((db) => journalBetween(db, from, to));
  return csv(
    LEDGER_CSV.journal,
    rows.map(({ number, day, order, account, sold, rate, amount, kind, customer, note, reverses }) => [
      number,
      day,
      order ?? '',
      named(account),
      sold === null ? '' : soldName(sold),
      ...sides(amount),
      rate ?? '',
      [entryName(kind), customer, note, reverses === null ? '' : LEDGER_CSV.takesBack(reverses)]
        .filter(Boolean)
        .join(', '),
    ]),
  );
}
export async function trialBalanceCsv({ app }: Viewer, { to }: Time): Promise<string> {
  const named = await namesOf(app);
  const rows = await app.db.read((db) => standingAt(db, to));
  return csv(
    LEDGER_CSV.standing,
    rows.map(({ account, rate, amount }) => [named(account), rate ?? '', ...sides(amount)]),
  );
}
export async function taxCsv({ app }: Viewer, { from, to }: Time): Promise<string> {
  const rows = await app.db.read((db) => taxBetween(db, from, to));
  return csv(
    LEDGER_CSV.tax,
    rows.map(({ rate, amount }) => [from, to, rate, plain(amount)]),
  );
}
