/** What is done to the sum of a piece: breaks, rush, discount, ending (R43). */
import { type Ending, type Money, money, NOTHING, percentOf, spread, sum, withEnding } from '../units/money';
import { mustDecimal } from '../units/rational';
import { type PriceBook, TAX_GROUPS } from './book';
import type { PiecePrice, PriceLine } from './price-line';

/** What is changed on a piece after its lines. Percents are decimal texts. */
export interface Adjust {
  readonly identical?: number;
  readonly rush?: string | undefined;
  readonly discount?: { readonly percent: string } | { readonly amount: Money } | undefined;
}
type Finished = Omit<PiecePrice, 'lines' | 'missing'>;

/** The best break that the count reaches, as a percent. */
const breakFor = (breaks: PriceBook['quantityBreaks'], count: number): string | undefined =>
  breaks?.filter(([from]) => count >= from).sort((a, b) => b[0] - a[0])[0]?.[1];

/** Breaks, rush, discount and ending on a piece, each on the running sum and spread over its tax groups (R43). */
export function finish(
  lines: readonly Pick<PriceLine, 'amount' | 'taxGroup'>[],
  adjust: Adjust,
  rules: { readonly ending: Ending; readonly quantityBreaks?: PriceBook['quantityBreaks'] },
): Finished {
  let groups = TAX_GROUPS.map((group) =>
    sum(lines.filter((line) => line.taxGroup === group).map((line) => line.amount)),
  );
  const subtotal = sum(groups);
  const running = () => sum(groups);
  const add = (amount: Money): Money => {
    if (amount === 0) return amount;
    const parts = spread(amount, groups);
    groups = groups.map((group, index) => money(group + parts[index]!));
    return amount;
  };
  const off = breakFor(rules.quantityBreaks, adjust.identical ?? 1);
  const quantityBreak = add(off === undefined ? NOTHING : money(-percentOf(running(), mustDecimal(off))));
  const rush = add(adjust.rush === undefined ? NOTHING : percentOf(running(), mustDecimal(adjust.rush)));
  const asked = adjust.discount;
  const wanted =
    asked === undefined
      ? NOTHING
      : 'percent' in asked
        ? percentOf(running(), mustDecimal(asked.percent))
        : asked.amount;
  const discount = add(money(-Math.min(wanted, running())));
  const price = withEnding(running(), rules.ending);
  const rounding = add(money(price - running()));
  const [goods, labour, delivery] = groups as [Money, Money, Money];
  return { subtotal, quantityBreak, rush, discount, rounding, price, taxed: { goods, labour, delivery } };
}
