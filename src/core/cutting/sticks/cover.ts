/**
 * Which of the given sets together hold every leg exactly once: the leg with the fewest sets left is settled first, in
 * every way. Begun anew now and then, since an early choice may be the one that is wrong.
 */
import { type Random, luby, shuffle } from '../random';

/** Choices of the first try. */
const TRY = 400;

export interface LegSet {
  /** Classes of legs, repeated as often as they are cut. */
  readonly classes: readonly number[];
  /** What is left of a stick cut so. */
  readonly left: number;
}

interface Level {
  /** All sets that fit what is left, and of them those still to be tried here. */
  readonly open: readonly LegSet[];
  readonly tries: LegSet[];
  chosen: LegSet | undefined;
}

export class Cover {
  private choices = 0;
  private tries = 0;
  private end = 0;
  private readonly counts: Int32Array;
  private levels: Level[] = [];
  /** Every way has been tried. */
  over = false;

  /** `counts` is how many legs each class has, `slack` what all sticks together may leave. */
  constructor(
    private readonly sets: readonly LegSet[],
    counts: readonly number[],
    private slack: number,
    private readonly random: Random,
  ) {
    this.counts = Int32Array.from(counts);
  }

  /** Works for so many choices; the sets that hold all legs when they are found. */
  step(choices: number): readonly LegSet[] | undefined {
    const until = this.choices + choices;
    while (this.choices < until && !this.over) {
      if (this.levels.length === 0 || this.choices >= this.end) this.begin();
      const level = this.levels.at(-1)!;
      this.put(level.chosen, 1);
      level.chosen = level.tries.pop();
      if (!level.chosen) {
        this.levels.pop();
        if (this.levels.length === 0) this.over = true;
        continue;
      }
      this.choices += 1;
      this.put(level.chosen, -1);
      const next = this.narrowest(level.open);
      if (!next) return this.levels.map(({ chosen }) => chosen!);
      this.levels.push(next);
    }
    return undefined;
  }

  private begin(): void {
    for (const { chosen } of this.levels) this.put(chosen, 1);
    this.tries += 1;
    this.end = this.choices + TRY * luby(this.tries);
    this.levels = [this.narrowest(this.sets)!];
  }
  private put(set: LegSet | undefined, sign: 1 | -1): void {
    if (!set) return;
    for (const one of set.classes) this.counts[one]! += sign;
    this.slack += sign * set.left;
  }
  private fits({ classes, left }: LegSet): boolean {
    if (left > this.slack) return false;
    for (let at = 0; at < classes.length; at += 1) {
      let times = 1;
      while (classes[at + 1] === classes[at]) [at, times] = [at + 1, times + 1];
      if (this.counts[classes[at]!]! < times) return false;
    }
    return true;
  }

  /** The class that has the fewest sets for each of its legs is settled next; undefined when no leg is left. */
  private narrowest(among: readonly LegSet[]): Level | undefined {
    const { counts } = this;
    const open = among.filter((set) => this.fits(set));
    const ways = new Int32Array(counts.length);
    for (const { classes } of open)
      for (let at = 0; at < classes.length; at += 1) if (classes[at] !== classes[at - 1]) ways[classes[at]!]! += 1;
    let narrow = -1;
    for (let one = 0; one < counts.length; one += 1)
      if (counts[one]! > 0 && (narrow < 0 || ways[one]! / counts[one]! < ways[narrow]! / counts[narrow]!)) narrow = one;
    if (narrow < 0) return undefined;
    const tries = shuffle(
      open.filter(({ classes }) => classes.includes(narrow)),
      this.random,
    );
    return { open, tries, chosen: undefined };
  }
}
