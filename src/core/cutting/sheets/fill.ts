/**
 * Fills one sheet from a pool of parts: the free piece at hand gets the part that suits it best, or two parts that lie
 * well beside each other, with chance; the cut
 * beside the part goes across the piece first one way or the other, and both rests are filled in turn, the narrower one
 * first, while there is still a choice of parts for it. `tries` fillings are made and the one that costs least for what
 * it holds is kept.
 */
import type { Random } from '../random';
import { type CutSheet, type SheetTask, type Tree, breaks, cutSheet } from './task';

const LEFT: Tree = { kind: 'left' };
/** Two parts go together when at most this share of the piece round them is waste. */
const PAIR_WASTE = 0.06;
const MOST_PAIRS = 12;

/** Two parts side by side (`x`) or one above the other (`y`), as one. */
interface Pair {
  readonly other: number;
  readonly w: number;
  readonly h: number;
  readonly area: number;
  readonly tree: Tree;
}

function trimmed(
  task: SheetTask,
  part: number,
  rotated: boolean,
  w: number,
  h: number,
  axis: 'x' | 'y',
  to: number,
): Tree | undefined {
  const leaf: Tree = { kind: 'part', part, rotated };
  const side = axis === 'x' ? h : w;
  if (side === to) return leaf;
  if (!breaks(task, side, to - side)) return undefined;
  return { kind: 'cut', axis: axis === 'x' ? 'y' : 'x', at: side, first: leaf, rest: LEFT };
}

type Turned = readonly (readonly [w: number, h: number])[];
const turnsOf = ({ rotate, parts }: SheetTask, part: number): Turned => {
  const { w, h } = parts[part]!;
  return rotate && w !== h
    ? [
        [w, h],
        [h, w],
      ]
    : [[w, h]];
};

/** The parts that go well beside one, the least waste first. */
function pairsOf(task: SheetTask, part: number, turns: readonly Turned[], wide: number, high: number): Pair[] {
  const found: { pair: Pair; full: number }[] = [];
  const own = turns[part]!;
  const ownArea = own[0]![0] * own[0]![1];
  for (let other = 0; other < turns.length; other += 1) {
    if (other === part) continue;
    const its = turns[other]!;
    const area = ownArea + its[0]![0] * its[0]![1];
    for (let i = 0; i < own.length; i += 1)
      for (let j = 0; j < its.length; j += 1)
        for (let y = 0; y < 2; y += 1) {
          const [a, b] = own[i]!;
          const [c, d] = its[j]!;
          const w = y === 0 ? a + c : Math.max(a, c);
          const h = y === 0 ? Math.max(b, d) : b + d;
          const full = area / (w * h);
          if (w > wide || h > high || full < 1 - PAIR_WASTE) continue;
          const axis = y === 0 ? 'x' : 'y';
          const first = trimmed(task, part, i === 1, a, b, axis, y === 0 ? h : w);
          const rest = trimmed(task, other, j === 1, c, d, axis, y === 0 ? h : w);
          const at = y === 0 ? a : b;
          if (!first || !rest || !breaks(task, at, y === 0 ? c : d)) continue;
          found.push({ pair: { other, w, h, area, tree: { kind: 'cut', axis, at, first, rest } }, full });
        }
  }
  return found
    .sort((one, two) => two.full - one.full)
    .slice(0, MOST_PAIRS)
    .map(({ pair }) => pair);
}

export class SheetFiller {
  private taken = new Uint8Array(0);
  private pool: readonly number[] = [];
  private noise = 0;
  private dread = 1;
  private least = 0;
  private fond = 1;
  private readonly place: Int32Array;
  private readonly pairs: (Pair[] | undefined)[];
  private readonly turns: Turned[];
  private readonly wide: number;
  private readonly high: number;
  private readonly w: Float64Array;
  private readonly h: Float64Array;

  constructor(
    private readonly task: SheetTask,
    private readonly random: Random,
  ) {
    this.w = Float64Array.from(task.parts, (part) => part.w);
    this.h = Float64Array.from(task.parts, (part) => part.h);
    this.place = new Int32Array(task.parts.length).fill(-1);
    this.pairs = task.parts.map(() => undefined);
    this.turns = task.parts.map((_, part) => turnsOf(task, part));
    this.wide = Math.max(...task.sources.map((one) => one.w));
    this.high = Math.max(...task.sources.map((one) => one.h));
  }

