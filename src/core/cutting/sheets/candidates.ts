/** Sheets that cost little above their prices: dense ones, and ways that are known. */
import type { DenseSheets } from './dense';
import { type WayProgram, above } from './program';
import type { CutSheet } from './task';

/** A sheet in sizes: one for each of its parts. */
export interface Candidate {
  readonly sizes: readonly number[];
  /** The piece of the rack it is cut from, or less than 0. */
  readonly rack: number;
  readonly cost: number;
  /** What it costs above its prices. */
  readonly over: number;
  readonly sheet: () => CutSheet;
}

/** All that cost no more than `room` above their prices; undefined where more than `most` are dense. */
export function candidates(
  dense: DenseSheets,
  program: WayProgram,
  duals: Float64Array,
  need: readonly number[],
  ask: (source: number) => number,
  room: number,
  most: number,
  stop: () => boolean,
): Candidate[] | undefined {
  const found = dense.within(duals, need, ask, room, most, stop);
  if (!found) return undefined;
  const list: Candidate[] = found.map((one) => ({
    sizes: dense.sizesOf(one),
    rack: program.racks.indexOf(one.strips.source),
    cost: one.cost,
    over: -one.over,
    sheet: () => dense.sheetOf(one),
  }));
  return [...list, ...knownCandidates(program, duals, room)];
}
/** Those of the ways that are known. */
export function knownCandidates(program: WayProgram, duals: Float64Array, room: number): Candidate[] {
  return program.ways.flatMap((way): Candidate[] => {
    const over = above(way, duals);
    if (over > room) return [];
    const { sheet } = way;
    const rack = program.racks.indexOf(sheet.source);
    return [{ sizes: program.sizes(way), rack, cost: sheet.cost, over, sheet: () => sheet }];
  });
}
