/**
 * Ruin and recreate on one moulding. A few sticks are emptied, the poor ones first, and their legs laid into sticks
 * again: offcuts of the rack or new ones, each filled as full as it goes, with chance in what is tried. The new sticks
 * stay when they cost less than the old ones, or a little more while the search is warm. Where there are several
 * finish batches, each frame wants one, and only sticks of that batch take its legs.
 *
 * State: the sticks, how many of each source are open, the frames that are not made.
 */
import { type Random, randomFrom, shuffle } from '../random';
import { Filler } from './fill';
import { type Bar, type StickResult, type StickTask, barOf } from './task';

/** Looks for the fullest stick: few mostly, many now and then, where only a perfect fill helps. */
const EFFORT = 400;
const MUCH_EFFORT = 12_000;
/** What a long offcut in one piece is worth over the same in many, so that sticks empty out. */
const TIDY = 0.04;
const ANY = -1;

interface Move {
  readonly bars: Bar[];
  readonly worth: number;
  /** Frames left over because no stick takes all their legs. */
  readonly left: number[];
}

export class StickSearch {
  private readonly random: Random;
  private readonly filler = new Filler();
  private readonly used: number[];
  private readonly wants: number[];
  private bars: Bar[] = [];
  private unmade: number[] = [];
  private heat: number;
  private effort = EFFORT;
  best: StickResult;

  constructor(
    readonly task: StickTask,
    seed: number,
  ) {
    this.random = randomFrom(seed);
    this.used = task.sources.map(() => 0);
    this.wants = task.frames.map(() => ANY);
    this.best = this.construct();
    this.heat = 0.01 * (this.best.cost / Math.max(1, this.best.bars.length));
    this.take(this.best);
  }

  private take({ bars, unmade }: StickResult): void {
    this.bars = [...bars];
    this.unmade = [...unmade];
    this.used.fill(0);
    for (const bar of bars) this.used[bar.source]! += 1;
  }

  /** Goes on from a plan found elsewhere, if it is better; its cost is counted here. */
  offer({ bars, unmade }: StickResult): boolean {
    const result = this.whole(bars, unmade);
    if (result.cost >= this.best.cost - 1e-9) return false;
    this.best = result;
    this.take(result);
    return true;
  }

  /** What a plan costs, batches and frames that are not made included. */
  private whole(bars: readonly Bar[], unmade: readonly number[]): StickResult {
    const { task } = this;
    let cost = unmade.length * task.unmadePenalty;
    for (const bar of bars) cost += bar.cost;
    if (task.batches > 1) {
      const seen = new Int32Array(task.frames.length).fill(-1);
      const mixed = new Set<number>();
      for (const bar of bars) {
        const { batch } = task.sources[bar.source]!;
        for (const group of bar.groups)
          for (const leg of group) {
            const { frame } = task.legs[leg]!;
            if (seen[frame] === -1) seen[frame] = batch;
            else if (seen[frame] !== batch) mixed.add(frame);
          }
      }
      cost += mixed.size * task.batchPenalty;
    }
    return { bars, unmade, cost };
  }

  /** First fit decreasing, in a few ways; the cheapest. */
  private construct(): StickResult {
    const { task } = this;
    const longest = (list: readonly { index: number }[]) =>
      Math.max(0, ...list.map(({ index }) => Math.max(0, ...task.sources[index]!.stretches.map((one) => one.room))));
    const all = task.sources.map((_, index) => ({ index }));
    const most = longest(all);
    const makeable = task.frames.map(({ legs }) => legs.every((leg) => task.legs[leg]!.take <= most));
    const order = task.legs
      .map((_, leg) => leg)
      .filter((leg) => makeable[task.legs[leg]!.frame])
      .sort((a, b) => task.legs[b]!.take - task.legs[a]!.take || a - b);
    const stock = all.filter(({ index }) => !task.sources[index]!.rack);
    const rack = all.filter(({ index }) => task.sources[index]!.rack);
    const byLength = (list: { index: number }[]) =>
      list.sort((a, b) => task.sources[a.index]!.length - task.sources[b.index]!.length).map(({ index }) => index);
    const batches = [...new Set(stock.map(({ index }) => task.sources[index]!.batch))];
    const tries = [
      ...stock.map(({ index }) => [index]),
      ...batches.map((batch) => [
        ...byLength(rack.filter(({ index }) => task.sources[index]!.batch === batch)),
        ...byLength(stock.filter(({ index }) => task.sources[index]!.batch === batch)).reverse(),
      ]),
      [...byLength(rack), ...byLength(stock).reverse()],
    ];
    const different = [...new Map(tries.map((sources) => [sources.join(), sources])).values()];
    return different
      .map((sources) => this.firstFit(order, sources))
      .reduce((best, one) => (one.cost < best.cost ? one : best));
  }

