/**
 * The shop's defaults, thresholds and steps. The home unit picks the inch or the metric value of each; the exact
 * value stays with the job. Source: handbook, sizes, depth and hanging, schools; rulings R15, R24, R32.
 */
import { type Length, type Unit, inches, mm } from './units/length';

export interface Settings {
  readonly homeUnit: Unit;
  /** What figures are shown to. */
  readonly showStep: Readonly<Record<Unit, Length>>;
  readonly cuttingStep: Length;
  readonly overlap: Length;
  readonly overlapLeast: Length;
  readonly allowance: Length;
  readonly metalAllowance: Length;
  readonly border: Length;
  readonly bottomExtra: Length;
  readonly sidesLess: Length;
  readonly reveal: Length;
  readonly squareTolerance: Length;
  readonly borderThin: { readonly border: Length; readonly united: Length };
  readonly fastenerRoom: Length;
  readonly rattleRoom: Length;
  readonly clipReach: Length;
  readonly endTrim: Length;
  /** Wire: slack and safety as exact decimals, lengths of the tails, the hand's breadth the wire must stay under the top. */
  readonly slack: string;
  readonly tail: Length;
  readonly wireHidden: Length;
  readonly safety: number;
  readonly ringRatings: readonly number[];
  readonly noWireKg: number;
  readonly noWireWide: { readonly width: Length; readonly kg: number };
  readonly eyeLine: Length;
  readonly pointStep: Length;
  readonly dustCoverInset: Length;
  readonly glassMost: readonly [Length, Length];
}

const both = (inch: Length, metric: Length) => ({ in: inch, mm: metric });

/** The defaults of a shop whose home unit is `unit`. */
export function defaultSettings(unit: Unit): Settings {
  const pick = (inch: Length, metric: Length): Length => (unit === 'in' ? inch : metric);
  return {
    homeUnit: unit,
    showStep: both(inches(0, 1, 16), mm(1)),
    cuttingStep: pick(inches(0, 1, 32), mm(0.5)),
    overlap: pick(inches(0, 1, 8), mm(3)),
    overlapLeast: pick(inches(0, 1, 16), mm(1.5)),
    allowance: pick(inches(0, 1, 8), mm(3)),
    metalAllowance: pick(inches(0, 1, 16), mm(1.5)),
    border: pick(inches(2, 1, 2), mm(60)),
    bottomExtra: pick(inches(0, 1, 2), mm(12)),
    sidesLess: pick(inches(0, 1, 2), mm(12)),
    reveal: pick(inches(0, 1, 4), mm(6)),
    squareTolerance: pick(inches(0, 1, 16), mm(1.5)),
    borderThin: { border: pick(inches(1), mm(25)), united: pick(inches(30), mm(750)) },
    fastenerRoom: mm(3),
    rattleRoom: mm(6),
    clipReach: mm(10),
    endTrim: mm(10),
    slack: '0.05',
    tail: pick(inches(6), mm(150)),
    wireHidden: pick(inches(1), mm(25)),
    safety: 2,
    ringRatings: [5, 10, 20, 40],
    noWireKg: 15,
    noWireWide: { width: pick(inches(40), mm(1000)), kg: 5 },
    eyeLine: pick(inches(57), mm(1450)),
    pointStep: pick(inches(4), mm(100)),
    dustCoverInset: pick(inches(0, 1, 8), mm(3)),
    glassMost: [pick(inches(60), mm(1500)), pick(inches(40), mm(1000))],
  };
}
