/**
 * The best plan of one material of few parts, and the proof of it. All sets of parts that fit a sheet are listed, with the
 * least that each could cost: its sheet whole, unless a useful offcut fits beside it. A linear program over all of them
 * gives prices of the parts; a set that costs more above its prices than the best plan costs above their sum is in no
 * better plan, and few are left. From these a set that holds the first part still to be made is taken off again and again,
 * each remainder solved once: with what each costs by the best tree known, for the plan, and with the least it could cost,
 * for the bound.
 */
import { toSquareMm } from '../grain';
import { Growing, type Solver } from '../linear';
import { fewestNewSheets } from './fewest';
import { MOST_BITS, Subsets } from './subsets';
import { type CutSheet, type SheetResult, type SheetTask, type Tree, breaks, cutSheet, usefulArea } from './task';

/** Bits of a state beside its set. */
const MOST_RACKS = 6;
/** Remainders solved, and points of sets looked at, in a millisecond, about; so much of the time left each may take. */
const STATES_A_MS = 15;
const POINTS_A_MS = 40_000;
const SHARE = 0.5;
const MOST_MS = 2000;
/** Where turns are counted the work may not depend on the time. */
const COUNTED_MS = 200;
export const MOST_EXACT_PARTS = MOST_BITS - 1;
const MOST_SETS = 200_000;
/** With more pieces a set the work grows too fast. */
const CROWDED = 11;
/** Points looked at in one step. */
const GROW = 40_000;
/** Sets that join the linear program at once. */
const JOINING = 24;
const ROUNDING = 1e-6;
const REACH = 0.01;

interface Way {
  readonly set: number;
  readonly source: number;
  /** One bit where the source is a piece of the rack. */
  readonly rack: number;
  readonly least: number;
  /** What it costs above the prices of its parts. */
  over: number;
  /** What the best tree known costs, once it has been looked at. */
  cost?: number;
}
interface State {
  /** The best cost of what is left, or what it is at least where nothing was found below. */
  readonly cost: number;
  readonly way: Way | undefined;
  readonly found: boolean;
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

const areaOf = (task: SheetTask, part: number): number => {
  const { w, h } = task.parts[part]!;
  return toSquareMm((w - task.kerf) * (h - task.kerf));
};
const lowest = (set: number): number => 31 - Math.clz32(set & -set);

/** Sets, prices, plan, bound: a piece of it at each step. */
export class SheetExact {
  private readonly made: readonly number[];
  private readonly subsets: Subsets | undefined;
  private phase: 'sets' | 'count' | 'prices' | 'plan' | 'bound' | 'over' = 'over';
  private ways: Way[] = [];
  private byFirst: Way[][] = [];
  private program: Growing | undefined;
  private prices: Float64Array;
  private linear = 0;
  /** How many new sheets it needs at the least, and what that says each must cost beside the prices of its parts. */
  private fewest = 0;
  private perNew = 0;
  /** How far above what the prices prove a plan is looked for, as a share of the best one's cost. */
  private reach = REACH;
  private readonly areas: readonly number[];
  private readonly states: number;
  bound = 0;
  /** It came to its end, other than being given up. */
  done = false;

  constructor(
    private readonly task: SheetTask,
    made: readonly number[],
    /** Pieces of the rack that are free. */
    private readonly racks: readonly number[],
    private readonly solver: Solver | undefined,
    /** What is left of the time; Infinity where turns are counted. */
    seconds: number,
  ) {
    const ms = seconds === Infinity ? COUNTED_MS : Math.min(MOST_MS, SHARE * 1000 * seconds);
    this.states = STATES_A_MS * ms;
    // The largest first: few sets hold it.
    this.made = [...made].sort((a, b) => areaOf(task, b) - areaOf(task, a) || a - b);
    this.prices = new Float64Array(made.length + racks.length);
    this.areas = this.made.map((part) => areaOf(task, part));
    const counted = task.sources.every(({ most }) => most === 1 || most === Infinity);
    if (!solver || !counted || racks.length > MOST_RACKS || made.length > MOST_EXACT_PARTS) return;
    const { short, long } = task.minOffcut;
    const offcut = { w: short + task.kerf, h: long + task.kerf, turn: true };
    this.subsets = new Subsets(
      task,
      [...this.made.map((part) => ({ ...task.parts[part]!, turn: task.rotate })), offcut],
      { sets: MOST_SETS, work: POINTS_A_MS * ms, points: CROWDED },
    );
    this.phase = 'sets';
  }
  get over(): boolean {
    return this.phase === 'over';
  }
  /** What the next step takes, about, in milliseconds. */
  get nextMs(): number {
    return this.phase === 'sets' ? 3 : this.phase === 'prices' ? 2 : 30;
  }
  dispose(): void {
    this.phase = 'over';
    this.program?.dispose();
    this.program = undefined;
  }

