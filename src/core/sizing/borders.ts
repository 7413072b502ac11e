/**
 * Borders of a mat, in the ways a shop asks for them. Cut widths, to the innermost window.
 * Source: handbook, sizes, "Mats"; rulings R10, R14, R15.
 */
import type { Border, FitHow } from '../design/common';
import { type Length, type Sides, type Size, halve, length, minus, plus } from '../units/length';

/** Two parts of `rest` in the proportion `first : second`; the first is rounded down. */
const share = (remainder: Length, [first, second]: readonly [number, number]): [Length, Length] => {
  const part = length(Number((BigInt(remainder) * BigInt(first)) / BigInt(first + second)));
  return [part, minus(remainder, part)];
};
export const OPTICAL = [45, 55] as const;

/** Borders round an opening that lies in a given package. They may come out zero or less: the caller refuses those. */
export function fitted(pack: Size, opening: Size, how: FitHow, ratio: readonly [number, number] = OPTICAL): Sides {
  const [left, right] = halve(minus(pack.w, opening.w));
  const remainder = minus(pack.h, opening.h);
  if (how === 'bottom-heavy') return { left, right, top: left, bottom: minus(remainder, left) };
  const [top, bottom] = how === 'optical' && remainder > 0 ? share(remainder, ratio) : halve(remainder);
  return { left, right, top, bottom };
}

/** Whether a fitted border can be cut: something on every side, and the bottom never the lighter one when it is to be heavy. */
export const fits = (border: Sides, how: FitHow): boolean =>
  Math.min(border.left, border.right, border.top, border.bottom) > 0 &&
  (how !== 'bottom-heavy' || border.bottom >= border.top);

/** What is hidden of a border under the lip: `rabbetWidth − allowance/2`, the smaller half of an odd allowance. */
export const underLip = (rabbetWidth: Length, allowance: Length): Length => minus(rabbetWidth, halve(allowance)[0]);

/** Cut widths of the border to the innermost window, all four sides. `lip` is added where the customer's view was given. */
export function borderSides(border: Border, opening: Size, lip: Length): Sides {
  if (border.mode === 'fit') return fitted(border.package, opening, border.how, border.ratio);
  const cut = (given: Length) => (border.seen ? plus(given, lip) : given);
  if (border.mode === 'four')
    return { left: cut(border.left), right: cut(border.right), top: cut(border.top), bottom: cut(border.bottom) };
  const all = cut(border.all);
  const sides = border.mode === 'sides' ? minus(all, border.less) : all;
  return { left: sides, right: sides, top: all, bottom: border.mode === 'weighted' ? plus(all, border.extra) : all };
}
