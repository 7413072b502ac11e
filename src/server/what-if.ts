/** A change of prices held against what was agreed lately, and the quotes that are open. Nothing is written. */
import type { WhatIfView } from '@/contract/views';
import type { PriceBook } from '@/core/pricing/book';
import { repricing } from '@/core/pricing/what-if';
import { agreedSince, openQuotes } from '@/db/queries/orders';
import type { Viewer } from './access';
import { dayOf, daysAfter } from './clock';
import { inSlices } from './slices';

export const DAYS = 30;

export async function whatIf(
  { app }: Viewer<'owner'>,
  rules: Omit<PriceBook, 'edition' | 'groups'>,
): Promise<WhatIfView | undefined> {
  const books = await app.books();
  if (!books) return undefined;
  const now = app.clock.now();
  const { settings, catalogue, prices } = books;
  const orders = await agreedSince(app.db, daysAfter(now, -DAYS));
  const found = await inSlices(
    repricing(orders, { settings, catalogue, prices }, { ...rules, groups: prices.groups, edition: prices.edition }),
  );
  return { days: DAYS, ...found, quotes: await openQuotes(app.db, dayOf(now)) };
}
