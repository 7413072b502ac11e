/** Braces over the corners, bumpers on the lower rail, and what the wood beside the rabbet lets hold a package. Source: handbook, fixings. */
import { type Length, type Unit, minus, mm } from '../units/length';
import { type Hole, screwInto } from './hangers';
import type { Rail } from './rail';

const BRACE_WIDTHS = [16, 12, 10].map(mm);
/** What of the wood a brace leaves free, both sides together. */
const BRACE_LEAST = mm(1);
export interface Brace {
  readonly width: Length;
  /** What of the wood it leaves free, half of it outside and half inside. */
  readonly free: Length;
}
/** The widest plate that lies wholly on the wood, its legs no longer than the `room` from the corner. */
export function braceOn({ solid }: Pick<Rail, 'solid'>, room?: Length): Brace | undefined {
  const width = BRACE_WIDTHS.find(
    (one) => one <= minus(solid, BRACE_LEAST) && (room === undefined || braceLeg(one) <= room),
  );
  return width === undefined ? undefined : { width, free: minus(solid, width) };
}

/** Legs by width. */
const BRACE_LEGS = new Map([
  [mm(16), mm(60)],
  [mm(12), mm(40)],
  [mm(10), mm(25)],
]);
export const braceLeg = (width: Length): Length => BRACE_LEGS.get(width) ?? mm(25);
/** Two in each leg. */
export const BRACE_SCREWS = 4;
const BRACE_THREAD = { gauge: '#4', thread: mm(8) } as const;
/** The screw of a brace; undefined where the wood is too thin for one. */
export const braceHole = ({ depth }: Pick<Rail, 'depth'>, unit: Unit): Hole | undefined =>
  screwInto(depth, BRACE_THREAD, unit);

/** A wedge wants so much wood across the mitre. */
export const WEDGE_LEAST = mm(8);

export const USUAL_BUMPER = mm(10);
const BUMPERS = [
  [USUAL_BUMPER, mm(11)],
  [mm(8), mm(9)],
] as const;
/** How wide a bumper can be, that stands in the middle of the wood. */
export const bumperOn = ({ solid }: Pick<Rail, 'solid'>): Length | undefined =>
  BUMPERS.find(([, least]) => solid >= least)?.[0];

export type Hold = 'points' | 'points by hand' | 'refused';
const POINTS_LEAST = mm(8);
const BY_HAND_LEAST = mm(5);
/** How points may go into the wall of a rabbet: by a tool, by hand with the rail held against it, or not at all. */
export const holdOf = ({ solid }: Pick<Rail, 'solid'>): Hold =>
  solid >= POINTS_LEAST ? 'points' : solid >= BY_HAND_LEAST ? 'points by hand' : 'refused';
