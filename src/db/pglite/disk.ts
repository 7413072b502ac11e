/**
 * The database's folder on a real disk. PGlite as shipped starts with fsync off and its file layer answers an fsync
 * without doing one, so a power cut could lose what was acknowledged. Here every flush that PostgreSQL asks for
 * reaches the disk: the file layer's stream operations get an fsync that calls fdatasync on the real descriptor, and
 * the server is started without `-F`.
 */
import { randomBytes } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { pg_trgm } from '@electric-sql/pglite/contrib/pg_trgm';
import { NodeFS } from '@electric-sql/pglite/nodefs';
import { DATABASE, FILLING, SECRET, flushFolder } from './folder';

interface Stream {
  readonly nfd?: number;
}
interface NodeFileLayer {
  stream_ops: { fsync?: (stream: Stream) => number };
}

class FlushingFS extends NodeFS {
  override async init(pg: PGlite, options: Parameters<NodeFS['init']>[1]) {
    const begun = await super.init(pg, options);
    const flush = (module: unknown) => {
      const layer = (module as { NODEFS: NodeFileLayer }).NODEFS;
      layer.stream_ops.fsync = ({ nfd }) => {
        if (nfd !== undefined) fs.fdatasyncSync(nfd);
        return 0;
      };
    };
    const preRun = [...((begun.emscriptenOpts.preRun as unknown[] | undefined) ?? []), flush];
    return { emscriptenOpts: { ...begun.emscriptenOpts, preRun } } as Awaited<ReturnType<NodeFS['init']>>;
  }
}

/** The shipped start parameters without `-F`, with a flush that goes through fsync. */
const START = [
  ...PGlite.defaultStartParams.filter((one) => one !== '-F'),
  '-c',
  'wal_sync_method=fsync',
  '-c',
  'synchronous_commit=on',
];

const AT_ONCE = 32;

/** Flushes every file below `folder`: what was unpacked at the first start must survive a power cut as well. */
async function flushTree(folder: string): Promise<void> {
  const files = fs.readdirSync(folder, { withFileTypes: true, recursive: true }).filter((entry) => entry.isFile());
  const flush = async (entry: fs.Dirent) => {
    const file = await fs.promises.open(`${entry.parentPath}/${entry.name}`, 'r+');
    await file.datasync().finally(() => file.close());
  };
  for (let at = 0; at < files.length; at += AT_ONCE) await Promise.all(files.slice(at, at + AT_ONCE).map(flush));
}

/** What the tables need beyond PostgreSQL itself; a server has them, here they come with the program. */
const EXTENSIONS = { pg_trgm };

const flushing = (database: string, more: object = {}) =>
  PGlite.create({ fs: new FlushingFS(database), startParams: START, extensions: EXTENSIONS, ...more });

const imageOf = (prepared?: string) =>
  prepared && fs.existsSync(prepared) ? { loadDataDir: new Blob([fs.readFileSync(prepared)]) } : {};

/**
 * Fills a new data folder: key and database come to be under another name and take theirs when they are whole and on
 * the disk, so that a start that is cut off leaves nothing that looks like a shop. `prepared` is an empty database made
 * at build time, used instead of running initdb for several seconds.
 */
export async function fillFolder(folder: string, prepared?: string): Promise<void> {
  const filling = path.join(/*turbopackIgnore: true*/ folder, FILLING);
  fs.rmSync(filling, { recursive: true, force: true });
  fs.mkdirSync(filling, { mode: 0o700 });
  const secret = path.join(/*turbopackIgnore: true*/ folder, SECRET);
  fs.writeFileSync(secret, randomBytes(32), { mode: 0o600, flush: true });
  const database = await flushing(filling, imageOf(prepared));
  await database.close();
  await flushTree(filling);
  fs.renameSync(filling, path.join(/*turbopackIgnore: true*/ folder, DATABASE));
  flushFolder(folder);
}

/** Opens the database in the folder `database`, which must be whole; in memory when it is undefined. */
export async function openPglite(database: string | undefined, prepared?: string): Promise<PGlite> {
  return database === undefined ? PGlite.create({ extensions: EXTENSIONS, ...imageOf(prepared) }) : flushing(database);
}
