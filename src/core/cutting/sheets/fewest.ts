/**
 * How many new sheets a few parts need at the least, whatever of the rack is used beside them: one number after the other
 * is tried in every way. The first part still to be made goes with a set that leaves no more than the other sheets could
 * hold at best; what has once been found not to go is not tried again.
 */
import { lowest } from './subsets';

interface Way {
  readonly set: number;
  /** One bit where it is cut from a piece of the rack. */
  readonly rack: number;
}
const MOST_LOOKS = 8_000_000;
/** Areas (mm²) are added up in another order than they are taken off. */
const ROUNDING = 1e-3;

export interface Fewest<W> {
  readonly count: number;
  /** A way for each sheet and piece of the rack, when so many have been found to do. */
  readonly ways: readonly W[] | undefined;
}

/**
 * `ways` are all there are, sets within sets included; `areas` are those of the parts, the largest first; `most` is a
 * number known to do.
 */
export function fewestNewSheets<W extends Way>(
  ways: readonly W[],
  areas: readonly number[],
  racks: number,
  most: number,
  stop: () => boolean,
): Fewest<W> {
  const areaOf = (set: number) => {
    let sum = 0;
    for (let rest = set; rest; rest &= rest - 1) sum += areas[lowest(rest)]!;
    return sum;
  };
  const byFirst: { way: W; area: number }[][] = areas.map(() => []);
  const onNew = new Map<number, W>();
  const holds = Array.from({ length: racks }, () => 0);
  let full = 0;
  for (const way of ways) {
    const area = areaOf(way.set);
    byFirst[lowest(way.set)]!.push({ way, area });
    if (way.rack) holds[lowest(way.rack)] = Math.max(holds[lowest(way.rack)]!, area);
    else {
      onNew.set(way.set, way);
      full = Math.max(full, area);
    }
  }
  for (const list of byFirst) list.sort((a, b) => b.area - a.area);
  const onRack = (used: number) => holds.reduce((sum, area, at) => sum + (used & (1 << at) ? 0 : area), 0);
  const all = 2 ** areas.length - 1;
  const allRacks = 2 ** racks - 1;
  const whole = areaOf(all);

  let looks = 0;
  let given = false;
  const failed = new Set<number>();
  const chosen: W[] = [];
  const goes = (set: number, area: number, used: number, left: number): boolean => {
    if (set === 0) return true;
    const rack = onRack(used) + ROUNDING;
    if (area > left * full + rack) return false;
    if (left === 1 && used === allRacks) {
      const last = onNew.get(set);
      if (last) chosen.push(last);
      return last !== undefined;
    }
    const key = (set * 2 ** racks + used) * 64 + left;
    if (failed.has(key)) return false;
    for (const { way, area: own } of byFirst[lowest(set)]!) {
      if ((looks += 1) % 4096 === 0 && (looks > MOST_LOOKS || stop())) given = true;
      if (given) return false;
      // What this one leaves must go on the others.
      if (area - own > (left - (way.rack ? 0 : 1)) * full + rack - (way.rack ? own : 0)) continue;
      if (way.set & ~set || way.rack & used || (left === 0 && !way.rack)) continue;
      chosen.push(way);
      if (goes(set & ~way.set, area - own, used | way.rack, left - (way.rack ? 0 : 1))) return true;
      chosen.pop();
    }
    failed.add(key);
    return false;
  };
  let count = Math.max(0, Math.ceil((whole - onRack(0)) / full - 1e-9));
  for (; count < most; count += 1) {
    failed.clear();
    chosen.length = 0;
    if (goes(all, whole, 0, count)) return { count, ways: chosen };
    if (given) return { count, ways: undefined };
  }
  return { count: Math.min(count, most), ways: undefined };
}
