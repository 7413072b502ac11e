/** Chooses among all ways to cut a few parts, as `choice.ts` does, where that would be too many remainders. */
import { type IntegerLimits, type Solver, minimise } from '../linear';
import type { Choosable } from './choice';
import { lowest } from './subsets';

/** The solver's numbers are near one, and a little off. */
const SCALE = 1e-6;
const ROUNDING = 1e-5;

/**
 * The cheapest choice that costs less than `limits.cutoff`, if one was found, and what none costs less than. A row for
 * each part, for each piece of the rack, and one for the fewest new sheets.
 */
export function chooseWhole<Way extends Choosable>(
  solver: Solver,
  ways: readonly Way[],
  { parts, racks, fewest }: { readonly parts: number; readonly racks: number; readonly fewest: number },
  unmadePenalty: number,
  costOf: (way: Way) => number,
  limits: IntegerLimits,
): { readonly ways: readonly Way[] | undefined; readonly bound: number } {
  const rows = [
    ...Array.from({ length: parts }, () => ({ lower: 1, upper: Infinity })),
    ...Array.from({ length: racks }, () => ({ lower: -Infinity, upper: 1 })),
    { lower: fewest, upper: Infinity },
  ];
  const unmade = Array.from({ length: parts }, (_, part) => ({
    cost: unmadePenalty * SCALE,
    upper: 1,
    rows: [part],
    values: [1],
    whole: true,
  }));
  const columns = ways.map((way) => {
    const at: number[] = [];
    for (let rest = way.set; rest; rest &= rest - 1) at.push(lowest(rest));
    at.push(parts + (way.rack ? lowest(way.rack) : racks));
    return { cost: costOf(way) * SCALE, upper: 1, rows: at, values: at.map(() => 1), whole: true };
  });
  const answer = minimise(
    solver,
    { columns: [...unmade, ...columns], rows },
    { ...limits, cutoff: limits.cutoff * SCALE },
  );
  const chosen = answer.columns && ways.filter((_, at) => answer.columns![parts + at]! > 0.5);
  return { ways: chosen, bound: (answer.bound - ROUNDING) / SCALE };
}
