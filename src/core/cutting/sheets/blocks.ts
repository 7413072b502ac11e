/**
 * Blocks: two to four parts put together with little waste, side by side or one above the other, then with others in turn.
 * Each number of parts keeps so many, those that waste least for their size. What dense sheets are made of is among them,
 * while all sets of so many parts would be too many.
 */
import type { SheetTask, Tree } from './task';

export const MOST_IN_BLOCK = 4;
const STEPS = 512;
/** No block wastes a larger share of itself. */
const WASTE = 0.25;
/** Nor more of a sheet. */
const LOST = 0.07;
/** Blocks that tell how many there are. */
const SAMPLE = 400;
/** After so many it is asked whether to stop. */
const ASKING = 64;
const MOST_SIZES = 1000;
const NONE = -1;

export interface BlockSize {
  /** One of them. */
  readonly part: number;
  readonly w: number;
  readonly h: number;
  /** How many there are. */
  readonly count: number;
}

/** Blocks in flat lists; `first` and `other` are the blocks one is made of, of a single part its size and whether it is turned. */
export class Blocks {
  count = 0;
  w: Int32Array;
  h: Int32Array;
  area: Float64Array;
  /** Four places each, sizes by rising number. */
  ids: Int16Array;
  /** A number for its parts. */
  name: Float64Array;
  private first: Int32Array;
  private other: Int32Array;
  private how: Uint8Array;
  /** Where the blocks of so many parts begin; the last entry is where they end. */
  private readonly begins = [0];
  private readonly wide: number;
  private readonly high: number;
  /** The blocks of so many parts by their sides. */
  private readonly byHeight: Int32Array[] = [];
  private readonly byWidth: Int32Array[] = [];
  private readonly shortest: number;
  private readonly lost: number;
  private readonly known = new Map<number, number[]>();

  constructor(
    task: SheetTask,
    private readonly sizes: readonly BlockSize[],
    /** Blocks of each number of parts. */
    private readonly most: number,
  ) {
    const bought = task.sources.filter(({ rack }) => !rack);
    this.wide = Math.max(0, ...bought.map(({ w }) => w));
    this.high = Math.max(0, ...bought.map(({ h }) => h));
    this.lost = LOST * this.wide * this.high;
    this.shortest = Math.min(...sizes.map(({ w, h }) => Math.min(w, h)));
    const room = 2 * sizes.length + (MOST_IN_BLOCK - 1) * most;
    [this.w, this.h, this.first, this.other] = [
      new Int32Array(room),
      new Int32Array(room),
      new Int32Array(room),
      new Int32Array(room),
    ];
    this.area = new Float64Array(room);
    this.name = new Float64Array(room);
    this.ids = new Int16Array(MOST_IN_BLOCK * room).fill(NONE);
    this.how = new Uint8Array(room);
    for (const [size, { w, h, count }] of sizes.entries()) {
      if (count === 0) continue;
      for (const turned of task.rotate && w !== h ? [false, true] : [false]) {
        const [a, b] = turned ? [h, w] : [w, h];
        if (a > this.wide || b > this.high) continue;
        const at = this.count++;
        this.w[at] = a;
        this.h[at] = b;
        this.area[at] = w * h;
        this.ids[MOST_IN_BLOCK * at] = size;
        this.name[at] = size + 1;
        this.first[at] = size;
        this.how[at] = turned ? 1 : 0;
      }
    }
    this.begin();
  }
  /** So many parts a block has by now, at the most. */
  get parts(): number {
    return this.begins.length - 1;
  }

  /** Blocks of one part more; not all of them when stopped. */
  grow(stop: () => boolean): void {
    const parts = this.parts + 1;
    const heaps = new Int32Array(STEPS);
    const step = (share: number) => Math.floor((share / WASTE) * STEPS);
    // How many there are of each quality is told by some of them.
    const ones = this.begins[Math.floor(parts / 2)]!;
    const every = Math.max(1, Math.floor(ones / SAMPLE));
    this.joins(parts, every, WASTE, stop, (_one, _other, _w, _h, share) => {
      heaps[step(share)]! += every;
    });
    let limit = 0;
    for (let sum = 0; limit < STEPS && sum < this.most; limit += 1) sum += heaps[limit]!;
    const end = Math.min(this.count + this.most, this.w.length);
    this.joins(parts, 1, (WASTE * limit) / STEPS, stop, (one, other, w, h, _share, across) => {
      if (this.count < end) this.keep(one, other, w, h, across);
    });
    this.begin();
  }
  private begin(): void {
    const from = this.begins[this.begins.length - 1]!;
    this.begins.push(this.count);
    const order = (side: Int32Array) =>
      Int32Array.from({ length: this.count - from }, (_, at) => from + at).sort((a, b) => side[a]! - side[b]!);
    this.byHeight.push(order(this.h));
    this.byWidth.push(order(this.w));
  }

