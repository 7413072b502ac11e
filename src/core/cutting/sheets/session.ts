/** One material from the first plan on: search and bound in turns. */
import type { Solver } from '../linear';
import { type Part, Session } from '../session';
import { SheetBound, countingTask, fits } from './bound';
import { MOST_EXACT_PARTS, SheetExact } from './exact';
import { FEW_SIZES, SheetMaster } from './master';
import { Nearby } from './nearby';
import { SheetSearch } from './search';
import type { SheetResult, SheetTask } from './task';

/** Steps of the search in a turn, or so many fillings. */
const [STEPS, FILLINGS] = [6, 150];
const COMBINE_TURNS = 25;
/** Turns of the search before anything is proven. */
const EAGER = 5;
/** The search has so long for itself where there are some sizes, or many; with many also most of the time after that. */
const [MIX_SOON, MIX_LATE] = [60, 800];
const LATE_SHARE = 0.3;
/** With dense sheets soon, and most of the time. */
const [MIX_DENSE, MIX_SHARE] = [20, 4];
/** Blocks for them, of each number of parts, where there is so much time or more; they take so long, and for each size. */
const [FEW_BLOCKS, MANY_BLOCKS, LONG_MS] = [1200, 4000, 1200];
const [DENSE_MS, DENSE_EACH_MS] = [20, 3];
/** Work on it counts for the bound as work of the search does, so much. */
const MIXED = 0.6;
/** A few sheets are planned anew exactly when the search has had so long, and for a part of what it has from then on. */
const NEAR_LATE = 300;
const NEAR_SHARE = 0.4;
/** Ways of cutting that the search hands on when it is chosen among all. */
const MOST_KNOWN = 300;
/** What finds the best plan and proves it comes before the search for a good one. */
const EXACT_SHARE = 3;
/** Where not every strip comes off, it proves little. */
const BRITTLE_SHARE = 1;
/** Work on the bound for the work of the search; less while the exact way is still open, which proves more. */
const BOUND_SHARE: Record<Part, number> = { whole: 0.35, plan: 0, bound: 2.5 };
const WHILE_EXACT = 0.4;
/** What comes of the bound after its first steps comes late. */
const BOUND_LATE = 40;
/** Sheets that its prices begin with, beside the plan's. */
const GOOD = 40;
/** A step of the bound must fit so many times into what is left. */
const FITS = 3;
const TRY_MS = 0.007;
const COMBINE_MS = 2;
const FEW_SHEETS = 10;
/** Fewer parts are exact at once. */
const SOME_PARTS = 12;
/** So many parts of each size make it worth to choose among all ways early. */
const ALIKE = 3;

export class SheetSession extends Session<SheetResult> {
  protected readonly search: SheetSearch;
  private readonly bounding: SheetBound;
  private counting: SheetBound | undefined;
  private exact: SheetExact | undefined;
  private readonly made: readonly number[];
  private turns = 0;
  private searches = 0;
  // Work is counted, not timed, so that the same seed gives the same plan after as many steps.
  private boundMs = 0;
  private combineMs = 0;
  private master: SheetMaster | undefined;
  private nearby: Nearby | undefined;
  private mixed: SheetResult | undefined;
  /** Blocks that there is time for; without any there are no dense sheets. */
  private blocks = 0;

  constructor(
    readonly task: SheetTask,
    private readonly solver: Solver | undefined,
    private readonly part: Part = 'whole',
    private readonly seed = task.seed,
  ) {
    super();
    this.search = new SheetSearch(task, seed);
    this.bounding = new SheetBound(task, solver);
    this.raise(this.bounding.bound);
    this.made = task.parts.map((_, part) => part).filter((part) => fits(task, part));
  }

  /** A bounded piece of work; `share` of the whole time has gone by, `seconds` are left. */
  step(share: number, seconds: number, stop: () => boolean): void {
    if (this.optimal) return;
    this.turns += 1;
    if (this.turns > EAGER && this.proveOrChoose(seconds, stop)) return;
    this.search.cool(share);
    this.searches += 1;
    if (this.searches % COMBINE_TURNS === 0) {
      this.combineMs += COMBINE_MS;
      if (this.search.combine(stop)) this.version += 1;
      return;
    }
    const until = this.search.tries + FILLINGS;
    for (let at = 0; at < STEPS && this.search.tries < until; at += 1) if (this.search.step()) this.version += 1;
  }

