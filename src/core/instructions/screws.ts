/** Screws from behind, in figures: what several builds say alike. */
import { HOLES, USUAL_GAUGE } from '../fixings/screws';
import type { Length } from '../units/length';
import { type Line, line } from './line';

/** Screws from behind: how many, how long, what they go through, where the drill stops. */
export function screwLines({
  count,
  length: long,
  floor,
  stop,
  clearance,
  blocks = false,
}: {
  count: number;
  length?: Length | undefined;
  floor?: Length | undefined;
  stop?: Length | undefined;
  /** A hole wider than the screw asks for, with its washer. */
  clearance?: Length | undefined;
  /** Through the middle of a block each. */
  blocks?: boolean;
}): Line[] {
  const hole = HOLES[USUAL_GAUGE];
  return [
    line('screws-behind', {
      count,
      length: long ?? 0,
      floor: floor ?? 0,
      gauge: USUAL_GAUGE,
      clearance: clearance ?? hole.clearance,
      pilot: hole.pilot,
      through: blocks ? 'blocks' : 'floor',
      stop: stop ?? 0,
    }),
  ];
}
