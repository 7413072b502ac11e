import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exampleDesign, shop } from '../../../tests/shop';
import { money } from '../units/money';
import { workOut } from '../work-out';
import { atMargin } from './outside';

describe('outside work', () => {
  it('is charged so that the margin is left of its price', () => {
    expect(atMargin(money(6000), '40')).toBe(10_000);
    expect(atMargin(money(1000), '0')).toBe(1000);
    // 10.00 ÷ 0.675 = 14.8148…
    expect(atMargin(money(1000), '32.5')).toBe(1481);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1_000_000 }), fc.integer({ min: 0, max: 95 }), (cost, percent) => {
        const price = atMargin(money(cost), String(percent));
        expect(Math.abs(price * (100 - percent) - cost * 100)).toBeLessThanOrEqual((100 - percent) / 2);
      }),
      { seed: 41, numRuns: 300 },
    );
  });

  it('knows its cost in the margin, and an extra of our own does not', () => {
    const extras = [
      {
        name: 'Retouching',
        amount: 10_000,
        taxGroup: 'goods' as const,
        outside: { who: 'Low Quay studio', cost: 6000, days: 20 },
      },
      { name: 'Brass plate', amount: 1800 },
    ];
    const worked = workOut(exampleDesign({ extras }), shop());
    if (!worked.ok) throw new Error('cannot be built');
    const line = (key: string) => worked.value.price!.lines.find((one) => one.key === key)!;
    expect([line('Retouching').amount, line('Retouching').cost]).toEqual([10_000, 6000]);
    expect(line('Brass plate').cost).toBeUndefined();
  });
});
