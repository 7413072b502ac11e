/**
 * Ways of cutting that are worth more, by the prices of a linear program, than they cost: sheets are filled by price, and
 * dense ones found where there are any, and what is worth it joins the program.
 */
import type { Random } from '../random';
import type { DenseSheets } from './dense';
import type { SheetFiller } from './fill';
import type { WayProgram } from './program';
import type { CutSheet, SheetTask } from './task';

/** Fillings priced with the same prices. */
const FILLS = 40;
/** Where dense sheets are found by price. */
const FEW_FILLS = 8;
const TRIES = 6;
/** A sheet must be worth so much more than it costs, as a share. */
const WORTHY = 1e-6;
/** How slowly the calm prices follow. */
const CALM = 0.5;

export class Pricing {
  /** Of each size. */
  private readonly area: readonly number[];
  /** Prices of the sizes, as they have been for some time: at first those of their areas. */
  private readonly calm: Float64Array;

  constructor(
    private readonly task: SheetTask,
    private readonly filler: SheetFiller,
    private readonly program: WayProgram,
    private readonly sources: readonly number[],
    private readonly dense: DenseSheets | undefined,
    private readonly random: Random,
  ) {
    this.area = program.parts.map((list) => task.parts[list[0]!]!.w * task.parts[list[0]!]!.h);
    const cheapest = Math.min(...task.sources.map(({ open, w, h }) => open / (w * h)));
    this.calm = Float64Array.from(this.area, (area) => area * cheapest);
  }

  /**
   * Looks for ways to cut some of the parts, of the pieces of the rack that are left; true when some were worth more than
   * they cost.
   */
  price(
    duals: Float64Array,
    parts: readonly number[],
    racks: readonly number[] | undefined,
    stop: () => boolean,
  ): boolean {
    const { random, filler, sources } = this;
    let whole = 0;
    let priced = 0;
    for (const part of parts) {
      const row = this.program.row(part);
      whole += this.area[row]!;
      priced += duals[row]!;
    }
    if (priced <= 0) return false;
    if (this.dense && this.priceDense(this.dense, duals, parts, racks, stop)) return true;
    filler.pool.values((size) => ((duals[this.program.rowOfSize(size) ?? -1] ?? 0) * whole) / priced);
    let joined = false;
    for (let at = 0; at < (this.dense ? FEW_FILLS : FILLS); at += 1) {
      const share = parts.length < 12 ? 1 : 0.3 + 0.5 * random.next();
      filler.pool.begin(
        parts.filter(() => random.next() < share),
        true,
      );
      const source = sources[random.below(sources.length)]!;
      const sheet = filler.fill([source], TRIES, share === 1);
      if (!sheet) continue;
      if (this.joinWorthy(sheet, duals)) joined = true;
    }
    return joined;
  }

  /** Dense sheets: by prices that change slowly first, which find more that stays. */
  private priceDense(
    dense: DenseSheets,
    duals: Float64Array,
    parts: readonly number[],
    racks: readonly number[] | undefined,
    stop: () => boolean,
  ): boolean {
    const need = this.needOf(parts);
    const asks = this.asks(duals, racks);
    for (let at = 0; at < this.calm.length; at += 1) this.calm[at] = CALM * this.calm[at]! + (1 - CALM) * duals[at]!;
    for (const prices of [this.calm, duals]) {
      let joined = false;
      for (const sheet of dense.price(prices, need, asks, stop)) {
        if (this.joinWorthy(sheet, duals)) joined = true;
      }
      if (joined) return true;
    }
    return false;
  }
  /** A sheet worth more than it costs joins. False when it is not, or is known. */
  private joinWorthy(sheet: CutSheet, duals: Float64Array): boolean {
    return this.program.over(sheet, duals) < -WORTHY * sheet.cost && this.program.join(sheet);
  }
  private needOf(parts: readonly number[]): number[] {
    const need = this.program.parts.map(() => 0);
    for (const part of parts) need[this.program.row(part)]! += 1;
    return need;
  }
  /** What the parts of a sheet must be worth together; `racks` says which pieces of the rack are left, all if nothing. */
  asks(duals: ArrayLike<number>, racks?: readonly number[]): (source: number) => number {
    return (source) => {
      const rack = this.program.racks.indexOf(source);
      if (rack >= 0 && racks && racks[rack]! <= 0) return Infinity;
      return this.task.sources[source]!.open - (rack < 0 ? 0 : duals[this.program.parts.length + rack]!);
    };
  }
}
