/**
 * The best plan of one material of few parts, and the proof of it. All ways to cut a sheet are listed with the least that
 * each could cost. A linear program over all of them gives prices of the parts; a way that costs more above its prices
 * than the best plan costs above their sum is in no better plan, and few are left to choose from. Ways are looked at closer
 * only where it matters. Where a blade must be able to break each strip off, the plan is chosen by what can be cut and the
 * bound by what costs least.
 */
import { Growing, type Solver } from '../linear';
import { MOST_RACKS, type Prices, choose } from './choice';
import { fewestNewSheets } from './fewest';
import { chooseWhole } from './integer';
import { lowest } from './subsets';
import { type CutSheet, type SheetResult, type SheetTask, areaOf } from './task';
import { type Way, Ways, assemble } from './ways';

/** Remainders solved, and points of sets looked at, in a millisecond, about; so much of the time left each may take. */
const STATES_A_MS = 15;
const POINTS_A_MS = 50_000;
const SHARE = 0.5;
const MOST_MS = 2000;
/** What so many parts take, about, in milliseconds: it grows by a part of itself with each. */
const takes = (parts: number): number => 6 * 1.25 ** parts;
/** Where turns are counted the work may not depend on the time. */
const COUNTED_MS = 200;
/** Fewer than a set has bits. */
export const MOST_EXACT_PARTS = 24;
const MOST_SETS = 200_000;
/** With more pieces a set the work grows too fast. */
const CROWDED = 11;
/** Points looked at in one step. */
const GROW = 50_000;
/** Ways that join the linear program at once. */
const JOINING = 24;
/** What a step takes, about; a choice by its remainders as well. */
const STEP_MS = { sets: 1, count: 10, prices: 2, soon: 5, strips: 15, plan: 5, bound: 5, over: 0 };
/** Of an integer program; where turns are counted it ends by them. */
const MOST_NODES = 500;
/** Pairs looked at in a step for whether strips come off. */
const STEP_PAIRS = 200_000;
/** Ways looked at in a step. */
const LOOKS = 32;
/** Choices looked at where not every strip comes off: what they leave is known less well. */
const MOST_BRITTLE = 12;
const ROUNDING = 1e-6;
const REACH = 0.01;

