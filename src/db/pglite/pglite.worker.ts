/** The thread that owns the database, so that a long query never holds the server's event loop. A thin shell round Host. */
import path from 'node:path';
import { parentPort } from 'node:worker_threads';
import { fillFolder, openPglite } from './disk';
import { DATABASE, isNew, roomIn } from './folder';
import { type Ask, Host } from './host';
import { StartRefused } from './lock';

export interface Open {
  readonly kind: 'open';
  readonly folder: string;
  readonly prepared?: string;
}
interface Message {
  readonly id: number;
  readonly ask: Ask | Open;
}

const port = parentPort;
let host: Host | undefined;

/** What PostgreSQL inside says when it gives up while it opens helps nobody. */
async function opening(database: string) {
  try {
    return await openPglite(database);
  } catch (error) {
    const said = error instanceof Error ? `${error.name} ${error.message}` : String(error);
    if (!GONE.test(said) && !said.includes('failed to initialize')) throw error;
    throw new StartRefused(
      `The database in ${database} is damaged and cannot be opened. Nothing was deleted. ` +
        'Restore the newest back-up into an empty folder (npm run restore), and keep this one for whoever helps you.',
    );
  }
}

async function answer(ask: Ask | Open) {
  if (ask.kind === 'open') {
    if (isNew(ask.folder)) await fillFolder(ask.folder, ask.prepared);
    const opened = new Host(await opening(path.join(ask.folder, DATABASE)), () => roomIn(ask.folder));
    await opened.open();
    host = opened;
    return { rows: [] };
  }
  if (!host) throw new Error('the database is not open');
  return host.handle(ask);
}

/** PostgreSQL inside has given up: nothing that is asked of it will be answered any more. */
const GONE = /Aborted|unreachable|RuntimeError|memory access|is closed|ExitStatus|exit\(/;

port?.on('message', ({ id, ask }: Message) => {
  answer(ask).then(
    (reply) => port.postMessage({ id, reply }),
    (error: Error & { code?: string; constraint?: string; severity?: string }) => {
      const { name, message, code, constraint } = error;
      port.postMessage({ id, error: { name, message, code, constraint } });
      if (error.severity === undefined && GONE.test(`${name} ${message}`)) process.exit(1);
    },
  );
});