  private firstFit(order: readonly number[], sources: readonly number[]): StickResult {
    const { task } = this;
    const open: { source: number; rest: number[]; groups: number[][] }[] = [];
    const used = task.sources.map(() => 0);
    const failed = new Set<number>();
    const least = Math.min(...task.legs.map((leg) => leg.take));
    let firstOpen = 0;
    for (const leg of order) {
      const { take, frame } = task.legs[leg]!;
      if (failed.has(frame)) continue;
      while (firstOpen < open.length && open[firstOpen]!.rest.every((rest) => rest < least)) firstOpen += 1;
      let placed = false;
      for (let at = firstOpen; at < open.length && !placed; at += 1) {
        const { rest, groups } = open[at]!;
        for (let group = 0; group < rest.length && !placed; group += 1) {
          if (rest[group]! < take) continue;
          rest[group]! -= take;
          groups[group]!.push(leg);
          placed = true;
        }
      }
      if (placed) continue;
      const source = sources.find(
        (one) => used[one]! < task.sources[one]!.most && task.sources[one]!.stretches.some(({ room }) => room >= take),
      );
      if (source === undefined) {
        failed.add(frame);
        continue;
      }
      used[source]! += 1;
      const { stretches } = task.sources[source]!;
      const bar = { source, rest: stretches.map(({ room }) => room), groups: stretches.map((): number[] => []) };
      const group = bar.rest.findIndex((rest) => rest >= take);
      bar.rest[group]! -= take;
      bar.groups[group]!.push(leg);
      open.push(bar);
    }
    return this.without(
      open.map(({ source, groups }) => barOf(task, source, groups)),
      failed,
    );
  }

  /** Frames are made whole or not at all: the legs of those that fail leave their sticks. */
  private without(bars: readonly Bar[], failed: ReadonlySet<number>): StickResult {
    const { task } = this;
    const kept = failed.size
      ? bars.flatMap((bar) => {
          const groups = bar.groups.map((group) => group.filter((leg) => !failed.has(task.legs[leg]!.frame)));
          return groups.some((group) => group.length > 0) ? [barOf(task, bar.source, groups)] : [];
        })
      : bars;
    const made = new Set(
      kept.flatMap((bar) => bar.groups.flatMap((group) => group.map((leg) => task.legs[leg]!.frame))),
    );
    return this.whole(
      kept,
      task.frames.map((_, frame) => frame).filter((frame) => !made.has(frame)),
    );
  }

