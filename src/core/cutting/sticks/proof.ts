/**
 * The pattern bound of one moulding and, where it is small enough, the best plan itself.
 *
 * 1. A linear program chooses how often each pattern is cut; patterns are priced exactly and join until none is worth
 *    more than it costs (column generation). Batches are left out, so its value is below every plan.
 * 2. Only patterns whose reduced cost is within the gap to the best plan known can belong to a better plan. If they are
 *    few enough they are all listed, and an integer program over them, now with batches, finds the best plan or proves
 *    that there is none better.
 *
 * Each `step` is one solve, so that other work gets its turn.
 */
import { Growing, type Row, type Solver, minimise } from '../linear';
import { type LegClass, type Pattern, Patterns, type SourceKind } from './patterns';
import { type StickResult, type StickTask, barOf } from './task';

const PRICING_EFFORT = 400_000;
const MOST_PATTERNS = 12_000;
/** The solver cannot be stopped while it looks a program over: with less time there must be fewer patterns. */
const PATTERNS_A_SECOND = 6000;

export interface ProofLimits {
  readonly stop: () => boolean;
  readonly seconds: number;
  readonly nodes: number;
}

export class StickProof {
  private phase: 'linear' | 'whole' | 'over' = 'linear';
  private readonly patterns: Patterns;
  private readonly program: Growing;
  private readonly rackRows = new Map<number, number>();
  private readonly demand: Row[];
  private known: Pattern[] = [];
  private readonly have = new Set<string>();
  private prices: Float64Array = new Float64Array(0);
  private rackPrices = new Map<number, number>();
  private linear = -Infinity;
  private cheapest: number;
  bound = 0;

  constructor(
    private readonly task: StickTask,
    private readonly classes: readonly LegClass[],
    private readonly kinds: readonly SourceKind[],
    private readonly made: readonly number[],
    private readonly solver: Solver,
    start: StickResult,
  ) {
    this.patterns = new Patterns(task, classes, kinds);
    this.demand = classes.map(({ legs }) => ({ lower: legs.length, upper: Infinity }));
    const rows = [...this.demand];
    for (const [index, kind] of kinds.entries())
      if (Number.isFinite(kind.most)) this.rackRows.set(index, rows.push({ lower: -Infinity, upper: kind.most }) - 1);
    this.program = new Growing(solver, rows);
    this.cheapest = Math.min(
      ...kinds.map(({ source }) => source.open - source.rate * (source.length - (source.stretches[0]?.from ?? 0))),
    );
    for (const frame of made) this.program.add({ cost: task.unmadePenalty, upper: 1, ...this.rowsOfFrame(frame) });
    this.learn(start);
  }

  /** A longer try might prove more. */
  worthwhile = false;

  dispose(): void {
    if (this.phase === 'over') return;
    this.phase = 'over';
    this.program.dispose();
  }
  get over(): boolean {
    return this.phase === 'over';
  }

  private classOf(leg: number): number {
    this.legClass ??= new Map(this.classes.flatMap(({ legs }, index) => legs.map((one) => [one, index] as const)));
    return this.legClass.get(leg)!;
  }
  private legClass: Map<number, number> | undefined;

  private rowsOfFrame(frame: number): { rows: number[]; values: number[] } {
    const counts = new Map<number, number>();
    for (const leg of this.task.frames[frame]!.legs)
      counts.set(this.classOf(leg), (counts.get(this.classOf(leg)) ?? 0) + 1);
    return { rows: [...counts.keys()], values: [...counts.values()] };
  }

  private join(pattern: Pattern): boolean {
    const key = `${pattern.kind}:${pattern.groups.map((group) => [...group].sort((a, b) => a - b).join()).join(';')}`;
    if (this.have.has(key)) return false;
    this.have.add(key);
    this.known.push(pattern);
    const counts = new Map<number, number>();
    for (const group of pattern.groups) for (const one of group) counts.set(one, (counts.get(one) ?? 0) + 1);
    const rack = this.rackRows.get(pattern.kind);
    this.program.add({
      cost: pattern.cost,
      upper: Infinity,
      rows: [...counts.keys(), ...(rack === undefined ? [] : [rack])],
      values: [...counts.values(), ...(rack === undefined ? [] : [1])],
    });
    return true;
  }

  /** The patterns of a plan join, so that the linear program starts from it. */
  learn({ bars }: StickResult): void {
    const kindOf = new Map(this.kinds.flatMap(({ sources }, index) => sources.map((one) => [one, index] as const)));
    for (const bar of bars)
      this.join({
        kind: kindOf.get(bar.source)!,
        groups: bar.groups.map((group) => group.map((leg) => this.classOf(leg))),
        cost: bar.cost,
      });
  }

