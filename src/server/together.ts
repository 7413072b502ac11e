/** Which jobs of an order can have a step done at once. */
import type { JobView } from '@/contract/views';
import { nextStep } from '@/core/route/state';
import type { StepKey } from '@/core/route/steps';
import { type JobRow, stepsOfAll } from '@/db/queries/jobs';
import type { AppContext } from './app-context';
import { waitingAt } from './waiting';

/** Steps that each piece is looked at for by itself are never done for several. */
const EACH_ALONE: readonly StepKey[] = ['fit', 'final-check', 'hand-over'];
/** Which of these jobs have this step next, with nothing that still cures or dries in the way. */
export async function togetherWith(
  app: AppContext,
  jobs: readonly JobRow[],
  step: StepKey | null,
): Promise<JobView['together']> {
  if (step === null || jobs.length === 0 || EACH_ALONE.includes(step)) return [];
  const all = await stepsOfAll(
    app.db,
    jobs.map(({ id }) => id),
  );
  const settings = await app.shopSettings();
  return jobs.flatMap(({ id, ticket, revision }) => {
    const steps = all.filter(({ job_id: job }) => job === id);
    const waiting = waitingAt(steps, app.clock.now(), settings);
    const next = nextStep(steps, (one) => waiting(one) !== undefined);
    return next === step && !waiting(step) ? [{ jobId: id, ticket, revision }] : [];
  });
}
