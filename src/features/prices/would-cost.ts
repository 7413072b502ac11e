/** What one usual piece would cost by these rules: the figure that an owner holds every change against. */
import type { ShopView } from '@/contract/views';
import { newDesign } from '@/core/design/design';
import { catalogueOf } from '@/core/materials';
import type { PriceBook } from '@/core/pricing/book';
import { priceOrder } from '@/core/pricing/order-price';
import { defaultSettings } from '@/core/settings';
import { type Size, inches, mm } from '@/core/units/length';
import type { Money } from '@/core/units/money';
import { workOut } from '@/core/work-out';

/** 16 × 20 in, or 40 × 50 cm. */
export const exampleSize = (unit: ShopView['homeUnit']): Size =>
  unit === 'in' ? { w: inches(16), h: inches(20) } : { w: mm(400), h: mm(500) };

/** With tax; undefined where it cannot be priced. */
export function wouldCost({ homeUnit, lists, defaults }: ShopView, prices: PriceBook): Money | undefined {
  const settings = defaultSettings(homeUnit);
  const { w, h } = exampleSize(homeUnit);
  const moulding = lists.mouldings.find(({ code }) => code === defaults.moulding) ?? lists.mouldings[0];
  if (!moulding) return undefined;
  const design = newDesign(settings, { ...defaults, moulding: moulding.code }, w, h);
  const worked = workOut(design, { settings, catalogue: catalogueOf(lists), prices });
  if (!worked.ok || !worked.value.price) return undefined;
  const order = priceOrder([worked.value.price], prices);
  return order.ok ? order.value.total : undefined;
}
