/** What the shop's jobs need cut now, and the request for a plan of them. */
import type { CutJobView } from '@/contract/views';
import { type Wanted, wantedOf } from '@/core/cutting/demand';
import { type CutRequests, requestsFor } from '@/core/cutting/plan-request';
import type { StepKey } from '@/core/route/steps';
import type { Settings } from '@/core/settings';
import type { Queries } from '@/db/client';
import { asBuiltOf } from '../as-built';
import { agreedOfAll, openJobs, stepsOfAll } from '@/db/queries/jobs';
import { partsOfTickets, pieceOf, rackThere } from '@/db/queries/rack';
import type { ShopData } from '../app-context';

/** Every open job with something to cut that no plan has yet, the earliest promise first. */
export async function cutJobs(db: Queries, settings: Settings): Promise<CutJobView[]> {
  const jobs = await openJobs(db);
  const ids = jobs.map((job) => job.id);
  const steps = await stepsOfAll(db, ids);
  const planned = await partsOfTickets(
    db,
    jobs.map((job) => job.ticket),
  );
  const taken = new Set(planned.filter((one) => one.active).map((one) => one.part));
  const spoiled = new Set(planned.filter((one) => one.spoiled && !taken.has(one.part)).map((one) => one.part));
  const worked = await agreedOfAll(db, ids);
  return jobs.flatMap((job): CutJobView[] => {
    const agreed = worked.get(job.id);
    if (!agreed) return [];
    const mine = steps.filter((one) => one.job_id === job.id);
    const of = asBuiltOf(job, agreed, mine, settings).worked;
    const open = new Set<StepKey>(mine.filter((one) => one.state !== 'done').map((one) => one.step));
    const all = wantedOf(of, job.ticket, open);
    // A step that was done and whose part was spoiled since is wanted again, whatever the step says.
    const again = spoiled.size > 0 ? wantedOf(of, job.ticket, new Set(mine.map((one) => one.step))) : all;
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

function merge(open: Wanted, all: Wanted, spoiled: ReadonlySet<string>): Wanted {
  const legs = new Set(open.frames.flatMap((frame) => frame.legs.map((leg) => leg.id)));
  const parts = new Set(open.parts.map((one) => one.id));
  return {
    frames: all.frames.flatMap((frame) => {
      const kept = frame.legs.filter(({ id }) => legs.has(id) || spoiled.has(id));
      return kept.length > 0 ? [{ ...frame, legs: kept }] : [];
    }),
    parts: all.parts.filter(({ id }) => parts.has(id) || spoiled.has(id)),
  };
}
function without({ frames, parts }: Wanted, taken: ReadonlySet<string>): Wanted {
  return {
    frames: frames.flatMap((frame) => {
      const legs = frame.legs.filter(({ id }) => !taken.has(id));
      return legs.length > 0 ? [{ ...frame, legs }] : [];
    }),
    parts: parts.filter(({ id }) => !taken.has(id)),
  };
}

export const allWanted = (jobs: readonly Pick<CutJobView, 'wanted'>[]): Wanted => ({
  frames: jobs.flatMap((job) => job.wanted.frames),
  parts: jobs.flatMap((job) => job.wanted.parts),
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
