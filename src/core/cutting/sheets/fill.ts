/**
 * Fills sheets one after the other from a pool of parts. The free piece at hand gets the part that suits it best, or two
 * parts that lie well beside each other, with chance; the cut beside the part goes across the piece first one way or the
 * other, and both rests are filled in turn, the narrower one mostly first, while there is still a choice of parts for it.
 * Some fillings are made of some sources, and the one that costs least for what it holds is kept.
 *
 * This is where the time goes: parts of one size are counted, not listed, and the cuts are kept in flat arrays until a
 * filling has won.
 */
import type { Random } from '../random';
import { firstWithin } from './pairs';
import { PartPool } from './part-pool';
import { type CutSheet, type SheetTask, type Tree, breaks, cutSheet } from './task';

const LEFT: Tree = { kind: 'left' };
/** How often a part is left for a later sheet although it is there. */
const LEAVE = 0.08;
/** A part as wide or high as the piece at hand counts for more. */
const FLUSH = 1.1;
/** How often a part gets a strip to be broken off beside it, and how often above it. */
const SPACED = 0.2;
/** How much chance has a say, at the most. */
const NOISE = 0.8;
const WHIMS = 1024;
const LAST_WHIM = WHIMS - 1;
const GRAINS_SQUARED = 256e6;

const enum Kind {
  Left,
  Upright,
  Turned,
  CutX,
  CutY,
}

/** The cuts of one filling: node 0 is what is left over, every other one has its own place. */
class Nodes {
  readonly kind: Uint8Array;
  readonly at: Int32Array;
  readonly first: Int32Array;
  readonly rest: Int32Array;
  count = 1;
  root = 0;
  source = 0;
  constructor(room: number) {
    this.kind = new Uint8Array(room);
    this.at = new Int32Array(room);
    this.first = new Int32Array(room);
    this.rest = new Int32Array(room);
  }
}

export class SheetFiller {
  /** Chance, drawn once: which part is liked for a piece depends on where in the list the piece begins to read. */
  private readonly whims: Float64Array;
  private noise = 0;
  readonly pool: PartPool;
  /** How many of the size at each place are free for the sheet at hand. */
  private readonly free: Int32Array;

  /** Not every strip can be broken off. */
  private readonly brittle: boolean;
  /** The area of the largest sheet. */
  private readonly largest: number;
  /** Fillings made, as a measure of work. */
  tries = 0;
  private now: Nodes;
  private best: Nodes;
  private held = 0;
  private useful = 0;
  private dread = 1;
  private fond = 0;
  private leastW = 0;
  private leastH = 0;

  constructor(
    private readonly task: SheetTask,
    private readonly random: Random,
  ) {
    this.pool = new PartPool(task);
    this.free = new Int32Array(this.pool.count);
    this.whims = Float64Array.from({ length: WHIMS }, () => random.next() - 0.5);
    this.largest = Math.max(...task.sources.map(({ w, h }) => w * h));
    this.brittle = task.minBreak > 0;
    this.now = new Nodes(6 * task.parts.length + 8);
    this.best = new Nodes(6 * task.parts.length + 8);
  }

  /**
   * Fills one sheet, takes its parts from the pool. `leaving` keeps some parts back now and then. Undefined when nothing
   * fits any of the sources.
   */
  fill(sources: readonly number[], tries: number, leaving: boolean): CutSheet | undefined {
    const { task, random, free, pool } = this;
    pool.tidy();
    const { alive, live, liveW, liveH, pooled } = pool;
    let bestRate = Infinity;
    for (const source of sources) {
      const { w, h, open, rate } = task.sources[source]!;
      // A small piece can be filled in few ways.
      const most = Math.min(tries, Math.ceil((1.5 * tries * w * h) / this.largest));
      this.tries += most;
      for (let at = 0; at < most; at += 1) {
        let [leastW, leastH] = [Infinity, Infinity];
        this.noise = at === 0 ? 0.02 : NOISE * random.next() ** 2;
        for (let one = 0; one < alive; one += 1) {
          const place = live[one]!;
          free[place] = pooled[place]!;
          // The largest is never left.
          if (leaving && one > 0 && random.next() < LEAVE) free[place]! -= 1;
          if (liveW[one]! < leastW) leastW = liveW[one]!;
          if (liveH[one]! < leastH) leastH = liveH[one]!;
        }
        if (task.rotate) leastW = leastH = Math.min(leastW, leastH);
        this.leastW = leastW;
        this.leastH = leastH;
        this.dread = 0.5 + 2 * random.next();
        this.fond = pool.pairs.count > 0 && random.next() < 0.7 ? 0.4 + 0.8 * random.next() : 0;
        this.held = 0;
        this.useful = 0;
        const { now } = this;
        now.count = 1;
        now.root = this.piece(w, h);
        now.source = source;
        const worth = ((open - rate * this.useful) / this.held) * (1 + (sources.length > 1 ? 0.05 * random.next() : 0));
        if (this.held > 0 && worth < bestRate) {
          bestRate = worth;
          this.now = this.best;
          this.best = now;
        }
      }
    }
    if (bestRate === Infinity) return undefined;
    return cutSheet(task, this.best.source, this.tree(this.best.root));
  }

