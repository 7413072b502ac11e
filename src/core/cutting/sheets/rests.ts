/**
 * The most that useful offcuts can take of a piece beside the parts of a set, over all ways to cut it edge to edge, and
 * the cuts that leave so much. A useful offcut has a least size as a part has, and grows into what is left over.
 *
 * A cut shares the set out over two sides. A side that keeps no offcut is as small as its parts allow; where that is two
 * beside each other in the same way, one of them is cut off first. Where both sides
 * keep one, what offcuts take is, for each arrangement, linear in the place of each cut; so in some best one the cut lies
 * as far from one edge of the piece as the parts and least offcuts take that stand between: those places are tried. What
 * both sides would keep if each had all the room between them is never less; it is known without trying the places, and
 * says which of them need not be.
 */
import { toSquareMm } from '../grain';
import { type Subsets, lowest } from './subsets';
import { type SheetTask, type Tree, usefulArea } from './task';

interface Sized {
  readonly w: number;
  readonly h: number;
  readonly turn: boolean;
}
interface Split {
  readonly across: boolean;
  readonly at: number;
  readonly first: number;
  /** The first side keeps no offcut: it is cut to its parts. */
  readonly tight: boolean;
}
/** A way to share a set out, with the first side cut between two places; no more than `above` comes of it. */
interface Choice extends Omit<Split, 'at'> {
  readonly side: number;
  readonly other: number;
  readonly from: number;
  readonly to: number;
  readonly above: number;
}
interface Found {
  readonly value: number;
  readonly limit: number;
  readonly split: Split | undefined;
}
/** Where more of the least offcuts than this stand in a row, all that is left over counts as useful. */
const MOST_ROWS = 40;
/** Products of two sides must be whole numbers. */
const MOST_SIDES = 2 ** 53;
/** Of useful areas, in mm². */
const ROUNDING = 1e-6;
const MOST_KNOWN = 200_000;
/** Pieces looked at for one set; places of a cut: with more of them only some are tried. */
const PATIENCE = { pieces: 200, places: 24 };
/** Sums looked at for each place. */
const SUMS = 16;
const PARTS = [0, 0.25, 0.5, 0.75, 1];

const LEFT: Tree = { kind: 'left' };
const NOTHING: Found = { value: 0, limit: 0, split: undefined };

/** What is known of sets on pieces; forgotten when it becomes too much. */
class Known<T> {
  private readonly bySet = new Map<number, Map<number, T>>();
  private count = 0;
  constructor(private readonly stride: number) {}
  get(set: number, w: number, h: number): T | undefined {
    return this.bySet.get(set)?.get(w * this.stride + h);
  }
  put(set: number, w: number, h: number, value: T): T {
    if ((this.count += 1) > MOST_KNOWN) {
      this.bySet.clear();
      this.count = 1;
    }
    let sizes = this.bySet.get(set);
    if (!sizes) this.bySet.set(set, (sizes = new Map<number, T>()));
    sizes.set(w * this.stride + h, value);
    return value;
  }
}

export class Rests {
  private readonly limits: Known<number>;
  private readonly found: Known<Found>;
  private readonly offcut: number;
  /** What least offcuts in a row take: all sums of their sides. */
  private readonly rows: readonly number[];
  private effort = 0;
  /** False where offcuts are too small, or sheets too large. */
  readonly able: boolean;

  constructor(
    private readonly task: SheetTask,
    private readonly subsets: Subsets,
    /** Sizes of the bits of a set; the last one is the least useful offcut. */
    private readonly parts: readonly Sized[],
    private readonly patience = PATIENCE,
  ) {
    const longest = Math.max(...task.sources.map(({ w, h }) => Math.max(w, h)));
    this.limits = new Known(longest + 1);
    this.found = new Known(longest + 1);
    this.offcut = 1 << (parts.length - 1);
    const { w, h } = parts[parts.length - 1]!;
    const sides = [w, h].filter((side) => side > 0);
    const rows = new Set([0]);
    for (const sum of rows)
      if (rows.size <= MOST_ROWS) for (const side of sides) if (sum + side <= longest) rows.add(sum + side);
    this.rows = [...rows];
    this.able = sides.length === 2 && rows.size <= MOST_ROWS && (longest + 1) ** 2 < MOST_SIDES;
  }

