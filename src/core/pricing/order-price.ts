/** What an order of priced pieces comes to: tax by rate, total, deposit. */
import type { Outcome } from '../issue';
import { type Money, depositOf, money, NOTHING, sum, withinLimit } from '../units/money';
import { div, mul, mustDecimal, rational, roundHalfUp } from '../units/rational';
import { type PriceBook, TAX_GROUPS } from './book';
import type { PiecePrice } from './price-line';

export interface OrderPrice {
  /** Sum of the pieces' prices. */
  readonly pieces: Money;
  readonly taxMode: 'exclusive' | 'inclusive';
  readonly tax: readonly { readonly percent: string; readonly on: Money; readonly amount: Money }[];
  readonly total: Money;
  readonly net: Money;
  readonly deposit: Money;
}

/** Tax on amounts that share rates, rounded once per rate; added, or contained in them. */
export function taxOn(
  amounts: readonly { readonly on: Money; readonly percent: string }[],
  mode: 'exclusive' | 'inclusive',
) {
  const byRate = new Map<string, Money>();
  for (const { on, percent } of amounts) byRate.set(percent, money((byRate.get(percent) ?? 0) + on));
  return [...byRate].map(([percent, on]) => {
    const rate = mustDecimal(percent);
    const whole = mode === 'exclusive' ? rational(100) : rational(100n * rate.d + rate.n, rate.d);
    return { percent, on, amount: money(Number(roundHalfUp(div(mul(rational(on), rate), whole)))) };
  });
}

/** Tax per rate on the order's sums; deposit up to a whole unit. An issue when it comes to more than any amount may be. */
export const priceOrder = (
  pieces: readonly Pick<PiecePrice, 'price' | 'taxed'>[],
  book: Pick<PriceBook, 'tax' | 'depositPercent'>,
): Outcome<OrderPrice> => withinLimit(() => mustPriceOrder(pieces, book));

/** The same; throws what `withinLimit` answers as an issue. */
export function mustPriceOrder(
  pieces: readonly Pick<PiecePrice, 'price' | 'taxed'>[],
  book: Pick<PriceBook, 'tax' | 'depositPercent'>,
): OrderPrice {
  const prices = sum(pieces.map((piece) => piece.price));
  const { percent, mode } = book.tax;
  const tax = taxOn(
    TAX_GROUPS.map((group) => ({
      percent: percent[group] ?? percent.goods,
      on: sum(pieces.map((piece) => piece.taxed[group] ?? NOTHING)),
    })),
    mode,
  ).filter(({ on }) => on !== 0);
  const taxes = sum(tax.map((one) => one.amount));
  const total = mode === 'exclusive' ? money(prices + taxes) : prices;
  return {
    pieces: prices,
    taxMode: mode,
    tax,
    total,
    net: money(total - taxes),
    deposit: depositOf(total, mustDecimal(book.depositPercent)),
  };
}
