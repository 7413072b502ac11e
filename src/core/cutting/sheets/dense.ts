/**
 * Dense sheets by price: blocks as high as the sheet, or as wide, put side by side. Which of them make a sheet worth more
 * than it costs is found by looking at all, cut short by what the room left could hold at the best.
 */
import { type BlockSize, Blocks, MOST_IN_BLOCK } from './blocks';
import { type CutSheet, type SheetTask, type Tree, cutSheet, usefulArea } from './task';

/** A block may waste so much of a sheet where it goes from edge to edge; of a piece of the rack more. */
const [LOST, LOST_ON_RACK] = [0.09, 0.3];
/** Widths are counted in so many steps where it is told what the room could hold. */
const STEPS = 250;
/** Blocks looked at in one pricing, and where all sheets are wanted. */
const [LOOKS, ALL_LOOKS] = [40_000, 300_000];
/** After so many it is asked whether to stop. */
const ASKING = 4096;
/** Sheets found before those that are worth most are picked. */
const FOUND = 500;
/** Sheets told at once, and so often: each time of the parts that are in none so far. */
const [TOLD, PASSES] = [30, 4];
/** So many are enough to pick from. */
const ENOUGH = 10;
/** A part comes in so many of them. */
const OFTEN = 4;
/** How near to the most that a sheet could be worth is looked for, one after the other. */
const SHARES = [0.6, 0.35, 0.2, 0.1, 0.03, 0];
/** Of what a sheet costs. */
const LITTLE = 1e-8;

/** Blocks from edge to edge across one side of a source, the longest along the other side first. */
interface Strips {
  readonly source: number;
  readonly axis: 'x' | 'y';
  /** The room along. */
  readonly room: number;
  readonly high: number;
  readonly blocks: Int32Array;
  readonly along: Int32Array;
  /** In steps. */
  readonly wide: Int16Array;
  /** What is left of the room beside each, in steps. */
  readonly rest: Int16Array;
  /** What is useful beside each block, by what it gives back. */
  readonly back: Float64Array;
}
/** Strips by price. */
interface Look {
  readonly strips: Strips;
  readonly value: Float64Array;
  readonly hold: Float64Array;
  /** Blocks that could be in a sheet worth what is asked, and the most that it could be worth. */
  readonly worthy: readonly number[];
  readonly could: Float64Array;
  /** What a sheet must be worth. */
  readonly ask: number;
  /** No sheet is worth more. */
  readonly most: number;
}
export interface Found {
  readonly strips: Strips;
  readonly chosen: readonly number[];
  /** Above what was asked. */
  readonly over: number;
  readonly cost: number;
}

const stepsOf = (length: number, room: number): number => Math.floor((length / room) * STEPS);

export class DenseSheets {
  private readonly blocks: Blocks;
  private readonly strips: Strips[] = [];
  /** Parts of each size that are used up while sheets are looked for. */
  private readonly taken: Int32Array;
  private worths: Float64Array | undefined;
  ready = false;
  /** Of the shares, where enough was found the last time. */
  private share = 0;
  /** Less than this is the rounding of floating point. */
  private readonly least: number;

  constructor(
    private readonly task: SheetTask,
    private readonly sizes: readonly BlockSize[],
    private readonly sources: readonly number[],
    /** Blocks of each number of parts. */
    blocks: number,
  ) {
    this.blocks = new Blocks(task, sizes, blocks);
    this.taken = new Int32Array(sizes.length);
    this.least = LITTLE * Math.max(...sources.map((source) => task.sources[source]!.open));
  }

  /** A piece of getting ready. */
  grow(stop: () => boolean): void {
    if (this.blocks.parts < MOST_IN_BLOCK) return this.blocks.grow(stop);
    for (const source of this.sources) {
      const { w, h } = this.task.sources[source]!;
      for (const strips of [this.across(source, 'x', w, h), this.across(source, 'y', h, w)])
        if (strips.blocks.length > 0) this.strips.push(strips);
    }
    this.ready = true;
  }

  private across(source: number, axis: 'x' | 'y', room: number, high: number): Strips {
    const { blocks } = this;
    const [along, side] = axis === 'x' ? [blocks.w, blocks.h] : [blocks.h, blocks.w];
    const { rack } = this.task.sources[source]!;
    const most = (rack ? LOST_ON_RACK : LOST) * room * high;
    const back = (at: number) => this.back(source, along[at]!, high - side[at]!);
    // Of the same parts the shortest.
    const best = new Map<number, number>();
    for (let at = 0; at < blocks.count; at += 1) {
      if (side[at]! > high || along[at]! > room) continue;
      if (along[at]! * high - blocks.area[at]! > most && back(at) === 0) continue;
      const before = best.get(blocks.name[at]!);
      if (before === undefined || along[at]! < along[before]!) best.set(blocks.name[at]!, at);
    }
    const order = Int32Array.from(best.values()).sort((a, b) => along[b]! - along[a]! || a - b);
    return {
      source,
      axis,
      room,
      high,
      blocks: order,
      along: Int32Array.from(order, (at) => along[at]!),
      wide: Int16Array.from(order, (at) => stepsOf(along[at]!, room)),
      rest: Int16Array.from(order, (at) => stepsOf(room - along[at]!, room)),
      back: Float64Array.from(order, back),
    };
  }
  /** What a rest gives back. */
  private back(source: number, a: number, b: number): number {
    return this.task.sources[source]!.rate * usefulArea(this.task, a, b);
  }

