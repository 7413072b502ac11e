/** What a piece leaves the shop after its material and its minutes. For staff only. Source: handbook, prices; owner. */
import { type Money, money, sum } from '../units/money';
import { mul, rational, roundHalfUp } from '../units/rational';
import type { OrderPrice } from './order-price';
import type { PiecePrice, PriceLine } from './price-line';

export interface LineMargin extends Pick<PriceLine, 'code' | 'key' | 'name'> {
  readonly price: Money;
  /** Minutes at the hour rate are their own cost; undefined where no cost is known. */
  readonly cost: Money | undefined;
}
export interface Margin {
  readonly lines: readonly LineMargin[];
  /** Of the lines whose cost is known, and the price of the others. */
  readonly cost: Money;
  /** The price without the tax in it. */
  readonly net: Money;
  readonly margin: Money;
  /** Of the net price, in tenths of a percent; zero where it is given away. */
  readonly tenths: number;
}

/** What is contained of tax goes out in proportion to the order. */
const netOf = (price: Money, { net, total, taxMode }: Pick<OrderPrice, 'net' | 'total' | 'taxMode'>): Money =>
  taxMode === 'exclusive' || total === 0
    ? price
    : money(Number(roundHalfUp(mul(rational(price), rational(net, total)))));
const tenthsOf = (margin: Money, net: Money) =>
  net <= 0 ? 0 : Number(roundHalfUp(mul(rational(margin), rational(1000, net))));

/** The margin of some pieces together, of an order that comes to `order`. */
export function marginOf(
  pieces: readonly Pick<PiecePrice, 'lines' | 'price'>[],
  order: Pick<OrderPrice, 'net' | 'total' | 'taxMode'>,
): Margin {
  const lines = pieces.flatMap((piece) =>
    piece.lines.map((line): LineMargin => ({
      code: line.code,
      key: line.key,
      ...(line.name === undefined ? {} : { name: line.name }),
      price: line.amount,
      cost: line.cost ?? (line.taxGroup === 'labour' ? line.amount : undefined),
    })),
  );
  const cost = sum(lines.map((line) => line.cost ?? line.price));
  const net = netOf(sum(pieces.map(({ price }) => price)), order);
  const margin = money(net - cost);
  return { lines, cost, net, margin, tenths: tenthsOf(margin, net) };
}
