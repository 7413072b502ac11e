/**
 * What came out of the wood. The seat measured after joining re-sizes what is not cut yet, and what is cut is held
 * against it; a difference beyond the allowance re-sizes nothing unasked. Depth, a floater's inside and the wire's drop
 * take the place of the computed ones. Source: handbook, jobs, "As built".
 */
import { cutInto } from '../builds/matting';
import { type Issue, issue } from '../issue';
import { hookOver } from '../parts/hanging';
import type { FlatPart, Part, StripPart } from '../parts/parts';
import { verdictOf } from '../parts/stack';
import { cutAt } from '../route/cut-at';
import type { StepKey } from '../route/steps';
import type { Settings } from '../settings';
import type { Sizes } from '../sizes';
import { type Seat, packageOfSeat } from '../sizing/match';
import { matCut } from '../sizing/mats';
import { type Length, type Sides, type Size, floorTo, length, minus, plus, size, smaller } from '../units/length';
import type { WorkedOut } from '../work-out';

export interface AsBuilt {
  /** Seat less the nominal rabbet, each dimension by its smaller measure. */
  readonly difference: Size;
  readonly package: Size;
  readonly cut: Size;
  /** The difference lies within the allowance. */
  readonly within: boolean;
}

export function asBuilt(rabbet: Size, seat: Seat, allowance: Length, step: Length): AsBuilt {
  const measured = size(smaller(seat.top, seat.bottom), smaller(seat.left, seat.right));
  const difference = size(minus(measured.w, rabbet.w), minus(measured.h, rabbet.h));
  const pack = packageOfSeat(seat, allowance);
  return {
    difference,
    package: pack,
    cut: cutInto(pack, step),
    within: Math.max(Math.abs(difference.w), Math.abs(difference.h)) <= allowance,
  };
}

/** A mat's border after its package was re-sized: the window stays, the difference goes half to each side, the odd unit right and below. */
export function borderAfter(first: Length, second: Length, difference: Length): [first: Length, second: Length] {
  const half = length(Math.floor(difference / 2));
  return [plus(first, half), plus(second, minus(difference, half))];
}

/** What was measured at the bench; what was not is absent. */
export interface Built {
  /** The rabbet that holds the package, at both ends. */
  readonly seat?: Seat | undefined;
  /** Taken off the legs after the dry fit, across and upright: the rabbet is so much less. */
  readonly trimmed?: { readonly w: Length; readonly h: Length } | undefined;
  readonly depth?: Length | undefined;
  /** Between the walls of a floater or a tray. */
  readonly inside?: { readonly w: Length; readonly h: Length } | undefined;
  /** From the top edge to where the hook catches. */
  readonly drop?: Length | undefined;
  /** Somebody said that a difference beyond the allowance is to be used all the same. */
  readonly beyond?: boolean | undefined;
}
export type Measured = Exclude<keyof Built, 'beyond'>;

/** The frame whose rabbet holds the package: a liner's where there is one. */
const holdingOf = ({ frames }: Sizes) => frames.find((frame) => frame.of !== 'fillet' && frame.rabbet);

/** What can be measured on this piece. */
export function measurable({ sizes, stack, hanging, resolved }: WorkedOut): Measured[] {
  const rabbeted = holdingOf(sizes) !== undefined;
  const standing = !rabbeted && sizes.inside !== undefined && resolved.design.build === 'floater';
  return [
    ...(rabbeted ? (['seat', 'trimmed'] as const) : []),
    ...(stack.room === undefined ? [] : (['depth'] as const)),
    ...(standing ? (['inside'] as const) : []),
    ...(hanging ? (['drop'] as const) : []),
  ];
}

/** At which step each can be measured. */
export function measuresOf(worked: WorkedOut): { readonly key: Measured; readonly step: StepKey }[] {
  const has = (step: StepKey) => worked.route.some((one) => one.step === step);
  return measurable(worked).flatMap((key) => {
    const step = key === 'drop' ? 'back-and-hang' : has('join') ? 'join' : 'fit';
    return has(step) ? [{ key, step }] : [];
  });
}

/** As far as wood differs from what was computed; more is a figure that was misread. */
const FURTHEST = length(8128);
const far = (key: Measured, measured: Length, nominal: Length): Issue[] =>
  Math.abs(measured - nominal) > FURTHEST ? [issue('built-far', { measured, nominal }, key)] : [];

