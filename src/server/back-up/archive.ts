/**
 * A back-up is one file: a gzipped tar of the data folder with a list of its files and their checksums as its first
 * entry. It is made while the shop runs, in two passes: everything is copied as it is; then the database writes what it
 * has, stands still, and only what has changed meanwhile is copied again. That is what others wait for.
 *
 * It is read back before it counts, and restored into an empty folder only.
 */
import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import * as tar from 'tar';
import { type Outcome, bad, good, issue } from '@/core/issue';

const MANIFEST = 'manifest.json';
const FORMAT = 1;
/** Of the data folder, these are left out: what belongs to the running program or can be made again. */
const LEFT_OUT = new Set(['lock', 'control.sock', 'back-ups', 'tls', 'db.new', 'small-photos']);
const LEFT_OUT_INSIDE = new Set(['db/postmaster.pid', 'db/postmaster.opts']);
/**
 * A file that was young when the first pass began is copied again, whatever its time says: file systems count time in
 * steps of some ms, a few in whole seconds.
 */
const youngMs = ({ mtimeNs }: fs.BigIntStats) => (mtimeNs % 1_000_000_000n === 0n ? 2500 : 100);
const AT_ONCE = 8;
/** Bytes that are copied between two flushes. */
const STEP = 2 * 2 ** 20;
/** What must stay free beside the copy and the back-up, in bytes. */
const SPARE = 128 * 2 ** 20;

export interface FileSum {
  readonly path: string;
  readonly bytes: number;
  readonly sha256: string;
}
export interface Manifest {
  readonly format: number;
  readonly at: string;
  readonly files: readonly FileSum[];
}

async function inBatches<T>(list: readonly T[], work: (one: T) => Promise<void>): Promise<void> {
  for (let at = 0; at < list.length; at += AT_ONCE) await Promise.all(list.slice(at, at + AT_ONCE).map(work));
}

/** Paths of all files that are kept, below the folder, with `/` between their parts. */
async function filesIn(folder: string): Promise<string[]> {
  const entries = await fs.promises.readdir(folder, { withFileTypes: true, recursive: true });
  return entries
    .filter((entry) => entry.isFile())
    .map((entry) =>
      path
        .relative(folder, path.join(/*turbopackIgnore: true*/ entry.parentPath, entry.name))
        .split(path.sep)
        .join('/'),
    )
    .filter((name) => !LEFT_OUT.has(name.split('/')[0]!) && !LEFT_OUT_INSIDE.has(name));
}

type Seen = Map<string, string>;
const markOf = ({ size, mtimeNs }: fs.BigIntStats) => `${size} ${mtimeNs}`;

/**
 * Copies with a flush every few MB: a file system that flushes new blocks with the next commit of its journal would let
 * the next commit of the database wait for all of the copy.
 */
async function copySteadily(from: string, to: string): Promise<void> {
  const source = await fs.promises.open(from, 'r');
  try {
    const target = await fs.promises.open(to, 'w', 0o600);
    try {
      const chunk = Buffer.allocUnsafe(STEP);
      for (;;) {
        const { bytesRead } = await source.read(chunk, 0, STEP, null);
        if (bytesRead === 0) break;
        await target.write(chunk, 0, bytesRead);
        if (bytesRead === STEP) await target.datasync();
      }
    } finally {
      await target.close();
    }
  } finally {
    await source.close();
  }
}

/** Makes a copy as its source is now, writing only what differs: of a large file that changed here and there, little. */
async function copyDifferences(from: string, to: string): Promise<void> {
  const source = await fs.promises.open(from, 'r');
  const target = await fs.promises.open(to, 'r+');
  try {
    const [is, was] = [Buffer.allocUnsafe(STEP), Buffer.allocUnsafe(STEP)];
    let at = 0;
    for (;;) {
      const [now, then] = await Promise.all([source.read(is, 0, STEP, at), target.read(was, 0, STEP, at)]);
      if (now.bytesRead === 0) break;
      const same = now.bytesRead === then.bytesRead && is.compare(was, 0, now.bytesRead, 0, now.bytesRead) === 0;
      if (!same) await target.write(is, 0, now.bytesRead, at);
      at += now.bytesRead;
    }
    await target.truncate(at);
  } finally {
    await source.close();
    await target.close();
  }
}

async function copyFile(folder: string, into: string, name: string): Promise<string | undefined> {
  const from = path.join(/*turbopackIgnore: true*/ folder, name);
  try {
    const mark = markOf(await fs.promises.stat(from, { bigint: true }));
    await fs.promises.mkdir(path.dirname(path.join(/*turbopackIgnore: true*/ into, name)), { recursive: true });
    await copySteadily(from, path.join(/*turbopackIgnore: true*/ into, name));
    return mark;
  } catch (error) {
    // Gone meanwhile: the second pass knows.
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return undefined;
    throw error;
  }
}

