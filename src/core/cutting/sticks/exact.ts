/**
 * The best plan of one moulding of few frames, exactly: for every number of legs made so far the least that it costs
 * (dynamic programming). Finish batches come one after the other, in each the pieces of the rack and then what can be
 * bought; a frame that is begun when a batch ends pays the penalty. Legs of one frame and length are one class; where
 * there is one batch, legs of one length are. Counts are kept in one whole number, with a spare bit above each, so that
 * one subtraction tells whether a pattern has room.
 */
import { type Bar, type StickResult, type StickSource, type StickTask, barOf } from './task';

const MOST_STATES = 60_000;
const QUICK_STATES = 1000;
const MOST_BITS = 30;
const MOST_PATTERNS = 4000;
/** Looks in all; one step makes about so many. */
const MOST_LOOKS = 4e8;
const STEP_LOOKS = 1_500_000;

interface Class {
  readonly take: number;
  readonly legs: readonly number[];
}
/** Classes cut from a source, a list a stretch. */
interface Pattern {
  readonly groups: readonly (readonly number[])[];
  readonly cost: number;
  readonly states: number;
  readonly packed: number;
}
interface Stage {
  readonly source: number;
  readonly endless: boolean;
  readonly patterns: readonly Pattern[];
  /** The batch before has ended: frames that are begun pay. */
  readonly ends: boolean;
  /** Which pattern came last at each state: 1 + its place, or 0. */
  readonly came: Uint16Array;
}

export class StickExact {
  private readonly classes: readonly (Class & { readonly frame: number })[] = [];
  private readonly states: number = 0;
  /** A frame is to come from one batch, and there are two. */
  private readonly byBatch: boolean;
  private readonly stages: Stage[] = [];
  private readonly strides: number[] = [];
  private readonly shifts: number[] = [];
  /** For each frame the bits of its counts, and what they are before a leg is made. */
  private readonly frames = new Map<number, { counts: number; all: number }>();
  private cost: Float64Array = new Float64Array(0);
  /** For each state the counts that are still to be made, a spare bit set above each. */
  private open: Int32Array = new Int32Array(0);
  /** What the open legs take, and the least that any pattern costs for what its legs take. */
  private rest: Float64Array = new Float64Array(0);
  private dense = Infinity;
  private spare = 0;
  private stage = 0;
  private at = -1;
  over = false;
  /** The least that any plan costs, of the frames that can be made; known at the end. */
  value: number | undefined;

  /** `made` are the frames to be made, all of them; it is over at once where there are too many ways. */
  constructor(
    private readonly task: StickTask,
    made: readonly number[],
  ) {
    const byBatch = task.batches > 1 && task.batchPenalty > 0;
    this.byBatch = byBatch;
    this.over = true;
    if (made.length === 0 || task.relaxed || (byBatch && task.batches > 2)) return;
    const found = new Map<string, { take: number; legs: number[]; frame: number }>();
    for (const frame of made)
      for (const leg of task.frames[frame]!.legs) {
        const { take } = task.legs[leg]!;
        const key = byBatch ? `${frame}:${take}` : `${take}`;
        const one = found.get(key);
        if (one) one.legs.push(leg);
        else found.set(key, { take, legs: [leg], frame: byBatch ? frame : -1 });
      }
    const classes = [...found.values()].sort((a, b) => b.take - a.take);
    let states = 1;
    let bits = 0;
    for (const { legs } of classes) {
      this.strides.push(states);
      this.shifts.push(bits);
      states *= legs.length + 1;
      bits += 33 - Math.clz32(legs.length);
      if (states > MOST_STATES || bits > MOST_BITS) return;
      this.spare |= 1 << (bits - 1);
    }
    this.classes = classes;
    this.states = states;
    this.over = false;
  }

  /** The table of states and the patterns, once they are wanted. */
  private layOut(): void {
    const { classes, states, byBatch } = this;
    this.cost = new Float64Array(states).fill(Infinity);
    this.cost[0] = 0;
    // One class after the other: with each leg made the state is a stride further, and one leg less is open.
    this.open = new Int32Array(states);
    this.rest = new Float64Array(states);
    this.open[0] = this.spare + classes.reduce((sum, { legs }, at) => sum + (legs.length << this.shifts[at]!), 0);
    this.rest[0] = classes.reduce((sum, { legs, take }) => sum + legs.length * take, 0);
    for (const [at, { legs, take }] of classes.entries())
      for (let state = this.strides[at]!; state < this.strides[at]! * (legs.length + 1); state += 1) {
        this.open[state] = this.open[state - this.strides[at]!]! - (1 << this.shifts[at]!);
        this.rest[state] = this.rest[state - this.strides[at]!]! - take;
      }
    for (const [at, { legs, frame }] of classes.entries()) {
      if (!byBatch) break;
      const one = this.frames.get(frame) ?? { counts: 0, all: 0 };
      one.counts |= ((1 << (32 - Math.clz32(legs.length))) - 1) << this.shifts[at]!;
      one.all |= legs.length << this.shifts[at]!;
      this.frames.set(frame, one);
    }
    if (!this.prepare()) this.over = true;
  }
  /** The sources in their order, each with its patterns. False when it would be too much. */
  private prepare(): boolean {
    const { task, byBatch } = this;
    const order = task.sources.map((source, index) => ({ source, index }));
    const batch = (one: StickSource) => (byBatch ? one.batch : 0);
    order.sort((a, b) => batch(a.source) - batch(b.source) || Number(b.source.rack) - Number(a.source.rack));
    let looks = 0;
    let last = order[0] ? batch(order[0].source) : 0;
    for (const { source, index } of order) {
      const patterns = this.patternsOf(index);
      if (!patterns) return false;
      if (patterns.length === 0) continue;
      const endless = source.most === Infinity;
      const times = endless ? 1 : Math.min(source.most, task.legs.length);
      looks += times * patterns.length * this.cost.length;
      if (looks > MOST_LOOKS) return false;
      for (let time = 0; time < times; time += 1) {
        const ends = batch(source) !== last;
        last = batch(source);
        this.stages.push({ source: index, endless, patterns, ends, came: new Uint16Array(this.cost.length) });
      }
    }
    return this.stages.length > 0;
  }

