/**
 * What a sheet can hold at most, by value, when it is cut edge to edge in any number of stages: for every size of piece
 * on a grid the best of one part, a useful offcut, or two smaller pieces (dynamic programming, Gilmore and Gomory). Parts
 * are rounded down to the grid and may be cut as often as they fit, so the value is never below that of a real sheet.
 */
import { toMm } from '../grain';
import { type Scale, cellsOf } from './scale';
import type { SheetTask } from './task';

/** Cuts on the grid: a part of a class, what is left and gives so much back, or two pieces beside or above each other. */
export type TableCuts =
  | { readonly kind: 'part'; readonly index: number; readonly turned: boolean }
  | { readonly kind: 'left'; readonly worth: number }
  | { readonly kind: 'cut'; readonly axis: 'x' | 'y'; readonly first: TableCuts; readonly rest: TableCuts };

export interface SizeClass {
  readonly w: number;
  readonly h: number;
  readonly parts: readonly number[];
}

/** Parts of one size; a part and the same turned are one where it may be turned. */
export function sizeClasses(task: SheetTask, made: readonly number[]): SizeClass[] {
  const found = new Map<string, { w: number; h: number; parts: number[] }>();
  for (const part of made) {
    let { w, h } = task.parts[part]!;
    if (task.rotate && w < h) [w, h] = [h, w];
    const key = `${w}:${h}`;
    const one = found.get(key);
    if (one) one.parts.push(part);
    else found.set(key, { w, h, parts: [part] });
  }
  return [...found.values()];
}

export class GuillotineTable {
  private readonly columns: number;
  private readonly rows: number;
  private readonly value: Float64Array;
  private readonly useful: Float64Array;
  private readonly least: { x: number; y: number };
  /** For each width the least height that holds something. */
  private readonly first: Int32Array;
  private prices: ArrayLike<number> = [];
  /** Cells of each class, upright and turned. */
  private readonly sized: readonly {
    readonly x: number;
    readonly y: number;
    readonly index: number;
    readonly turned: boolean;
  }[];
  /** False where a part is smaller than a cell: then the table says nothing. */
  readonly able: boolean;

  constructor(
    task: SheetTask,
    classes: readonly SizeClass[],
    private readonly scales: { readonly x: Scale; readonly y: Scale },
    rate: number,
  ) {
    const { x: across, y: along } = scales;
    this.columns = across.count + 1;
    this.rows = along.count + 1;
    this.first = new Int32Array(this.columns);
    this.value = new Float64Array(this.columns * this.rows);
    this.useful = new Float64Array(this.columns * this.rows);
    this.sized = classes
      .flatMap(({ w, h }, index) => [
        { w, h, index, turned: false },
        ...(task.rotate && w !== h ? [{ w: h, h: w, index, turned: true }] : []),
      ])
      .map(({ w, h, ...one }) => ({ x: cellsOf(across, w), y: cellsOf(along, h), ...one }));
    this.able = this.sized.every(({ x, y }) => x > 0 && y > 0);
    const { short, long } = task.minOffcut;
    const [width, height] = (['w', 'h'] as const).map((side) => Math.max(...task.sources.map((one) => one[side])));
    // So many cells are less than one cell more.
    const real = (cells: number, { cell }: Scale, most: number) => toMm(Math.min((cells + 1) * cell, most) - task.kerf);
    if (rate > 0)
      for (let x = 1; x < this.columns; x += 1)
        for (let y = 1; y < this.rows; y += 1) {
          const [a, b] = [real(x, across, width!), real(y, along, height!)];
          const good = Math.min(a, b) >= toMm(short) && Math.max(a, b) >= toMm(long) && Math.min(a, b) > 0;
          if (good) this.useful[x * this.rows + y] = rate * a * b;
        }
    const least = (side: 'x' | 'y', scale: Scale) =>
      Math.max(1, Math.min(rate > 0 ? cellsOf(scale, short) - 1 : Infinity, ...this.sized.map((one) => one[side])));
    this.least = { x: least('x', across), y: least('y', along) };
  }
  /** How many steps filling the table takes, about. */
  get work(): number {
    return (this.columns * this.rows * (this.columns + this.rows)) / 4;
  }

