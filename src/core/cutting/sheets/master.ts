/**
 * Chooses among ways of cutting a sheet, and looks for those that are missing. A linear program says how often each way
 * known is used, and gives prices; sheets are filled by price, and those worth more than they cost join. When none is found
 * any more a plan is made of it: in whole numbers where the sizes are few; else the ways it uses most are fixed one after
 * the other, with more ways looked for in between. Other than the bound's, these ways can all be cut as they are, from the
 * parts that are there.
 */
import { Growing, type Solved, type Solver, minimise } from '../linear';
import { type Random, randomFrom } from '../random';
import { type Choosable, LOW_BITS, MOST_BITS, MOST_RACKS, choose } from './choice';
import { DenseSheets } from './dense';
import { SheetFiller } from './fill';
import { type CutSheet, type SheetResult, type SheetTask, type Tree, cutSheet } from './task';

/** Fillings priced with the same prices. */
const FILLS = 40;
/** Where dense sheets are found by price. */
const FEW_FILLS = 8;
const TRIES = 6;
/** So many times little is won, and little is missing. */
const STALE = 5;
const LITTLE = 0.0005;
/** Up to so many sizes, and after some dives, whole numbers are asked for at once, over so many ways. */
const FIRST_DIVES = 5;
export const FEW_SIZES = 40;
const MOST_WAYS = 600;
const NODES = 1000;
const MOST_DENSE = 300;
const CALM = 0.5;
/** What getting ready takes for each part, a step and each part in it, and choosing among all, about, in milliseconds. */
const [GROW_MS, STEP_MS, PART_MS, CLOSEST_MS] = [0.7, 3, 0.1, 25];
/** Parts that all are chosen for at once. */
const LEVELS = [44, 29, 15];
const [FIRST_REACH, REACHING, MOST_REACH] = [0.0015, 1.8, 0.1];
const MOST_CLOSE = 4000;
const STATES = 2000;
/** Where turns are counted only nodes end it: time would make the plan another one on another day. */
const FOR_EVER = 3600;
/** Pricings after each way that a dive fixes. */
const [DEEPER, MOST_DEEPER] = [2, 8];
/** A way used so much is as good as whole. */
const WHOLE = 0.99;

/** A sheet among all that cost little more than their prices. */
interface Close extends Choosable {
  readonly cost: number;
  readonly sheet: () => CutSheet;
}
interface Way {
  readonly sheet: CutSheet;
  readonly rows: readonly number[];
  readonly values: readonly number[];
}
/** What is fixed so far. */
interface Dive {
  readonly ways: Way[];
  readonly need: number[];
  readonly racks: number[];
  cost: number;
  /** Pricings since the last way was fixed, and what the rest cost at the last. */
  deeper: number;
  value: number;
  /** How far above what the linear program costs the rest is looked for at once next, as a share. */
  reach: number;
  /** Which of the numbers of parts it is tried at comes next. */
  level: number;
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

export class SheetMaster {
  private readonly random: Random;
  private readonly filler: SheetFiller;
  /** The parts of each size. */
  private readonly parts: readonly (readonly number[])[];
  /** Of a size among all, its row. */
  private readonly rowOf: number[] = [];
  private readonly area: readonly number[];
  private readonly ways: Way[] = [];
  private readonly known = new Set<string>();
  private readonly program: Growing;
  private readonly sources: readonly number[];
  /** Prices of the sizes, as they have been for some time: at first those of their areas. */
  private readonly calm: Float64Array;
  private readonly dense: DenseSheets | undefined;
  private stale = 0;
  private dive: Dive | undefined;
  private dives = 0;
  private asked = false;
  /** What the linear program costs, of the parts that can be made. */
  linear = Infinity;
  over = false;
  /** What its steps took, about, in milliseconds. */
  spent = 0;

