import { describe, expect, it } from 'vitest';
import { exampleDesign, moulding, prices, shop } from '../../../tests/shop';
import type { Design } from '../design/design';
import { freeze } from '../design/resolve';
import { inches } from '../units/length';
import { money } from '../units/money';
import { workOut } from '../work-out';
import type { PriceBook } from './book';

const priced = (design: Design, over: Partial<PriceBook> = {}) => {
  const result = workOut(design, shop('in', { prices: { ...prices, ...over } }));
  if (!result.ok) throw new Error(result.issues[0]!.code);
  return result.value;
};
const line = (design: Design, key: string, over: Partial<PriceBook> = {}) =>
  priced(design, over).price!.lines.find((one) => one.key === key)?.amount;
const groups = (over: Partial<PriceBook['groups']>): Partial<PriceBook> => ({ groups: { ...prices.groups, ...over } });
/** United size of the worked example: 37 1/2 in. */
const chart = {
  by: 'in',
  steps: [
    ['30', money(40_00)],
    ['38', money(52_00)],
  ],
  perExtraUnit: money(1_50),
} as const;

describe('both schools', () => {
  it('prices a group by its chart, beyond its last step by the unit begun', () => {
    const rule = groups({ glazing: { school: 'chart', markup: '1', chart } });
    expect(line(exampleDesign(), 'glazing', rule)).toBe(5200);
    const larger = exampleDesign({ piece: { ...exampleDesign().piece, width: inches(14) } });
    // 39 1/2 in united: 1 1/2 beyond, two units begun
    expect(line(larger, 'glazing', rule)).toBe(5200 + 2 * 150);
  });

  it('lets one material say otherwise than its group', () => {
    const own = {
      moulding: { given: moulding({ price: { school: 'chart', chart: { by: 'ft', steps: [['8', money(99_00)]] } } }) },
      allowance: inches(0, 1, 8),
    };
    expect(line(exampleDesign({ frame: own }), 'moulding')).toBe(9900);
    expect(line(exampleDesign(), 'moulding')).toBe(9135);
  });

  it('charges the share of the sheet that cannot be used again, and more beyond an ordinary sheet', () => {
    // 16 3/4 × 20 3/4 on 32 × 40: one across, one up, turned the same: 1 × 1 = 1 … 2 × 1 turned; 8.8889 sq ft / 2 × 1.10 × 4
    expect(line(exampleDesign(), 'mats', groups({ mat: { markup: '4.0', charge: 'share' } }))).toBe(1956);
    const oversize = { w: inches(16), h: inches(20), factor: '1.5' };
    expect(line(exampleDesign(), 'glazing', groups({ glazing: { markup: '3.5', oversize } }))).toBe(2027);
  });

  it('a minimum is money, and never less than it', () => {
    expect(line(exampleDesign(), 'backing', groups({ backing: { markup: '3.0', minimum: money(9_00) } }))).toBe(900);
  });

  it('breaks, rush and discount act on the running sum and add up to the price', () => {
    const design = exampleDesign({ count: 10, rush: true, discount: { percent: '5', reason: 'club', by: 'Ada' } });
    const rules = {
      quantityBreaks: [
        [5, '5'],
        [10, '10'],
      ] as const,
      rush: '20',
      ending: 'none' as const,
    };
    const { price } = priced(design, rules);
    // 172.01: − 17.20 → 154.81; + 30.96 → 185.77; − 9.29 → 176.48
    expect([price!.quantityBreak, price!.rush, price!.discount, price!.price]).toEqual([-1720, 3096, -929, 17648]);
    expect(price!.taxed.goods + price!.taxed.labour + price!.taxed.delivery).toBe(17648);
    const whole = priced(exampleDesign({ discount: { amount: 99_999_00, reason: 'gift', by: 'Ada' } }));
    expect(whole.price!.price).toBe(0);
  });

  it('more windows, shapes, mounting by united size, extras in their own tax group', () => {
    const over = {
      extraWindow: money(8_00),
      shapedWindow: money(12_00),
      mounting: { hinges: { per: 'in', price: '0.20' } },
      labourIncluded: true,
    } as const;
    const photo = { width: inches(4), height: inches(6) };
    const design = exampleDesign({
      several: {
        windows: [photo, photo, { ...photo, shape: 'oval' }],
        layout: 'row',
        bridge: { across: inches(1), down: inches(1) },
      },
      extras: [
        { name: 'Brass plate', amount: 18_00 },
        { name: 'Delivery', amount: 12_50, taxGroup: 'delivery' },
      ],
    });
    expect(['windows', 'shapes', 'Brass plate', 'labour'].map((key) => line(design, key, over))).toEqual([
      1600,
      1200,
      1800,
      undefined,
    ]);
    // united: 13 1/4 + 5 + 5 3/4 + 5 = 29 in
    expect(line(design, 'mounting', over)).toBe(580);
    expect(priced(design, over).price!.taxed.delivery).toBeGreaterThanOrEqual(1250);
  });

  it('what was quoted keeps the rule of its day', () => {
    const worked = priced(exampleDesign());
    const held = freeze(worked.resolved, prices.groups);
    const dearer = groups({ moulding: { markup: '9' }, glazing: { school: 'chart', markup: '1', chart } });
    expect(priced(held, dearer).price!.price).toBe(worked.price!.price);
    expect(priced(exampleDesign(), dearer).price!.price).not.toBe(worked.price!.price);
  });
});
