/** What the bench cuts and what it takes from the drawers. Source: handbook, builds 1, depth and hanging "Fitting", jobs "Hinges". */
import type { Resolved } from '../design/resolve';
import type { Settings } from '../settings';
import type { Leg } from '../sizing/frame';
import type { MatCut } from '../sizing/mats';
import type { Sizes } from '../sizing/window-mat';
import { type Length, type Size, UNITS_PER_INCH, UNITS_PER_MM, plus, size, times } from '../units/length';
import type { Hanging } from './hanging';

export interface FlatPart {
  readonly part: 'glazing' | 'mat' | 'backing' | 'dust cover';
  readonly name: string;
  readonly count: 1;
  readonly exact: Size;
  readonly cut: Size;
  readonly window?: { readonly exact: Size; readonly cut: MatCut };
}
export interface LegPart extends Leg {
  readonly part: 'leg';
  readonly name: string;
  readonly mitre: 45;
}
export type Part = LegPart | FlatPart;

export interface Hardware {
  readonly item: 'flexible point' | 'ring' | 'wire' | 'bumper' | 'hinge' | 'sealing tape';
  readonly count?: number;
  readonly length?: Length;
  readonly rating?: number;
}

export function partsOf({ mats, glazing, moulding, backing }: Resolved, sizes: Sizes, settings: Settings): Part[] {
  const inset = times(settings.dustCoverInset, -2);
  const cover = size(plus(sizes.outside.w, inset), plus(sizes.outside.h, inset));
  const flat = { count: 1, exact: sizes.package, cut: sizes.cutPackage } as const;
  return [
    ...sizes.legs.map((leg) => ({ ...leg, part: 'leg', name: moulding.name, mitre: 45 }) as const),
    ...(glazing.type === 'none' ? [] : [{ ...flat, part: 'glazing', name: glazing.name } as const]),
    ...mats.map((mat, index) => {
      const layer = sizes.layers[index]!;
      return { ...flat, part: 'mat', name: mat.name, window: { exact: layer.opening, cut: layer.cut } } as const;
    }),
    { ...flat, part: 'backing', name: backing.name },
    { part: 'dust cover', name: '', count: 1, exact: cover, cut: cover },
  ];
}

const pointsASide = (side: Length, step: Length) => Math.max(2, Math.ceil(side / step));

/** Two up to 12 in (300 mm) wide, then one for each 10 in (250 mm) begun (R59). */
export function hinges(width: Length, settings: Settings): number {
  const [first, step] =
    settings.homeUnit === 'in' ? [12 * UNITS_PER_INCH, 10 * UNITS_PER_INCH] : [300 * UNITS_PER_MM, 250 * UNITS_PER_MM];
  return 2 + Math.max(0, Math.ceil((width - first) / step));
}

export function hardwareOf(sizes: Sizes, hanging: Hanging | undefined, settings: Settings): Hardware[] {
  const points =
    2 * (pointsASide(sizes.package.w, settings.pointStep) + pointsASide(sizes.package.h, settings.pointStep));
  return [
    { item: 'flexible point', count: points },
    { item: 'hinge', count: hinges(sizes.piece.larger.w, settings) },
    { item: 'sealing tape', length: times(plus(sizes.package.w, sizes.package.h), 2) },
    ...(hanging ? [{ item: 'ring', count: 2, ...(hanging.choose ? { rating: hanging.choose } : {}) } as const] : []),
    ...(hanging && !hanging.noWire ? [{ item: 'wire', length: hanging.wireCut } as const] : []),
    { item: 'bumper', count: 2 },
  ];
}
