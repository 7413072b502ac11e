/**
 * Keeps a database thread at work. Every question has a time limit; a thread that dies, or answers nothing for a
 * minute, is ended and opened again, and whoever waited is told at once. No question is ever left without an answer.
 *
 * State: `thread` is the one at work, undefined while it is being opened again; `waiting` are the questions that it
 * has not answered, those whose askers were already told included.
 */
import { Worker } from 'node:worker_threads';
import { DbError, type DbState, DbUnavailable, type Wire } from '../database';
import { roomIn } from './folder';
import { LEAST_ROOM, NO_ROOM, type Ask, type Reply } from './host';
import { StartRefused } from './lock';

interface Answer {
  readonly id: number;
  readonly reply?: Reply;
  readonly error?: { name: string; message: string; code?: string; constraint?: string };
}
interface Question {
  readonly ask: Ask;
  /** Undefined once the asker was told that it takes too long. */
  settle: ((answer: Answer | DbUnavailable) => void) | undefined;
  readonly timers: readonly NodeJS.Timeout[];
}

export interface KeeperOptions {
  readonly folder: string;
  readonly prepared?: string;
  readonly thread: () => Worker;
  /** Ms until the asker is told, and until the thread is ended. */
  readonly limits?: { readonly told: number; readonly ended: number };
  /** Free bytes on the volume. */
  readonly room?: () => number;
}
const LIMITS = { told: 15_000, ended: 60_000 };
/** Scripts bring a database up to date before anybody is let in: an old shop's takes minutes. */
const PATIENT = { told: 1_800_000, ended: 1_800_000 };
/** Whoever would wait so long for one answer is no request: its transactions take as long as they take. */
const LONG = 600_000;
const REMEMBERED_MS = 3000;
const OPENING_MS = 120_000;
/** The first time the folder may have to be filled, on a machine that has much else to do. */
const FIRST_OPENING_MS = 1_800_000;
/** Between two tries to open again, in ms: the first at once, then longer and longer. */
const PAUSES = [0, 500, 1000, 2000, 5000];

/** PostgreSQL's code for a disk that filled up under what was being written; it has taken all of that back. */
const DISK_FULL = '53100';

const errorOf = ({ error }: Answer): Error =>
  error?.code === NO_ROOM || error?.code === DISK_FULL
    ? new DbUnavailable('no-room')
    : error?.name === 'StartRefused'
      ? new StartRefused(error.message)
      : new DbError(error?.message ?? 'no answer', error?.code, error?.constraint);

export class Keeper {
  private thread: Worker | undefined;
  private waiting = new Map<number, Question>();
  private next = 1;
  private closed = false;
  /** While a shop is being started nobody waits at the counter: what is asked takes as long as it takes. */
  private starting = true;
  private timer: NodeJS.Timeout | undefined;

  constructor(private readonly options: KeeperOptions) {}

  /** Opens the database for the first time; throws what stands in its way. */
  async open(): Promise<void> {
    this.thread = await this.started(FIRST_OPENING_MS);
  }

  /** The start is over: from now on every question has its time limit. */
  begun(): void {
    this.starting = false;
  }

  readonly ask: Wire = (ask) => {
    const { thread } = this;
    if (!thread) return Promise.reject(this.unavailable());
    return new Promise((resolve, reject) => {
      const id = this.next++;
      const limits = this.options.limits ?? (this.starting || this.isPatient(ask) ? PATIENT : LIMITS);
      const said = ask.kind === 'begin' && limits.told >= LONG ? { ...ask, patient: true } : ask;
      const settle = (answer: Answer | DbUnavailable) => {
        if (answer instanceof DbUnavailable) {
          this.refused = { at: performance.now(), why: answer.why };
          reject(answer);
        } else if (answer.reply) resolve(answer.reply);
        else reject(errorOf(answer));
      };
      const late = setTimeout(() => this.tooLong(id), limits.told);
      const over = setTimeout(() => this.end(thread), limits.ended);
      this.waiting.set(id, { ask, settle, timers: [late, over] });
      thread.postMessage({ id, ask: said });
    });
  };

