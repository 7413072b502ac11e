/**
 * Every set of a few parts that can be cut from a sheet, exactly. For each set: the smallest pieces it can be cut from,
 * none of which lies within another; a set's pieces are two smaller sets' pieces side by side or one above the other.
 * Sets grow by number of parts; those that fit no sheet are dropped, and so is all that contains them. What a blade may
 * not break off is not looked at here, so the sets are never too few.
 */
import { type SheetTask, type Tree } from './task';

/** Pieces of a set: widths and heights in turn, widths rising, heights falling; how each is put together. */
interface Pieces {
  readonly sizes: Int32Array;
  /** For each piece: the part of the set that comes first (a set), its piece, the other's piece, and the direction. */
  readonly how: Int32Array;
}
export const MOST_BITS = 24;

export interface SubsetLimits {
  readonly sets: number;
  readonly work: number;
  /** Waste within a piece, in all, that is still looked at; with Infinity every set is found. */
  readonly slack: number;
}

export class Subsets {
  /** Pieces by set; a set is a number with one bit for each part. */
  readonly pieces = new Map<number, Pieces>();
  private layer: number[] = [];
  private readonly areas: number[];
  private readonly largest: number;
  private work = 0;
  private readonly wide: number;
  private readonly high: number;
  private readonly sourceSizes: readonly (readonly [number, number])[];
  done = false;
  tooMany = false;

  /** `parts` are sizes with their cuts; an even place in `sizes` each. */
  constructor(
    task: SheetTask,
    private readonly parts: readonly { readonly w: number; readonly h: number; readonly turn: boolean }[],
    private readonly limits: SubsetLimits,
  ) {
    this.sourceSizes = task.sources.map(({ w, h }) => [w, h] as const);
    this.wide = Math.max(...task.sources.map((one) => one.w));
    this.high = Math.max(...task.sources.map((one) => one.h));
    this.areas = parts.map(({ w, h }) => w * h);
    this.largest = Math.max(...task.sources.map(({ w, h }) => w * h));
    for (const [at, { w, h, turn }] of parts.entries()) {
      const sizes = turn && w !== h ? [Math.min(w, h), Math.max(w, h), Math.max(w, h), Math.min(w, h)] : [w, h];
      const kept: number[] = [];
      for (let i = 0; i < sizes.length; i += 2)
        if (this.fits(sizes[i]!, sizes[i + 1]!)) kept.push(sizes[i]!, sizes[i + 1]!);
      if (kept.length === 0) continue;
      this.pieces.set(1 << at, { sizes: Int32Array.from(kept), how: new Int32Array(0) });
      this.layer.push(1 << at);
    }
  }

  private fits(w: number, h: number): boolean {
    if (w > this.wide || h > this.high) return false;
    return this.sourceSizes.some(([a, b]) => w <= a && h <= b);
  }

  /** Makes the sets of one part more; `stop` ends it early. */
  grow(stop: () => boolean): void {
    const next: number[] = [];
    const seen = new Set<number>();
    const singles = this.parts.map((_, at) => 1 << at).filter((bit) => this.pieces.has(bit));
    for (const [count, set] of this.layer.entries()) {
      if (count % 64 === 0 && stop()) return;
      for (const bit of singles) {
        const larger = set | bit;
        if (set & bit || seen.has(larger)) continue;
        seen.add(larger);
        let area = 0;
        for (let rest = larger; rest; rest &= rest - 1) area += this.areas[31 - Math.clz32(rest & -rest)]!;
        if (area > this.largest) continue;
        this.roomy = area + this.limits.slack;
        // All sets with one part less must be there, unless they may have been left out for their waste.
        let whole = true;
        if (this.limits.slack === Infinity)
          for (let rest = larger; rest && whole; rest &= rest - 1) whole = this.pieces.has(larger & ~(rest & -rest));
        if (!whole) continue;
        const pieces = this.join(larger);
        if (!pieces) continue;
        this.pieces.set(larger, pieces);
        next.push(larger);
        if (this.pieces.size > this.limits.sets || this.work > this.limits.work) {
          this.tooMany = true;
          return;
        }
      }
    }
    this.layer = next;
    if (next.length === 0) this.done = true;
  }

