/** What was agreed about a piece, with what was measured at the bench in the place of what was computed. */
import { type Agreed, resultOf } from '@/core/agreed';
import { type WorkedAsBuilt, builtAs } from '@/core/jobs/as-built';
import type { Settings } from '@/core/settings';
import type { JobRow, StepRow } from '@/db/queries/jobs';

type DoneOf = Pick<StepRow, 'step' | 'state'>;

export const asBuiltOf = (
  { built }: Pick<JobRow, 'built'>,
  agreed: Agreed,
  steps: readonly DoneOf[],
  settings: Settings,
): WorkedAsBuilt =>
  builtAs(
    resultOf(agreed),
    built,
    settings,
    new Set(steps.filter(({ state }) => state === 'done').map(({ step }) => step)),
  );
