/**
 * The pattern bound of one material. A linear program chooses how often each way of cutting a sheet is used; ways are
 * priced with the guillotine table and join until none is worth more than it costs. The table's grid starts coarse and
 * becomes finer: prices that were right on a coarse grid are a little too low on a finer one, so they rise first, and
 * more ways join. Beside it stands the bound by counting sheets, with what the table says a sheet can hold by area.
 *
 * Each `step` is one filling of the table. Whatever happens, the bound holds: a way that would still be worth more than it
 * costs is paid for, as often as any better plan could use it.
 */
import { type Line, countBound, fewestNew, lineOf } from '../count';
import { toSquareMm } from '../grain';
import { Growing, type Row, type Solver } from '../linear';
import { type Scale, scalesFor } from './scale';
import { GuillotineTable, type SizeClass, type TableCuts, heldBy, sizeClasses } from './table';
import { type CutSheet, type SheetSource, type SheetTask, areaOf } from './task';
import { Weighing } from './weighing';

interface Kind {
  readonly source: SheetSource;
  readonly most: number;
}
/** Cells along the longer side of the largest sheet. */
const GRIDS = [60, 120, 240, 480, 960];
/** Where a part is smaller than a cell even on this one, none is filled: the first would take seconds. */
const LAST_FIRST = 3;
/** Steps after which a grid is left, whatever could still come of it. */
const STEPS_A_GRID = 800;
/** A grid is left when no more than this share of the bound can come of it. */
const CLOSE = 0.0004;
/** How much of the prices that proved most so far goes into the next ones. */
const SMOOTH = 0.6;
/** Beside the best way of cutting others are looked for with lower prices for its parts, the more the smaller a table. */
const MORE_WAYS = [
  { below: 2e5, ways: 3 },
  { below: 1.5e6, ways: 1 },
];
const LOWER = 0.85;
/** More new sheets than anybody opens for one part. */
const UNMADE = 1000;
/** Of a number of sheets. */
const ROUNDING = 1e-6;
/** Turns of looking by prices alone how many new sheets are needed: on the first grid, and on the next. */
const [WEIGHED, WEIGHED_FINE] = [30, 10];
/** How fast a table is filled, about. */
const STEPS_A_MS = 5e5;

const fitsOn = (task: SheetTask, part: number, on: SheetSource): boolean => {
  const { w, h } = task.parts[part]!;
  return (w <= on.w && h <= on.h) || (task.rotate && h <= on.w && w <= on.h);
};
export const fits = (task: SheetTask, part: number): boolean => task.sources.some((one) => fitsOn(task, part, one));

/** The same task where only new sheets cost, one each: what it bounds is how many are needed. */
export const countingTask = (task: SheetTask): SheetTask => ({
  ...task,
  minOffcut: { short: Infinity, long: Infinity },
  unmadePenalty: UNMADE,
  sources: task.sources.map((source) => ({ ...source, open: source.rack ? 0 : 1, rate: 0 })),
});

export class SheetBound {
  private readonly classes: SizeClass[];
  private readonly kinds: Kind[] = [];
  private readonly rate: number;
  private readonly load: number;
  /** Some best plan makes every part: each could have a new sheet for itself for less than its penalty. */
  readonly all: boolean;
  private readonly never: number;
  private readonly solver: Solver | undefined;
  /** Which grid it is on, or has come to. */
  level = -1;
  private table: GuillotineTable | undefined;
  private scales: { x: Scale; y: Scale } | undefined;
  private program: Growing | undefined;
  private prices: Float64Array;
  /** What a way of each kind pays beside its cost: for being few (`owns`), less what counting new sheets gives it. */
  private fees: number[] = [];
  private owns: number[] = [];
  /** New sheets at the least; and of those without limit. */
  private least = 0;
  private unlimited = 0;
  private steps = 0;
  private fresh = false;
  /** The prices (of all rows) that proved most on this grid, and what they proved. */
  private centre: Float64Array | undefined;
  private proved = 0;
  private smooth = SMOOTH;
  /** Ways found by pricing, to go on with on the next grid. */
  private ways: { kind: number; cuts: TableCuts }[] = [];
  /** What the next step takes, about, in milliseconds. */
  nextMs = 1;
  over = false;
  bound: number;