  /** Each choice of legs that a source takes, as it costs least. */
  private patternsOf(index: number): Pattern[] | undefined {
    const { task, classes } = this;
    const source = task.sources[index]!;
    const found = new Map<number, Pattern>();
    const counts = classes.map(() => 0);
    const groups: number[][] = source.stretches.map(() => []);
    const walk = (stretch: number, from: number, room: number, states: number, packed: number): void => {
      if (found.size > MOST_PATTERNS) return;
      for (let one = from; one < classes.length; one += 1) {
        const { take, legs } = classes[one]!;
        if (take > room || counts[one]! >= legs.length) continue;
        counts[one]! += 1;
        groups[stretch]!.push(one);
        const more = states + this.strides[one]!;
        const with_ = packed + (1 << this.shifts[one]!);
        const { cost } = barOf(task, index, this.legsOf(groups));
        this.dense = Math.min(this.dense, cost / (this.rest[0]! - this.rest[more]!));
        const known = found.get(more);
        if (!known || cost < known.cost)
          found.set(more, { groups: groups.map((group) => [...group]), cost, states: more, packed: with_ });
        walk(stretch, one, room - take, more, with_);
        counts[one]! -= 1;
        groups[stretch]!.pop();
      }
      if (stretch + 1 < groups.length) walk(stretch + 1, 0, source.stretches[stretch + 1]!.room, states, packed);
    };
    if (groups.length > 0) walk(0, 0, source.stretches[0]!.room, 0, 0);
    return found.size > MOST_PATTERNS ? undefined : [...found.values()];
  }
  /** Some legs of the classes, for what a pattern costs: which does not matter. */
  private legsOf(groups: readonly (readonly number[])[]): number[][] {
    return groups.map((group) => group.map((one) => this.classes[one]!.legs[0]!));
  }

  /** So few ways that it is done at once. */
  get quick(): boolean {
    return !this.over && this.states <= QUICK_STATES;
  }

  /** A piece of the work. Nothing costs more than `most`, the best plan known. True when it is done. */
  step(most: number): boolean {
    if (this.cost.length === 0) this.layOut();
    const { cost, open, rest, dense, spare } = this;
    const last = cost.length - 1;
    for (let looks = 0; looks < STEP_LOOKS && !this.over;) {
      const stage = this.stages[this.stage];
      if (!stage) {
        this.over = true;
        this.value = cost[last]!;
        break;
      }
      const { endless, patterns, came } = stage;
      if (this.at === -1) {
        if (stage.ends) this.endBatch();
        this.at = 0;
      }
      // What is bought may be used again: from few legs to many. A piece of the rack once: from many to few.
      for (; this.at <= last && looks < STEP_LOOKS; this.at += 1) {
        const state = endless ? this.at : last - this.at;
        const spent = cost[state]!;
        looks += 1;
        if (spent + rest[state]! * dense >= most) continue;
        const room = open[state]!;
        looks += patterns.length;
        for (let one = 0; one < patterns.length; one += 1) {
          const pattern = patterns[one]!;
          if (((room - pattern.packed) & spare) !== spare) continue;
          const sum = spent + pattern.cost;
          if (sum < cost[state + pattern.states]!) {
            cost[state + pattern.states] = sum;
            came[state + pattern.states] = one + 1;
          }
        }
      }
      if (this.at > last) {
        this.stage += 1;
        this.at = -1;
      }
    }
    return this.over;
  }
  /** Each frame that is begun and not made pays for its second batch. */
  private endBatch(): void {
    const { cost, open, task } = this;
    const frames = [...this.frames.values()];
    for (let state = 0; state < cost.length; state += 1) {
      if (cost[state] === Infinity) continue;
      for (const { counts, all } of frames) {
        const left = open[state]! & counts;
        if (left !== 0 && left !== all) cost[state]! += task.batchPenalty;
      }
    }
  }

  /** The plan, when there is one below what was asked for. */
  plan(): StickResult | undefined {
    const { task, classes, stages, cost } = this;
    if (this.value === undefined || this.value === Infinity) return undefined;
    const left = classes.map(({ legs }) => [...legs]);
    const bars: Bar[] = [];
    let state = cost.length - 1;
    for (let at = stages.length - 1; at >= 0;) {
      const { came, patterns, source, endless } = stages[at]!;
      const pattern = patterns[came[state]! - 1];
      if (!pattern) {
        at -= 1;
        continue;
      }
      const groups = pattern.groups.map((group) => group.map((one) => left[one]!.pop()!));
      bars.push(barOf(task, source, groups));
      state -= pattern.states;
      if (!endless) at -= 1;
    }
    const made = new Set(bars.flatMap((bar) => bar.groups.flat().map((leg) => task.legs[leg]!.frame)));
    return { bars, unmade: task.frames.map((_, frame) => frame).filter((frame) => !made.has(frame)), cost: NaN };
  }
}
