/** Long work as a generator that pauses now and then, for whoever can do something else meanwhile. */
export type Pausing<T> = Generator<undefined, T>;

/** Runs it to the end without a pause. */
export function atOnce<T>(work: Pausing<T>): T {
  for (;;) {
    const { done, value } = work.next();
    if (done) return value;
  }
}
