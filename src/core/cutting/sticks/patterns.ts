/**
 * Patterns of one moulding: what legs, by length, may be cut from one stick. Legs of one length are one class, sticks
 * alike in everything are one kind. `price` finds the pattern that is worth most under given prices of the classes;
 * `list` all patterns worth more than a floor. Both walk the classes by falling price for length and leave a branch that
 * the rest, at the price of the next class, could not lift above what is asked.
 */
import { type StickSource, type StickTask, usefulLeft } from './task';

export interface LegClass {
  readonly take: number;
  readonly legs: readonly number[];
}
export interface SourceKind {
  /** Places in the task's sources. */
  readonly sources: readonly number[];
  readonly most: number;
  readonly source: StickSource;
}
export interface Pattern {
  readonly kind: number;
  /** Classes, one list a stretch, repeated as often as they are cut. */
  readonly groups: readonly (readonly number[])[];
  readonly cost: number;
}

export function classesOf(task: StickTask, makeable: (frame: number) => boolean): LegClass[] {
  const byTake = new Map<number, number[]>();
  for (const [leg, { take, frame }] of task.legs.entries()) {
    if (!makeable(frame)) continue;
    const list = byTake.get(take);
    if (list) list.push(leg);
    else byTake.set(take, [leg]);
  }
  return [...byTake].sort(([a], [b]) => b - a).map(([take, legs]) => ({ take, legs }));
}

export function kindsOf(task: StickTask): SourceKind[] {
  const byLook = new Map<string, number[]>();
  for (const [index, source] of task.sources.entries()) {
    const look = JSON.stringify([source.rack, source.length, source.batch, source.open, source.stretches]);
    byLook.set(look, [...(byLook.get(look) ?? []), index]);
  }
  return [...byLook.values()].map((sources) => ({
    sources,
    source: task.sources[sources[0]!]!,
    most: sources.reduce((sum, index) => sum + task.sources[index]!.most, 0),
  }));
}

export class Patterns {
  private readonly counts: Int32Array;
  private order: number[] = [];
  private looks = 0;

  constructor(
    private readonly task: StickTask,
    readonly classes: readonly LegClass[],
    readonly kinds: readonly SourceKind[],
  ) {
    this.counts = new Int32Array(classes.length);
  }

  /** The pattern of `kind` with the highest worth (prices of its classes less its cost); undefined beyond `effort`. */
  price(
    kind: number,
    prices: ArrayLike<number>,
    effort: number,
    stop: () => boolean,
  ): { pattern: Pattern; worth: number } | undefined {
    let best: Pattern = { kind, groups: this.kinds[kind]!.source.stretches.map(() => []), cost: 0 };
    let worth = 0;
    const whole = this.walk(
      kind,
      prices,
      1e-12,
      effort,
      stop,
      () => worth + 1e-9,
      (pattern, found) => {
        best = pattern;
        worth = found;
        return true;
      },
    );
    return whole ? { pattern: best, worth } : undefined;
  }

  /** All patterns of `kind` worth at least `floor`; undefined when there are more than `most`. */
  list(
    kind: number,
    prices: ArrayLike<number>,
    floor: number,
    most: number,
    effort: number,
    stop: () => boolean,
  ): Pattern[] | undefined {
    const found: Pattern[] = [];
    const whole = this.walk(
      kind,
      prices,
      -1,
      effort,
      stop,
      () => floor,
      (pattern) => found.push(pattern) <= most,
    );
    return whole && found.length <= most ? found : undefined;
  }

  private walk(
    kind: number,
    prices: ArrayLike<number>,
    above: number,
    effort: number,
    stop: () => boolean,
    floor: () => number,
    found: (pattern: Pattern, worth: number) => boolean,
  ): boolean {
    const { classes, task, counts } = this;
    const { source } = this.kinds[kind]!;
    const rate = (index: number) => prices[index]! / classes[index]!.take;
    this.order = classes.map((_, index) => index).filter((index) => prices[index]! > above);
    this.order.sort((a, b) => rate(b) - rate(a));
    const { order } = this;
    const rates = order.map(rate);
    const least = Math.min(...order.map((index) => classes[index]!.take));
    const top = rates[0] ?? 0;
    counts.fill(0);
    this.looks = effort;
    const groups: number[][] = source.stretches.map(() => []);
    const later = source.stretches.map((_, at) =>
      source.stretches.slice(at + 1).reduce((sum, stretch) => sum + stretch.room, 0),
    );
    let going = true;
    const best = (sum: number, left: number, room: number, density: number): number => {
      const useful = usefulLeft(task, left);
      let most = sum + density * room;
      if (useful > 0) {
        most = Math.max(most, sum + source.rate * useful);
        const x = Math.min(room, left - task.minOffcut);
        if (x > 0) most = Math.max(most, sum + density * x + source.rate * (left - x));
      }
      return most - source.open;
    };
    const descend = (stretch: number, start: number, rest: number, sum: number, left: number): void => {
      for (let at = start; at < order.length && going; at += 1) {
        const density = later[stretch]! > 0 ? Math.max(top, rates[at]!) : rates[at]!;
        if (best(sum, left, rest + later[stretch]!, density) < floor()) break;
        const index = order[at]!;
        const { take, legs } = classes[index]!;
        if (take > rest || counts[index]! >= legs.length) continue;
        if ((this.looks -= 1) < 0 || (this.looks % 4096 === 0 && stop())) {
          this.looks = -1;
          going = false;
          return;
        }
        counts[index]! += 1;
        groups[stretch]!.push(index);
        const sumNow = sum + prices[index]!;
        const restNow = rest - take;
        const loadHere = source.stretches[stretch]!.room - restNow;
        const leftNow = source.length - source.stretches[stretch]!.from - loadHere;
        const worth = sumNow + source.rate * usefulLeft(task, leftNow) - source.open;
        if (worth >= floor())
          going = found({ kind, groups: groups.map((group) => group.slice()), cost: sumNow - worth }, worth);
        if (going && restNow >= least) descend(stretch, at, restNow, sumNow, leftNow);
        if (going && stretch + 1 < groups.length)
          descend(stretch + 1, 0, source.stretches[stretch + 1]!.room, sumNow, leftNow);
        counts[index]! -= 1;
        groups[stretch]!.pop();
      }
      if (going && stretch + 1 < groups.length && groups[stretch]!.length === 0)
        descend(stretch + 1, 0, source.stretches[stretch + 1]!.room, sum, left);
    };
    if (order.length > 0 && groups.length > 0)
      descend(0, 0, source.stretches[0]!.room, 0, source.length - source.stretches[0]!.from);
    return this.looks >= 0;
  }
}
