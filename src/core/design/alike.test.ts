import { describe, expect, it } from 'vitest';
import { shortOfAlike } from './alike';
import { MOST_PIECES } from './batch';

const of = (...counts: (number | undefined)[]) =>
  shortOfAlike(counts.map((count) => (count === undefined ? {} : { count })));

describe('so many alike', () => {
  it('are all in the order, or it is said how many are', () => {
    expect(of(undefined, undefined)).toBeUndefined();
    expect(of(undefined, 10)).toEqual({ at: 1, said: 10, there: 1 });
    expect(of(3, 3, 3)).toBeUndefined();
    expect(of(3, undefined, 3)).toEqual({ at: 0, said: 3, there: 2 });
    expect(of(2, 2, 3)).toEqual({ at: 2, said: 3, there: 1 });
  });

  it('are in several orders where one does not hold them', () => {
    expect(of(MOST_PIECES)).toEqual({ at: 0, said: MOST_PIECES, there: 1 });
    expect(of(MOST_PIECES + 1)).toBeUndefined();
  });
});
