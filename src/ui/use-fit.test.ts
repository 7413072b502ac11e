import { describe, expect, it } from 'vitest';
import { fitted } from './use-fit';

/** A box so high whose text takes so much at full size; smaller type takes less in both directions. */
const box = (high: number, text: number) => {
  let step = 1;
  return {
    get scrollHeight() {
      return Math.max(high, text * step ** 2);
    },
    clientHeight: high,
    set: (to: number) => (step = to),
  };
};

describe('what has to be seen whole', () => {
  it.each([
    [500, 400, 1],
    [500, 500, 1],
    [500, 600, 0.9],
    [552, 1050, 0.7],
    [500, 9000, 0.6],
  ])('in %d of height, %d of text is set at %d', (high, text, step) => {
    const of = box(high, text);
    expect(fitted(of, of.set)).toBe(step);
  });
});
