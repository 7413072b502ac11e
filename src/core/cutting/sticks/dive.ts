/**
 * Fills stick after stick with next to nothing left: the longest leg that is left and a set that goes with it, rather
 * one of long legs, because short ones are what the last sticks need to come out even. The last sticks are tried in
 * every way. A dive that gets nowhere is given up and begun anew, with limits that grow now and then.
 */
import { type Random, luby } from '../random';
import { Sets } from './sets';

/** Looks of a dive of the first length. */
const DIVE = 1_000_000;
/** The first sticks take one of the first sets found; the last ones, from so many on, try every set. */
const [EARLY_SETS, EARLY_LOOKS] = [15, 8_000];
const [LATE_SETS, LATE_LOOKS] = [2000, 200_000];
const [LATE_LEAST, LATE_MORE] = [4, 8];
/** How much rather a set of long legs is taken. */
const BIAS = 5;

/** One stick of a dive: what is left to cut from here on, places in all takes, and the sets still to try. */
interface Level {
  readonly legs: readonly number[];
  readonly slack: number;
  readonly sets: number[][];
  tries: number;
  chosen: readonly number[];
}

export class Dive {
  private readonly sets = new Sets();
  private levels: Level[] = [];
  private dives = 0;
  private end = 0;
  private late = 0;

  /** `takes` falls; `slack` is what is left of `sticks` sticks of `room` that hold all of them. */
  constructor(
    private readonly takes: readonly number[],
    private readonly room: number,
    private readonly sticks: number,
    private readonly slack: number,
    private readonly random: Random,
  ) {}

  get looks(): number {
    return this.sets.looks;
  }

  /** Works for about so many looks; places in the takes, a list a stick, when all fit. */
  step(looks: number): readonly (readonly number[])[] | undefined {
    const until = this.looks + looks;
    while (this.looks < until) {
      const level = this.levels.at(-1);
      // A turn costs a look at the least, so that poor dives come to an end as well.
      this.sets.looks += 1;
      if (!level || this.looks >= this.end) this.begin();
      else if (level.tries === 0 || level.sets.length === 0) this.levels.pop();
      else {
        const last = this.descend(level);
        if (last) return [...this.levels.map(({ chosen }) => chosen), last];
      }
    }
    return undefined;
  }

  private begin(): void {
    this.dives += 1;
    this.end = this.looks + DIVE * luby(this.dives);
    this.late = LATE_LEAST + this.random.below(LATE_MORE);
    this.levels = [];
    this.push(
      this.takes.map((_, at) => at),
      this.slack,
    );
  }

  private push(legs: readonly number[], slack: number): void {
    const { room } = this;
    const takes = legs.map((leg) => this.takes[leg]!);
    // Copying them is work as well.
    this.sets.looks += legs.length >> 3;
    const late = this.sticks - this.levels.length <= this.late;
    const sets = late
      ? this.sets.of(takes, room, slack, LATE_SETS, LATE_LOOKS)
      : this.sets.of(takes, room, slack, EARLY_SETS, EARLY_LOOKS);
    const squares = new Map(sets.map((set) => [set, set.reduce((sum, at) => sum + takes[at]! ** 2, 0)]));
    sets.sort((a, b) => squares.get(b)! - squares.get(a)!);
    this.levels.push({ legs, slack, sets, tries: late ? Infinity : 1, chosen: [] });
  }

  /** Fills the next stick; answers what the last one takes when that is all that is left. */
  private descend(level: Level): readonly number[] | undefined {
    level.tries -= 1;
    const [chosen] = level.sets.splice(Math.floor(level.sets.length * this.random.next() ** BIAS), 1);
    level.chosen = chosen!.map((at) => level.legs[at]!);
    const gone = new Set(chosen);
    const rest = level.legs.filter((_, at) => !gone.has(at));
    if (this.levels.length === this.sticks - 1) return rest;
    const used = level.chosen.reduce((sum, leg) => sum + this.takes[leg]!, 0);
    this.push(rest, level.slack - (this.room - used));
    return undefined;
  }
}
