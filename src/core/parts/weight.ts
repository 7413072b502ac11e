/** Weight of the whole, part by part, in kilograms. Source: handbook, depth and hanging, "Weight"; rulings R32, R33, R34. */
import type { Resolved } from '../design/resolve';
import { DENSITY, type Moulding } from '../materials';
import type { Sizes } from '../sizing/window-mat';
import { type Length, type Size, toMm } from '../units/length';

export interface Weight {
  readonly kg: number;
  /** The contributors, heaviest first. */
  readonly by: readonly { readonly part: string; readonly kg: number }[];
}

const squareMetres = (of: Size) => (toMm(of.w) * toMm(of.h)) / 1e6;

/** A sheet: area × thickness × density (kg per m² per mm). */
export const sheetKg = (of: Size, thickness: Length, density: number): number =>
  squareMetres(of) * toMm(thickness) * density;

/** A mat weighs net of its window (R33). */
export const matKg = (pack: Size, window: Size, thickness: Length): number =>
  (squareMetres(pack) - squareMetres(window)) * toMm(thickness) * DENSITY.mat;

/** Wood by profile area and the sum of long points; a metal section by its outside perimeter. */
export function mouldingKg(
  outside: Size,
  moulding: Pick<Moulding, 'material' | 'faceWidth' | 'height' | 'profileArea' | 'density'>,
): number {
  const perimeterMm = 2 * (toMm(outside.w) + toMm(outside.h));
  if (moulding.material === 'metal') return (perimeterMm / 1000) * DENSITY.aluminiumPerMetre;
  const area = moulding.profileArea ?? 0.6 * toMm(moulding.faceWidth) * toMm(moulding.height);
  return (area * perimeterMm * (moulding.density ?? DENSITY.woodPerCubicMetre)) / 1e9;
}

export function weightOf({ mats, glazing, moulding, backing }: Resolved, sizes: Sizes): Weight {
  const parts = [
    { part: 'glazing', kg: sheetKg(sizes.package, glazing.thickness, DENSITY[glazing.type]) },
    ...mats.map((mat, index) => ({
      part: 'mat',
      kg: matKg(sizes.package, sizes.layers[index]!.opening, mat.thickness),
    })),
    { part: 'piece', kg: squareMetres(sizes.piece.larger) * DENSITY.paperPerSquareMetre },
    { part: 'backing', kg: sheetKg(sizes.package, backing.thickness, DENSITY[backing.type]) },
    { part: 'moulding', kg: mouldingKg(sizes.outside, moulding) },
  ].filter((one) => one.kg > 0);
  return { kg: parts.reduce((total, one) => total + one.kg, 0), by: parts.sort((a, b) => b.kg - a.kg) };
}

/** What a joined frame of this moulding may carry: its rating, else faceWidth × height / 40 in millimetres. */
export const mouldingLimitKg = (moulding: Pick<Moulding, 'faceWidth' | 'height' | 'rated'>): number =>
  moulding.rated ?? (toMm(moulding.faceWidth) * toMm(moulding.height)) / 40;
