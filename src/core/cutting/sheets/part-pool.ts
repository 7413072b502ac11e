/**
 * The parts that sheets are filled from: those of one size are counted, not listed, and what is asked again and again
 * stands in flat lists, the largest first, with all that is gone left out.
 */
import { type Pool, Pairs } from './pairs';
import type { SheetTask } from './task';

export class PartPool implements Pool {
  /** Which size each part has. */
  readonly sizeOf: Int32Array;
  readonly count: number;
  readonly w: Float64Array;
  readonly h: Float64Array;
  readonly area: Float64Array;
  private readonly place: Int32Array;
  /** What is in it, a place for each size, the largest first: how many, and which parts. */
  sizes = 0;
  readonly size: Int32Array;
  readonly pooled: Int32Array;
  private readonly parts: number[][];
  /** Places that still have parts, in the order of the pool, with the measures of what is there. */
  readonly live: Int32Array;
  readonly liveW: Float64Array;
  readonly liveH: Float64Array;
  readonly liveArea: Float64Array;
  readonly liveValue: Float64Array;
  alive = 0;
  /** What each size counts for: its area, or its price. */
  readonly value: Float64Array;
  /** The most that a size at a place of `live`, or after it, counts for. */
  readonly tops: Float64Array;
  /** Area of the parts in the pool, with their cuts, in grains. */
  load = 0;
  readonly pairs: Pairs;

  constructor(task: SheetTask) {
    const found = new Map<string, number>();
    this.sizeOf = Int32Array.from(task.parts, ({ w, h }) => {
      const key = task.rotate && w > h ? `${h}:${w}` : `${w}:${h}`;
      const one = found.get(key) ?? found.size;
      found.set(key, one);
      return one;
    });
    const count = found.size;
    this.count = count;
    const real = (): Float64Array => new Float64Array(count);
    const whole = (): Int32Array => new Int32Array(count);
    [this.w, this.h, this.area] = [real(), real(), real()];
    for (const [part, { w, h }] of task.parts.entries()) {
      const size = this.sizeOf[part]!;
      [this.w[size], this.h[size], this.area[size]] = [w, h, w * h];
    }
    this.value = Float64Array.from(this.area);
    this.tops = real();
    [this.size, this.pooled, this.place] = [whole(), whole(), whole().fill(-1)];
    this.live = whole();
    [this.liveW, this.liveH, this.liveArea, this.liveValue] = [real(), real(), real(), real()];
    this.parts = Array.from({ length: count }, () => []);
    this.pairs = new Pairs(task);
  }

  /** A new pool; `paired` when its parts are also looked at two by two. */
  begin(parts: readonly number[], paired: boolean): void {
    this.sizes = 0;
    this.load = 0;
    const { sizeOf, place, area } = this;
    const order: number[] = [];
    for (const part of parts) {
      const size = sizeOf[part]!;
      if (place[size] === -1) {
        place[size] = 0;
        order.push(size);
      }
      this.load += area[size]!;
    }
    order.sort((a, b) => area[b]! - area[a]! || a - b);
    for (const [at, size] of order.entries()) {
      place[size] = at;
      this.size[at] = size;
      this.pooled[at] = 0;
      this.parts[at]!.length = 0;
    }
    this.sizes = order.length;
    for (const part of parts) {
      const at = place[sizeOf[part]!]!;
      this.pooled[at]! += 1;
      this.parts[at]!.push(part);
    }
    for (const size of order) place[size] = -1;
    this.pairs.count = 0;
    if (paired) this.pairs.find(this);
  }

  /** Leaves out what is no longer in the pool. */
  tidy(): void {
    const { live, liveW, liveH, liveArea, liveValue, tops, size, pooled } = this;
    this.alive = 0;
    for (let place = 0; place < this.sizes; place += 1) {
      if (pooled[place] === 0) continue;
      const one = size[place]!;
      live[this.alive] = place;
      liveW[this.alive] = this.w[one]!;
      liveH[this.alive] = this.h[one]!;
      liveArea[this.alive] = this.area[one]!;
      liveValue[this.alive] = this.value[one]!;
      this.alive += 1;
    }
    for (let at = this.alive - 1, top = 0; at >= 0; at -= 1) {
      top = Math.max(top, liveValue[at]!);
      tops[at] = top;
    }
    this.pairs.tidy(pooled);
  }

  /** What each size counts for from now on; its area when nothing is said. In the measure of areas. */
  values(of: (size: number) => number): void {
    for (let size = 0; size < this.value.length; size += 1) this.value[size] = of(size);
  }

  areaOf(size: number): number {
    return this.area[size]!;
  }

  /** The parts still in the pool. */
  rest(): number[] {
    return this.parts.slice(0, this.sizes).flat();
  }

  /** Takes a part of the size at a place. */
  take(place: number): number {
    this.pooled[place]! -= 1;
    this.load -= this.area[this.size[place]!]!;
    return this.parts[place]!.pop()!;
  }
}