  private roomy = Infinity;
  private found: number[] = [];
  private join(set: number): Pieces | undefined {
    const low = set & -set;
    const found = this.found;
    found.length = 0;
    for (let first = (set - 1) & set; first; first = (first - 1) & set) {
      if (!(first & low)) continue;
      const one = this.pieces.get(first);
      const other = this.pieces.get(set & ~first);
      if (!one || !other) continue;
      this.work += one.sizes.length * other.sizes.length;
      for (let i = 0; i < one.sizes.length; i += 2)
        for (let j = 0; j < other.sizes.length; j += 2) {
          const [a, b, c, d] = [one.sizes[i]!, one.sizes[i + 1]!, other.sizes[j]!, other.sizes[j + 1]!];
          this.offer(a + c, b > d ? b : d, first, i, j, 0);
          this.offer(a > c ? a : c, b + d, first, i, j, 1);
        }
    }
    if (found.length === 0) return undefined;
    const count = found.length / 6;
    const order = Array.from({ length: count }, (_, at) => at).sort((p, q) => found[p * 6]! - found[q * 6]!);
    const sizes = new Int32Array(count * 2);
    const how = new Int32Array(count * 4);
    for (const [at, from] of order.entries()) {
      sizes[at * 2] = found[from * 6]!;
      sizes[at * 2 + 1] = found[from * 6 + 1]!;
      for (let k = 0; k < 4; k += 1) how[at * 4 + k] = found[from * 6 + 2 + k]!;
    }
    return { sizes, how };
  }

  /** Keeps a piece unless another lies within it; drops those that it lies within. */
  private offer(w: number, h: number, first: number, i: number, j: number, axis: number): void {
    if (w * h > this.roomy || !this.fits(w, h)) return;
    const { found } = this;
    for (let at = 0; at < found.length; at += 6) if (found[at]! <= w && found[at + 1]! <= h) return;
    let kept = 0;
    for (let at = 0; at < found.length; at += 6) {
      if (found[at]! >= w && found[at + 1]! >= h) continue;
      if (kept !== at) for (let k = 0; k < 6; k += 1) found[kept + k] = found[at + k]!;
      kept += 6;
    }
    found.length = kept;
    found.push(w, h, first, i >> 1, j >> 1, axis);
  }

  /**
   * The cuts of piece `at` of a set on a piece of w × h, which is as large or larger: `leaf` makes the tree of one part.
   * The rest beside and above it is cut off so that the larger of the two stays whole.
   */
  tree(set: number, at: number, w: number, h: number, leaf: (index: number, rotated: boolean) => Tree): Tree {
    const { sizes, how } = this.pieces.get(set)!;
    const [a, b] = [sizes[at * 2]!, sizes[at * 2 + 1]!];
    const inner = (): Tree => {
      if (how.length === 0) {
        const index = 31 - Math.clz32(set);
        return leaf(index, a !== this.parts[index]!.w);
      }
      const [first, i, j, axis] = [how[at * 4]!, how[at * 4 + 1]!, how[at * 4 + 2]!, how[at * 4 + 3]!];
      const rest = set & ~first;
      const one = this.pieces.get(first)!.sizes;
      return axis === 0
        ? {
            kind: 'cut',
            axis: 'x',
            at: one[i * 2]!,
            first: this.tree(first, i, one[i * 2]!, b, leaf),
            rest: this.tree(rest, j, a - one[i * 2]!, b, leaf),
          }
        : {
            kind: 'cut',
            axis: 'y',
            at: one[i * 2 + 1]!,
            first: this.tree(first, i, a, one[i * 2 + 1]!, leaf),
            rest: this.tree(rest, j, a, b - one[i * 2 + 1]!, leaf),
          };
    };
    const left: Tree = { kind: 'left' };
    const [restA, restB] = [w - a, h - b];
    if (restA === 0 && restB === 0) return inner();
    if (restB === 0) return { kind: 'cut', axis: 'x', at: a, first: inner(), rest: left };
    if (restA === 0) return { kind: 'cut', axis: 'y', at: b, first: inner(), rest: left };
    return restA * h >= restB * w
      ? {
          kind: 'cut',
          axis: 'x',
          at: a,
          first: { kind: 'cut', axis: 'y', at: b, first: inner(), rest: left },
          rest: left,
        }
      : {
          kind: 'cut',
          axis: 'y',
          at: b,
          first: { kind: 'cut', axis: 'x', at: a, first: inner(), rest: left },
          rest: left,
        };
  }
}
