/** Where a job stands, read off its steps; nothing here is stored. Source: handbook, route, "States of a job". */
import { type Issue, issue } from '../issue';
import { STEPS, type StepKey, needsOf } from './steps';

export interface StepState {
  readonly step: StepKey;
  readonly state: 'todo' | 'doing' | 'done';
}
export const JOB_STATES = [
  'waiting-for-material',
  'ready-to-start',
  'in-work',
  'ready',
  'handed-over',
  'cancelled',
] as const;
export type JobState = (typeof JOB_STATES)[number];

const done = (steps: readonly StepState[], key: StepKey) =>
  steps.some((step) => step.step === key && step.state === 'done');

export function jobState(steps: readonly StepState[]): JobState {
  if (done(steps, 'hand-over')) return 'handed-over';
  const stillToHang = steps.some((step) => step.step === 'install' && step.state !== 'done');
  if (done(steps, 'final-check') && !stillToHang) return 'ready';
  if (!done(steps, 'materials-here')) return 'waiting-for-material';
  const begun = steps.some((step) => step.step !== 'materials-here' && step.state !== 'todo');
  return begun ? 'in-work' : 'ready-to-start';
}

/** What stands in the way of starting or finishing a step now; undefined when nothing does. */
export function blocks(steps: readonly StepState[], key: StepKey): Issue | undefined {
  const has = (one: StepKey) => steps.some(({ step }) => step === one);
  const missing = needsOf(key, has).find((need) => !done(steps, need));
  if (missing) return issue('step-needs', { step: key, needs: missing });
  return done(steps, key) ? issue('step-done', { step: key }) : undefined;
}

/** The step to do next: the one already begun, else the first that nothing blocks; what still cures comes after what does not. */
export function nextStep(
  steps: readonly StepState[],
  waiting: (step: StepKey) => boolean = () => false,
): StepKey | undefined {
  const begun = steps.find((step) => step.state === 'doing');
  if (begun) return begun.step;
  const open = STEPS.filter((key) => steps.some((step) => step.step === key) && !blocks(steps, key));
  return open.find((key) => !waiting(key)) ?? open[0];
}