  /** Transactions in which a script ran: their end writes all of it. */
  private readonly scripted = new Set<number>();
  private isPatient(ask: Ask): boolean {
    if (ask.kind === 'script' && ask.tx !== undefined) this.scripted.add(ask.tx);
    return ask.kind === 'script' || (ask.kind === 'end' && this.scripted.delete(ask.tx));
  }

  /** When somebody was last told that there is no answer, and why. */
  private refused: { readonly at: number; readonly why: Exclude<DbState, 'open'> } | undefined;
  /**
   * Whether questions are answered now. For a moment after one was not, they are not: a page that failed for want of its
   * answer is finished later than that.
   */
  state(): DbState {
    if (!this.thread) return this.roomy() ? 'stopped' : 'no-room';
    if (this.refused && performance.now() - this.refused.at < REMEMBERED_MS) return this.refused.why;
    return [...this.waiting.values()].some(({ settle }) => settle === undefined) ? 'slow' : 'open';
  }

  /** Ends the thread for good. */
  async close(): Promise<void> {
    this.closed = true;
    clearTimeout(this.timer);
    const { thread } = this;
    this.thread = undefined;
    await thread?.terminate();
  }

  private unavailable(): DbUnavailable {
    return new DbUnavailable(this.roomy() ? 'stopped' : 'no-room');
  }

  private roomy(): boolean {
    try {
      return (this.options.room ?? (() => roomIn(this.options.folder)))() >= LEAST_ROOM;
    } catch {
      return false;
    }
  }

  private tooLong(id: number): void {
    const question = this.waiting.get(id);
    question?.settle?.(new DbUnavailable('slow'));
    if (question) question.settle = undefined;
    // Without room PostgreSQL does not come back by itself.
    if (this.thread && !this.roomy()) this.end(this.thread);
  }

  private take(thread: Worker, answer: Answer): void {
    const question = this.waiting.get(answer.id);
    if (!question) return;
    this.waiting.delete(answer.id);
    question.timers.forEach(clearTimeout);
    if (question.settle) question.settle(answer);
    else if (answer.reply && 'tx' in answer.reply && question.ask.kind !== 'query')
      // Granted when nobody waits for it any more.
      thread.postMessage({ id: 0, ask: { kind: 'end', tx: answer.reply.tx, commit: false } });
  }

  private end(thread: Worker): void {
    if (this.thread !== thread) return;
    this.thread = undefined;
    for (const { settle, timers } of this.waiting.values()) {
      timers.forEach(clearTimeout);
      settle?.(new DbUnavailable('stopped'));
    }
    this.waiting.clear();
    void thread.terminate().then(() => this.again(0));
  }

  /** Opens the database again, as often as it takes. */
  private again(tries: number): void {
    if (this.closed) return;
    const pause = PAUSES[Math.min(tries, PAUSES.length - 1)]!;
    this.timer = setTimeout(() => {
      if (!this.roomy()) return this.again(tries + 1);
      this.started().then(
        (thread) => {
          if (this.closed) void thread.terminate();
          else this.thread = thread;
        },
        (error: unknown) => {
          console.error('the database could not be opened again', error);
          this.again(tries + 1);
        },
      );
    }, pause);
  }

  private started(most = OPENING_MS): Promise<Worker> {
    const { folder, prepared } = this.options;
    const thread = this.options.thread();
    return new Promise((resolve, reject) => {
      let opened = false;
      const give = (error: Error) => {
        if (opened) return;
        clearTimeout(timer);
        void thread.terminate();
        reject(error);
      };
      const timer = setTimeout(() => give(new Error('the database does not open')), most);
      thread.on('message', (answer: Answer) => {
        if (opened) return this.take(thread, answer);
        if (!answer.reply) return give(errorOf(answer));
        opened = true;
        clearTimeout(timer);
        resolve(thread);
      });
      thread.on('error', (error) => {
        if (opened) console.error('the database thread failed', error);
        else give(error);
      });
      thread.on('exit', () => {
        if (opened) this.end(thread);
        else give(new Error('the database thread ended while it was opened'));
      });
      thread.postMessage({ id: 0, ask: { kind: 'open', folder, ...(prepared ? { prepared } : {}) } });
    });
  }
}