/** The first pass: everything, whatever is being written. */
async function copyAll(folder: string, into: string): Promise<Seen> {
  const seen: Seen = new Map();
  await inBatches(await filesIn(folder), async (name) => {
    const mark = await copyFile(folder, into, name);
    if (mark !== undefined) seen.set(name, mark);
  });
  return seen;
}

/** The second pass, while nothing is written: what is new, changed or gone since. */
async function copyChanged(
  folder: string,
  into: string,
  seen: Seen,
  begunAt: number,
  going: () => void,
): Promise<void> {
  const now = new Set(await filesIn(folder));
  const stale: string[] = [];
  await inBatches([...now], async (name) => {
    const found = await fs.promises.stat(path.join(/*turbopackIgnore: true*/ folder, name), { bigint: true });
    if (seen.get(name) !== markOf(found) || Number(found.mtimeMs) > begunAt - youngMs(found)) stale.push(name);
  });
  await inBatches(stale, async (name) => {
    going();
    if (!seen.has(name)) await copyFile(folder, into, name);
    else
      await copyDifferences(
        path.join(/*turbopackIgnore: true*/ folder, name),
        path.join(/*turbopackIgnore: true*/ into, name),
      );
  });
  for (const name of seen.keys())
    if (!now.has(name)) fs.rmSync(path.join(/*turbopackIgnore: true*/ into, name), { force: true });
}

async function sumOf(file: string): Promise<{ bytes: number; sha256: string }> {
  const hash = createHash('sha256');
  let bytes = 0;
  for await (const chunk of fs.createReadStream(file)) {
    hash.update(chunk as Buffer);
    bytes += (chunk as Buffer).length;
  }
  return { bytes, sha256: hash.digest('hex') };
}

/** Empty folders belong to a database too. */
function foldersIn(folder: string): string[] {
  return fs
    .readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isDirectory())
    .map((entry) =>
      path
        .relative(folder, path.join(/*turbopackIgnore: true*/ entry.parentPath, entry.name))
        .split(path.sep)
        .join('/'),
    );
}

export interface MakeOptions {
  readonly folder: string;
  readonly file: string;
  /** Where the copy lies while it is made; beside the file where nothing is said. */
  readonly copyIn?: string;
  readonly at: Date;
  /** Lets `work` run while the database writes nothing; directly when it is not open. */
  readonly hold: <T>(work: (going: () => void) => Promise<T>) => Promise<T>;
}

/** Makes a back-up of `folder` in `file`, reads it back, and answers its size. Nothing is left of one that failed. */
export async function makeArchive({
  folder,
  file,
  copyIn = path.dirname(file),
  at,
  hold,
}: MakeOptions): Promise<Outcome<{ bytes: number }>> {
  const target = path.dirname(file);
  for (const made of [target, copyIn]) fs.mkdirSync(made, { recursive: true, mode: 0o700 });
  let size = 0;
  await inBatches(await filesIn(folder), async (name) => {
    size += await fs.promises.stat(path.join(/*turbopackIgnore: true*/ folder, name)).then(
      (found) => found.size,
      () => 0,
    );
  });
  for (const place of [target, copyIn]) {
    const { bavail, bsize } = fs.statfsSync(place);
    if (bavail * bsize < 2 * size + SPARE)
      return bad(issue('back-up-no-room', { megabytes: Math.ceil((2 * size + SPARE) / 1e6) }));
  }
  const copy = fs.mkdtempSync(path.join(/*turbopackIgnore: true*/ copyIn, '.making-'));
  const making = `${file}.making`;
  try {
    // What lies in memory is written now, so that little is left for the second pass.
    await hold(async () => undefined);
    const begunAt = Date.now();
    const seen = await copyAll(folder, copy);
    await hold((going) => copyChanged(folder, copy, seen, begunAt, going));
    for (const name of foldersIn(path.join(/*turbopackIgnore: true*/ folder, 'db')))
      fs.mkdirSync(path.join(/*turbopackIgnore: true*/ copy, 'db', name), { recursive: true });
    const files: FileSum[] = [];
    for (const name of await filesIn(copy))
      files.push({ path: name, ...(await sumOf(path.join(/*turbopackIgnore: true*/ copy, name))) });
    const manifest: Manifest = { format: FORMAT, at: at.toISOString(), files };
    fs.writeFileSync(path.join(/*turbopackIgnore: true*/ copy, MANIFEST), JSON.stringify(manifest));
    const rest = fs.readdirSync(copy).filter((name) => name !== MANIFEST);
    await pack(copy, [MANIFEST, ...rest], making);
    const wrong = await verifyArchive(making);
    if (wrong) return bad(issue('back-up-failed', { reason: wrong }));
    const fd = fs.openSync(making, 'r+');
    fs.fsyncSync(fd);
    fs.closeSync(fd);
    fs.renameSync(making, file);
    return good({ bytes: fs.statSync(file).size });
  } finally {
    await fs.promises.rm(copy, { recursive: true, force: true });
    await fs.promises.rm(making, { force: true });
  }
}

