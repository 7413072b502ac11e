/** One design in, everything that follows from it out. The one function behind screen, ticket, quote and open interface. */
import type { Caution, Facts } from './cautions/caution';
import { cautionsOf } from './cautions/cautions';
import type { Design } from './design/design';
import { type Resolved, resolve } from './design/resolve';
import { type Outcome, bad, good } from './issue';
import type { Catalogue } from './materials';
import { type Hanging, hangingOf } from './parts/hanging';
import { type Hardware, type Part, hardwareOf, partsOf } from './parts/parts';
import { type Stack, stackOf } from './parts/stack';
import { type Weight, weightOf } from './parts/weight';
import type { PriceBook } from './pricing/book';
import { type PiecePrice, pricePiece } from './pricing/price';
import { type RouteStep, minutesOf, routeOf } from './route/route';
import type { Settings } from './settings';
import { impossible } from './sizing/check';
import { type Sizes, windowMatSizes } from './sizing/window-mat';
import { Notebook, type Workings } from './working';

export interface WorkedOut {
  readonly resolved: Resolved;
  readonly sizes: Sizes;
  readonly parts: readonly Part[];
  readonly stack: Stack;
  readonly weight: Weight;
  readonly hanging?: Hanging;
  readonly hardware: readonly Hardware[];
  readonly cautions: readonly Caution[];
  readonly route: readonly RouteStep[];
  readonly price?: PiecePrice;
  readonly workings: Workings;
}
export interface Shop {
  readonly settings: Settings;
  readonly books: Catalogue;
  /** Without it nothing is priced. */
  readonly prices?: PriceBook;
  /** Minutes charged instead of those of the route. */
  readonly minutes?: number;
}

function factsOf(resolved: Resolved, settings: Settings, book: Notebook): Facts & { sizes: Sizes } {
  const sizes = windowMatSizes(resolved, settings, book);
  const stack = stackOf(resolved, settings, book);
  const weight = weightOf(resolved, sizes);
  const hanging = hangingOf(
    resolved.design.hanging,
    sizes.outside,
    resolved.moulding.faceWidth,
    weight.kg,
    settings,
    book,
  );
  return { resolved, sizes, stack, weight, settings, ...(hanging ? { hanging } : {}) };
}

/** Sizes, parts, stack, weight, hanging, cautions, route and price. Issues when a material is unknown or nothing could be built. */
export function workOut(design: Design, shop: Shop): Outcome<WorkedOut> {
  const found = resolve(design, shop.books);
  if (!found.ok) return found;
  const resolved = found.value;
  const book = new Notebook();
  const facts = factsOf(resolved, shop.settings, book);
  const { sizes, stack, weight, hanging } = facts;
  const issues = impossible(resolved, sizes);
  if (issues.length > 0) return bad(...issues);
  const find = (other: Resolved) => {
    const tried = factsOf(other, shop.settings, new Notebook());
    return impossible(other, tried.sizes).length > 0 ? undefined : tried;
  };
  const route = routeOf(sizes);
  return good({
    resolved,
    sizes,
    parts: partsOf(resolved, sizes, shop.settings),
    stack,
    weight,
    ...(hanging ? { hanging } : {}),
    hardware: hardwareOf(sizes, hanging, shop.settings),
    cautions: cautionsOf(facts, shop.books, find),
    route,
    ...(shop.prices ? { price: pricePiece(resolved, sizes, shop.minutes ?? minutesOf(route), shop.prices) } : {}),
    get workings() {
      return book.workings;
    },
  });
}
