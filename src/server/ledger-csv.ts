/** The journal, the trial balance and the tax of a time as CSV. Texts that a spreadsheet would compute are made harmless. */
import Papa from 'papaparse';
import { journalBetween, standingAt, taxBetween } from '@/db/queries/ledger';
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

export async function journalCsv({ app }: Viewer, { from, to }: Time): Promise<string> {
  const rows = await app.db.read((db) => journalBetween(db, from, to));
  return csv(
    LEDGER_CSV.journal,
    rows.map(({ number, day, order, account, sold, rate, amount, kind, customer, note, reverses }) => [
      number,
      day,
      order ?? '',
      ACCOUNT_NAMES[account],
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
  const rows = await app.db.read((db) => standingAt(db, to));
  return csv(
    LEDGER_CSV.standing,
    rows.map(({ account, rate, amount }) => [ACCOUNT_NAMES[account], rate ?? '', ...sides(amount)]),
  );
}
export async function taxCsv({ app }: Viewer, { from, to }: Time): Promise<string> {
  const rows = await app.db.read((db) => taxBetween(db, from, to));
  return csv(
    LEDGER_CSV.tax,
    rows.map(({ rate, amount }) => [from, to, rate, plain(amount)]),
  );
}
