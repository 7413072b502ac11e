/** Screws from behind, in figures: what several builds say alike. */
import { HOLES, USUAL_GAUGE } from '../parts/screws';
import { type Length, length } from '../units/length';
import { type Line, line } from './line';

/** Screws from behind: how many, how long, what they go through, where the drill stops. */
export function screwLines({
  count,
  length: long,
  floor,
  stop,
}: {
  count: number;
  length?: Length | undefined;
  floor?: Length | undefined;
  stop?: Length | undefined;
}): Line[] {
  const [clearance, pilot] = HOLES[USUAL_GAUGE];
  return [
    line('screws-behind', {
      count,
      length: long ?? 0,
      floor: floor ?? 0,
      gauge: USUAL_GAUGE,
      clearance: length(Math.round(clearance * 320)),
      pilot: length(Math.round(pilot * 320)),
      stop: stop ?? 0,
    }),
  ];
}
