/**
 * All ways to cut a sheet of few parts: every set that fits, on the cheapest source that is bought and on each piece of the
 * rack. What a way costs is first told from below, its useful offcut as large as all that is left over; looking at it
 * closer finds what is really left.
 */
import type { Choosable } from './choice';
import { Rests } from './rests';
import { Strips } from './strips';
import { type SubsetLimits, Subsets, lowest } from './subsets';
import { type CutSheet, type SheetResult, type SheetTask, type Tree, areaOf, breakable, cutSheet } from './task';

export interface Way extends Choosable {
  /** Of the set, among all sets. */
  readonly place: number;
  source: number;
  /** What it costs at least. */
  least: number;
  /** `least` has been looked at closer. */
  looked: boolean;
  over: number;
  /** What the best tree known costs, once it has been asked for. */
  cost?: number;
}

/** Each part stays in the first of the chosen sheets that holds it; from the others it is left out. */
function without(tree: Tree, gone: ReadonlySet<number>): Tree {
  if (tree.kind === 'part') return gone.has(tree.part) ? { kind: 'left' } : tree;
  if (tree.kind === 'left') return tree;
  return { ...tree, first: without(tree.first, gone), rest: without(tree.rest, gone) };
}
/** The chosen sheets, each part cut once. */
export function assemble(task: SheetTask, sheets: readonly CutSheet[]): SheetResult {
  const made = new Set<number>();
  const all: CutSheet[] = [];
  for (const sheet of sheets) {
    const gone = new Set(sheet.parts.filter((part) => made.has(part)));
    const one = gone.size > 0 ? cutSheet(task, sheet.source, without(sheet.tree, gone)) : sheet;
    if (one.parts.length === 0) continue;
    for (const part of one.parts) made.add(part);
    all.push(one);
  }
  const unmade = task.parts.map((_, part) => part).filter((part) => !made.has(part));
  return { sheets: all, unmade, cost: NaN };
}

/** Ways to arrange a set that are looked at for the cheapest. */
const MOST_TREES = 24;
/** Pairs looked at for strips, for the points of sets. */
const STRIPS_SHARE = 0.5;

export class Ways {
  private readonly subsets: Subsets;
  /** Where a blade must be able to break each strip off. */
  private readonly strips: Strips | undefined;
  private readonly rests: Rests;
  private readonly areas: readonly number[];
  /** What can be bought, one source of each kind. */
  private readonly bought: readonly number[];
  list: Way[] = [];

  constructor(
    private readonly task: SheetTask,
    /** The parts of a set's bits. */
    private readonly made: readonly number[],
    private readonly racks: readonly number[],
    limits: SubsetLimits,
  ) {
    const { short, long } = task.minOffcut;
    const offcut = { w: short + task.kerf, h: long + task.kerf, turn: true };
    const sizes = [...made.map((part) => ({ ...task.parts[part]!, turn: task.rotate })), offcut];
    this.subsets = new Subsets(task, sizes, limits);
    this.rests = new Rests(task, this.subsets, sizes);
    if (task.minBreak > 0 && task.kerf === 0) this.strips = new Strips(task, sizes, STRIPS_SHARE * limits.work);
    this.areas = made.map((part) => areaOf(task, task.parts[part]!));
    const kinds = new Map<string, number>();
    for (const [index, source] of task.sources.entries())
      if (source.most === Infinity) kinds.set(JSON.stringify([source.w, source.h, source.open]), index);
    this.bought = [...kinds.values()];
  }
  get tooMany(): boolean {
    return this.subsets.tooMany;
  }
  /** A piece of listing; true when all are there. */
  grow(work: number): boolean {
    const { subsets, racks } = this;
    subsets.grow(work);
    if (subsets.tooMany || !subsets.done) return false;
    const offcutBit = 1 << this.made.length;
    for (const [place, set] of subsets.sets.entries()) {
      if (set & offcutBit) continue;
      const add = (source: number, rack: number, least: number) =>
        this.list.push({ set, place, source, rack, least, looked: false, over: 0 });
      let least = Infinity;
      for (const source of this.bought) least = Math.min(least, this.atLeast(set, source));
      if (least < Infinity) add(this.bought[0]!, 0, least);
      for (const [at, source] of racks.entries()) {
        const cost = this.atLeast(set, source);
        if (cost < Infinity) add(source, 1 << at, cost);
      }
    }
    return true;
  }

  /** What the parts of each set come to by price, at the set's place. */
  sums(prices: ArrayLike<number>): Float64Array {
    const { sets } = this.subsets;
    const found = new Float64Array(sets.length);
    for (let at = 0; at < sets.length; at += 1) {
      const set = sets[at]!;
      const last = lowest(set);
      // The set without one of its parts came before it.
      found[at] = (prices[last] ?? 0) + (set & (set - 1) ? found[this.subsets.placeOf(set & (set - 1))]! : 0);
    }
    return found;
  }

