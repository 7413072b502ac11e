/**
 * A part of an order that is handed over before the rest: its own lines are booked, and what is left of the order is
 * what remains of the sale; the last part takes the remaining cents. Source: handbook, money.
 */
import { type Outcome, bad, good, issue } from '../issue';
import { type Money, NOTHING, sumOf, summed } from '../units/money';
import { type Posting, credit, debit, entry } from './accounts';
import type { OrderAccount } from './order-account';
import type { Sale } from './sale';

const least = (a: Money, b: Money): Money => summed(Math.min(a, b));
const of = (list: readonly { readonly amount: Money }[]) => sumOf(list.map(({ amount }) => amount));

/** What the part sells, never more than is left of the order. */
export function partOf(left: Sale, part: Sale): Sale {
  const net = part.net.map(({ group, amount }) => ({
    group,
    amount: least(amount, left.net.find((one) => one.group === group)?.amount ?? NOTHING),
  }));
  const tax = part.tax.map(({ rate, amount }) => ({
    rate,
    amount: least(amount, left.tax.find((one) => one.rate === rate)?.amount ?? NOTHING),
  }));
  return { total: summed(of(net) + of(tax)), net, tax };
}

/**
 * The postings of a part. What is held pays for it, with the tax that went on at a payment; `part-not-paid` when that
 * is too little: a part is not handed over on account.
 */
export function partHandedOver({ sale, deposits, taxBooked }: OrderAccount, given: Sale): Outcome<Posting[]> {
  const part = partOf(sale, given);
  const before = part.tax.map(({ rate, amount }) => ({ rate, amount: least(amount, taxBooked[rate] ?? NOTHING) }));
  const due = summed(part.total - of(before));
  if (due > deposits) return bad(issue('part-not-paid', { part: part.total, missing: due - deposits }));
  return good(
    entry([
      debit('deposits', due),
      ...before.map(({ rate, amount }) => debit('tax', amount, { rate })),
      ...part.net.map(({ group, amount }) => credit('sales', amount, { group })),
      ...part.tax.map(({ rate, amount }) => credit('tax', amount, { rate })),
    ]),
  );
}

/** The account after a part: less is left to sell, and less is held. */
export function afterPart(account: OrderAccount, postings: readonly Posting[]): OrderAccount {
  const on = (name: Posting['account']) => postings.filter((one) => one.account === name);
  const net = account.sale.net.map(({ group, amount }) => ({
    group,
    amount: summed(amount + of(on('sales').filter((one) => one.group === group))),
  }));
  const taxes = on('tax');
  const tax = account.sale.tax.map(({ rate, amount }) => ({
    rate,
    amount: summed(amount + of(taxes.filter((one) => one.rate === rate && one.amount < 0))),
  }));
  const taxBooked: Record<string, Money> = { ...account.taxBooked };
  for (const { rate, amount } of taxes)
    if (rate !== undefined && amount > 0) taxBooked[rate] = summed((taxBooked[rate] ?? NOTHING) - amount);
  return {
    ...account,
    sale: { total: summed(of(net) + of(tax)), net, tax },
    deposits: summed(account.deposits - of(on('deposits'))),
    taxBooked,
  };
}
