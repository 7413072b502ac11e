/**
 * The end of a plan at once: of all sheets that cost little more than their prices the best choice that makes all that is
 * left. What a plan costs above what the linear program says is the sum of what its sheets cost above theirs, so a plan
 * that is little above it has no other sheets.
 */
import type { Solved } from '../linear';
import { type Choosable, MOST_CHOSEN, MOST_RACKS, choose } from './choice';
import type { DenseSheets } from './dense';
import type { CutSheet, SheetTask } from './task';

/** Sheets to choose from, and remainders solved. */
const MOST_SHEETS = 4000;
const MOST_STATES = 2000;

/** A way of cutting in rows of the linear program: the sizes of its parts, then the piece of the rack. */
export interface Way {
  readonly sheet: CutSheet;
  readonly rows: readonly number[];
  readonly values: readonly number[];
}
/** What is left to be made: parts of each size, pieces of the rack. */
export interface Left {
  readonly need: readonly number[];
  readonly racks: readonly number[];
}
interface Close extends Choosable {
  readonly cost: number;
  readonly sheet: () => CutSheet;
}

/** What a way costs above its prices. */
export const above = ({ rows, values, sheet }: Way, duals: Float64Array): number =>
  rows.reduce((sum, row, at) => sum - duals[row]! * values[at]!, sheet.cost);

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
  /** The sources of `left.racks`. */
  racks: readonly number[],
  known: readonly Way[],
  left: Left,
  { duals, value }: Solved,
  ask: (source: number) => number,
  most: number,
  /** How many times the usual work it may be. */
  effort: number,
  stop: () => boolean,
): CutSheet[] | 'none' | undefined {
  const bits: number[][] = [];
  let count = 0;
  for (const need of left.need) bits.push(Array.from({ length: Math.max(0, need) }, () => 2 ** count++));
  if (count > MOST_CHOSEN || racks.length > MOST_RACKS) return undefined;
  const room = most - value;
  const found = dense.within(duals, left.need, ask, room, effort * MOST_SHEETS, stop);
  if (!found) return undefined;

  const ways = new Map<number, Close>();
  const add = (rows: readonly number[], source: number, way: Omit<Close, 'set' | 'rack'>) => {
    const at = racks.indexOf(source);
    if (at >= 0 && left.racks[at]! <= 0) return;
    const rack = at < 0 ? 0 : 2 ** at;
    for (const set of setsOf(rows, bits)) {
      const key = set * 2 ** MOST_RACKS + rack;
      const before = ways.get(key);
      if (before && way.cost >= before.cost) continue;
      ways.set(key, { ...way, set, rack });
    }
  };
  for (const one of found) {
    const { cost, over } = one;
    add(dense.sizesOf(one), one.strips.source, { over: -over, cost, sheet: () => dense.sheetOf(one) });
  }
  for (const way of known) {
    const over = above(way, duals);
    if (over > room) continue;
    const { sheet } = way;
    const rows = way.rows.flatMap((row, at) =>
      row < left.need.length ? Array.from({ length: way.values[at]! }, () => row) : [],
    );
    if (rows.every((row) => bits[row]!.length > 0))
      add(rows, sheet.source, { over, cost: sheet.cost, sheet: () => sheet });
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
