/**
 * Runs cutting plans in threads, as many as there are cores for it. The jobs of a request are shared out by size; a thread
 * that is done early helps with what is left of the others, another way through chance. Plans come as they get better.
 * Stopping is heard within milliseconds; a thread that does not hear it, deep in a long solve, is ended and started anew.
 */
import type { Worker } from 'node:worker_threads';
import { type Job, type News, type Part, sizeOf } from '@/core/cutting/engine';
import type { FromThread } from '@/workers/protocol';
import { Thread, type ThreadDied } from './threads';

export const THREADS = 2;
/** A thread that goes on for so long after it was told to stop is not waited for. */
const DEAF_MS = 24;
/** One that still does not come back after so long is ended. */
const LATE_MS = 1500;
/** Less time than this is not worth handing work over for. */
const WORTHWHILE_MS = 30;

export interface Run {
  readonly jobs: readonly Job[];
  readonly budgetMs: number;
  /** Instead of the time: so many turns for each job, for the same plan every time. */
  readonly turns?: number | null;
  readonly signal?: AbortSignal | undefined;
  /** What the jobs have come to, all of them, each time one became better. */
  readonly onNews?: (news: readonly News[]) => void;
}

export class CuttingPool {
  private readonly threads: Thread[] = [];
  private next = 1;

  constructor(private readonly makeThread: () => Worker) {}

  /** Starts the threads; done when they can work. */
  async warm(): Promise<void> {
    while (this.threads.length < THREADS) this.threads.push(new Thread(this.makeThread));
    await Promise.all(this.threads.map((one) => one.warm()));
  }
  /** Works until all is proven, the time is over, or the signal comes. Throws ThreadDied when a thread dies under it. */
  async run(work: Run): Promise<readonly News[]> {
    if (work.jobs.length === 0) return [];
    const warm = this.warm();
    // A thread that is starting, or still late with another request, would keep this one waiting; without any other it
    // must.
    const free = this.threads.filter((one) => one.up && !one.late);
    if (free.length === 0 && !work.signal?.aborted) await Promise.race([warm, leaving(work.signal)]);
    // One that cannot start is told of when there is no other.
    void warm.catch(() => undefined);
    if (work.signal?.aborted) return [];
    return new Work(work, free.length > 0 ? free : [...this.threads], () => this.next++).over;
  }
  async close(): Promise<void> {
    await Promise.all(this.threads.splice(0).map((one) => one.close()));
  }
}

/** Done when nobody waits any more. */
const leaving = (signal: AbortSignal | undefined): Promise<void> =>
  new Promise((resolve) => signal?.addEventListener('abort', () => resolve(), { once: true }));

/** The better of two plans of a job, and the better of their bounds. */
function better(news: News, than: News | undefined): News {
  if (!than) return news;
  const result = news.result.cost < than.result.cost ? news.result : than.result;
  const bound = Math.max(news.bound, than.bound);
  return { index: news.index, result, bound, optimal: news.optimal || than.optimal || bound >= result.cost };
}

/** Which jobs each thread begins with: the largest first, to the thread that has least. */
function shares(jobs: readonly Job[], threads: number): number[][] {
  const lists = Array.from({ length: threads }, (): number[] => []);
  const sums = lists.map(() => 0);
  const order = jobs.map((_, index) => index).sort((a, b) => sizeOf(jobs[b]!) - sizeOf(jobs[a]!) || a - b);
  for (const index of order) {
    const least = sums.indexOf(Math.min(...sums));
    lists[least]!.push(index);
    sums[least]! += sizeOf(jobs[index]!);
  }
  return lists;
}

/** One request at work in the threads. */
class Work {
  private readonly stopped = new SharedArrayBuffer(4);
  private readonly found = new Map<number, News>();
  private readonly busy = new Map<Thread, { id: number; indexes: readonly number[] }>();
  private readonly began = performance.now();
  private readonly timer: NodeJS.Timeout;
  private deaf: NodeJS.Timeout | undefined;
  private settled = false;
  private resolve: (news: readonly News[]) => void = () => undefined;
  private reject: (error: Error) => void = () => undefined;
  readonly over: Promise<readonly News[]>;

