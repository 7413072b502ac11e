/**
 * What a sheet can hold at most, by value, when it is cut edge to edge in any number of stages: for every size of piece
 * on a grid the best of one part, a useful offcut, or two smaller pieces (dynamic programming, Gilmore and Gomory). Parts
 * are rounded down to the grid and may be cut as often as they fit, so the value is never below that of a real sheet.
 */
import { toMm } from '../grain';
import { type Scale, cellsOf } from './scale';
import type { SheetTask } from './task';

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
  private prices: ArrayLike<number> = [];
  /** Cells of each class, upright and turned. */
  private readonly sized: readonly { readonly x: number; readonly y: number; readonly index: number }[];
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
    this.value = new Float64Array(this.columns * this.rows);
    this.useful = new Float64Array(this.columns * this.rows);
    this.sized = classes
      .flatMap(({ w, h }, index) => [{ w, h, index }, ...(task.rotate && w !== h ? [{ w: h, h: w, index }] : [])])
      .map(({ w, h, index }) => ({ x: cellsOf(across, w), y: cellsOf(along, h), index }));
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
    const { columns, rows, value, least } = this;
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
      for (let split = least.x; split <= x >> 1; split += 1) {
        const one = split * rows - row;
        const other = -split * rows;
        for (let at = row + least.y; at < row + rows; at += 1) {
          const sum = value[at + one]! + value[at + other]!;
          if (sum > value[at]!) value[at] = sum;
        }
      }
      for (let y = 1; y < rows; y += 1) {
        let best = Math.max(value[row + y]!, value[row + y - 1]!);
        for (let split = least.y; split <= y >> 1; split += 1) {
          const sum = value[row + split]! + value[row + y - split]!;
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

  /** Which classes the best filling holds, how often, and what its offcuts give back: found again from the values. */
  holds(w: number, h: number): { counts: Map<number, number>; useful: number } {
    const { rows, value, prices, least } = this;
    const counts = new Map<number, number>();
    let useful = 0;
    const walk = (x: number, y: number): void => {
      const worth = value[x * rows + y]!;
      if (x <= 0 || y <= 0 || worth <= 0) return;
      if (value[(x - 1) * rows + y] === worth) return walk(x - 1, y);
      if (value[x * rows + y - 1] === worth) return walk(x, y - 1);
      if (this.useful[x * rows + y] === worth) {
        useful += worth;
        return;
      }
      const part = this.sized.find((one) => one.x === x && one.y === y && prices[one.index] === worth);
      if (part) {
        counts.set(part.index, (counts.get(part.index) ?? 0) + 1);
        return;
      }
      for (let split = least.x; split <= x >> 1; split += 1)
        if (value[split * rows + y]! + value[(x - split) * rows + y]! === worth) {
          walk(split, y);
          return walk(x - split, y);
        }
      for (let split = least.y; split <= y >> 1; split += 1)
        if (value[x * rows + split]! + value[x * rows + y - split]! === worth) {
          walk(x, split);
          return walk(x, y - split);
        }
    };
    walk(cellsOf(this.scales.x, w), cellsOf(this.scales.y, h));
    return { counts, useful };
  }
}
