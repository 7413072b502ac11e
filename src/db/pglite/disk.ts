/**
 * The database's folder on a real disk. PGlite as shipped starts with fsync off and its file layer answers an fsync
 * without doing one, so a power cut could lose what was acknowledged. Here every flush that PostgreSQL asks for
 * reaches the disk: the file layer's stream operations get an fsync that calls fdatasync on the real descriptor, and
 * the server is started without `-F`.
 */
import fs from 'node:fs';
import { PGlite } from '@electric-sql/pglite';
import { NodeFS } from '@electric-sql/pglite/nodefs';

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

/**
 * Opens the database in `folder`, or in memory when it is undefined. `prepared` is an empty database made at build
 * time; an empty folder is filled from it instead of running initdb for several seconds.
 */
export async function openPglite(folder: string | undefined, prepared?: string): Promise<PGlite> {
  const image = () =>
    prepared && fs.existsSync(prepared) ? { loadDataDir: new Blob([fs.readFileSync(prepared)]) } : {};
  if (folder === undefined) return PGlite.create(image());
  fs.mkdirSync(folder, { recursive: true });
  const empty = fs.readdirSync(folder).length === 0;
  const open = await PGlite.create({ fs: new FlushingFS(folder), startParams: START, ...(empty ? image() : {}) });
  if (empty) await flushTree(folder);
  return open;
}
