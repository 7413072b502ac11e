/** The fields of one row of a list, read one by one; what is wrong is added to the issues, beside its column. */
import { type Issue, issue } from '../issue';
import { FINEST, fieldText } from '../units/format-length';
import { type Length, type Unit, UNITS_PER_MM } from '../units/length';
import { parseLength } from '../units/parse-length';
import { type Rational, decimal, mustDecimal, toDecimal } from '../units/rational';

export type Fields = Readonly<Record<string, string>>;

/** A spreadsheet would run a text that begins like this. */
export const FORMULA = /^[=+\-@\t\r]/;
const MOST_CODE = 40;
const MOST_TEXT = 120;
/** Digits before the point of a cost. */
const MOST_DIGITS = 6;
/** What a price list writes round an amount: signs and codes of money, and spaces between thousands. */
const AROUND_AMOUNT = /[\p{Sc}\s' ]|^[A-Za-z]{3}(?=[\s\d])|(?<=[\d\s])[A-Za-z]{3}$/gu;

export class RowReader {
  readonly issues: Issue[] = [];
  constructor(private readonly fields: Fields) {}

  private wrong(
    column: string,
    code: Parameters<typeof issue>[0],
    figures: Record<string, string | number> = {},
  ): void {
    this.issues.push(issue(code, figures, column));
  }

  private said(column: string): string {
    return this.fields[column] ?? '';
  }

  text(column: string): string {
    const text = this.optionalText(column);
    if (text === '') this.wrong(column, 'list-empty');
    return text;
  }

  optionalText(column: string): string {
    const text = this.said(column);
    if (text.length > MOST_TEXT) this.wrong(column, 'list-long', { length: text.length, most: MOST_TEXT });
    if (FORMULA.test(text)) this.wrong(column, 'list-formula', { read: text.slice(0, 20) });
    return text;
  }

  code(column: string): string {
    const text = this.said(column);
    if (text === '') this.wrong(column, 'list-empty');
    if (text.length > MOST_CODE) this.wrong(column, 'list-long', { length: text.length, most: MOST_CODE });
    if (text !== '' && !/^[\w.\-/ ]+$/.test(text)) this.wrong(column, 'list-code', { read: text });
    return text;
  }

  colour(column: string): string {
    const text = this.said(column).toLowerCase();
    if (!/^#[0-9a-f]{6}$/.test(text)) this.wrong(column, 'list-colour', { read: this.said(column) });
    return text;
  }

  /** A choice that is not there falls back to the first. */
  oneOf<T extends string>(column: string, allowed: readonly [T, ...T[]]): T {
    const text = this.said(column).toLowerCase();
    const found = allowed.find((one) => one === text);
    if (!found) this.wrong(column, 'list-choice', { read: this.said(column), allowed: allowed.join(', ') });
    return found ?? allowed[0];
  }

  yes(column: string): boolean {
    return this.oneOf(column, ['yes', 'no']) === 'yes';
  }

  /** Zero only where `zero` allows it; undefined when it cannot be read. */
  length(column: string, unit: Unit, zero = false): Length | undefined {
    if (zero && /^0+([.,]0+)?$/.test(this.said(column))) return 0 as Length;
    const read = parseLength(this.said(column), { unit, decimalComma: true });
    if (read.ok) return read.value;
    this.issues.push(...read.issues.map((one) => ({ ...one, path: column })));
    return undefined;
  }

  optionalLength(column: string, unit: Unit): Length | undefined {
    return this.said(column) === '' ? undefined : this.length(column, unit);
  }

  optionalCost(column: string): string | undefined {
    return this.said(column) === '' ? undefined : this.cost(column, true);
  }

  /** A decimal text with two to four places. */
  cost(column: string, free = false): string {
    const text = plainAmount(this.said(column));
    const value = decimal(text);
    if (value && (free ? value.n >= 0n : value.n > 0n) && text.split('.')[0]!.length <= MOST_DIGITS)
      return costText(value);
    this.wrong(column, 'list-cost', { read: this.said(column) });
    return '';
  }
}

/** A cost as lists write it, with two to four places. */
const costText = (value: Rational): string =>
  toDecimal(value, 4)
    .replace(/^(\d+)$/, '$1.00')
    .replace(/^(\d+\.\d)$/, '$10');
export const writtenCost = (amount: string | undefined): string =>
  amount === undefined ? '' : costText(mustDecimal(amount));

/** An amount without the signs around it: of a comma and a point the later one is the decimal mark. */
export function plainAmount(text: string): string {
  const bare = text.trim().replace(AROUND_AMOUNT, '');
  const [comma, point] = [bare.lastIndexOf(','), bare.lastIndexOf('.')];
  if (comma >= 0 && point >= 0) {
    const thousands = comma > point ? '.' : ',';
    return bare.replaceAll(thousands, '').replace(',', '.');
  }
  return bare.replace(',', '.');
}

/** A length as its list writes it; with its unit when a rule could not show it exactly. */
export const writtenLength = (value: Length | undefined, unit: Unit): string => {
  if (value === undefined) return '';
  return value === 0 ? '0' : value % FINEST[unit] === 0 ? fieldText(value, unit) : `${value / UNITS_PER_MM} mm`;
};
