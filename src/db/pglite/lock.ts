/**
 * One owner of a data folder. Two processes on one folder would corrupt it without a word, so the first takes a lock
 * that dies with it: an abstract socket on Linux, a named pipe on Windows, elsewhere a socket file that is taken over
 * when nobody answers on it.
 */
import { createHash } from 'node:crypto';
import fs from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';

export class FolderInUse extends Error {
  constructor(readonly folder: string) {
    super(
      `Another Lopren is already running on the data folder ${folder}. Stop it first, or set LOPREN_DATA to another folder.`,
    );
    this.name = 'FolderInUse';
  }
}

function nameOf(folder: string): string {
  const digest = createHash('sha256').update(fs.realpathSync(folder)).digest('hex').slice(0, 24);
  if (process.platform === 'linux') return `\0lopren-${digest}`;
  if (process.platform === 'win32') return `\\\\.\\pipe\\lopren-${digest}`;
  return path.join(os.tmpdir(), `lopren-${digest}.sock`);
}

const listen = (name: string) =>
  new Promise<net.Server>((resolve, reject) => {
    const server = net.createServer((socket) => socket.destroy());
    server.once('error', reject);
    server.listen(name, () => {
      server.unref();
      resolve(server);
    });
  });

const answers = (name: string) =>
  new Promise<boolean>((resolve) => {
    const socket = net.connect(name, () => {
      socket.destroy();
      resolve(true);
    });
    socket.once('error', () => resolve(false));
  });

/** Takes the folder or throws FolderInUse. The lock is held until `close` or the end of the process. */
export async function takeFolder(folder: string): Promise<net.Server> {
  fs.mkdirSync(folder, { recursive: true });
  const name = nameOf(folder);
  try {
    return await listen(name);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EADDRINUSE') throw error;
    const file = process.platform !== 'linux' && process.platform !== 'win32';
    if (!file || (await answers(name))) throw new FolderInUse(folder);
    fs.rmSync(name, { force: true });
    return listen(name);
  }
}