  private atLeast(set: number, source: number): number {
    const { task, subsets } = this;
    const { w, h, open, rate } = task.sources[source]!;
    if (!subsets.within(set, w, h)) return Infinity;
    if (!subsets.within(set | (1 << this.made.length), w, h)) return open;
    let left = areaOf(task, { w, h });
    for (let rest = set; rest; rest &= rest - 1) left -= this.areas[lowest(rest)]!;
    return open - rate * Math.max(0, left);
  }

  /** Looks at a way closer: what it really costs, Infinity where no blade can cut it; and on which source it is bought. */
  look(way: Way): void {
    if (way.looked || this.short) return;
    way.looked = true;
    const { task, rests, strips } = this;
    let least = Infinity;
    for (const source of this.sourcesOf(way)) {
      const { w, h, open, rate } = task.sources[source]!;
      const can = this.breaks(way.set, w, h);
      if (can === false) continue;
      let cost = rests.able ? open - rate * rests.atMost(way.set, w, h) : this.atLeast(way.set, source);
      const keeps = !strips || !rests.able || cost === open || strips.within(way.set | (1 << this.made.length), w, h);
      if (keeps === false) cost = open;
      way.looked &&= can !== undefined && keeps !== undefined;
      if (cost >= least) continue;
      least = cost;
      way.source = source;
    }
    way.over += least - way.least;
    way.least = least;
  }

  /** Whether a blade can cut a set from w × h; undefined when that is not known yet. */
  private breaks(set: number, w: number, h: number): boolean | undefined {
    const { strips, task } = this;
    if (!strips) return true;
    // Most sets come apart as they would if no strip were too narrow.
    const leaf = (): Tree => ({ kind: 'left' });
    return this.tight(set, w, h, leaf).some((tree) => breakable(task, tree, w, h)) || strips.within(set, w, h);
  }
  /** Trees of the smallest pieces that a set can be cut from. */
  private tight(set: number, w: number, h: number, leaf: (index: number, rotated: boolean) => Tree): Tree[] {
    const { subsets } = this;
    const within = subsets.sizesOf(set).filter((size) => size.w <= w && size.h <= h);
    return within.flatMap((size) => (['x', 'y'] as const).map((axis) => subsets.tree(set, w, h, size, axis, leaf)));
  }
  /** Lets what comes next look at so much of how strips come off. */
  allow(pairs: number): void {
    this.strips?.allow(pairs);
  }
  /** Not all that was asked since could be looked at. */
  get short(): boolean {
    return this.strips?.short ?? false;
  }

  leastOf(way: Way): number {
    this.look(way);
    return way.least;
  }
  /** What the best tree known for a way costs; Infinity when a blade can make none. */
  costOf(way: Way): number {
    this.look(way);
    if (way.least === Infinity || !way.looked) return Infinity;
    return (way.cost ??= this.priceOf(way));
  }

  private priceOf(way: Way): number {
    const { task, rests } = this;
    if (!rests.able || task.minBreak > 0) return this.sheetOf(way)?.cost ?? Infinity;
    let [least, price] = [Infinity, Infinity];
    for (const source of this.sourcesOf(way)) {
      const { w, h, open, rate } = task.sources[source]!;
      const { value, limit } = rests.most(way.set, w, h);
      least = Math.min(least, open - rate * limit);
      if (open - rate * value >= price) continue;
      price = open - rate * value;
      way.source = source;
    }
    way.over += Math.max(0, least - way.least);
    way.least = Math.max(way.least, least);
    return price;
  }
  /** Where a way may be cut from. */
  private sourcesOf({ set, rack, source }: Way): number[] {
    const { sources } = this.task;
    return (rack ? [source] : this.bought).filter((one) => this.subsets.within(set, sources[one]!.w, sources[one]!.h));
  }

  /** The cheapest tree known for a way, if a blade can make one. */
  sheetOf(way: Way): CutSheet | undefined {
    this.look(way);
    const { task, made, rests, strips } = this;
    const { set, source } = way;
    const { w, h } = task.sources[source]!;
    const leaf = (index: number, rotated: boolean): Tree => ({ kind: 'part', part: made[index]!, rotated });
    if (rests.able) {
      const tree = rests.tree(set, w, h, leaf);
      if (task.minBreak === 0 || breakable(task, tree, w, h)) return cutSheet(task, source, tree);
    }
    let best: CutSheet | undefined;
    for (const tree of [
      ...this.tight(set, w, h, leaf),
      ...(strips?.trees(set, w, h, MOST_TREES, leaf) ?? []),
      ...((rests.able && strips?.trees(set | (1 << made.length), w, h, MOST_TREES, leaf)) || []),
    ]) {
      if (task.minBreak > 0 && !breakable(task, tree, w, h)) continue;
      const one = cutSheet(task, source, tree);
      if (!best || one.cost < best.cost) best = one;
    }
    return best;
  }
}
