/**
 * Every set of a few parts that can be cut from a sheet, exactly. For each set: the smallest pieces it can be cut from,
 * none of which lies within another, by rising width and falling height; a set's pieces are two smaller sets' pieces side
 * by side or one above the other. Side by side the widths add up for each height, so two lists are put together in one
 * walk along both. Sets grow by number of parts; those that fit no sheet are dropped, and so is all that contains them.
 * What a blade may not break off is not looked at here, so the sets are never too few.
 */
import { type SheetTask, type Tree } from './task';

/** So many bits have a number for each of their sets; of more only the sets that are found have one. */
const FLAT_BITS = 17;
const FIRST_BITS = 14;
/** Of so few parts the sets are never too many; of more it shows after so many points how their pieces multiply. */
const FEW_BITS = 14;
const EARLY = 1_500_000;

/** The first bit of a set. */
export const lowest = (set: number): number => 31 - Math.clz32(set & -set);

interface Size {
  readonly w: number;
  readonly h: number;
}
type Leaf = (index: number, rotated: boolean) => Tree;
export interface SubsetLimits {
  readonly sets: number;
  /** Points of pieces looked at. */
  readonly work: number;
  /** Pieces a set, on average: with more the work grows too fast. */
  readonly points: number;
}

/** Pieces by rising width; `how` is the set that comes first, or its complement where it lies below the other. */
class Pieces {
  w: Int32Array;
  h: Int32Array;
  how: Int32Array;
  count = 0;
  constructor(room: number) {
    this.w = new Int32Array(room);
    this.h = new Int32Array(room);
    this.how = new Int32Array(room);
  }
  put(w: number, h: number, how: number): void {
    if (this.count === this.w.length) {
      const room = (old: Int32Array) => {
        const wider = new Int32Array(old.length * 2);
        wider.set(old);
        return wider;
      };
      [this.w, this.h, this.how] = [room(this.w), room(this.h), room(this.how)];
    }
    this.w[this.count] = w;
    this.h[this.count] = h;
    this.how[this.count] = how;
    this.count += 1;
  }
  /** Puts a piece where those before it are no wider and those after it wider; what lies within another goes. */
  insert(at: number, w: number, h: number, how: number): void {
    if (at > 0 && this.h[at - 1]! <= h) return;
    const from = at > 0 && this.w[at - 1] === w ? at - 1 : at;
    let to = at;
    while (to < this.count && this.h[to]! >= h) to += 1;
    const more = from + 1 - to;
    if (more === 1) this.put(0, 0, 0);
    else this.count += more;
    if (more !== 0)
      for (const list of [this.w, this.h, this.how])
        list.copyWithin(from + 1, to, more === 1 ? this.count - 1 : this.count - more);
    this.w[from] = w;
    this.h[from] = h;
    this.how[from] = how;
  }
}

/** Numbers by set, 0 where there is none: in one flat list, or hashed. */
class Places {
  private sets = new Int32Array(0);
  private values: Int32Array;
  private count = 0;
  constructor(private readonly bits: number) {
    this.values = new Int32Array(2 ** Math.min(bits, bits > FLAT_BITS ? FIRST_BITS : FLAT_BITS));
    if (bits > FLAT_BITS) this.sets = new Int32Array(this.values.length);
  }
  private slot(set: number): number {
    const { sets } = this;
    const mask = sets.length - 1;
    let at = Math.imul(set, 0x9e3779b1) >>> 8;
    while (sets[(at &= mask)] !== 0 && sets[at] !== set) at += 1;
    return at;
  }
  get(set: number): number {
    return this.values[this.bits > FLAT_BITS ? this.slot(set) : set]!;
  }
  put(set: number, value: number): void {
    if (this.bits <= FLAT_BITS) {
      this.values[set] = value;
      return;
    }
    if (2 * (this.count += 1) > this.sets.length) {
      const { sets, values } = this;
      this.sets = new Int32Array(2 * sets.length);
      this.values = new Int32Array(2 * sets.length);
      for (let at = 0; at < sets.length; at += 1)
        if (sets[at] !== 0) {
          const to = this.slot(sets[at]!);
          this.sets[to] = sets[at]!;
          this.values[to] = values[at]!;
        }
    }
    const at = this.slot(set);
    this.sets[at] = set;
    this.values[at] = value;
  }
}

export class Subsets {
  /** All sets found, by number of parts. */
  readonly sets: number[] = [];
  /** For each set 1 + its place among the found, or 0; then where its pieces begin among all, and end. */
  private readonly place: Places;
  private readonly from: number[] = [];
  private readonly all = new Pieces(1024);
  private readonly now = new Pieces(64);
  private readonly areas: readonly number[];
  private readonly largest: number;
  private readonly wide: number;
  private readonly high: number;
  private readonly sources: readonly { readonly w: number; readonly h: number }[];
  private at = 0;
  private layerEnd = 0;
  private work = 0;
  done = false;
  tooMany = false;

