/**
 * The best plan of one material of few parts, and the proof of it. All sets of parts that fit a sheet are listed, then a
 * set that holds the first part still to be made is taken off again and again, each remainder solved once (dynamic
 * programming over sets). Done twice: with what each set costs by the best tree known, for the plan; and with the least it
 * could cost, for the bound. A set costs its sheet whole unless a useful offcut fits beside it.
 */
import { toSquareMm } from '../grain';
import { MOST_BITS, type SubsetLimits, Subsets } from './subsets';
import { type CutSheet, type SheetResult, type SheetTask, type Tree, breaks, cutSheet } from './task';

/** Bits of a state beside its set. */
const MOST_RACKS = 6;
const MOST_STATES = 300_000;
export const MOST_EXACT_PARTS = 20;
/** All sets of a whole material, for the proof. */
const ALL: SubsetLimits = { sets: 16_000, work: 20_000_000, slack: Infinity };

interface Way {
  readonly set: number;
  /** One bit where the source is a piece of the rack. */
  readonly rack: number;
  readonly sheet: CutSheet | undefined;
  readonly cost: number;
  readonly least: number;
}
interface State {
  readonly cost: number;
  readonly way: Way | undefined;
}

/** Each part stays in the first of the chosen sheets that holds it; from the others it is left out. */
function without(tree: Tree, gone: ReadonlySet<number>): Tree {
  if (tree.kind === 'part') return gone.has(tree.part) ? { kind: 'left' } : tree;
  if (tree.kind === 'left') return tree;
  return { ...tree, first: without(tree.first, gone), rest: without(tree.rest, gone) };
}
/** The chosen sheets, each part cut once. */
function assemble(task: SheetTask, sheets: readonly CutSheet[]): SheetResult {
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

/** Whether a blade can make the cuts of a tree. */
function breakable(task: SheetTask, tree: Tree, w: number, h: number): boolean {
  if (tree.kind !== 'cut') return true;
  const side = tree.axis === 'x' ? w : h;
  if (!breaks(task, tree.at, side - tree.at)) return false;
  return tree.axis === 'x'
    ? breakable(task, tree.first, tree.at, h) && breakable(task, tree.rest, w - tree.at, h)
    : breakable(task, tree.first, w, tree.at) && breakable(task, tree.rest, w, h - tree.at);
}

/** Sets, plan, bound: a piece of it at each step. */
export class SheetExact {
  private readonly subsets: Subsets;
  private phase: 'sets' | 'plan' | 'bound' | 'over' = 'sets';
  private readonly byFirst: Way[][];
  private readonly racks: readonly number[];
  bound = 0;

  constructor(
    private readonly task: SheetTask,
    private readonly made: readonly number[],
    /** Pieces of the rack that are free. */
    racks: readonly number[],
    limits = ALL,
  ) {
    const { short, long } = task.minOffcut;
    const offcut = { w: short + task.kerf, h: long + task.kerf, turn: true };
    this.subsets = new Subsets(
      task,
      [...made.map((part) => ({ ...task.parts[part]!, turn: task.rotate })), offcut],
      limits,
    );
    this.byFirst = made.map(() => []);
    this.racks = racks;
    const counted = task.sources.every(({ most }) => most === 1 || most === Infinity);
    if (!counted || racks.length > MOST_RACKS || made.length >= MOST_BITS) this.phase = 'over';
  }
  get over(): boolean {
    return this.phase === 'over';
  }

  step(best: SheetResult, stop: () => boolean): SheetResult | undefined {
    const { task, made, subsets } = this;
    const never = (task.parts.length - made.length) * task.unmadePenalty;
    if (this.phase === 'sets') {
      subsets.grow(stop);
      if (subsets.tooMany) this.phase = 'over';
      else if (subsets.done) {
        this.list();
        this.phase = 'plan';
      }
      return undefined;
    }
    const states = this.solve(this.phase === 'plan' ? (way) => way.cost : (way) => way.least, stop);
    if (!states) {
      this.phase = 'over';
      return undefined;
    }
    const cost = states.get(this.key(2 ** made.length - 1, 0))!.cost + never;
    if (this.phase === 'plan') {
      this.phase = 'bound';
      return cost < best.cost - 1e-3 ? this.read(states) : undefined;
    }
    this.phase = 'over';
    this.bound = Math.min(best.cost, cost);
    return undefined;
  }

  private areaOf(part: number): number {
    const { w, h } = this.task.parts[part]!;
    return toSquareMm((w - this.task.kerf) * (h - this.task.kerf));
  }
  private areaOfSet(set: number, areas: readonly number[]): number {
    let sum = 0;
    for (let rest = set; rest; rest &= rest - 1) sum += areas[31 - Math.clz32(rest & -rest)]!;
    return sum;
  }
  private key(set: number, racks: number): number {
    return set * 2 ** MOST_RACKS + racks;
  }

  /** The best cost of each remainder; undefined when stopped or when there are too many. */
  private solve(costOf: (way: Way) => number, stop: () => boolean): Map<number, State> | undefined {
    const { task, byFirst } = this;
    const states = new Map<number, State>();
    // No set costs less for its area than the best of them.
    const areas = this.made.map((part) => this.areaOf(part));
    const dense = Math.min(...byFirst.flat().map((way) => costOf(way) / this.areaOfSet(way.set, areas)), Infinity);
    let ended = false;
    let looks = 0;
    const visit = (set: number, racks: number): number => {
      if (set === 0) return 0;
      const key = this.key(set, racks);
      const known = states.get(key);
      if (known) return known.cost;
      if (ended || states.size > MOST_STATES || ((looks += 1) % 64 === 0 && stop())) {
        ended = true;
        return 0;
      }
      const first = 31 - Math.clz32(set & -set);
      let cost = task.unmadePenalty + visit(set & (set - 1), racks);
      let chosen: Way | undefined;
      for (const way of byFirst[first]!) {
        if (way.set & ~set || way.rack & racks || costOf(way) >= cost) continue;
        if (costOf(way) + dense * this.areaOfSet(set & ~way.set, areas) >= cost) continue;
        const sum = costOf(way) + visit(set & ~way.set, racks | way.rack);
        if (sum < cost) {
          cost = sum;
          chosen = way;
        }
      }
      states.set(key, { cost, way: chosen });
      return cost;
    };
    visit(2 ** this.made.length - 1, 0);
    return ended ? undefined : states;
  }

  private read(states: ReadonlyMap<number, State>): SheetResult {
    const sheets: CutSheet[] = [];
    let [set, racks] = [2 ** this.made.length - 1, 0];
    while (set) {
      const { way } = states.get(this.key(set, racks))!;
      if (way) sheets.push(way.sheet!);
      racks |= way?.rack ?? 0;
      set &= way ? ~way.set : set - 1;
    }
    return assemble(this.task, sheets);
  }

  /** What each set costs: on the cheapest source that is bought, and on each piece of the rack. */
  private list(): void {
    const { task, made, subsets, racks } = this;
    const offcutBit = 1 << made.length;
    const kinds = new Map<string, number>();
    for (const [index, source] of task.sources.entries())
      if (source.most === Infinity) kinds.set(JSON.stringify([source.w, source.h, source.open]), index);
    for (const [set, { sizes }] of subsets.pieces) {
      if (set & offcutBit) continue;
      const parts = made.filter((_, at) => set & (1 << at));
      const area = parts.reduce((sum, part) => sum + this.areaOf(part), 0);
      const withOffcut = subsets.pieces.get(set | offcutBit)?.sizes;
      const first = 31 - Math.clz32(set & -set);
      let bought: Way | undefined;
      for (const source of [...kinds.values(), ...racks]) {
        const one = this.way(set, sizes, source, area, withOffcut);
        if (!one) continue;
        if (one.rack) this.byFirst[first]!.push(one);
        else if (!bought) bought = one;
        else
          bought = {
            ...(one.cost < bought.cost ? one : bought),
            least: Math.min(one.least, bought.least),
          };
      }
      if (bought) this.byFirst[first]!.push(bought);
    }
    for (const ways of this.byFirst) ways.sort((a, b) => b.set - a.set);
  }

  private way(
    set: number,
    sizes: Int32Array,
    source: number,
    area: number,
    withOffcut: Int32Array | undefined,
  ): Way | undefined {
    const { task, made, subsets } = this;
    const { w, h, open, rate, most } = task.sources[source]!;
    const inside = (list: Int32Array, at: number) => list[at]! <= w && list[at + 1]! <= h;
    let sheet: CutSheet | undefined;
    let possible = false;
    for (let at = 0; at < sizes.length; at += 2) {
      if (!inside(sizes, at)) continue;
      possible = true;
      const tree = subsets.tree(set, at >> 1, w, h, (index, rotated) => ({
        kind: 'part',
        part: made[index]!,
        rotated,
      }));
      if (task.minBreak > 0 && !breakable(task, tree, w, h)) continue;
      const one = cutSheet(task, source, tree);
      if (!sheet || one.cost < sheet.cost) sheet = one;
    }
    if (!possible) return undefined;
    let keeps = false;
    for (let at = 0; withOffcut && at < withOffcut.length; at += 2) keeps ||= inside(withOffcut, at);
    const room = toSquareMm((w - task.kerf) * (h - task.kerf));
    const least = keeps ? open - rate * Math.max(0, room - area) : open;
    return {
      set,
      rack: most === 1 ? 1 << this.racks.indexOf(source) : 0,
      sheet,
      cost: sheet?.cost ?? Infinity,
      least: Math.min(least, sheet?.cost ?? least),
    };
  }
}
