/** What the rack and the plans say. */
import type { PlanFigures } from '@/core/cutting/plan-figures';
import { formatMoney, money } from '@/core/units/money';
import { RACK_WORDS } from '@/words/screens/rack';

export const cents = (value: number): string => formatMoney(money(Math.round(value)));
export const percent = (share: number): string =>
  share === 0 ? '0 %' : share < 0.0005 ? 'under 0.1 %' : `${(share * 100).toFixed(1)} %`;

/** How much better a plan could be, in plain words. */
export function gapWords({ optimal, gap, cost, bound, opened }: PlanFigures, inMoney = true): string {
  if (opened === 0) return RACK_WORDS.nothingToCut;
  if (optimal) return RACK_WORDS.nothingCheaperIsPossible;
  // The gap is of the lower bound; what could be saved is said of what the plan costs.
  const share = Number.isFinite(gap) ? gap / (1 + gap) : 1;
  return RACK_WORDS.atMostCouldStill(percent(share), inMoney ? ` (${cents(cost - bound)})` : '');
}

export const WAY_NAMES = {
  sticks: RACK_WORDS.wholeSticksOffcutsKept,
  'cut-legs': RACK_WORDS.legsCutByThe,
  'ready-made': RACK_WORDS.readyMadeStandardSize,
} as const;

export const ORIGIN_NAMES = {
  typed: '',
  list: RACK_WORDS.fromAList,
  offcut: 'offcut',
  'drop-out': RACK_WORDS.windowDropOut,
  spoiled: RACK_WORDS.leftOfASpoiled,
} as const;

/** The share of what was opened that was lost. */
export const shareLost = ({ opened, lost }: { opened: number; lost: number }): number =>
  opened > 0 ? lost / opened : 0;
