/**
 * Sets of parts where a blade must be able to break each strip off, and takes nothing away itself: a strip is nothing, or
 * no narrower than can be held.
 *
 * What a side of a piece may measure is then one length, where the parts stand edge to edge, and all from some other on,
 * where a strip lies beside them. Both together stay so when pieces are put side by side, their sides added up, and when
 * both must have the same side. So each way to arrange a set is two such sides, and from them it is known exactly what
 * can be cut. (A saw shaves off what is too narrow. Of parts that are narrower themselves a little more may be held
 * possible than is.)
 */
import { lowest } from './subsets';
import { type SheetTask, type Tree, breaks } from './task';

export interface Sized {
  readonly w: number;
  readonly h: number;
  readonly turn: boolean;
}
type Axis = 'x' | 'y';
type Leaf = (index: number, rotated: boolean) => Tree;
/** Arrangements of a set, four numbers each: the one width, from where on any will do, and the same of the height. */
interface Arrangements {
  readonly sides: Int32Array;
  /** How the two stand that each is made of. */
  readonly axes: readonly (Axis | undefined)[];
}
/** Two sets that stand together, each arranged in some way: where those begin among their sides. */
interface Pair {
  readonly axis: Axis;
  readonly first: number;
  readonly rest: number;
  readonly i: number;
  readonly j: number;
}
/** Shows what a piece may measure that holds both of a pair; true when enough has been seen. */
type See = (axis: Axis, first: number, rest: number, i: number, j: number, sides: Sides) => boolean;
interface Sides {
  wp: number;
  wq: number;
  hp: number;
  hq: number;
}

/** Pairs of arrangements looked at for one set, and for the cuts of one. */
const MOST_PAIRS = 100_000;
const TREE_PAIRS = 200_000;
const LEFT: Tree = { kind: 'left' };

/** The one length `p`, or `q` and more. */
const holds = (p: number, q: number, length: number): boolean => length >= q || length === p;
/** The one length that two sides may both have, below `q`, from where on any will do; `q` where there is none. */
const same = (ap: number, aq: number, bp: number, bq: number, q: number): number =>
  ap === bp || ap >= bq ? ap : bp >= aq ? bp : q;

/** A list of arrangements that none covers: whatever a piece that one of them fits, no other one is needed for it. */
class Best {
  private sides = new Int32Array(64);
  private readonly axes: Axis[] = [];
  private end = 0;

  put(axis: Axis, { wp, wq, hp, hq }: Sides): void {
    const { sides, axes } = this;
    for (let at = 0; at < this.end; at += 4) {
      const [p, q, r, s] = [sides[at]!, sides[at + 1]!, sides[at + 2]!, sides[at + 3]!];
      if (q <= wq && s <= hq && (p === wp || q <= wp) && (r === hp || s <= hp)) {
        // What covers one often covers the next.
        if (at > 0) this.swap(at, at - 4);
        return;
      }
    }
    let to = 0;
    for (let at = 0; at < this.end; at += 4) {
      const [p, q, r, s] = [sides[at]!, sides[at + 1]!, sides[at + 2]!, sides[at + 3]!];
      if (wq <= q && hq <= s && (wp === p || wq <= p) && (hp === r || hq <= r)) continue;
      if (to < at) this.swap(at, to);
      to += 4;
    }
    if (to === sides.length) {
      this.sides = new Int32Array(2 * sides.length);
      this.sides.set(sides);
    }
    this.sides.set([wp, wq, hp, hq], to);
    axes[to / 4] = axis;
    this.end = to + 4;
  }
  private swap(one: number, other: number): void {
    const { sides, axes } = this;
    for (let k = 0; k < 4; k += 1) [sides[one + k], sides[other + k]] = [sides[other + k]!, sides[one + k]!];
    [axes[one / 4], axes[other / 4]] = [axes[other / 4]!, axes[one / 4]!];
  }
  get list(): Arrangements {
    return { sides: this.sides.slice(0, this.end), axes: this.axes.slice(0, this.end / 4) };
  }
}

export class Strips {
  /** By set; nothing where they would have been too many. */
  private readonly known = new Map<number, Arrangements | undefined>();
  private readonly wide: number;
  private readonly high: number;
  private readonly offcut: number;
  private work = 0;
  private until = Infinity;
  private treesUntil = Infinity;
  /** Something was not looked at because that was all the work allowed. */
  short = false;

