/**
 * The one way to the database. The rest of the house sees `Db` and `Tx` and plain SQL for PostgreSQL; which database
 * answers (PGlite in its thread today, a server by its address later) is decided here and nowhere else.
 *
 * `Tx` is another type than `Db`, and a use case gets only one of them, so a query cannot slip past the transaction it
 * belongs to (which would wait for itself for ever).
 */
import { Worker } from 'node:worker_threads';
import type { Ask, Reply } from './pglite/host';
import { takeFolder } from './pglite/lock';

export type Row = Record<string, unknown>;
export interface Tx {
  readonly inTransaction: true;
  query<T = Row>(sql: string, params?: readonly unknown[]): Promise<T[]>;
  script(sql: string): Promise<void>;
}
export interface Db {
  query<T = Row>(sql: string, params?: readonly unknown[]): Promise<T[]>;
  /** Commits when `work` resolves, rolls back when it throws; throws what it threw. */
  transaction<T>(work: (tx: Tx) => Promise<T>): Promise<T>;
  /** Several queries that all see the same moment: what is committed in between is not half there. */
  read<T>(work: (tx: Queries) => Promise<T>): Promise<T>;
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

/** Sends a message and waits for its answer. */
export type Wire = (ask: Ask) => Promise<Reply>;

const rowsOf = (reply: Reply): Row[] => ('rows' in reply ? reply.rows : []);

/** A database behind a wire. */
export function dbOver(wire: Wire, afterClose: () => Promise<void> = async () => undefined): Db {
  const query = async <T>(sql: string, params: readonly unknown[] = []) =>
    rowsOf(await wire({ kind: 'query', sql, params })) as T[];
  const db: Db = {
    query,
    read: (work) =>
      db.transaction(async (tx) => {
        await tx.script('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ, READ ONLY');
        return work(tx);
      }),
    async transaction(work) {
      const begun = await wire({ kind: 'begin' });
      if (!('tx' in begun)) throw new DbError('no transaction');
      const { tx } = begun;
      const inside: Tx = {
        inTransaction: true,
        query: async <T>(sql: string, params: readonly unknown[] = []) =>
          rowsOf(await wire({ kind: 'query', sql, params, tx })) as T[],
        script: async (sql) => void (await wire({ kind: 'script', sql, tx })),
      };
      try {
        const result = await work(inside);
        await wire({ kind: 'end', tx, commit: true });
        return result;
      } catch (error) {
        await wire({ kind: 'end', tx, commit: false }).catch(() => undefined);
        throw error;
      }
    },
    async close() {
      await wire({ kind: 'close' });
      await afterClose();
    },
  };
  return db;
}

interface Answer {
  readonly id: number;
  readonly reply?: Reply;
  readonly error?: { message: string; code?: string; constraint?: string };
}

function wireTo(worker: Worker): (ask: Ask | { kind: 'open'; folder?: string; prepared?: string }) => Promise<Reply> {
  const waiting = new Map<number, { resolve: (reply: Reply) => void; reject: (error: Error) => void }>();
  let next = 1;
  const failAll = (error: Error) => {
    for (const one of waiting.values()) one.reject(error);
    waiting.clear();
  };
  worker.on('message', ({ id, reply, error }: Answer) => {
    const one = waiting.get(id);
    waiting.delete(id);
    if (error) one?.reject(new DbError(error.message, error.code, error.constraint));
    else one?.resolve(reply!);
  });
  worker.on('error', failAll);
  worker.on('exit', () => failAll(new DbError('the database has stopped')));
  return (ask) =>
    new Promise((resolve, reject) => {
      const id = next++;
      waiting.set(id, { resolve, reject });
      worker.postMessage({ id, ask });
    });
}

export interface OpenOptions {
  readonly folder: string;
  /** An empty database made at build time, to fill an empty folder from. */
  readonly prepared?: string;
  /** Starts the thread; given only by programs that are not bundled. */
  readonly thread?: () => Worker;
}

const ownThread = () => new Worker(new URL('./pglite/pglite.worker.ts', import.meta.url));

/** Opens the database in `folder` in a thread of its own. Throws FolderInUse when another process owns the folder. */
export async function openDb({ folder, prepared, thread = ownThread }: OpenOptions): Promise<Db> {
  const lock = await takeFolder(folder);
  const worker = thread();
  const wire = wireTo(worker);
  await wire({ kind: 'open', folder: `${folder}/db`, ...(prepared ? { prepared } : {}) });
  return dbOver(wire, async () => {
    await worker.terminate();
    lock.close();
  });
}
