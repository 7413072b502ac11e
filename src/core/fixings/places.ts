/** Places along the sides of a frame or a package, from the left and the top, seen from behind. */
import { type Length, type Size, UNITS_PER_MM, length, minus, plus } from '../units/length';
import { polygonOutline } from './outline';

export type Place = readonly [x: Length, y: Length];

/** Evenly along a side, half a distance from its ends: so many places (R78). */
export const along = (side: Length, count: number): Length[] =>
  Array.from({ length: count }, (_, index) => length(Math.round((side * (2 * index + 1)) / (2 * count))));

/** Places round a rectangle that lies at `left`, `top`: so many on each side across, and on each upright. */
export function round(left: Length, top: Length, of: Size, across: number, upright: number): Place[] {
  return evenly(left, top, of, length(0), across, upright);
}

/** The same places along the sides, but so far inside them that what is fastened there is met; never past the middle. */
export function evenly(left: Length, top: Length, of: Size, by: Length, across: number, upright: number): Place[] {
  const inset = length(Math.min(by, Math.floor(Math.min(of.w, of.h) / 4)));
  const [right, bottom] = [plus(left, of.w), plus(top, of.h)];
  return [
    ...along(of.w, across).flatMap((x): Place[] => [
      [plus(left, x), plus(top, inset)],
      [plus(left, x), minus(bottom, inset)],
    ]),
    ...along(of.h, upright).flatMap((y): Place[] => [
      [plus(left, inset), plus(top, y)],
      [minus(right, inset), plus(top, y)],
    ]),
  ];
}

/** Shares a count over two kinds of sides as their lengths ask, so that all of them are placed. */
export function shared(count: number, { w, h }: Size): [across: number, upright: number] {
  const half = Math.max(2, Math.floor(count / 2));
  const across = Math.max(1, Math.min(half - 1, Math.round((half * w) / (w + h))));
  return [across, half - across];
}

export function corners(left: Length, top: Length, of: Size): Place[] {
  const [right, bottom] = [plus(left, of.w), plus(top, of.h)];
  return [
    [left, top],
    [right, top],
    [left, bottom],
    [right, bottom],
  ];
}

/** A side in so many parts. */
const SHARES = 10_000;
const unit = (value: number): Length => length(Math.round(value * UNITS_PER_MM));
/** On a frame of equal sides, so far inside its outside: its corners, or so many places evenly along each side. */
export function onOutline(apothem: Length, sides: number, inset: Length, aSide: number, atCorners = false): Place[] {
  const points = polygonOutline(apothem, sides, inset);
  if (atCorners) return points.map(([x, y]): Place => [unit(x), unit(y)]);
  return points.flatMap(([x1, y1], index) => {
    const [x2, y2] = points[(index + 1) % points.length]!;
    return along(length(SHARES), aSide).map((share): Place => {
      const part = share / SHARES;
      return [unit(x1 + (x2 - x1) * part), unit(y1 + (y2 - y1) * part)];
    });
  });
}
