/** A thread that is always there: when its worker dies another is started, and everybody who had work there is told. */
import type { Worker } from 'node:worker_threads';
import type { FromThread, ToThread } from '@/workers/protocol';

/** By name: the program is bundled in several parts, and each has a class of its own. */
export const isThreadDied = (error: unknown): error is ThreadDied =>
  error instanceof Error && error.name === 'ThreadDied';

export class ThreadDied extends Error {
  constructor(why: string) {
    super(`a cutting thread has stopped: ${why}`);
    this.name = 'ThreadDied';
  }
}

/** Who has work in a thread. */
export interface Listener {
  readonly hear: (message: FromThread) => void;
  /** The thread was ended on purpose for somebody else's sake; the work must be given again. */
  readonly again: () => void;
  readonly died: (error: ThreadDied) => void;
}

export class Thread {
  private worker: Worker | undefined;
  private readonly listeners = new Map<number, Listener>();
  private closed = false;
  private expected: NodeJS.Timeout | undefined;
  ready: Promise<void>;
  /** It can work. */
  up = false;

  constructor(private readonly make: () => Worker) {
    this.ready = this.start();
  }

  private start(): Promise<void> {
    const worker = this.make();
    this.worker = worker;
    this.up = false;
    worker.unref();
    const ready = new Promise<void>((resolve, reject) => {
      worker.on('message', (message: FromThread) => {
        clearTimeout(this.expected);
        this.expected = undefined;
        if (message.kind === 'ready') {
          this.up = this.worker === worker;
          resolve();
        } else this.listeners.get(message.id)?.hear(message);
      });
      const died = (why: string) => {
        // Ended on purpose, perhaps before it could work: the next one is waited for.
        if (this.worker !== worker && !this.closed) {
          resolve(this.ready);
          return;
        }
        reject(new ThreadDied(why));
        if (this.closed) return;
        this.worker = undefined;
        this.up = false;
        const told = [...this.listeners.values()];
        this.listeners.clear();
        for (const one of told) one.died(new ThreadDied(why));
      };
      worker.on('error', (error: Error) => died(error.message));
      worker.on('exit', (code) => died(`exit ${code}`));
    });
    ready.catch(() => undefined);
    return ready;
  }

  /** Done when it can work; starts it again when it has died. */
  warm(): Promise<void> {
    if (!this.worker && !this.closed) this.ready = this.start();
    return this.ready;
  }
  listen(id: number, listener: Listener): void {
    this.listeners.set(id, listener);
  }
  leave(id: number): void {
    this.listeners.delete(id);
  }
  tell(message: ToThread): void {
    this.worker?.postMessage(message);
  }
  /** Ends the worker in the middle of whatever it does, and starts another, as soon as nobody waits for that. */
  replace(): void {
    clearTimeout(this.expected);
    this.expected = setTimeout(() => this.restart(), 0);
  }
  /** Others give their work again. */
  private restart(): void {
    const old = this.worker;
    this.expected = undefined;
    if (this.closed) return;
    this.ready = this.start();
    void old?.terminate();
    const told = [...this.listeners.values()];
    this.listeners.clear();
    void this.ready.then(
      () => told.forEach((one) => one.again()),
      (error: ThreadDied) => told.forEach((one) => one.died(error)),
    );
  }
  /** Ends the worker if it does not answer within the time. Until then it is `late`. */
  endsBy(ms: number): void {
    const { worker } = this;
    if (!worker || this.expected) return;
    this.expected = setTimeout(() => {
      if (this.worker === worker) this.restart();
      else this.expected = undefined;
    }, ms);
    this.expected.unref();
  }
  /** Deep in work that nobody waits for any more. */
  get late(): boolean {
    return this.expected !== undefined;
  }
  async close(): Promise<void> {
    this.closed = true;
    await this.worker?.terminate();
  }
}
