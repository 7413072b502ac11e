/** What an order is when it is sold: net by group, tax by rate. Groups of one rate are added and taxed once, half up. Source: handbook, money; prices. */
import { taxOn } from '../pricing/order-price';
import { type Money, spread, sumOf, summed } from '../units/money';
import { mustDecimal, toDecimal } from '../units/rational';

/** What is shown for a group of what is sold, and its rate in percent. */
export interface Sold {
  readonly group: string;
  readonly amount: Money;
  readonly percent: string;
}
export interface Sale {
  readonly total: Money;
  readonly net: readonly { readonly group: string; readonly amount: Money }[];
  readonly tax: readonly { readonly rate: string; readonly amount: Money }[];
}

const RATE_PLACES = 6;
/** `8` and `8.0` are one rate. */
const rateOf = (percent: string) => toDecimal(mustDecimal(percent), RATE_PLACES);

/** The net of a rate goes over its groups by largest remainder. */
export function saleOf(lines: readonly Sold[], mode: 'exclusive' | 'inclusive'): Sale {
  const byGroup = new Map<string, { group: string; amount: Money; rate: string }>();
  for (const { group, amount, percent } of lines) {
    const before = byGroup.get(group)?.amount ?? 0;
    byGroup.set(group, { group, amount: summed(before + amount), rate: rateOf(percent) });
  }
  const sold = [...byGroup.values()];
  const tax = taxOn(
    sold.map(({ amount, rate }) => ({ on: amount, percent: rate })),
    mode,
  );
  const net = tax.flatMap(({ percent, on, amount }) => {
    const groups = sold.filter(({ rate }) => rate === percent);
    const parts = spread(
      mode === 'inclusive' ? summed(on - amount) : on,
      groups.map((one) => one.amount),
    );
    return groups.map(({ group }, index) => ({ group, amount: parts[index]! }));
  });
  const taxes = tax.map(({ percent, amount }) => ({ rate: percent, amount })).filter(({ amount }) => amount !== 0);
  return {
    total: sumOf([...net, ...taxes].map(({ amount }) => amount)),
    net: net.filter(({ amount }) => amount !== 0),
    tax: taxes,
  };
}
export const taxOf = ({ tax }: Sale): Money => sumOf(tax.map(({ amount }) => amount));