/** Figures that cannot be of this piece, each beside its field. */
export function builtIssues(built: Built, { sizes, resolved, hanging }: WorkedOut): Issue[] {
  const { seat, trimmed, depth, inside, drop } = built;
  const rabbet = holdingOf(sizes)?.rabbet;
  const nominal = resolved.moulding.rabbetDepth;
  return [
    ...(seat && rabbet
      ? [
          ...far('seat', seat.top, rabbet.w),
          ...far('seat', seat.bottom, rabbet.w),
          ...far('seat', seat.left, rabbet.h),
          ...far('seat', seat.right, rabbet.h),
        ].slice(0, 1)
      : []),
    ...(trimmed ? far('trimmed', length(Math.max(trimmed.w, trimmed.h)), length(0)) : []),
    ...(depth === undefined ? [] : far('depth', depth, nominal)),
    ...(inside && sizes.inside
      ? [...far('inside', inside.w, sizes.inside.w), ...far('inside', inside.h, sizes.inside.h)].slice(0, 1)
      : []),
    ...(drop !== undefined && hanging && (drop <= 0 || drop >= (sizes.outside?.h ?? 0))
      ? [issue('built-far', { measured: drop, nominal: hanging.hookDrop }, 'drop')]
      : []),
  ];
}

export interface WorkedAsBuilt {
  readonly worked: WorkedOut;
  /** What does not agree any more, for the bench to see. */
  readonly issues: readonly Issue[];
}

/** The result with what was measured in the place of what was computed. Steps in `done` keep what they have cut. */
export function builtAs(
  worked: WorkedOut,
  built: Built,
  settings: Settings,
  done: ReadonlySet<StepKey> = new Set(),
): WorkedAsBuilt {
  const changes = [seated, deepened, between, hung];
  return changes.reduce<WorkedAsBuilt>(
    (so, change) => {
      const { worked: next, issues } = change(so.worked, built, settings, done);
      return { worked: next, issues: [...so.issues, ...issues] };
    },
    { worked, issues: [] },
  );
}
type Change = (worked: WorkedOut, built: Built, settings: Settings, done: ReadonlySet<StepKey>) => WorkedAsBuilt;
const asItWas = (worked: WorkedOut): WorkedAsBuilt => ({ worked, issues: [] });

const sameSize = (one: Size, other: Size) => one.w === other.w && one.h === other.h;
const seatOf = (rabbet: Size, { seat, trimmed }: Built): Seat | undefined => {
  if (seat) return seat;
  if (!trimmed) return undefined;
  const [w, h] = [minus(rabbet.w, trimmed.w), minus(rabbet.h, trimmed.h)];
  return { top: w, bottom: w, left: h, right: h };
};

/** Everything of the package's size follows the seat, the windows of a mat stay where they are seen. */
const seated: Change = (worked, built, settings, done) => {
  const { sizes } = worked;
  const holding = holdingOf(sizes);
  const seat = holding?.rabbet && seatOf(holding.rabbet, built);
  if (!holding?.rabbet || !seat) return asItWas(worked);
  const allowance = minus(holding.rabbet.w, holding.package.w);
  const { difference, package: pack, cut, within } = asBuilt(holding.rabbet, seat, allowance, settings.cuttingStep);
  if (difference.w === 0 && difference.h === 0) return asItWas(worked);
  if (!within && !built.beyond) {
    const { w, h } = difference;
    return { worked, issues: [issue('built-beyond', { w, h, allowance }, 'seat')] };
  }
  const issues: Issue[] = [];
  const room = size(plus(pack.w, allowance), plus(pack.h, allowance));
  const parts = worked.parts.map((part) => {
    if (!ofPackage(part, sizes.package)) return part;
    if (!done.has(cutAt(part))) return resized(part, sizes.package, pack, settings);
    if (part.kind === 'flat') issues.push(...doesNotGoIn(part, room, holding.moulding.rabbetWidth));
    return part;
  });
  const matted = sizes.matted && {
    ...sizes.matted,
    border: bordersAfter(sizes.matted.border, difference),
    layers: sizes.matted.layers.map((layer) => relaid(layer, difference, cut, settings)),
    ...(sizes.matted.spacer ? { spacer: relaid(sizes.matted.spacer, difference, cut, settings) } : {}),
  };
  const kept = sizes.matted && done.has('cut-mats') ? sizes.matted : matted;
  return {
    worked: {
      ...worked,
      parts,
      sizes: { ...sizes, package: pack, cutPackage: cut, matted: kept, ...(kept ? { border: kept.border } : {}) },
      stack: {
        ...worked.stack,
        layers: worked.stack.layers.map((layer) =>
          layer.size && sameSize(layer.size, sizes.package) ? { ...layer, size: pack } : layer,
        ),
      },
    },
    issues,
  };
};

/** What was cut before the frame was measured: it does not go in, or could leave the lip. */
function doesNotGoIn({ name, part, cut }: FlatPart, room: Size, rabbetWidth: Length): Issue[] {
  const over = Math.max(cut.w - room.w, cut.h - room.h);
  if (over > 0) return [issue('built-too-large', { part: name || part, over: length(over) }, 'seat')];
  const loose = Math.max(room.w - cut.w, room.h - cut.h);
  return loose >= rabbetWidth ? [issue('built-too-small', { part: name || part, loose: length(loose) }, 'seat')] : [];
}

