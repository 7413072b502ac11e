'use client';
/** What the usual piece would cost by what is typed; fetched when something is. */
import type { PricesView } from '@/contract/views';
import type { PriceBook } from '@/core/pricing/book';
import { Cash } from '@/ui/figures';
import { usualCost } from '@/core/pricing/usual-piece';

export function Would({ shop, prices }: { shop: PricesView['shop']; prices: PriceBook }) {
  const cost = usualCost(shop, prices);
  return cost === undefined ? '–' : <Cash value={cost} />;
}