  /** False when it was stopped; then the table holds nothing. */
  fill(prices: ArrayLike<number>, stop: () => boolean): boolean {
    const { columns, rows, value, least, first } = this;
    this.prices = prices;
    value.set(this.useful);
    for (const { x, y, index } of this.sized)
      if (x < columns && y < rows && prices[index]! > value[x * rows + y]!) value[x * rows + y] = prices[index]!;
    for (let x = 1; x < columns; x += 1) {
      if (x % 16 === 0 && stop()) return false;
      const row = x * rows;
      // One cell more never holds less.
      for (let at = row + 1; at < row + rows; at += 1)
        if (value[at - rows]! > value[at]!) value[at] = value[at - rows]!;
      // A piece that holds nothing is no piece: where the narrower one does, the wider one does too.
      for (let split = least.x; split <= x >> 1; split += 1) {
        const one = split * rows - row;
        const other = -split * rows;
        for (let at = row + first[split]!; at < row + rows; at += 1) {
          const sum = value[at + one]! + value[at + other]!;
          if (sum > value[at]!) value[at] = sum;
        }
      }
      let y = 1;
      while (y < rows && value[row + y]! === 0) y += 1;
      const lowest = y;
      first[x] = lowest;
      for (y += 1; y < rows; y += 1) {
        let best = Math.max(value[row + y]!, value[row + y - 1]!);
        for (let one = row + lowest, other = row + y - lowest; one <= other; one += 1, other -= 1) {
          const sum = value[one]! + value[other]!;
          if (sum > best) best = sum;
        }
        value[row + y] = best;
      }
    }
    return true;
  }

  private at(w: number, h: number): number {
    return cellsOf(this.scales.x, w) * this.rows + cellsOf(this.scales.y, h);
  }
  valueOf(w: number, h: number): number {
    return this.value[this.at(w, h)]!;
  }

  /** How the best filling is cut: found again from the values. */
  cutsOf(w: number, h: number): TableCuts {
    return this.cutsIn(cellsOf(this.scales.x, w), cellsOf(this.scales.y, h));
  }
  private cutsIn(x: number, y: number): TableCuts {
    const { rows, value, prices, least } = this;
    const worth = value[x * rows + y]!;
    if (x <= 0 || y <= 0 || worth <= 0) return { kind: 'left', worth: 0 };
    if (value[(x - 1) * rows + y] === worth) return this.cutsIn(x - 1, y);
    if (value[x * rows + y - 1] === worth) return this.cutsIn(x, y - 1);
    if (this.useful[x * rows + y] === worth) return { kind: 'left', worth };
    const part = this.sized.find((one) => one.x === x && one.y === y && prices[one.index] === worth);
    if (part) return { kind: 'part', index: part.index, turned: part.turned };
    for (let split = least.x; split <= x >> 1; split += 1)
      if (value[split * rows + y]! + value[(x - split) * rows + y]! === worth)
        return { kind: 'cut', axis: 'x', first: this.cutsIn(split, y), rest: this.cutsIn(x - split, y) };
    for (let split = least.y; split <= y >> 1; split += 1)
      if (value[x * rows + split]! + value[x * rows + y - split]! === worth)
        return { kind: 'cut', axis: 'y', first: this.cutsIn(x, split), rest: this.cutsIn(x, y - split) };
    throw new Error('a table holds a value that nothing explains');
  }
  /** Whether cuts found on a coarser grid, without offcuts, are still within w × h on this one. */
  holds(cuts: TableCuts, w: number, h: number): boolean {
    const size = (one: TableCuts): readonly [x: number, y: number] => {
      if (one.kind === 'left') return one.worth > 0 ? [Infinity, Infinity] : [0, 0];
      if (one.kind === 'part') {
        const { x, y } = this.sized.find(({ index, turned }) => index === one.index && turned === one.turned)!;
        return [x, y];
      }
      const [a, b] = size(one.first);
      const [c, d] = size(one.rest);
      return one.axis === 'x' ? [a + c, Math.max(b, d)] : [Math.max(a, c), b + d];
    };
    const [x, y] = size(cuts);
    return x <= cellsOf(this.scales.x, w) && y <= cellsOf(this.scales.y, h);
  }
}

/** Which classes cuts hold, how often, and what their offcuts give back. */
export function heldBy(cuts: TableCuts): { counts: Map<number, number>; useful: number } {
  const counts = new Map<number, number>();
  let useful = 0;
  const walk = (one: TableCuts): void => {
    if (one.kind === 'left') useful += one.worth;
    else if (one.kind === 'part') counts.set(one.index, (counts.get(one.index) ?? 0) + 1);
    else {
      walk(one.first);
      walk(one.rest);
    }
  };
  walk(cuts);
  return { counts, useful };
}