  constructor(
    private readonly task: SheetTask,
    solver: Solver | undefined,
  ) {
    const made = task.parts.map((_, part) => part).filter((part) => fits(task, part));
    this.solver = solver;
    this.classes = sizeClasses(task, made);
    this.never = (task.parts.length - made.length) * task.unmadePenalty;
    this.load = made.reduce((sum, part) => sum + areaOf(task, task.parts[part]!), 0);
    const alone = (part: number) =>
      Math.min(
        ...task.sources.filter((one) => one.most === Infinity && fitsOn(task, part, one)).map(({ open }) => open),
        Infinity,
      );
    this.all = made.every((part) => alone(part) <= task.unmadePenalty);
    this.rate = Math.max(...task.sources.map((one) => one.rate));
    const byLook = new Map<string, Kind>();
    for (const source of task.sources) {
      const look = JSON.stringify([source.rack, source.w, source.h, source.open]);
      byLook.set(look, { source, most: (byLook.get(look)?.most ?? 0) + source.most });
    }
    this.kinds = [...byLook.values()].filter(({ source }) => source.w > 0 && source.h > 0);
    this.prices = new Float64Array(this.classes.length);
    this.bound = this.never + (this.all ? countBound(this.lines(undefined), this.load) : 0);
    if (made.length === 0 || this.kinds.length === 0) this.over = true;
  }

  private lines(table: GuillotineTable | undefined): Line[] {
    const { task } = this;
    return this.kinds.map(({ source, most }) => {
      const free = areaOf(task, source);
      const room = table ? Math.min(free, table.valueOf(source.w, source.h)) : free;
      return lineOf(
        source.open,
        source.rate,
        free,
        Math.max(room, 1e-6),
        toSquareMm(task.minOffcut.short * task.minOffcut.long),
        most,
      );
    });
  }

  private finer(): void {
    this.level += 1;
    const cells = GRIDS[this.level];
    if (!cells) {
      this.dispose();
      return;
    }
    this.scales = scalesFor(this.task, this.classes, cells);
    this.table = new GuillotineTable(this.task, this.classes, this.scales, this.rate);
    if (!this.table.able) {
      if (this.level < LAST_FIRST) this.finer();
      else this.dispose();
      return;
    }
    this.nextMs = 0.5 + 0.03 * this.classes.length + ((1 + this.moreWays) * this.table.work) / STEPS_A_MS;
    this.program?.dispose();
    this.program = undefined;
    this.steps = 0;
    this.centre = undefined;
    this.proved = 0;
    this.smooth = SMOOTH;
    this.fresh = true;
  }

  dispose(): void {
    this.over = true;
    this.program?.dispose();
    this.program = undefined;
    this.table = undefined;
  }

  /** Of what a `countingTask` bounds: new sheets, at the least, for the parts that fit some source. */
  get newSheets(): number {
    return Math.ceil(this.bound - this.never - ROUNDING);
  }

  /** So many new sheets are needed at the least, where all parts are made. */
  needs(sheets: number): void {
    if (!this.all || sheets <= this.least) return;
    this.least = sheets;
    if (this.kinds.every(({ source, most }) => source.rack || most === Infinity)) this.unlimited = sheets;
    this.program?.limit(this.newRow, { lower: sheets, upper: Infinity });
  }
  private get newRow(): number {
    return this.classes.length + this.kinds.length;
  }

  private raise(bound: number): void {
    if (bound > this.bound) this.bound = bound;
  }

  /** One filling of the table. `sheets` are good ones, those of the best plan among them; `cost` is what it costs. */
  step(sheets: () => readonly CutSheet[], cost: number, stop: () => boolean): void {
    if (this.over) return;
    // The first grid only now: the bound by counting is told before.
    if (!this.table) this.finer();
    if (this.over) return;
    if (this.fresh) this.begin(sheets, cost, stop);
    else {
      if (!this.program) this.start(sheets());
      this.price(cost, stop);
    }
  }

