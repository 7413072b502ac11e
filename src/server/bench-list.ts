/** What waits for hands, in the order it is best done: what is free before what still cures, then by promise. */
import type { BoardJob } from '@/contract/views';
import type { Station } from '@/core/route/steps';
import type { Viewer } from './access';
import { boardView } from './views';

export async function benchList(viewer: Viewer): Promise<BoardJob[]> {
  const { jobs } = await boardView(viewer);
  const open = jobs.filter((job) => !job.hold && job.state !== 'ready');
  return [...open.filter((job) => !job.waiting), ...open.filter((job) => job.waiting)];
}

/** The job to do after another at a station: the first of its list that is another and does not wait. */
export const nextAt = (list: readonly BoardJob[], station: Station, after: string): BoardJob | undefined =>
  list.find((job) => job.station === station && job.ticket !== after && !job.waiting);
