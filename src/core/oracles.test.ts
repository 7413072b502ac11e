/** Fast code held against slow code that is plainly right. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shims } from './builds/floater/floater';
import { wireOver } from './parts/hanging';
import { outline, outlinePoints, shapeFurther } from './sizing/shapes';
import { timesTangent } from './sizing/polygon';
import { FINEST, formatLength, showLength } from './units/format-length';
import { length, mm, size } from './units/length';

const lengths = fc.integer({ min: -3_200_000, max: 3_200_000 }).map(length);

describe('oracles', () => {
  it('a length in one text says what its parts say', () => {
    fc.assert(
      fc.property(lengths, fc.constantFrom('in', 'mm'), fc.constantFrom(1, 2, 4), (exact, unit, coarse) => {
        const step = length(FINEST[unit as 'in'] * coarse);
        const shown = showLength(exact, unit as 'in', step);
        const fraction = shown.fraction ? `${shown.fraction.top}/${shown.fraction.bottom}` : '';
        const mark = { exact: '', more: ' +', less: ' −' }[shown.exactIs];
        const text = `${shown.negative ? '−' : ''}${[shown.whole, fraction].filter(Boolean).join(' ')}${mark}`;
        expect(formatLength(exact, unit as 'in', step)).toBe(text);
      }),
      { seed: 1, numRuns: 2000 },
    );
  });

  it('tangents of whole numbers agree with floating point to the unit', () => {
    for (let sides = 3; sides <= 12; sides += 1)
      for (const value of [1, 8128, 123_457, 3_200_000]) {
        const exact = value * Math.tan(Math.PI / sides);
        expect(Math.abs(timesTangent(length(value), sides) - exact)).toBeLessThanOrEqual(0.5 + 1e-6);
      }
  });

  it('the rise of a wire is the nearest whole unit to its root', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 960_000 }), fc.integer({ min: 1, max: 400 }), (span, thousandth) => {
        const slack = (thousandth / 1000).toFixed(3);
        const { rise, working } = wireOver(length(span), slack);
        const s = BigInt(thousandth);
        // (2·rise ∓ 1)² against span²·((1 + s)² − 1), times a million to stay whole
        const square = BigInt(span) * BigInt(span) * ((1000n + s) * (1000n + s) - 1_000_000n);
        const [low, high] = [2n * BigInt(rise) - 1n, 2n * BigInt(rise) + 1n];
        expect(low < 0n || low * low * 1_000_000n <= square).toBe(true);
        expect(high * high * 1_000_000n > square).toBe(true);
        expect(working).toBe(Math.floor((span * (1000 + thousandth)) / 1000 + 0.5));
      }),
      { seed: 2, numRuns: 500 },
    );
  });

  it('shims: the fewest that fill the gap, against every combination', () => {
    const every = (gap: number, stocked: readonly number[], clear: number) => {
      let best: { count: number; fill: number } | undefined;
      const better = (count: number, fill: number) => {
        const within = fill > gap - clear;
        const now = best && best.fill > gap - clear;
        if (!best || (within && !now)) return true;
        if (within !== now) return false;
        return within ? count < best.count || (count === best.count && fill > best.fill) : fill > best.fill;
      };
      const walk = (index: number, count: number, fill: number) => {
        if (better(count, fill)) best = { count, fill };
        for (let k = index; k < stocked.length; k += 1)
          if (fill + stocked[k]! <= gap) walk(k, count + 1, fill + stocked[k]!);
      };
      walk(0, 0, 0);
      return best!;
    };
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.uniqueArray(fc.integer({ min: 3, max: 30 }), { minLength: 1, maxLength: 3 }),
        (gap, stocked) => {
          const found = shims(length(gap), stocked.map(length), length(4));
          const wanted = every(gap, stocked, 4);
          expect([found.fill, found.fill > gap - 4 && found.count]).toEqual([
            wanted.fill,
            wanted.fill > gap - 4 && wanted.count,
          ]);
        },
      ),
      { seed: 3, numRuns: 200 },
    );
  });

  it('a window’s outline fills its rectangle, and a layer above keeps an even reveal at the corners', () => {
    const opening = size(mm(200), mm(300));
    for (const shape of ['rectangle', 'oval', 'arch', 'chamfer', 'step'] as const) {
      const points = outlinePoints(outline({ shape }, opening), 24);
      const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
      expect(
        [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)].map(
          (one) => Math.round(one * 100) / 100 + 0,
        ),
      ).toEqual([0, 200, 0, 300]);
    }
    const [inner, back] = [{ shape: 'chamfer', corner: mm(30) } as const, mm(6)];
    const further = shapeFurther(inner, opening, back).corner! / 320;
    // the two diagonals lie as far apart as the straight sides
    const apart = (6 + 6 - further + 30) / Math.SQRT2;
    expect(apart).toBeCloseTo(6, 2);
  });
});