  /** Counts by area on the new grid, then sees how far the prices found so far may rise. */
  private begin(sheets: () => readonly CutSheet[], cost: number, stop: () => boolean): void {
    const { task, classes } = this;
    this.fresh = false;
    // Offcuts are no parts: what a sheet holds by area is asked of a table without them.
    const bare = this.bare(this.scales!);
    if (
      !bare.fill(
        classes.map(({ w, h }) => areaOf(task, { w, h })),
        stop,
      )
    )
      return this.dispose();
    const lines = this.lines(bare);
    if (this.all) {
      this.unlimited = Math.max(this.unlimited, fewestNew(lines, this.load));
      if (this.level === 0) this.weigh(bare, lines, cost, stop);
      this.least = Math.max(this.least, this.unlimited);
      this.raise(this.never + countBound(lines, this.load, this.unlimited));
    }
    if (!this.solver) return this.dispose();
    // On the first grid the program comes a step later: what was counted is told before.
    if (this.level === 0) return;
    this.start(sheets());
    this.lift(cost, stop);
  }
  private bare(scales: { x: Scale; y: Scale }): GuillotineTable {
    return new GuillotineTable(
      { ...this.task, minOffcut: { short: Infinity, long: Infinity } },
      this.classes,
      scales,
      0,
    );
  }
  /**
   * Sees whether more new sheets are needed than by area, as far as the plan may have more; where the first grid is a
   * little too coarse for it, on the next one. The ways found join later.
   */
  private weigh(coarse: GuillotineTable, lines: readonly Line[], cost: number, stop: () => boolean): void {
    const { task, classes, kinds, load } = this;
    const weighing = new Weighing(
      classes,
      kinds,
      classes.map((one) => areaOf(task, one)),
    );
    const open = () => this.never + countBound(lines, load, this.unlimited + 1) <= cost;
    let more = open();
    let table = coarse;
    for (let turn = 0; turn < WEIGHED + WEIGHED_FINE && more && weighing.mayExceed(this.unlimited); turn += 1) {
      if (turn === WEIGHED) table = this.bare(scalesFor(task, classes, GRIDS[1]!));
      const way = weighing.turn(table, stop);
      if (!way) return;
      if (turn < WEIGHED) this.ways.push(way);
      const needed = Math.ceil(weighing.needed - ROUNDING);
      if (needed <= this.unlimited) continue;
      this.unlimited = needed;
      more = open();
    }
  }
  private start(sheets: readonly CutSheet[]): void {
    const { classes, kinds, task } = this;
    const rows: Row[] = classes.map(({ parts }) => ({ lower: parts.length, upper: Infinity }));
    for (const { most } of kinds) rows.push({ lower: -Infinity, upper: Number.isFinite(most) ? most : 1e9 });
    rows.push({ lower: this.least, upper: Infinity });
    this.program = new Growing(this.solver!, rows);
    for (const [index, { parts }] of classes.entries())
      this.program.add({ cost: task.unmadePenalty, upper: parts.length, rows: [index], values: [1] });
    const classOf = new Map(classes.flatMap(({ parts }, index) => parts.map((part) => [part, index] as const)));
    for (const sheet of sheets) {
      const source = task.sources[sheet.source]!;
      const kind = kinds.findIndex((one) => sameKind(one.source, source));
      const counts = new Map<number, number>();
      for (const part of sheet.parts) counts.set(classOf.get(part)!, (counts.get(classOf.get(part)!) ?? 0) + 1);
      this.join(kind, counts, source.rate > 0 ? sheet.cost : source.open);
    }
    this.ways = this.ways.filter(({ kind, cuts }) => {
      const { source } = kinds[kind]!;
      if (!this.table!.holds(cuts, source.w, source.h)) return false;
      this.join(kind, heldBy(cuts).counts, source.open);
      return true;
    });
  }
  private join(kind: number, counts: ReadonlyMap<number, number>, cost: number): void {
    const { classes, kinds } = this;
    const isNew = !kinds[kind]!.source.rack;
    this.program!.add({
      cost,
      upper: Infinity,
      rows: [...counts.keys(), classes.length + kind, ...(isNew ? [this.newRow] : [])],
      values: [...counts.values(), 1, ...(isNew ? [1] : [])],
    });
  }

  /** What the prices prove with the table as it is: their sum, less what any way is worth above its cost. */
  private proven(cost: number): number {
    const { prices, fees } = this;
    let sum = this.gift;
    for (const [index, { parts }] of this.classes.entries())
      sum += Math.min(prices[index]!, this.task.unmadePenalty) * parts.length;
    const cheapest = Math.min(...this.kinds.map(({ source }) => source.open - source.rate * areaOf(this.task, source)));
    const uses = cheapest > 0 ? Math.min(this.task.parts.length, cost / cheapest) : this.task.parts.length;
    let worst = 0;
    for (const [index, { source, most }] of this.kinds.entries()) {
      const over = this.table!.valueOf(source.w, source.h) - source.open - fees[index]!;
      if (Number.isFinite(most)) sum -= Math.max(0, over + this.owns[index]!) * most;
      else worst = Math.max(worst, over);
    }
    return this.never + sum - Math.max(0, worst) * uses;
  }

