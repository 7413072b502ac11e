/**
 * A frame of metal sections, whatever is in it: bought by pairs, screwed at the corners, never mitred, glued or wedged;
 * what lies in it is pressed forward by spring clips. Source: handbook, builds 12; R30, R75.
 */
import type { Settings } from '../settings';
import type { Frame } from '../sizing/frame';
import { type Length, type Size, minus, size } from '../units/length';
import type { Hardware, LayUp, Loose, Pair } from './build';

/** A length that is kept comes from stock, others are cut to size; the length named is the package (R75). */
export const pairFrom = (side: Length, { pairLengths }: Pick<Settings, 'pairLengths'>): 'stock' | 'cut to size' =>
  pairLengths.includes(side) ? 'stock' : 'cut to size';
/** Two clips a side to 16 in (400 mm), three to 32 in (800 mm), then one more each 16 in. */
export const clipsOnSide = (side: Length, { clipStep }: Pick<Settings, 'clipStep'>): number =>
  Math.max(2, Math.ceil(side / clipStep) + 1);
/** The shortest stocked pair that is long enough; undefined when it must be ordered cut. */
export const stockedPair = (side: Length, { pairLengths }: Pick<Settings, 'pairLengths'>): Length | undefined =>
  pairLengths.find((stocked) => stocked >= side);

/**
 * The size that pairs are named by: of a walled frame what is between the walls; of one that was made to a size the
 * package that it would take with its own allowance, else the package itself (R75).
 */
const pairSides = ({ inside, rabbet }: Frame, allowance: Length): Size | undefined =>
  inside ?? (rabbet && size(minus(rabbet.w, allowance), minus(rabbet.h, allowance)));

const CORNERS = 4;
const pairPart = (name: string, pair: Pair): Loose => ({
  part: 'section',
  name,
  count: 2,
  length: pair.side,
  into: false,
});

/** The lay-up with its frame in sections. */
export function inSections(laid: LayUp, allowance: Length, settings: Settings): LayUp {
  const outer = laid.frames.at(-1);
  if (!outer) return laid;
  const pack = outer.package;
  const sides = pairSides(outer, allowance) ?? pack;
  const clips = 2 * (clipsOnSide(pack.w, settings) + clipsOnSide(pack.h, settings));
  const pairs = [sides.w, sides.h].map((side): Pair => ({ side, from: stockedPair(side, settings) }));
  // Nothing is pinned into metal either (R30).
  const clipped = laid.held !== 'nothing';
  const hardware: Hardware[] = [
    { item: 'corner set', count: CORNERS },
    ...(clipped ? [{ item: 'spring clip', count: clips } as const] : []),
  ];
  return {
    ...laid,
    // What is glued of boards stays so: the base of a tray.
    frames: [...laid.frames.slice(0, -1), { ...outer, legs: outer.legs.filter(({ of }) => of === 'base') }],
    pairs: [pairs[0]!, pairs[1]!],
    loose: [...laid.loose, pairPart('Pair for top and bottom', pairs[0]!), pairPart('Pair for the sides', pairs[1]!)],
    // Springs press it forward; nothing is screwed over it.
    hardware: [
      ...laid.hardware.filter(
        ({ item }) => item !== 'clip' && item !== 'offset clip' && !(laid.held === 'strips' && item === 'pin'),
      ),
      ...hardware,
    ],
    counts: {
      ...laid.counts,
      pairW: pairFrom(sides.w, settings),
      pairH: pairFrom(sides.h, settings),
      cornerSets: CORNERS,
      ...(clipped ? { springClips: clips } : {}),
    },
    held: clipped ? 'clips' : laid.held,
  };
}