const bordersAfter = (border: Sides, by: Size): Sides => {
  const [left, right] = borderAfter(border.left, border.right, by.w);
  const [top, bottom] = borderAfter(border.top, border.bottom, by.h);
  return { left, right, top, bottom };
};
type Layered = NonNullable<FlatPart['layer']>;
function relaid(layer: Layered, difference: Size, cutPackage: Size, settings: Settings): Layered {
  const after = { ...layer, border: bordersAfter(layer.border, difference) };
  return { ...after, cut: matCut(after, cutPackage, settings.cuttingStep) };
}

/** A strip that runs along a side of the package, full or between two others. */
function alongSide(part: StripPart, pack: Size): 'w' | 'h' | undefined {
  const { length: long, width, height } = part;
  if (long === undefined || part.part === 'strainer' || part.part === 'riser strip') return undefined;
  for (const thick of [0, width ?? 0, height ?? 0])
    for (const side of ['w', 'h'] as const) if (long === pack[side] - 2 * thick) return side;
  return undefined;
}
const ofPackage = (part: Part, pack: Size): boolean =>
  part.kind === 'flat' ? sameSize(part.exact, pack) : part.kind === 'strip' && alongSide(part, pack) !== undefined;

function resized<P extends Part>(part: P, was: Size, pack: Size, settings: Settings): P | FlatPart | StripPart {
  const step = settings.cuttingStep;
  if (part.kind === 'flat') {
    const cut = cutInto(pack, step);
    const difference = size(minus(pack.w, was.w), minus(pack.h, was.h));
    return {
      ...part,
      exact: pack,
      cut,
      ...(part.layer ? { layer: relaid(part.layer, difference, cut, settings) } : {}),
    };
  }
  if (part.kind !== 'strip') return part;
  const side = alongSide(part, was)!;
  const long = plus(part.length!, minus(pack[side], was[side]));
  return { ...part, length: long, cutLength: floorTo(long, step) };
}

const deepened: Change = (worked, { depth }, settings) => {
  const { stack, resolved } = worked;
  if (depth === undefined || stack.room === undefined) return asItWas(worked);
  const room = plus(stack.room, minus(depth, resolved.moulding.rabbetDepth));
  const verdict = verdictOf(room, settings);
  return {
    worked: { ...worked, stack: { ...stack, room, verdict } },
    issues: verdict === 'proud' ? [issue('built-too-shallow', { over: length(-room) }, 'depth')] : [],
  };
};

/** The gap of a floater, by the walls as they stand; the strainer fills them, shims fill the gap. */
const between: Change = (worked, { inside }, settings, done) => {
  const { sizes, resolved } = worked;
  const own = resolved.design.own ?? {};
  if (!inside || !sizes.inside) return asItWas(worked);
  const piece = sizes.piece.larger;
  const gap = length(Math.floor(Math.min(inside.w - piece.w, inside.h - piece.h) / 2));
  if (gap < 0) return { worked, issues: [issue('built-no-gap', { short: length(-2 * gap) }, 'inside')] };
  const card = own.cardThickness as Length | undefined;
  const aSide = card ? Math.floor(gap / card) : 0;
  const parts = worked.parts.map((part): Part => {
    if (part.kind !== 'strip' || part.part !== 'strainer' || part.length === undefined || done.has('cut-strips'))
      return part;
    const side = part.length === sizes.inside!.w ? 'w' : 'h';
    const long = plus(part.length, minus(inside[side], sizes.inside![side]));
    return { ...part, length: long, cutLength: floorTo(long, settings.cuttingStep) };
  });
  return {
    worked: {
      ...worked,
      parts,
      resolved: { ...resolved, design: { ...resolved.design, own: { ...own, gap } } },
      hardware: worked.hardware.map((one) => (one.item === 'shim' ? { ...one, count: 4 * aSide } : one)),
      sizes: {
        ...sizes,
        inside: size(inside.w, inside.h),
        figures: { ...sizes.figures, ...(card ? { shimsOff: minus(gap, length(card * aSide)) } : {}) },
        counts: { ...sizes.counts, ...(card ? { shimsASide: aSide } : {}) },
      },
    },
    issues: [],
  };
};

/** The hook goes where the wire was measured. */
const hung: Change = (worked, { drop }, settings) => {
  const { hanging, sizes } = worked;
  if (drop === undefined || !hanging || !sizes.outside) return asItWas(worked);
  const hookHeight = hookOver(settings.eyeLine, sizes.outside.h, drop);
  return {
    worked: {
      ...worked,
      hanging: { ...hanging, hookDrop: drop, hookHeight, ...(hanging.by === 'wire' ? { wireDrop: drop } : {}) },
    },
    issues: [],
  };
};
