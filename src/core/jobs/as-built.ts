/**
 * What came out of the wood: the seat measured after joining re-sizes what is not cut yet. A difference beyond the
 * allowance is said, and nothing is re-sized by it unasked. Source: handbook, jobs, "As built".
 */
import { cutInto } from '../builds/matting';
import { type Seat, packageOfSeat } from '../sizing/match';
import { type Length, type Size, length, minus, plus, size, smaller } from '../units/length';

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