  constructor(
    private readonly task: SheetTask,
    private readonly solver: Solver,
    private readonly made: readonly number[],
    /** Sources of which there are not as many as wanted. */
    private readonly racks: readonly number[],
    seed: number,
    /** There is time to list blocks for dense sheets. */
    dense: boolean,
  ) {
    this.random = randomFrom(seed);
    this.filler = new SheetFiller(task, this.random);
    const rows = new Map<number, number[]>();
    for (const part of made) {
      const size = this.filler.sizeOf[part]!;
      const list = rows.get(size);
      if (list) list.push(part);
      else rows.set(size, [part]);
    }
    this.parts = [...rows.values()];
    for (const [row, size] of [...rows.keys()].entries()) this.rowOf[size] = row;
    this.area = this.parts.map((list) => task.parts[list[0]!]!.w * task.parts[list[0]!]!.h);
    this.sources = [...task.sources.keys()].filter(
      (one) => task.sources[one]!.most === Infinity || racks.includes(one),
    );
    if (dense && this.parts.length <= MOST_DENSE)
      this.dense = new DenseSheets(
        task,
        this.parts.map((list) => ({
          part: list[0]!,
          count: list.length,
          w: task.parts[list[0]!]!.w,
          h: task.parts[list[0]!]!.h,
        })),
        this.sources,
      );
    const cheapest = Math.min(...task.sources.map(({ open, w, h }) => open / (w * h)));
    this.calm = Float64Array.from(this.area, (area) => area * cheapest);
    this.program = new Growing(solver, this.rows());
    for (const [size, list] of this.parts.entries())
      this.program.add({ cost: task.unmadePenalty, upper: list.length, rows: [size], values: [1] });
  }
  private rows() {
    return [
      ...this.parts.map((list) => ({ lower: list.length, upper: Infinity })),
      ...this.racks.map((index) => ({ lower: -Infinity, upper: this.task.sources[index]!.most })),
    ];
  }
  /** What the parts that are not made cost. */
  private get never(): number {
    return (this.task.parts.length - this.made.length) * this.task.unmadePenalty;
  }
  /** What so many parts take before the first plan, about, in milliseconds. */
  static takes(parts: number): number {
    return 60 + 5 * parts;
  }
  dispose(): void {
    if (!this.over) this.program.dispose();
    this.over = true;
  }

  /** A way of cutting that has been found elsewhere, or here. False when it is known. */
  join(sheet: CutSheet): boolean {
    const counts = new Map<number, number>();
    for (const part of sheet.parts) {
      const size = this.row(part);
      counts.set(size, (counts.get(size) ?? 0) + 1);
    }
    const rack = this.racks.indexOf(sheet.source);
    const rows = [...counts.keys()].sort((a, b) => a - b);
    const values = rows.map((row) => counts.get(row)!);
    if (rack >= 0) {
      rows.push(this.parts.length + rack);
      values.push(1);
    }
    const name = `${Math.round(sheet.cost)}|${rows.join()}|${values.join()}`;
    if (this.known.has(name)) return false;
    this.known.add(name);
    this.ways.push({ sheet, rows, values });
    this.program.add({ cost: sheet.cost, upper: Infinity, rows, values });
    return true;
  }

  /** One solution of the linear program and what comes of it; a plan now and then. `seconds` are left. */
  step(best: SheetResult, seconds: number, stop: () => boolean): SheetResult | undefined {
    if (this.dense && !this.dense.ready) {
      this.dense.grow();
      this.spent += GROW_MS * this.parts.length;
      return undefined;
    }
    this.spent += STEP_MS + PART_MS * this.parts.length;
    const solved = this.program.solve(stop);
    if (!solved) {
      this.dispose();
      return undefined;
    }
    const { duals, value } = solved;
    if (this.dive) return this.deepen(this.dive, best, solved, stop);
    this.stale = value < this.linear * (1 - LITTLE) ? 0 : this.stale + 1;
    this.linear = value;
    if (this.price(duals, this.made) && this.stale < STALE) return undefined;
    if (!this.asked && this.dives >= FIRST_DIVES && this.parts.length <= FEW_SIZES) {
      this.asked = true;
      return this.whole(best, duals, seconds, stop);
    }
    this.dives += 1;
    this.dive = {
      ways: [],
      need: this.parts.map((list) => list.length),
      racks: this.racks.map((index) => this.task.sources[index]!.most),
      cost: 0,
      deeper: 0,
      value: Infinity,
      reach: MOST_REACH,
      level: this.dives === 1 ? 0 : 1,
    };
    return undefined;
  }