  /** The best of some fillings; undefined when nothing fits. */
  fill(source: number, pool: readonly number[], tries: number): CutSheet | undefined {
    const { task, random } = this;
    const { w, h } = task.sources[source]!;
    this.pool = pool;
    if (this.taken.length < pool.length) this.taken = new Uint8Array(pool.length * 2);
    this.least = Infinity;
    this.place.fill(-1);
    for (const [at, part] of pool.entries()) {
      this.least = Math.min(this.least, this.w[part]!, this.h[part]!);
      this.place[part] = at;
    }
    let best: CutSheet | undefined;
    let bestRate = Infinity;
    for (let at = 0; at < tries; at += 1) {
      this.taken.fill(0, 0, pool.length);
      this.noise = at === 0 ? 0.02 : 0.5 * random.next() ** 2;
      this.dread = 0.5 + 2 * random.next();
      this.fond = tries > 3 && random.next() < 0.7 ? 0.4 + 0.8 * random.next() : 0;
      const tree = this.piece(w, h);
      if (tree.kind === 'left') continue;
      const sheet = cutSheet(task, source, tree);
      let held = 0;
      for (const part of sheet.parts) held += this.w[part]! * this.h[part]!;
      const rate = sheet.cost / held;
      if (rate < bestRate) {
        best = sheet;
        bestRate = rate;
      }
      if (sheet.parts.length === pool.length && at >= 2) break;
    }
    return best;
  }

  private piece(width: number, height: number): Tree {
    const { task, random, pool, taken, least, noise, dread } = this;
    if (width < least || height < least) return LEFT;
    let chosen = -1;
    let turned = false;
    let most = -Infinity;
    for (let at = 0; at < pool.length; at += 1) {
      if (taken[at]) continue;
      const part = pool[at]!;
      const [w, h] = [this.w[part]!, this.h[part]!];
      for (let turn = 0; turn < (task.rotate && w !== h ? 2 : 1); turn += 1) {
        const [a, b] = turn ? [h, w] : [w, h];
        const [restA, restB] = [width - a, height - b];
        if (restA < 0 || restB < 0 || !breaks(task, a, restA) || !breaks(task, b, restB)) continue;
        let score = a * b;
        if (restA < least) score -= dread * restA * b;
        if (restB < least) score -= dread * restB * a;
        if (restA === 0 || restB === 0) score *= 1.1;
        score *= 1 + noise * (random.next() - 0.5);
        if (score > most) {
          most = score;
          chosen = at;
          turned = turn === 1;
        }
      }
    }
    if (chosen < 0) return LEFT;
    if (this.fond > 0) {
      const pair: Tree | undefined = this.pair(width, height, most);
      if (pair) return pair;
    }
    taken[chosen] = 1;
    const part = pool[chosen]!;
    const [a, b] = turned ? [this.h[part]!, this.w[part]!] : [this.w[part]!, this.h[part]!];
    const leaf: Tree = { kind: 'part', part, rotated: turned };
    return this.around(leaf, a, b, width, height);
  }

  /** Two parts that suit the piece better than the best single one. */
  private pair(width: number, height: number, single: number): Tree | undefined {
    const { task, random, pool, taken, least, noise, dread, fond, place } = this;
    let most = single;
    let chosen: Pair | undefined;
    let one = -1;
    for (let at = 0; at < pool.length; at += 1) {
      if (taken[at]) continue;
      const part = pool[at]!;
      this.pairs[part] ??= pairsOf(task, part, this.turns, this.wide, this.high);
      for (const pair of this.pairs[part]!) {
        const other = place[pair.other]!;
        if (other < 0 || taken[other]) continue;
        const [restA, restB] = [width - pair.w, height - pair.h];
        if (restA < 0 || restB < 0 || !breaks(task, pair.w, restA) || !breaks(task, pair.h, restB)) continue;
        let score = pair.area - dread * (pair.w * pair.h - pair.area);
        if (restA < least) score -= dread * restA * pair.h;
        if (restB < least) score -= dread * restB * pair.w;
        score *= fond * (1 + noise * (random.next() - 0.5));
        if (score > most) {
          most = score;
          chosen = pair;
          one = at;
        }
      }
    }
    if (!chosen) return undefined;
    taken[one] = 1;
    taken[place[chosen.other]!] = 1;
    return this.around(chosen.tree, chosen.w, chosen.h, width, height);
  }

  /** Cuts a part free in the corner of a piece and fills what is left of the piece. */
  private around(leaf: Tree, a: number, b: number, width: number, height: number): Tree {
    const { random } = this;
    const [restA, restB] = [width - a, height - b];
    if (restA === 0 && restB === 0) return leaf;
    // Cut so that the larger rest stays large, or now and then the other way.
    const long = restA * height >= restB * width;
    const acrossX = restB === 0 || (restA !== 0 && (random.next() < 0.8 ? long : !long));
    if (acrossX) {
      const strip = () => (restB === 0 ? leaf : this.cut('y', b, leaf, this.piece(a, restB)));
      if (restA * height < restB * a || random.next() < 0.25) {
        const rest = this.piece(restA, height);
        return this.cut('x', a, strip(), rest);
      }
      const first = strip();
      return this.cut('x', a, first, this.piece(restA, height));
    }
    const strip = () => (restA === 0 ? leaf : this.cut('x', a, leaf, this.piece(restA, b)));
    if (restB * width < restA * b || random.next() < 0.25) {
      const rest = this.piece(width, restB);
      return this.cut('y', b, strip(), rest);
    }
    const first = strip();
    return this.cut('y', b, first, this.piece(width, restB));
  }

  private cut(axis: 'x' | 'y', at: number, first: Tree, rest: Tree): Tree {
    return { kind: 'cut', axis, at, first, rest };
  }
}
