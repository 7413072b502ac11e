/** One of so many alike: each of them is a piece of its order. Source: handbook, prices, "Quantity breaks". */
import { MOST_PIECES } from './batch';
import type { Design } from './design';

export interface Short {
  /** The first piece that says so, by its place in the order. */
  readonly at: number;
  readonly said: number;
  readonly there: number;
}
/** Pieces that say they are of more alike than the order has; more than an order holds are in several. */
export function shortOfAlike(designs: readonly Pick<Design, 'count'>[]): Short | undefined {
  const counts = new Map<number, number>();
  for (const { count = 1 } of designs) counts.set(count, (counts.get(count) ?? 0) + 1);
  for (const [said, there] of counts)
    if (said > there && said <= MOST_PIECES)
      return { at: designs.findIndex(({ count }) => count === said), said, there };
  return undefined;
}
