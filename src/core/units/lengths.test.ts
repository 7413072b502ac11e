import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { workedCases } from '../../../tests/worked-cases';
import { FINEST, differenceText, fieldText, formatLength, lengthText, showLength } from './format-length';
import { type Length, type Unit, ceilTo, floorTo, halve, length, nearestSmaller, plus } from './length';
import { mustParseLength, parseLength, splitSize } from './parse-length';

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- worked cases are data of many shapes
type Given = any;
const exactText = (value: Length, unit: Unit) =>
  value % FINEST[unit] === 0 ? lengthText(value, unit) : `${value / 320} ${unit}`;

const answers: Record<string, (given: Given, unit: Unit) => Record<string, unknown>> = {
  read: (given, unit) => ({
    length: given.read.map((text: string) => {
      const read = parseLength(text, { unit, zeroAllowed: given.zeroAllowed });
      return read.ok ? exactText(read.value, (given.answerIn as Unit) ?? unit) : 'refused';
    }),
  }),
  show: (given, unit) => {
    const exact = mustParseLength(given.show!, { unit });
    const step = mustParseLength(given.step!, { unit });
    const shown = showLength(exact, unit, step);
    const by = shown.by === 0 ? {} : { by: differenceText(shown.by, unit) };
    return { shown: formatLength(exact, unit, step), exactIs: shown.exactIs, ...by };
  },
  exact: (given, unit) => {
    const [exact, step] = [mustParseLength(given.exact!, { unit }), mustParseLength(given.cuttingStep!, { unit })];
    const cut = { 'into rabbet': floorTo, 'rabbet length': ceilTo, window: nearestSmaller }[given.goes as string]!;
    return { cut: lengthText(cut(exact, step), unit) };
  },
  halve: (given, unit) => {
    const [first, second] = halve(mustParseLength(given.halve!, { unit }));
    return { first: `${first / 320} mm`, second: `${second / 320} mm` };
  },
};

describe('worked cases: lengths', () => {
  it.each(workedCases('lengths'))('$id $note', ({ given, expect: wanted }) => {
    const kind = Object.keys(answers).find((key) => key in given)!;
    expect(answers[kind]!(given, given.unit)).toEqual(wanted);
  });
});

describe('reading lengths', () => {
  const inch = (text: string) => {
    const read = parseLength(text, { unit: 'in' });
    return read.ok ? lengthText(read.value, 'in') : read.issues[0]!.code;
  };

  it.each([
    ['10-3/8"', '10 3/8 in'],
    ['10-3/8-1/8', '9 1/2 in'],
    ['10 - 3/8', '9 5/8 in'],
    ['10-9/8', '8 7/8 in'],
    ['10-⅜', '10 3/8 in'],
    ['10-⅜"', '10 3/8 in'],
    ['8-1/2 in', '8 1/2 in'],
    ['10⅜', '10 3/8 in'],
    ['10⅜"', '10 3/8 in'],
    ['1 ft 2½', '14 1/2 in'],
    ['24-½+1', '24 1/2 in'],
    ['10 - ⅜', '9 5/8 in'],
    ["1'", '12 in'],
    ['1 ft 2 1/2 in', '14 1/2 in'],
    ["2' - 1 1/2", '22 1/2 in'],
    ['2*(3 1/4 in + 1)', '8 1/2 in'],
    ['7/8', '7/8 in'],
    ['1\' 11 7/8"', '23 7/8 in'],
    ['9/8', '1 1/8 in'],
    ['25.4 mm + 1', '2 in'],
    ['-1/2 + 3', '2 1/2 in'],
    ['  16   7/8 ', '16 7/8 in'],
  ])('reads %s as %s', (text, wanted) => expect(inch(text)).toBe(wanted));

  it.each([
    ['', 'length-empty'],
    ['10 9/8', 'length-improper'],
    ['10⅜2', 'length-two-numbers'],
    ['16½4', 'length-two-numbers'],
    ['½½', 'length-two-numbers'],
    ['10⅜.5', 'length-two-numbers'],
    ['12 ft 99', 'length-inches-many'],
    ['1\' 12"', 'length-inches-many'],
    ['2 in * 3 in', 'length-product'],
    ['4 / 2 in', 'length-divided'],
    ['4 in / 0', 'length-over-zero'],
    ['3 - 4', 'length-negative'],
    ['-3', 'length-negative'],
    ['−1/2 in', 'length-negative'],
    ['--3', 'length-unexpected'],
    ['0.001 mm', 'length-zero'],
    ['10.1 m', 'length-too-big'],
    ['1e9', 'length-word'],
    ['__proto__', 'length-sign'],
    ['constructor', 'length-word'],
    ['12 x 16', 'length-word'],
    ['26,4', 'length-sign'],
    ['5 +', 'length-unfinished'],
    ['(3', 'length-bracket'],
    ['('.repeat(5000), 'length-too-long'],
    ['9'.repeat(199), 'length-too-big'],
  ])('refuses %s as %s', (text, code) => expect(inch(text)).toBe(code));

  it('reads whole millimetres, hyphen, fraction as one number too', () => {
    expect(parseLength('8-1/2 mm', { unit: 'in' })).toEqual({ ok: true, value: 8.5 * 320 });
    expect(parseLength('8-½ mm', { unit: 'in' })).toEqual({ ok: true, value: 8.5 * 320 });
  });

  it('reads a decimal comma where the region writes one', () => {
    const read = parseLength('26,4 cm', { unit: 'mm', decimalComma: true });
    expect(read).toEqual({ ok: true, value: 264 * 320 });
  });

  it('splits two sides and carries the last unit to both', () => {
    expect(splitSize('12 x 16')).toEqual(['12', '16']);
    expect(splitSize('300 × 420 mm')).toEqual(['300 mm', '420 mm']);
    expect(splitSize('12 1/2" by 16"')).toEqual(['12 1/2"', '16"']);
    expect(splitSize('13 5/16 x 41.7 cm')).toEqual(['13 5/16', '41.7 cm']);
    expect(splitSize('12 3/8')).toBeUndefined();
  });

  it('reads back every length that a field can show', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20_000 }), fc.constantFrom<Unit>('in', 'mm'), (steps, unit) => {
        const value = length(steps * FINEST[unit]);
        expect(mustParseLength(fieldText(value, unit), { unit })).toBe(value);
      }),
      { seed: 11 },
    );
  });

  it('never throws and never answers outside the allowed range, whatever is typed', () => {
    const typed = fc.string({ unit: fc.constantFrom(...'0123456789 /.,-+*()"\'⅜½minfteCM×'), maxLength: 30 });
    fc.assert(
      fc.property(typed, (text) => {
        const read = parseLength(text, { unit: 'in' });
        if (read.ok) expect(read.value > 0 && read.value <= 3_200_000).toBe(true);
        else expect(read.issues[0]!.code).toMatch(/^length-/);
      }),
      { seed: 12, numRuns: 3000 },
    );
  });
});

describe('rounding', () => {
  it('halves add up, and cut sizes fall on the safe side within a step', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 3_000_000 }), fc.constantFrom(160, 254), (units, by) => {
        const [value, step] = [length(units), length(by)];
        const [first, second] = halve(value);
        expect(plus(first, second)).toBe(value);
        expect(second - first).toBe(units % 2);
        expect(value - floorTo(value, step)).toBeGreaterThanOrEqual(0);
        expect(ceilTo(value, step) - value).toBeGreaterThanOrEqual(0);
        expect(Math.abs(nearestSmaller(value, step) - value)).toBeLessThanOrEqual(by / 2);
      }),
      { seed: 13 },
    );
  });
});
