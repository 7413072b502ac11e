/** What keeps the steps of a job waiting now: glue, paint, press. */
import { type ShopSettings, calendarOf, waitMinutesOf } from '@/contract/settings';
import type { StepKey } from '@/core/route/steps';
import { type DoneStep, type Waiting, waitingFor } from '@/core/route/waits';
import type { StepRow } from '@/db/queries/jobs';
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
