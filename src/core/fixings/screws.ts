/** Screws from behind, and pins through a strip. Source: handbook, depth and hanging, "Screws and pins"; R29, R39. */
import type { Settings } from '../settings';
import { type Length, length, minus, mm, plus, smaller } from '../units/length';

/** A fraction of a length, to the nearest unit, half up. */
const part = (measure: Length, top: number, bottom: number): Length =>
  length(Math.floor((2 * measure * top + bottom) / (2 * bottom)));

export interface Screw {
  readonly atLeast: Length;
  readonly atMost: Length;
  /** The longest stocked one in the range. */
  readonly recommend: Length | undefined;
}
/** `f + u + b/3 ≤ length ≤ f + u + 2b/3`, and never within the clearance of the face. */
export function screwFor(
  floor: Length,
  riser: Length,
  bar: Length,
  settings: Pick<Settings, 'screws' | 'screwClear'>,
): Screw {
  const through = plus(floor, riser);
  const stop = minus(plus(through, bar), settings.screwClear);
  const allowed = (measure: Length) =>
    3 * measure >= 3 * through + bar && 3 * measure <= 3 * through + 2 * bar && measure <= stop;
  return {
    atLeast: plus(through, part(bar, 1, 3)),
    atMost: length(Math.min(through + part(bar, 2, 3), stop)),
    recommend: settings.screws.filter(allowed).at(-1),
  };
}
const BLOCK_LEAST = mm(6);
const BLOCK_CLEAR = mm(3);
/**
 * Into a glued block, which is the riser and nothing more: through the floor, at least 6 mm into the block, at most two
 * thirds of it and never within 3 mm of its end (R70).
 */
export function screwForBlock(floor: Length, block: Length, { screws }: Pick<Settings, 'screws'>): Screw {
  const atLeast = plus(floor, BLOCK_LEAST);
  const atMost = plus(floor, smaller(part(block, 2, 3), minus(block, BLOCK_CLEAR)));
  return { atLeast, atMost, recommend: screws.filter((one) => one >= atLeast && one <= atMost).at(-1) };
}
/** What is wrong with a screw of this length: its point comes too near the face, or it holds too little. */
export function screwWrong(
  screw: Length,
  floor: Length,
  riser: Length,
  bar: Length,
  clear: Length,
): 'screw-through' | 'screw-short' | undefined {
  const through = plus(floor, riser);
  if (plus(through, bar) - screw < clear) return 'screw-through';
  return 3 * screw < 3 * through + bar ? 'screw-short' : undefined;
}

/** One up to 12 in (300 mm), else one each 16 in (400 mm) and at least two. */
export const screwsOnSide = (
  side: Length,
  { oneScrew, screwStep }: Pick<Settings, 'oneScrew' | 'screwStep'>,
): number => (side <= oneScrew ? 1 : Math.max(2, Math.ceil(side / screwStep)));

/** Riser blocks a side: one up to 16 in (400 mm), else one each 16 in begun and at least two (R78). */
export const blocksOnSide = (side: Length, { screwStep }: Pick<Settings, 'screwStep'>): number =>
  side <= screwStep ? 1 : Math.max(2, Math.ceil(side / screwStep));

/** The shank and the holes of a screw by its gauge. Source: handbook, depth and hanging, "Screws and pins"; fixings, "Hangers". */
export const HOLES = {
  '#4': { shank: mm(2.9), clearance: mm(3.0), pilot: mm(1.6) },
  '#6': { shank: mm(3.5), clearance: mm(3.6), pilot: mm(2.0) },
  '#8': { shank: mm(4.2), clearance: mm(4.3), pilot: mm(2.8) },
} as const;
export type Gauge = keyof typeof HOLES;
export const USUAL_GAUGE = '#6';

/** Pins through a spacer strip into the rabbet's wall. */
export function pinsThrough(strip: Length, wall: Length, stripLength: Length, settings: Pick<Settings, 'pinStep'>) {
  return {
    atLeast: plus(strip, part(wall, 1, 3)),
    atMost: plus(strip, part(wall, 2, 3)),
    count: Math.max(3, Math.ceil(stripLength / settings.pinStep)),
  };
}
