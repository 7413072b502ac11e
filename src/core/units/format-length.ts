/**
 * Shows lengths. Inches in lowest terms to the nearest step, millimetres to the nearest step, a tie up; where the
 * shown figure differs from the exact one it says which way and by how much.
 * Source: handbook, sizes, "Show"; rulings R5, R6.
 */
import { type Length, type Unit, UNITS_PER_INCH, UNITS_PER_MM, length, nearestLarger } from './length';

/** A length made ready to be shown. `whole` and `fraction` apart, so that only the fraction is set as one. */
export interface ShownLength {
  readonly unit: Unit;
  readonly negative: boolean;
  readonly whole: string;
  readonly fraction?: { readonly top: number; readonly bottom: number };
  /** Whether the exact length is more or less than what is shown. */
  readonly exactIs: 'exact' | 'more' | 'less';
  /** How much the shown figure misses, never negative. */
  readonly by: Length;
}

export const FINEST: Readonly<Record<Unit, Length>> = {
  in: length(UNITS_PER_INCH / 64),
  mm: length(UNITS_PER_MM / 10),
};
export const USUAL_STEP: Readonly<Record<Unit, Length>> = {
  in: length(UNITS_PER_INCH / 16),
  mm: length(UNITS_PER_MM),
};

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** Splits a length for showing in `unit`, rounded to `step` (a length: 1/16 in is 508 units). */
export function showLength(exact: Length, unit: Unit, step: Length = USUAL_STEP[unit]): ShownLength {
  const shown = nearestLarger(exact, step);
  const amount = Math.abs(shown);
  const said = {
    unit,
    negative: shown < 0,
    exactIs: exact === shown ? 'exact' : exact > shown ? 'more' : 'less',
    by: length(Math.abs(exact - shown)),
  } as const;
  if (unit === 'mm') return { ...said, whole: String(Math.round((amount / UNITS_PER_MM) * 1e6) / 1e6) };
  const whole = Math.floor(amount / UNITS_PER_INCH);
  const rest = amount - whole * UNITS_PER_INCH;
  if (rest === 0) return { ...said, whole: String(whole) };
  const g = gcd(rest, UNITS_PER_INCH);
  return { ...said, whole: whole === 0 ? '' : String(whole), fraction: { top: rest / g, bottom: UNITS_PER_INCH / g } };
}

/** Plain text without its unit: `16 7/8`, with ` +` or ` −` when the exact length is a little more or less. */
export function formatLength(exact: Length, unit: Unit, step: Length = USUAL_STEP[unit]): string {
  // The same figures as showLength, without its parts: the open interface says thousands of them at once.
  const shown = nearestLarger(exact, step);
  const mark = exact === shown ? '' : exact > shown ? ' +' : ' −';
  const sign = shown < 0 ? '−' : '';
  const amount = Math.abs(shown);
  if (unit === 'mm') return sign + String(Math.round((amount / UNITS_PER_MM) * 1e6) / 1e6) + mark;
  const whole = Math.floor(amount / UNITS_PER_INCH);
  const rest = amount - whole * UNITS_PER_INCH;
  if (rest === 0) return `${sign}${whole}${mark}`;
  const g = gcd(rest, UNITS_PER_INCH);
  return `${sign}${whole === 0 ? '' : `${whole} `}${rest / g}/${UNITS_PER_INCH / g}${mark}`;
}

/** As exact as a rule shows it, with its unit: `16 51/64 in`, `37.5 mm`. */
export const lengthText = (exact: Length, unit: Unit): string => `${formatLength(exact, unit, FINEST[unit])} ${unit}`;

/** What belongs in a field: the finest text, without a mark, which may round to 1/64 in or 0.1 mm. */
export const fieldText = (exact: Length, unit: Unit): string => {
  const shown = showLength(exact, unit, FINEST[unit]);
  return [shown.whole, shown.fraction && `${shown.fraction.top}/${shown.fraction.bottom}`].filter(Boolean).join(' ');
};

/** As fine as a depth is told: a thirty-second of an inch, a tenth of a millimetre. */
export const DEPTH_STEP: Readonly<Record<Unit, Length>> = {
  in: length(UNITS_PER_INCH / 32),
  mm: length(UNITS_PER_MM / 10),
};

/** A depth with its unit, without a mark: `1 3/32 in`, `27.6 mm`. */
export const depthText = (exact: Length, unit: Unit): string =>
  `${formatLength(nearestLarger(exact, DEPTH_STEP[unit]), unit, DEPTH_STEP[unit])} ${unit}`;

/** The difference between shown and exact, in the unit that writes it exactly: `1/64 in`, else `0.0375 mm`. */
export function differenceText(by: Length, unit: Unit): string {
  if (unit === 'in' && by % FINEST.in === 0) return lengthText(by, 'in');
  return `${by / UNITS_PER_MM} mm`;
}

export function exactText(measure: Length, unit: Unit): string {
  if (unit === 'in' && measure % FINEST.in === 0)
    return `${formatLength(measure, 'in', FINEST.in).replace('−', '-')} in`;
  return `${measure / UNITS_PER_MM} mm`;
}
