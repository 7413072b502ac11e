/** The program that serves the shop: Next on the loopback address, the front before it, and an orderly end of both. */
import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import fs from 'node:fs';
import http from 'node:http';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import next from 'next';
import { type Front, INNER_LINE_MS, KEY_HEADER, openFront } from './front';
import { isLoopback, namesOf, tlsOf } from './names';

const COOKIE = 'lopren';
const COMPUTING = /^\/api\/v1\/(work-out|sums\/|cut-plans\/|lengths\/)/;
/** After this long the program ends, whatever is still going on. */
const LAST_MS = 4500;

/** Where the shop leaves how to end it and how its database is: it is bundled apart. */
const CLOSE = Symbol.for('lopren.close');
const STATE = Symbol.for('lopren.state');
const round = globalThis as { [name: symbol]: unknown };

const fail = (sentence: string): never => {
  process.stderr.write(`\n${sentence}\n`);
  process.exit(1);
};

/** Whether a cookie header holds a value that the shop's key has signed. */
function signedBy(secret: Buffer) {
  return (header: string | undefined): boolean => {
    const value = header
      ?.split(/;\s*/)
      .find((one) => one.startsWith(`${COOKIE}=`))
      ?.slice(COOKIE.length + 1);
    const [token, signature] = value?.split('.') ?? [];
    if (!token || !signature) return false;
    const wanted = createHmac('sha256', secret).update(token).digest();
    const found = Buffer.from(signature, 'base64url');
    return wanted.length === found.length && timingSafeEqual(wanted, found);
  };
}

/** Waits for as long as the start takes: filling a new shop on a busy machine takes minutes. */
const firstAnswer = (port: number, key: string) =>
  new Promise<void>((resolve, reject) => {
    const asked = http.get({ host: '127.0.0.1', port, path: '/sign-in', headers: { [KEY_HEADER]: key } }, (answer) =>
      answer.resume().once('end', resolve),
    );
    asked.once('error', reject);
  });

export interface Serving {
  readonly address: string;
  /** Ends within five seconds: what is in hand is finished, then the database is closed. */
  close(): Promise<void>;
}

/** Serves the built shop of this folder as the environment says. */
export async function serve(env: NodeJS.ProcessEnv = process.env): Promise<Serving> {
  const host = env.LOPREN_HOST ?? '127.0.0.1';
  const port = Number(env.PORT ?? 3000);
  const folder = path.resolve(env.LOPREN_DATA ?? 'data');
  const key = randomBytes(24).toString('base64url');
  process.env.LOPREN_FRONT_KEY = key;
  const app = next({ dev: false, dir: process.cwd(), hostname: '127.0.0.1', port });
  await app.prepare();
  const answer = app.getRequestHandler();
  const inner = http.createServer(
    { keepAliveTimeout: INNER_LINE_MS },
    (request, response) => void answer(request, response),
  );
  await new Promise<void>((resolve) => inner.listen(0, '127.0.0.1', resolve));
  const inside = (inner.address() as AddressInfo).port;
  // The first request opens the application, before anybody else can ask; it ends the program when it cannot be opened.
  await firstAnswer(inside, key);

  const names = namesOf(env);
  const tls = await tlsOf(env, folder, names).catch((error: Error) => fail(error.message));
  const demoHere = env.LOPREN_DEMO === '1' && env.LOPREN_HOST === undefined;
  let front: Front;
  try {
    front = await openFront({
      host,
      port,
      upstream: { port: inside, key },
      ...(tls ? { tls } : {}),
      names,
      signed: signedBy(fs.readFileSync(path.join(folder, 'secret'))),
      available: () => (round[STATE] as (() => string) | undefined)?.() === 'open',
      open: (at) => demoHere && COMPUTING.test(at),
      ...(env.LOPREN_TRUSTED_PROXY ? { trustedProxy: env.LOPREN_TRUSTED_PROXY } : {}),
    });
  } catch (error) {
    const taken = (error as NodeJS.ErrnoException).code === 'EADDRINUSE';
    return fail(
      taken
        ? `Port ${port} is taken by another program. Stop it, or set PORT to another number.`
        : `Lopren cannot listen at ${host}: ${(error as Error).message}`,
    );
  }
  if (tls?.fingerprint)
    process.stdout.write(
      `\nThe connection is kept with a certificate that was made here. Browsers ask about it once; compare its SHA-256:\n${tls.fingerprint}\n`,
    );
  const shown = isLoopback(host) || host === '0.0.0.0' || host === '::' ? 'localhost' : host;
  return {
    address: `${tls ? 'https' : 'http'}://${host === '127.0.0.1' ? host : shown}:${front.port}`,
    async close() {
      await front.close();
      inner.close();
      inner.closeAllConnections();
      await (round[CLOSE] as (() => Promise<void>) | undefined)?.();
    },
  };
}

/** Ends the program at the first signal; at the second at once. */
export function endOnSignals(serving: Serving): void {
  let ending = false;
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.on(signal, () => {
      if (ending) process.exit(1);
      ending = true;
      setTimeout(() => process.exit(0), LAST_MS).unref();
      serving.close().then(
        () => process.exit(0),
        (error: unknown) => {
          console.error('the end was not orderly', error);
          process.exit(1);
        },
      );
    });
}
