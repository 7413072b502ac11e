/** One material from the first plan on: search and bound in turns. */
import type { Solver } from '../linear';
import { Session } from '../session';
import { SheetBound, fits } from './bound';
import { MOST_EXACT_PARTS, SheetExact } from './exact';
import { SheetSearch } from './search';
import type { SheetResult, SheetTask } from './task';

const STEPS = 6;
const COMBINE_TURNS = 150;

export class SheetSession extends Session<SheetResult> {
  protected readonly search: SheetSearch;
  private bounding: SheetBound | undefined;
  private exact: SheetExact | undefined;
  private turns = 0;
  private searchMs = 1;
  private boundMs = 0;

  constructor(
    readonly task: SheetTask,
    private readonly solver: Solver | undefined,
    seed = task.seed,
  ) {
    super();
    this.search = new SheetSearch(task, seed);
    const made = task.parts.map((_, part) => part).filter((part) => fits(task, part));
    const racks = task.sources.flatMap(({ most: count }, index) => (count === 1 ? [index] : []));
    if (made.length > 0 && made.length <= MOST_EXACT_PARTS) this.exact = new SheetExact(task, made, racks);
  }

  /** A bounded piece of work; `share` of the whole time has gone by, `seconds` are left. */
  step(share: number, seconds: number, stop: () => boolean): void {
    if (this.optimal) return;
    this.turns += 1;
    if (!this.bounding) {
      this.bounding = new SheetBound(this.task, this.solver);
      this.raise(this.bounding.bound);
      return;
    }
    if (this.exact && !this.exact.over && this.turns > 20 && this.turns % 2 === 0) {
      const found = this.exact.step(this.search.best, stop);
      this.raise(this.exact.bound);
      if (found) this.offer(found);
      return;
    }
    // Work is counted, not timed, so that the same seed gives the same plan after as many steps.
    const due = this.boundMs < 0.35 * this.searchMs;
    if (!this.bounding.over && due && this.turns > 2 && this.bounding.nextMs * 3 < seconds * 1000) {
      this.boundMs += this.bounding.nextMs;
      this.bounding.step(this.search.best.sheets, this.cost, stop);
      this.raise(this.bounding.bound);
      return;
    }
    this.search.cool(share);
    this.searchMs += 1.5;
    if (this.turns % COMBINE_TURNS === 0) {
      if (this.search.combine(stop)) this.version += 1;
      return;
    }
    for (let at = 0; at < STEPS; at += 1) if (this.search.step()) this.version += 1;
  }

  dispose(): void {
    this.bounding?.dispose();
  }
}
