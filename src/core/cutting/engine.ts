/**
 * Works on the mouldings or materials of one request, the one with the most to win first. It knows no clock: whoever runs
 * it says how much of the time has gone by, and how long each step took.
 */
import type { Solver } from './linear';
import { type SheetsPlan, type SheetsRequest, type SticksPlan, type SticksRequest, judged } from './request';
import type { Part, Session } from './session';
import { SheetSession } from './sheets/session';
import { type SheetResult, type SheetTask, plannedSheet, sheetTasks } from './sheets/task';
import { StickSession } from './sticks/session';
import { type StickResult, type StickTask, pairedUp, plannedBar, stickTasks } from './sticks/task';

export type { Part };
export type Result = StickResult | SheetResult;
export type Job =
  { readonly kind: 'sticks'; readonly task: StickTask } | { readonly kind: 'sheets'; readonly task: SheetTask };

/** What a job has come to. `index` is its place among the request's jobs. */
export interface News {
  readonly index: number;
  readonly result: Result;
  readonly bound: number;
  readonly optimal: boolean;
}

export const jobsOfSticks = (request: SticksRequest): Job[] =>
  stickTasks(request).map((task) => ({ kind: 'sticks', task }));
export const jobsOfSheets = (request: SheetsRequest): Job[] =>
  sheetTasks(request).map((task) => ({ kind: 'sheets', task }));

/** How much work a job is, to share jobs out. */
export const sizeOf = ({ kind, task }: Job): number =>
  kind === 'sticks' ? task.legs.length ** 1.5 : 3 * task.parts.length ** 1.5;

const sessionOf = (job: Job, solver: Solver | undefined, seed: number, part: Part): Session<Result> =>
  (job.kind === 'sticks'
    ? new StickSession(job.task, solver, job.task.seed + seed)
    : new SheetSession(job.task, solver, part, job.task.seed + seed)) as Session<Result>;

interface Running {
  readonly index: number;
  readonly session: Session<Result>;
  /** Time spent on it, in any measure. */
  spent: number;
  told: number;
  turns: number;
}

export class Engine {
  private running: Running[];

  constructor(
    jobs: readonly { readonly index: number; readonly job: Job }[],
    solver: Solver | undefined,
    seed = 0,
    part: Part = 'whole',
  ) {
    this.running = jobs.map(({ index, job }) => ({
      index,
      session: sessionOf(job, solver, seed, part),
      spent: 0.01,
      told: -1,
      turns: 0,
    }));
  }

  /** All plans are proven. */
  get done(): boolean {
    return this.running.every(({ session }) => session.optimal);
  }

  /** The job to work on next: what can be won for the time already spent on it; in turn when `fair`. */
  private next(fair: boolean): Running | undefined {
    let best: Running | undefined;
    let most = -Infinity;
    for (const one of this.running) {
      if (one.session.optimal) continue;
      const worth = one.turns === 0 ? Infinity : fair ? -one.turns : one.session.gap / one.spent;
      if (worth > most) {
        best = one;
        most = worth;
      }
    }
    return best;
  }

  /** One step; answers how to tell what it took. */
  turn(share: number, seconds: number, stop: () => boolean, fair = false): ((took: number) => void) | undefined {
    const one = this.next(fair);
    if (!one) return undefined;
    one.turns += 1;
    one.session.beside = this.running.filter(({ session }) => !session.optimal).length - 1;
    one.session.step(share, seconds, stop);
    return (took) => void (one.spent += took);
  }

  /** A plan and a bound found elsewhere. */
  offer({ index, result, bound }: News): void {
    const one = this.running.find((other) => other.index === index);
    one?.session.offer(result);
    one?.session.raise(bound);
  }

  /** What became better since the last time it was asked. */
  news(): News[] {
    return this.running.flatMap((one) => {
      if (one.told === one.session.version) return [];
      one.told = one.session.version;
      const { best, bound, optimal } = one.session;
      return [{ index: one.index, result: best, bound, optimal }];
    });
  }
  dispose(): void {
    for (const { session } of this.running) session.dispose();
  }
}

/** The plan of a whole request from what its jobs have come to. */
export function composeSticks(jobs: readonly Job[], news: readonly News[]): SticksPlan {
  const tasks = news.map(({ index }) => jobs[index]!.task as StickTask);
  const results = news.map(({ result }) => result as StickResult);
  return {
    bars: results.flatMap((result, at) => pairedUp(tasks[at]!, result.bars).map((bar) => plannedBar(tasks[at]!, bar))),
    ...told(
      news,
      results.flatMap((result, at) => result.unmade.map((frame) => tasks[at]!.frames[frame]!.id)),
    ),
  };
}
export function composeSheets(jobs: readonly Job[], news: readonly News[]): SheetsPlan {
  const tasks = news.map(({ index }) => jobs[index]!.task as SheetTask);
  const results = news.map(({ result }) => result as SheetResult);
  return {
    sheets: results.flatMap((result, at) => result.sheets.map((sheet) => plannedSheet(tasks[at]!, sheet))),
    ...told(
      news,
      results.flatMap((result, at) => result.unmade.map((part) => tasks[at]!.parts[part]!.id)),
    ),
  };
}
const told = (news: readonly News[], unmade: readonly string[]) =>
  judged(
    unmade,
    news.reduce((sum, one) => sum + one.result.cost, 0),
    news.reduce((sum, one) => sum + (one.optimal ? one.result.cost : one.bound), 0),
    news.every((one) => one.optimal),
  );
