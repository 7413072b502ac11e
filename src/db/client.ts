/**
 * The one way to the database: which one answers (PGlite in its thread today, a server by its address later) is decided
 * here and nowhere else.
 */
import { Worker } from 'node:worker_threads';
import { type Db, dbOver } from './database';
import { Keeper, type KeeperOptions } from './pglite/keeper';
import { takeFolder } from './pglite/lock';

export * from './database';

export type OpenOptions = Omit<KeeperOptions, 'thread'> & {
  /** Starts the thread; given only by programs that are not bundled. */
  readonly thread?: () => Worker;
};

const ownThread = () => new Worker(new URL('./pglite/pglite.worker.ts', import.meta.url));

/**
 * Opens the database in `folder` in a thread of its own, made when the folder is empty. Throws FolderInUse when
 * another process owns the folder, StartRefused when it is neither whole nor empty.
 */
export async function openDb({ thread = ownThread, ...options }: OpenOptions): Promise<Db> {
  const lock = await takeFolder(options.folder);
  const keeper = new Keeper({ ...options, thread });
  try {
    await keeper.open();
  } catch (error) {
    lock.close();
    throw error;
  }
  return dbOver(keeper.ask, {
    state: () => keeper.state(),
    begun: () => keeper.begun(),
    async afterClose() {
      await keeper.close();
      lock.close();
    },
  });
}
