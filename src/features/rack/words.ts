/** What the rack and the plans say. */
import type { PlanFigures } from '@/core/cutting/plan-figures';
import { formatMoney, money } from '@/core/units/money';

export const cents = (value: number): string => formatMoney(money(Math.round(value)));
export const percent = (share: number): string =>
  share === 0 ? '0 %' : share < 0.0005 ? 'under 0.1 %' : `${(share * 100).toFixed(1)} %`;

/** How much better a plan could be, in plain words. */
export function gapWords({ optimal, gap, cost, bound, opened }: PlanFigures, inMoney = true): string {
  if (opened === 0) return 'Nothing to cut.';
  if (optimal) return 'Nothing cheaper is possible.';
  return `At most ${percent(gap)}${inMoney ? ` (${cents(cost - bound)})` : ''} could still be saved.`;
}

export const WAY_NAMES = {
  sticks: 'Whole sticks, offcuts kept',
  'cut-legs': 'Legs cut by the supplier',
  'ready-made': 'Ready-made, standard size',
} as const;

export const ORIGIN_NAMES = {
  typed: '',
  list: 'from a list',
  offcut: 'offcut',
  'drop-out': 'window drop-out',
  spoiled: 'left of a spoiled cut',
} as const;

/** The share of what was opened that was lost. */
export const shareLost = ({ opened, lost }: { opened: number; lost: number }): number =>
  opened > 0 ? lost / opened : 0;