  /** The tree of the filling that won; its parts leave the pool. */
  private tree(node: number): Tree {
    const { kind, at, first, rest } = this.best;
    switch (kind[node]!) {
      case Kind.Left:
        return LEFT;
      case Kind.Upright:
      case Kind.Turned: {
        const place = at[node]!;
        const { pool } = this;
        const part = pool.take(place);
        // Where parts may be turned, those of one size may lie either way themselves.
        const upright = this.task.parts[part]!.w === pool.w[pool.size[place]!];
        return { kind: 'part', part, rotated: (kind[node] === Kind.Turned) === upright };
      }
      default:
        return {
          kind: 'cut',
          axis: kind[node] === Kind.CutX ? 'x' : 'y',
          at: at[node]!,
          first: this.tree(first[node]!),
          rest: this.tree(rest[node]!),
        };
    }
  }

  private leaf(place: number, turned: boolean): number {
    const { now } = this;
    const node = now.count++;
    now.kind[node] = turned ? Kind.Turned : Kind.Upright;
    now.at[node] = place;
    this.free[place]! -= 1;
    return node;
  }
  private cut(kind: Kind, at: number, first: number, rest: number): number {
    const { now } = this;
    const node = now.count++;
    now.kind[node] = kind;
    now.at[node] = at;
    now.first[node] = first;
    now.rest[node] = rest;
    return node;
  }
  private left(width: number, height: number): number {
    const { kerf, minOffcut } = this.task;
    const [a, b] = [width - kerf, height - kerf];
    if (
      a < b
        ? a > 0 && a >= minOffcut.short && b >= minOffcut.long
        : b > 0 && b >= minOffcut.short && a >= minOffcut.long
    )
      this.useful += (a * b) / GRAINS_SQUARED;
    return 0;
  }

  private suits(a: number, b: number, width: number, height: number): boolean {
    return breaks(this.task, a, width - a) && breaks(this.task, b, height - b);
  }
  /** What is lost beside a × b on a piece when nothing fits there any more. */
  private lost(a: number, b: number, width: number, height: number): number {
    const restA = width - a;
    const restB = height - b;
    return (restA < this.leastW ? restA * b : 0) + (restB < this.leastH ? restB * a : 0);
  }

  /** How much a part of a × b is wanted in the corner of a piece. */
  private liking(value: number, a: number, b: number, width: number, height: number): number {
    const score = value - this.dread * this.lost(a, b, width, height);
    return a === width || b === height ? FLUSH * score : score;
  }

  private piece(width: number, height: number): number {
    const { task, pool, free, dread, whims, noise, fond, brittle } = this;
    if (width < this.leastW || height < this.leastH) return this.left(width, height);
    const { alive, live, liveW, liveH, liveArea, liveValue, size, tops, pairs } = pool;
    const { rotate } = task;
    let whim = this.random.below(WHIMS);
    let chosen = -1;
    let turned = false;
    let most = -Infinity;
    const luck = FLUSH * (1 + noise / 2);
    for (let at = firstWithin(liveArea, alive, width * height); at < alive; at += 1) {
      // None from here on can be liked more.
      if (tops[at]! * luck <= most) break;
      const place = live[at]!;
      if (free[place] === 0) continue;
      const [w, h] = [liveW[at]!, liveH[at]!];
      if (w <= width && h <= height && (!brittle || this.suits(w, h, width, height))) {
        const score = this.liking(liveValue[at]!, w, h, width, height) * (1 + noise * whims[(whim += 1) & LAST_WHIM]!);
        if (score > most) {
          most = score;
          chosen = place;
          turned = false;
        }
      }
      if (rotate && w !== h && h <= width && w <= height && (!brittle || this.suits(h, w, width, height))) {
        const score = this.liking(liveValue[at]!, h, w, width, height) * (1 + noise * whims[(whim += 1) & LAST_WHIM]!);
        if (score > most) {
          most = score;
          chosen = place;
          turned = true;
        }
      }
    }
    if (chosen < 0) return this.left(width, height);
    if (fond > 0) {
      let pair = -1;
      const lucky = fond * (1 + noise / 2);
      for (let at = firstWithin(pairs.room, pairs.count, width * height); at < pairs.count; at += 1) {
        // None from here on can be liked more.
        if (pairs.tops[at]! * lucky <= most) break;
        const w = pairs.w[at]!;
        const h = pairs.h[at]!;
        if (w > width || h > height) continue;
        const one = pairs.one[at]!;
        const other = pairs.other[at]!;
        if (free[one] === 0 || free[other]! <= (one === other ? 1 : 0) || (brittle && !this.suits(w, h, width, height)))
          continue;
        const area = pairs.area[at]!;
        const score =
          fond *
          (1 + noise * whims[(whim += 1) & LAST_WHIM]!) *
          (pairs.value[at]! - dread * (w * h - area) - dread * this.lost(w, h, width, height));
        if (score > most) {
          most = score;
          pair = at;
        }
      }
      if (pair >= 0) return this.spaced(this.both(pair), pairs.w[pair]!, pairs.h[pair]!, width, height);
    }
    const one = size[chosen]!;
    this.held += pool.value[one]!;
    const node = this.leaf(chosen, turned);
    return turned
      ? this.spaced(node, pool.h[one]!, pool.w[one]!, width, height)
      : this.spaced(node, pool.w[one]!, pool.h[one]!, width, height);
  }

