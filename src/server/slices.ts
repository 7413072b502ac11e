/** Long work of the server's own thread in slices, so that whoever asks meanwhile gets an answer in between. */
import { setImmediate as breathe } from 'node:timers/promises';
import type { Pausing } from '@/core/pausing';

/** Ms at a stretch. */
const STRETCH = 12;

/** Runs the work to its end; between two of its pauses others are heard when it has taken a while. */
export async function inSlices<T>(work: Pausing<T>): Promise<T> {
  let since = performance.now();
  for (;;) {
    const { done, value } = work.next();
    if (done) return value;
    if (performance.now() - since < STRETCH) continue;
    await breathe();
    since = performance.now();
  }
}
