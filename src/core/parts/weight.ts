/** Weight of the whole, part by part, in kilograms. Source: handbook, depth and hanging, "Weight"; rulings R32, R33, R34, R69. */
import type { LayUp } from '../builds/build';
import type { Frame } from '../sizing/frame';
import { DENSITY, type Moulding } from '../materials';
import { type Size, toMm } from '../units/length';
import { type WorkingsLog, kilograms } from '../working';

export interface Weight {
  readonly kg: number;
  /** The contributors, heaviest first. */
  readonly by: readonly { readonly part: string; readonly kg: number }[];
}

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

export function weightOf(
  { layers, weighedBeside, frameKg }: LayUp,
  frames: readonly Frame[],
  log: WorkingsLog,
): Weight {
  const parts = [
    ...layers.map(({ part, kg }) => ({ part, kg })),
    { part: 'piece', kg: weighedBeside ?? 0 },
    ...frames.flatMap(({ of, moulding, outside }) =>
      of === 'frame'
        ? (frameKg ?? [{ part: 'moulding', kg: mouldingKg(outside, moulding) }])
        : [{ part: of, kg: mouldingKg(outside, moulding) }],
    ),
  ].filter((one) => one.kg > 0);
  const kg = parts.reduce((total, part) => total + part.kg, 0);
  const said = () => {
    const inputs = Object.fromEntries(parts.map((part, index) => [`${part.part} ${index + 1}`, kilograms(part.kg)]));
    return { formula: Object.keys(inputs).join(' + ') || '0', inputs };
  };
  log.number('weight.kg', 'weight', said, kilograms(kg));
  return { kg, by: [...parts].sort((a, b) => b.kg - a.kg) };
}

/** What a joined frame of this moulding may carry: its rating, else faceWidth × height / 40 in millimetres. */
export const mouldingLimitKg = (moulding: Pick<Moulding, 'faceWidth' | 'height' | 'rated'>): number =>
  moulding.rated ?? (toMm(moulding.faceWidth) * toMm(moulding.height)) / 40;
