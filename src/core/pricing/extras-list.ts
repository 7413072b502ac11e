/** The extras of a price book as rows of text: a name, its price, and by which tax; the last may be left out for goods. */
import { type Issue, issue } from '../issue';
import { formatMoney, parseMoney } from '../units/money';
import type { PricedExtra, TaxGroup } from './book';

/** What each tax is called. */
export type TaxNames = Readonly<Record<TaxGroup, string>>;

export const extrasText = (extras: readonly PricedExtra[] = [], names: TaxNames): string =>
  extras.map(({ name, price, taxGroup }) => `${name}; ${formatMoney(price)}; ${names[taxGroup]}`).join('\n');

/** The rows of a text; one that cannot be read is an issue of its own. */
export function extrasFrom(
  text: string,
  names: TaxNames,
): { readonly extras: readonly PricedExtra[]; readonly wrong: readonly Issue[] } {
  const wrong: Issue[] = [];
  const groups = new Map(Object.entries(names).map(([group, name]) => [name.toLowerCase(), group as TaxGroup]));
  const extras = text
    .split('\n')
    .filter((row) => row.trim())
    .flatMap((row): PricedExtra[] => {
      const [name = '', amount = '', tax, ...more] = row.split(/[;\t]/).map((part) => part.trim());
      const price = parseMoney(amount);
      const taxGroup = tax === undefined || tax === '' ? 'goods' : groups.get(tax.toLowerCase());
      if (name === '' || price === undefined || !taxGroup || more.length > 0) {
        wrong.push(issue('extra-row', { read: row.trim().slice(0, 80) }, 'extras'));
        return [];
      }
      return [{ name, price, taxGroup }];
    });
  return { extras, wrong };
}