  constructor(
    private readonly task: SheetTask,
    /** Sizes of the bits of a set; the last one is the least useful offcut: what is larger is one as well. */
    private readonly parts: readonly Sized[],
    /** Pairs looked at in all; afterwards what is not known is held possible. */
    private readonly mostWork: number,
  ) {
    this.offcut = 1 << (parts.length - 1);
    this.wide = Math.max(...task.sources.map(({ w }) => w));
    this.high = Math.max(...task.sources.map(({ h }) => h));
  }

  /** How many pairs more may be looked at by what is asked from now on, about; it goes on from there when asked again. */
  allow(pairs: number): void {
    this.until = this.work + pairs;
    this.short = false;
  }

  /** False where the set cannot be cut from w × h, true as well where that would be too much to know; undefined: not yet. */
  within(set: number, w: number, h: number): boolean | undefined {
    const fits = ({ wp, wq, hp, hq }: Sides) => holds(wp, wq, w) && holds(hp, hq, h);
    if ((set & (set - 1)) === 0) {
      const { sides } = this.single(set);
      for (let at = 0; at < sides.length; at += 4) {
        const [wp, wq, hp, hq] = [sides[at]!, sides[at + 1]!, sides[at + 2]!, sides[at + 3]!];
        if (fits({ wp, wq, hp, hq })) return true;
      }
      return false;
    }
    const [seen, all] = this.told(() => this.pairs(set, (_axis, _first, _rest, _i, _j, sides) => fits(sides)));
    return seen ?? (all ? true : undefined);
  }
  /** What comes of some work, and whether it was allowed to look at all there is. */
  private told<T>(work: () => T): [T, boolean] {
    const before = this.short;
    this.short = false;
    const found = work();
    const all = !this.short;
    this.short ||= before;
    return [found, all];
  }

  private of(set: number): Arrangements | undefined {
    const known = this.known.get(set);
    if (known || this.known.has(set)) return known;
    if ((set & (set - 1)) !== 0) {
      if (this.work >= this.mostWork) return undefined;
      this.short ||= this.work > this.until;
      if (this.short) return undefined;
    }
    const [found, all] = this.told(() => ((set & (set - 1)) === 0 ? this.single(set) : this.joined(set)));
    // What was not looked at for want of work now may be later.
    if (found || (all && this.work <= this.treesUntil)) this.known.set(set, found);
    return found;
  }
  private single(set: number): Arrangements {
    const { w, h, turn } = this.parts[lowest(set)]!;
    const strip = set === this.offcut ? 0 : this.task.minBreak;
    const [a, b] = [w + strip, h + strip];
    const sides = Int32Array.from(turn && w !== h ? [w, a, h, b, h, b, w, a] : [w, a, h, b]);
    return { sides, axes: Array.from({ length: sides.length / 4 }, () => undefined) };
  }
  private joined(set: number): Arrangements | undefined {
    const best = new Best();
    const all = this.pairs(set, (axis, _first, _rest, _i, _j, sides) => {
      best.put(axis, sides);
      return false;
    });
    return all === undefined ? undefined : best.list;
  }

