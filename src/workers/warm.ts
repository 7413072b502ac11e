/**
 * The first plans anybody asks for must not wait for the compiler: the engine runs on made-up requests of every kind, a
 * piece at a time, so that real work can come in between.
 */
import { Engine, type Job, jobsOfSheets, jobsOfSticks } from '@/core/cutting/engine';
import type { Solver } from '@/core/cutting/linear';
import { type Random, randomFrom } from '@/core/cutting/random';
import { sheetsSchema, sticksSchema } from '@/core/cutting/request';

/** How long each request is worked on, in the time of the thread. */
const EACH_MS = 350;
const PIECE_MS = 10;

/** `frames` frames over `mouldings` mouldings, each with some offcuts of two batches. */
function sticks(random: Random, mouldings: number, frames: number, offcuts: number): Job[] {
  const length = (from: number, to: number) => from + random.below(to - from);
  return jobsOfSticks(
    sticksSchema.parse({
      profiles: Array.from({ length: mouldings }, (_, moulding) => ({
        id: `${moulding}`,
        stock: [{ id: 's', length: 2400 + 100 * (moulding % 7), batch: 'x' }],
        rack: Array.from({ length: offcuts }, (__, at) => {
          const whole = length(400, 1800);
          const dent = length(100, whole - 60);
          return {
            id: `r${at}`,
            length: whole,
            batch: at % 2 === 0 ? 'x' : 'y',
            noGo: at % 4 === 0 ? [{ from: dent, to: dent + 20 }] : [],
          };
        }),
      })),
      frames: Array.from({ length: frames }, (_, at) => {
        const [w, h] = [length(210, 790), length(260, 1090)];
        return {
          id: `${at}`,
          profile: `${at % mouldings}`,
          legs: [w, w, h, h].map((one, leg) => ({ id: `${at}-${leg}`, length: one })),
        };
      }),
    }),
  );
}
/** `parts` parts over `materials` materials, with and without offcuts. */
function sheets(random: Random, materials: number, parts: number): Job[] {
  const side = (from: number, to: number) => from + random.below(to - from);
  return jobsOfSheets(
    sheetsSchema.parse({
      materials: Array.from({ length: materials }, (_, material) => ({
        id: `${material}`,
        rotate: material % 3 !== 1,
        stock: [{ id: 's', w: 815 + 100 * (material % 3), h: 1020 + 150 * (material % 3) }],
        rack: Array.from({ length: material % 3 }, (__, at) => ({
          id: `r${at}`,
          w: side(200, 600),
          h: side(300, 700),
        })),
      })),
      parts: Array.from({ length: parts }, (_, at) => ({
        id: `${at}`,
        material: `${at % materials}`,
        w: side(160, 560),
        h: side(200, 680),
      })),
    }),
  );
}

/** Works on one made-up request after the other; yields when a piece of the work is done. */
export function* warming(solver: Solver): Generator<undefined, void> {
  const random = randomFrom(1);
  for (const jobs of [
    sticks(random, 8, 20, 4),
    sheets(random, 4, 60),
    sticks(random, 1, 60, 0),
    sheets(random, 1, 90),
    sticks(random, 10, 50, 6),
  ]) {
    const engine = new Engine(
      jobs.map((job, index) => ({ index, job })),
      solver,
    );
    for (let spent = 0; spent < EACH_MS && !engine.done;) {
      const from = performance.now();
      const gone = () => spent + performance.now() - from;
      while (gone() < Math.min(spent + PIECE_MS, EACH_MS) && !engine.done)
        engine.turn(gone() / EACH_MS, (EACH_MS - gone()) / 1000, () => gone() > EACH_MS)?.(1);
      spent = gone();
      yield;
    }
    engine.news();
    engine.dispose();
  }
}