  step(best: SheetResult, stop: () => boolean): SheetResult | undefined {
    const { task, made, subsets } = this;
    const never = (task.parts.length - made.length) * task.unmadePenalty;
    if (this.phase === 'sets') {
      subsets!.grow(GROW);
      if (subsets!.tooMany) this.dispose();
      else if (subsets!.done) {
        this.list();
        this.phase = 'count';
      }
    } else if (this.phase === 'count') {
      this.phase = 'prices';
      return this.count(best, stop);
    } else if (this.phase === 'prices') this.price(best, best.cost - never, stop);
    else if (this.phase === 'plan') return this.plan(best, never, stop);
    else if (this.phase === 'bound') {
      this.keep(best.cost - never);
      const states = this.solve(({ least }) => least, best.cost - never, stop);
      this.done = states !== undefined;
      if (states) this.bound = Math.min(best.cost, states.get(this.key(2 ** made.length - 1, 0))!.cost + never);
      this.dispose();
    }
    return undefined;
  }

  /**
   * A plan little above what the prices prove needs few ways, and is soon found; when there is none, one a little more
   * above. Once there is one, none is cheaper.
   */
  private plan(best: SheetResult, never: number, stop: () => boolean): SheetResult | undefined {
    const cost = best.cost - never;
    const reached = this.linear + this.reach * cost;
    const most = Math.min(cost - 1e-3, reached);
    this.keep(most);
    const states = this.solve((way) => (way.cost ??= this.costOf(way)), most, stop);
    if (!states) {
      this.dispose();
      return undefined;
    }
    const found = this.read(states);
    if (found || most < reached) this.phase = 'bound';
    this.reach *= 2;
    return found;
  }

  private areaOfSet(set: number): number {
    let sum = 0;
    for (let rest = set; rest; rest &= rest - 1) sum += this.areas[lowest(rest)]!;
    return sum;
  }
  private key(set: number, racks: number): number {
    return set * 2 ** MOST_RACKS + racks;
  }

  /** What each set costs at least: on the cheapest source that is bought, and on each piece of the rack. */
  private list(): void {
    const { task, made, racks } = this;
    const subsets = this.subsets!;
    const offcutBit = 1 << made.length;
    const kinds = new Map<string, number>();
    for (const [index, source] of task.sources.entries())
      if (source.most === Infinity) kinds.set(JSON.stringify([source.w, source.h, source.open]), index);
    for (const set of subsets.sets) {
      if (set & offcutBit) continue;
      const area = this.areaOfSet(set);
      let bought: Way | undefined;
      for (const source of [...kinds.values(), ...racks]) {
        const { w, h, open, rate, most } = task.sources[source]!;
        if (!subsets.within(set, w, h)) continue;
        const keeps = subsets.within(set | offcutBit, w, h);
        const room = toSquareMm((w - task.kerf) * (h - task.kerf));
        const least = keeps ? open - rate * Math.max(0, room - area) : open;
        const rack = most === 1 ? 1 << racks.indexOf(source) : 0;
        if (rack) this.ways.push({ set, source, rack, least, over: 0 });
        else if (!bought || least < bought.least) bought = { set, source, rack, least, over: 0 };
      }
      if (bought) this.ways.push(bought);
    }
  }

