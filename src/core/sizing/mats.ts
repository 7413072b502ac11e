/**
 * Borders and layers of a mat. Layers run from the glass inward; each lower one shows its reveal beyond the one
 * above, so the top window is the largest. Source: handbook, sizes, "Mats"; rulings R7, R10, R15.
 */
import type { Border } from '../design/design';
import { type Length, type Sides, type Size, floorTo, minus, nearestSmaller, plus, size, times } from '../units/length';

/** Cut widths of the border to the innermost window, all four sides. */
export function borderSides(border: Border): Sides {
  const { all } = border;
  const bottom = border.mode === 'weighted' ? plus(all, border.extra) : all;
  return { left: all, right: all, top: all, bottom };
}

export interface MatLayer {
  /** The window of this layer, exact. */
  readonly opening: Size;
  readonly border: Sides;
}

/** The layers top to bottom, from the innermost opening and its border. `reveals[k]` is what layer k shows. */
export function matLayers(opening: Size, border: Sides, reveals: readonly Length[]): MatLayer[] {
  return reveals.map((_, index) => {
    const below = plus(...reveals.slice(index + 1));
    return {
      opening: size(plus(opening.w, times(below, 2)), plus(opening.h, times(below, 2))),
      border: {
        left: minus(border.left, below),
        right: minus(border.right, below),
        top: minus(border.top, below),
        bottom: minus(border.bottom, below),
      },
    };
  });
}

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
