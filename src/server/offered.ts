/** A design as a customer is shown it: in words, with its picture, its price and what makes that up. No cost, no margin. */
import type { OfferView, OfferedDesign } from '@/contract/link-views';
import type { OrderPieceView, ShopView } from '@/contract/views';
import { type Letter, compared, letterOf } from '@/core/design/candidates';
import { frontScene } from '@/core/drawing/front';
import type { OrderPrice } from '@/core/pricing/order-price';
import { showLength } from '@/core/units/format-length';
import type { Length, Unit } from '@/core/units/length';
import type { WorkedOut } from '@/core/work-out';
import { lineName } from '@/words/materials';
import { alternativesOf, madeOf, notIncluded, toldOf } from './offer';

/** To a sixteenth or a millimetre, as the quote on paper has it. */
const writer =
  (unit: Unit) =>
  (length: Length, bare = false) => {
    const { whole, fraction } = showLength(length, unit);
    const figure = [whole, fraction && `${fraction.top}/${fraction.bottom}`].filter(Boolean).join(' ');
    return bare ? figure : `${figure} ${unit}`;
  };

/** What the piece comes to; null where something of it has no price. */
export const priceIn = ({ price }: WorkedOut): number | null =>
  price && price.missing.length === 0 ? price.price : null;

/** The design of a piece and, while it is `open`, what it is compared with, in the order of their letters. */
export function designsOffered(
  piece: Pick<OrderPieceView, 'design' | 'letter' | 'others'>,
  worked: WorkedOut,
  shop: ShopView,
  unit: Unit,
  photos: readonly string[] | undefined,
  open: boolean,
): OfferedDesign[] {
  const write = writer(unit);
  const mine = letterOf(piece);
  const letters = compared({ ...piece, typed: {} }).map(({ letter }) => letter);
  const designOf = (letter: Letter, one: WorkedOut): OfferedDesign => ({
    letter,
    chosen: letter === mine,
    made: madeOf(one, write),
    told: toldOf(one, write),
    price: priceIn(one),
    lines: (one.price?.lines ?? []).map((line) => ({ name: lineName(line), amount: line.amount })),
    not: notIncluded(one),
    scene: frontScene(one, false, photos),
  });
  return [{ letter: mine, worked }, ...(open ? alternativesOf(piece, shop) : [])]
    .map((one) => designOf(one.letter, one.worked))
    .sort((a, b) => letters.indexOf(a.letter) - letters.indexOf(b.letter));
}

export const priceOffered = (price: OrderPrice | undefined): OfferView['price'] =>
  price
    ? {
        pieces: price.pieces,
        tax: price.tax,
        contained: price.taxMode === 'inclusive',
        total: price.total,
        deposit: price.deposit,
      }
    : null;
