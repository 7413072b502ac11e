/** Puts the application together: database, stand-ins, clock, secret. One for the whole process, kept through hot reloads. */
import { randomInt, randomUUID } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { Worker } from 'node:worker_threads';
import { type Db, isUnavailable, openDb } from '@/db/client';
import { migrate, readMigrations } from '@/db/migrate';
import { simulatedMatCutter } from '@/standins/mat-cutter/mat-cutter';
import { simulatedPaymentPage } from '@/standins/payment-page/payment-page';
import { simulatedTerminal } from '@/standins/terminal/terminal';
import { type BackUps, backUpsOf } from './back-up/back-ups';
import { listenForCommands } from './back-up/control';
import { type Clock, systemClock } from './clock';
import { warmUp } from './cutting/plans';
import { CuttingPool } from './cutting/pool';
import { type AppContext, keptBooks, newMind } from './app-context';
import { newBus } from './live';
import { photosIn } from './photos';
import { runEachMinute } from './minutes';

const root = () => /*turbopackIgnore: true*/ process.cwd();
export const dataFolder = () => path.resolve(/*turbopackIgnore: true*/ root(), process.env.LOPREN_DATA ?? 'data');

const cuttingThread = () => new Worker(new URL('../workers/cutting.worker.ts', import.meta.url));

interface Rest {
  readonly thread?: () => Worker;
  readonly setUpCode?: string | undefined;
  readonly folder?: string;
}
export const contextOver = (
  db: Db,
  clock: Clock,
  secret: Buffer,
  demo: boolean,
  { thread = cuttingThread, setUpCode, folder }: Rest = {},
): AppContext => {
  const bus = newBus();
  const cutting = new CuttingPool(thread);
  const books = keptBooks(db, bus, clock);
  const backUps: BackUps | undefined =
    folder === undefined ? undefined : backUpsOf(folder, db, clock, books.shopSettings);
  return {
    db,
    clock,
    bus,
    terminal: simulatedTerminal(),
    paymentPage: simulatedPaymentPage(),
    matCutter: simulatedMatCutter(),
    cutting,
    secret,
    demo,
    setUpCode,
    backUps,
    photos: photosIn(folder ?? path.join(/*turbopackIgnore: true*/ os.tmpdir(), `lopren-${randomUUID()}`)),
    mind: newMind(),
    ...books,
  };
};

/** Ten signs without those that look alike, in two groups. */
function newCode(): string {
  const signs = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
  const five = () => Array.from({ length: 5 }, () => signs[randomInt(signs.length)]).join('');
  return `${five()}-${five()}`;
}

async function build(): Promise<AppContext> {
  const folder = dataFolder();
  const demo = process.env.LOPREN_DEMO === '1';
  const db = await openDb({
    folder,
    prepared: path.join(/*turbopackIgnore: true*/ root(), '.build', 'empty-database.tar'),
  });
  await migrate(db, readMigrations(path.join(/*turbopackIgnore: true*/ root(), 'src', 'db', 'migrations')));
  const secret = fs.readFileSync(path.join(/*turbopackIgnore: true*/ folder, 'secret'));
  const app = contextOver(db, systemClock, secret, demo, {
    setUpCode: process.env.LOPREN_SET_UP_CODE ?? newCode(),
    folder,
  });
  if (demo) await (await import('@demo/seed')).seedDemo(app);
  else if (!(await app.books()))
    process.stdout.write(`\nThis shop is not set up yet. The code to set it up: ${app.setUpCode}\n`);
  db.begun();
  app.backUps!.sweep();
  listenForCommands(folder, app.backUps!);
  runEachMinute(app);
  // In the background, for the first plan; whoever asks for one is told what goes wrong. Tests start many servers: cold.
  if (process.env.LOPREN_WARM !== '0')
    void warmUp(app.cutting).catch((error: unknown) => console.error('the cutting threads are not warm', error));
  return app;
}

const KEY = Symbol.for('lopren.house');
type Holder = { [KEY]?: Promise<AppContext> };

/** The application of this process. Throws StartRefused when the data folder cannot be taken or is not whole. */
export function appContext(): Promise<AppContext> {
  const holder = globalThis as Holder;
  holder[KEY] ??= build();
  return holder[KEY];
}

/** Ends what the application has going: live streams, then the database when its queue is empty. For the end of the program. */
export async function closeApp(): Promise<void> {
  const built = (globalThis as Holder)[KEY];
  if (!built) return;
  const { bus, db } = await built;
  bus.end();
  try {
    await db.close();
  } catch (error) {
    if (!isUnavailable(error)) throw error;
  }
}
