/**
 * What a hand pulls on the drawing, as the design it makes: an edge of the window, the part of the sheet that is seen, a
 * border. Outwards is above zero. What cannot be is held at the last that can. Source: handbook, sizes, the size chain.
 */
import { type Length, type Size, larger, length, minus, mm, plus, smaller, times } from '../units/length';
import type { Place } from '../sizing/windows';
import type { AnyDesign, Border } from './common';

export const SIDES = ['left', 'right', 'top', 'bottom'] as const;
export type Side = (typeof SIDES)[number];
type Window = AnyDesign['window'];
type Part = NonNullable<Window['opening']>;

/** Less than this of a window, or of a border, is not left by pulling. */
const LEAST = mm(3);
const between = (value: Length, least: Length, most: Length): Length => larger(least, smaller(most, value));

/** The part of the sheet that a window shows which covers its edge all round. */
const wholePart = (sheet: Size, overlap: Length): Part => ({
  left: overlap,
  top: overlap,
  w: minus(sheet.w, times(overlap, 2)),
  h: minus(sheet.h, times(overlap, 2)),
});

/** One edge of a part of the sheet moved outwards, with its overlap left under it. */
function partPulled(part: Part, sheet: Size, side: Side, by: Length, overlap: Length): Part {
  const [start, long] = side === 'left' || side === 'right' ? (['left', 'w'] as const) : (['top', 'h'] as const);
  const end = plus(part[start], part[long]);
  if (side === 'left' || side === 'top') {
    const to = between(minus(part[start], by), overlap, minus(end, LEAST));
    return { ...part, [start]: to, [long]: minus(end, to) };
  }
  const to = between(plus(end, by), plus(part[start], LEAST), minus(sheet[long], overlap));
  return { ...part, [long]: minus(to, part[start]) };
}

/** A window with one edge pulled: a gap round a floated piece changes on all sides, a covered edge becomes a part. */
export function windowPulled(window: Window, sheet: Size, side: Side, by: Length): Window {
  if (window.floatGap !== undefined) return { ...window, floatGap: larger(length(0), plus(window.floatGap, by)) };
  const part = window.opening ?? wholePart(sheet, window.overlap);
  return { ...window, opening: partPulled(part, sheet, side, by, window.overlap) };
}

/** How far the corner of a window has moved that was pulled, to the right and down. */
export function cornerMoved(before: Window, after: Window, sheet: Size): Place {
  if (before.floatGap !== undefined) {
    const out = minus(before.floatGap, after.floatGap ?? before.floatGap);
    return { left: out, top: out };
  }
  const [from, to] = [before, after].map(({ opening, overlap }) => opening ?? wholePart(sheet, overlap));
  return { left: minus(to!.left, from!.left), top: minus(to!.top, from!.top) };
}

/** A window moved over its sheet, when it shows a part of it; what is covered or floated all round has one place only. */
export function windowMoved(window: Window, sheet: Size, right: Length, down: Length): Window {
  const { opening, overlap } = window;
  if (!opening) return window;
  const along = (start: Length, long: Length, whole: Length, by: Length) =>
    between(plus(start, by), overlap, larger(overlap, minus(whole, long, overlap)));
  return {
    ...window,
    opening: {
      ...opening,
      left: along(opening.left, opening.w, sheet.w, right),
      top: along(opening.top, opening.h, sheet.h, down),
    },
  };
}

/** A border pulled at one side, in the way it is said: what is equal stays equal. Undefined for a mat cut to a size. */
export function borderPulled(border: Border, side: Side, by: Length): Border | undefined {
  const more = (value: Length, least = LEAST) => larger(least, plus(value, by));
  const none = length(0);
  const upright = side === 'left' || side === 'right';
  switch (border.mode) {
    case 'fit':
      return undefined;
    case 'four':
      return { ...border, [side]: more(border[side]) };
    case 'equal':
      return { ...border, all: more(border.all) };
    case 'weighted':
      return side === 'bottom' ? { ...border, extra: more(border.extra, none) } : { ...border, all: more(border.all) };
    case 'sides': {
      const { all, less } = border;
      if (upright) return { ...border, less: between(minus(less, by), none, minus(all, LEAST)) };
      const to = more(all);
      return { ...border, all: to, less: between(plus(less, minus(to, all)), none, minus(to, LEAST)) };
    }
  }
}
