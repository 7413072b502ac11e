/** The price rules for the owner: what is in force, what comes, and the editions so far. */
import type { PricesView } from '@/contract/views';
import { listEditions, newestEdition } from '@/db/queries/books';
import type { Viewer } from './access';
import { usualCost } from '@/core/pricing/usual-piece';
import { usualSize } from '@/core/pricing/usual-size';
import { formatLength } from '@/core/units/format-length';
import { shopView } from './views';

const MOST_EDITIONS = 40;

export async function pricesView(viewer: Viewer<'owner'>): Promise<PricesView | undefined> {
  const shop = await shopView(viewer);
  const { db } = viewer.app;
  const newest = await newestEdition(db);
  if (!shop || !newest?.prices || !newest.house) return undefined;
  const { w, h } = usualSize(shop.homeUnit);
  const editions = await listEditions(db, MOST_EDITIONS);
  return {
    shop,
    newest: { number: newest.number, prices: newest.prices, house: newest.house },
    usual: usualCost(shop, shop.prices) ?? null,
    usualSize: `${formatLength(w, shop.homeUnit)} × ${formatLength(h, shop.homeUnit)}`,
    editions: editions.map(({ number, at, by, why, starts }) => ({ number, at: at.toISOString(), by, why, starts })),
  };
}
