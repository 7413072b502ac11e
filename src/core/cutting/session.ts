/** One moulding's or material's search, from the first plan on: bounded steps that make the plan or the bound better. */
export interface Session<Result extends { readonly cost: number }> {
  readonly best: Result;
  readonly cost: number;
  readonly bound: number;
  readonly optimal: boolean;
  /** Cost above the bound. */
  readonly gap: number;
  /** Another number whenever plan or bound became better. */
  readonly version: number;
  /**
   * A bounded piece of work: `share` of the time has gone by, `seconds` are left (Infinity: only steps count), `stop` is
   * asked when it takes long. */
  step(share: number, seconds: number, stop: () => boolean): void;
  offer(result: Result): void;
  raise(bound: number): void;
  dispose(): void;
}
