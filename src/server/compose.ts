/** Puts the house together: database, stand-ins, clock, secret. One for the whole process, kept through hot reloads. */
import { randomBytes } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { Worker } from 'node:worker_threads';
import { type Db, openDb } from '@/db/client';
import { migrate, readMigrations } from '@/db/migrate';
import { simulatedMatCutter } from '@/standins/mat-cutter/mat-cutter';
import { simulatedTerminal } from '@/standins/terminal/terminal';
import { type Clock, systemClock } from './clock';
import { warmUp } from './cutting/plans';
import { CuttingPool } from './cutting/pool';
import { type House, keptBooks } from './house';
import { newBus } from './live';

const root = () => /*turbopackIgnore: true*/ process.cwd();
export const dataFolder = () => path.resolve(/*turbopackIgnore: true*/ root(), process.env.LOPREN_DATA ?? 'data');

/** The key that signs session cookies: made at the first start, kept beside the data, readable by its owner only. */
function secretIn(folder: string): Buffer {
  const file = path.join(folder, 'secret');
  if (!fs.existsSync(file)) fs.writeFileSync(file, randomBytes(32), { mode: 0o600 });
  return fs.readFileSync(file);
}

const cuttingThread = () => new Worker(new URL('../workers/cutting.worker.ts', import.meta.url));

export const houseOver = (
  db: Db,
  clock: Clock,
  secret: Buffer,
  demo: boolean,
  thread: () => Worker = cuttingThread,
): House => {
  const bus = newBus();
  const cutting = new CuttingPool(thread);
  return {
    db,
    clock,
    bus,
    terminal: simulatedTerminal(),
    matCutter: simulatedMatCutter(),
    cutting,
    secret,
    demo,
    ...keptBooks(db, bus),
  };
};

async function build(): Promise<House> {
  const folder = dataFolder();
  const demo = process.env.LOPREN_DEMO === '1';
  const db = await openDb({ folder, prepared: path.join(root(), '.build', 'empty-database.tar') });
  await migrate(db, readMigrations(path.join(root(), 'src', 'db', 'migrations')));
  const house = houseOver(db, systemClock, secretIn(folder), demo);
  if (demo) await (await import('@demo/seed')).seedDemo(house);
  // In the background, for the first plan; whoever asks for one is told what goes wrong.
  void warmUp(house.cutting).catch((error: unknown) => console.error('the cutting threads are not warm', error));
  return house;
}

const KEY = Symbol.for('lopren.house');
type Holder = { [KEY]?: Promise<House> };

/** The house of this process. Throws FolderInUse when another process has the data folder. */
export function house(): Promise<House> {
  const holder = globalThis as Holder;
  holder[KEY] ??= build();
  return holder[KEY];
}