  constructor(
    task: SheetTask,
    /** Sizes with their cuts; each may be turned or not. */
    private readonly parts: readonly { readonly w: number; readonly h: number; readonly turn: boolean }[],
    private readonly limits: SubsetLimits,
  ) {
    this.sources = task.sources;
    this.wide = Math.max(...task.sources.map((one) => one.w));
    this.high = Math.max(...task.sources.map((one) => one.h));
    this.areas = parts.map(({ w, h }) => w * h);
    this.largest = Math.max(...task.sources.map(({ w, h }) => w * h));
    this.place = new Places(parts.length);
    for (const [at, { w, h, turn }] of parts.entries()) {
      const { now } = this;
      now.count = 0;
      const turned = turn && w !== h;
      const [narrow, tall] = turned && h < w ? [h, w] : [w, h];
      if (this.fits(narrow, tall)) now.put(narrow, tall, 0);
      if (turned && this.fits(tall, narrow)) now.put(tall, narrow, 0);
      if (now.count > 0) this.keep(2 ** at);
    }
    this.layerEnd = this.sets.length;
  }

  private fits(w: number, h: number): boolean {
    return this.sources.some((one) => w <= one.w && h <= one.h);
  }
  private keep(set: number): void {
    const { now, all } = this;
    this.sets.push(set);
    this.place.put(set, this.sets.length);
    this.from.push(all.count);
    for (let at = 0; at < now.count; at += 1) all.put(now.w[at]!, now.h[at]!, now.how[at]!);
  }
  /** Of a set that was found, among all that were. */
  placeOf(set: number): number {
    return this.place.get(set) - 1;
  }
  has(set: number): boolean {
    return this.place.get(set) !== 0;
  }
  /** The pieces of a set: the places of the first and of the one after the last. */
  private range(set: number): [from: number, to: number] {
    const place = this.place.get(set) - 1;
    return [this.from[place]!, this.from[place + 1] ?? this.all.count];
  }
  /** Whether a piece of the set lies within w × h. */
  within(set: number, w: number, h: number): boolean {
    if (!this.has(set)) return false;
    const [from, to] = this.range(set);
    for (let at = from; at < to; at += 1) if (this.all.w[at]! <= w && this.all.h[at]! <= h) return true;
    return false;
  }
  /**
   * The least width of a piece of the set that is no higher; Infinity when there is none, 0 for no parts. When `prime`, also
   * Infinity where that piece is two side by side.
   */
  narrowest(set: number, high: number, prime = false): number {
    if (set === 0) return 0;
    const place = this.place.get(set);
    if (place === 0) return Infinity;
    const { w, h, how } = this.all;
    const to = this.from[place] ?? this.all.count;
    for (let at = this.from[place - 1]!; at < to; at += 1)
      if (h[at]! <= high) return prime && how[at]! > 0 ? Infinity : w[at]!;
    return Infinity;
  }
  /** The least height of a piece of the set that is no wider, when `prime` not where that is one above the other. */
  flattest(set: number, wide: number, prime = false): number {
    if (set === 0) return 0;
    const place = this.place.get(set);
    if (place === 0) return Infinity;
    const { w, h, how } = this.all;
    const from = this.from[place - 1]!;
    for (let at = (this.from[place] ?? this.all.count) - 1; at >= from; at -= 1)
      if (w[at]! <= wide) return prime && how[at]! < 0 ? Infinity : h[at]!;
    return Infinity;
  }
  /** The sizes of a set's pieces. */
  sizesOf(set: number): Size[] {
    const [from, to] = this.range(set);
    return Array.from({ length: to - from }, (_, at) => ({ w: this.all.w[from + at]!, h: this.all.h[from + at]! }));
  }

  /** Makes more sets, about `work` points' worth of them. */
  grow(work: number): void {
    const until = this.work + work;
    const bits = this.parts.length;
    while (!this.done && !this.tooMany && this.work < until) {
      if (this.at === this.layerEnd) {
        this.layerEnd = this.sets.length;
        if (this.at === this.layerEnd) this.done = true;
        continue;
      }
      const set = this.sets[this.at]!;
      this.at += 1;
      // Each larger set comes from the one without its highest part.
      for (let bit = 32 - Math.clz32(set); bit < bits; bit += 1) this.join(set | (1 << bit));
      const { sets, work, points } = this.limits;
      const crowded = bits > FEW_BITS && this.work > EARLY && this.all.count > points * this.sets.length;
      this.tooMany = this.sets.length > sets || this.work > work || crowded;
    }
  }