  /** Fills sheets from some of the parts, by price. True when some were worth more than they cost. */
  private price(duals: Float64Array, parts: readonly number[]): boolean {
    const { random, filler, sources } = this;
    let whole = 0;
    let priced = 0;
    for (const part of parts) {
      whole += this.area[this.row(part)]!;
      priced += duals[this.row(part)]!;
    }
    if (priced <= 0) return false;
    if (this.dense && this.priceDense(this.dense, duals, parts)) return true;
    filler.values((size) => ((duals[this.rowOf[size]!] ?? 0) * whole) / priced);
    let joined = false;
    for (let at = 0; at < (this.dense ? FEW_FILLS : FILLS); at += 1) {
      const share = parts.length < 12 ? 1 : 0.3 + 0.5 * random.next();
      filler.begin(
        parts.filter(() => random.next() < share),
        true,
      );
      const source = sources[random.below(sources.length)]!;
      const sheet = filler.fill([source], TRIES, share === 1);
      if (!sheet) continue;
      let over = sheet.cost;
      for (const part of sheet.parts) over -= duals[this.row(part)]!;
      const rack = this.racks.indexOf(source);
      if (rack >= 0) over -= duals[this.parts.length + rack]!;
      if (over < -1e-6 * sheet.cost && this.join(sheet)) joined = true;
    }
    return joined;
  }

  /** Dense sheets: by prices that change slowly first, which find more that stays. */
  private priceDense(dense: DenseSheets, duals: Float64Array, parts: readonly number[]): boolean {
    const need = this.needOf(parts);
    const asks = this.asks(duals);
    for (let at = 0; at < this.calm.length; at += 1) this.calm[at] = CALM * this.calm[at]! + (1 - CALM) * duals[at]!;
    for (const prices of [this.calm, duals]) {
      let joined = false;
      for (const sheet of dense.price(prices, need, asks)) {
        let over = sheet.cost - this.task.sources[sheet.source]!.open + asks(sheet.source);
        for (const part of sheet.parts) over -= duals[this.row(part)]!;
        if (over < -1e-6 * sheet.cost && this.join(sheet)) joined = true;
      }
      if (joined) return true;
    }
    return false;
  }
  private needOf(parts: readonly number[]): number[] {
    const need = this.parts.map(() => 0);
    for (const part of parts) need[this.row(part)]! += 1;
    return need;
  }
  private row(part: number): number {
    return this.rowOf[this.filler.sizeOf[part]!]!;
  }
  /** What the parts of a sheet must be worth together. */
  private asks(duals: ArrayLike<number>): (source: number) => number {
    return (source) => {
      const rack = this.racks.indexOf(source);
      if (rack >= 0 && this.dive && this.dive.racks[rack]! <= 0) return Infinity;
      return this.task.sources[source]!.open - (rack < 0 ? 0 : duals[this.parts.length + rack]!);
    };
  }