  /** No arrangement leaves more useful area (mm²) beside a set on a piece of w × h. */
  atMost(set: number, w: number, h: number): number {
    if (set === 0) return usefulArea(this.task, w, h);
    if (!this.subsets.within(set | this.offcut, w, h)) return 0;
    const known = this.limits.get(set, w, h);
    if (known !== undefined) return known;
    const room = toSquareMm(w * h - this.areaOf(set));
    let most = 0;
    for (const across of [true, false]) {
      const [side, other] = across ? [w, h] : [h, w];
      for (let first = set; first && most < room; first = (first - 1) & set) {
        const rest = set & ~first;
        const tight = side - this.least(first, across, other, true);
        if (tight > 0 && toSquareMm(tight * other - this.areaOf(rest)) > most)
          most = Math.max(most, this.limitOf(rest, across, tight, other));
        // Each pair of sides once.
        if (!(first & (set & -set))) continue;
        const from = this.least(first | this.offcut, across, other);
        const to = side - this.least(rest | this.offcut, across, other);
        if (from <= to)
          most = Math.max(
            most,
            this.limitOf(first, across, to, other) + this.limitOf(rest, across, side - from, other),
          );
      }
    }
    return this.limits.put(set, w, h, Math.min(most, room));
  }

  /** The most useful area (mm²) known to be left beside a set on a piece of w × h, which it fits, and a limit of it. */
  most(set: number, w: number, h: number): Found {
    this.effort = this.patience.pieces;
    return this.best(set, w, h);
  }
  private best(set: number, w: number, h: number): Found {
    if (set === 0) {
      const value = usefulArea(this.task, w, h);
      return { value, limit: value, split: undefined };
    }
    const most = this.atMost(set, w, h);
    if (most === 0) return NOTHING;
    const known = this.found.get(set, w, h);
    if (known) return known;
    this.effort -= 1;
    let best = NOTHING;
    for (const choice of this.choices(set, w, h)) {
      const above = Math.min(choice.above, most);
      if (above <= best.value + ROUNDING) break;
      if (this.effort < 0) {
        best = { ...best, limit: Math.max(best.limit, above) };
        break;
      }
      best = choice.tight ? this.beside(set, choice, best) : this.between(set, choice, best);
    }
    return this.found.put(set, w, h, { ...best, limit: Math.min(most, Math.max(best.limit, best.value)) });
  }
  private beside(set: number, { across, first, side, other, from }: Choice, best: Found): Found {
    const { value, limit } = this.bestOf(set & ~first, across, side - from, other);
    const split = { across, at: from, first, tight: true };
    return { ...(value > best.value ? { value, split } : best), limit: Math.max(best.limit, limit) };
  }

  /** The ways to share a set out, by what may come of them. */
  private choices(set: number, w: number, h: number): Choice[] {
    const found: Choice[] = [];
    for (const across of [true, false]) {
      const [side, other] = across ? [w, h] : [h, w];
      for (let first = set; first; first = (first - 1) & set) {
        const rest = set & ~first;
        const at = this.least(first, across, other, true);
        if (at < side) {
          const above = this.limitOf(rest, across, side - at, other);
          if (above > 0) found.push({ across, first, side, other, from: at, to: at, tight: true, above });
        }
        if (!(first & (set & -set))) continue;
        const from = this.least(first | this.offcut, across, other);
        const to = side - this.least(rest | this.offcut, across, other);
        if (!(from <= to)) continue;
        const above = this.limitOf(first, across, to, other) + this.limitOf(rest, across, side - from, other);
        found.push({ across, first, side, other, from, to, tight: false, above });
      }
    }
    return found.sort((a, b) => b.above - a.above || Number(b.tight) - Number(a.tight));
  }

