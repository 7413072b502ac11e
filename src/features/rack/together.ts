import type { PlanFigures } from '@/core/cutting/plan-figures';

/** Both halves of a plan as one. A half without a bound of its own counts by its own gap. */
export function together(sticks: PlanFigures, sheets: PlanFigures): PlanFigures {
  const boundOf = ({ bound, cost, gap }: PlanFigures) => (bound > 0 ? bound : cost / (1 + gap));
  const cost = sticks.cost + sheets.cost;
  const bound = boundOf(sticks) + boundOf(sheets);
  return {
    ...sticks,
    opened: sticks.opened + sheets.opened,
    cost,
    bound,
    gap: bound > 0 ? cost / bound - 1 : 0,
    optimal: sticks.optimal && sheets.optimal,
  };
}