  /**
   * All sheets of what is left that cost little more than their prices, and the best choice among them. When there is none,
   * next time of those that cost a little more, until they are too many.
   */
  private closest(
    best: SheetResult,
    dive: Dive,
    { duals, value }: Solved,
    stop: () => boolean,
  ): SheetResult | undefined {
    const { task, dense } = this;
    const { reach } = dive;
    dive.reach = MOST_REACH;
    this.spent += CLOSEST_MS;
    const bits: number[][] = [];
    let count = 0;
    for (const need of dive.need) bits.push(Array.from({ length: Math.max(0, need) }, () => 2 ** count++));
    if (!dense || count + this.racks.length > MOST_BITS || this.racks.length > MOST_RACKS) return undefined;
    const cost = best.cost - this.never - dive.cost;
    const most = Math.min(cost, value + reach * value);
    const room = most - value;
    const found = dense.within(duals, dive.need, this.asks(duals), room, MOST_CLOSE);
    if (!found) return undefined;
    const ways = new Map<number, Close>();
    const add = (rows: readonly number[], source: number, way: Omit<Close, 'set' | 'high' | 'rack'>) => {
      const at = this.racks.indexOf(source);
      if (at >= 0 && dive.racks[at]! <= 0) return;
      const rack = at < 0 ? 0 : 2 ** at;
      for (const set of setsOf(rows, bits)) {
        const key = set * 2 ** this.racks.length + rack;
        const before = ways.get(key);
        if (before && way.cost >= before.cost) continue;
        ways.set(key, { ...way, set: set % 2 ** LOW_BITS, high: Math.floor(set / 2 ** LOW_BITS), rack });
      }
    };
    for (const one of found)
      add(dense.sizesOf(one), one.strips.source, {
        over: -one.over,
        cost: one.cost,
        sheet: () => dense.sheetOf(one),
      });
    for (const way of this.ways) {
      const over = this.above(way, duals);
      if (over > room) continue;
      const rows = way.rows.flatMap((row, at) =>
        row < this.parts.length ? Array.from({ length: way.values[at]! }, () => row) : [],
      );
      add(rows, way.sheet.source, { over, cost: way.sheet.cost, sheet: () => way.sheet });
    }
    const each = new Float64Array(count + this.racks.length);
    for (const [row, list] of bits.entries()) for (const bit of list) each[Math.log2(bit)] = duals[row]!;
    for (const at of this.racks.keys()) each[count + at] = duals[this.parts.length + at]!;
    const prices = { each, fewest: 0, perNew: 0 };
    const costOf = (way: Close) => way.cost;
    const chosen = choose([...ways.values()], count, prices, task.unmadePenalty, costOf, most, STATES, stop);
    if (chosen?.ways)
      return this.planOf([...dive.ways.map(({ sheet }) => sheet), ...chosen.ways.map((way) => way.sheet())]);
    if (chosen && most < cost) dive.reach = Math.min(MOST_REACH, REACHING * reach);
    return undefined;
  }
  /** What a way costs above its prices. */
  private above({ rows, values, sheet }: Way, duals: Float64Array): number {
    return rows.reduce((sum, row, at) => sum - duals[row]! * values[at]!, sheet.cost);
  }

