/**
 * Exact lengths. One unit is 1/320 mm, so that 1/64 in (127 units) and 0.1 mm (32 units) are both whole
 * and no size is ever lost to floating point. Source: handbook, sizes, "Lengths"; rulings R1, R2, R7, R10.
 */
declare const lengthBrand: unique symbol;
export type Length = number & { readonly [lengthBrand]: 'length' };
export type Unit = 'in' | 'mm';

export const UNITS_PER_MM = 320;
export const UNITS_PER_INCH = 8128;
/** Nothing in a frame shop is longer than ten metres; more is a slip of the finger (R4). */
export const LONGEST = 10_000 * UNITS_PER_MM;

/** The one door to the brand: a whole number of units. Throws RangeError for anything else. */
export function length(units: number): Length {
  if (!Number.isSafeInteger(units)) throw new RangeError(`not a whole number of units: ${units}`);
  return (units === 0 ? 0 : units) as Length;
}

/** Millimetres, rounded once to the nearest unit, half up. */
export const mm = (value: number): Length => length(Math.floor(value * UNITS_PER_MM + 0.5));
/** Inches as a fraction: `inches(2, 1, 2)` is 2 1/2 in; rounded once to the nearest unit, half up. */
export const inches = (whole: number, numerator = 0, denominator = 1): Length =>
  length(Math.floor(((whole * denominator + numerator) * UNITS_PER_INCH) / denominator + 0.5));

export const toMm = (value: Length): number => value / UNITS_PER_MM;

export function plus(...parts: Length[]): Length {
  let sum = 0;
  for (const part of parts) sum += part;
  return length(sum);
}
export function minus(from: Length, ...parts: Length[]): Length {
  let rest: number = from;
  for (const part of parts) rest -= part;
  return length(rest);
}
export const times = (value: Length, factor: number): Length => length(value * factor);
export const larger = (a: Length, b: Length): Length => (a >= b ? a : b);
export const smaller = (a: Length, b: Length): Length => (a <= b ? a : b);

/** Two parts that add up exactly; the odd unit goes to the second, the right or the bottom (R10). */
export function halve(value: Length): [first: Length, second: Length] {
  const first = Math.floor(value / 2);
  return [length(first), length(value - first)];
}

/** Down to a whole number of steps: what goes into the rabbet. */
export const floorTo = (value: Length, step: Length): Length => length(Math.floor(value / step) * step);
/** Up to a whole number of steps: the rabbet length and long point of legs. */
export const ceilTo = (value: Length, step: Length): Length => length(Math.ceil(value / step) * step);
/** To the nearest step, at a tie the smaller: a mat's window (R7). */
export const nearestSmaller = (value: Length, step: Length): Length => length(Math.ceil(value / step - 0.5) * step);
/** To the nearest step, at a tie the larger: what is shown (R5). */
export const nearestLarger = (value: Length, step: Length): Length => length(Math.floor(value / step + 0.5) * step);

/** A width and a height. */
export interface Size {
  readonly w: Length;
  readonly h: Length;
}
/** One figure for each side of a rectangle. */
export interface Sides {
  readonly left: Length;
  readonly right: Length;
  readonly top: Length;
  readonly bottom: Length;
}

export const size = (w: Length, h: Length): Size => ({ w, h });
export const grow = (size: Size, by: Length): Size => ({ w: plus(size.w, by), h: plus(size.h, by) });
export const turned = (size: Size): Size => ({ w: size.h, h: size.w });
/** Whether `inner` lies within `outer`, either way round. */
export const fitsEitherWay = (inner: Size, outer: Size): boolean =>
  (inner.w <= outer.w && inner.h <= outer.h) || (inner.h <= outer.w && inner.w <= outer.h);
