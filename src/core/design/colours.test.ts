import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apart, labOf, nearest, palette } from './colours';

describe('colours', () => {
  it('are told apart as an eye does', () => {
    expect(labOf('#ffffff').map((part) => Math.round(part) + 0)).toEqual([100, 0, 0]);
    expect(labOf('#000000').map((part) => Math.round(part) + 0)).toEqual([0, 0, 0]);
    // Pure sRGB red, by the standard: L 53.24, a 80.09, b 67.20.
    const [l, a, b] = labOf('#ff0000');
    expect([l.toFixed(1), a.toFixed(1), b.toFixed(1)]).toEqual(['53.2', '80.1', '67.2']);
    expect(nearest('#2244aa', [{ colour: '#aa2222' }, { colour: '#203a90' }, { colour: '#ffffff' }])!.colour).toBe(
      '#203a90',
    );
    expect(nearest('#2244aa', [])).toBeUndefined();
  });

  it('of a picture come with the largest first, each unlike the others', () => {
    const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => value.toString(16).padStart(6, '0'));
    fc.assert(
      fc.property(fc.array(fc.tuple(hex, fc.integer({ min: 1, max: 60 })), { minLength: 1, maxLength: 8 }), (parts) => {
        const data = parts.flatMap(([colour, count]) =>
          Array.from({ length: count }, () =>
            [0, 2, 4].map((at) => Number.parseInt(colour.slice(at, at + 2), 16)).concat(255),
          ).flat(),
        );
        const found = palette(data, 4);
        expect(found.length).toBeGreaterThanOrEqual(1);
        expect(found.length).toBeLessThanOrEqual(4);
        for (const [index, one] of found.entries())
          for (const other of found.slice(index + 1))
            expect(apart(labOf(one), labOf(other))).toBeGreaterThanOrEqual(14);
      }),
      { seed: 12, numRuns: 200 },
    );
    expect(palette([10, 20, 30, 0], 4)).toEqual([]);
  });
});
