/**
 * Parts of a pool two by two: which of them lie beside or above each other with little waste round them, in flat lists,
 * for a filling asks for them again and again.
 */
import { type SheetTask, breaks } from './task';

/** Two parts go together when at most this share of the piece round them is waste. */
const PAIR_WASTE = 0.04;
/** Sizes of the pool, the largest first, that are looked at in pairs. */
const MOST_PAIRED = 30;

/** Places of the pool, with the size at each and how many there are; the measures of each size. */
export interface Pool {
  readonly sizes: number;
  readonly size: Int32Array;
  readonly pooled: Int32Array;
  readonly w: Float64Array;
  readonly h: Float64Array;
  readonly area: Float64Array;
  readonly value: Float64Array;
}

/** Where a falling list comes to `most` or less. */
export function firstWithin(falling: Float64Array, count: number, most: number): number {
  let [from, to] = [0, count];
  while (from < to) {
    const middle = (from + to) >> 1;
    if (falling[middle]! > most) from = middle + 1;
    else to = middle;
  }
  return from;
}

export class Pairs {
  count = 0;
  /** Places of the pool. */
  readonly one: Int32Array;
  readonly other: Int32Array;
  /** 1: the first is turned; 2: the second is; 4: one above the other instead of side by side. */
  readonly how: Uint8Array;
  readonly w: Float64Array;
  readonly h: Float64Array;
  readonly area: Float64Array;
  readonly value: Float64Array;
  /** The piece that each takes, which falls; and the most that one or any after it counts for. */
  readonly room: Float64Array;
  readonly tops: Float64Array;

  constructor(private readonly task: SheetTask) {
    const most = 4 * MOST_PAIRED * (MOST_PAIRED + 1);
    [this.one, this.other] = [new Int32Array(most), new Int32Array(most)];
    this.how = new Uint8Array(most);
    [this.w, this.h] = [new Float64Array(most), new Float64Array(most)];
    [this.area, this.value] = [new Float64Array(most), new Float64Array(most)];
    [this.room, this.tops] = [new Float64Array(most), new Float64Array(most)];
  }

  /** All pairs of a pool, the largest first. */
  find(pool: Pool): void {
    const { task } = this;
    const { size, pooled } = pool;
    const count = Math.min(pool.sizes, MOST_PAIRED);
    const turns = task.rotate ? 2 : 1;
    const [wide, high] = [Math.max(...task.sources.map((one) => one.w)), Math.max(...task.sources.map((one) => one.h))];
    for (let one = 0; one < count; one += 1) {
      const [ownW, ownH, own] = [pool.w[size[one]!]!, pool.h[size[one]!]!, pool.area[size[one]!]!];
      for (let other = one; other < count; other += 1) {
        if (other === one && pooled[one]! < 2) continue;
        const [itsW, itsH] = [pool.w[size[other]!]!, pool.h[size[other]!]!];
        const area = own + pool.area[size[other]!]!;
        const most = area / (1 - PAIR_WASTE);
        for (let i = 0; i < turns; i += 1)
          for (let j = 0; j < turns; j += 1) {
            const a = i === 0 ? ownW : ownH;
            const b = i === 0 ? ownH : ownW;
            const c = j === 0 ? itsW : itsH;
            const d = j === 0 ? itsH : itsW;
            const [across, along] = [this.joined(a, c), this.joined(b, d)];
            if ((a + c) * along <= most && a + c <= wide && along <= high)
              if (this.meets(b, along) && this.meets(d, along) && breaks(task, a, c))
                this.put(pool, one, other, i + 2 * j, a + c, along, area);
            if (across * (b + d) <= most && across <= wide && b + d <= high)
              if (this.meets(a, across) && this.meets(c, across) && breaks(task, b, d))
                this.put(pool, one, other, i + 2 * j + 4, across, b + d, area);
          }
      }
    }
    this.sort();
  }
  /** The largest first: whoever has a small piece begins late. */
  private sort(): void {
    const { count, room } = this;
    const order = Int32Array.from({ length: count }, (_, at) => at).sort((a, b) => room[b]! - room[a]! || a - b);
    for (const list of [this.one, this.other, this.how, this.w, this.h, this.area, this.value, room]) {
      const before = list.slice(0, count);
      for (let at = 0; at < count; at += 1) list[at] = before[order[at]!]!;
    }
  }
  /** Leaves out pairs of which a part is gone. */
  tidy(pooled: Int32Array): void {
    const { one, other, how, w, h, area, value, room, tops } = this;
    let kept = 0;
    for (let at = 0; at < this.count; at += 1) {
      const [first, second] = [one[at]!, other[at]!];
      if (pooled[first] === 0 || pooled[second]! <= (first === second ? 1 : 0)) continue;
      if (kept < at) {
        [one[kept], other[kept], how[kept]] = [first, second, how[at]!];
        [w[kept], h[kept], area[kept], value[kept]] = [w[at]!, h[at]!, area[at]!, value[at]!];
        room[kept] = room[at]!;
      }
      kept += 1;
    }
    this.count = kept;
    for (let at = kept - 1, top = 0; at >= 0; at -= 1) {
      top = Math.max(top, value[at]!);
      tops[at] = top;
    }
  }
  /** The side that two parts share: of the longer one, or wider by a strip of each that can be broken off. */
  private joined(one: number, other: number): number {
    const [short, long] = one < other ? [one, other] : [other, one];
    return breaks(this.task, short, long - short) ? long : long + this.task.kerf + this.task.minBreak;
  }
  private meets(side: number, to: number): boolean {
    return breaks(this.task, side, to - side);
  }
  private put(
    { size, value }: Pool,
    one: number,
    other: number,
    how: number,
    w: number,
    h: number,
    area: number,
  ): void {
    const at = this.count++;
    this.one[at] = one;
    this.other[at] = other;
    this.how[at] = how;
    this.w[at] = w;
    this.h[at] = h;
    this.area[at] = area;
    this.room[at] = w * h;
    this.value[at] = value[size[one]!]! + value[size[other]!]!;
  }
}