  /** One solve. Answers a plan when it found one that costs less than `best`. */
  step(best: StickResult, limits: ProofLimits): StickResult | undefined {
    if (this.phase === 'linear') {
      this.price(best.cost, limits.stop);
      return undefined;
    }
    return this.phase === 'whole' ? this.whole(best, limits) : undefined;
  }

  private price(cost: number, stop: () => boolean): void {
    const solved = this.program.solve(stop);
    if (!solved) return this.dispose();
    this.prices = solved.duals.slice(0, this.classes.length);
    let joined = false;
    let slack = 0;
    let worst = 0;
    for (const [index, kind] of this.kinds.entries()) {
      const row = this.rackRows.get(index);
      const fee = row === undefined ? 0 : -solved.duals[row]!;
      this.rackPrices.set(index, fee);
      const priced = this.patterns.price(index, this.prices, PRICING_EFFORT, stop);
      if (!priced) return this.dispose();
      const over = priced.worth - fee;
      if (over > 1e-7 * Math.max(1, kind.source.open)) joined = this.join(priced.pattern) || joined;
      if (over > 0) {
        if (Number.isFinite(kind.most)) slack += over * kind.most;
        else worst = Math.max(worst, over);
      }
    }
    // No better plan opens more sticks than this: each costs at least `cheapest`, whatever comes back.
    const sticks = this.cheapest > 0 ? Math.min(this.task.legs.length, cost / this.cheapest) : this.task.legs.length;
    const never = (this.task.frames.length - this.made.length) * this.task.unmadePenalty;
    this.bound = Math.max(this.bound, never + solved.value - slack - worst * sticks);
    if (joined) return;
    this.linear = solved.value - slack - worst * sticks;
    this.phase = 'whole';
  }

  private listed(room: number, most: number, stop: () => boolean): Pattern[] | undefined {
    const all: Pattern[] = [];
    for (const [index] of this.kinds.entries()) {
      const fee = this.rackPrices.get(index) ?? 0;
      const found = this.patterns.list(index, this.prices, fee - room, most, PRICING_EFFORT, stop);
      if (!found) return undefined;
      all.push(...found);
      if (all.length > most) return undefined;
    }
    return all;
  }

  private whole(best: StickResult, limits: ProofLimits): StickResult | undefined {
    const { task } = this;
    const never = (task.frames.length - this.made.length) * task.unmadePenalty;
    const cutoff = best.cost - never;
    const most = Math.min(MOST_PATTERNS, PATTERNS_A_SECOND * limits.seconds);
    const all = this.listed(cutoff - this.linear + 1e-6 * cutoff, most, limits.stop);
    const patterns = all ?? this.known;
    const { program, read } = this.integer(patterns);
    const answer = minimise(this.solver, program, { ...limits, cutoff: cutoff - 1e-6 });
    if (all) this.bound = Math.max(this.bound, Math.min(best.cost, never + answer.bound));
    if (all && answer.proven)
      this.bound = Math.max(this.bound, Math.min(best.cost, never + Math.min(answer.value, cutoff)));
    this.worthwhile = !answer.proven;
    this.dispose();
    return answer.columns && answer.value < cutoff - 1e-6 ? read(answer.columns) : undefined;
  }