  constructor(
    private readonly work: Run,
    threads: readonly Thread[],
    private readonly nextId: () => number,
  ) {
    this.over = new Promise((resolve, reject) => {
      this.resolve = resolve;
      this.reject = reject;
    });
    const { jobs, budgetMs, signal } = work;
    const counted = work.turns !== undefined && work.turns !== null;
    // A little after the time that the threads know themselves, in case one is deep in a solve.
    this.timer = setTimeout(this.halt, counted ? 600_000 : budgetMs + 5);
    signal?.addEventListener('abort', this.halt);
    const lists = shares(jobs, counted ? 1 : threads.length);
    for (const [at, thread] of threads.entries()) {
      const list = lists[at] ?? [];
      const alone = counted || jobs.length >= threads.length;
      if (list.length > 0) this.begin(thread, list, 0, alone ? 'whole' : 'bound');
      else if (!counted) this.begin(thread, lists[0]!, at * 7919, 'plan');
    }
    if (signal?.aborted) this.halt();
  }

  private left(): number {
    return this.work.budgetMs - (performance.now() - this.began);
  }
  private all(): News[] {
    return this.work.jobs.flatMap((_, index) => this.found.get(index) ?? []);
  }

  private begin(thread: Thread, indexes: readonly number[], seed: number, part: Part): void {
    const id = this.nextId();
    this.busy.set(thread, { id, indexes });
    thread.listen(id, {
      hear: (message) => this.hear(thread, message),
      again: () => this.begin(thread, indexes, seed, part),
      died: (error) => this.fail(error),
    });
    const { jobs, turns = null } = this.work;
    thread.tell({
      kind: 'start',
      id,
      jobs: indexes.map((index) => ({ index, job: jobs[index]! })),
      seed,
      part,
      budgetMs: Math.max(1, this.left()),
      turns,
      stopped: this.stopped,
    });
    for (const index of indexes) {
      const news = this.found.get(index);
      if (news) thread.tell({ kind: 'offer', id, news });
    }
  }

  private hear(thread: Thread, message: FromThread): void {
    if (message.kind === 'over') return this.idle(thread);
    if (message.kind !== 'news') return;
    let changed = false;
    for (const news of message.news) {
      const before = this.found.get(news.index);
      const now = better(news, before);
      if (before && now.result === before.result && now.bound === before.bound) continue;
      changed = true;
      this.found.set(news.index, now);
      for (const [other, { id, indexes }] of this.busy)
        if (other !== thread && indexes.includes(news.index)) other.tell({ kind: 'offer', id, news: now });
    }
    const { jobs, onNews } = this.work;
    if (this.found.size < jobs.length) return;
    if (changed) onNews?.(this.all());
    if (this.all().every((one) => one.optimal)) this.halt();
  }

  /** A thread that is done helps with what is open, if there is time. */
  private idle(thread: Thread): void {
    const mine = this.busy.get(thread);
    if (mine) thread.leave(mine.id);
    this.busy.delete(thread);
    const open = this.work.jobs.map((_, index) => index).filter((index) => !this.found.get(index)?.optimal);
    const stopping = Atomics.load(new Int32Array(this.stopped), 0) !== 0;
    const counted = this.work.turns !== undefined && this.work.turns !== null;
    if (!stopping && !counted && open.length > 0 && this.left() > WORTHWHILE_MS)
      this.begin(thread, open, this.nextId() * 7919, 'plan');
    else if (this.busy.size === 0) this.end(() => this.resolve(this.all()));
  }

  /** Tells the threads to stop. What they have is the answer, at once or when the first plan is there. */
  private readonly halt = (): void => {
    Atomics.store(new Int32Array(this.stopped), 0, 1);
    this.deaf ??= setTimeout(this.leave, DEAF_MS);
  };
  /**
   * Some thread is still deep in a solve. One that nobody waits for any more is ended; at the end of the time it may come
   * to its end by itself, while the answer goes out. The first plan of a very large request is waited for.
   */
  private readonly leave = (): void => {
    const wanted = !this.work.signal?.aborted;
    if (wanted && this.found.size < this.work.jobs.length) {
      this.deaf = setTimeout(this.leave, DEAF_MS);
      return;
    }
    for (const [thread, { id }] of this.busy) {
      thread.leave(id);
      if (wanted) thread.endsBy(LATE_MS);
      else if (thread.up) thread.replace();
    }
    this.end(() => this.resolve(this.all()));
  };
  private fail(error: ThreadDied): void {
    Atomics.store(new Int32Array(this.stopped), 0, 1);
    this.end(() => this.reject(error));
  }
  private end(settle: () => void): void {
    if (this.settled) return;
    this.settled = true;
    clearTimeout(this.timer);
    clearTimeout(this.deaf);
    this.work.signal?.removeEventListener('abort', this.halt);
    for (const [thread, { id }] of this.busy) thread.leave(id);
    settle();
  }
}
