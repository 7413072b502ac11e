/**
 * Chooses among ways of cutting a sheet, and looks for those that are missing. A linear program says how often each way
 * known is used, and gives prices; sheets are filled by price, and those worth more than they cost join. When none is found
 * any more a plan is made of it: in whole numbers where the sizes are few; else the ways it uses most are fixed one after
 * the other, with more ways looked for in between. Other than the bound's, these ways can all be cut as they are, from the
 * parts that are there.
 */
import { type Solved, type Solver, minimise } from '../linear';
import { type Random, randomFrom } from '../random';
import { MOST_CHOSEN } from './choice';
import { candidates, knownCandidates } from './candidates';
import { closest } from './closest';
import { DenseSheets } from './dense';
import { Draws } from './draws';
import { SheetFiller } from './fill';
import { Pricing } from './pricing';
import { type Left, type Way, WayProgram, above } from './program';
import type { CutSheet, SheetResult, SheetTask } from './task';

/** So many times little is won, and little is missing. */
const STALE = 5;
const LITTLE = 0.0005;
/** Up to so many sizes, and after some dives, whole numbers are asked for at once, over so many ways. */
const FIRST_DIVES = 5;
export const FEW_SIZES = 40;
const MOST_WAYS = 600;
const NODES = 1000;
/** With more sizes there are too many blocks. */
const MOST_DENSE = 300;
/** With more parts left so many ways are fixed at once. */
const [MANY_LEFT, AT_ONCE] = [45, 3];
/** What getting ready takes for each part, a step and each part in it, and choosing among all, about, in milliseconds. */
const [GROW_MS, STEP_MS, PART_MS, CLOSEST_MS] = [0.7, 3, 0.1, 25];
/** The rest is looked for at once when so many parts are left. */
const LAST_LEVEL = 15;
const LEVELS = [MOST_CHOSEN, MOST_CHOSEN - 1, LAST_LEVEL];

/** Of so many dives one tries it with all parts. */
const FROM_ALL = 12;
/** A plan is drawn of about so many ways, so little above their prices, at first, as a share of what a sheet costs. */
const [FEW_NEAR, MANY_NEAR, FIRST_NEAR, LEAST_NEAR] = [800, 3000, 0.02, 0.001];
const ROOM_KNOWN = 0.1;
const DRAW_MS = 25;
/** That is done after so many linear programs, and so often before a dive. */
const [DRAWING, DRAWN] = [4, 2];
/** The work it may be grows with the time there was. */
const [EFFORT_MS, MOST_EFFORT] = [1500, 5];
/** How far above the linear program, as a share of it: at first, each time more, and no further. */
const [FIRST_REACH, REACHING, LAST_REACH, MOST_REACH] = [0.0015, 1.8, 0.02, 0.1];
/** Pricings after each way that a dive fixes. */
const [DEEPER, MOST_DEEPER] = [2, 8];
/** A way used so much is as good as whole. */
const WHOLE = 0.99;

/** What is fixed so far. */
interface Dive extends Left {
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

export class SheetMaster {
  private readonly random: Random;
  private readonly program: WayProgram;
  private readonly sources: readonly number[];
  private readonly dense: DenseSheets | undefined;
  private stale = 0;
  private dive: Dive | undefined;
  private dives = 0;
  private asked = false;
  private readonly draws: Draws;
  private readonly pricing: Pricing;
  /** Linear programs of all parts, and plans drawn since the last dive. */
  private turns = 0;
  private drawn = 0;
  private near = FIRST_NEAR;
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
    racks: readonly number[],
    seed: number,
    /** How many blocks of each number of parts there is time to list, for dense sheets. */
    blocks: number,
  ) {
    this.random = randomFrom(seed);
    const filler = new SheetFiller(task, this.random);
    this.program = new WayProgram(task, solver, made, racks, filler.pool.sizeOf);
    const { parts } = this.program;
    this.sources = [...task.sources.keys()].filter(
      (one) => task.sources[one]!.most === Infinity || racks.includes(one),
    );
    if (blocks > 0 && parts.length <= MOST_DENSE)
      this.dense = new DenseSheets(
        task,
        parts.map((list) => ({
          part: list[0]!,
          count: list.length,
          w: task.parts[list[0]!]!.w,
          h: task.parts[list[0]!]!.h,
        })),
        this.sources,
        blocks,
      );
    this.draws = new Draws(filler, this.program, this.sources, this.random);
    this.pricing = new Pricing(task, filler, this.program, this.sources, this.dense, this.random);
  }
  dispose(): void {
    if (!this.over) this.program.dispose();
    this.over = true;
  }

