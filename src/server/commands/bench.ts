/** What happens to a job in the shop: steps begun and done, checks, holds, and the hand-over. */
import { type Outcome, bad, good, issue } from '@/core/issue';
import { resultOf } from '@/core/agreed';
import { Has } from '@/core/instructions/has';
import { checkPointsOf, mustTick } from '@/core/instructions/points';
import { CHECK_POINTS, type CheckPoint, STEPS, redoFrom, sentBackTo } from '@/core/route/steps';
import { blocks } from '@/core/route/state';
import type { Tx } from '@/db/client';
import {
  type JobRow,
  type StepRow,
  agreedOf,
  finishStep,
  insertEvent,
  lockJob,
  reopenStep,
  setHold,
  startStep,
  stepsOf,
  touchJob,
} from '@/db/queries/jobs';
import type { CommandResult, Context, Handler } from '../door';
import { dayOf } from '../clock';
import { waitingAt } from '../waiting';
import type { Waiting } from '@/core/route/waits';

export async function freshJob(
  tx: Tx,
  id: string,
  revision: number,
): Promise<Outcome<{ job: JobRow; steps: StepRow[] }>> {
  const job = await lockJob(tx, id);
  if (!job) return bad(issue('job-unknown'));
  if (job.revision !== revision) return bad(issue('job-stale', { ticket: job.ticket }));
  if (job.order_state !== 'accepted') return bad(issue('job-closed', { ticket: job.ticket, state: job.order_state }));
  return good({ job, steps: await stepsOf(tx, id) });
}

export const told = (job: JobRow, what: string, before: unknown, after: unknown): Outcome<CommandResult> =>
  good({
    result: { revision: job.revision + 1 },
    audit: [{ what, entity: 'job', entityId: job.id, before, after }],
    touched: [`job:${job.ticket}`, `order:${job.order_id}`, 'board'],
  });

/** What the piece of a job has; undefined for a job from before anything was kept. */
async function pieceOf(tx: Tx, jobId: string, { app }: Context): Promise<Has | undefined> {
  const agreed = await agreedOf(tx, jobId);
  const books = await app.booksIn(tx);
  return agreed && books && new Has(resultOf(agreed), books.settings);
}

const tooEarly = (step: string, { after, for: what, until, free = '' }: Waiting) =>
  issue('step-too-early', { step, after, for: what, until, free }, 'early');
const MINUTE_MS = 60_000;
/** Minutes since somebody said that they begin; nothing where nobody did. */
const minutesSpent = ({ state, started_at }: StepRow, now: Date) =>
  state === 'doing' && started_at ? { minutes: Math.round((now.getTime() - started_at.getTime()) / MINUTE_MS) } : {};

export const moveStep: Handler<'move-step'> = async (tx, { jobId, revision, step, to, ticks, early }, context) => {
  const { now, by, app } = context;
  const found = await freshJob(tx, jobId, revision);
  if (!found.ok) return found;
  const { job, steps } = found.value;
  const before = steps.find((one) => one.step === step);
  if (!before || step === 'hand-over') return bad(issue('step-elsewhere', { step }));
  if (job.hold) return bad(issue('job-held', { ticket: job.ticket, reason: job.hold.reason }));
  const keys = steps.map((one) => one.step);
  if (to === 'todo') {
    const later = steps.find(
      (one) => one.state !== 'todo' && one.step !== step && redoFrom(step, keys).includes(one.step),
    );
    if (before.state === 'todo') return bad(issue('step-not-begun', { step }));
    if (later) return bad(issue('step-later', { step, later: later.step }));
    await reopenStep(tx, jobId, step, true);
  } else {
    const stop = blocks(steps, step);
    if (stop) return bad(stop);
    if (step === 'final-check' && to === 'done') return bad(issue('step-elsewhere', { step }));
    const waiting = waitingAt(steps, now, await app.settingsIn(tx))(step);
    if (waiting && !early && before.state === 'todo') return bad(tooEarly(step, waiting));
    const piece = to === 'done' ? await pieceOf(tx, jobId, context) : undefined;
    const unticked = piece && mustTick(step, piece).find((tick) => !ticks.includes(tick));
    if (unticked) return bad(issue('enclosure-open', { tick: unticked }));
    if (to === 'doing') await startStep(tx, jobId, step, now);
    else await finishStep(tx, jobId, step, now, by);
  }
  await touchJob(tx, jobId);
  await insertEvent(tx, jobId, {
    at: now,
    by,
    what: { doing: 'started', done: 'done', todo: 'undone' }[to],
    step,
    detail: { ticks, ...(early ? { early } : {}), ...(to === 'done' ? minutesSpent(before, now) : {}) },
  });
  return told(job, `step ${to}`, { step, state: before.state }, { step, state: to });
};

