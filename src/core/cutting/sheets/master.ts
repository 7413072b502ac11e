/**
 * Chooses among ways of cutting a sheet, and looks for those that are missing. A linear program says how often each way
 * known is used, and gives prices; sheets are filled by price, and those worth more than they cost join. When none is found
 * any more a plan is made of it: in whole numbers where the sizes are few; else the ways it uses most are fixed one after
 * the other, with more ways looked for in between. Other than the bound's, these ways can all be cut as they are, from the
 * parts that are there.
 */
import { Growing, type Solver, minimise } from '../linear';
import { type Random, randomFrom } from '../random';
import { SheetFiller } from './fill';
import { type CutSheet, type SheetResult, type SheetTask, type Tree, cutSheet } from './task';

/** Fillings priced with the same prices. */
const FILLS = 40;
const TRIES = 6;
/** So many times little is won, and little is missing. */
const STALE = 4;
const LITTLE = 0.0005;
/** Up to so many sizes, and after some dives, whole numbers are asked for at once, over so many ways. */
const FIRST_DIVES = 5;
export const FEW_SIZES = 40;
const MOST_WAYS = 600;
const NODES = 1000;
/** Where turns are counted only nodes end it: time would make the plan another one on another day. */
const FOR_EVER = 3600;
/** Pricings after each way that a dive fixes. */
const DEEPER = 2;
/** A way used so much is as good as whole. */
const WHOLE = 0.99;

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
  deeper: number;
}

export class SheetMaster {
  private readonly random: Random;
  private readonly filler: SheetFiller;
  /** The parts of each size. */
  private readonly parts: number[][];
  private readonly racks: readonly number[];
  private readonly area: number[];
  private readonly ways: Way[] = [];
  private readonly known = new Set<string>();
  private readonly program: Growing;
  private stale = 0;
  private dive: Dive | undefined;
  private dives = 0;
  private asked = false;
  /** What the linear program costs, of the parts that can be made. */
  linear = Infinity;
  over = false;

  constructor(
    private readonly task: SheetTask,
    private readonly solver: Solver,
    private readonly made: readonly number[],
    seed: number,
  ) {
    this.random = randomFrom(seed);
    this.filler = new SheetFiller(task, this.random);
    const sizes = Math.max(...this.filler.sizeOf) + 1;
    this.parts = Array.from({ length: sizes }, () => []);
    this.area = Array.from({ length: sizes }, () => 0);
    for (const part of made) {
      const size = this.filler.sizeOf[part]!;
      this.parts[size]!.push(part);
      this.area[size] = task.parts[part]!.w * task.parts[part]!.h;
    }
    this.racks = task.sources.flatMap(({ most }, index) => (most === Infinity ? [] : [index]));
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
  /** What a step takes, about, in milliseconds. */
  get stepMs(): number {
    return 4 + 0.04 * this.parts.length;
  }
  dispose(): void {
    if (!this.over) this.program.dispose();
    this.over = true;
  }

  /** A way of cutting that has been found elsewhere, or here. False when it is known. */
  join(sheet: CutSheet): boolean {
    const counts = new Map<number, number>();
    for (const part of sheet.parts) {
      const size = this.filler.sizeOf[part]!;
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
    const solved = this.program.solve(stop);
    if (!solved) {
      this.dispose();
      return undefined;
    }
    const { duals, columns, value } = solved;
    if (this.dive) return this.deepen(this.dive, best, columns, duals, value);
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
    };
    return undefined;
  }

  /** Fills sheets from some of the parts, by price. True when some were worth more than they cost. */
  private price(duals: Float64Array, parts: readonly number[]): boolean {
    const { task, random, filler } = this;
    let whole = 0;
    let priced = 0;
    for (const part of parts) {
      whole += this.area[filler.sizeOf[part]!]!;
      priced += duals[filler.sizeOf[part]!]!;
    }
    if (priced <= 0) return false;
    filler.values((size) => (duals[size]! * whole) / priced);
    let joined = false;
    for (let at = 0; at < FILLS; at += 1) {
      const share = parts.length < 12 ? 1 : 0.3 + 0.5 * random.next();
      filler.begin(
        parts.filter(() => random.next() < share),
        true,
      );
      const source = random.below(task.sources.length);
      const sheet = filler.fill([source], TRIES, share === 1);
      if (!sheet) continue;
      let over = sheet.cost;
      for (const part of sheet.parts) over -= duals[filler.sizeOf[part]!]!;
      const rack = this.racks.indexOf(source);
      if (rack >= 0) over -= duals[this.parts.length + rack]!;
      if (over < -1e-6 * sheet.cost && this.join(sheet)) joined = true;
    }
    return joined;
  }

  /** Prices again what is left, then fixes the ways used most. The plan, when all is fixed. */
  private deepen(
    dive: Dive,
    best: SheetResult,
    columns: Float64Array,
    duals: Float64Array,
    value: number,
  ): SheetResult | undefined {
    const { task } = this;
    const never = (task.parts.length - this.made.length) * task.unmadePenalty;
    dive.deeper += 1;
    if (dive.deeper < DEEPER || dive.cost + value + never >= best.cost) {
      const rest = this.parts.flatMap((list, size) => list.slice(0, Math.max(0, dive.need[size]!)));
      if (this.price(duals, rest) && dive.deeper < 3 * DEEPER) return undefined;
    }
    if (dive.cost + value + never >= best.cost - 1e-3) return this.surface();
    dive.deeper = 0;
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
    return this.planOf(dive.ways);
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
    const { task, solver } = this;
    const never = (task.parts.length - this.made.length) * task.unmadePenalty;
    const above = ({ rows, values, sheet }: Way) =>
      rows.reduce((sum, row, at) => sum - duals[row]! * values[at]!, sheet.cost);
    const room = best.cost - never - this.linear;
    const ways = this.ways
      .map((way) => ({ way, over: above(way) }))
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
      this.planOf(ways.flatMap((way, at) => Array.from({ length: Math.round(answer.columns![at]!) }, () => way)))
    );
  }

  /** Ways as sheets of the parts there are; what is more than needed is left out. */
  private planOf(ways: readonly Way[]): SheetResult {
    const { task } = this;
    const left = this.parts.map((list) => [...list]);
    const sheets = ways.flatMap(({ sheet }) => {
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
    const part = left[this.filler.sizeOf[tree.part]!]!.pop();
    if (part === undefined) return { kind: 'left' };
    const [was, is] = [this.task.parts[tree.part]!, this.task.parts[part]!];
    return { kind: 'part', part, rotated: tree.rotated !== (was.w !== is.w) };
  }
}
