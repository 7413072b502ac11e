import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { QUOTE_ORDERS, daysBetween, inOrder, sumsOf } from './quote-list';

const line = (number: number, age: number, left: number, total: number | null) => ({ number, age, left, total });

describe('open quotes', () => {
  const lines = [
    line(1, 40, -10, 500),
    line(2, 3, 27, 100),
    line(3, 28, 2, 900),
    line(4, 30, 0, null),
    line(5, 3, 27, 300),
  ];
  it.each([
    ['ends', [4, 3, 2, 5, 1]],
    ['age', [4, 3, 2, 5, 1]],
    ['value', [3, 5, 2, 4, 1]],
  ] as const)('by %s stand as they are gone through; what ran out comes last', (by, wanted) => {
    expect(inOrder(lines, by).map(({ number }) => number)).toEqual(wanted);
  });

  it('are counted with what they come to: on its last day a quote still holds, and runs out soon', () => {
    expect(sumsOf(lines)).toEqual({
      holds: { count: 4, total: 1300 },
      soon: { count: 2, total: 900 },
      over: { count: 1, total: 500 },
    });
    expect(sumsOf([line(1, 0, 3, 1), line(2, 0, 4, 1)]).soon.count).toBe(1);
  });

  it('are all there in any order, each once', () => {
    const some = fc.array(
      fc.record({
        number: fc.integer(),
        age: fc.nat(400),
        left: fc.integer({ min: -400, max: 60 }),
        total: fc.option(fc.nat(), { nil: null }),
      }),
    );
    fc.assert(
      fc.property(some, fc.constantFrom(...QUOTE_ORDERS), (all, by) => {
        const ordered = inOrder(all, by);
        expect(ordered).toHaveLength(all.length);
        expect(new Set(ordered)).toEqual(new Set(all));
        const { holds, over } = sumsOf(all);
        expect(holds.count + over.count).toBe(all.length);
      }),
      { seed: 18, numRuns: 300 },
    );
  });

  it('days between days count nights, also over the end of summer time', () => {
    expect(daysBetween('2026-10-24', '2026-10-26')).toBe(2);
    expect(daysBetween('2026-12-03', '2026-12-03')).toBe(0);
    expect(daysBetween('2027-01-01', '2026-12-31')).toBe(-1);
  });
});