/** Refused as a whole where it is refused for one; which one, its refusal says. */
export const moveSteps: Handler<'move-steps'> = async (tx, { step, jobs }, context) => {
  const results: CommandResult[] = [];
  for (const { jobId, revision } of jobs) {
    const moved = await moveStep(tx, { jobId, revision, step, to: 'done', ticks: [], early: false }, context);
    if (!moved.ok) return moved;
    results.push(moved.value);
  }
  return good({
    audit: results.flatMap(({ audit }) => audit),
    touched: [...new Set(results.flatMap(({ touched }) => touched))],
  });
};

export const finalCheck: Handler<'final-check'> = async (tx, { jobId, revision, points }, context) => {
  const { now, by } = context;
  const found = await freshJob(tx, jobId, revision);
  if (!found.ok) return found;
  const { job, steps } = found.value;
  if (job.hold) return bad(issue('job-held', { ticket: job.ticket, reason: job.hold.reason }));
  const stop = blocks(steps, 'final-check');
  if (stop) return bad(stop);
  const piece = await pieceOf(tx, jobId, context);
  const all = piece ? checkPointsOf(piece) : (Object.keys(CHECK_POINTS) as CheckPoint[]);
  const failed = all.filter((point) => typeof points[point] === 'object');
  if (failed.length === 0) {
    const open = all.find((point) => points[point] !== 'ok');
    if (open) return bad(issue('check-open', { point: open }));
    await finishStep(tx, jobId, 'final-check', now, by);
    await touchJob(tx, jobId);
    await insertEvent(tx, jobId, { at: now, by, what: 'passed', step: 'final-check', detail: points });
    return told(job, 'check passed', { step: 'final-check' }, points);
  }
  const keys = steps.map((one) => one.step);
  const again = new Set(failed.flatMap((point) => redoFrom(sentBackTo(point, keys), keys)));
  for (const step of STEPS.filter((one) => again.has(one))) await reopenStep(tx, jobId, step, false);
  await touchJob(tx, jobId);
  for (const point of failed) {
    await insertEvent(tx, jobId, {
      at: now,
      by,
      what: 'failed',
      step: sentBackTo(point, keys),
      detail: { point, reason: (points[point] as { failed: string }).failed },
    });
  }
  return told(job, 'check failed', { step: 'final-check' }, { points, again: [...again] });
};

export const hold: Handler<'hold'> = async (tx, { jobId, revision, reason, who, until }, { now, by }) => {
  const found = await freshJob(tx, jobId, revision);
  if (!found.ok) return found;
  const { job } = found.value;
  if (job.hold) return bad(issue('job-held', { ticket: job.ticket, reason: job.hold.reason }));
  if (until !== undefined && until < dayOf(now)) return bad(issue('hold-past', { day: until }, 'until'));
  const expected = until === undefined ? {} : { until };
  const after = { reason, who, byId: by, at: now.toISOString(), ...expected };
  await setHold(tx, jobId, after);
  await insertEvent(tx, jobId, { at: now, by, what: 'held', step: null, detail: { reason, who, ...expected } });
  return told(job, 'held', null, after);
};

export const release: Handler<'release'> = async (tx, { jobId, revision }, { now, by }) => {
  const found = await freshJob(tx, jobId, revision);
  if (!found.ok) return found;
  const { job } = found.value;
  if (!job.hold) return bad(issue('job-not-held', { ticket: job.ticket }));
  await setHold(tx, jobId, null);
  await insertEvent(tx, jobId, { at: now, by, what: 'released', step: null, detail: {} });
  return told(job, 'released', job.hold, null);
};
