/** One design in, everything that follows from it out. The one function behind screen, ticket, quote and open interface. */
import { BUILDS } from './builds';
import type { Hardware, ResolvedPiece, LayUp } from './builds/build';
import { ownOf } from './builds/fields';
import { FOUR, inManySides } from './builds/many-sided';
import { fittedTo, inReadyMade } from './builds/ready-made';
import { inSections } from './builds/sections';
import type { Caution, Facts } from './cautions/caution';
import { cautionsOf } from './cautions/cautions';
import { situationOf } from './cautions/situation-of';
import type { Design } from './design/design';
import { type Holding, holdingOf } from './fixings/holding';
import { insetsInPolygon } from './fixings/outline';
import { type Rails, holdingRail, railsOf } from './fixings/rails-of';
import { type Resolved, resolve } from './design/resolve';
import { type Issue, type Outcome, bad, good } from './issue';
import { type Scoped, scoped } from './jobs/scope';
import { supplied } from './jobs/supplied';
import type { Catalogue } from './materials';
import { type Hanging, hangingOf } from './parts/hanging';
import { type Part, hardwareOf, partsOf } from './parts/parts';
import { practiceOf } from './parts/practice';
import { type Stack, stackOf } from './parts/stack';
import { type Weight, weightOf } from './parts/weight';
import type { PriceBook } from './pricing/book';
import { pricePiece } from './pricing/price';
import type { PiecePrice } from './pricing/price-line';
import { type RouteStep, minutesOf, routeOf } from './route/route';
import type { Settings } from './settings';
import { type Sizes, impossible, sizesOf } from './sizes';
import { type Length, larger, length, size, smaller } from './units/length';
import { withinLimit } from './units/money';
import { WorkingsLog, type Workings } from './working';

export interface WorkedOut {
  readonly resolved: Resolved;
  readonly sizes: Sizes;
  readonly parts: readonly Part[];
  readonly stack: Stack;
  readonly weight: Weight;
  readonly hanging?: Hanging;
  /** The wood that is there for what is driven into it; absent where there is none, or none that is known. */
  readonly rails?: Rails;
  /** The one way in which the package is held; what was agreed before this was told has it not. */
  readonly holding?: Holding;
  readonly hardware: readonly Hardware[];
  readonly cautions: readonly Caution[];
  readonly route: readonly RouteStep[];
  readonly price?: PiecePrice;
  readonly workings: Workings;
}
export interface WorkOutContext {
  readonly settings: Settings;
  readonly catalogue: Catalogue;
  /** Without it nothing is priced. */
  readonly prices?: PriceBook;
  /** Minutes charged instead of those of the route. */
  readonly minutes?: number;
}

interface WorkedFacts extends Facts {
  readonly job: ResolvedPiece<Design>;
  readonly laid: LayUp;
  readonly scope: Scoped;
  readonly weight: Weight;
  readonly hanging: Hanging | undefined;
  readonly rails: Rails | undefined;
  readonly holding: Holding;
}

function lay(resolved: Resolved, settings: Settings, log: WorkingsLog): WorkedFacts | { readonly issues: Issue[] } {
  const { design } = resolved;
  const { piece } = design;
  const ends = (pick: (a: Length, b: Length) => Length) =>
    size(pick(piece.width, piece.width2 ?? piece.width), pick(piece.height, piece.height2 ?? piece.height));
  const { carrier } = piece;
  const whole = ends(larger);
  const carries = carrier ? size(larger(carrier.w, whole.w), larger(carrier.h, whole.h)) : whole;
  const { readyMade } = resolved;
  const asked: ResolvedPiece<Design> = {
    ...resolved,
    settings,
    log: log,
    piece: { larger: carries, smaller: ends(smaller) },
  };
  const job = readyMade ? fittedTo(asked, readyMade) : asked;
  const build = BUILDS[design.build];
  const plain = build.layUp(job, ownOf(build.fields, design.own, settings.homeUnit));
  const metal = build.metalOnly || (resolved.moulding.material === 'metal' && !build.keepsFrame);
  const { sides } = design.frame;
  const scope = scoped(design.scope, design.build);
  const keeps = build.keepsFrame === true || design.scope === 'refit';
  const framed = scope.frame || keeps;
  const turned = sides !== undefined && sides !== FOUR && build.keepsFrame !== true;
  const framedIn = turned
    ? inManySides(plain, job, sides)
    : readyMade && framed
      ? inReadyMade(plain, job, readyMade)
      : metal && framed
        ? inSections(plain, design.frame.allowance, settings)
        : plain;
  const issues = impossible(job, framedIn);
  if (issues.length > 0) return { issues };
  const laid = supplied(framedIn, scope, keeps);
  const sizes = sizesOf(job, laid);
  const stack = stackOf(laid, settings, log);
  const weight = weightOf(laid, framed ? laid.frames : [], log);
  const outer = laid.frames.at(-1);
  const hung = outer?.outside ?? laid.hangsAs;
  const rails = railsOf(job, laid, keeps);
  const on = {
    insets: laid.insets ?? outer?.moulding.faceWidth ?? length(0),
    fixed: laid.insets !== undefined,
    rails,
    ...(laid.sides === undefined || !outer ? {} : { insetsAt: insetsInPolygon(outer, laid.sides) }),
  };
  const hanging = hung && scope.hung ? hangingOf(design.hanging, hung, on, weight.kg, settings, log) : undefined;
  const holding = holdingOf(
    laid,
    scope,
    practiceOf(settings.practice, design.practice),
    stack.room,
    holdingRail(laid, rails),
    settings,
  );
  const facts = { resolved, sizes, stack, settings, job, laid, scope, weight, hanging, rails, holding };
  return { ...facts, situation: situationOf(facts, framed) };
}

/** Sizes, parts, stack, weight, hanging, cautions, route and price. Issues when a material is unknown or nothing could be built. */
export function workOut(design: Design, shop: WorkOutContext): Outcome<WorkedOut> {
  const outcome = resolve(design, shop.catalogue);
  if (!outcome.ok) return outcome;
  const log = new WorkingsLog();
  const bench = lay(outcome.value, shop.settings, log);
  if ('issues' in bench) return bad(...bench.issues);
  const { resolved, sizes, stack, weight, hanging, rails, holding, job, laid, scope } = bench;
  const find = (otherResolved: Resolved) => {
    const tried = lay(otherResolved, shop.settings, new WorkingsLog(false));
    return 'issues' in tried ? undefined : tried;
  };
  const { prices } = shop;
  const hangs = hanging !== undefined && !hanging.noWood;
  const route = routeOf(job, sizes, laid, scope, hanging !== undefined, prices?.minutes);
  const price =
    prices &&
    withinLimit(() =>
      pricePiece(resolved, sizes, laid, scope, { minutes: shop.minutes ?? minutesOf(route), hangs }, prices),
    );
  if (price && !price.ok) return price;
  return good({
    resolved,
    sizes,
    parts: partsOf(job, laid, scope, shop.settings),
    stack,
    weight,
    ...(hanging ? { hanging } : {}),
    ...(rails ? { rails } : {}),
    holding,
    hardware: hardwareOf(job, laid, bench),
    cautions: cautionsOf(bench, shop.catalogue, find),
    route,
    ...(price ? { price: price.value } : {}),
    get workings() {
      return log.workings;
    },
  });
}
