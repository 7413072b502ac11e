/**
 * Owns one PGlite and answers messages: single queries, and transactions that hold the only connection from begin to
 * end. Requests wait in a queue; whoever holds a transaction goes past it with its number.
 *
 * What is not a writing transaction cannot write, and a writing one is only begun while the disk has room.
 */
import type { PGlite } from '@electric-sql/pglite';

export type Ask =
  | { readonly kind: 'query'; readonly sql: string; readonly params: readonly unknown[]; readonly tx?: number }
  | { readonly kind: 'script'; readonly sql: string; readonly tx?: number }
  /** `patient`: for what takes as long as it takes, as a start; it is never given up while its owner lives. */
  | { readonly kind: 'begin'; readonly write: boolean; readonly patient?: boolean }
  | { readonly kind: 'end'; readonly tx: number; readonly commit: boolean }
  /** Everything that was written goes to the files, and nothing more until `end`: for a back-up. */
  | { readonly kind: 'hold' }
  /** Whoever holds it is still at work. */
  | { readonly kind: 'going'; readonly tx: number }
  | { readonly kind: 'close' };
export type Reply = { readonly rows: Record<string, unknown>[] } | { readonly tx: number };

/** A transaction of a request in which nothing is asked for so long is taken for hung, and gives the connection back; a hold sooner. */
const ABANDONED_MS = 60_000;
const HELD_MS = 20_000;

/** Nothing is begun that writes while less than this is free, in bytes. */
export const LEAST_ROOM = 64 * 2 ** 20;

/** Codes that this host adds to PostgreSQL's. */
export const NO_ROOM = 'no-room';

/** What the host refuses; `code` goes with the message. */
class HostError extends Error {
  constructor(
    readonly code: string,
    message: string,
  ) {
    super(message);
  }
}

interface Held {
  readonly tx: number;
  readonly release: () => void;
  timer: NodeJS.Timeout | undefined;
  /** Begins to count until it is taken for abandoned; never, where it may take as long as it takes. */
  readonly abandoned: () => NodeJS.Timeout | undefined;
  readonly end: (commit: boolean) => Promise<void>;
}

export class Host {
  private queue: Promise<unknown> = Promise.resolve();
  private next = 1;
  private held: Held | undefined;

  constructor(
    private readonly pg: PGlite,
    /** Free bytes on the database's volume. */
    private readonly room: () => number = () => Number.POSITIVE_INFINITY,
    private readonly limits: { readonly abandoned: number; readonly held: number } = {
      abandoned: ABANDONED_MS,
      held: HELD_MS,
    },
  ) {}

  /** Makes reading the rule; to be called once, before anything else. */
  async open(): Promise<void> {
    await this.pg.exec('SET default_transaction_read_only = on');
  }

  async handle(ask: Ask): Promise<Reply> {
    if (ask.kind === 'begin') return { tx: await this.begin(ask.write, ask.patient ?? false) };
    if (ask.kind === 'hold') return { tx: await this.hold() };
    if (ask.kind === 'end') return this.end(ask.tx, ask.commit);
    if (ask.kind === 'going') return this.atWork(ask.tx, async () => ({ rows: [] }));
    if (ask.kind === 'close') return this.inTurn(async () => (await this.pg.close(), { rows: [] }));
    const run = async (): Promise<Reply> => {
      if (ask.kind === 'script') return this.script(ask.sql);
      const { rows } = await this.pg.query<Record<string, unknown>>(ask.sql, [...ask.params]);
      return { rows };
    };
    if (ask.tx === undefined) return this.inTurn(run);
    return this.atWork(ask.tx, run);
  }

  private async script(sql: string): Promise<Reply> {
    await this.pg.exec(sql);
    return { rows: [] };
  }

  /** Whoever asks is at work: what is asked takes as long as it takes, and after it the time counts anew. */
  private async atWork(tx: number, run: () => Promise<Reply>): Promise<Reply> {
    const { held } = this;
    if (held?.tx !== tx) throw new Error('the transaction is over');
    clearTimeout(held.timer);
    try {
      return await run();
    } finally {
      if (this.held === held) held.timer = held.abandoned();
    }
  }

  private inTurn<T>(run: () => Promise<T>): Promise<T> {
    const turn = this.queue.then(run);
    this.queue = turn.catch(() => undefined);
    return turn;
  }

  /** Takes the connection in its turn, does `first`, and keeps it until it is ended or nobody was at work for `most` ms. */
  private take(
    first: () => Promise<unknown>,
    end: (commit: boolean) => Promise<unknown>,
    most: number | undefined,
  ): Promise<number> {
    return new Promise<number>((resolve, reject) => {
      void this.inTurn(
        () =>
          new Promise<void>((release) => {
            const tx = this.next++;
            first().then(
              () => {
                const abandoned = () =>
                  most === undefined
                    ? undefined
                    : setTimeout(() => void this.end(tx, false).catch(() => undefined), most);
                const timer = abandoned();
                this.held = { tx, release, timer, abandoned, end: async (commit) => void (await end(commit)) };
                resolve(tx);
              },
              (error: Error) => {
                reject(error);
                release();
              },
            );
          }),
      );
    });
  }

  private begin(write: boolean, patient: boolean): Promise<number> {
    const first = async () => {
      if (write && this.room() < LEAST_ROOM) throw new HostError(NO_ROOM, 'the disk is nearly full');
      await this.pg.exec(write ? 'BEGIN READ WRITE' : 'BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY');
    };
    const most = patient ? undefined : this.limits.abandoned;
    return this.take(first, (commit) => this.pg.exec(commit ? 'COMMIT' : 'ROLLBACK'), most);
  }

  private hold(): Promise<number> {
    return this.take(
      () => this.pg.exec('CHECKPOINT'),
      async () => undefined,
      this.limits.held,
    );
  }

  private async end(tx: number, commit: boolean): Promise<Reply> {
    const held = this.held;
    if (held?.tx !== tx) throw new Error('the transaction is over');
    try {
      await held.end(commit);
      return { rows: [] };
    } finally {
      clearTimeout(held.timer);
      this.held = undefined;
      held.release();
    }
  }
}
