import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { differences } from './differences';

describe('what of two editions is not the same', () => {
  it('is each value by its path: changed, new, and gone', () => {
    const before = { tax: { percent: { goods: '8', labour: '8' } }, kit: 600, quantityBreaks: [[5, '5']] };
    const after = { tax: { percent: { goods: '9', labour: '8' } }, kit: 600, rush: '25' };
    expect(differences(before, after)).toEqual([
      { path: ['tax', 'percent', 'goods'], from: '8', to: '9' },
      { path: ['rush'], from: '', to: '25' },
      { path: ['quantityBreaks', '0', '0'], from: '5', to: '' },
      { path: ['quantityBreaks', '0', '1'], from: '5', to: '' },
    ]);
  });

  it('is nothing of the same, and the other way round of the other way round', () => {
    const value = fc.oneof(fc.integer(), fc.string({ maxLength: 4 }), fc.boolean());
    const rules = fc.dictionary(
      fc.constantFrom('a', 'b', 'c.d', 'e'),
      fc.oneof(value, fc.dictionary(fc.constantFrom('x', 'y'), value)),
      {
        noNullPrototype: true,
      },
    );
    const sorted = (list: ReturnType<typeof differences>) => list.map((one) => JSON.stringify(one)).sort();
    fc.assert(
      fc.property(rules, rules, (a, b) => {
        expect(differences(a, a)).toEqual([]);
        const back = differences(b, a).map(({ path, from, to }) => ({ path, from: to, to: from }));
        expect(sorted(differences(a, b))).toEqual(sorted(back));
      }),
      { seed: 3, numRuns: 300 },
    );
  });
});
