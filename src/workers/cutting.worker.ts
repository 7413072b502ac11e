/** A thread for cutting plans: a thin shell round the engine. Works in slices, so that it hears what others found. */
import fs from 'node:fs';
import os from 'node:os';
import { parentPort } from 'node:worker_threads';
import loadHighs from 'highs';
import { Engine, jobsOfSheets, jobsOfSticks } from '@/core/cutting/engine';
import type { Solver } from '@/core/cutting/linear';
import { sheetsSchema, sticksSchema } from '@/core/cutting/request';
import type { FromThread, Start, ToThread } from './protocol';

const SLICE_MS = 8;
const SOON_MS = 20;
const NEWS_MS = 80;
const WARM_MS = 150;
const port = parentPort!;
const say = (message: FromThread) => port.postMessage(message);
const pause = () => new Promise((resolve) => setImmediate(resolve));
const engines = new Map<number, Engine>();

async function run({ id, jobs, seed, part, budgetMs, turns, stopped }: Start, solver: Solver): Promise<void> {
  const from = performance.now();
  const flag = new Int32Array(stopped);
  const gone = () => performance.now() - from;
  const halted = () => Atomics.load(flag, 0) !== 0;
  const stop = turns === null ? () => halted() || gone() >= budgetMs : halted;
  const most = turns === null ? Infinity : turns * jobs.length;
  const engine = new Engine(jobs, solver, seed, part);
  engines.set(id, engine);
  say({ kind: 'news', id, news: engine.news() });
  let told = performance.now();
  for (let made = 0; !engine.done && !stop() && made < most;) {
    const slice = performance.now();
    while (performance.now() - slice < SLICE_MS && !stop() && made < most) {
      const before = performance.now();
      const share = turns === null ? gone() / budgetMs : made / most;
      const seconds = turns === null ? Math.max(0.001, (budgetMs - gone()) / 1000) : Infinity;
      const tell = engine.turn(share, seconds, stop, turns !== null);
      if (!tell) break;
      tell(performance.now() - before);
      made += 1;
    }
    // Told at once when it is the first bound, then now and then: hearing costs the server time as well.
    if (performance.now() - told >= (made <= 2 * jobs.length ? SOON_MS : NEWS_MS)) {
      const news = engine.news();
      if (news.length > 0) say({ kind: 'news', id, news });
      told = performance.now();
    }
    await pause();
  }
  say({ kind: 'news', id, news: engine.news() });
  engine.dispose();
  engines.delete(id);
  say({ kind: 'over', id });
}

/** The first plan anybody asks for must not wait for the compiler: the engine runs once on a made-up request. */
function warm(solver: Solver): void {
  const sticks = sticksSchema.parse({
    profiles: [
      { id: 'a', stock: [{ id: 's', length: 3000, batch: 'x' }], rack: [{ id: 'r', length: 900, batch: 'y' }] },
      { id: 'b', stock: [{ id: 's', length: 2400 }] },
    ],
    frames: Array.from({ length: 24 }, (_, at) => ({
      id: `${at}`,
      profile: at % 3 === 0 ? 'a' : 'b',
      legs: [310, 310, 470, 470].map((length, leg) => ({ id: `${at}-${leg}`, length: length + 17 * at })),
    })),
  });
  const sheets = sheetsSchema.parse({
    materials: [{ id: 'm', stock: [{ id: 's', w: 815, h: 1020 }] }],
    parts: Array.from({ length: 30 }, (_, at) => ({ id: `${at}`, material: 'm', w: 180 + 11 * at, h: 230 + 7 * at })),
  });
  for (const jobs of [jobsOfSticks(sticks), jobsOfSheets(sheets)]) {
    const from = performance.now();
    const gone = () => performance.now() - from;
    const engine = new Engine(
      jobs.map((job, index) => ({ index, job })),
      solver,
    );
    while (!engine.done && gone() < WARM_MS)
      engine.turn(gone() / WARM_MS, (WARM_MS - gone()) / 1000, () => gone() > WARM_MS)?.(1);
    engine.dispose();
  }
}

/** Behind the server's own threads where cores are few: on Linux a thread has a priority of its own. */
function stepBack(): void {
  try {
    const [, tid] = /\/task\/(\d+)$/.exec(fs.readlinkSync('/proc/thread-self')) ?? [];
    if (tid) os.setPriority(Number(tid), 5);
  } catch (error) {
    // Elsewhere there is no such file; the work is done all the same.
    if (!(error instanceof Error)) throw error;
  }
}

stepBack();
void loadHighs().then((solver) => {
  warm(solver);
  port.on('message', (message: ToThread) => {
    if (message.kind === 'start') void run(message, solver);
    else engines.get(message.id)?.offer(message.news);
  });
  say({ kind: 'ready' });
});
