/** A thread gets warm on made-up requests, a piece at a time, so that real work can come in between. */
import { Engine, jobsOfSheets, jobsOfSticks } from '@/core/cutting/engine';
import type { Solver } from '@/core/cutting/linear';
import { samples } from '@/core/cutting/samples';

const PIECE_MS = 10;

/** Works on one made-up request after the other; yields when a piece of the work is done. */
export function* warming(solver: Solver): Generator<undefined, void> {
  for (const { kind, request, ms } of samples()) {
    const jobs = kind === 'sticks' ? jobsOfSticks(request) : jobsOfSheets(request);
    const engine = new Engine(
      jobs.map((job, index) => ({ index, job })),
      solver,
    );
    for (let spent = 0; spent < ms && !engine.done;) {
      const from = performance.now();
      const gone = () => spent + performance.now() - from;
      while (gone() < Math.min(spent + PIECE_MS, ms) && !engine.done)
        engine.turn(gone() / ms, (ms - gone()) / 1000, () => gone() > ms)?.(1);
      spent = gone();
      yield;
    }
    engine.news();
    engine.dispose();
  }
}