  private join(set: number): void {
    let area = 0;
    for (let rest = set; rest; rest &= rest - 1) {
      if (!this.has(set & ~(rest & -rest))) return;
      area += this.areas[31 - Math.clz32(rest & -rest)]!;
    }
    this.work += 4;
    if (area > this.largest) return;
    const low = set & -set;
    this.now.count = 0;
    for (let first = (set - 1) & set; first; first = (first - 1) & set) {
      if (!(first & low)) continue;
      const [a, aEnd] = this.range(first);
      const [b, bEnd] = this.range(set & ~first);
      this.work += aEnd - a + bEnd - b;
      this.beside(a, aEnd, b, bEnd, first);
      this.above(a, aEnd, b, bEnd, first);
    }
    if (this.now.count === 0) return;
    const { now } = this;
    for (let at = 0; at < now.count; at += 1)
      if (this.fits(now.w[at]!, now.h[at]!)) {
        this.keep(set);
        return;
      }
  }
  /**
   * Side by side: from the highest pieces to the lowest. The first one is not itself two side by side: those stand for the
   * same in another order.
   */
  private beside(a: number, aEnd: number, b: number, bEnd: number, first: number): void {
    const { w, h, how } = this.all;
    const { now, wide, high } = this;
    let at = 0;
    let [i, j] = [a, b];
    while (i < aEnd && j < bEnd) {
      if (how[i]! > 0) {
        i += 1;
        continue;
      }
      const width = w[i]! + w[j]!;
      if (width > wide) break;
      const [one, other] = [h[i]!, h[j]!];
      const height = one > other ? one : other;
      if (height <= high) {
        while (at < now.count && now.w[at]! <= width) at += 1;
        now.insert(at, width, height, first);
      }
      if (one >= other) i += 1;
      if (other >= one) j += 1;
    }
  }
  /** One above the other: from the widest pieces to the narrowest. */
  private above(a: number, aEnd: number, b: number, bEnd: number, first: number): void {
    const { w, h, how } = this.all;
    const { now, wide, high } = this;
    let at = now.count;
    let [i, j] = [aEnd - 1, bEnd - 1];
    while (i >= a && j >= b) {
      if (how[i]! < 0) {
        i -= 1;
        continue;
      }
      const height = h[i]! + h[j]!;
      if (height > high) break;
      const [one, other] = [w[i]!, w[j]!];
      const width = one > other ? one : other;
      if (width <= wide) {
        at = Math.min(at, now.count);
        while (at > 0 && now.w[at - 1]! > width) at -= 1;
        now.insert(at, width, height, ~first);
      }
      if (one >= other) i -= 1;
      if (other >= one) j -= 1;
    }
  }

  /**
   * The cuts of the narrowest piece of a set that lies within `size`, on a piece of w × h: `leaf` makes the tree of one
   * part. What is left beside and above it is cut off across `axis` first.
   */
  tree(set: number, w: number, h: number, size: Size, axis: 'x' | 'y', leaf: Leaf): Tree {
    const [from, to] = this.range(set);
    let at = from;
    while (at < to && (this.all.w[at]! > size.w || this.all.h[at]! > size.h)) at += 1;
    const [a, b] = [this.all.w[at]!, this.all.h[at]!];
    const left: Tree = { kind: 'left' };
    const trimmed = (way: 'x' | 'y', first: Tree): Tree =>
      (way === 'x' ? a === w : b === h)
        ? first
        : { kind: 'cut', axis: way, at: way === 'x' ? a : b, first, rest: left };
    return trimmed(axis, trimmed(axis === 'x' ? 'y' : 'x', this.inner(set, at, leaf)));
  }
  private inner(set: number, at: number, leaf: Leaf): Tree {
    const [a, b, how] = [this.all.w[at]!, this.all.h[at]!, this.all.how[at]!];
    if ((set & (set - 1)) === 0) {
      const index = 31 - Math.clz32(set);
      return leaf(index, a !== this.parts[index]!.w);
    }
    const first = how < 0 ? ~how : how;
    const part = (one: number, width: number, height: number) =>
      this.tree(one, width, height, { w: width, h: height }, how < 0 ? 'y' : 'x', leaf);
    // Of the first the smallest that keeps within the other side; what it leaves is enough for the rest.
    if (how < 0) {
      const cut = this.smallest(first, a, Infinity).h;
      return { kind: 'cut', axis: 'y', at: cut, first: part(first, a, cut), rest: part(set & ~first, a, b - cut) };
    }
    const cut = this.smallest(first, Infinity, b).w;
    return { kind: 'cut', axis: 'x', at: cut, first: part(first, cut, b), rest: part(set & ~first, a - cut, b) };
  }
  /** The narrowest piece of a set that is not higher, or the lowest that is not wider. */
  private smallest(set: number, wide: number, high: number): Size {
    const sizes = this.sizesOf(set).filter(({ w, h }) => w <= wide && h <= high);
    return wide === Infinity ? sizes[0]! : sizes[sizes.length - 1]!;
  }
}