  /** A way of cutting that has been found elsewhere. */
  join(sheet: CutSheet): void {
    this.program.join(sheet);
  }

  /** One solution of the linear program and what comes of it; a plan now and then. `seconds` are left. */
  step(best: SheetResult, seconds: number, stop: () => boolean): SheetResult | undefined {
    const sizes = this.program.parts.length;
    if (this.dense && !this.dense.ready) {
      this.dense.grow(stop);
      this.spent += GROW_MS * sizes;
      return undefined;
    }
    this.spent += STEP_MS + PART_MS * sizes;
    const solved = this.program.solve(stop);
    if (!solved) {
      this.dispose();
      return undefined;
    }
    const { duals, value } = solved;
    if (this.dive) return this.deepen(this.dive, best, solved, stop);
    this.stale = value < this.linear * (1 - LITTLE) ? 0 : this.stale + 1;
    this.linear = value;
    this.program.keep();
    const more = this.pricing.price(duals, this.made, undefined, stop) && this.stale < STALE;
    this.turns += 1;
    if (this.dense && (more ? this.turns % DRAWING === 0 : this.drawn < DRAWN)) {
      this.drawn += more ? 0 : 1;
      this.spent += DRAW_MS;
      return this.draw(more ? undefined : this.dense, best, duals, stop);
    }
    if (more) return undefined;
    this.drawn = 0;
    if (!this.asked && this.dives >= FIRST_DIVES && sizes <= FEW_SIZES) {
      this.asked = true;
      return this.whole(best, duals, seconds, stop);
    }
    this.dives += 1;
    this.dive = {
      ways: [],
      ...this.program.all(),
      cost: 0,
      deeper: 0,
      value: Infinity,
      reach: MOST_REACH,
      level: this.dives % FROM_ALL === 1 ? 0 : 1,
    };
    return undefined;
  }

  /** A plan drawn by lot from what is little above its prices; of ways known only while the prices still change much. */
  private draw(
    dense: DenseSheets | undefined,
    best: SheetResult,
    duals: Float64Array,
    stop: () => boolean,
  ): SheetResult | undefined {
    const { program } = this;
    const price = Math.max(...this.sources.map((source) => this.task.sources[source]!.open));
    const { need } = program.all();
    const room = this.near * price;
    const near = dense
      ? candidates(dense, program, duals, need, this.pricing.asks(duals), room, MANY_NEAR, stop)
      : knownCandidates(program, duals, ROOM_KNOWN * price);
    if (!near) {
      this.near /= 2;
      if (this.near < LEAST_NEAR) this.drawn = DRAWN;
      return undefined;
    }
    if (dense && near.length < FEW_NEAR) this.near *= 1.5;
    const sheets = this.draws.plan(near, duals, best.cost - program.never - 1e-3);
    return sheets && program.planOf(sheets);
  }

