/**
 * Hangers in a rail: how far in they stand, which screw holds them, how deep its hole goes. Source: handbook, fixings,
 * "Hangers"; R79.
 */
import { type Length, type Unit, halve, inches, minus, mm, plus } from '../units/length';
import { FACE_CLEAR, type Rail, edgeOf } from './rail';
import { type Gauge, HOLES } from './screws';

/** Which hangers a job has where none were chosen: sections have a channel for them. */
export const fittingOf = <F extends string>(chosen: F | undefined, sections: boolean): F | 'channel' | 'd-ring' =>
  chosen ?? (sections ? 'channel' : 'd-ring');

interface HangerRule {
  /** Kilograms. */
  readonly upTo: number;
  readonly gauge: Gauge;
  /** Each. */
  readonly screws: number;
  /** In the wood, at least. */
  readonly thread: Length;
}
/** Lightest first. A shop's own table, and the maker's word, go before it. */
export const HANGER_RULES: readonly HangerRule[] = [
  { upTo: 5, gauge: '#4', screws: 1, thread: mm(8) },
  { upTo: 10, gauge: '#6', screws: 1, thread: mm(10) },
  { upTo: 20, gauge: '#6', screws: 2, thread: mm(12) },
  { upTo: 50, gauge: '#8', screws: 2, thread: mm(16) },
];
/** Screw eyes are turned in by hand: their own shank. */
const SCREW_EYE: Omit<HangerRule, 'upTo'> = { gauge: '#6', screws: 1, thread: mm(10) };

/** Screws for hangers that are kept, by the shop's unit. */
export const HANGER_SCREWS: Readonly<Record<Unit, readonly Length[]>> = {
  in: [
    inches(0, 1, 4),
    inches(0, 3, 8),
    inches(0, 1, 2),
    inches(0, 5, 8),
    inches(0, 3, 4),
    inches(1),
    inches(1, 1, 4),
    inches(1, 1, 2),
  ],
  mm: [6, 8, 10, 12, 16, 20, 25, 30].map(mm),
};
/** What a hanger's plate takes of a screw. */
const PLATE = mm(1);

/** The drill stops where the screw's point comes to lie. */
export const stopOf = (screw: Length): Length => minus(screw, PLATE);
export interface Hole {
  readonly gauge: Gauge;
  readonly length: Length;
  readonly pilot: Length;
  /** The drill goes in so far and no further. */
  readonly stop: Length;
}
/** The shortest screw whose thread holds and whose point stays off the face; undefined where none does both. */
export function screwInto(
  depth: Length,
  { gauge, thread }: Pick<HangerRule, 'gauge' | 'thread'>,
  unit: Unit,
): Hole | undefined {
  const longest = plus(minus(depth, FACE_CLEAR), PLATE);
  const found = HANGER_SCREWS[unit].find((one) => minus(one, PLATE) >= thread && one <= longest);
  return found && { gauge, length: found, pilot: HOLES[gauge].pilot, stop: stopOf(found) };
}

/**
 * Twice as far as a hanger stands from the outside edge, which is exact: half the face, else the middle of the wood;
 * undefined where the wood is too narrow for its screw.
 */
export function insetsIn({ solid, face }: Rail, gauge: Gauge): Length | undefined {
  const edge = edgeOf(HOLES[gauge].shank);
  if (face >= 2 * edge && face <= 2 * (solid - edge)) return face;
  return solid < 2 * edge ? undefined : solid;
}

export interface HangerFixing {
  /** How far both hangers together stand in from the outside. */
  readonly insets: Length;
  readonly gauge: Gauge;
  /** Screws each. */
  readonly screws: number;
  /** Undefined where the wood is wide enough for the hanger and too thin for its screw. */
  readonly hole: Hole | undefined;
}
/** A sawtooth's plate, whose two holes lie in its middle: `drop` below the top its teeth catch, the plate above them. */
export const sawtoothMiddle = (drop: Length, plate: Length): Length => minus(drop, halve(plate)[0]);
/** How far apart the holes of a plate are. */
export const SAWTOOTH_HOLES = mm(40);
export interface Plate {
  readonly drop: Length;
  readonly plate: Length;
}
/** Two screws a plate, into the top rail; undefined where the plate does not lie wholly on it. */
export function sawtoothFixing(rail: Rail, { drop, plate }: Plate, kg: number, unit: Unit): HangerFixing | undefined {
  const lies = plate <= drop && drop <= rail.solid;
  const rule = lies ? HANGER_RULES.find(({ upTo }) => kg <= upTo) : undefined;
  const hole = rule && screwInto(rail.depth, rule, unit);
  return rule && hole ? { insets: rail.solid, gauge: rule.gauge, screws: 2, hole } : undefined;
}

/** How a hanger rated `kg` is fixed to a rail; undefined where the wood is too narrow, or nothing is rated so high. */
export function hangerFixing(rail: Rail, kg: number, unit: Unit, eye = false): HangerFixing | undefined {
  const rule = eye ? SCREW_EYE : HANGER_RULES.find(({ upTo }) => kg <= upTo);
  const insets = rule && insetsIn(rail, rule.gauge);
  if (!rule || insets === undefined) return undefined;
  return { insets, gauge: rule.gauge, screws: rule.screws, hole: screwInto(rail.depth, rule, unit) };
}