  /** Each two arrangements that make up a set and fit some sheet; undefined where not all are known and none was enough. */
  private pairs(set: number, see: See): boolean | undefined {
    const { wide, high } = this;
    const low = set & -set;
    const sides = { wp: 0, wq: 0, hp: 0, hq: 0 };
    let left = MOST_PAIRS;
    let whole = true;
    for (let first = (set - 1) & set; first; first = (first - 1) & set) {
      if (!(first & low)) continue;
      const rest = set & ~first;
      const some = this.of(first);
      const others = some && this.of(rest);
      const count = some && others ? some.axes.length * others.axes.length : 0;
      this.work += 1 + count;
      if (!some || !others || (left -= count) < 0 || this.work > this.treesUntil) {
        whole = false;
        continue;
      }
      const [a, b] = [some.sides, others.sides];
      for (let i = 0; i < a.length; i += 4) {
        const stands = some.axes[i >> 2];
        const [awp, awq, ahp, ahq] = [a[i]!, a[i + 1]!, a[i + 2]!, a[i + 3]!];
        for (let j = 0; j < b.length; j += 4) {
          const [bwp, bwq, bhp, bhq] = [b[j]!, b[j + 1]!, b[j + 2]!, b[j + 3]!];
          // Two that stand so already are the same in another order.
          if (stands !== 'x' && awp + bwp <= wide) {
            sides.wp = awp + bwp;
            sides.wq = Math.min(awp + bwq, awq + bwp);
            sides.hq = ahq > bhq ? ahq : bhq;
            sides.hp = same(ahp, ahq, bhp, bhq, sides.hq);
            if (sides.hp <= high && see('x', first, rest, i, j, sides)) return true;
          }
          if (stands !== 'y' && ahp + bhp <= high) {
            sides.hp = ahp + bhp;
            sides.hq = Math.min(ahp + bhq, ahq + bhp);
            sides.wq = awq > bwq ? awq : bwq;
            sides.wp = same(awp, awq, bwp, bwq, sides.wq);
            if (sides.wp <= wide && see('y', first, rest, i, j, sides)) return true;
          }
        }
      }
    }
    return whole ? false : undefined;
  }

  /** Cuts of w × h into the parts of a set, of so many arrangements at the most; `leaf` makes the tree of one part. */
  trees(set: number, w: number, h: number, most: number, leaf: Leaf): Tree[] {
    this.treesUntil = this.work + TREE_PAIRS;
    const found = this.cuts(set, w, h, most, leaf);
    this.treesUntil = Infinity;
    return found;
  }
  private cuts(set: number, w: number, h: number, most: number, leaf: Leaf): Tree[] {
    const found: Tree[] = [];
    const put = (inner: (w: number, h: number) => Tree | undefined, wp: number, hp: number) => {
      // A strip beside it all is cut off first where it can be.
      const [a, b] = [breaks(this.task, wp, w - wp) ? wp : w, breaks(this.task, hp, h - hp) ? hp : h];
      // An offcut takes what there is.
      const grown = set & this.offcut ? inner(w, h) : undefined;
      if (grown) found.push(grown);
      const tree = inner(a, b);
      const cut = (way: Axis, first: Tree): Tree =>
        (way === 'x' ? a === w : b === h)
          ? first
          : { kind: 'cut', axis: way, at: way === 'x' ? a : b, first, rest: LEFT };
      if (tree) found.push(cut('x', cut('y', tree)), cut('y', cut('x', tree)));
    };
    if (set === this.offcut) return [LEFT];
    if ((set & (set - 1)) === 0) {
      const { sides } = this.single(set);
      for (let at = 0; at < sides.length; at += 4) {
        const [wp, hp] = [sides[at]!, sides[at + 2]!];
        if (wp <= w && hp <= h) put((a, b) => (a === wp && b === hp ? leaf(lowest(set), at > 0) : undefined), wp, hp);
      }
    } else
      this.pairs(set, (axis, first, rest, i, j, { wp, wq, hp, hq }) => {
        if (holds(wp, wq, w) && holds(hp, hq, h))
          put((a, b) => this.two({ axis, first, rest, i, j }, a, b, leaf), wp, hp);
        return found.length >= 2 * most;
      });
    return found;
  }
  /** A cut of w × h between two sets that leaves each what it can be cut from. */
  private two({ axis, first, rest, i, j }: Pair, w: number, h: number, leaf: Leaf): Tree | undefined {
    const across = axis === 'x';
    const length = across ? w : h;
    const of = across ? 0 : 2;
    const [a, b] = [this.of(first)!.sides, this.of(rest)!.sides];
    const [ap, aq, bp, bq] = [a[i + of]!, a[i + of + 1]!, b[j + of]!, b[j + of + 1]!];
    const places = [ap, length - bp, aq, length - bq];
    if (first & this.offcut) places.unshift(length - bp);
    for (const at of places) {
      if (at >= length || !breaks(this.task, at, length - at)) continue;
      const [one] = this.cuts(first, across ? at : w, across ? h : at, 1, leaf);
      const [two] = one ? this.cuts(rest, across ? length - at : w, across ? h : length - at, 1, leaf) : [];
      if (one && two) return { kind: 'cut', axis, at, first: one, rest: two };
    }
    return undefined;
  }
}
