/** What orders that were agreed would come to by other rules of price, order by order. Sizes stay as they are worked out today. */
import type { Design } from '../design/design';
import type { Pausing } from '../pausing';
import { type Money, sum } from '../units/money';
import { type WorkOutContext, workOut } from '../work-out';
import type { PriceBook } from './book';
import { priceOrder } from './order-price';

export interface AgreedOrder {
  readonly number: number;
  readonly customer: string;
  readonly total: Money;
  readonly designs: readonly Design[];
}
export interface Repriced {
  readonly number: number;
  readonly customer: string;
  readonly before: Money;
  readonly after: Money;
}
export interface WhatIf {
  /** Orders that could be priced by the other rules; the rest hold what is no longer sold, or cannot be built any more. */
  readonly orders: number;
  readonly left: number;
  readonly before: Money;
  readonly after: Money;
  /** Those that change most, up or down. */
  readonly most: readonly Repriced[];
}

const MOST = 20;

function totalOf(designs: readonly Design[], context: WorkOutContext, prices: PriceBook): Money | undefined {
  const pieces = [];
  for (const design of designs) {
    const worked = workOut(design, { ...context, prices });
    if (!worked.ok || !worked.value.price || worked.value.price.missing.length > 0) return undefined;
    pieces.push(worked.value.price);
  }
  const order = priceOrder(pieces, prices);
  return order.ok ? order.value.total : undefined;
}

/** Pauses after each order. */
export function* repricing(
  orders: readonly AgreedOrder[],
  context: WorkOutContext,
  prices: PriceBook,
): Pausing<WhatIf> {
  const done: Repriced[] = [];
  for (const { number, customer, total, designs } of orders) {
    const after = totalOf(designs, context, prices);
    if (after !== undefined) done.push({ number, customer, before: total, after });
    yield;
  }
  const off = ({ before, after }: Repriced) => Math.abs(after - before);
  return {
    orders: done.length,
    left: orders.length - done.length,
    before: sum(done.map(({ before }) => before)),
    after: sum(done.map(({ after }) => after)),
    most: done
      .filter((one) => off(one) > 0)
      .sort((a, b) => off(b) - off(a) || a.number - b.number)
      .slice(0, MOST),
  };
}
