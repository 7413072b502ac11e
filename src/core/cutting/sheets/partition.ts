/**
 * Puts sheets that the search came across at different times together anew, so that every part is cut once: an integer
 * program over sets of parts.
 */
import { type IntegerAnswer, type IntegerLimits, type Row, type Solver, minimise } from '../linear';
import { type CutSheet, type SheetResult, type SheetTask, type Tree, cutSheet } from './task';

interface Way {
  readonly parts: readonly number[];
  readonly source: number;
  readonly cost: number;
}

/** Which ways make every part once at the least cost; `fixed` is what costs the same whatever is chosen. */
function choose(task: SheetTask, ways: readonly Way[], parts: readonly number[], solver: Solver, limits: IntegerLimits): IntegerAnswer {
  const row = new Map(parts.map((part, at) => [part, at]));
  const rows: Row[] = parts.map(() => ({ lower: 1, upper: Infinity }));
  const few = new Map<number, number>();
  for (const [index, { most }] of task.sources.entries())
    if (Number.isFinite(most)) few.set(index, rows.push({ lower: -Infinity, upper: most }) - 1);
  const columns = ways.map(({ parts: list, source, cost }) => {
    const limit = few.get(source);
    const at = list.map((part) => row.get(part)!);
    if (limit !== undefined) at.push(limit);
    return { cost, upper: 1, whole: true, rows: at, values: at.map(() => 1) };
  });
  for (const part of parts)
    columns.push({ cost: task.unmadePenalty, upper: 1, whole: true, rows: [row.get(part)!], values: [1] });
  return minimise(solver, { columns, rows }, limits);
}

/** Each part stays in the first of the chosen sheets that holds it; from the others it is left out. */
function without(tree: Tree, gone: ReadonlySet<number>): Tree {
  if (tree.kind === 'part') return gone.has(tree.part) ? { kind: 'left' } : tree;
  if (tree.kind === 'left') return tree;
  return { ...tree, first: without(tree.first, gone), rest: without(tree.rest, gone) };
}
export function assemble(task: SheetTask, sheets: readonly CutSheet[], kept: readonly CutSheet[]): SheetResult {
  const made = new Set(kept.flatMap((sheet) => sheet.parts));
  const all = [...kept];
  for (const sheet of sheets) {
    const gone = new Set(sheet.parts.filter((part) => made.has(part)));
    const one = gone.size > 0 ? cutSheet(task, sheet.source, without(sheet.tree, gone)) : sheet;
    if (one.parts.length === 0) continue;
    for (const part of one.parts) made.add(part);
    all.push(one);
  }
  const unmade = task.parts.map((_, part) => part).filter((part) => !made.has(part));
  return { sheets: all, unmade, cost: NaN };
}

/** Puts sheets of the pool together anew for the given parts; `kept` are the sheets that stay. */
export function polish(
  task: SheetTask,
  pool: readonly CutSheet[],
  parts: readonly number[],
  kept: readonly CutSheet[],
  solver: Solver,
  limits: IntegerLimits,
): SheetResult | undefined {
  const answer = choose(task, pool, parts, solver, limits);
  if (!answer.columns) return undefined;
  return assemble(
    task,
    pool.filter((_, at) => answer.columns![at]! > 0.5),
    kept,
  );
}