  /** The integer program: how often each pattern; from which batch each frame takes its legs. */
  private integer(patterns: readonly Pattern[]) {
    const { task, classes, kinds, made } = this;
    const batches = task.batches;
    const rows: Row[] = [];
    const row = (lower: number, upper: number) => rows.push({ lower, upper }) - 1;
    const simple = batches === 1;
    // Legs of a class cut from a batch, less those that frames take from it.
    const supply = classes.map(({ legs }) =>
      Array.from({ length: batches }, () => row(simple ? legs.length : 0, Infinity)),
    );
    const limit = kinds.map(({ most }) => (Number.isFinite(most) ? row(-Infinity, most) : undefined));
    type Entry = { cost: number; upper: number; whole: boolean; rows: number[]; values: number[] };
    const columns: Entry[] = patterns.map((pattern) => {
      const { batch } = kinds[pattern.kind]!.source;
      const counts = new Map<number, number>();
      for (const group of pattern.groups) for (const one of group) counts.set(one, (counts.get(one) ?? 0) + 1);
      const most = limit[pattern.kind];
      const upper = Math.min(
        kinds[pattern.kind]!.most,
        ...[...counts].map(([one, count]) => Math.ceil(classes[one]!.legs.length / count)),
      );
      return {
        cost: pattern.cost,
        upper,
        whole: true,
        rows: [...[...counts.keys()].map((one) => supply[one]![batch]!), ...(most === undefined ? [] : [most])],
        values: [...counts.values(), ...(most === undefined ? [] : [1])],
      };
    });
    // Sticks to buy, as one whole number: branching on it lifts the bound at once.
    const stock = patterns.flatMap((pattern, at) => (kinds[pattern.kind]!.source.rack ? [] : [at]));
    const total = row(0, 0);
    for (const at of stock) {
      columns[at]!.rows.push(total);
      columns[at]!.values.push(1);
    }
    columns.push({ cost: 0, upper: task.legs.length, whole: true, rows: [total], values: [-1] });
    const skips = new Map<number, number>();
    const takes: { frame: number; one: number; batch: number; column: number }[] = [];
    for (const frame of made) {
      const legs = this.rowsOfFrame(frame);
      const skip = { cost: task.unmadePenalty, upper: 1, whole: true, rows: [] as number[], values: [] as number[] };
      skips.set(frame, columns.push(skip) - 1);
      if (simple) {
        skip.rows.push(...legs.rows.map((one) => supply[one]![0]!));
        skip.values.push(...legs.values);
        continue;
      }
      const mixed = { cost: task.batchPenalty, upper: 1, whole: true, rows: [] as number[], values: [] as number[] };
      columns.push(mixed);
      const home = row(1, 1);
      skip.rows.push(home);
      skip.values.push(1);
      const need = legs.values.map((count) => row(count, Infinity));
      for (let at = 0; at < legs.rows.length; at += 1) {
        skip.rows.push(need[at]!);
        skip.values.push(legs.values[at]!);
      }
      for (let batch = 0; batch < batches; batch += 1) {
        const at = { cost: 0, upper: 1, whole: true, rows: [home], values: [1] };
        columns.push(at);
        for (const [place, one] of legs.rows.entries()) {
          const only = row(-Infinity, 0);
          const count = legs.values[place]!;
          at.rows.push(only);
          at.values.push(-count);
          mixed.rows.push(only);
          mixed.values.push(-count);
          const column =
            columns.push({
              cost: 0,
              upper: count,
              whole: true,
              rows: [need[place]!, only, supply[one]![batch]!],
              values: [1, 1, -1],
            }) - 1;
          takes.push({ frame, one, batch, column });
        }
      }
    }
    return { program: { columns, rows }, read: (x: Float64Array) => this.read(patterns, x, skips, takes) };
  }

  /** Turns counts of patterns into sticks with legs. Frames that were promised legs of a batch get them first. */
  private read(
    patterns: readonly Pattern[],
    x: Float64Array,
    skips: ReadonlyMap<number, number>,
    takes: readonly { frame: number; one: number; batch: number; column: number }[],
  ): StickResult {
    const { task, classes, kinds } = this;
    const skipped = new Set([...skips].filter(([, column]) => x[column]! > 0.5).map(([frame]) => frame));
    const waiting = classes.map(({ legs }) => legs.filter((leg) => !skipped.has(task.legs[leg]!.frame)));
    const promised = new Map<string, number[]>();
    for (const { frame, one, batch, column } of takes) {
      const list = promised.get(`${one}:${batch}`) ?? [];
      for (let count = Math.round(x[column]!); count > 0; count -= 1) {
        const at = waiting[one]!.findIndex((leg) => task.legs[leg]!.frame === frame);
        if (at >= 0) list.push(...waiting[one]!.splice(at, 1));
      }
      promised.set(`${one}:${batch}`, list);
    }
    const next = (one: number, batch: number) => promised.get(`${one}:${batch}`)?.shift() ?? waiting[one]!.shift();
    const nextSource = kinds.map(() => 0);
    const bars = patterns.flatMap((pattern, at) =>
      Array.from({ length: Math.round(x[at]!) }, () => {
        const kind = kinds[pattern.kind]!;
        const source =
          kind.most === Infinity
            ? kind.sources[0]!
            : kind.sources.find((_, place) => this.until(kind, place) > nextSource[pattern.kind]!)!;
        nextSource[pattern.kind]! += 1;
        const groups = pattern.groups.map((group) => group.flatMap((place) => next(place, kind.source.batch) ?? []));
        return { source, groups };
      }),
    );
    const filled = bars.filter(({ groups }) => groups.some((group) => group.length > 0));
    const left = [...skipped, ...task.frames.map((_, frame) => frame).filter((frame) => !this.made.includes(frame))];
    return { bars: filled.map(({ source, groups }) => barOf(task, source, groups)), unmade: left, cost: NaN };
  }
  private until(kind: SourceKind, place: number): number {
    return kind.sources.slice(0, place + 1).reduce((sum, one) => sum + this.task.sources[one]!.most, 0);
  }
}