  /** The cuts of a pair. */
  private both(pair: number): number {
    const { size, pairs, w, h } = this.pool;
    const how = pairs.how[pair]!;
    const [one, other] = [pairs.one[pair]!, pairs.other[pair]!];
    this.held += pairs.value[pair]!;
    const side = (place: number, turned: boolean, across: boolean) =>
      turned === across ? h[size[place]!]! : w[size[place]!]!;
    const [i, j] = [(how & 1) !== 0, (how & 2) !== 0];
    const beside = how < 4;
    const to = beside ? pairs.h[pair]! : pairs.w[pair]!;
    const trim = (place: number, turned: boolean) => {
      const leaf = this.leaf(place, turned);
      const own = side(place, turned, !beside);
      return own === to ? leaf : this.cut(beside ? Kind.CutY : Kind.CutX, own, leaf, 0);
    };
    const first = trim(one, i);
    const rest = trim(other, j);
    return this.cut(beside ? Kind.CutX : Kind.CutY, side(one, i, beside), first, rest);
  }

  /**
   * Where not every strip can be broken off, what lies beside a part can be nearly as large only if the part has a strip
   * round it that can: with chance it gets one.
   */
  private spaced(leaf: number, a: number, b: number, width: number, height: number): number {
    if (!this.brittle) return this.around(leaf, a, b, width, height);
    const strip = this.task.kerf + this.task.minBreak;
    let node = leaf;
    let [w, h] = [a, b];
    if (this.random.next() < SPACED && w + strip <= width && this.suits(w + strip, h, width, height)) {
      node = this.cut(Kind.CutX, w, node, 0);
      w += strip;
    }
    if (this.random.next() < SPACED && h + strip <= height && this.suits(w, h + strip, width, height)) {
      node = this.cut(Kind.CutY, h, node, 0);
      h += strip;
    }
    return this.around(node, w, h, width, height);
  }
  /** Cuts what is a × b free in the corner of a piece and fills what is left of the piece. */
  private around(leaf: number, a: number, b: number, width: number, height: number): number {
    const { random } = this;
    const [restA, restB] = [width - a, height - b];
    if (restA === 0 && restB === 0) return leaf;
    // Cut so that the larger rest stays large, or now and then the other way.
    const long = restA * height >= restB * width;
    if (restB === 0 || (restA !== 0 && random.next() < 0.8 === long)) {
      let first = leaf;
      if (restA * height < restB * a || random.next() < 0.25) {
        const rest = this.piece(restA, height);
        if (restB !== 0) first = this.cut(Kind.CutY, b, leaf, this.piece(a, restB));
        return this.cut(Kind.CutX, a, first, rest);
      }
      if (restB !== 0) first = this.cut(Kind.CutY, b, leaf, this.piece(a, restB));
      return this.cut(Kind.CutX, a, first, this.piece(restA, height));
    }
    let first = leaf;
    if (restB * width < restA * b || random.next() < 0.25) {
      const rest = this.piece(width, restB);
      if (restA !== 0) first = this.cut(Kind.CutX, a, leaf, this.piece(restA, b));
      return this.cut(Kind.CutY, b, first, rest);
    }
    if (restA !== 0) first = this.cut(Kind.CutX, a, leaf, this.piece(restA, b));
    return this.cut(Kind.CutY, b, first, this.piece(width, restB));
  }
}