  /** Prices again what is left, then fixes the ways used most. The plan, when all is fixed. */
  private deepen(dive: Dive, best: SheetResult, solved: Solved, stop: () => boolean): SheetResult | undefined {
    const { never } = this;
    const { columns, duals, value } = solved;
    dive.deeper += 1;
    const gains = dive.deeper < DEEPER || value < dive.value - LITTLE * value;
    dive.value = value;
    if (gains && dive.deeper < MOST_DEEPER) {
      const rest = this.parts.flatMap((list, size) => list.slice(0, Math.max(0, dive.need[size]!)));
      if (this.price(duals, rest)) return undefined;
    }
    if (dive.cost + value + never >= best.cost - 1e-3) return this.surface();
    const left = dive.need.reduce((sum, count) => sum + Math.max(0, count), 0);
    for (; left <= (LEVELS[dive.level] ?? 0); dive.level += 1) dive.reach = FIRST_REACH;
    if (dive.reach < MOST_REACH) {
      const plan = this.closest(best, dive, solved, stop);
      if (plan) this.surface();
      if (plan || dive.reach < MOST_REACH) return plan;
    }
    dive.deeper = 0;
    dive.value = Infinity;
    const used = this.ways.map((way, at) => ({ way, times: columns[this.parts.length + at]! }));
    const whole = used.filter(({ times }) => times >= WHOLE);
    if (whole.length > 0) for (const { way, times } of whole) this.fix(dive, way, Math.floor(times + 1 - WHOLE));
    else {
      const like = (times: number) => times * (0.8 + 0.4 * this.random.next());
      const most = used
        .map(({ way, times }) => ({ way, much: times > 1e-6 ? like(times) : 0 }))
        .reduce((a, b) => (b.much > a.much ? b : a));
      if (most.much === 0) return this.surface();
      this.fix(dive, most.way, 1);
    }
    if (dive.need.some((count) => count > 0)) return undefined;
    this.surface();
    return this.planOf(dive.ways.map(({ sheet }) => sheet));
  }
  private fix(dive: Dive, way: Way, times: number): void {
    const sizes = this.parts.length;
    for (let at = 0; at < times; at += 1) dive.ways.push(way);
    dive.cost += times * way.sheet.cost;
    for (const [at, row] of way.rows.entries())
      if (row < sizes) {
        dive.need[row]! -= times * way.values[at]!;
        this.program.limit(row, { lower: Math.max(0, dive.need[row]!), upper: Infinity });
      } else {
        dive.racks[row - sizes]! -= times;
        this.program.limit(row, { lower: -Infinity, upper: dive.racks[row - sizes]! });
      }
  }
  /** Ends a dive: all is to be made again. */
  private surface(): undefined {
    this.dive = undefined;
    for (const [row, limits] of this.rows().entries()) this.program.limit(row, limits);
  }

  private whole(best: SheetResult, duals: Float64Array, seconds: number, stop: () => boolean): SheetResult | undefined {
    const { solver, never } = this;
    const room = best.cost - never - this.linear;
    const ways = this.ways
      .map((way) => ({ way, over: this.above(way, duals) }))
      .filter(({ over }) => over <= room)
      .sort((a, b) => a.over - b.over)
      .slice(0, MOST_WAYS)
      .map(({ way }) => way);
    const columns = ways.map(({ sheet: { cost }, rows, values }) => ({
      cost,
      upper: this.made.length,
      rows,
      values,
      whole: true,
    }));
    const answer = minimise(
      solver,
      { rows: this.rows(), columns },
      {
        seconds: seconds === Infinity ? FOR_EVER : Math.min(3, 0.3 * seconds),
        nodes: NODES,
        cutoff: best.cost - never - 1e-3,
        stop,
      },
    );
    return (
      answer.columns &&
      this.planOf(
        ways.flatMap(({ sheet }, at) => Array.from({ length: Math.round(answer.columns![at]!) }, () => sheet)),
      )
    );
  }

  /** Ways as sheets of the parts there are; what is more than needed is left out. */
  private planOf(chosen: readonly CutSheet[]): SheetResult {
    const { task } = this;
    const left = this.parts.map((list) => [...list]);
    const sheets = chosen.flatMap((sheet) => {
      const one = cutSheet(task, sheet.source, this.relabelled(sheet.tree, left));
      return one.parts.length > 0 ? [one] : [];
    });
    const unmade = new Set(task.parts.keys());
    for (const { parts } of sheets) for (const part of parts) unmade.delete(part);
    return { sheets, unmade: [...unmade], cost: NaN };
  }
  private relabelled(tree: Tree, left: readonly number[][]): Tree {
    if (tree.kind === 'left') return tree;
    if (tree.kind === 'cut')
      return { ...tree, first: this.relabelled(tree.first, left), rest: this.relabelled(tree.rest, left) };
    const part = left[this.row(tree.part)]!.pop();
    if (part === undefined) return { kind: 'left' };
    const [was, is] = [this.task.parts[tree.part]!, this.task.parts[part]!];
    return { kind: 'part', part, rotated: tree.rotated !== (was.w !== is.w) };
  }
}
