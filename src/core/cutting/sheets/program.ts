/**
 * The ways of cutting that are known, and the linear program that says how often each is used: a row for each size of part,
 * then one for each piece of the rack. Other than the bound's, these ways can all be cut as they are, from the parts that
 * are there.
 */
import { type Basis, Growing, type Row, type Solved, type Solver } from '../linear';
import { type CutSheet, type SheetResult, type SheetTask, type Tree, cutSheet } from './task';

/** A way of cutting in rows of the linear program: the sizes of its parts, then the piece of the rack. */
export interface Way {
  readonly sheet: CutSheet;
  readonly rows: readonly number[];
  readonly values: readonly number[];
}
/** What is left to be made: parts of each size, pieces of the rack. */
export interface Left {
  readonly need: readonly number[];
  readonly racks: readonly number[];
}

/** What a way costs above its prices. */
export const above = ({ rows, values, sheet }: Way, duals: Float64Array): number =>
  rows.reduce((sum, row, at) => sum - duals[row]! * values[at]!, sheet.cost);

export class WayProgram {
  readonly ways: Way[] = [];
  /** The parts of each size. */
  readonly parts: readonly (readonly number[])[];
  /** Of a size among all, its row. */
  private readonly rowOf: number[] = [];
  private readonly known = new Set<string>();
  private readonly program: Growing;
  /** Where the program of all parts stood last. */
  private basis: Basis | undefined;

  constructor(
    private readonly task: SheetTask,
    solver: Solver,
    private readonly made: readonly number[],
    /** Sources of which there are not as many as wanted. */
    readonly racks: readonly number[],
    /** Which size each part has. */
    private readonly sizeOf: ArrayLike<number>,
  ) {
    const rows = new Map<number, number[]>();
    for (const part of made) {
      const list = rows.get(sizeOf[part]!);
      if (list) list.push(part);
      else rows.set(sizeOf[part]!, [part]);
    }
    this.parts = [...rows.values()];
    for (const [row, size] of [...rows.keys()].entries()) this.rowOf[size] = row;
    this.program = new Growing(solver, this.rows(), true);
    for (const [size, list] of this.parts.entries())
      this.program.add({ cost: task.unmadePenalty, upper: list.length, rows: [size], values: [1] });
  }
  dispose(): void {
    this.program.dispose();
  }

  /** All that is to be made, and all that is there. */
  all(): { need: number[]; racks: number[] } {
    return {
      need: this.parts.map((list) => list.length),
      racks: this.racks.map((index) => this.task.sources[index]!.most),
    };
  }
  rows(): Row[] {
    const { need, racks } = this.all();
    return [...need.map((count) => this.limits(0, count)), ...racks.map((most) => this.limits(need.length, most))];
  }
  private limits(row: number, left: number): Row {
    return row < this.parts.length ? { lower: Math.max(0, left), upper: Infinity } : { lower: -Infinity, upper: left };
  }
  row(part: number): number {
    return this.rowOf[this.sizeOf[part]!]!;
  }
  /** The row of a size among all, if it has one. */
  rowOfSize(size: number): number | undefined {
    return this.rowOf[size];
  }
  /** The sizes of a way's parts, one for each. */
  sizes({ rows, values }: Way): number[] {
    return rows.flatMap((row, at) => (row < this.parts.length ? Array.from({ length: values[at]! }, () => row) : []));
  }

  private inRows(sheet: CutSheet): Way {
    const counts = new Map<number, number>();
    for (const part of sheet.parts) {
      const size = this.row(part);
      counts.set(size, (counts.get(size) ?? 0) + 1);
    }
    const rack = this.racks.indexOf(sheet.source);
    const rows = [...counts.keys()].sort((a, b) => a - b);
    const values = rows.map((row) => counts.get(row)!);
    if (rack >= 0) {
      rows.push(this.parts.length + rack);
      values.push(1);
    }
    return { sheet, rows, values };
  }
  /** A way of cutting joins the program. False when it is known. */
  join(sheet: CutSheet): boolean {
    const way = this.inRows(sheet);
    const { rows, values } = way;
    const name = `${Math.round(sheet.cost)}|${rows.join()}|${values.join()}`;
    if (this.known.has(name)) return false;
    this.known.add(name);
    this.ways.push(way);
    this.program.add({ cost: sheet.cost, upper: Infinity, rows, values });
    return true;
  }
  /** What a sheet costs above its prices. */
  over(sheet: CutSheet, duals: Float64Array): number {
    return above(this.inRows(sheet), duals);
  }

  /** How often each way is used at the least cost, and the prices. Undefined when stopped. */
  solve(stop: () => boolean): Solved | undefined {
    return this.program.solve(stop);
  }
  /** To go on from here after a `reset`. Before anything joins. */
  keep(): void {
    this.basis = this.program.basis;
  }
  /** So much is left of a row. */
  limit(row: number, left: number): void {
    this.program.limit(row, this.limits(row, left));
  }
  /** All is to be made again. */
  reset(): void {
    for (const [row, limits] of this.rows().entries()) this.program.limit(row, limits);
    if (this.basis) this.program.restore(this.basis, this.parts.length + this.ways.length);
  }

  /** Ways as sheets of the parts there are; what is more than needed is left out. */
  planOf(chosen: readonly CutSheet[]): SheetResult {
    const { task } = this;
    const left = this.parts.map((list) => [...list]);
    const sheets = chosen.flatMap((sheet) => {
      const one = cutSheet(task, sheet.source, this.relabelled(sheet.tree, left));
      return one.parts.length > 0 ? [one] : [];
    });
    const unmade = new Set(task.parts.keys());
    for (const { parts } of sheets) for (const part of parts) unmade.delete(part);
    return { sheets, unmade: [...unmade], cost: NaN };
  }
  private relabelled(tree: Tree, left: readonly number[][]): Tree {
    if (tree.kind === 'left') return tree;
    if (tree.kind === 'cut')
      return { ...tree, first: this.relabelled(tree.first, left), rest: this.relabelled(tree.rest, left) };
    const part = left[this.row(tree.part)]!.pop();
    if (part === undefined) return { kind: 'left' };
    const [was, is] = [this.task.parts[tree.part]!, this.task.parts[part]!];
    return { kind: 'part', part, rotated: tree.rotated !== (was.w !== is.w) };
  }
  /** What the parts that nothing is large enough for cost. */
  get never(): number {
    return (this.task.parts.length - this.made.length) * this.task.unmadePenalty;
  }
}
