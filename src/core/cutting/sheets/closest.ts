/**
 * The end of a plan at once: of all sheets that cost little more than their prices the best choice that makes all that is
 * left. What a plan costs above what the linear program says is the sum of what its sheets cost above theirs, so a plan
 * that is little above it has no other sheets.
 */
import type { Solved } from '../linear';
import { candidates } from './candidates';
import { type Choosable, MOST_CHOSEN, MOST_RACKS, choose } from './choice';
import type { DenseSheets } from './dense';
import type { Left, WayProgram } from './program';
import type { CutSheet, SheetTask } from './task';

/** Sheets to choose from, and remainders solved. */
const MOST_SHEETS = 4000;
const MOST_STATES = 2000;

interface Close extends Choosable {
  readonly cost: number;
  readonly sheet: () => CutSheet;
}

/** Every set that has a part of a row for each time the row is named, as a sum of bits. */
function setsOf(rows: readonly number[], bits: readonly (readonly number[])[]): number[] {
  if (rows.every((row) => bits[row]!.length === 1)) return [rows.reduce((sum, row) => sum + bits[row]![0]!, 0)];
  const times = new Map<number, number>();
  for (const row of rows) times.set(row, (times.get(row) ?? 0) + 1);
  let sets = [0];
  for (const [row, count] of times) {
    const some = sumsOf(bits[row]!, count);
    sets = sets.flatMap((set) => some.map((sum) => set + sum));
  }
  return sets;
}
function sumsOf(bits: readonly number[], count: number): number[] {
  if (count === 0) return [0];
  return bits.flatMap((bit, at) => sumsOf(bits.slice(at + 1), count - 1).map((sum) => sum + bit));
}

/**
 * The sheets that make what is left for less than `most`, 'none' when there are no such sheets among those known,
 * undefined when there are too many to say.
 */
export function closest(
  task: SheetTask,
  dense: DenseSheets,
  program: WayProgram,
  left: Left,
  { duals, value }: Solved,
  ask: (source: number) => number,
  most: number,
  /** How many times the usual work it may be. */
  effort: number,
  stop: () => boolean,
): CutSheet[] | 'none' | undefined {
  const { racks } = program;
  const bits: number[][] = [];
  let count = 0;
  for (const need of left.need) bits.push(Array.from({ length: Math.max(0, need) }, () => 2 ** count++));
  if (count > MOST_CHOSEN || racks.length > MOST_RACKS) return undefined;
  const room = most - value;
  const near = candidates(dense, program, duals, left.need, ask, room, effort * MOST_SHEETS, stop);
  if (!near) return undefined;

  const ways = new Map<number, Close>();
  for (const { sizes, rack: at, over, cost, sheet } of near) {
    if ((at >= 0 && left.racks[at]! <= 0) || sizes.some((size) => bits[size]!.length === 0)) continue;
    const rack = at < 0 ? 0 : 2 ** at;
    for (const set of setsOf(sizes, bits)) {
      const key = set * 2 ** MOST_RACKS + rack;
      const before = ways.get(key);
      if (!before || cost < before.cost) ways.set(key, { set, rack, over, cost, sheet });
    }
  }

  const each = new Float64Array(count + racks.length);
  let at = 0;
  for (const [row, list] of bits.entries()) for (const _ of list) each[at++] = duals[row]!;
  each.set(duals.subarray(left.need.length, left.need.length + racks.length), count);
  const prices = { each, fewest: 0, perNew: 0 };
  const costOf = (way: Close) => way.cost;
  const chosen = choose(
    [...ways.values()],
    count,
    prices,
    task.unmadePenalty,
    costOf,
    most,
    effort * MOST_STATES,
    stop,
  );
  return chosen && (chosen.ways ? chosen.ways.map((way) => way.sheet()) : 'none');
}
