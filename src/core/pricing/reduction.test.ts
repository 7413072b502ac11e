/** Lines priced otherwise than by the rules, and how much is let go of a piece. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Money, money } from '../units/money';
import { finish } from './finish';
import { overriding } from './override';
import type { PriceLine } from './price-line';
import { reductionOf } from './reduction';

const line = (key: string, amount: number): PriceLine => ({
  code: 'extra',
  key,
  quantity: '',
  amount: money(amount),
  taxGroup: 'goods',
  workings: [],
});
const LINES = [line('moulding', 9135), line('mats', 1062), line('labour', 4400)];
const off = (discount: number) => money(-discount);

describe('a line priced by hand', () => {
  it('has the other price, and the rule’s own stays beside it with how it came about', () => {
    const [moulding, mats] = overriding(LINES, [{ key: 'moulding', amount: money(8000), reason: 'old stock' }]);
    expect(moulding).toMatchObject({ amount: 8000, rule: 9135 });
    expect(moulding!.workings.at(-1)).toMatchObject({
      formula: 'by hand instead of rule',
      value: { kind: 'money', value: 8000 },
    });
    expect(mats).toBe(LINES[1]);
  });

  it('that the piece does not have changes nothing', () => {
    expect(overriding(LINES, [{ key: 'hardware', amount: money(1), reason: 'x' }])).toEqual(LINES);
    expect(overriding(LINES, undefined)).toEqual(LINES);
  });

  it('is summed like any other: what is shown adds up', () => {
    const amounts = fc.array(fc.tuple(fc.integer({ min: 0, max: 90_000 }), fc.integer({ min: 0, max: 90_000 })), {
      minLength: 1,
      maxLength: 6,
    });
    fc.assert(
      fc.property(amounts, fc.integer({ min: 0, max: 100 }), (pairs, percent) => {
        const lines = pairs.map(([amount], at) => line(`l${at}`, amount));
        const overrides = pairs.map(([, amount], at) => ({ key: `l${at}`, amount: money(amount), reason: 'r' }));
        const priced = overriding(lines, overrides.slice(0, Math.ceil(overrides.length / 2)));
        const done = finish(priced, { discount: { percent: String(percent) } }, { ending: '.95' });
        const shown = priced.reduce((all, one) => all + one.amount, 0) + done.discount + done.rounding;
        expect(shown).toBe(done.price);
        const { share, off: given } = reductionOf({ lines: priced, discount: done.discount });
        expect(share >= 0 && given >= 0 && Number.isInteger(share)).toBe(true);
      }),
      { seed: 11, numRuns: 300 },
    );
  });
});

describe('what is let go', () => {
  it.each([
    ['nothing', [], 0, 0, 0],
    ['a discount of 14.60 of 145.97', [], 1460, 1460, 1000],
    ['a line 11.35 lower', [8000], 0, 1135, 778],
    ['both', [8000], 1460, 2595, 1778],
    ['a line dearer than its rule', [9999], 0, 0, 0],
    ['everything', [0], 5462, 14_597, 10_000],
  ] as const)('%s', (_what, amounts, discount, given, share) => {
    const overrides = amounts.map((amount) => ({ key: 'moulding', amount: money(amount), reason: 'r' }));
    expect(reductionOf({ lines: overriding(LINES, overrides), discount: off(discount) })).toEqual({
      off: given,
      share,
    });
  });

  it('of nothing is none', () => {
    expect(reductionOf({ lines: [], discount: 0 as Money })).toEqual({ off: 0, share: 0 });
  });
});
