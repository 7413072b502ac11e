/**
 * Owns one PGlite and answers messages: single queries, and transactions that hold the only connection from begin to
 * end. Requests wait in a queue; whoever holds a transaction goes past it with its number.
 */
import type { PGlite } from '@electric-sql/pglite';

export type Ask =
  | { readonly kind: 'query'; readonly sql: string; readonly params: readonly unknown[]; readonly tx?: number }
  | { readonly kind: 'script'; readonly sql: string; readonly tx?: number }
  | { readonly kind: 'begin' }
  | { readonly kind: 'end'; readonly tx: number; readonly commit: boolean }
  | { readonly kind: 'close' };
export type Reply = { readonly rows: Record<string, unknown>[] } | { readonly tx: number };

/** A transaction that nobody finishes (its owner died) gives the connection back after this long. */
const ABANDONED_MS = 60_000;

export class Host {
  private queue: Promise<unknown> = Promise.resolve();
  private next = 1;
  private held: { tx: number; release: () => void; timer: NodeJS.Timeout } | undefined;

  constructor(private readonly pg: PGlite) {}

  async handle(ask: Ask): Promise<Reply> {
    if (ask.kind === 'begin') return { tx: await this.begin() };
    if (ask.kind === 'end') return this.end(ask.tx, ask.commit);
    if (ask.kind === 'close') return this.inTurn(async () => (await this.pg.close(), { rows: [] }));
    const run = async (): Promise<Reply> => {
      if (ask.kind === 'script') return (await this.pg.exec(ask.sql), { rows: [] });
      const { rows } = await this.pg.query<Record<string, unknown>>(ask.sql, [...ask.params]);
      return { rows };
    };
    if (ask.tx === undefined) return this.inTurn(run);
    if (this.held?.tx !== ask.tx) throw new Error('the transaction is over');
    return run();
  }

  private inTurn<T>(run: () => Promise<T>): Promise<T> {
    const turn = this.queue.then(run);
    this.queue = turn.catch(() => undefined);
    return turn;
  }

  private begin(): Promise<number> {
    return new Promise((resolve, reject) => {
      void this.inTurn(
        () =>
          new Promise<void>((release) => {
            const tx = this.next++;
            this.pg.exec('BEGIN').then(
              () => {
                const timer = setTimeout(() => void this.end(tx, false), ABANDONED_MS);
                this.held = { tx, release, timer };
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

  private async end(tx: number, commit: boolean): Promise<Reply> {
    const held = this.held;
    if (held?.tx !== tx) throw new Error('the transaction is over');
    try {
      await this.pg.exec(commit ? 'COMMIT' : 'ROLLBACK');
      return { rows: [] };
    } finally {
      clearTimeout(held.timer);
      this.held = undefined;
      held.release();
    }
  }
}
