/** How far each piece of an agreed order has come, for whoever would change it. */
import type { Begun } from '@/contract/views';
import type { Agreed } from '@/core/agreed';
import { keptInAll, proposedKept, type Worked } from '@/core/ledger/kept';
import type { StepRow } from '@/db/queries/jobs';
import { stepOf } from './planned';

const MINUTE_MS = 60_000;
/** Minutes between Begin and done; null where nobody said that they begin. */
export function minutesTaken({ state, started_at, done_at }: StepRow): number | null {
  if (state !== 'done' || !started_at || !done_at || started_at.getTime() === done_at.getTime()) return null;
  return Math.round((done_at.getTime() - started_at.getTime()) / MINUTE_MS);
}

/** What was done for a piece so far, and in how many minutes. */
export const workedOn = (steps: readonly StepRow[], id: string, agreed: Agreed | null): Worked => {
  const own = steps.filter((step) => step.job_id === id);
  return {
    lines: agreed?.price?.lines ?? [],
    done: own.filter(({ state }) => state === 'done').map(({ step }) => step),
    minutes: own.reduce((total, step) => total + (minutesTaken(step) ?? 0), 0),
  };
};

interface Job {
  readonly id: string;
  readonly ticket: string;
}
type Part = { readonly part: string; readonly ticket: string; readonly active: boolean };
type Step = Pick<StepRow, 'job_id' | 'step' | 'state'>;

export const begunOf = (
  { id, ticket }: Job,
  steps: readonly Step[],
  parts: readonly Part[],
  worked: Worked,
  perHour: string,
): Begun => {
  const own = steps.filter((step) => step.job_id === id);
  const cut = (key: string) => own.some(({ step, state }) => step === key && state === 'done');
  return {
    begun: own.some(({ step, state }) => step !== 'materials-here' && state !== 'todo'),
    planned: parts.some((one) => one.ticket === ticket && one.active && !cut(stepOf(one.part, ticket))),
    amount: keptInAll(proposedKept([worked], perHour)),
  };
};