/** Tar's own compression works on the thread that everybody waits for; Node's does not. */
async function pack(folder: string, names: readonly string[], file: string): Promise<void> {
  const zipped = createGzip({ level: 4 });
  const packed = tar.create({ cwd: folder, portable: true }, [...names]);
  packed.on('error', (error) => zipped.destroy(error as Error));
  packed.pipe(zipped);
  await pipeline(zipped, fs.createWriteStream(file, { mode: 0o600 }));
}

interface Takes {
  write(chunk: Buffer): boolean;
  end(): void;
  once(event: string, then: (error?: unknown) => void): unknown;
}
/** Gives what is in an archive to a reader of tar, no faster than it takes it; waits until it has all. */
async function unpack(file: string, into: Takes): Promise<void> {
  const over = new Promise<void>((resolve, reject) => {
    into.once('error', reject);
    into.once('close', () => resolve());
    into.once('end', () => resolve());
  });
  over.catch(() => undefined);
  const plain = createGunzip();
  const source = fs.createReadStream(file);
  source.on('error', (error) => plain.destroy(error));
  for await (const chunk of source.pipe(plain))
    if (!into.write(chunk as Buffer))
      await Promise.race([new Promise<void>((resolve) => into.once('drain', () => resolve())), over]);
  into.end();
  await over;
}

interface Found {
  readonly manifest: Manifest | undefined;
  readonly sums: ReadonlyMap<string, { bytes: number; sha256: string }>;
}

/** Every file of an archive with its checksum, read as a stream. */
async function readArchive(file: string): Promise<Found> {
  const sums = new Map<string, { bytes: number; sha256: string }>();
  let manifest: Manifest | undefined;
  const ends: Promise<void>[] = [];
  const reader = tar.list({
    strict: true,
    onReadEntry: (entry) => {
      if (entry.type !== 'File') return entry.resume();
      const hash = createHash('sha256');
      const chunks: Buffer[] = [];
      let bytes = 0;
      entry.on('data', (chunk: Buffer) => {
        hash.update(chunk);
        bytes += chunk.length;
        if (entry.path === MANIFEST) chunks.push(chunk);
      });
      ends.push(
        new Promise((resolve) =>
          entry.on('end', () => {
            if (entry.path === MANIFEST) manifest = JSON.parse(Buffer.concat(chunks).toString('utf8')) as Manifest;
            else sums.set(entry.path, { bytes, sha256: hash.digest('hex') });
            resolve();
          }),
        ),
      );
    },
  });
  await unpack(file, reader as unknown as Takes);
  await Promise.all(ends);
  return { manifest, sums };
}

/** What is wrong with a back-up; undefined when every file is there and as it was. */
export async function verifyArchive(file: string): Promise<string | undefined> {
  let found: Found;
  try {
    found = await readArchive(file);
  } catch (error) {
    return `it cannot be read: ${error instanceof Error ? error.message : String(error)}`;
  }
  const { manifest, sums } = found;
  if (!manifest || !Array.isArray(manifest.files)) return 'it has no list of its files';
  if (manifest.format !== FORMAT) return `it is of format ${String(manifest.format)}, which this Lopren does not know`;
  const bad = manifest.files.find((one) => sums.get(one.path)?.sha256 !== one.sha256);
  if (bad) return `${bad.path} is not as it was`;
  return sums.size === manifest.files.length ? undefined : 'it holds files that are not in its list';
}

/** Unpacks a back-up into a folder that is empty or not there. Nothing is written when anything is wrong with it. */
export async function restoreArchive(file: string, folder: string): Promise<Outcome<Manifest>> {
  if (!fs.existsSync(file)) return bad(issue('restore-no-file', { file }));
  if (fs.existsSync(folder) && fs.readdirSync(folder).length > 0) return bad(issue('restore-not-empty', { folder }));
  const wrong = await verifyArchive(file);
  if (wrong) return bad(issue('restore-broken', { file, reason: wrong }));
  const { manifest } = await readArchive(file);
  fs.mkdirSync(folder, { recursive: true, mode: 0o700 });
  const writer = tar.extract({
    cwd: folder,
    strict: true,
    filter: (name, entry) => name !== MANIFEST && (!('type' in entry) || ['File', 'Directory'].includes(entry.type)),
  });
  await unpack(file, writer as unknown as Takes);
  for (const { path: name } of manifest!.files) {
    const fd = fs.openSync(path.join(/*turbopackIgnore: true*/ folder, name), 'r+');
    fs.fsyncSync(fd);
    fs.closeSync(fd);
  }
  fs.chmodSync(path.join(/*turbopackIgnore: true*/ folder, 'secret'), 0o600);
  return good(manifest!);
}
