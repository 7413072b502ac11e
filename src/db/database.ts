/**
 * What the application sees of its database: `Db` and `Tx` and plain SQL for PostgreSQL, whichever database answers.
 *
 * `Tx` is another type than `Db`, and a use case gets only one of them, so a query cannot slip past the transaction it
 * belongs to (which would wait for itself for ever).
 */
import type { Ask, Reply } from './pglite/host';

export type Row = Record<string, unknown>;
export interface Tx {
  readonly inTransaction: true;
  query<T = Row>(sql: string, params?: readonly unknown[]): Promise<T[]>;
  script(sql: string): Promise<void>;
}
export interface Db {
  /** Reads. What writes is refused here: it belongs into a transaction. */
  query<T = Row>(sql: string, params?: readonly unknown[]): Promise<T[]>;
  /** Commits when `work` resolves, rolls back when it throws; throws what it threw. */
  transaction<T>(work: (tx: Tx) => Promise<T>): Promise<T>;
  /** Several queries that all see the same moment: what is committed in between is not half there. */
  read<T>(work: (tx: Queries) => Promise<T>): Promise<T>;
  /**
   * Everything that was written is in the files and stays as it is while `work` runs: for a back-up. It says now and
   * then that it is `going`; what is silent for some seconds is taken for hung.
   */
  hold<T>(work: (going: () => void) => Promise<T>): Promise<T>;
  /** Until this is called nothing has a time limit: the start is over, and requests may come. */
  begun(): void;
  /** Whether it answers now, and why not. */
  state(): DbState;
  close(): Promise<void>;
}
export type Queries = Pick<Db, 'query'>;

export class DbError extends Error {
  constructor(
    message: string,
    readonly code?: string,
    readonly constraint?: string,
  ) {
    super(message);
    this.name = 'DbError';
  }
}

/**
 * The database cannot answer now: there is no room on the disk, its thread has stopped and is being opened again, or
 * it takes too long. Nothing of what was asked is lost or half done; the same request can be sent again.
 */
export type DbState = 'open' | 'no-room' | 'stopped' | 'slow';
export class DbUnavailable extends Error {
  override readonly name = 'DbUnavailable';
  constructor(readonly why: Exclude<DbState, 'open'>) {
    super(`the database cannot answer now: ${why}`);
  }
}

/**
 * Told apart by name: the program is bundled in several parts, and each has a class of its own.
 */
const isNamed = (error: unknown, name: string): error is Error => error instanceof Error && error.name === name;
export const isDbError = (error: unknown): error is DbError => isNamed(error, 'DbError');
export const isUnavailable = (error: unknown): error is DbUnavailable => isNamed(error, 'DbUnavailable');

/** Sends a message and waits for its answer. */
export type Wire = (ask: Ask) => Promise<Reply>;

const rowsOf = (reply: Reply): Row[] => ('rows' in reply ? reply.rows : []);

/** A database behind a wire. */
export function dbOver(
  wire: Wire,
  {
    afterClose = async () => undefined,
    state = () => 'open',
    begun = () => undefined,
  }: { afterClose?: () => Promise<void>; state?: () => DbState; begun?: () => void } = {},
): Db {
  const query = async <T>(sql: string, params: readonly unknown[] = []) =>
    rowsOf(await wire({ kind: 'query', sql, params })) as T[];
  /** Takes the connection by `first`, works, and gives it back. */
  async function held<T>(first: Ask, work: (tx: Tx, going: () => void) => Promise<T>): Promise<T> {
    const begun = await wire(first);
    if (!('tx' in begun)) throw new DbError('no transaction');
    const { tx } = begun;
    const inside: Tx = {
      inTransaction: true,
      query: async <T>(sql: string, params: readonly unknown[] = []) =>
        rowsOf(await wire({ kind: 'query', sql, params, tx })) as T[],
      script: async (sql) => void (await wire({ kind: 'script', sql, tx })),
    };
    try {
      const result = await work(inside, () => void wire({ kind: 'going', tx }).catch(() => undefined));
      await wire({ kind: 'end', tx, commit: true });
      return result;
    } catch (error) {
      await wire({ kind: 'end', tx, commit: false }).catch(() => undefined);
      throw error;
    }
  }
  return {
    query,
    read: (work) => held({ kind: 'begin', write: false }, work),
    transaction: (work) => held({ kind: 'begin', write: true }, work),
    hold: (work) => held({ kind: 'hold' }, (_tx, going) => work(going)),
    state,
    begun,
    async close() {
      await wire({ kind: 'close' });
      await afterClose();
    },
  };
}