  /** A cut with offcuts on both sides. */
  private between(set: number, { across, first, side, other, from, to }: Choice, before: Found): Found {
    const rest = set & ~first;
    const sums = new Set([from, to]);
    const all =
      this.sums(first, across, from, to, sums, (sum) => sum) &&
      this.sums(rest, across, side - to, side - from, sums, (sum) => side - sum);
    const places = all ? [...sums].sort((a, b) => a - b) : PARTS.map((part) => from + Math.round((to - from) * part));
    let best = before;
    const above = (low: number, high: number) =>
      this.limitOf(first, across, high, other) + this.limitOf(rest, across, side - low, other);
    const look = (at: number): void => {
      if (above(at, at) <= best.value + ROUNDING) return;
      const one = this.bestOf(first, across, at, other);
      const two = this.bestOf(rest, across, side - at, other);
      const value = one.value + two.value;
      const limit = Math.max(best.limit, one.limit + two.limit);
      best = { ...(value > best.value ? { value, split: { across, at, first, tight: false } } : best), limit };
    };
    const within = (low: number, high: number): void => {
      const most = above(places[low]!, places[high]!);
      if (most <= best.value + ROUNDING) return;
      if (high - low < 2) {
        // Where not all places are known there may be a better one between.
        if (!all) best = { ...best, limit: Math.max(best.limit, most) };
        return;
      }
      const middle = (low + high) >> 1;
      look(places[middle]!);
      within(low, middle);
      within(middle, high);
    };
    look(to);
    look(from);
    within(0, places.length - 1);
    return best;
  }

  /**
   * Adds what some parts of a set and least offcuts take in a row, where it is between two lengths. False when there are
   * too many.
   */
  private sums(
    set: number,
    across: boolean,
    from: number,
    to: number,
    found: Set<number>,
    placeOf: (sum: number) => number,
  ): boolean {
    let looks = 0;
    const walk = (rest: number, sum: number): boolean => {
      if (sum > to) return true;
      if ((looks += 1) > SUMS * this.patience.places || found.size > this.patience.places) return false;
      if (rest === 0) {
        for (const row of this.rows) if (sum + row >= from && sum + row <= to) found.add(placeOf(sum + row));
        return true;
      }
      const { w, h, turn } = this.parts[lowest(rest)]!;
      const others = rest & (rest - 1);
      return (
        walk(others, sum) &&
        (!(across || turn) || walk(others, sum + w)) &&
        (!(!across || turn) || walk(others, sum + h))
      );
    };
    return walk(set, 0);
  }

  private limitOf(set: number, across: boolean, side: number, other: number): number {
    return across ? this.atMost(set, side, other) : this.atMost(set, other, side);
  }
  private bestOf(set: number, across: boolean, side: number, other: number): Found {
    return across ? this.best(set, side, other) : this.best(set, other, side);
  }
  /** The least side of a piece that holds a set when its other side is so long. */
  private least(set: number, across: boolean, other: number, prime = false): number {
    return across ? this.subsets.narrowest(set, other, prime) : this.subsets.flattest(set, other, prime);
  }
  private areaOf(set: number): number {
    let sum = 0;
    for (let rest = set; rest; rest &= rest - 1) {
      const { w, h } = this.parts[lowest(rest)]!;
      sum += w * h;
    }
    return sum;
  }

  /** Cuts of w × h that leave the most beside a set. `leaf` makes the tree of one part. */
  tree(set: number, w: number, h: number, leaf: (index: number, rotated: boolean) => Tree): Tree {
    if (set === 0) return LEFT;
    const { split } = this.most(set, w, h);
    if (!split) return this.subsets.tree(set, w, h, { w, h }, 'x', leaf);
    const { across, at, first, tight } = split;
    const size = across ? { w: at, h } : { w, h: at };
    return {
      kind: 'cut',
      axis: across ? 'x' : 'y',
      at,
      first: tight
        ? this.subsets.tree(first, size.w, size.h, size, across ? 'y' : 'x', leaf)
        : this.tree(first, size.w, size.h, leaf),
      rest: this.tree(set & ~first, across ? w - at : w, across ? h : h - at, leaf),
    };
  }
}
