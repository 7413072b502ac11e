/**
 * The piece behind one to three mats. `opening = A − 2·overlap`, `package = opening + borders`, then the frame.
 * Out of square, the smaller measure of each dimension sizes the covering window (R8).
 */
import type { Resolved } from '../design/resolve';
import type { Settings } from '../settings';
import {
  type Length,
  type Sides,
  type Size,
  floorTo,
  halve,
  larger,
  length,
  minus,
  plus,
  size,
  smaller,
  times,
} from '../units/length';
import type { Notebook } from '../working';
import { type FrameSizes, type Leg, frameSizes, legs } from './frame';
import { type MatCut, type MatLayer, borderSides, matCut, matLayers } from './mats';

export interface Sizes extends FrameSizes {
  readonly piece: { readonly larger: Size; readonly smaller: Size };
  readonly opening: Size;
  readonly border: Sides;
  readonly visibleBorder: Sides;
  readonly package: Size;
  /** The package as cut for mats, boards and glass. */
  readonly cutPackage: Size;
  readonly unitedSize: Length;
  readonly layers: readonly (MatLayer & { readonly cut: MatCut })[];
  readonly legs: readonly [Leg, Leg];
}

const NAME = { w: 'width', h: 'height' } as const;

/** Every size of a window-mat design. Sizes may come out zero or less for a design that cannot be; cautions refuse those. */
export function windowMatSizes({ design, moulding }: Resolved, settings: Settings, book: Notebook): Sizes {
  const { piece, window, frame } = design;
  const most = size(
    larger(piece.width, piece.width2 ?? piece.width),
    larger(piece.height, piece.height2 ?? piece.height),
  );
  const least = size(
    smaller(piece.width, piece.width2 ?? piece.width),
    smaller(piece.height, piece.height2 ?? piece.height),
  );
  const border = borderSides(design.border);
  const ends = { w: ['left', 'right'], h: ['top', 'bottom'] } as const;

  const chain = (of: 'w' | 'h') => {
    const [first, second] = ends[of];
    const opening = book.note(
      `sizes.opening.${of}`,
      `window ${NAME[of]}`,
      'piece − 2 × overlap',
      { piece: least[of], overlap: window.overlap },
      minus(least[of], times(window.overlap, 2)),
    );
    const pack = book.note(
      `sizes.package.${of}`,
      `package ${NAME[of]}`,
      `window + border ${first} + border ${second}`,
      { window: opening, [`border ${first}`]: border[first], [`border ${second}`]: border[second] },
      plus(opening, border[first], border[second]),
    );
    return { opening, pack };
  };
  const [across, up] = [chain('w'), chain('h')];
  const pack = size(across.pack, up.pack);
  const opening = size(across.opening, up.opening);
  const outer = frameSizes(pack, frame.allowance, moulding, book);

  const [halfAllowance] = halve(frame.allowance);
  const visible = (side: keyof Sides): Length =>
    book.note(
      `sizes.visibleBorder.${side}`,
      `border seen, ${side}`,
      'border − (rabbet width − half the allowance)',
      { border: border[side], 'rabbet width': moulding.rabbetWidth, 'half the allowance': halfAllowance },
      minus(border[side], minus(moulding.rabbetWidth, halfAllowance)),
    );
  const cutPackage = size(floorTo(pack.w, settings.cuttingStep), floorTo(pack.h, settings.cuttingStep));
  const reveals = design.mats.map((mat, index) => (index === 0 ? length(0) : mat.reveal));
  return {
    piece: { larger: most, smaller: least },
    opening,
    border,
    visibleBorder: { left: visible('left'), right: visible('right'), top: visible('top'), bottom: visible('bottom') },
    package: pack,
    cutPackage,
    unitedSize: book.note(
      'sizes.unitedSize',
      'united size',
      'package width + package height',
      { 'package width': pack.w, 'package height': pack.h },
      plus(pack.w, pack.h),
    ),
    ...outer,
    layers: matLayers(opening, border, reveals).map((layer) => ({
      ...layer,
      cut: matCut(layer, cutPackage, settings.cuttingStep),
    })),
    legs: legs(outer, settings.cuttingStep),
  };
}
