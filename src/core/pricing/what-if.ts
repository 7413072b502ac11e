/** What orders that were agreed would come to by other rules of price, order by order. Sizes stay as they are worked out today. */
import type { Design } from '../design/design';
import type { Pausing } from '../pausing';
import { type Money, sum } from '../units/money';
import { type WorkOutContext, workOut } from '../work-out';
import type { PriceBook } from './book';
import { priceOrder } from './order-price';
import { CHANGES, type Repriced, type WhatIf, mostOf, stepOf } from './what-if-parts';

export interface AgreedOrder {
  readonly number: number;
  readonly customer: string;
  readonly total: Money;
  readonly designs: readonly Design[];
}
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
  const spread = Array.from({ length: CHANGES.length + 1 }, () => 0);
  for (const one of done) spread[stepOf(one)]! += 1;
  return {
    orders: done.length,
    left: orders.length - done.length,
    before: sum(done.map(({ before }) => before)),
    after: sum(done.map(({ after }) => after)),
    most: mostOf(done),
    spread,
  };
}
