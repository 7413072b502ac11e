/** A thread for cutting plans: a thin shell round the engine. Works in slices, so that it hears what others found. */
import fs from 'node:fs';
import os from 'node:os';
import { parentPort } from 'node:worker_threads';
import loadHighs from 'highs';
import { Engine } from '@/core/cutting/engine';
import type { Solver } from '@/core/cutting/linear';
import type { FromThread, Start, ToThread } from './protocol';
import { warming } from './warm';

const SLICE_MS = 8;
const SOON_MS = 20;
const NEWS_MS = 80;
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

/** Gets warm while nobody asks for anything. */
async function warm(solver: Solver): Promise<void> {
  for (const piece of warming(solver)) {
    do await pause();
    while (engines.size > 0);
    void piece;
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
  port.on('message', (message: ToThread) => {
    if (message.kind === 'start') void run(message, solver);
    else engines.get(message.id)?.offer(message.news);
  });
  say({ kind: 'ready' });
  void warm(solver);
});
