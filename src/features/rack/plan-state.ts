/** What a plan is asked for: the chosen jobs as requests, and what is sent when it is confirmed. */
import type { Asked } from '@/contract/commands';
import type { RackPieceView, RackView } from '@/contract/views';
import type { Wanted } from '@/core/cutting/demand';
import { type CutRequests, type RackPiece, requestsFor } from '@/core/cutting/plan-request';
import { defaultSettings } from '@/core/settings';
import type { Plans } from './use-plan';

export interface PlanState {
  readonly wanted: Wanted;
  readonly requests: CutRequests;
  readonly tickets: readonly string[];
  /** Of the plan that will be confirmed. */
  readonly id: string;
}

const pieceOf = (rackPiece: RackPieceView): RackPiece =>
  rackPiece.kind === 'stick'
    ? { ...rackPiece, kind: 'stick' }
    : { ...rackPiece, kind: 'sheet', w: rackPiece.length, h: rackPiece.height! };

export function planState(rack: RackView, tickets: ReadonlySet<string>): PlanState {
  const jobs = rack.jobs.filter((job) => tickets.has(job.ticket));
  const wanted: Wanted = {
    frames: jobs.flatMap((job) => job.wanted.frames),
    parts: jobs.flatMap((job) => job.wanted.parts),
    beside: jobs.flatMap((job) => job.wanted.beside),
  };
  const requests = requestsFor(wanted, rack.pieces.map(pieceOf), rack.lists, defaultSettings(rack.homeUnit));
  return { wanted, requests, tickets: [...tickets], id: crypto.randomUUID() };
}

const judged = ({ unmade, cost, bound, gap, optimal }: Plans['sticks'] | Plans['sheets']) => ({
  unmade: [...unmade],
  cost,
  bound,
  gap,
  optimal,
});
export const confirmation = ({ id, tickets }: PlanState, { sticks, sheets }: Plans): Asked<'confirm-plan'> =>
  ({
    id,
    tickets: [...tickets],
    sticks: { bars: sticks.bars, ...judged(sticks) },
    sheets: { sheets: sheets.sheets, ...judged(sheets) },
  }) as Asked<'confirm-plan'>;

export type Kind = 'sticks' | 'sheets';
/** Sticks and sheets that stay as they are when the rest is planned again, by their place in the plan. */
export type Locked = Readonly<Record<Kind, ReadonlySet<number>>>;
export const NONE_LOCKED: Locked = { sticks: new Set(), sheets: new Set() };

export function flipped(locked: Locked, kind: Kind, index: number): Locked {
  const next = new Set(locked[kind]);
  if (!next.delete(index)) next.add(index);
  return { ...locked, [kind]: next };
}
/** The locked ones of a plan; they come first in the next. */
export function keptOf(plans: Plans, locked: Locked) {
  const kept = {
    sticks: plans.sticks.bars.filter((_, index) => locked.sticks.has(index)),
    sheets: plans.sheets.sheets.filter((_, index) => locked.sheets.has(index)),
  };
  const first = (list: readonly unknown[]) => new Set(list.map((_, index) => index));
  return { kept, locked: { sticks: first(kept.sticks), sheets: first(kept.sheets) } };
}