  /**
   * Sheets worth more by the prices of their parts than `ask` says of their source, of so many parts as are needed of each
   * size: those worth most, but not always of the same parts.
   */
  price(
    prices: ArrayLike<number>,
    need: readonly number[],
    ask: (source: number) => number,
    stop: () => boolean,
  ): CutSheet[] {
    const told: CutSheet[] = [];
    const left = [...need];
    for (let pass = 0; pass < PASSES; pass += 1) {
      const found = this.worthiest(prices, left, ask, stop).sort((a, b) => b.over - a.over);
      const often = new Int32Array(this.sizes.length);
      const before = told.length;
      for (const one of found) {
        const ids = this.sizesOf(one);
        if (told.length - before === TOLD || ids.some((size) => often[size]! >= OFTEN * left[size]!)) continue;
        for (const size of ids) often[size]! += 1;
        told.push(this.sheetOf(one));
      }
      if (told.length === before) break;
      // Next of the parts that are in none of them.
      for (const size of left.keys()) if (often[size]! > 0) left[size] = Math.max(0, left[size]! - often[size]!);
    }
    return told;
  }
  /** Those worth most, and some that are worth little less. */
  private worthiest(
    prices: ArrayLike<number>,
    need: readonly number[],
    ask: (source: number) => number,
    stop: () => boolean,
  ): Found[] {
    this.worth(prices, need);
    const looks = this.strips.map((strips) => this.begin(strips, ask(strips.source)));
    const most = Math.max(0, ...looks.map((look) => look.most - look.ask));
    const found: Found[] = [];
    // What is worth most is found soonest where little else is looked for.
    for (this.share = Math.max(0, this.share - 1); this.share < SHARES.length; this.share += 1) {
      const share = SHARES[this.share]!;
      const over = Math.max(this.least, share * most);
      found.length = 0;
      for (const look of looks) this.look(look, need, over, LOOKS, found.length + FOUND, found, stop);
      if (found.length >= ENOUGH || share * most <= this.least) break;
    }
    return found;
  }
  /** All sheets worth as much as is asked, or so little less. Undefined when they are too many. */
  within(
    prices: ArrayLike<number>,
    need: readonly number[],
    ask: (source: number) => number,
    less: number,
    most: number,
    stop: () => boolean,
  ): Found[] | undefined {
    const found: Found[] = [];
    this.worth(prices, need);
    for (const strips of this.strips) {
      const look = this.begin(strips, ask(strips.source), less);
      if (!this.look(look, need, -less, ALL_LOOKS, most, found, stop)) return undefined;
    }
    return found;
  }

  /** The sizes of a sheet's parts. */
  sizesOf({ chosen }: Found): number[] {
    const { ids } = this.blocks;
    const sizes: number[] = [];
    for (const block of chosen)
      for (let at = MOST_IN_BLOCK * block; at < MOST_IN_BLOCK * (block + 1) && ids[at]! >= 0; at += 1)
        sizes.push(ids[at]!);
    return sizes;
  }

  /** What the parts of each block are worth; nothing without one of which none is needed. */
  private worth(prices: ArrayLike<number>, need: readonly number[]): void {
    const { ids, count } = this.blocks;
    const there = Float64Array.from(need, (left, size) => (left > 0 ? prices[size]! : -Infinity));
    this.worths ??= new Float64Array(count);
    for (let block = 0; block < count; block += 1) {
      let sum = 0;
      for (let at = MOST_IN_BLOCK * block, end = at + MOST_IN_BLOCK; at < end && ids[at]! >= 0; at += 1)
        sum += there[ids[at]!]!;
      this.worths[block] = sum;
    }
  }

