/**
 * From the package outwards: rabbet, sight, outside, legs and the length charged of a rectangular rabbeted frame.
 * Source: handbook, sizes, "The size chain" and "Legs"; rulings R7, R12.
 */
import type { Moulding } from '../materials';
import { type Length, type Size, ceilTo, plus, size, times } from '../units/length';
import type { Notebook } from '../working';

export interface FrameSizes {
  readonly rabbet: Size;
  readonly sight: Size;
  readonly outside: Size;
  readonly lengthCharged: Length;
}

const NAME = { w: 'width', h: 'height' } as const;

/** Sizes of the frame round a package; every figure is noted under `sizes.`. */
export function frameSizes(pack: Size, allowance: Length, moulding: Moulding, book: Notebook): FrameSizes {
  const { faceWidth, rabbetWidth } = moulding;
  const side = (of: 'w' | 'h') => {
    const rabbet = book.note(
      `sizes.rabbet.${of}`,
      `rabbet ${NAME[of]}`,
      'package + allowance',
      { package: pack[of], allowance },
      plus(pack[of], allowance),
    );
    const sight = book.note(
      `sizes.sight.${of}`,
      `sight ${NAME[of]}`,
      'rabbet − 2 × rabbet width',
      { rabbet, 'rabbet width': rabbetWidth },
      plus(rabbet, times(rabbetWidth, -2)),
    );
    const outside = book.note(
      `sizes.outside.${of}`,
      `outside ${NAME[of]}`,
      'rabbet + 2 × (face width − rabbet width)',
      { rabbet, 'face width': faceWidth, 'rabbet width': rabbetWidth },
      plus(rabbet, times(faceWidth, 2), times(rabbetWidth, -2)),
    );
    return { rabbet, sight, outside };
  };
  const [across, up] = [side('w'), side('h')];
  const lengthCharged = book.note(
    'sizes.lengthCharged',
    'moulding charged',
    '2 × (rabbet width + rabbet height) + 8 × face width',
    { 'rabbet width': across.rabbet, 'rabbet height': up.rabbet, 'face width': faceWidth },
    plus(times(plus(across.rabbet, up.rabbet), 2), times(faceWidth, 8)),
  );
  return {
    rabbet: size(across.rabbet, up.rabbet),
    sight: size(across.sight, up.sight),
    outside: size(across.outside, up.outside),
    lengthCharged,
  };
}

/** Two equal legs. `cut` is the long point on the saw's scale, rounded up to the cutting step. */
export interface Leg {
  readonly count: 2;
  readonly side: 'top and bottom' | 'left and right';
  readonly longPoint: Length;
  readonly rabbetLength: Length;
  readonly shortPoint: Length;
  readonly cut: { readonly longPoint: Length; readonly rabbetLength: Length };
}

/** The four legs as two pairs: across first, then upright. Mitre 45°. */
export function legs(sizes: FrameSizes, cuttingStep: Length): [across: Leg, upright: Leg] {
  const leg = (of: 'w' | 'h', side: Leg['side']): Leg => ({
    count: 2,
    side,
    longPoint: sizes.outside[of],
    rabbetLength: sizes.rabbet[of],
    shortPoint: sizes.sight[of],
    cut: {
      longPoint: ceilTo(sizes.outside[of], cuttingStep),
      rabbetLength: ceilTo(sizes.rabbet[of], cuttingStep),
    },
  });
  return [leg('w', 'top and bottom'), leg('h', 'left and right')];
}