  /** One ruin and recreate. True when it found a new best. */
  step(): boolean {
    const { task, random } = this;
    if (this.bars.length === 0 && this.unmade.length === 0) return false;
    const out = this.ruin();
    const pool = out.flatMap((at) => this.bars[at]!.groups.flat());
    const retried = this.unmade.filter(() => random.next() < 0.3).slice(0, 3);
    for (const frame of retried) pool.push(...task.frames[frame]!.legs);
    if (task.batches > 1) this.rewant(pool);
    const old = out.map((at) => this.bars[at]!);
    for (const bar of old) this.used[bar.source]! -= 1;
    const oldWorth = old.reduce((sum, bar) => sum + this.worth(bar), 0) + retried.length * task.unmadePenalty;
    const move = this.whollyMade(this.recreate(pool), retried);
    const keep = this.accepts(move, oldWorth, retried);
    if (!keep) {
      for (const bar of move.bars) this.used[bar.source]! -= 1;
      for (const bar of old) this.used[bar.source]! += 1;
      return false;
    }
    out.sort((a, b) => b - a);
    for (const at of out) {
      this.bars[at] = this.bars[this.bars.length - 1]!;
      this.bars.pop();
    }
    this.bars.push(...move.bars);
    if (retried.length > 0) this.unmade = this.unmade.filter((frame) => !retried.includes(frame)).concat(move.left);
    const now = this.whole(this.bars, this.unmade);
    if (now.cost >= this.best.cost - 1e-9) return false;
    this.best = { ...now, bars: [...this.bars], unmade: [...this.unmade] };
    return true;
  }

  /** Cools to nothing as `share` of the search goes by, 0 to 1. */
  cool(share: number): void {
    const start = 0.01 * (this.best.cost / Math.max(1, this.best.bars.length));
    this.heat = start * Math.max(0, 1 - share) ** 2;
  }
  /** Back to the best plan. */
  restart(): void {
    this.take(this.best);
  }

  private worth(bar: Bar): number {
    const source = this.task.sources[bar.source]!;
    return bar.cost - (TIDY * source.rate * bar.left * bar.left) / source.length;
  }

  private accepts(move: Move, oldWorth: number, retried: readonly number[]): boolean {
    const { task } = this;
    if (move.left.some((frame) => !retried.includes(frame))) return false;
    let worth = move.worth + move.left.length * task.unmadePenalty;
    if (task.batches > 1) {
      // Mixed frames are counted over the whole plan: legs of a frame lie in other sticks as well.
      const others = this.bars.filter((bar) => !this.leaving.has(bar));
      const before = this.mixed(this.bars);
      worth += (this.mixed([...others, ...move.bars]) - before) * task.batchPenalty;
    }
    const allowed = this.heat > 0 ? -this.heat * Math.log(1 - this.random.next()) : 0;
    return worth < oldWorth + allowed - 1e-9 || (worth <= oldWorth && this.random.next() < 0.5);
  }
  private mixed(bars: readonly Bar[]): number {
    return (this.whole(bars, []).cost - bars.reduce((sum, bar) => sum + bar.cost, 0)) / (this.task.batchPenalty || 1);
  }

  private leaving: ReadonlySet<Bar> = new Set();
  /** A frame that was tried again and finds no room for all its legs leaves the sticks again. */
  private whollyMade(move: Move, retried: readonly number[]): Move {
    const gone = new Set(move.left.filter((frame) => retried.includes(frame)));
    if (gone.size === 0) return move;
    const { task } = this;
    const bars = move.bars.flatMap((bar) => {
      const groups = bar.groups.map((group) => group.filter((leg) => !gone.has(task.legs[leg]!.frame)));
      if (groups.some((group) => group.length > 0)) return [barOf(task, bar.source, groups)];
      this.used[bar.source]! -= 1;
      return [];
    });
    return { bars, worth: bars.reduce((sum, bar) => sum + this.worth(bar), 0), left: move.left };
  }

  /** Which sticks are emptied: one that wastes, and some others. */
  private ruin(): number[] {
    const { random, bars } = this;
    const count = Math.min(bars.length, 2 + random.below(random.next() < 0.3 ? 6 : 3));
    const out = new Set<number>();
    const poor = () => {
      let at = random.below(bars.length);
      for (let tries = 0; tries < 3; tries += 1) {
        const other = random.below(bars.length);
        if (bars[other]!.left > bars[at]!.left) at = other;
      }
      return at;
    };
    if (count > 0) out.add(poor());
    for (let tries = 0; out.size < count && tries < 30; tries += 1)
      out.add(random.next() < 0.35 ? poor() : random.below(bars.length));
    const list = [...out];
    this.leaving = new Set(list.map((at) => bars[at]!));
    return list;
  }

