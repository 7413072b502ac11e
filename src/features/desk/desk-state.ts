/** What the desk holds, and which draft it begins with: the order's, the server's kept one, or this browser's. */
import type { KeptDraftView, OrderView } from '@/contract/views';
import { type History, begin, change } from '@/core/design/edit';
import type { Edit } from '@/core/design/edit';
import type { Unit } from '@/core/units/length';
import { type Draft, draftOf, sameDraft } from './draft';
import type { Kept } from './keep';

export interface DeskState extends Kept {
  /** The draft as the order has it on the server; null where it was never saved. */
  readonly saved: Draft | null;
  /** Kept typing that was begun from another revision than the order now has. */
  readonly stale: boolean;
  /** What was typed in this browser, where a newer draft of the same person came from another. */
  readonly other: Kept | undefined;
}

/** As the server draws it: no browser is asked. `fresh` is the new order a page without one begins with. */
export function firstState(order: OrderView | null, mine: KeptDraftView | null, fresh: Draft): DeskState {
  const saved = order && draftOf(order);
  const now = mine?.draft ?? saved ?? fresh;
  return {
    history: begin(now),
    active: 0,
    base: mine ? mine.base : (order?.revision ?? null),
    version: mine?.version ?? 0,
    saved,
    stale: order !== null && mine !== null && mine.base !== order.revision,
    other: undefined,
  };
}

/** The state once this browser was asked: the newer draft wins; where both have something of their own, it is said. */
export function withBrowser(state: DeskState, here: Kept | undefined, order: OrderView | null, unit: Unit): DeskState {
  if (!here) return state;
  const { saved } = state;
  if (saved && sameDraft(here.history.now, saved, unit) && state.version === 0)
    return { ...state, history: { ...here.history, now: saved }, active: here.active };
  if (here.version >= state.version)
    return { ...state, ...here, stale: order !== null && here.base !== order.revision };
  return sameDraft(here.history.now, state.history.now, unit) ? state : { ...state, other: here };
}

export const activeOf = ({ active, history }: DeskState): number => Math.min(active, history.now.pieces.length - 1);

/** A change of the draft, with its place in the history; the same state when it changes nothing. */
export function edited(state: DeskState, make: (draft: Draft, active: number) => Edit, join: boolean): DeskState {
  const history = change(state.history, make(state.history.now, activeOf(state)), join);
  return history === state.history ? state : { ...state, history, version: state.version + 1 };
}
/** A text that was read leaves its field; the order says what it said before, so what was saved stays saved. */
export function committed(state: DeskState, make: (draft: Draft, active: number) => Edit): DeskState {
  const after = edited(state, make, true);
  return after !== state && state.history.now === state.saved
    ? { ...after, saved: after.history.now, version: state.version }
    : after;
}
export const moved = (state: DeskState, history: History<Draft>): DeskState =>
  history === state.history ? state : { ...state, history, version: state.version + 1 };
