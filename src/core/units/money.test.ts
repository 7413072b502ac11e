import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ENDINGS, depositOf, formatMoney, money, parseMoney, percentOf, spread, sum, withEnding } from './money';
import { add, ceil, compare, decimal, div, mul, mustDecimal, rational, roundHalfUp, sub, toDecimal } from './rational';

const amount = fc.integer({ min: 0, max: 5_000_000 });

describe('money', () => {
  it('a spread adds up to the cent, gives nobody more than a cent too much, and mirrors below zero', () => {
    fc.assert(
      fc.property(amount, fc.array(amount, { minLength: 1, maxLength: 12 }), (total, weights) => {
        const parts = spread(money(total), weights.map(money));
        expect(sum(parts)).toBe(total);
        const whole = weights.reduce((all, one) => all + one, 0);
        if (whole > 0)
          parts.forEach((part, k) => expect(Math.abs(part - (total * weights[k]!) / whole)).toBeLessThan(1));
        expect(spread(money(-total), weights.map(money))).toEqual(parts.map((part) => money(-part)));
      }),
      { seed: 41 },
    );
  });

  it('gives the odd cent to the earlier of equals', () => {
    expect(spread(money(100), [money(1), money(1), money(1)])).toEqual([34, 33, 33]);
    expect(spread(money(5), [money(0), money(0)])).toEqual([5, 0]);
  });

  it('ends at or above, by less than one unit, with the ending asked for', () => {
    fc.assert(
      fc.property(amount, fc.constantFrom(...ENDINGS), (price, ending) => {
        const ended = withEnding(money(price), ending);
        expect(ended - price).toBeGreaterThanOrEqual(0);
        expect(ended - price).toBeLessThan(100);
        if (ending !== 'none') expect(ended % 100).toBe(Number(ending.slice(1)));
        expect(withEnding(ended, ending)).toBe(ended);
      }),
      { seed: 42 },
    );
  });

  it('takes a deposit in whole units, never more than the total', () => {
    fc.assert(
      fc.property(amount, fc.integer({ min: 0, max: 100 }), (total, percent) => {
        const deposit = depositOf(money(total), rational(percent));
        expect(deposit).toBeLessThanOrEqual(total);
        expect(deposit === total || deposit % 100 === 0).toBe(true);
        expect(deposit * 100).toBeGreaterThanOrEqual(Math.min(total * 100, total * percent));
      }),
      { seed: 43 },
    );
  });

  it.each([
    ['94', 9400],
    ['94.5', 9450],
    ['94,50', 9450],
    [' 0.07 ', 7],
    ['94.505', undefined],
    ['-4', undefined],
    ['1e3', undefined],
    ['', undefined],
    ['١٢', undefined],
    ['999999999', undefined],
  ])('reads %s as %s', (text, wanted) => expect(parseMoney(text)).toBe(wanted));

  it('writes what it reads', () => {
    fc.assert(
      fc.property(amount, (cents) => {
        expect(parseMoney(formatMoney(money(cents)))).toBe(cents);
      }),
      { seed: 44 },
    );
    expect(formatMoney(money(-5))).toBe('−0.05');
    expect(() => money(0.5)).toThrow(RangeError);
  });

  it('rounds a percent half up, also where floating point would not', () => {
    expect(percentOf(money(1005), mustDecimal('10'))).toBe(101);
    expect(percentOf(money(2000), mustDecimal('7.25'))).toBe(145);
    expect(percentOf(money(35), mustDecimal('8.5714285'))).toBe(3);
  });
});

describe('exact fractions', () => {
  const fraction = fc
    .tuple(fc.integer({ min: -5000, max: 5000 }), fc.integer({ min: 1, max: 400 }))
    .map(([n, d]) => rational(n, d));

  it('adds, subtracts, multiplies and divides without loss', () => {
    fc.assert(
      fc.property(fraction, fraction, (a, b) => {
        expect(compare(sub(add(a, b), b), a)).toBe(0);
        if (b.n !== 0n) expect(compare(div(mul(a, b), b), a)).toBe(0);
        expect(add(a, b).d > 0n && div(a, rational(-3)).d > 0n).toBe(true);
      }),
      { seed: 45 },
    );
    expect(() => div(rational(1), rational(0))).toThrow(RangeError);
  });

  it('rounds a half up on both sides of zero', () => {
    expect(
      [rational(5, 2), rational(-5, 2), rational(7, 3), rational(-1, 2)].map((one) => Number(roundHalfUp(one))),
    ).toEqual([3, -2, 2, 0]);
    expect([rational(7, 3), rational(-7, 3), rational(6, 3)].map((one) => Number(ceil(one)))).toEqual([3, -2, 2]);
  });

  it('reads plain decimals only, and writes them back', () => {
    for (const text of ['1e3', '.5', '5.', '-1', '1,5', '', ' 1', 'Infinity', '1234567890123'])
      expect(decimal(text)).toBeUndefined();
    for (const text of ['0', '7.25', '0.000001', '12.5']) expect(toDecimal(mustDecimal(text), 9)).toBe(text);
    expect(toDecimal(rational(2, 3), 4)).toBe('0.6667');
    expect(toDecimal(rational(-1, 3), 2)).toBe('-0.33');
  });
});