  /** The fewest new sheets that hold all parts; a plan of so many, when one has been found. */
  private count(best: SheetResult, stop: () => boolean): SheetResult | undefined {
    const { task, made, racks, ways } = this;
    const isNew = ({ source }: CutSheet) => !racks.includes(source);
    // Some best plan makes every part: each could have a new sheet for itself for less than its penalty.
    const single = new Set(
      ways.flatMap(({ set, rack, least }) => (rack === 0 && least <= task.unmadePenalty ? set : [])),
    );
    const alone = made.every((_, at) => single.has(1 << at));
    const whole = best.unmade.length === task.parts.length - made.length;
    if (!alone || !whole) return undefined;
    const found = fewestNewSheets(ways, this.areas, racks.length, best.sheets.filter(isNew).length, stop);
    this.fewest = found.count;
    const sheets = found.ways?.flatMap((way) => this.sheetOf(way) ?? []);
    return sheets && sheets.length === found.ways!.length ? assemble(task, sheets) : undefined;
  }

  /** One solution of the linear program, and the sets that it lacks. */
  private price(best: SheetResult, cost: number, stop: () => boolean): void {
    const { made, racks, ways, task } = this;
    if (!this.program) {
      this.program = new Growing(this.solver!, [
        ...made.map(() => ({ lower: 1, upper: Infinity })),
        ...racks.map(() => ({ lower: -Infinity, upper: 1 })),
        { lower: this.fewest, upper: Infinity },
      ]);
      for (const at of made.keys()) this.program.add({ cost: task.unmadePenalty, upper: 1, rows: [at], values: [1] });
      const bits = new Map(made.map((part, at) => [part, 2 ** at] as const));
      const sets = new Set(best.sheets.map(({ parts }) => parts.reduce((sum, part) => sum + bits.get(part)!, 0)));
      for (const way of ways) if (sets.has(way.set)) this.join(way);
    }
    const solved = this.program.solve(stop);
    if (!solved) return this.dispose();
    this.prices = solved.duals.slice(0, made.length + racks.length);
    this.perNew = Math.max(0, solved.duals[made.length + racks.length]!);
    const lacking: { way: Way; over: number }[] = [];
    let worst = 0;
    for (const way of ways) {
      const over = this.above(way);
      if (over >= -ROUNDING) continue;
      worst = Math.min(worst, over);
      if (over < worst / 2) lacking.push({ way, over });
    }
    if (lacking.length === 0) {
      this.linear = this.perNew * this.fewest;
      for (const [at, price] of this.prices.entries()) this.linear += at < made.length ? price : Math.min(0, price);
      this.bound = best.cost - cost + this.linear - ROUNDING * made.length;
      for (const way of ways) way.over = this.above(way);
      const room = cost - this.linear + ROUNDING;
      this.ways = ways.filter(({ over }) => over <= room).sort((a, b) => a.over - b.over);
      this.phase = 'plan';
      return;
    }
    lacking.sort((a, b) => a.over - b.over);
    for (const { way } of lacking.slice(0, JOINING)) this.join(way);
  }
  private join({ set, rack, least }: Way): void {
    const rows: number[] = [];
    for (let rest = set; rest; rest &= rest - 1) rows.push(lowest(rest));
    rows.push(this.made.length + (rack ? lowest(rack) : this.racks.length));
    this.program!.add({ cost: least, upper: Infinity, rows, values: rows.map(() => 1) });
  }
  /** What a way costs above the prices of its parts. */
  private above({ set, rack, least }: Way): number {
    let over = least;
    for (let rest = set; rest; rest &= rest - 1) over -= this.prices[lowest(rest)]!;
    return over - (rack ? this.prices[this.made.length + lowest(rack)]! : this.perNew);
  }
  /** The ways that a plan below `cost` may have. */
  private keep(cost: number): void {
    const room = cost - this.linear + ROUNDING;
    this.byFirst = this.made.map(() => []);
    for (const way of this.ways) {
      if (way.over > room) break;
      this.byFirst[lowest(way.set)]!.push(way);
    }
  }
  /** What the prices say of a remainder: it costs no less, whatever of the rack is left, after so many new sheets. */
  private atLeast(set: number, opened: number): number {
    // What is left needs the new sheets that are still missing of the fewest.
    let sum = this.perNew * Math.max(0, this.fewest - opened);
    for (let rest = set; rest; rest &= rest - 1) sum += this.prices[lowest(rest)]!;
    for (let at = this.made.length; at < this.prices.length; at += 1) sum += Math.min(0, this.prices[at]!);
    return sum;
  }

