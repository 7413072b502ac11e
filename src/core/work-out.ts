/** One design in, everything that follows from it out. The one function behind screen, ticket, quote and open interface. */
import { BUILDS } from './builds';
import type { Hardware, Job, Laid } from './builds/build';
import { ownOf } from './builds/fields';
import type { Caution, Facts } from './cautions/caution';
import { cautionsOf } from './cautions/cautions';
import { situationOf } from './cautions/situation-of';
import type { Design } from './design/design';
import { type Resolved, resolve } from './design/resolve';
import { type Issue, type Outcome, bad, good } from './issue';
import { type Scoped, scoped } from './jobs/scope';
import type { Catalogue } from './materials';
import { type Hanging, hangingOf } from './parts/hanging';
import { type Part, hardwareOf, partsOf } from './parts/parts';
import { type Stack, stackOf } from './parts/stack';
import { type Weight, weightOf } from './parts/weight';
import type { PriceBook } from './pricing/book';
import { pricePiece } from './pricing/price';
import type { PiecePrice } from './pricing/price-line';
import { type RouteStep, minutesOf, routeOf } from './route/route';
import type { Settings } from './settings';
import { type Sizes, impossible, sizesOf } from './sizes';
import { type Length, larger, size, smaller } from './units/length';
import { withinLimit } from './units/money';
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

interface Bench extends Facts {
  readonly job: Job<Design>;
  readonly laid: Laid;
  readonly scope: Scoped;
  readonly weight: Weight;
  readonly hanging: Hanging | undefined;
}

/** What is not supplied lies not in the stack and weighs nothing; a frame the customer keeps still counts. */
function supplied(laid: Laid, scope: Scoped, keeps: boolean): Laid {
  if (scope.glazed && scope.backed && (scope.frame || keeps)) return laid;
  const layers = laid.layers.filter(
    (one) => (scope.glazed || one.group !== 'glazing') && (scope.backed || one.part !== 'backing'),
  );
  return scope.frame || keeps ? { ...laid, layers } : { ...laid, layers, depth: undefined, held: 'nothing' };
}

function lay(resolved: Resolved, settings: Settings, book: Notebook): Bench | { readonly issues: Issue[] } {
  const { design } = resolved;
  const { piece } = design;
  const ends = (pick: (a: Length, b: Length) => Length) =>
    size(pick(piece.width, piece.width2 ?? piece.width), pick(piece.height, piece.height2 ?? piece.height));
  const job: Job<Design> = { ...resolved, settings, book, piece: { larger: ends(larger), smaller: ends(smaller) } };
  const of = BUILDS[design.build];
  const whole = of.lay(job, ownOf(of.fields, design.own, settings.homeUnit));
  const issues = impossible(job, whole);
  if (issues.length > 0) return { issues };
  const scope = scoped(design.scope, design.build);
  const keeps = of.keepsFrame === true || design.scope === 'refit';
  const laid = supplied(whole, scope, keeps);
  const framed = scope.frame || keeps;
  const sizes = sizesOf(job, laid);
  const stack = stackOf(laid, settings, book);
  const weight = weightOf(laid, framed ? laid.frames : [], book);
  const outer = laid.frames.at(-1);
  const hanging =
    outer && scope.hung
      ? hangingOf(design.hanging, outer.outside, laid.insets ?? outer.moulding.faceWidth, weight.kg, settings, book)
      : undefined;
  const facts = { resolved, sizes, stack, settings, job, laid, scope, weight, hanging };
  return { ...facts, situation: situationOf(facts, framed) };
}

/** Sizes, parts, stack, weight, hanging, cautions, route and price. Issues when a material is unknown or nothing could be built. */
export function workOut(design: Design, shop: Shop): Outcome<WorkedOut> {
  const found = resolve(design, shop.books);
  if (!found.ok) return found;
  const book = new Notebook();
  const bench = lay(found.value, shop.settings, book);
  if ('issues' in bench) return bad(...bench.issues);
  const { resolved, sizes, stack, weight, hanging, job, laid, scope } = bench;
  const find = (other: Resolved) => {
    const tried = lay(other, shop.settings, new Notebook(false));
    return 'issues' in tried ? undefined : tried;
  };
  const route = routeOf(job, sizes, laid, scope);
  const { prices } = shop;
  const price =
    prices && withinLimit(() => pricePiece(resolved, sizes, laid, scope, shop.minutes ?? minutesOf(route), prices));
  if (price && !price.ok) return price;
  return good({
    resolved,
    sizes,
    parts: partsOf(job, laid, scope, shop.settings),
    stack,
    weight,
    ...(hanging ? { hanging } : {}),
    hardware: hardwareOf(job, laid, hanging, weight.kg, scope),
    cautions: cautionsOf(bench, shop.books, find),
    route,
    ...(price ? { price: price.value } : {}),
    get workings() {
      return book.workings;
    },
  });
}
