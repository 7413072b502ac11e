/** What the shop's jobs need cut now, and the request for a plan of them. */
import type { CutJobView, MatJobView } from '@/contract/views';
import { type Wanted, type WantedBeside, wantedOf } from '@/core/cutting/demand';
import { type CutRequests, requestsFor } from '@/core/cutting/plan-request';
import type { StepKey } from '@/core/route/steps';
import type { Settings } from '@/core/settings';
import type { WorkedOut } from '@/core/work-out';
import type { Queries } from '@/db/client';
import { asBuiltOf } from '../as-built';
import { type BoardRow, agreedOfAll, openJobs, stepsOfAll } from '@/db/queries/jobs';
import { partsOfTickets, pieceOf, rackThere } from '@/db/queries/rack';
import type { ShopData } from '../app-context';

interface OpenJob {
  readonly job: BoardRow;
  readonly worked: WorkedOut;
  readonly steps: readonly StepKey[];
  readonly open: ReadonlySet<StepKey>;
}
/** Every open job with its result as it came out, and the steps that are not done. */
async function openWork(db: Queries, settings: Settings): Promise<OpenJob[]> {
  const jobs = await openJobs(db);
  const ids = jobs.map((job) => job.id);
  const steps = await stepsOfAll(db, ids);
  const agreed = await agreedOfAll(db, ids);
  return jobs.flatMap((job): OpenJob[] => {
    const of = agreed.get(job.id);
    if (!of) return [];
    const mine = steps.filter((one) => one.job_id === job.id);
    const open = new Set<StepKey>(mine.filter((one) => one.state !== 'done').map((one) => one.step));
    const { worked } = asBuiltOf(job, of, mine, settings);
    return [{ job, worked, steps: mine.map((one) => one.step), open }];
  });
}

/** Every open job with something to cut that no plan has yet, the earliest promise first. */
export async function cutJobs(db: Queries, settings: Settings): Promise<CutJobView[]> {
  const work = await openWork(db, settings);
  const planned = await partsOfTickets(
    db,
    work.map(({ job }) => job.ticket),
  );
  const taken = new Set(planned.filter((one) => one.active).map((one) => one.part));
  const spoiled = new Set(planned.filter((one) => one.spoiled && !taken.has(one.part)).map((one) => one.part));
  return work.flatMap(({ job, worked, steps, open }): CutJobView[] => {
    const all = wantedOf(worked, job.ticket, open);
    // A step that was done and whose part was spoiled since is wanted again, whatever the step says.
    const again = spoiled.size > 0 ? wantedOf(worked, job.ticket, new Set(steps)) : all;
    const wanted = without(merge(all, again, spoiled), taken);
    if (wanted.frames.length + wanted.parts.length === 0) return [];
    const ids = [
      ...wanted.frames.flatMap((frame) => frame.legs.map((leg) => leg.id)),
      ...wanted.parts.map((one) => one.id),
    ];
    return [
      {
        ticket: job.ticket,
        title: job.title,
        customer: job.customer,
        promised: job.promised,
        ready: !open.has('materials-here'),
        held: job.hold !== null,
        again: ids.filter((id) => spoiled.has(id)).length,
        wanted,
      },
    ];
  });
}

/** Every job whose mats are not cut yet, planned or not. */
export async function matJobs(db: Queries, settings: Settings): Promise<MatJobView[]> {
  const work = (await openWork(db, settings)).filter(({ open }) => open.has('cut-mats'));
  const planned = await partsOfTickets(
    db,
    work.map(({ job }) => job.ticket),
  );
  return work.map(({ job, worked, open }) => ({
    ticket: job.ticket,
    title: job.title,
    promised: job.promised,
    ready: !open.has('materials-here') && job.hold === null,
    mats: worked.parts.filter((part) => part.kind === 'flat' && part.layer !== undefined).length,
    planned: planned.some((part) => part.active && part.ticket === job.ticket && part.part.includes(' mat')),
  }));
}

/** What the jobs of a plan need cut beside it, whatever of it is done. */
export async function besidePlan(db: Queries, tickets: readonly string[], settings: Settings): Promise<WantedBeside[]> {
  const work = await openWork(db, settings);
  return work
    .filter(({ job }) => tickets.includes(job.ticket))
    .flatMap(({ job, worked, steps }) => wantedOf(worked, job.ticket, new Set(steps)).beside);
}

function merge(open: Wanted, all: Wanted, spoiled: ReadonlySet<string>): Wanted {
  const legs = new Set(open.frames.flatMap((frame) => frame.legs.map((leg) => leg.id)));
  const parts = new Set(open.parts.map((one) => one.id));
  return {
    frames: all.frames.flatMap((frame) => {
      const kept = frame.legs.filter(({ id }) => legs.has(id) || spoiled.has(id));
      return kept.length > 0 ? [{ ...frame, legs: kept }] : [];
    }),
    parts: all.parts.filter(({ id }) => parts.has(id) || spoiled.has(id)),
    beside: open.beside,
  };
}
function without({ frames, parts, beside }: Wanted, taken: ReadonlySet<string>): Wanted {
  return {
    frames: frames.flatMap((frame) => {
      const legs = frame.legs.filter(({ id }) => !taken.has(id));
      return legs.length > 0 ? [{ ...frame, legs }] : [];
    }),
    parts: parts.filter(({ id }) => !taken.has(id)),
    beside,
  };
}

export const allWanted = (jobs: readonly Pick<CutJobView, 'wanted'>[]): Wanted => ({
  frames: jobs.flatMap((job) => job.wanted.frames),
  parts: jobs.flatMap((job) => job.wanted.parts),
  beside: jobs.flatMap((job) => job.wanted.beside),
});

/** The request for some jobs as the rack and the books stand, and who each part is for. */
export async function cutRequests(
  db: Queries,
  books: ShopData,
  tickets: readonly string[],
): Promise<{ requests: CutRequests; wanted: Wanted; missing: string[] }> {
  const chosen = new Set(tickets);
  const jobs = (await cutJobs(db, books.settings)).filter((job) => chosen.has(job.ticket));
  const wanted = allWanted(jobs);
  const rack = (await rackThere(db)).map(pieceOf);
  const missing = tickets.filter((ticket) => !jobs.some((job) => job.ticket === ticket));
  return { requests: requestsFor(wanted, rack, books.lists, books.settings), wanted, missing };
}
