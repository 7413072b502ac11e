import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mustCarryText, ratedText, readWeight, weightText } from './weight';

describe('weights', () => {
  it('are said in kilograms beside millimetres, in pounds and ounces beside inches', () => {
    expect([0.45359237, 2.4, 0.1, 0.01, 1.36].map((kg) => weightText(kg, 'in'))).toEqual([
      '1 lb',
      '5 lb 5 oz',
      '4 oz',
      '0 lb',
      '3 lb',
    ]);
    expect(weightText(2.44, 'mm')).toBe('2.4 kg');
  });

  it('say of a rating never more than it is, and of a need never less', () => {
    expect([ratedText(15, 'in'), mustCarryText(15, 'in')]).toEqual(['33 lb', '34 lb']);
    expect([ratedText(15, 'mm'), mustCarryText(5.2, 'mm')]).toEqual(['15 kg', '6 kg']);
  });

  it.each([
    ['2.4 kg', 'in', 2.4],
    ['2,4', 'mm', 2.4],
    ['5 lb 5 oz', 'mm', 2.41],
    ['5', 'in', 2.268],
    ['8 oz', 'in', 0.227],
    ['5lbs', 'in', 2.268],
    ['', 'in', undefined],
    ['0', 'mm', undefined],
    ['-2', 'mm', undefined],
    ['1e9', 'mm', undefined],
    ['20000 kg', 'mm', undefined],
    ['heavy', 'in', undefined],
    ['5 lb 5', 'in', undefined],
  ] as const)('read %s beside %s as %s', (typed, unit, kg) => {
    expect(readWeight(typed, unit)).toBe(kg);
  });

  it('come back as they were said, to half an ounce or a tenth of a kilogram', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 400, noNaN: true }), fc.constantFrom('in', 'mm'), (kg, unit) => {
        const back = readWeight(weightText(kg, unit), unit);
        expect(Math.abs(back! - kg)).toBeLessThanOrEqual(unit === 'in' ? 0.0147 : 0.0506);
      }),
      { seed: 16 },
    );
  });
});