  /** Prices again what is left, then fixes the ways used most. The plan, when all is fixed. */
  private deepen(dive: Dive, best: SheetResult, solved: Solved, stop: () => boolean): SheetResult | undefined {
    const { task, program } = this;
    const { parts, never } = program;
    const { columns, duals, value } = solved;
    dive.deeper += 1;
    const gains = dive.deeper < DEEPER || value < dive.value - LITTLE * value;
    dive.value = value;
    if (gains && dive.deeper < MOST_DEEPER) {
      const rest = parts.flatMap((list, size) => list.slice(0, Math.max(0, dive.need[size]!)));
      if (this.pricing.price(duals, rest, dive.racks, stop)) return undefined;
    }
    if (dive.cost + value + never >= best.cost - 1e-3) return this.surface();
    const left = dive.need.reduce((sum, count) => sum + Math.max(0, count), 0);
    for (; left <= (LEVELS[dive.level] ?? 0); dive.level += 1)
      dive.reach = left <= LAST_LEVEL ? LAST_REACH : FIRST_REACH;
    if (this.dense && dive.reach < MOST_REACH) {
      const effort = Math.min(MOST_EFFORT, 1 + Math.floor(this.spent / EFFORT_MS));
      this.spent += effort * CLOSEST_MS;
      const most = Math.min(best.cost - never - dive.cost, (1 + dive.reach) * value);
      const whole = most < (1 + dive.reach) * value;
      const rest = closest(
        task,
        this.dense,
        program,
        dive,
        solved,
        this.pricing.asks(duals, dive.racks),
        most,
        effort,
        stop,
      );
      if (Array.isArray(rest)) {
        this.surface();
        return program.planOf([...dive.ways.map(({ sheet }) => sheet), ...rest]);
      }
      // No plan that is better ends like this.
      if (rest === 'none' && whole) return this.surface();
      // None of those, but there may be one that costs a little more.
      dive.reach = rest === 'none' ? (left <= LAST_LEVEL ? 3 : REACHING) * dive.reach : MOST_REACH;
      if (dive.reach < MOST_REACH) return undefined;
    }
    dive.deeper = 0;
    dive.value = Infinity;
    if (!this.fixMost(dive, columns, left > MANY_LEFT ? AT_ONCE : 1)) return this.surface();
    if (dive.need.some((count) => count > 0)) return undefined;
    this.surface();
    return program.planOf(dive.ways.map(({ sheet }) => sheet));
  }
  /** Fixes the ways used most, with some chance. False when none is used that can still be cut. */
  private fixMost(dive: Dive, columns: Float64Array, most: number): boolean {
    const sizes = this.program.parts.length;
    const used = this.program.ways.flatMap((way, at) => {
      const times = columns[sizes + at]!;
      return times > 1e-6 ? [{ way, times, liking: times * (0.8 + 0.4 * this.random.next()) }] : [];
    });
    used.sort((a, b) => b.liking - a.liking);
    const there = ({ rows, values }: Way) =>
      rows.every((row, at) => row < sizes || dive.racks[row - sizes]! >= values[at]!);
    // What is more than needed is left out in the end, but where others hold only what is needed they come first.
    const needed = ({ rows, values }: Way) => rows.every((row, at) => row >= sizes || dive.need[row]! >= values[at]!);
    let fixed = 0;
    for (const { way, times } of used) {
      const whole = times >= WHOLE;
      if ((!whole && fixed >= most) || !there(way) || !needed(way)) continue;
      this.fix(dive, way, whole ? Math.floor(times + 1 - WHOLE) : 1);
      fixed += 1;
    }
    const any = used.find(({ way }) => there(way));
    if (fixed === 0 && any) this.fix(dive, any.way, 1);
    return fixed > 0 || any !== undefined;
  }
  private fix(dive: Dive, way: Way, times: number): void {
    const sizes = this.program.parts.length;
    for (let at = 0; at < times; at += 1) dive.ways.push(way);
    dive.cost += times * way.sheet.cost;
    for (const [at, row] of way.rows.entries())
      if (row < sizes) {
        dive.need[row]! -= times * way.values[at]!;
        this.program.limit(row, dive.need[row]!);
      } else {
        dive.racks[row - sizes]! -= times;
        this.program.limit(row, dive.racks[row - sizes]!);
      }
  }
  /** Ends a dive: all is to be made again. */
  private surface(): undefined {
    this.dive = undefined;
    this.program.reset();
  }

  private whole(best: SheetResult, duals: Float64Array, seconds: number, stop: () => boolean): SheetResult | undefined {
    const { solver, program } = this;
    const { never } = program;
    const room = best.cost - never - this.linear;
    const ways = program.ways
      .map((way) => ({ way, over: above(way, duals) }))
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
      { rows: program.rows(), columns },
      {
        // Where turns are counted only nodes end it: time would make the plan another one on another day.
        seconds: seconds === Infinity ? Infinity : Math.min(3, 0.3 * seconds),
        nodes: NODES,
        cutoff: best.cost - never - 1e-3,
        stop,
      },
    );
    return (
      answer.columns &&
      program.planOf(
        ways.flatMap(({ sheet }, at) => Array.from({ length: Math.round(answer.columns![at]!) }, () => sheet)),
      )
    );
  }
}
