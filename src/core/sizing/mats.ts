/**
 * Layers of a mat, their cut sizes, the hidden spacer, the turned edge and the fillet. Layers run from the glass
 * inward; each lower one shows its reveal beyond the one above, so the top window is the largest.
 * Source: handbook, sizes, "Mats"; rulings R7, R10, R11, R13, R18, R19, R21.
 */
import type { Settings } from '../settings';
import {
  type Length,
  type Sides,
  type Size,
  floorTo,
  grow,
  halve,
  length,
  minus,
  nearestSmaller,
  plus,
  size,
  times,
} from '../units/length';

export interface MatLayer {
  /** The window of this layer, exact; of several windows their bounding box. */
  readonly opening: Size;
  readonly border: Sides;
}

/** Every border less `by`, as when the window grows by it on each side. */
export const narrower = (border: Sides, by: Length): Sides => ({
  left: minus(border.left, by),
  right: minus(border.right, by),
  top: minus(border.top, by),
  bottom: minus(border.bottom, by),
});
/** A window grown by `by` a side, with what is left of its border. */
export const widened = ({ opening, border }: MatLayer, by: Length): MatLayer => ({
  opening: grow(opening, times(by, 2)),
  border: narrower(border, by),
});

/** How far the window of each layer stands back from the innermost one: the reveals of the layers below it. */
export const standBack = (reveals: readonly Length[]): Length[] =>
  reveals.map((_, index) => plus(...reveals.slice(index + 1)));

/** The layers top to bottom, from the innermost opening and its border. `reveals[k]` is what layer k shows. */
export const matLayers = (opening: Size, border: Sides, reveals: readonly Length[]): MatLayer[] =>
  standBack(reveals).map((back) => widened({ opening, border }, back));

export interface MatCut {
  readonly window: Size;
  readonly border: Sides;
}

/**
 * What the mat cutter is set to: the window to the nearest cutting step; the borders share what the cut package
 * leaves, in whole steps, so that they add up on the rule; the odd step goes to the right or the bottom (R7).
 */
export function matCut(layer: MatLayer, cutPackage: Size, step: Length): MatCut {
  const window = size(nearestSmaller(layer.opening.w, step), nearestSmaller(layer.opening.h, step));
  const share = (total: Length, first: Length, second: Length): [Length, Length] => {
    const kept = floorTo(Math.floor(first + (total - first - second) / 2) as Length, step);
    return [kept, minus(total, kept)];
  };
  const [left, right] = share(minus(cutPackage.w, window.w), layer.border.left, layer.border.right);
  const [top, bottom] = share(minus(cutPackage.h, window.h), layer.border.top, layer.border.bottom);
  return { window, border: { left, right, top, bottom } };
}

/** Two pairs of strips round the inside of a package: the top and bottom full, the sides between them. */
export const stripsRound = (pack: Size, stripWidth: Length): [across: Length, upright: Length] => [
  pack.w,
  minus(pack.h, times(stripWidth, 2)),
];
/** Spacer strips that nobody sees are at most this wide (R11). */
export const lipRoom = (rabbetWidth: Length, allowance: Length): Length => minus(rabbetWidth, halve(allowance)[1]);

/** The turned edge of a thin card: one tab for all sides, and the inner cut-out (R19). */
export function turnedEdge(
  opening: Size,
  border: Sides | undefined,
  wanted: Length,
  settings: Pick<Settings, 'tabClear'>,
): { tab: Length; cutOut: Size } {
  const third = length(Math.floor(Math.min(opening.w, opening.h) / 3));
  const narrowest = border
    ? minus(length(Math.min(border.left, border.right, border.top, border.bottom)), settings.tabClear)
    : wanted;
  const tab = length(Math.min(wanted, third, narrowest));
  return { tab, cutOut: grow(opening, times(tab, -2)) };
}

/** Lines to mark from the back: guide settings by side, and half-windows from their centre lines. Left and right change places (R21). */
export interface Marking {
  readonly guide: Sides;
  readonly centre: { readonly fromLeft: Length; readonly fromTop: Length };
  readonly half: Sides;
}
export function markingOut({ opening, border }: MatLayer): Marking {
  const [left, right] = halve(opening.w);
  const [top, bottom] = halve(opening.h);
  const half = { left: right, right: left, top, bottom };
  return {
    guide: { left: border.right, right: border.left, top: border.top, bottom: border.bottom },
    centre: { fromLeft: plus(border.right, half.left), fromTop: plus(border.top, top) },
    half,
  };
}
