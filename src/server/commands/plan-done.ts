/** All of a plan was cut at once: the cutting steps of its jobs are done, where nothing else of them is still to be cut. */
import { bad, good, issue } from '@/core/issue';
import { blocks } from '@/core/route/state';
import type { StepKey } from '@/core/route/steps';
import { finishStep, insertEvent, jobByTicket, stepsOf, touchJob } from '@/db/queries/jobs';
import { partsOfPlans, planById } from '@/db/queries/rack';
import { cutJobs } from '../cutting/needs';
import type { Handler } from '../door';
import { plannedOf } from '../planned';

const STEPS_OF = {
  sticks: ['cut-legs'],
  sheets: ['cut-mats', 'cut-glazing', 'cut-backing'],
} as const satisfies Readonly<Record<string, readonly StepKey[]>>;

export const cutPlanDone: Handler<'cut-plan-done'> = async (tx, { planId, kind }, { app, now, by }) => {
  const plan = await planById(tx, planId);
  if (!plan || plan.state !== 'confirmed') return bad(issue('plan-unknown'));
  const books = await app.booksIn(tx);
  if (!books) return bad(issue('shop-unknown'));
  const tickets = [...new Set((await partsOfPlans(tx, [planId])).map((part) => part.ticket))].sort();
  const open = new Map((await cutJobs(tx, books.settings)).map((job) => [job.ticket, job.wanted]));
  let done = 0;
  const left: string[] = [];
  const touched: string[] = [];
  for (const ticket of tickets) {
    const job = (await jobByTicket(tx, ticket))!;
    const { planned } = await plannedOf(tx, ticket);
    const steps = await stepsOf(tx, job.id);
    const mine = STEPS_OF[kind].filter((step) =>
      planned.some((part) => part.plan === plan.number && part.step === step),
    );
    const todo = mine.filter((step) => steps.some((one) => one.step === step && one.state !== 'done'));
    if (todo.length === 0) continue;
    const wanted = open.get(ticket);
    const stillToCut = kind === 'sticks' ? (wanted?.frames.length ?? 0) : (wanted?.parts.length ?? 0);
    const ready = job.order_state === 'accepted' && !job.hold && stillToCut === 0;
    if (!ready || todo.some((step) => blocks(steps, step))) {
      left.push(ticket);
      continue;
    }
    for (const step of todo) {
      await finishStep(tx, job.id, step, now, by);
      await insertEvent(tx, job.id, { at: now, by, what: 'done', step, detail: { plan: plan.number } });
      done += 1;
    }
    await touchJob(tx, job.id);
    touched.push(`job:${ticket}`);
  }
  return good({
    result: { done, left: left.join(', ') },
    audit: [{ what: `${kind} of a plan cut`, entity: 'cut plan', entityId: planId, after: { done, left } }],
    touched: ['rack', 'board', ...touched],
  });
};
