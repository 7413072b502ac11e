/** Waits run by the clock, through nights and closed days; work does not. Source: handbook, route, promise. */
import { type Calendar, addMinutes, nextOpen } from '../schedule/calendar';
import { type StepKey, type Wait, needsOf } from './steps';

export type WaitMinutes = Readonly<Record<Wait, number>>;

/** A step as it stands: what it waits for once it is done, and when it was done, a local moment. */
export interface DoneStep {
  readonly step: StepKey;
  readonly state: 'todo' | 'doing' | 'done';
  readonly waits: Wait | null;
  readonly doneAt: string | null;
}
export interface Waiting {
  /** The step whose glue, paint or press it is. */
  readonly after: StepKey;
  readonly for: Wait;
  /** When it is over by the clock; a step begun before is begun too early. */
  readonly until: string;
  /** When somebody can go on: the next moment the shop is open. Absent where it never opens. */
  readonly free?: string;
}

/** What keeps a step waiting at `now`; of several waits the one that ends last. Undefined when nothing does. */
export function waitingFor(
  step: StepKey,
  steps: readonly DoneStep[],
  now: string,
  minutes: WaitMinutes,
  calendar: Calendar,
): Waiting | undefined {
  const has = (key: StepKey) => steps.some((one) => one.step === key);
  const needed = new Set(needsOf(step, has));
  let last: Waiting | undefined;
  for (const before of steps) {
    if (!needed.has(before.step) || before.state !== 'done' || !before.waits || !before.doneAt) continue;
    const until = addMinutes(before.doneAt, minutes[before.waits]);
    if (until <= now || (last && until <= last.until)) continue;
    const free = nextOpen(calendar, until);
    last = { after: before.step, for: before.waits, until, ...(free ? { free } : {}) };
  }
  return last;
}
