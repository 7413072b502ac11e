/**
 * The shop's defaults, thresholds and steps. The home unit picks the inch or the metric value of each; the exact
 * value stays with the job. Source: handbook, sizes, depth and hanging, schools; rulings R15, R24, R32.
 */
import { type Practice, USUAL_PRACTICE } from './parts/practice';
import { type Length, type Unit, inches, mm } from './units/length';

export interface Settings {
  readonly homeUnit: Unit;
  /** What figures are shown to. */
  readonly showStep: Readonly<Record<Unit, Length>>;
  readonly cuttingStep: Length;
  readonly overlap: Length;
  readonly overlapLeast: Length;
  /** What an object keeps from the glass when nobody says more. */
  readonly objectClearance: Length;
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
  /** Cutting plans: the blade, what is worth keeping, trims, and what an offcut is worth against new. */
  readonly cutting: {
    readonly kerf: Length;
    readonly minStick: Length;
    readonly minSheet: { readonly short: Length; readonly long: Length };
    readonly sheetTrim: Length;
    readonly glassBreak: Length;
    readonly offcutValue: number;
  };
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
  /** Windows and mats. */
  readonly floatGap: Length;
  readonly bridgeLeast: Length;
  readonly patch: Length;
  readonly setBack: Length;
  readonly spacerMat: Length;
  readonly stripWidth: Length;
  /** How far the strips that a print is taped to lie inside its edge. */
  readonly stripSetIn: Length;
  readonly tab: Length;
  readonly tabClear: Length;
  readonly depthBehindMat: Length;
  readonly standardLeast: Length;
  /** Rabbets and wood. */
  readonly rabbetLeast: Length;
  readonly woodNone: Length;
  readonly woodWeak: Length;
  /** Joining: wedge heights stocked, corner braces from these figures on. */
  readonly wedges: readonly Length[];
  readonly braces: { readonly united: Length; readonly kg: number };
  readonly bracesPanes: { readonly united: Length; readonly kg: number };
  /** The shop's way where practitioners disagree; a job may choose another. */
  readonly practice: Practice;
  /** Screws and pins. */
  readonly screws: readonly Length[];
  readonly screwClear: Length;
  /** What an oversized hole is wider than the shank, so that keys can still be driven. */
  readonly holeMore: Length;
  readonly oneScrew: Length;
  readonly screwStep: Length;
  readonly pinStep: Length;
  readonly hinge: { readonly first: Length; readonly step: Length };
  /** Pins through the strips behind two panes. */
  readonly stripPin: { readonly first: Length; readonly step: Length };
  /** Canvas, boxes and clips. */
  readonly gapLeast: Length;
  readonly keyTravel: Length;
  readonly wrapMore: Length;
  readonly crossbar: { readonly side: Length; readonly united: Length };
  readonly shimClear: Length;
  readonly padding: Length;
  readonly roughAllowance: Length;
  readonly clipStep: Length;
  /** Lengths that pairs of metal sections are stocked in, rising (R75). */
  readonly pairLengths: readonly Length[];
  readonly sawtoothOne: Length;
  /** The hook catches so far below the top edge (R68). */
  readonly sawtoothDrop: Length;
  /** How high the plate of a sawtooth is. */
  readonly sawtoothPlate: Length;
  readonly sawtoothKg: number;
  readonly heavyKg: number;
  /** Minor units: above it a written agreement and a locked place. */
  readonly valueLimit: number;
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
    objectClearance: pick(inches(0, 1, 4), mm(6)),
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
    cutting: {
      kerf: mm(3),
      minStick: pick(inches(12), mm(300)),
      minSheet: { short: pick(inches(6), mm(150)), long: pick(inches(12), mm(300)) },
      sheetTrim: pick(inches(0, 1, 8), mm(3)),
      glassBreak: pick(inches(0, 3, 4), mm(20)),
      offcutValue: 0.5,
    },
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
    floatGap: pick(inches(0, 1, 4), mm(6)),
    bridgeLeast: pick(inches(0, 3, 4), mm(20)),
    patch: pick(inches(1), mm(25)),
    setBack: pick(inches(0, 1, 4), mm(6)),
    spacerMat: mm(1.4),
    stripWidth: pick(inches(0, 3, 16), mm(5)),
    stripSetIn: pick(inches(0, 1, 4), mm(6)),
    tab: pick(inches(1), mm(25)),
    tabClear: pick(inches(0, 1, 8), mm(3)),
    depthBehindMat: mm(3),
    standardLeast: pick(inches(1, 1, 2), mm(38)),
    rabbetLeast: pick(inches(0, 3, 16), mm(5)),
    woodNone: pick(inches(0, 1, 4), mm(6)),
    woodWeak: pick(inches(0, 3, 8), mm(10)),
    wedges: [3, 5, 7, 10, 12, 15].map(mm),
    braces: { united: pick(inches(60), mm(1500)), kg: 8 },
    bracesPanes: { united: pick(inches(50), mm(1270)), kg: 5 },
    practice: USUAL_PRACTICE,
    screws:
      unit === 'in'
        ? [
            inches(0, 1, 2),
            inches(0, 5, 8),
            inches(0, 3, 4),
            inches(1),
            inches(1, 1, 4),
            inches(1, 1, 2),
            inches(1, 3, 4),
            inches(2),
            inches(2, 1, 2),
          ]
        : [12, 16, 20, 25, 30, 35, 40, 45, 50, 60].map(mm),
    screwClear: pick(inches(0, 1, 8), mm(3)),
    holeMore: pick(inches(0, 3, 8), mm(10)),
    oneScrew: pick(inches(12), mm(300)),
    screwStep: pick(inches(16), mm(400)),
    pinStep: mm(150),
    hinge: { first: pick(inches(12), mm(300)), step: pick(inches(10), mm(250)) },
    stripPin: { first: pick(inches(24), mm(600)), step: pick(inches(8), mm(200)) },
    gapLeast: pick(inches(0, 1, 16), mm(1.5)),
    keyTravel: pick(inches(0, 1, 8), mm(3)),
    wrapMore: pick(inches(1), mm(25)),
    crossbar: { side: pick(inches(40), mm(1000)), united: pick(inches(60), mm(1500)) },
    shimClear: mm(0.2),
    padding: pick(inches(2), mm(50)),
    roughAllowance: pick(inches(2), mm(50)),
    clipStep: pick(inches(16), mm(400)),
    pairLengths:
      unit === 'in'
        ? Array.from({ length: 36 }, (_, index) => inches(5 + index))
        : Array.from({ length: 9 }, (_, index) => mm(200 + 100 * index)),
    sawtoothOne: pick(inches(12), mm(300)),
    sawtoothDrop: pick(inches(0, 1, 2), mm(12)),
    sawtoothPlate: pick(inches(0, 3, 8), mm(10)),
    sawtoothKg: 1,
    heavyKg: 15,
    valueLimit: 1_000_00,
  };
}