  /** The old prices on the finer grid, raised together until a way of cutting is worth its cost. */
  private lift(cost: number, stop: () => boolean): void {
    const { table, kinds } = this;
    if (!table!.fill(this.prices, stop)) return this.dispose();
    const stock = kinds.flatMap(({ source, most }, index) =>
      Number.isFinite(most) ? [] : [(source.open + this.fees[index]!) / table!.valueOf(source.w, source.h)],
    );
    const by = Math.max(1, Math.min(...stock, 1.1));
    if (!Number.isFinite(by)) return;
    this.prices = this.prices.map((price) => price * by);
    if (!table!.fill(this.prices, stop)) return this.dispose();
    this.raise(this.proven(cost));
    for (const index of kinds.keys()) this.found(index);
  }
  /** The way of cutting that the table holds for a kind joins. */
  private found(kind: number): void {
    const { source } = this.kinds[kind]!;
    const cuts = this.table!.cutsOf(source.w, source.h);
    const { counts, useful } = heldBy(cuts);
    if (useful === 0) this.ways.push({ kind, cuts });
    this.join(kind, counts, source.open - useful);
  }
  /** What the row of the fewest new sheets gives. */
  private gift = 0;

  private price(cost: number, stop: () => boolean): void {
    const { program, table, kinds } = this;
    const solved = program!.solve(stop);
    if (!solved) return this.dispose();
    const { duals, value } = solved;
    this.steps += 1;
    const near = () => value - this.proved <= CLOSE * value;
    if (near() || this.steps > STEPS_A_GRID) return this.finer();
    const { centre, smooth } = this;
    const priced = centre && smooth > 0 ? duals.map((dual, at) => smooth * centre[at]! + (1 - smooth) * dual) : duals;
    this.useDuals(priced);
    if (!table!.fill(this.prices, stop)) return this.dispose();
    const proven = this.proven(cost);
    this.raise(proven);
    if (proven - this.never > this.proved) {
      this.proved = proven - this.never;
      this.centre = Float64Array.from(priced);
    }
    // A way joins when it is worth more than it costs at the program's own prices.
    this.useDuals(duals);
    let lacked = this.joinLacking();
    if (lacked) this.smooth = SMOOTH;
    else if (smooth > 0 && centre) this.smooth = smooth > 0.3 ? smooth / 2 : 0;
    else return this.finer();
    let lowered = this.prices;
    for (let more = 0; lacked && more < this.moreWays; more += 1) {
      const held = new Set(kinds.flatMap(({ source }) => [...heldBy(table!.cutsOf(source.w, source.h)).counts.keys()]));
      lowered = lowered.map((price, index) => (held.has(index) ? price * LOWER : price));
      if (!table!.fill(lowered, stop)) return this.dispose();
      lacked = this.joinLacking();
    }
  }
  private get moreWays(): number {
    const { work } = this.table!;
    return MORE_WAYS.find(({ below }) => work < below)?.ways ?? 0;
  }

  /** For each kind the way in the table, if the program lacks it. */
  private joinLacking(): boolean {
    let joined = false;
    for (const [index, { source }] of this.kinds.entries()) {
      const { counts, useful } = heldBy(this.table!.cutsOf(source.w, source.h));
      let worth = useful - source.open - this.fees[index]!;
      for (const [at, count] of counts) worth += this.prices[at]! * count;
      if (worth <= 1e-7 * source.open) continue;
      this.found(index);
      joined = true;
    }
    return joined;
  }
  private useDuals(duals: Float64Array): void {
    const { classes, kinds } = this;
    this.prices = duals.slice(0, classes.length);
    const perNew = duals[this.newRow]!;
    this.gift = perNew * this.least;
    this.owns = kinds.map((_, index) => -duals[classes.length + index]!);
    this.fees = kinds.map(({ source }, index) => this.owns[index]! - (source.rack ? 0 : perNew));
  }
}

const sameKind = (a: SheetSource, b: SheetSource) =>
  a.rack === b.rack && a.w === b.w && a.h === b.h && a.open === b.open;