  private joins(
    parts: number,
    every: number,
    share: number,
    stop: () => boolean,
    take: (one: number, other: number, w: number, h: number, share: number, across: boolean) => void,
  ): void {
    const { w, h, wide, high } = this;
    for (let own = 1; 2 * own <= parts; own += 1) {
      const its = parts - own;
      const [byHeight, byWidth] = [this.byHeight[its - 1]!, this.byWidth[its - 1]!];
      const same = own === its;
      for (let one = this.begins[own - 1]!; one < this.begins[own]!; one += every) {
        if (one % ASKING === 0 && stop()) return;
        this.match(one, same, h, w, byHeight, wide, share, (other, along, across, lost) =>
          take(one, other, along, across, lost, true),
        );
        this.match(one, same, w, h, byWidth, high, share, (other, along, across, lost) =>
          take(one, other, across, along, lost, false),
        );
      }
    }
  }
  /** Blocks about as large as `one` across the way in which both are put together. */
  private match(
    one: number,
    same: boolean,
    across: Int32Array,
    along: Int32Array,
    order: Int32Array,
    room: number,
    share: number,
    take: (other: number, along: number, across: number, lost: number) => void,
  ): void {
    const { area, lost: most } = this;
    const [side, length] = [across[one]!, along[one]!];
    const short = this.shortest;
    const below = side - Math.min(most / short, (share * (length + short) * side) / short);
    const above = Math.min(
      side + most / length,
      share * room >= length ? Infinity : side / (1 - (share * room) / length),
    );
    let [from, to] = [0, order.length];
    while (from < to) {
      const middle = (from + to) >> 1;
      if (across[order[middle]!]! < below) from = middle + 1;
      else to = middle;
    }
    for (let at = from; at < order.length; at += 1) {
      const other = order[at]!;
      const its = across[other]!;
      if (its > above) return;
      const both = length + along[other]!;
      if (both > room || (same && other < one)) continue;
      const whole = both * (its > side ? its : side);
      const lost = whole - area[one]! - area[other]!;
      if (lost > most || lost >= share * whole || !this.goTogether(one, other)) continue;
      take(other, both, its > side ? its : side, lost / whole);
    }
  }
  /** Whether there are enough parts for both. */
  private goTogether(one: number, other: number): boolean {
    const { ids, sizes } = this;
    const [from, to] = [MOST_IN_BLOCK * other, MOST_IN_BLOCK * (other + 1)];
    for (let at = MOST_IN_BLOCK * one, end = at + MOST_IN_BLOCK; at < end && ids[at] !== NONE; at += 1) {
      const size = ids[at]!;
      let count = 0;
      for (let i = from; i < to; i += 1) if (ids[i] === size) count += 1;
      if (count === 0) continue;
      for (let i = MOST_IN_BLOCK * one; i < end; i += 1) if (ids[i] === size) count += 1;
      if (count > sizes[size]!.count) return false;
    }
    return true;
  }
  private keep(one: number, other: number, w: number, h: number, across: boolean): void {
    const { ids } = this;
    const all: number[] = [];
    for (const block of [one, other])
      for (let at = MOST_IN_BLOCK * block; at < MOST_IN_BLOCK * (block + 1) && ids[at] !== NONE; at += 1)
        all.push(ids[at]!);
    all.sort((a, b) => a - b);
    let name = 0;
    for (const size of all) name = name * MOST_SIZES + size + 1;
    const alike = this.known.get(name);
    if (alike?.some((block) => this.w[block]! <= w && this.h[block]! <= h)) return;
    if (alike) alike.push(this.count);
    else this.known.set(name, [this.count]);
    const at = this.count++;
    this.w[at] = w;
    this.h[at] = h;
    this.area[at] = this.area[one]! + this.area[other]!;
    this.ids.set(all, MOST_IN_BLOCK * at);
    this.name[at] = name;
    this.first[at] = one;
    this.other[at] = other;
    this.how[at] = across ? 3 : 2;
  }

  /** The cuts of a block on a piece of w × h; `leaf` makes the tree of one part. */
  tree(block: number, w: number, h: number, leaf: (size: number, turned: boolean) => Tree): Tree {
    const [own, tall] = [this.w[block]!, this.h[block]!];
    if (own < w)
      return { kind: 'cut', axis: 'x', at: own, first: this.tree(block, own, h, leaf), rest: { kind: 'left' } };
    if (tall < h)
      return { kind: 'cut', axis: 'y', at: tall, first: this.tree(block, w, tall, leaf), rest: { kind: 'left' } };
    const [first, other, how] = [this.first[block]!, this.other[block]!, this.how[block]!];
    if (how < 2) return leaf(first, how === 1);
    const across = how === 3;
    const at = across ? this.w[first]! : this.h[first]!;
    return {
      kind: 'cut',
      axis: across ? 'x' : 'y',
      at,
      first: across ? this.tree(first, at, h, leaf) : this.tree(first, w, at, leaf),
      rest: across ? this.tree(other, w - at, h, leaf) : this.tree(other, w, h - at, leaf),
    };
  }
}
