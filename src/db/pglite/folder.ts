/**
 * Whether a data folder is new, whole, or neither. A folder that is not empty and not whole is never filled: it may be
 * a mount that is missing, a back-up that was put back by halves, or a slip of the hand, and an empty shop written over
 * it would be the end of what is left.
 */
import fs from 'node:fs';
import path from 'node:path';
import { StartRefused } from './lock';

/** The database, and where a first start fills it before it takes that name. */
export const DATABASE = 'db';
export const FILLING = 'db.new';
export const SECRET = 'secret';
const SECRET_BYTES = 32;

/** PostgreSQL writes its control file whole, always as long. */
const CONTROL = 'global/pg_control';
const CONTROL_BYTES = 8192;
/** What every whole database of ours has; files end without a slash. */
const WHOLE = ['PG_VERSION', 'postgresql.conf', CONTROL, 'base/', 'pg_wal/', 'pg_xact/', 'pg_multixact/'];

/** May stand in a folder that holds no shop yet. */
const NO_SHOP = new Set(['lock', 'lost+found']);

const entriesOf = (folder: string) => (fs.existsSync(folder) ? fs.readdirSync(folder) : []);

function missingIn(database: string): string[] {
  const missing = WHOLE.filter((name) => {
    const found = fs.statSync(path.join(/*turbopackIgnore: true*/ database, name), { throwIfNoEntry: false });
    return (
      !found ||
      found.isDirectory() !== name.endsWith('/') ||
      (found.isFile() && found.size === 0) ||
      (name === CONTROL && found.size !== CONTROL_BYTES)
    );
  });
  if (
    !missing.includes('pg_wal/') &&
    !entriesOf(path.join(/*turbopackIgnore: true*/ database, 'pg_wal')).some((name) => /^[0-9A-F]{24}$/.test(name))
  )
    missing.push('the log in pg_wal/');
  return missing;
}

function lookAtSecret(folder: string): void {
  const found = fs.statSync(path.join(/*turbopackIgnore: true*/ folder, SECRET), { throwIfNoEntry: false });
  const put = `Put it back from a back-up, or write a new one of ${SECRET_BYTES} random bytes; then everybody signs in again.`;
  if (!found) throw new StartRefused(`The data folder ${folder} has no key (the file ${SECRET}). ${put}`);
  if (found.size !== SECRET_BYTES)
    throw new StartRefused(
      `The key of the data folder ${folder} (the file ${SECRET}) has ${found.size} bytes and not ${SECRET_BYTES}. ${put}`,
    );
}

/**
 * Answers whether the folder is still to be filled. Throws StartRefused, naming what is missing, for one that holds
 * something and is not whole.
 */
export function isNew(folder: string): boolean {
  const database = path.join(/*turbopackIgnore: true*/ folder, DATABASE);
  if (entriesOf(database).length > 0) {
    const missing = missingIn(database);
    if (missing.length > 0)
      throw new StartRefused(
        `The database in ${database} is not whole: ${missing.join(', ')} is missing, empty or cut off. Nothing was changed. ` +
          'Look whether the volume is mounted, or restore a back-up into an empty folder.',
      );
    lookAtSecret(folder);
    return false;
  }
  const entries = entriesOf(folder).filter((name) => !NO_SHOP.has(name) && name !== DATABASE);
  // A first start that was cut off: nothing was acknowledged yet.
  if (
    entries.every((name) => name === FILLING || name === SECRET) &&
    (entries.length === 0 || entries.includes(FILLING))
  )
    return true;
  throw new StartRefused(
    `The data folder ${folder} holds ${entries.slice(0, 4).join(', ')} but no database. Nothing was changed. ` +
      'Look whether the volume is mounted, restore a back-up into an empty folder, or set LOPREN_DATA to an empty one.',
  );
}

/** Bytes that may still be written on the volume of this folder. */
export function roomIn(folder: string): number {
  const { bavail, bsize } = fs.statfsSync(folder);
  return bavail * bsize;
}

/** Makes what was renamed or created in a folder survive a power cut. Where a folder cannot be flushed, it needs not. */
export function flushFolder(folder: string): void {
  if (process.platform === 'win32') return;
  const fd = fs.openSync(folder, 'r');
  try {
    fs.fsyncSync(fd);
  } finally {
    fs.closeSync(fd);
  }
}
