/** What one usual piece would cost by these rules: the figure that an owner holds every change against. */
import { type DefaultMaterials, newDesign } from '../design/design';
import { type ListedMaterials, catalogueOf } from '../materials';
import { defaultSettings } from '../settings';
import type { Unit } from '../units/length';
import type { Money } from '../units/money';
import { workOut } from '../work-out';
import type { PriceBook } from './book';
import { priceOrder } from './order-price';
import { usualSize } from './usual-size';

interface Books {
  readonly homeUnit: Unit;
  readonly lists: ListedMaterials;
  readonly defaults: DefaultMaterials;
}

/** A print as a new order begins, with tax; undefined where it cannot be priced. */
export function usualCost({ homeUnit, lists, defaults }: Books, prices: PriceBook): Money | undefined {
  const settings = defaultSettings(homeUnit);
  const { w, h } = usualSize(homeUnit);
  const moulding = lists.mouldings.find(({ code }) => code === defaults.moulding) ?? lists.mouldings[0];
  if (!moulding) return undefined;
  const design = newDesign(settings, { ...defaults, moulding: moulding.code }, w, h);
  const worked = workOut(design, { settings, catalogue: catalogueOf(lists), prices });
  if (!worked.ok || !worked.value.price) return undefined;
  const order = priceOrder([worked.value.price], prices);
  return order.ok ? order.value.total : undefined;
}
