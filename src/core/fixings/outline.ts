/**
 * The outline of a frame seen from behind, as it hangs: a rectangle, or a polygon that stands on one of its sides. A
 * fixing at a height lies where the middle of the rail's wood crosses that height. Source: handbook, fixings, "Many sides".
 */
import type { Frame } from '../sizing/frame';
import { polygonPoints } from '../sizing/polygon';
import { type Length, UNITS_PER_MM, length, minus, plus, times, toMm } from '../units/length';

/** Corners in millimetres from the left edge and the top of the box round the frame. */
export type Outline = readonly (readonly [x: number, y: number])[];

/** From the middle to a flat of the outside. */
export const apothemOf = ({ rabbet, moulding }: Pick<Frame, 'rabbet' | 'moulding'>): Length =>
  length(Math.floor(plus(rabbet!.w, times(minus(moulding.faceWidth, moulding.rabbetWidth), 2)) / 2));

/** So far inside the outside of a frame of equal sides; `inset` 0 is the outside itself. */
export function polygonOutline(apothem: Length, sides: number, inset = length(0)): Outline {
  const outer = polygonPoints(sides, toMm(apothem));
  const [left, top] = [Math.min(...outer.map(([x]) => x)), Math.min(...outer.map(([, y]) => y))];
  return polygonPoints(sides, toMm(minus(apothem, inset))).map(([x, y]) => [x - left, y - top] as const);
}

/** The two outermost places where an outline crosses a height; undefined where it does not. */
export function crossing(outline: Outline, height: number): readonly [left: number, right: number] | undefined {
  const found = outline.flatMap(([x1, y1], index) => {
    const [x2, y2] = outline[(index + 1) % outline.length]!;
    if (y1 === y2 || Math.min(y1, y2) > height || Math.max(y1, y2) < height) return [];
    return [x1 + ((height - y1) / (y2 - y1)) * (x2 - x1)];
  });
  return found.length < 2 ? undefined : [Math.min(...found), Math.max(...found)];
}

/** How far in two hangers stand together at a height, the middle of the wood `inset` inside the outside. */
export const insetsInPolygon =
  (outer: Frame, sides: number) =>
  (drop: Length, inset: Length): Length => {
    const apothem = apothemOf(outer);
    const at = crossing(polygonOutline(apothem, sides, inset), toMm(drop));
    return times(length(Math.round((at?.[0] ?? toMm(inset)) * UNITS_PER_MM)), 2);
  };