  /** A step of what is better than searching on, if one of that is due. True when there was one. */
  private proveOrChoose(seconds: number, stop: () => boolean): boolean {
    if (this.turns === EAGER + 1 && this.task.minBreak === 0) {
      const ms = (1000 * seconds) / (1 + this.beside);
      if (this.takes < ms) this.blocks = ms < LONG_MS ? FEW_BLOCKS : MANY_BLOCKS;
    }
    const searchMs = this.search.tries * TRY_MS + this.combineMs;
    const mixMs = this.master?.spent ?? 0;
    const { bounding } = this;
    const inTime = !bounding.over && bounding.nextMs * FITS < seconds * 1000;
    // A first bound is soon there; what comes of it later comes late.
    if (bounding.level < 0 && inTime && this.part !== 'plan') {
      this.prove(bounding, stop);
      return true;
    }
    // Where the exact way is open a plan of dense sheets comes first: it is soon there, and leaves less to look at.
    const first = !this.many && this.blocks === MANY_BLOCKS && this.made.length >= SOME_PARTS;
    if (first && mixMs < this.takes && this.mix(seconds, stop)) return true;
    if ((this.exact?.spent ?? 0) < this.exactShare * searchMs && this.proveExactly(seconds, stop)) return true;
    const late = this.part === 'bound' ? 0 : BOUND_LATE;
    const share = BOUND_SHARE[this.part] * (this.exact && !this.exact.over ? WHILE_EXACT : 1);
    const due = share * (searchMs + (this.blocks > 0 ? MIXED * mixMs : 0) - late);
    if (this.boundMs < due && inTime) {
      this.prove(bounding, stop);
      return true;
    }
    if (this.many && mixMs < this.mixingFor(searchMs) && this.mix(seconds, stop)) return true;
    return (this.nearby?.spent ?? 0) < NEAR_SHARE * (searchMs - NEAR_LATE) && this.lookNearby(stop);
  }

  /** A step of the bound; where one sheet more or less is much, the fewest new ones are bounded first on each grid. */
  private prove(bounding: SheetBound, stop: () => boolean): void {
    const { sheets } = this.search.best;
    const good = () => [...sheets, ...this.search.cheapest(GOOD)];
    const opened = sheets.filter(({ source }) => !this.task.sources[source]!.rack).length;
    if (opened <= FEW_SHEETS && bounding.all) this.counting ??= new SheetBound(countingTask(this.task), this.solver);
    const { counting } = this;
    if (counting && !counting.over && counting.level <= bounding.level) {
      this.boundMs += counting.nextMs;
      counting.step(good, opened, stop);
      bounding.needs(counting.newSheets);
      if (counting.newSheets >= opened) counting.dispose();
      return;
    }
    this.boundMs += bounding.nextMs;
    bounding.step(good, this.cost, stop);
    this.raise(bounding.bound);
  }

  /** What dense sheets take before the first plan, about, in milliseconds. */
  private get takes(): number {
    return DENSE_MS + DENSE_EACH_MS * this.search.sizes;
  }
  /** How long choosing among all ways may take by now. */
  private mixingFor(searchMs: number): number {
    const { sizes } = this.search;
    if (sizes * ALIKE <= this.made.length) return searchMs;
    if (this.blocks > 0) return MIX_SHARE * (searchMs - MIX_DENSE);
    // The more different sizes, the later it comes to something.
    return sizes > FEW_SIZES ? LATE_SHARE * (searchMs - MIX_LATE) : searchMs - MIX_SOON;
  }

  private get exactShare(): number {
    return this.task.minBreak > 0 ? BRITTLE_SHARE : EXACT_SHARE;
  }
  /** The exact way is not open, or was given up. */
  private get many(): boolean {
    return this.made.length > MOST_EXACT_PARTS || (this.exact !== undefined && this.exact.over && !this.exact.done);
  }
  /** A step of planning a few sheets anew, where the parts are too many to be exact. True when there was one. */
  private lookNearby(stop: () => boolean): boolean {
    const { task, solver, seed } = this;
    if (!this.many || !solver || this.best.sheets.length < 2) return false;
    this.nearby ??= new Nearby(task, solver, seed);
    const found = this.nearby.step(this.best, stop);
    if (found) this.offer(found);
    return true;
  }

  /** A step of choosing among all ways known, where the parts are too many to be exact. True when there was one. */
  private mix(seconds: number, stop: () => boolean): boolean {
    const { task, made, solver } = this;
    if (!solver || made.length === 0) return false;
    if (!this.master) {
      const racks = task.sources.flatMap(({ most }, index) => (most === Infinity ? [] : [index]));
      this.master = new SheetMaster(task, solver, made, racks, this.seed, this.blocks);
      for (const sheet of this.search.cheapest(MOST_KNOWN)) this.master.join(sheet);
    }
    if (this.master.over) return false;
    // A plan found otherwise brings ways along.
    if (this.mixed !== this.best) {
      this.mixed = this.best;
      for (const sheet of this.best.sheets) this.master.join(sheet);
    }
    const found = this.master.step(this.best, seconds, stop);
    if (found) this.offer(found);
    return true;
  }

  /** A step of the exact way, where the parts are few. True when there was one. */
  private proveExactly(seconds: number, stop: () => boolean): boolean {
    const { task, made } = this;
    if (made.length === 0 || made.length > MOST_EXACT_PARTS) return false;
    if (!this.exact) {
      const racks = task.sources.flatMap(({ most }, index) => (most === 1 ? [index] : []));
      this.exact = new SheetExact(task, made, racks, this.solver, seconds / (1 + this.beside));
    }
    if (this.exact.over) return false;
    const found = this.exact.step(this.search.best, stop);
    this.raise(this.exact.bound);
    // No grid proves more than all sets do.
    if (this.exact.done) this.bounding.dispose();
    if (found) this.offer(found);
    return true;
  }

  dispose(): void {
    this.bounding.dispose();
    this.counting?.dispose();
    this.exact?.dispose();
    this.master?.dispose();
    this.nearby?.dispose();
  }
}
