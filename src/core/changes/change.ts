/**
 * An order that was agreed and is changed: which pieces are another design now, which are only spelt otherwise, and what
 * the difference comes to. What is not changed keeps the price that was agreed for it.
 */
import { type Design } from '../design/design';
import { sameValue } from '../design/edit';
import type { PriceBook } from '../pricing/book';
import { type OrderPrice, priceOrder } from '../pricing/order-price';
import type { PiecePrice } from '../pricing/price-line';
import type { Outcome } from '../issue';
import { type Money, money } from '../units/money';

export type Changed = 'no' | 'words' | 'design';

/** The words of a piece: what it is called and what is insisted on. They can be put right at any time. */
const reworded = (design: Design, { piece, insists }: Design): Design => ({
  ...design,
  insists,
  piece: { ...design.piece, title: piece.title },
});
export function changedOf(was: Design, now: Design): Changed {
  if (sameValue(was, now)) return 'no';
  return sameValue(reworded(was, now), now) ? 'words' : 'design';
}
/** What was agreed, in the words of now. */
export const inWordsOf = reworded;

/** The design with what was cut for the former one, as the customer pays it; nothing is added where nothing is paid. */
export const withCut = (design: Design, name: string, amount: number): Design =>
  amount === 0
    ? design
    : { ...design, extras: [...(design.extras ?? []), { name, amount: money(amount), taxGroup: 'goods' }] };

/** What the changed order comes to. The deposit stays as it was agreed, but for an order that comes to less. */
export function changedPrice(
  prices: readonly Pick<PiecePrice, 'price' | 'taxed'>[],
  book: PriceBook,
  agreed: Pick<OrderPrice, 'deposit'>,
): Outcome<OrderPrice> {
  const priced = priceOrder(prices, book);
  if (!priced.ok) return priced;
  const deposit = Math.min(agreed.deposit, priced.value.total) as Money;
  return { ok: true, value: { ...priced.value, deposit } };
}
