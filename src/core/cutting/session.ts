/** One moulding's or material's search, from the first plan on: bounded steps that make the plan or the bound better. */
interface Search<Result> {
  readonly best: Result;
  /** Goes on from a plan found elsewhere, if it is better. */
  offer(result: Result): boolean;
}

/** What a session is to do: all of it, or, where another works on the same, mostly the plan or mostly the bound. */
export type Part = 'whole' | 'plan' | 'bound';

/** A gap below this share of the cost is the rounding of floating point. */
const NOTHING = 1e-7;

export abstract class Session<Result extends { readonly cost: number } = { readonly cost: number }> {
  bound = 0;
  /** How many other jobs want some of the time that is left. */
  beside = 0;
  /** Another number whenever plan or bound became better. */
  version = 0;
  protected abstract readonly search: Search<Result>;

  get best(): Result {
    return this.search.best;
  }
  get cost(): number {
    return this.best.cost;
  }
  get optimal(): boolean {
    return this.cost - this.bound <= NOTHING * Math.max(1, this.cost);
  }
  /** Cost above the bound. */
  get gap(): number {
    return this.cost - this.bound;
  }

  /** A plan found elsewhere. */
  offer(result: Result): void {
    if (this.search.offer(result)) this.version += 1;
  }
  /** A bound found elsewhere, or here; never above the cost. */
  raise(bound: number): void {
    const better = Math.min(this.cost, bound);
    if (better <= this.bound) return;
    this.bound = better;
    this.version += 1;
  }

  /**
   * A bounded piece of work: `share` of the time has gone by, `seconds` are left (Infinity: only steps count), `stop` is
   * asked when it takes long.
   */
  abstract step(share: number, seconds: number, stop: () => boolean): void;
  abstract dispose(): void;
}
