/** Wedges, corner braces, points, tape and the dust cover. Source: handbook, depth and hanging, "Joining" and "Fitting"; R29, R37, R38, R59. */
import type { Settings } from '../settings';
import type { Practice } from '../parts/practice';
import { type Length, type Size, mm, plus, size, times, toMm, UNITS_PER_MM } from '../units/length';

export interface Joined {
  /** The wedge to take; undefined when none can go in. */
  readonly wedge: Length | undefined;
  /** One, or two equal ones on each other. */
  readonly stacked: 1 | 2;
  readonly placesPerCorner: number;
  readonly braces: boolean;
}
const TALL = mm(30);

/** `panes`: how many panes of glass hang in it. */
export function joining(
  height: Length,
  faceWidth: Length,
  outside: Size,
  kg: number,
  panes: number,
  settings: Pick<Settings, 'wedges' | 'braces' | 'bracesPanes' | 'practice'>,
  practice: Pick<Practice, 'braces' | 'corner'> = settings.practice,
): Joined {
  const stacked = height > TALL ? 2 : 1;
  const wedge = settings.wedges.filter((wedge) => 3 * stacked * wedge <= 2 * height).at(-1);
  const face = toMm(faceWidth);
  const placesPerCorner = face < 25 ? 1 : face <= 45 ? 2 : 2 + Math.ceil((face - 45) / 20);
  const limit = panes >= 2 ? settings.bracesPanes : settings.braces;
  const bySize = outside.w + outside.h >= limit.united || kg >= limit.kg || wedge === undefined;
  return {
    wedge,
    stacked,
    placesPerCorner,
    braces:
      practice.corner === 'screws and braces' ||
      practice.braces === 'always' ||
      (practice.braces === 'by size' && bySize),
  };
}

/** First one in the middle of each side, then every 4 in (100 mm), at least two. */
export const pointsOnSide = (side: Length, { pointStep }: Pick<Settings, 'pointStep'>): number =>
  Math.max(2, Math.ceil(side / pointStep));
export const tapeRound = (pack: Size): Length => times(plus(pack.w, pack.h), 2);
export const dustCover = (outside: Size, { dustCoverInset }: Pick<Settings, 'dustCoverInset'>): Size =>
  size(plus(outside.w, times(dustCoverInset, -2)), plus(outside.h, times(dustCoverInset, -2)));

/** Two up to 12 in (300 mm) wide, then one for each 10 in (250 mm) begun (R59). */
export const hinges = (width: Length, { hinge }: Pick<Settings, 'hinge'>): number =>
  2 + Math.max(0, Math.ceil((width - hinge.first) / hinge.step));

/** Pins or stitches along an edge: `max(2, round(edge / 100 mm) + 1)`, half up, 100 mm whatever the unit (R57). */
export const pinsOn = (edge: Length): number => Math.max(2, Math.floor(edge / (100 * UNITS_PER_MM) + 0.5) + 1);

/** A box round a packed piece: its outside and padding on every side. */
export const boxInner = (outside: Size, padding: Length): Size =>
  size(plus(outside.w, times(padding, 2)), plus(outside.h, times(padding, 2)));
/** A crossbar when a side or the united size is over these (R61). */
export const crossbar = (size: Size, { crossbar: over }: Pick<Settings, 'crossbar'>): boolean =>
  size.w > over.side || size.h > over.side || size.w + size.h > over.united;
export const canvasWrap = (barDepth: Length, { wrapMore }: Pick<Settings, 'wrapMore'>): Length =>
  plus(barDepth, wrapMore);
export const KEYS = 8;
export const roughLength = (longPoint: Length, more: Length): Length => plus(longPoint, more);
