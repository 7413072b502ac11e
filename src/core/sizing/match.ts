/**
 * Working to a frame that exists: one of the same outside size, one the customer brings, or a standard size.
 * Source: handbook, sizes, "Standard sizes", "A frame the customer brings", "Same outside size"; rulings R14, R24, R25, R50.
 */
import type { FitHow, OutsideIs } from '../design/choices';
import type { Settings } from '../settings';
import {
  type Length,
  type Sides,
  type Size,
  halve,
  inches,
  length,
  minus,
  mm,
  plus,
  size,
  smaller,
  times,
} from '../units/length';
import { fits, fitted } from './borders';
import type { Frame } from './frame';

/** The outside of a frame that is to be so large outside, or in what is seen, or in its rabbet; undefined where none is wished. */
export function wantedOutside(
  {
    outside,
    outsideIs = 'outside',
  }: { readonly outside?: Size | undefined; readonly outsideIs?: OutsideIs | undefined },
  { faceWidth, rabbetWidth }: { readonly faceWidth: Length; readonly rabbetWidth: Length },
): Size | undefined {
  if (!outside || outsideIs === 'outside') return outside;
  const more = times(outsideIs === 'sight' ? faceWidth : minus(faceWidth, rabbetWidth), 2);
  return size(plus(outside.w, more), plus(outside.h, more));
}

export interface Widening {
  readonly rabbetHave: Length;
  readonly does: 'fits' | 'widen' | 'make up';
  /** To be taken off a side; the larger half of an odd difference. */
  readonly x: Length;
  /** Wood that is left beside the rabbet. */
  readonly wood: Length;
  readonly makeUp: Length;
}

/** One dimension of "same outside size as another frame". */
export function widening(
  outside: Length,
  wanted: { readonly package: Length; readonly allowance: Length },
  moulding: { readonly faceWidth: Length; readonly rabbetWidth: Length },
): Widening {
  const rabbetHave = minus(outside, times(minus(moulding.faceWidth, moulding.rabbetWidth), 2));
  const short = minus(plus(wanted.package, wanted.allowance), rabbetHave);
  const x = short > 0 ? halve(short)[1] : length(0);
  return {
    rabbetHave,
    does: short > 0 ? 'widen' : short < 0 ? 'make up' : 'fits',
    x,
    wood: minus(moulding.faceWidth, moulding.rabbetWidth, x),
    makeUp: short < 0 ? length(-short) : length(0),
  };
}

/** What the wood that is left allows; only asked when the rabbet is widened (R25). */
export const woodLeft = ({ does, wood }: Widening, settings: Pick<Settings, 'woodNone' | 'woodWeak'>) =>
  does !== 'widen' || wood >= settings.woodWeak ? 'good' : wood < settings.woodNone ? 'no' : 'weak';

/** A rabbet widened to match another frame may leave too little wood for anything driven into it from behind. */
export function leavesThinWood(
  frame: Pick<Frame, 'package' | 'moulding' | 'rabbet'> | undefined,
  choice: Parameters<typeof wantedOutside>[0] & { readonly allowance: Length },
  settings: Pick<Settings, 'woodNone' | 'woodWeak'>,
): boolean {
  const wanted = frame?.rabbet && wantedOutside(choice, frame.moulding);
  if (!wanted) return false;
  return (['w', 'h'] as const).some(
    (side) =>
      woodLeft(
        widening(wanted[side], { package: frame.package[side], allowance: choice.allowance }, frame.moulding),
        settings,
      ) !== 'good',
  );
}

export interface Seat {
  readonly top: Length;
  readonly bottom: Length;
  readonly left: Length;
  readonly right: Length;
}
/** The package a seat takes: the smaller measure of each pair less the allowance. */
export const packageOfSeat = (seat: Seat, allowance: Length): Size =>
  size(minus(smaller(seat.top, seat.bottom), allowance), minus(smaller(seat.left, seat.right), allowance));

export const STANDARD_LISTS = ['inches', 'centimetres', 'certificates'] as const;
export type StandardList = (typeof STANDARD_LISTS)[number];

const half = (value: number): Length => inches(Math.floor(value), value % 1 === 0 ? 0 : 1, 2);
const inch = (text: string): Size[] =>
  text.split(' ').map((text) => {
    const [w, h] = text.split('x').map(Number) as [number, number];
    return size(half(w), half(h));
  });
const centimetres = (text: string): Size[] =>
  text.split(' ').map((text) => {
    const [w, h] = text.split('x').map(Number) as [number, number];
    return size(mm(w * 10), mm(h * 10));
  });
const A: Readonly<Record<string, Size>> = {
  A6: size(mm(105), mm(148)),
  A5: size(mm(148), mm(210)),
  A4: size(mm(210), mm(297)),
  A3: size(mm(297), mm(420)),
  A2: size(mm(420), mm(594)),
  A1: size(mm(594), mm(841)),
};

export const STANDARD_SIZES: Readonly<Record<StandardList, readonly Size[]>> = {
  inches: inch(
    '4x6 5x7 8x8 8x10 8.5x11 9x12 10x10 11x14 12x12 12x16 14x18 16x16 16x20 18x24 20x20 20x24 20x28 22x28 24x30 24x36 27x40 30x40',
  ),
  centimetres: [
    ...Object.values(A),
    ...centimetres(
      '13x18 15x20 18x24 20x20 20x30 21x30 24x30 30x30 30x40 40x40 40x50 50x50 50x60 50x70 60x80 60x90 70x100',
    ),
  ],
  certificates: [...inch('8.5x11 11x14'), A.A4!, A.A3!],
};

export interface StandardOffer {
  readonly package: Size;
  readonly border: Sides;
  readonly list: StandardList;
}

const SIDES = ['left', 'right', 'top', 'bottom'] as const;

/**
 * Standard sizes that suit an opening: every border within [minimum, 1.5 × the widest wished], limits included; the
 * smallest Σ|border − wish| first, then the smaller area; earlier lists before later ones (R24).
 */
export function standardSizes(
  opening: Size,
  wished: Sides,
  how: FitHow,
  lists: readonly StandardList[],
  minimum: Length,
  ratio?: readonly [number, number],
): StandardOffer[] {
  const widest = Math.max(...SIDES.map((side) => wished[side]));
  const seen = new Set<string>();
  return lists.flatMap((list) => {
    const offers = STANDARD_SIZES[list]
      .flatMap((extent) => (extent.w === extent.h ? [extent] : [extent, size(extent.h, extent.w)]))
      .filter((size) => !seen.has(`${size.w}x${size.h}`) && seen.add(`${size.w}x${size.h}`))
      .map((size) => ({ package: size, border: fitted(size, opening, how, ratio), list }))
      .filter(
        ({ border }) =>
          fits(border, how) && SIDES.every((side) => border[side] >= minimum && 2 * border[side] <= 3 * widest),
      )
      .map((offer) => ({
        offer,
        off: SIDES.reduce((total, side) => total + Math.abs(offer.border[side] - wished[side]), 0),
        area: offer.package.w * offer.package.h,
      }));
    return offers.sort((a, b) => a.off - b.off || a.area - b.area).map(({ offer }) => offer);
  });
}