/** Ways, prices, plan, bound: a piece of it at each step. */
export class SheetExact {
  private readonly made: readonly number[];
  private readonly all: Ways | undefined;
  private phase: 'sets' | 'count' | 'prices' | 'soon' | 'strips' | 'plan' | 'bound' | 'over' = 'over';
  /** Those that may be in a better plan. */
  private ways: readonly Way[] = [];
  private program: Growing | undefined;
  /** The ways in the program and what they cost there, in its order after one column for each part. */
  private readonly columns: { readonly way: Way; cost: number }[] = [];
  /** Ways in the program are looked at closer: only once their prices are about right. */
  private closer = false;
  private prices: Prices;
  private linear = 0;
  /** How far above what the prices prove a plan is looked for, as a share of the best one's cost. */
  private reach = REACH;
  private readonly states: number;
  private readonly seconds: number;
  private choices = 0;
  /** Every part is made in some best plan. */
  private alone = false;
  /** All ways that may be in a better plan have been looked at for whether a blade can cut them. */
  private broken: boolean;
  /** What its steps took, about, in milliseconds. */
  spent = 0;
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
    this.seconds = seconds === Infinity ? Infinity : ms / 1000;
    this.broken = task.minBreak === 0;
    // The largest first: few sets hold it.
    this.made = [...made].sort((a, b) => areaOf(task, task.parts[b]!) - areaOf(task, task.parts[a]!) || a - b);
    this.prices = { each: new Float64Array(made.length + racks.length), fewest: 0, perNew: 0 };
    const counted = task.sources.every(({ most }) => most === 1 || most === Infinity);
    if (!solver || !counted || racks.length > MOST_RACKS || made.length > MOST_EXACT_PARTS) return;
    if (seconds < Infinity && takes(made.length) > 1000 * seconds) return;
    this.all = new Ways(task, this.made, racks, { sets: MOST_SETS, work: POINTS_A_MS * ms, points: CROWDED });
    this.phase = 'sets';
  }
  get over(): boolean {
    return this.phase === 'over';
  }
  dispose(): void {
    this.phase = 'over';
    this.program?.dispose();
    this.program = undefined;
  }

  step(best: SheetResult, stop: () => boolean): SheetResult | undefined {
    const { task, made, all } = this;
    const never = (task.parts.length - made.length) * task.unmadePenalty;
    this.spent += STEP_MS[this.phase];
    all?.allow(STEP_PAIRS);
    switch (this.phase) {
      case 'sets':
        if (all!.grow(GROW)) this.phase = 'count';
        else if (all!.tooMany) this.dispose();
        return undefined;
      case 'count':
        this.phase = 'prices';
        this.alone = this.goAlone();
        return this.count(all!.list, best, stop);
      case 'prices':
        this.price(best, best.cost - never, stop);
        return undefined;
      case 'soon':
        return this.soon(best, never, stop);
      case 'strips':
        return this.breakAll(best, stop);
      case 'plan':
        return this.plan(best, never, stop);
      case 'bound':
        this.prove(best.cost - never, never, stop);
        return undefined;
      case 'over':
        return undefined;
    }
  }
  /** A plan before anything is looked at closer: not the best one, but soon. */
  private soon(best: SheetResult, never: number, stop: () => boolean): SheetResult | undefined {
    const cost = best.cost - never;
    const reached = this.linear + this.reach * cost;
    const chosen = this.choose(({ least }) => least, Math.min(cost, reached), stop);
    this.reach *= 2;
    if (chosen && !chosen.ways && cost > reached) return undefined;
    this.reach = REACH;
    this.closer = true;
    this.phase = 'prices';
    return chosen?.ways?.every((way) => this.all!.costOf(way) < Infinity) ? this.planOf(chosen.ways) : undefined;
  }
  /**
   * A plan little above what the prices prove needs few ways, and is soon found; when there is none, one a little more
   * above. What it is to cost is then looked at, and the next one chosen with what that came to: until one costs what it
   * was chosen for. None is cheaper.
   */
  private plan(best: SheetResult, never: number, stop: () => boolean): SheetResult | undefined {
    const all = this.all!;
    const cost = best.cost - never;
    const reached = this.linear + this.reach * cost;
    const chosen = this.choose((way) => way.cost ?? all.leastOf(way), Math.min(cost, reached), stop);
    if (all.short) return undefined;
    if (!chosen) return this.whole(best, cost, never, stop);
    if (!chosen.ways) {
      this.reach *= 2;
      if (cost <= reached) this.phase = 'bound';
      return undefined;
    }
    if (this.task.minBreak > 0 && !this.done) {
      // What is left beside strips is known no better for looking at what each way costs.
      this.phase = 'bound';
      return undefined;
    }
    const news = chosen.ways.filter((way) => way.cost === undefined);
    this.choices += 1;
    if (news.length === 0 || (this.task.minBreak > 0 && this.choices >= MOST_BRITTLE)) this.phase = 'bound';
    const dear = news.filter((way) => all.costOf(way) === Infinity);
    return dear.length === 0 ? this.planOf(chosen.ways) : undefined;
  }
  /** No plan costs less than the cheapest choice of what each way costs at the least. */
  private prove(cost: number, never: number, stop: () => boolean): void {
    const all = this.all!;
    const chosen = this.done ? undefined : this.choose((way) => all.leastOf(way), cost, stop);
    if (all.short) return;
    if (chosen) this.bound = Math.min(cost, chosen.cost) + never;
    const goesOn = chosen !== undefined && this.task.minBreak > 0;
    this.done ||= chosen !== undefined;
    if (goesOn) this.phase = 'plan';
    else this.dispose();
  }
  /** Where there are too many remainders: what an integer program makes of it, and that is all. */
  private whole(best: SheetResult, cost: number, never: number, stop: () => boolean): SheetResult | undefined {
    const { prices, made, racks, task } = this;
    const room = cost - this.linear + ROUNDING;
    const ways = this.ways.filter(({ over }) => over <= room);
    const limits = { seconds: this.seconds, nodes: MOST_NODES, cutoff: cost, stop };
    const from = this.all!;
    const { unmadePenalty } = task;
    const rows = { parts: made.length, racks: racks.length, fewest: prices.fewest };
    const found = chooseWhole(this.solver!, ways, rows, unmadePenalty, ({ least }) => least, limits);
    this.spent += Math.min(MOST_MS, 1000 * this.seconds);
    this.bound = Math.max(this.bound, Math.min(best.cost, found.bound + never));
    this.dispose();
    return found.ways?.every((way) => from.costOf(way) < Infinity) ? this.planOf(found.ways) : undefined;
  }
  /** Of the ways that a plan below `most` may have. */
  private choose(costOf: (way: Way) => number, most: number, stop: () => boolean) {
    const { made, prices, task, states } = this;
    const room = most - this.linear + ROUNDING;
    const ways = this.ways.filter(({ over }) => over <= room);
    const ended = () => stop() || this.all!.short;
    const chosen = choose(ways, made.length, prices, task.unmadePenalty, costOf, most, states, ended);
    this.spent += (chosen?.states ?? states) / STATES_A_MS;
    return chosen;
  }
  private planOf(ways: readonly Way[]): SheetResult {
    return assemble(
      this.task,
      ways.map((way) => this.all!.sheetOf(way)!),
    );
  }

  /** Looks at all ways that are left; with those that a blade can cut more new sheets may be needed. */
  private breakAll(best: SheetResult, stop: () => boolean): SheetResult | undefined {
    const all = this.all!;
    const more = this.ways.filter(({ looked }) => !looked);
    for (const way of more.slice(0, LOOKS)) all.look(way);
    if (more.length > LOOKS || all.short) return undefined;
    this.broken = true;
    this.phase = 'prices';
    const { fewest } = this.prices;
    const found = this.count(
      this.ways.filter(({ least }) => least < Infinity),
      best,
      stop,
    );
    if (this.prices.fewest > fewest)
      this.program!.limit(this.made.length + this.racks.length, { lower: this.prices.fewest, upper: Infinity });
    return found;
  }
  /** Some best plan makes every part: each could have a new sheet for itself for less than its penalty. */
  private goAlone(): boolean {
    const { task, made } = this;
    const all = this.all!;
    const singles = all.list.filter(({ set, rack }) => rack === 0 && (set & (set - 1)) === 0);
    for (const way of singles) all.look(way);
    return singles.filter(({ source }) => task.sources[source]!.open <= task.unmadePenalty).length === made.length;
  }
  /** The fewest new sheets that hold all parts; a plan of so many, when one has been found. */
  private count(ways: readonly Way[], best: SheetResult, stop: () => boolean): SheetResult | undefined {
    const { task, made, racks } = this;
    const isNew = ({ source }: CutSheet) => !racks.includes(source);
    const whole = best.unmade.length === task.parts.length - made.length;
    if (!this.alone || !whole) return undefined;
    const areas = made.map((part) => areaOf(task, task.parts[part]!));
    const found = fewestNewSheets(ways, areas, racks.length, best.sheets.filter(isNew).length, stop);
    this.prices = { ...this.prices, fewest: Math.max(this.prices.fewest, found.count) };
    const breaks = found.ways?.every((way) => this.all!.sheetOf(way));
    return breaks ? this.planOf(found.ways!) : undefined;
  }

  /** One solution of the linear program, and the ways that it lacks. */
  private price(best: SheetResult, cost: number, stop: () => boolean): void {
    const { made, racks, task } = this;
    const all = this.all!;
    if (!this.program) {
      this.program = new Growing(this.solver!, [
        ...made.map(() => ({ lower: 1, upper: Infinity })),
        ...racks.map(() => ({ lower: -Infinity, upper: 1 })),
        { lower: this.prices.fewest, upper: Infinity },
      ]);
      for (const at of made.keys()) this.program.add({ cost: task.unmadePenalty, upper: 1, rows: [at], values: [1] });
      const bits = new Map(made.map((part, at) => [part, 2 ** at] as const));
      const sets = new Set(best.sheets.map(({ parts }) => parts.reduce((sum, part) => sum + bits.get(part)!, 0)));
      for (const way of all.list) if (sets.has(way.set)) this.join(way);
    }
    const solved = this.program.solve(stop);
    if (!solved) return this.dispose();
    const { duals, columns } = solved;
    const { fewest } = this.prices;
    const each = duals.slice(0, made.length + racks.length);
    this.prices = { each, fewest, perNew: Math.max(0, duals[made.length + racks.length]!) };
    const sums = all.sums(each);
    const { perNew } = this.prices;
    for (const way of all.list)
      way.over = way.least - sums[way.place]! - (way.rack ? each[made.length + lowest(way.rack)]! : perNew);
    if (this.joinLacking()) return;
    if (this.closer && this.lookAtUsed(columns)) return;
    this.linear = perNew * fewest;
    for (const [at, price] of each.entries()) this.linear += at < made.length ? price : Math.min(0, price);
    this.bound = Math.min(best.cost, best.cost - cost + this.linear - ROUNDING * made.length);
    const room = cost - this.linear + ROUNDING;
    this.ways = all.list.filter(({ over }) => over <= room);
    this.phase = !this.closer ? 'soon' : this.broken ? 'plan' : 'strips';
  }
  /** Ways that cost less than their prices join, those that lack most first. */
  private joinLacking(): boolean {
    const all = this.all!;
    for (;;) {
      let worst = 0;
      for (const { over } of all.list) worst = Math.min(worst, over);
      if (worst >= -ROUNDING) return false;
      const half = worst / 2;
      const lacking = all.list.filter(({ over }) => over <= half).sort((a, b) => a.over - b.over);
      let [joined, looks] = [0, 0];
      for (const way of lacking) {
        if (joined === JOINING) break;
        if (this.closer && !way.looked && (looks += 1) < LOOKS) all.look(way);
        if (way.over > half) continue;
        this.join(way);
        joined += 1;
      }
      if (joined > 0) return true;
    }
  }
  /** Looks closer at the ways that a solution uses. True when one of them costs more than it was taken for. */
  private lookAtUsed(columns: Float64Array): boolean {
    let dearer = false;
    for (const [at, column] of this.columns.entries()) {
      if (columns[this.made.length + at]! < ROUNDING) continue;
      const least = this.all!.leastOf(column.way);
      if (least === column.cost) continue;
      column.cost = least;
      // One that cannot be cut costs no less than to leave all parts unmade.
      this.program!.price(this.made.length + at, Math.min(least, this.made.length * this.task.unmadePenalty));
      dearer = true;
    }
    return dearer || this.all!.short;
  }
  private join(way: Way): void {
    const { set, rack } = way;
    this.columns.push({ way, cost: way.least });
    const rows: number[] = [];
    for (let rest = set; rest; rest &= rest - 1) rows.push(lowest(rest));
    rows.push(this.made.length + (rack ? lowest(rack) : this.racks.length));
    this.program!.add({ cost: way.least, upper: Infinity, rows, values: rows.map(() => 1) });
  }
}