  /** Frames wholly in the pool may want another batch now; those with legs elsewhere want what they have, or none. */
  private rewant(pool: readonly number[]): void {
    const { task, random, wants } = this;
    const there = new Map<number, number>();
    for (const leg of pool) {
      const { frame } = task.legs[leg]!;
      there.set(frame, (there.get(frame) ?? 0) + 1);
    }
    const elsewhere = new Map<number, number>();
    for (const bar of this.bars)
      if (!this.leaving.has(bar))
        for (const group of bar.groups)
          for (const leg of group) elsewhere.set(task.legs[leg]!.frame, task.sources[bar.source]!.batch);
    for (const [frame, count] of there) {
      const chance = random.next();
      if (count === task.frames[frame]!.legs.length)
        wants[frame] = chance < 0.75 ? random.below(task.batches) : chance < 0.9 ? wants[frame]! : ANY;
      else wants[frame] = chance < 0.15 ? ANY : (elsewhere.get(frame) ?? ANY);
    }
  }

  /** Lays the pool into sticks, one after the other. */
  private recreate(legs: readonly number[]): Move {
    const { task, random } = this;
    const pool = [...legs].sort((a, b) => task.legs[b]!.take - task.legs[a]!.take || a - b);
    const bars: Bar[] = [];
    let worth = 0;
    const exclude = random.next() < 0.5 ? 0.12 : 0;
    this.effort = random.next() < 0.08 ? MUCH_EFFORT : EFFORT;
    while (pool.length > 0) {
      const found = this.nextBar(pool, exclude);
      if (!found) break;
      const gone = new Set(found.groups.flat());
      for (let at = pool.length - 1; at >= 0; at -= 1) if (gone.has(pool[at]!)) pool.splice(at, 1);
      bars.push(found);
      this.used[found.source]! += 1;
      worth += this.worth(found);
    }
    return { bars, worth, left: [...new Set(pool.map((leg) => task.legs[leg]!.frame))] };
  }

  /** The stick that is laid next: of a few sources, the one that costs least for what it takes. */
  private nextBar(pool: readonly number[], exclude: number): Bar | undefined {
    const { task, random } = this;
    const free = task.sources.flatMap((source, index) => (this.used[index]! < source.most ? [index] : []));
    let tried = free;
    if (free.length > 6) {
      const stock = free.filter((index) => !task.sources[index]!.rack);
      tried = [
        ...shuffle(stock, random).slice(0, 3),
        ...shuffle(
          free.filter((index) => task.sources[index]!.rack),
          random,
        ).slice(0, 4),
      ];
    }
    let best: Bar | undefined;
    let bestRate = Infinity;
    for (const index of tried) {
      const bar = this.filled(pool, index, exclude);
      if (!bar) continue;
      let load = 0;
      for (const group of bar.groups) for (const leg of group) load += task.legs[leg]!.take;
      const rate = (bar.cost / load) * (1 + 0.06 * random.next());
      if (rate < bestRate) {
        best = bar;
        bestRate = rate;
      }
    }
    return best;
  }

  private filled(pool: readonly number[], index: number, exclude: number): Bar | undefined {
    const { task, random, wants } = this;
    const source = task.sources[index]!;
    let left =
      task.batches > 1
        ? pool.filter((leg) => {
            const want = wants[task.legs[leg]!.frame]!;
            return want === ANY || want === source.batch;
          })
        : pool;
    if (exclude > 0) left = left.filter((_, at) => at === 0 || random.next() >= exclude);
    let any = false;
    const groups = source.stretches.map(({ room }) => {
      const takes = left.map((leg) => task.legs[leg]!.take);
      const { picked } = this.filler.fill(takes, room, this.effort, !source.rack || random.next() < 0.3);
      const group = picked.map((at) => left[at]!);
      if (group.length > 0) {
        any = true;
        const gone = new Set(group);
        left = left.filter((leg) => !gone.has(leg));
      }
      return group;
    });
    return any ? barOf(task, index, groups) : undefined;
  }
}