  /** The best cost of each remainder that a plan below `most` may have; undefined when stopped or when there are too many. */
  private solve(costOf: (way: Way) => number, most: number, stop: () => boolean): Map<number, State> | undefined {
    const { task, byFirst } = this;
    const states = new Map<number, State>();
    let ended = false;
    let looks = 0;
    // The cost of a remainder where it is below `room`; otherwise something that is not below it, nor above the truth.
    const visit = (set: number, racks: number, room: number, opened: number): number => {
      if (set === 0) return 0;
      const least = this.atLeast(set, opened);
      if (least >= room) return least;
      const key = this.key(set, racks);
      const known = states.get(key);
      if (known && (known.found || known.cost >= room)) return known.cost;
      if (ended || states.size > this.states || ((looks += 1) % 64 === 0 && stop())) {
        ended = true;
        return Infinity;
      }
      let cost = room;
      let chosen: Way | undefined;
      const consider = (own: number, rest: number, used: number, now: number, way: Way | undefined) => {
        if (own >= cost) return;
        const sum = own + visit(rest, used, cost - own, now);
        if (sum >= cost - ROUNDING) return;
        cost = sum;
        chosen = way;
      };
      for (const way of byFirst[lowest(set)]!) {
        // They come by what they cost above their prices: from here on none can be better.
        if (way.over + least >= cost) break;
        if ((way.set & ~set) === 0 && (way.rack & racks) === 0)
          consider(costOf(way), set & ~way.set, racks | way.rack, opened + (way.rack ? 0 : 1), way);
      }
      // The fewest new sheets are those for all parts.
      consider(task.unmadePenalty, set & (set - 1), racks, Infinity, undefined);
      const found = cost < room;
      states.set(key, { cost, way: chosen, found });
      return cost;
    };
    const whole = 2 ** this.made.length - 1;
    const cost = visit(whole, 0, most, 0);
    if (ended) return undefined;
    if (!states.has(this.key(whole, 0))) states.set(this.key(whole, 0), { cost, way: undefined, found: false });
    return states;
  }

  /** The plan found; undefined when there is none below what was asked for. */
  private read(states: ReadonlyMap<number, State>): SheetResult | undefined {
    const sheets: CutSheet[] = [];
    let [set, racks] = [2 ** this.made.length - 1, 0];
    if (!states.get(this.key(set, racks))!.found) return undefined;
    while (set) {
      const { way } = states.get(this.key(set, racks))!;
      if (way) sheets.push(this.sheetOf(way)!);
      racks |= way?.rack ?? 0;
      set &= way ? ~way.set : set - 1;
    }
    return assemble(this.task, sheets);
  }

  /** What a way costs when its parts stand in a corner; the rest beside and above is what may be useful. */
  private costOf(way: Way): number {
    const { task } = this;
    if (task.minBreak > 0) return this.sheetOf(way)?.cost ?? Infinity;
    const { w, h, open, rate } = task.sources[way.source]!;
    if (way.least === open) return open;
    let useful = 0;
    for (const one of this.subsets!.sizesOf(way.set)) {
      const [restA, restB] = [w - one.w, h - one.h];
      if (restA < 0 || restB < 0) continue;
      const beside = usefulArea(task, restA, h) + usefulArea(task, one.w, restB);
      const above = usefulArea(task, w, restB) + usefulArea(task, restA, one.h);
      useful = Math.max(useful, beside, above);
    }
    return open - rate * useful;
  }
  /** The cheapest tree known for a way, if a blade can make one. */
  private sheetOf({ set, source }: Way): CutSheet | undefined {
    const { task, made } = this;
    const subsets = this.subsets!;
    const { w, h } = task.sources[source]!;
    let best: CutSheet | undefined;
    for (const size of subsets.sizesOf(set)) {
      if (size.w > w || size.h > h) continue;
      const leaf = (index: number, rotated: boolean): Tree => ({ kind: 'part', part: made[index]!, rotated });
      for (const axis of ['x', 'y'] as const) {
        const tree = subsets.tree(set, w, h, size, axis, leaf);
        if (task.minBreak > 0 && !breakable(task, tree, w, h)) continue;
        const one = cutSheet(task, source, tree);
        if (!best || one.cost < best.cost) best = one;
      }
    }
    return best;
  }
}
