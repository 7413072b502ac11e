/**
 * One owner of a data folder. Two processes on one folder would corrupt it without a word, so the first takes the
 * kernel's lock on the file `lock` in it and holds the file open. The lock belongs to the file, not to a path or a
 * network: it holds through links, bind mounts and between containers on one volume, and is free at once when its
 * owner dies, however it dies.
 */
import fs from 'node:fs';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { tryLock } from 'fs-native-extensions';

/** Why the shop cannot be opened, in a sentence for whoever started it. */
export class StartRefused extends Error {
  override readonly name: string = 'StartRefused';
}

export class FolderInUse extends StartRefused {
  override readonly name = 'FolderInUse';
  constructor(readonly folder: string) {
    super(
      `Another Lopren is already running on the data folder ${folder}. Stop it first, or set LOPREN_DATA to another folder.`,
    );
  }
}

export interface FolderLock {
  close(): void;
}

/** How long a start waits for a process that is just ending, and between two looks, in ms. */
const PATIENCE = 2000;
const BETWEEN = 100;

function openLockFile(file: string): number {
  try {
    return fs.openSync(file, 'a+', 0o600);
  } catch (error) {
    throw new StartRefused(
      `The data folder cannot be written: ${error instanceof Error ? error.message : String(error)}. Lopren needs a folder it may write.`,
    );
  }
}

/** Customers and money lie in it. Where the file system knows no owners, it stays as it is. */
function ownersOnly(folder: string): void {
  try {
    if ((fs.statSync(folder).mode & 0o077) !== 0) fs.chmodSync(folder, 0o700);
  } catch {
    // A read-only volume is told below, by the lock.
  }
}

function locked(fd: number, folder: string): boolean {
  try {
    return tryLock(fd);
  } catch (error) {
    throw new StartRefused(
      `The volume of the data folder ${folder} has no file locks (${error instanceof Error ? error.message : String(error)}). ` +
        'Without them two Loprens could write into it at once and destroy it. Put the folder on another volume.',
    );
  }
}

/**
 * Takes the folder, made when it is not there; waits up to `patience` ms for an owner that is just ending.
 * Throws FolderInUse when it has another owner, StartRefused when it cannot be locked or written.
 */
export async function takeFolder(folder: string, patience = PATIENCE): Promise<FolderLock> {
  try {
    fs.mkdirSync(folder, { recursive: true, mode: 0o700 });
  } catch (error) {
    throw new StartRefused(
      `The data folder cannot be made: ${error instanceof Error ? error.message : String(error)}.`,
    );
  }
  ownersOnly(folder);
  const fd = openLockFile(path.join(/*turbopackIgnore: true*/ folder, 'lock'));
  const until = performance.now() + patience;
  try {
    while (!locked(fd, folder)) {
      if (performance.now() >= until) throw new FolderInUse(folder);
      await pause(BETWEEN);
    }
  } catch (error) {
    fs.closeSync(fd);
    throw error;
  }
  return { close: () => fs.closeSync(fd) };
}
