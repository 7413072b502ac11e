/** A change of prices held against what was agreed lately, in parts, and the quotes that are open. Nothing is written. */
import type { WhatIfView } from '@/contract/views';
import type { PriceBook } from '@/core/pricing/book';
import { repricing } from '@/core/pricing/what-if';
import { agreedSince, countAgreedSince, openQuotes } from '@/db/queries/orders';
import type { Viewer } from './access';
import { dayOf, daysAfter } from './clock';
import { inSlices } from './slices';

export const TIMES = { month: 30, year: 365 } as const;
export type Time = keyof typeof TIMES;
/** Orders priced for one asking; whoever asks goes on from the last. */
const PART = 250;

interface Asked {
  readonly time?: Time;
  /** Goes on below this number. */
  readonly below?: number | null;
}

export async function whatIf(
  { app }: Viewer<'owner'>,
  rules: Omit<PriceBook, 'edition' | 'groups'>,
  { time = 'month', below = null }: Asked = {},
): Promise<WhatIfView | undefined> {
  const books = await app.books();
  if (!books) return undefined;
  const now = app.clock.now();
  const { settings, catalogue, prices } = books;
  const since = daysAfter(now, -TIMES[time]);
  const orders = await agreedSince(app.db, since, PART, below);
  const found = await inSlices(
    repricing(orders, { settings, catalogue, prices }, { ...rules, groups: prices.groups, edition: prices.edition }),
  );
  return {
    days: TIMES[time],
    ...found,
    of: await countAgreedSince(app.db, since),
    next: orders.length < PART ? null : orders.at(-1)!.number,
    quotes: await openQuotes(app.db, dayOf(now)),
  };
}
