import { describe, expect, it } from 'vitest';
import { inForce, rowsOf } from './answer';

describe('what a sum answers, in the unit in force', () => {
  it.each([
    ['304.80 mm', 'in', '12 in'],
    ['304.80 mm', 'mm', '304.80 mm'],
    ['-3.18 mm', 'in', '-1/8+ in'],
    ['4.24 mm', 'in', '11/64− in'],
    ['1 1/2 in', 'mm', '1 1/2 in'],
    ['0.5 in', 'mm', '12.7 mm'],
    ['2.31 kg', 'mm', '2.3 kg'],
    ['2.31 kg', 'in', '5 lb 1 oz'],
    ['45°', 'in', '45°'],
    ['fits', 'in', 'fits'],
  ] as const)('%s in %s is %s', (text, unit, said) => {
    expect(inForce(text, unit)).toBe(said);
  });

  it('also of sizes and of lists of them', () => {
    const rows = rowsOf({ package: { w: '300 mm', h: '400 mm' }, outside: { w: '12 mm', h: '16 mm' } }, 'in');
    expect(rows[0]![1]).toBe('11 13/16− in × 15 3/4− in');
  });
});
