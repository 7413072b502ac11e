/** What a piece leaves the shop after its material and its minutes. For staff only. Source: handbook, prices; owner. */
import { type Money, money, moneyFrom, sum } from '../units/money';
import { add, mul, mustDecimal, rational, roundHalfUp } from '../units/rational';
import { BY_HAND } from './override';
import type { OrderPrice } from './order-price';
import type { PiecePrice, PriceLine } from './price-line';

/** What the material of a line costs the shop; undefined where its working knows no cost. One rounding, half up. */
export function costOf({ workings }: Pick<PriceLine, 'workings'>): Money | undefined {
  let total = rational(0);
  // A price by hand is no cost; what the line is made of stays before it.
  for (const { inputs, formula } of workings) {
    if (formula === BY_HAND) continue;
    const { quantity, cost } = inputs;
    if (quantity?.kind !== 'number' || cost?.kind !== 'number') return undefined;
    total = add(total, mul(mustDecimal(quantity.value), mustDecimal(cost.value)));
  }
  return workings.length === 0 ? undefined : moneyFrom(total);
}

export interface LineMargin {
  readonly key: string;
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
      key: line.key,
      price: line.amount,
      cost: costOf(line) ?? (line.taxGroup === 'labour' ? line.amount : undefined),
    })),
  );
  const cost = sum(lines.map((line) => line.cost ?? line.price));
  const net = netOf(sum(pieces.map(({ price }) => price)), order);
  const margin = money(net - cost);
  return { lines, cost, net, margin, tenths: tenthsOf(margin, net) };
}
