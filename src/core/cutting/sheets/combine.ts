/**
 * Chooses sheets out of many so that every part of a few is cut once at the least cost: the first part still to be made is
 * taken with one of the sheets that hold it, each remainder solved once (dynamic programming over sets, cut short where
 * even the cheapest sheet for its area could not make a remainder worth it).
 */
import type { CutSheet, SheetTask } from './task';

const MOST_STATES = 10_000;
const RACK_BITS = 6;

interface Choice {
  readonly set: number;
  readonly rack: number;
  readonly cost: number;
  readonly sheet: CutSheet;
}

/** `parts` at most 24; `racks` are the pieces of the rack that are free. Undefined when it takes too long or cannot be. */
export function combined(
  task: SheetTask,
  parts: readonly number[],
  racks: readonly number[],
  pool: Iterable<CutSheet>,
  stop: () => boolean,
): CutSheet[] | undefined {
  const place = new Int32Array(task.parts.length).fill(-1);
  for (const [at, part] of parts.entries()) place[part] = at;
  const byFirst: Choice[][] = parts.map(() => []);
  const area = parts.map((part) => task.parts[part]!.w * task.parts[part]!.h);
  let dense = Infinity;
  for (const sheet of pool) {
    let set = 0;
    let held = 0;
    for (const part of sheet.parts) {
      const at = place[part]!;
      if (at < 0) {
        set = 0;
        break;
      }
      set |= 1 << at;
      held += area[at]!;
    }
    if (set === 0) continue;
    let rack = 0;
    if (task.sources[sheet.source]!.most === 1) {
      const at = racks.indexOf(sheet.source);
      if (at < 0 || at >= RACK_BITS) continue;
      rack = 1 << at;
    }
    dense = Math.min(dense, sheet.cost / held);
    byFirst[31 - Math.clz32(set & -set)]!.push({ set, rack, cost: sheet.cost, sheet });
  }
  for (const list of byFirst) list.sort((a, b) => b.set - a.set);
  const left = (set: number) => {
    let sum = 0;
    for (let rest = set; rest; rest &= rest - 1) sum += area[31 - Math.clz32(rest & -rest)]!;
    return sum;
  };
  const states = new Map<number, { cost: number; choice: Choice | undefined }>();
  let ended = false;
  const visit = (set: number, used: number): number => {
    if (set === 0) return 0;
    const key = set * 2 ** RACK_BITS + used;
    const known = states.get(key);
    if (known) return known.cost;
    if (ended || states.size >= MOST_STATES || (states.size % 512 === 511 && stop())) {
      ended = true;
      return Infinity;
    }
    let cost = Infinity;
    let choice: Choice | undefined;
    for (const one of byFirst[31 - Math.clz32(set & -set)]!) {
      if (one.set & ~set || one.rack & used || one.cost >= cost) continue;
      const rest = set & ~one.set;
      if (one.cost + dense * left(rest) >= cost) continue;
      const sum = one.cost + visit(rest, used | one.rack);
      if (sum < cost) {
        cost = sum;
        choice = one;
      }
    }
    states.set(key, { cost, choice });
    return cost;
  };
  const all = 2 ** parts.length - 1;
  if (visit(all, 0) === Infinity || ended) return undefined;
  const chosen: CutSheet[] = [];
  for (let set = all, used = 0; set;) {
    const { choice } = states.get(set * 2 ** RACK_BITS + used)!;
    chosen.push(choice!.sheet);
    set &= ~choice!.set;
    used |= choice!.rack;
  }
  return chosen;
}
