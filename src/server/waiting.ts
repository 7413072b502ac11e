/** What keeps the steps of a job waiting now: glue, paint, press. */
import { type ShopSettings, calendarOf, waitMinutesOf } from '@/contract/settings';
import type { StepKey } from '@/core/route/steps';
import { dayOfMoment, momentAt } from '@/core/schedule/calendar';
import { endOf } from '@/core/schedule/earliest';
import { type DoneStep, type Waiting, waitingFor } from '@/core/route/waits';
import type { Hold, StepRow } from '@/db/queries/jobs';
import { momentOf } from './clock';

export function waitingAt(
  steps: readonly StepRow[],
  now: Date,
  settings: ShopSettings,
): (step: StepKey) => Waiting | undefined {
  const done = steps.map(({ step, state, waits, done_at }): DoneStep => {
    const doneAt = done_at && momentOf(done_at);
    return { step, state, waits, doneAt };
  });
  const [moment, minutes, calendar] = [momentOf(now), waitMinutesOf(settings), calendarOf(settings)];
  return (step) => waitingFor(step, done, moment, minutes, calendar);
}

/**
 * The first day on which a job can be ready: what is left of it after the day its hold ends, or what cures now. Undefined
 * where no day can be given: its hold has none, or nothing of it is left to be done.
 */
export function firstDay(
  steps: readonly StepRow[],
  hold: Hold | null,
  now: Date,
  settings: ShopSettings,
): string | undefined {
  const left = steps.filter(({ state, step }) => state !== 'done' && step !== 'hand-over');
  if (left.length === 0 || (hold && hold.until === null)) return undefined;
  const minutes = waitMinutesOf(settings);
  const cures = waitingAt(steps, now, settings)(left[0]!.step)?.until;
  const begins = [momentOf(now), cures ?? '', hold?.until ? momentAt(hold.until, '00:00') : ''].sort().at(-1)!;
  const remaining = left.map((step) => ({ minutes: step.minutes, wait: step.waits ? minutes[step.waits] : 0 }));
  const end = endOf(calendarOf(settings), begins, remaining);
  return end && dayOfMoment(end);
}
