/**
 * From the package outwards: rabbet, sight, outside, legs and the length charged of a rectangular rabbeted frame.
 * Source: handbook, sizes, "The size chain" and "Legs"; rulings R7, R12.
 */
import type { Moulding } from '../materials';
import { type Length, type Size, ceilTo, minus, plus, size, times } from '../units/length';
import type { WorkingsLog } from '../working';

/** Two equal legs. `cut` is the long point on the saw's scale, rounded up to the cutting step. */
export interface Leg {
  readonly of: 'frame' | 'liner' | 'fillet' | 'base' | 'lip' | 'pair';
  readonly name: string;
  readonly count: number;
  readonly side: 'top and bottom' | 'left and right' | 'all round';
  readonly longPoint: Length;
  readonly rabbetLength: Length | undefined;
  readonly shortPoint: Length;
  readonly cut: { readonly longPoint: Length; readonly rabbetLength: Length | undefined };
}
export interface Frame {
  readonly of: Leg['of'];
  readonly moulding: Moulding;
  readonly package: Size;
  readonly rabbet: Size | undefined;
  readonly inside: Size | undefined;
  readonly sight: Size;
  readonly outside: Size;
  readonly lengthCharged: Length;
  readonly legs: readonly Leg[];
}

export interface FrameSizes {
  readonly rabbet: Size;
  readonly sight: Size;
  readonly outside: Size;
  readonly lengthCharged: Length;
}

const NAME = { w: 'width', h: 'height' } as const;

type Face = Pick<Moulding, 'faceWidth' | 'rabbetWidth'>;

/** Sizes of the frame round a package; every figure is noted under `path`. */
export function frameSizes(
  pack: Size,
  allowance: Length,
  moulding: Face,
  log: WorkingsLog,
  path = 'sizes',
): FrameSizes {
  const { faceWidth, rabbetWidth } = moulding;
  const side = (key: 'w' | 'h') => {
    const rabbet = log.note(
      `${path}.rabbet.${key}`,
      `rabbet ${NAME[key]}`,
      'package + allowance',
      { package: pack[key], allowance },
      plus(pack[key], allowance),
    );
    const sight = log.note(
      `${path}.sight.${key}`,
      `sight ${NAME[key]}`,
      'rabbet − 2 × rabbet width',
      { rabbet, 'rabbet width': rabbetWidth },
      plus(rabbet, times(rabbetWidth, -2)),
    );
    const outside = log.note(
      `${path}.outside.${key}`,
      `outside ${NAME[key]}`,
      'rabbet + 2 × (face width − rabbet width)',
      { rabbet, 'face width': faceWidth, 'rabbet width': rabbetWidth },
      plus(rabbet, times(faceWidth, 2), times(rabbetWidth, -2)),
    );
    return { rabbet, sight, outside };
  };
  const [across, up] = [side('w'), side('h')];
  return {
    rabbet: size(across.rabbet, up.rabbet),
    sight: size(across.sight, up.sight),
    outside: size(across.outside, up.outside),
    lengthCharged: charged(across.rabbet, up.rabbet, faceWidth, log, path),
  };
}

const charged = (w: Length, h: Length, faceWidth: Length, log: WorkingsLog, path: string, name = 'rabbet'): Length =>
  log.later(
    `${path}.lengthCharged`,
    'moulding charged',
    () => ({
      formula: `2 × (${name} width + ${name} height) + 8 × face width`,
      inputs: { [`${name} width`]: w, [`${name} height`]: h, 'face width': faceWidth },
    }),
    plus(times(plus(w, h), 2), times(faceWidth, 8)),
  );

/** A frame of a given outside: the rabbet is widened where the package needs more, and keeps its size where it needs less. */
export function matchedFrame(
  pack: Size,
  allowance: Length,
  moulding: Face,
  wanted: Size,
  log: WorkingsLog,
): FrameSizes {
  const wood = minus(moulding.faceWidth, moulding.rabbetWidth);
  const side = (key: 'w' | 'h') => {
    const have = log.note(
      `sizes.rabbetHave.${key}`,
      `rabbet as it is, ${NAME[key]}`,
      'outside − 2 × (face width − rabbet width)',
      { outside: wanted[key], 'face width': moulding.faceWidth, 'rabbet width': moulding.rabbetWidth },
      minus(wanted[key], times(wood, 2)),
    );
    const needed = plus(pack[key], allowance);
    const rabbet = log.note(
      `sizes.rabbet.${key}`,
      `rabbet ${NAME[key]}`,
      'larger of (rabbet as it is, package + allowance)',
      { 'rabbet as it is': have, package: pack[key], allowance },
      have >= needed ? have : needed,
    );
    return { have, rabbet, sight: plus(have, times(moulding.rabbetWidth, -2)) };
  };
  const [across, up] = [side('w'), side('h')];
  return {
    rabbet: size(across.rabbet, up.rabbet),
    sight: size(across.sight, up.sight),
    outside: wanted,
    lengthCharged: charged(across.have, up.have, moulding.faceWidth, log, 'sizes', 'rabbet as it is,'),
  };
}

/** A frame measured on its inside: `outside = inside + 2 × wall`. Floaters and trays; charged by inside and face (R12). */
export function walledFrame(inside: Size, wall: Length, face: Length, log: WorkingsLog): Omit<FrameSizes, 'rabbet'> {
  const out = (side: 'w' | 'h') =>
    log.note(
      `sizes.outside.${side}`,
      `outside ${NAME[side]}`,
      'inside + 2 × wall',
      { inside: inside[side], wall },
      plus(inside[side], times(wall, 2)),
    );
  return {
    sight: inside,
    outside: size(out('w'), out('h')),
    lengthCharged: charged(inside.w, inside.h, face, log, 'sizes', 'inside'),
  };
}

/** The four legs as two pairs: across first, then upright. Mitre 45°. */
export function legsOf(
  of: Leg['of'],
  name: string,
  longPoint: Size,
  rabbet: Size | undefined,
  shortPoint: Size,
  step: Length,
): [across: Leg, upright: Leg] {
  const leg = (key: 'w' | 'h', side: Leg['side']): Leg => ({
    of,
    name,
    count: 2,
    side,
    longPoint: longPoint[key],
    rabbetLength: rabbet?.[key],
    shortPoint: shortPoint[key],
    cut: { longPoint: ceilTo(longPoint[key], step), rabbetLength: rabbet && ceilTo(rabbet[key], step) },
  });
  return [leg('w', 'top and bottom'), leg('h', 'left and right')];
}
