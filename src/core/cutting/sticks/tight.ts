/**
 * Plans that leave next to nothing: as many sticks as the legs fill when laid end to end, and no more. What all of them
 * together may leave is known beforehand. Where few sets of legs leave no more than that, they are all listed and it is
 * chosen among them (see `cover.ts`); otherwise stick after stick is filled (see `dive.ts`).
 */
import { type Random, randomFrom } from '../random';
import { Cover, type LegSet } from './cover';
import { Dive } from './dive';
import { type SourceKind, classesOf } from './patterns';
import { Sets } from './sets';
import { type StickResult, type StickTask, barOf } from './task';

/** Sets that are few enough to be listed. */
const MOST_SETS = 3000;
/** Looks and choices of a step; all looks, after which nothing more is to be expected. */
const LOOKS = 100_000;
const CHOICES = 60;
const ENOUGH = 400_000_000;

export class TightPlans {
  /** How many sticks the legs fill at the least. */
  readonly sticks: number;
  /** What a plan of so many costs at the most: where the bound is above that, there is none. */
  readonly cost: number;
  private readonly legs: readonly number[];
  private readonly takes: readonly number[];
  /** Of which length each is: 0 the longest, and so on. */
  private readonly classes: readonly number[];
  private readonly room: number;
  private readonly slack: number;
  private readonly random: Random;
  private readonly dive: Dive;
  private readonly sets = new Sets();
  private listed: LegSet[] | undefined = [];
  private next = 0;
  private cover: Cover | undefined;

  private constructor(
    private readonly task: StickTask,
    private readonly source: number,
    private readonly made: readonly number[],
    seed: number,
  ) {
    const there = new Set(made);
    const classes = classesOf(task, (frame) => there.has(frame));
    this.legs = classes.flatMap(({ legs }) => legs);
    this.classes = classes.flatMap(({ legs }, index) => legs.map(() => index));
    this.takes = this.legs.map((leg) => task.legs[leg]!.take);
    this.random = randomFrom(seed);
    this.room = task.sources[source]!.stretches[0]!.room;
    const load = this.takes.reduce((sum, take) => sum + take, 0);
    this.sticks = Math.ceil(load / this.room);
    this.slack = this.sticks * this.room - load;
    this.cost = this.sticks * task.sources[source]!.open + (task.frames.length - made.length) * task.unmadePenalty;
    this.dive = new Dive(this.takes, this.room, this.sticks, this.slack, this.random);
  }

  /** For legs that are all cut from one kind of stick, of which there are enough; undefined for any other task. */
  static of(
    task: StickTask,
    kinds: readonly SourceKind[],
    made: readonly number[],
    seed: number,
  ): TightPlans | undefined {
    const [kind, other] = kinds;
    if (!kind || other || kind.most !== Infinity) return undefined;
    const plans = new TightPlans(task, kind.sources[0]!, made, seed);
    return plans.sticks > 1 ? plans : undefined;
  }

  /** Nothing more is to be expected. */
  get over(): boolean {
    return this.cover ? this.cover.over : this.dive.looks > ENOUGH;
  }

  /** A bounded piece of work; a plan when one is found. */
  step(): StickResult | undefined {
    if (this.cover) {
      const sets = this.cover.step(CHOICES);
      return sets && this.plan(this.placesOf(sets));
    }
    if (this.listed) {
      this.list(this.listed);
      return undefined;
    }
    const sticks = this.dive.step(LOOKS);
    return sticks && this.plan(sticks);
  }

  /** Lists the sets with the next legs as their longest, until that is all of them, or there are too many. */
  private list(listed: LegSet[]): void {
    const { takes, room, slack } = this;
    const until = this.sets.looks + LOOKS;
    for (; this.next < takes.length && this.sets.looks < until; this.next += 1) {
      if (takes[this.next] === takes[this.next - 1]) continue;
      const before = this.sets.looks;
      const rest = takes.slice(this.next);
      for (const places of this.sets.of(rest, room, slack, MOST_SETS + 1 - listed.length, LOOKS))
        listed.push({
          classes: places.map((at) => this.classes[this.next + at]!),
          left: room - places.reduce((sum, at) => sum + rest[at]!, 0),
        });
      if (listed.length > MOST_SETS || this.sets.looks - before > LOOKS) {
        this.listed = undefined;
        return;
      }
    }
    if (this.next < takes.length) return;
    const counts = Array.from({ length: this.classes.at(-1)! + 1 }, () => 0);
    for (const one of this.classes) counts[one]! += 1;
    this.cover = new Cover(listed, counts, slack, this.random);
  }

  /** Legs of one length are the same to the saw: each set takes the next of them. */
  private placesOf(sets: readonly LegSet[]): number[][] {
    const next = new Map<number, number>();
    for (const [place, one] of this.classes.entries()) if (!next.has(one)) next.set(one, place);
    return sets.map(({ classes }) =>
      classes.map((one) => {
        const place = next.get(one)!;
        next.set(one, place + 1);
        return place;
      }),
    );
  }

  private plan(sticks: readonly (readonly number[])[]): StickResult {
    const { task, source } = this;
    const made = new Set(this.made);
    return {
      bars: sticks.map((places) => barOf(task, source, [places.map((place) => this.legs[place]!)])),
      unmade: task.frames.map((_, frame) => frame).filter((frame) => !made.has(frame)),
      cost: this.cost,
    };
  }
}
