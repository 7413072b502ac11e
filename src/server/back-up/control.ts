/** A socket in the data folder through which a command on this computer asks the shop that runs. */
import { createHash } from 'node:crypto';
import fs from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { sayIssue } from '@/words/issues';
import type { BackUps } from './back-ups';

/** Longer paths no socket can have. */
const LONGEST = 100;

export function controlPath(folder: string): string {
  const digest = createHash('sha256').update(fs.realpathSync(folder)).digest('hex').slice(0, 24);
  if (process.platform === 'win32') return `\\\\.\\pipe\\lopren-${digest}`;
  const here = path.join(/*turbopackIgnore: true*/ folder, 'control.sock');
  return Buffer.byteLength(here) <= LONGEST
    ? here
    : path.join(/*turbopackIgnore: true*/ os.tmpdir(), `lopren-${digest}.sock`);
}

export interface ControlAsk {
  readonly do: 'back-up';
  readonly file?: string;
}
export interface ControlAnswer {
  readonly ok: boolean;
  readonly said: string;
}

async function answer(text: string, backUps: BackUps): Promise<ControlAnswer> {
  const ask = JSON.parse(text) as ControlAsk;
  if (ask.do !== 'back-up') return { ok: false, said: 'That is not known here.' };
  const made = await backUps.make(ask.file);
  return made.ok
    ? { ok: true, said: `${ask.file ?? made.value.name}, ${made.value.bytes} bytes, read back and whole.` }
    : { ok: false, said: made.issues.map((one) => sayIssue(one, 'in')).join(' ') };
}

/** Listens until the program ends. Whoever may read the data folder may ask. */
export function listenForCommands(folder: string, backUps: BackUps): net.Server {
  const place = controlPath(folder);
  // The folder's lock is ours, so a socket that lies there is nobody's.
  if (process.platform !== 'win32') fs.rmSync(place, { force: true });
  const server = net.createServer((socket) => {
    let text = '';
    socket.setEncoding('utf8');
    socket.on('error', () => socket.destroy());
    socket.on('data', (chunk: string) => {
      text += chunk;
      if (text.length > 10_000) return socket.destroy();
      if (!text.includes('\n')) return undefined;
      answer(text, backUps).then(
        (said) => socket.end(`${JSON.stringify(said)}\n`),
        () => socket.destroy(),
      );
    });
  });
  server.on('error', (error) => console.error('commands on this computer are not heard', error.message));
  server.listen(place, () => process.platform !== 'win32' && fs.chmodSync(place, 0o600));
  server.unref();
  return server;
}

/** Asks the shop that runs on the folder; undefined when none does. */
export function askRunning(folder: string, ask: ControlAsk): Promise<ControlAnswer | undefined> {
  return new Promise((resolve, reject) => {
    if (!fs.existsSync(folder)) return resolve(undefined);
    const socket = net.connect(controlPath(folder), () => socket.write(`${JSON.stringify(ask)}\n`));
    let text = '';
    socket.setEncoding('utf8');
    socket.on('data', (chunk: string) => (text += chunk));
    socket.on('error', (error: NodeJS.ErrnoException) =>
      error.code === 'ENOENT' || error.code === 'ECONNREFUSED' ? resolve(undefined) : reject(error),
    );
    socket.on('end', () =>
      text === '' ? reject(new Error('the shop ended before it answered')) : resolve(JSON.parse(text) as ControlAnswer),
    );
  });
}
