/** The thread that owns the database, so that a long query never holds the server's event loop. A thin shell round Host. */
import { parentPort } from 'node:worker_threads';
import { openPglite } from './disk';
import { type Ask, Host } from './host';

interface Open {
  readonly kind: 'open';
  readonly folder?: string;
  readonly prepared?: string;
}
interface Message {
  readonly id: number;
  readonly ask: Ask | Open;
}

const port = parentPort;
let host: Host | undefined;

async function answer(ask: Ask | Open) {
  if (ask.kind === 'open') {
    host = new Host(await openPglite(ask.folder, ask.prepared));
    return { rows: [] };
  }
  if (!host) throw new Error('the database is not open');
  return host.handle(ask);
}

port?.on('message', ({ id, ask }: Message) => {
  answer(ask).then(
    (reply) => port.postMessage({ id, reply }),
    (error: Error & { code?: string; constraint?: string }) =>
      port.postMessage({ id, error: { message: error.message, code: error.code, constraint: error.constraint } }),
  );
});