  private begin(strips: Strips, ask: number, less = 0): Look {
    const { source, high, blocks, wide, rest, back } = strips;
    const worths = this.worths!;
    const value = new Float64Array(blocks.length);
    // The most that so many steps of room could hold: no part is used up there.
    const hold = new Float64Array(STEPS + 1);
    const single = new Float64Array(STEPS + 1);
    for (let at = 0; at < blocks.length; at += 1) {
      const sum = worths[blocks[at]!]! + back[at]!;
      value[at] = sum;
      if (sum > single[wide[at]!]!) single[wide[at]!] = sum;
    }
    // Only those worth more than all narrower ones.
    const steps: number[] = [];
    for (let one = 1, top = 0; one <= STEPS; one += 1) {
      if (single[one]! <= top) continue;
      top = single[one]!;
      steps.push(one);
    }
    for (let room = 1; room <= STEPS; room += 1) {
      let most = Math.max(hold[room - 1]!, this.back(source, ((room + 1) * strips.room) / STEPS, high));
      for (const one of steps) {
        if (one > room) break;
        const sum = single[one]! + hold[room - one]!;
        if (sum > most) most = sum;
      }
      hold[room] = most;
    }
    const worthy: number[] = [];
    const could = new Float64Array(blocks.length);
    for (let at = 0; at < blocks.length; at += 1) {
      could[at] = value[at]! + hold[rest[at]!]!;
      if (value[at]! > 0 && could[at]! > ask - less) worthy.push(at);
    }
    return { strips, value, hold, worthy, could, ask, most: hold[STEPS]! };
  }

  /** Finds sheets worth more than `ask + over`. False when some were not looked at. */
  private look(
    { strips, value, hold, worthy: all, could, ask, most }: Look,
    need: readonly number[],
    over: number,
    mostLooks: number,
    mostFound: number,
    found: Found[],
    stop: () => boolean,
  ): boolean {
    const { source, high, blocks, along, wide, back } = strips;
    const { open } = this.task.sources[source]!;
    const least = ask + over;
    if (most <= least) return true;
    // By steps of width, those worth most first: what cannot come to enough is passed over all at once.
    const worthy: number[][] = Array.from({ length: STEPS + 1 }, () => []);
    for (const at of all) if (could[at]! > least) worthy[wide[at]!]!.push(at);
    for (const list of worthy) list.sort((a, b) => value[b]! - value[a]!);
    const chosen: number[] = [];
    let looks = 0;
    const deeper = (widest: number, from: number, left: number, worth: number, given: number): void => {
      const room = stepsOf(left, strips.room);
      for (let width = Math.min(widest, room); width >= 0; width -= 1) {
        const list = worthy[width]!;
        if (list.length === 0) continue;
        looks += 1;
        const beside = hold[room - width]!;
        for (let place = width === widest ? from : 0; place < list.length; place += 1) {
          if (looks >= mostLooks || found.length >= mostFound) return;
          const at = list[place]!;
          const sum = worth + value[at]!;
          if (sum + beside <= least) break;
          looks += 1;
          if (looks % ASKING === 0 && stop()) looks = mostLooks;
          const rest = left - along[at]!;
          if (rest < 0 || !this.take(blocks[at]!, need)) continue;
          chosen.push(blocks[at]!);
          const gives = given + back[at]!;
          const last = this.back(source, rest, high);
          if (sum + last > least)
            found.push({ strips, chosen: [...chosen], over: sum + last - ask, cost: open - gives - last });
          if (sum + hold[stepsOf(rest, strips.room)]! > least) deeper(width, place, rest, sum, gives);
          chosen.pop();
          this.give(blocks[at]!);
        }
      }
    };
    deeper(STEPS, 0, strips.room, 0, 0);
    return looks < mostLooks && found.length < mostFound;
  }
  private take(block: number, need: readonly number[]): boolean {
    const { ids } = this.blocks;
    const from = MOST_IN_BLOCK * block;
    for (let at = from; at < from + MOST_IN_BLOCK && ids[at]! >= 0; at += 1) {
      const size = ids[at]!;
      this.taken[size]! += 1;
      if (this.taken[size]! <= need[size]!) continue;
      for (let i = from; i <= at; i += 1) this.taken[ids[i]!]! -= 1;
      return false;
    }
    return true;
  }
  private give(block: number): void {
    const { ids } = this.blocks;
    const from = MOST_IN_BLOCK * block;
    for (let at = from; at < from + MOST_IN_BLOCK && ids[at]! >= 0; at += 1) this.taken[ids[at]!]! -= 1;
  }

  /** Its cuts; of each size the first part stands for all of them. */
  sheetOf({ strips: { axis, source }, chosen }: Found): CutSheet {
    const { task, blocks, sizes } = this;
    const leaf = (size: number, rotated: boolean): Tree => ({ kind: 'part', part: sizes[size]!.part, rotated });
    const { w, h } = task.sources[source]!;
    const lay = (from: number, left: number): Tree => {
      if (from === chosen.length) return { kind: 'left' };
      const block = chosen[from]!;
      const along = axis === 'x' ? blocks.w[block]! : blocks.h[block]!;
      const first = axis === 'x' ? blocks.tree(block, along, h, leaf) : blocks.tree(block, w, along, leaf);
      return along === left ? first : { kind: 'cut', axis, at: along, first, rest: lay(from + 1, left - along) };
    };
    return cutSheet(task, source, lay(0, axis === 'x' ? w : h));
  }
}
