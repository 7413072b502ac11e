/** Plans of requests as the engine finds them in a few turns, on this thread. */
import { Engine, composeSheets, composeSticks, jobsOfSheets, jobsOfSticks } from '@/core/cutting/engine';
import type { CutRequests } from '@/core/cutting/plan-request';
import type { SheetsPlan, SheetsRequest, SticksPlan, SticksRequest } from '@/core/cutting/request';

const TURNS = 30;

function best(jobs: ReturnType<typeof jobsOfSticks>) {
  const engine = new Engine(
    jobs.map((job, index) => ({ index, job })),
    undefined,
  );
  for (let turn = 0; turn < TURNS; turn += 1) engine.turn(turn / TURNS, 1, () => false, true);
  return engine.news();
}
export function sticksOf(request: SticksRequest): SticksPlan {
  const jobs = jobsOfSticks(request);
  return composeSticks(jobs, best(jobs));
}
export function sheetsOf(request: SheetsRequest): SheetsPlan {
  const jobs = jobsOfSheets(request);
  return composeSheets(jobs, best(jobs));
}
export const composed = ({ sticks, sheets }: CutRequests) => ({ sticks: sticksOf(sticks), sheets: sheetsOf(sheets) });
