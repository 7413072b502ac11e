/**
 * How many new sheets without limit are needed at the least, by prices alone: soon, where a linear program takes its
 * time. The table finds what a sheet holds at most at some prices; what it holds becomes cheaper, the less the later
 * (multiplicative weights, Plotkin, Shmoys and Tardos). Whatever the prices: their sum over what a sheet holds at most is
 * a bound.
 */
import { type GuillotineTable, type SizeClass, type TableCuts, heldBy } from './table';
import type { SheetSource } from './task';

/** By how much a price falls first, and how that falls from turn to turn. */
const [FALL, LESS] = [0.3, 0.9];
/** What may still come of it after the first turn, as a share; it becomes less as the changes do. */
const COMING = 0.2;
/** What a finer grid may add. */
const FINER = 0.01;

export class Weighing {
  private turns = 0;
  /** The most that any prices proved so far: so many new sheets, not rounded up. */
  needed = 0;

  constructor(
    private readonly classes: readonly SizeClass[],
    private readonly kinds: readonly { readonly source: SheetSource; readonly most: number }[],
    private readonly prices: number[],
  ) {}

  /** More than so many could still be proven. */
  mayExceed(sheets: number): boolean {
    return this.needed * (1 + COMING * LESS ** this.turns + FINER) > sheets || this.turns === 0;
  }

  /** One filling of a table without offcuts; the best way to cut a new sheet at the prices. Undefined when stopped. */
  turn(table: GuillotineTable, stop: () => boolean): { kind: number; cuts: TableCuts } | undefined {
    const { classes, kinds, prices } = this;
    if (!table.fill(prices, stop)) return undefined;
    const held = kinds.map(({ source }) => table.valueOf(source.w, source.h));
    let [kind, most] = [-1, 0];
    for (const [index, value] of held.entries())
      if (kinds[index]!.most === Infinity && value > most) [kind, most] = [index, value];
    if (kind < 0) return undefined;
    let sum = 0;
    for (const [index, { parts }] of classes.entries()) sum += prices[index]! * parts.length;
    // What pieces of the rack and sheets of a limited number can hold is not counted.
    for (const [index, { most: number }] of kinds.entries()) if (number !== Infinity) sum -= held[index]! * number;
    this.needed = Math.max(this.needed, sum / most);
    const { source } = kinds[kind]!;
    const cuts = table.cutsOf(source.w, source.h);
    const shares = new Map(
      [...heldBy(cuts).counts].map(([index, count]) => [index, count / classes[index]!.parts.length]),
    );
    const largest = Math.max(...shares.values());
    const fall = FALL * LESS ** this.turns;
    for (const [index, share] of shares) prices[index]! *= 1 - (fall * share) / largest;
    this.turns += 1;
    return { kind, cuts };
  }
}
