/**
 * What a sheet can hold at most, by value, when it is cut edge to edge in any number of stages: for every size of piece
 * on a grid the best of one part, a useful offcut, or two smaller pieces (dynamic programming, Gilmore and Gomory). Parts
 * are rounded down to the grid and may be cut as often as they fit, so the value is never below that of a real sheet.
 */
import { toMm } from '../grain';
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
  /** How a piece is used: 0 left, 1 + class, or −1 − split, with splits of x even and of y odd. */
  private readonly use: Int32Array;
  private readonly useful: Float64Array;
  private readonly least: { x: number; y: number };

  constructor(
    private readonly task: SheetTask,
    private readonly classes: readonly SizeClass[],
    readonly cell: number,
    rate: number,
  ) {
    const width = Math.max(...task.sources.map((one) => one.w));
    const height = Math.max(...task.sources.map((one) => one.h));
    this.columns = Math.floor(width / cell) + 1;
    this.rows = Math.floor(height / cell) + 1;
    this.value = new Float64Array(this.columns * this.rows);
    this.use = new Int32Array(this.columns * this.rows);
    this.useful = new Float64Array(this.columns * this.rows);
    const real = (cells: number, most: number) => toMm(Math.min((cells + 1) * cell, most) - task.kerf);
    const { short, long } = task.minOffcut;
    for (let x = 1; x < this.columns; x += 1)
      for (let y = 1; y < this.rows; y += 1) {
        const [a, b] = [real(x, width), real(y, height)];
        const good = Math.min(a, b) >= toMm(short) && Math.max(a, b) >= toMm(long) && Math.min(a, b) > 0;
        if (good) this.useful[x * this.rows + y] = rate * a * b;
      }
    const sides = (turn: boolean) => classes.flatMap(({ w, h }) => (task.rotate ? [w, h] : [turn ? h : w]));
    const least = (list: readonly number[]) => Math.max(1, Math.floor(Math.min(...list) / cell));
    this.least = {
      x: Math.min(least(sides(false)), this.leastUseful()),
      y: Math.min(least(sides(true)), this.leastUseful()),
    };
  }
  private leastUseful(): number {
    return Math.max(1, Math.floor(this.task.minOffcut.short / this.cell) - 1);
  }
  /** How many steps filling the table takes, about. */
  get work(): number {
    return (this.columns * this.rows * (this.columns + this.rows)) / 4;
  }

  /** False when it was stopped; then the table holds nothing. */
  fill(prices: ArrayLike<number>, stop: () => boolean): boolean {
    const { columns, rows, value, use, task, classes, cell } = this;
    value.set(this.useful);
    use.fill(0);
    const put = (w: number, h: number, index: number) => {
      const at = Math.floor(w / cell) * rows + Math.floor(h / cell);
      if (Math.floor(w / cell) < columns && Math.floor(h / cell) < rows && prices[index]! > value[at]!) {
        value[at] = prices[index]!;
        use[at] = 1 + index;
      }
    };
    for (const [index, { w, h }] of classes.entries()) {
      put(w, h, index);
      if (task.rotate) put(h, w, index);
    }
    const { x: leastX, y: leastY } = this.least;
    for (let x = 1; x < columns; x += 1) {
      if (x % 16 === 0 && stop()) return false;
      const row = x * rows;
      // One cell more never holds less.
      const before = row - rows;
      for (let y = 1; y < rows; y += 1)
        if (value[before + y]! > value[row + y]!) {
          value[row + y] = value[before + y]!;
          use[row + y] = -1 - 2;
        }
      for (let split = leastX; split <= x >> 1; split += 1) {
        const one = split * rows;
        const other = (x - split) * rows;
        for (let y = leastY; y < rows; y += 1) {
          const sum = value[one + y]! + value[other + y]!;
          if (sum > value[row + y]!) {
            value[row + y] = sum;
            use[row + y] = -1 - 2 * split;
          }
        }
      }
      for (let y = 1; y < rows; y += 1) {
        let best = value[row + y]!;
        let how = use[row + y]!;
        if (value[row + y - 1]! > best) {
          best = value[row + y - 1]!;
          how = -2 - 2;
        }
        for (let split = leastY; split <= y >> 1; split += 1) {
          const sum = value[row + split]! + value[row + y - split]!;
          if (sum > best) {
            best = sum;
            how = -2 - 2 * split;
          }
        }
        value[row + y] = best;
        use[row + y] = how;
      }
    }
    return true;
  }

  valueOf(w: number, h: number): number {
    return this.value[Math.floor(w / this.cell) * this.rows + Math.floor(h / this.cell)]!;
  }

  /** Which classes the best filling holds, how often, and what its offcuts give back. */
  holds(w: number, h: number): { counts: Map<number, number>; useful: number } {
    const counts = new Map<number, number>();
    let useful = 0;
    const walk = (x: number, y: number): void => {
      if (x <= 0 || y <= 0) return;
      const how = this.use[x * this.rows + y]!;
      if (how > 0) counts.set(how - 1, (counts.get(how - 1) ?? 0) + 1);
      else if (how === 0) useful += this.useful[x * this.rows + y]!;
      else {
        const code = -1 - how;
        const split = code >> 1;
        if (code % 2 === 0) {
          walk(split, y);
          walk(x - split, y);
        } else {
          walk(x, split);
          walk(x, y - split);
        }
      }
    };
    walk(Math.floor(w / this.cell), Math.floor(h / this.cell));
    return { counts, useful };
  }
}
