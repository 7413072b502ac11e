/** What the server and a cutting thread say to each other. A thread may have several works at once, each with its number. */
import type { Job, News, Part } from '@/core/cutting/engine';

export interface Start {
  readonly kind: 'start';
  readonly id: number;
  readonly jobs: readonly { readonly index: number; readonly job: Job }[];
  /** Added to each job's seed, so that two threads on one job go different ways. */
  readonly seed: number;
  readonly part: Part;
  readonly budgetMs: number;
  /** Instead of the time: so many turns for each job, for the same plan every time. */
  readonly turns: number | null;
  /** One number, not 0 when the work is to stop: shared, so that it is seen in mid-work. */
  readonly stopped: SharedArrayBuffer;
}
export type ToThread = Start | { readonly kind: 'offer'; readonly id: number; readonly news: News };
export type FromThread =
  | { readonly kind: 'ready' }
  | { readonly kind: 'news'; readonly id: number; readonly news: readonly News[] }
  | { readonly kind: 'over'; readonly id: number };
