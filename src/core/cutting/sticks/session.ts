/** One moulding from the first plan to the proven one: search and proof in turns. */
import type { Solver } from '../linear';
import { Session } from '../session';
import { type Counting, allMade, batchBound, counting, stickCountBound } from './bound';
import { StickExact } from './exact';
import { type SourceKind, classesOf, kindsOf } from './patterns';
import { StickProof } from './proof';
import { StickSearch } from './search';
import type { StickResult, StickTask } from './task';
import { TightPlans } from './tight';

/** Classes of legs up to which the linear program comes before the search; above, the search goes first. */
const FEW_CLASSES = 60;
const STEPS = 24;
/** Turns of the search before anything is proven. */
const EAGER = 2;
/** How long the bound by batches may take, the first time and again. */
const BATCH_SECONDS = [0.04, 0.2, 1];
/** Where turns are counted only nodes end a solve: time would make the plan another one on another day. */
const FOR_EVER = 3600;

export class StickSession extends Session<StickResult> {
  protected readonly search: StickSearch;
  private proof: StickProof | undefined;
  private exact: StickExact | undefined;
  private tight: TightPlans | undefined;
  private made: readonly number[] | undefined;
  private few = true;
  private counting: Counting | undefined;
  private kinds: SourceKind[] = [];
  private turns = 0;
  private tries = 0;
  private counted = 0;

  constructor(
    readonly task: StickTask,
    private readonly solver: Solver | undefined,
    private readonly seed = task.seed,
  ) {
    super();
    this.search = new StickSearch(task, seed);
  }

  /** What can be made, once the first plan is out. */
  private begin(): readonly number[] {
    const task = this.judged;
    const most = Math.max(0, ...task.sources.flatMap(({ stretches }) => stretches.map(({ room }) => room)));
    const made = task.frames
      .map((_, frame) => frame)
      .filter((frame) => task.frames[frame]!.legs.every((leg) => task.legs[leg]!.take <= most));
    this.kinds = kindsOf(task);
    if (allMade(task, this.kinds, made)) this.exact = new StickExact(this.task, made);
    this.tight = TightPlans.of(task, this.kinds, made, this.seed);
    return made;
  }
  private count(made: readonly number[]): Counting {
    this.few = this.classes(made).length <= FEW_CLASSES;
    const found = counting(this.judged, this.kinds, made);
    this.raise(stickCountBound(found));
    return found;
  }

  /** The task as bounds see it. */
  private get judged(): StickTask {
    const { task } = this;
    return task.relaxed ? { ...task, sources: task.relaxed } : task;
  }
  private classes(made: readonly number[]) {
    const there = new Set(made);
    return classesOf(this.task, (frame) => there.has(frame));
  }

  /** A bounded piece of work; `share` of the whole time has gone by, `seconds` are left. */
  step(share: number, seconds: number, stop: () => boolean): void {
    if (this.optimal) return;
    this.turns += 1;
    this.made ??= this.begin();
    const { exact, made } = this;
    // Where there are few ways, all of them are tried at once; otherwise a bound by counting comes first.
    if (!exact?.quick && !this.counting) {
      this.counting = this.count(made);
      return;
    }
    if (exact && !exact.over && (exact.quick || this.turns > EAGER)) {
      const never = (this.task.frames.length - made.length) * this.task.unmadePenalty;
      if (exact.step(this.cost - never + 1)) this.conclude(exact, never);
      return;
    }
    this.counting ??= this.count(made);
    if (
      this.solver &&
      this.turns % 3 === 0 &&
      this.turns > (this.few ? 12 : 60) &&
      this.prove(this.counting, seconds, stop)
    )
      return;
    if (this.turns % 2 === 0 && this.fillTightly()) return;
    this.search.cool(share);
    for (let at = 0; at < STEPS; at += 1) if (this.search.step()) this.version += 1;
  }

  /** A turn of the plans that leave next to nothing; false when the search has come as far, or none is to be expected. */
  private fillTightly(): boolean {
    const { tight } = this;
    if (!tight || tight.over || this.cost <= tight.cost || this.bound > tight.cost) return false;
    if (this.best.bars.length > tight.sticks + 1) return false;
    const plan = tight.step();
    if (plan) this.offer(plan);
    return true;
  }

  /** The exact way has come to its end. */
  private conclude(exact: StickExact, never: number): void {
    if (exact.value === undefined) return;
    const plan = exact.plan();
    if (plan) this.offer(plan);
    this.raise(exact.value + never);
  }

  /** A turn of the proof; false when there is nothing to prove now. */
  private prove(counting: Counting, seconds: number, stop: () => boolean): boolean {
    const { solver } = this;
    const task = this.judged;
    if (this.counted < BATCH_SECONDS.length && this.turns > 12 * 6 ** this.counted) {
      const limit = BATCH_SECONDS[this.counted]!;
      this.counted += 1;
      const needed = task.batches > 1 || this.bound <= counting.never;
      if (!needed || limit > seconds) return false;
      const { bound, proven } = batchBound(counting, solver!, seconds === Infinity ? FOR_EVER : limit, stop);
      this.raise(bound);
      if (proven) this.counted = BATCH_SECONDS.length;
      return true;
    }
    if (!this.proof) {
      if (this.tries > 0 && this.turns < 40 * 3 ** this.tries) return false;
      this.tries += 1;
      this.proof = new StickProof(
        task,
        this.classes(counting.made),
        this.kinds,
        counting.made,
        solver!,
        this.search.best,
      );
      return true;
    }
    // Each try may take longer than the one before: most are quick, and a slow one must not hold up all others.
    const found = this.proof.step(this.search.best, {
      seconds: seconds === Infinity ? FOR_EVER : Math.min(seconds, 0.1 * 3 ** this.tries),
      nodes: 300 * 6 ** this.tries,
      stop,
    });
    this.raise(this.proof.bound);
    // A plan of the relaxed task may not be one of the task itself.
    if (found && !this.task.relaxed) this.offer(found);
    if (this.proof.over) {
      if (this.tries < 5 && this.proof.worthwhile) this.proof = undefined;
    }
    return true;
  }

  dispose(): void {
    this.proof?.dispose();
  }
}
