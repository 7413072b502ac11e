import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { PlanFigures } from '@/core/cutting/plan-figures';
import { together } from './together';
import { gapWords } from './words';

const figures = (cost: number, bound: number, gap = cost / bound - 1): PlanFigures => ({
  opened: 1,
  kept: 0,
  lost: 0,
  lostCents: 0,
  cost,
  bound,
  gap,
  optimal: false,
  apart: cost,
});

describe('what could still be saved', () => {
  it.each([
    [39_188, 24_299, '38.0 %', '148.89'],
    [10_000, 9_900, '1.0 %', '1.00'],
    [10_000, 5_000, '50.0 %', '50.00'],
  ])('of a plan that costs %d, never less than %d: %s', (cost, bound, share, money) => {
    const said = gapWords(figures(cost, bound));
    expect(said).toContain(share);
    expect(said).toContain(money);
  });

  it('is the money that is named, as a share of what the plan costs, for one half and for both together', () => {
    const half = fc.tuple(fc.integer({ min: 50_000, max: 1e6 }), fc.double({ min: 0.05, max: 0.99, noNaN: true }));
    fc.assert(
      fc.property(half, half, ([a, lowA], [b, lowB]) => {
        const one = figures(a, a * lowA);
        for (const plan of [one, together(one, figures(b, b * lowB))]) {
          const [, percent, saved] = /([\d.]+) %.*\((\d+\.\d\d)\)/.exec(gapWords(plan))!;
          expect(Math.abs(Number(percent) - (Number(saved) * 100 * 100) / plan.cost)).toBeLessThan(0.06);
        }
      }),
      { seed: 5, numRuns: 200 },
    );
  });

  it('is the same share where the bench sees no money, and never all of it or more', () => {
    expect(gapWords(figures(392, 243), false)).toContain('38.0 %');
    expect(gapWords(figures(100, 0, Number.POSITIVE_INFINITY), false)).toContain('100.0 %');
  });
});
