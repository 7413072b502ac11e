import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Line, countBound, fewestNew, lineOf } from '@/core/cutting/count';
import { rounds } from '../wide';

/** What a stick or sheet is, and how much each of those opened holds, as a share of the most it can. */
const kind = fc.record({
  free: fc.integer({ min: 500, max: 1000 }),
  room: fc.double({ min: 0.7, max: 1, noNaN: true }),
  leastUseful: fc.double({ min: 0, max: 0.5, noNaN: true }),
  value: fc.constantFrom(0, 0.5, 1),
  // Many that hold just so much that their offcut is useful are what makes one more worth it.
  held: fc.oneof(
    fc.array(fc.double({ min: 0.05, max: 1, noNaN: true }), { maxLength: 30 }),
    fc.nat({ max: 60 }).map((count) => Array.from({ length: count }, () => 0)),
  ),
});
type Kind = typeof kind extends fc.Arbitrary<infer K> ? K : never;

function opened(one: Kind, most: number): { line: Line; load: number; cost: number; count: number } {
  const { free } = one;
  const room = free * one.room;
  const least = free * one.leastUseful;
  const rate = one.value;
  const loads = one.held.slice(0, most).map((share) => (share === 0 ? Math.min(room, free - least) : share * room));
  const costs = loads.map((load) => free - (free - load >= least - 1e-9 ? rate * (free - load) : 0));
  const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);
  return {
    line: lineOf(free, rate, free, room, least, most),
    load: sum(loads),
    cost: sum(costs),
    count: loads.length,
  };
}

describe('the bound by counting', () => {
  it('is never above what any choice of sticks or sheets costs, whatever they hold', () => {
    fc.assert(
      fc.property(fc.array(kind, { minLength: 1, maxLength: 2 }), fc.array(kind, { maxLength: 3 }), (stock, rack) => {
        const all = [...stock.map((one) => opened(one, Infinity)), ...rack.map((one) => opened(one, 5))];
        const load = all.reduce((sum, one) => sum + one.load, 0);
        const cost = all.reduce((sum, one) => sum + one.cost, 0);
        const fresh = all.slice(0, stock.length).reduce((sum, one) => sum + one.count, 0);
        const lines = all.map(({ line }) => line);
        expect(fewestNew(lines, load)).toBeLessThanOrEqual(fresh);
        expect(countBound(lines, load)).toBeLessThanOrEqual(cost + 1e-6);
        expect(countBound(lines, load, fresh)).toBeLessThanOrEqual(cost + 1e-6);
      }),
      { seed: 11, numRuns: rounds(500) },
    );
  });

  it('opens one more where every one then leaves a useful offcut', () => {
    // 25 of 857 and one of 900 from 1000: full ones would be 25, of which 24 leave nothing worth keeping.
    const line = lineOf(1000, 0.5, 1000, 900, 143, Infinity);
    expect(countBound([line], 25 * 857 + 900)).toBeCloseTo(25 * (1000 - 71.5) + 1000, 6);
  });

  it('rises with the fewest that must be opened', () => {
    const line = lineOf(1000, 0.5, 1000, 1000, 100, Infinity);
    expect(countBound([line], 2500)).toBeCloseTo(3 * 500 + 0.5 * 2500, 6);
    expect(countBound([line], 2500, 5)).toBeCloseTo(5 * 500 + 0.5 * 2500, 6);
  });
});
