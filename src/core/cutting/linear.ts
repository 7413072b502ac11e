/**
 * Linear and integer programs, as the cutting engine asks for them. The solver (HiGHS) is handed in by whoever runs the
 * engine: loading it is not the core's business.
 */
import type { Basis, Highs, Model } from 'highs';

export type Solver = Highs;
export type { Basis };
export interface Column {
  readonly cost: number;
  readonly upper: number;
  readonly rows: readonly number[];
  readonly values: readonly number[];
}
export interface Row {
  readonly lower: number;
  readonly upper: number;
}
export interface Solved {
  readonly value: number;
  readonly columns: Float64Array;
  readonly rows: Float64Array;
  readonly duals: Float64Array;
}

/** The solver's numbers for its two methods. */
const [DUAL, PRIMAL] = [1, 4];

/** Small programs, solved again and again: getting one ready would take longer than solving it. */
const PLAIN = {
  presolve: 'off',
  simplex_scale_strategy: 0,
  dual_simplex_cost_perturbation_multiplier: 0,
  primal_simplex_bound_perturbation_multiplier: 0,
} as const;

/** A linear program to minimise whose columns come one after the other; solved again from the basis it has. */
export class Growing {
  private readonly model: Model;
  /** Limits changed since the last solution: it may be none any more, and no new column helps. */
  private limited = false;

  constructor(
    private readonly solver: Solver,
    rows: readonly Row[],
    plain = false,
  ) {
    this.model = solver.createModel();
    this.model.options.set({ output_flag: false, ...(plain ? PLAIN : {}) });
    for (const row of rows) this.model.addRow(row.lower, row.upper, { indices: [], values: [] });
  }
  add({ cost, upper, rows, values }: Column): void {
    this.model.addCol(cost, 0, upper, { indices: rows, values });
  }
  /** Undefined when there is no solution, or it was stopped. */
  solve(stop: () => boolean): Solved | undefined {
    // With more columns the last solution still is one, so the primal method goes on from it.
    this.model.options.set({ simplex_strategy: this.limited ? DUAL : PRIMAL });
    this.limited = false;
    this.model.run({
      [this.solver.constants.callbackType.simplexInterrupt](event) {
        if (stop()) event.interrupt();
      },
    });
    if (this.model.getModelStatus() !== this.solver.constants.modelStatus.optimal) return undefined;
    const { colValue, rowValue, rowDual } = this.model.getSolution();
    return { value: this.model.getObjectiveValue(), columns: colValue, rows: rowValue, duals: rowDual };
  }
  /** Where the last solution stands, to go on from again once the limits are what they were. */
  get basis(): Basis {
    return this.model.getBasis();
  }
  restore({ colStatus, rowStatus }: Basis, columns: number): void {
    const all = new Int32Array(columns);
    all.set(colStatus);
    this.model.setBasis({ colStatus: all, rowStatus });
    this.limited = false;
  }
  /** Of a column, by its place among those added. */
  price(column: number, cost: number): void {
    this.model.changeColCost(column, cost);
  }
  limit(row: number, { lower, upper }: Row): void {
    this.model.changeRowBounds(row, lower, upper);
    this.limited = true;
  }
  dispose(): void {
    this.model.dispose();
  }
}

export interface IntegerProgram {
  readonly columns: readonly (Column & { readonly whole: boolean })[];
  readonly rows: readonly Row[];
}
export interface IntegerAnswer {
  /** The best solution found, if it beats the cutoff. */
  readonly columns: Float64Array | undefined;
  readonly value: number;
  /** No solution costs less. */
  readonly bound: number;
  readonly proven: boolean;
}
export interface IntegerLimits {
  /** Infinity where nodes alone end it. */
  readonly seconds: number;
  readonly nodes: number;
  /** Only solutions that cost less than this are wanted; what costs more is not told. */
  readonly cutoff: number;
  readonly stop: () => boolean;
}

/** The solver's word for a solution that keeps all rows. */
const FEASIBLE = 2;

/** Minimises an integer program within limits; asked `stop` again and again, it ends soon after a yes. */
export function minimise(solver: Solver, { columns, rows }: IntegerProgram, limits: IntegerLimits): IntegerAnswer {
  const starts = new Int32Array(columns.length + 1);
  columns.forEach((column, at) => (starts[at + 1] = starts[at]! + column.rows.length));
  const model = solver.createModel({
    numCols: columns.length,
    numRows: rows.length,
    colCost: columns.map((one) => one.cost),
    colLower: columns.map(() => 0),
    colUpper: columns.map((one) => one.upper),
    rowLower: rows.map((one) => one.lower),
    rowUpper: rows.map((one) => one.upper),
    matrix: {
      format: 'csc',
      numRows: rows.length,
      numCols: columns.length,
      starts,
      indices: columns.flatMap((one) => one.rows as number[]),
      values: columns.flatMap((one) => one.values as number[]),
    },
    integrality: columns.map((one) => (one.whole ? 1 : 0)),
  });
  try {
    model.options.set({
      output_flag: false,
      ...(Number.isFinite(limits.seconds) ? { time_limit: limits.seconds } : {}),
      mip_max_nodes: limits.nodes,
      mip_rel_gap: 0,
      mip_abs_gap: 1e-6,
      ...(Number.isFinite(limits.cutoff) ? { objective_bound: limits.cutoff } : {}),
    });
    const { callbackType, modelStatus } = solver.constants;
    let bound = -Infinity;
    model.run({
      [callbackType.mipInterrupt](event) {
        bound = Math.max(bound, event.data.mip_dual_bound ?? -Infinity);
        if (limits.stop()) event.interrupt();
      },
      // Between two nodes there may be long linear programs.
      [callbackType.simplexInterrupt](event) {
        if (limits.stop()) event.interrupt();
      },
    });
    const status = model.getModelStatus();
    const proven = status === modelStatus.optimal || status === modelStatus.infeasible;
    const told = Number(model.info.get('mip_dual_bound'));
    if (Number.isFinite(told)) bound = Math.max(bound, told);
    if (status === modelStatus.infeasible) bound = limits.cutoff;
    // Not the solutions told on the way: the last one may be found without a word, in presolve.
    const there = Number(model.info.get('primal_solution_status')) === FEASIBLE;
    const value = there ? model.getObjectiveValue() : Infinity;
    if (value >= limits.cutoff)
      return { columns: undefined, value: Infinity, bound: Math.min(bound, limits.cutoff), proven };
    return { columns: model.getSolution().colValue, value, bound: Math.min(bound, value), proven };
  } finally {
    model.dispose();
  }
}
