/** Extras and delivery zones as rows of text in the price book, and a discount of the order shared out. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { extrasFrom, extrasText } from '@/core/pricing/extras-list';
import { priceRulesSchema } from '@/core/pricing/rule-schema';
import { type Money, money } from '@/core/units/money';
import { overOrder } from '@/features/desk/concession';
import { TAX_NAMES } from '@/words/screens/tax-groups';

describe('rows of extras', () => {
  it('say a name, a price and a tax, which may be left out for goods', () => {
    const { extras, wrong } = extrasFrom(
      'Delivery, inner town; 18; delivery\n\n Card ;3,50\nGilding\t 120.00\tWork',
      TAX_NAMES,
    );
    expect(wrong).toEqual([]);
    expect(extras).toEqual([
      { name: 'Delivery, inner town', price: 1800, taxGroup: 'delivery' },
      { name: 'Card', price: 350, taxGroup: 'goods' },
      { name: 'Gilding', price: 12000, taxGroup: 'labour' },
    ]);
  });
  it.each(['Card', 'Card; x', '; 3.50', 'Card; 3.50; gifts', 'Card; 3.50; goods; more', 'Card; -1'])(
    '“%s” is none, and is named',
    (row) => {
      const { extras, wrong } = extrasFrom(`Good; 1.00\n${row}`, TAX_NAMES);
      expect(extras).toHaveLength(1);
      expect(wrong).toEqual([
        expect.objectContaining({ code: 'extra-row', path: 'extras', figures: { read: row.trim() } }),
      ]);
    },
  );
  it('come back as they were written', () => {
    const one = fc.record({
      name: fc.stringMatching(/^[A-Za-z][A-Za-z, ]{0,30}[a-z]$/),
      price: fc.integer({ min: 0, max: 900_000 }).map(money),
      taxGroup: fc.constantFrom('goods' as const, 'labour' as const, 'delivery' as const),
    });
    fc.assert(
      fc.property(fc.array(one, { maxLength: 8 }), (list) => {
        expect(extrasFrom(extrasText(list, TAX_NAMES), TAX_NAMES)).toEqual({ extras: list, wrong: [] });
      }),
      { seed: 81, numRuns: 200 },
    );
  });
  it('stand once each in a book', () => {
    const twice = [
      { name: 'Card', price: 350, taxGroup: 'goods' },
      { name: 'card', price: 400, taxGroup: 'goods' },
    ];
    expect(priceRulesSchema.shape.extras.safeParse(twice).error!.issues[0]!.message).toBe('extra-twice');
    expect(priceRulesSchema.shape.extras.safeParse(twice.slice(1)).success).toBe(true);
  });
});

describe('a discount over the whole order', () => {
  const said = { reason: 'a regular', by: '' };
  it('is the same percent of each piece', () => {
    expect(overOrder({ percent: '10', ...said }, [money(100), money(0), money(300)])).toEqual(
      Array.from({ length: 3 }, () => ({ percent: '10', ...said })),
    );
    expect(overOrder(undefined, [money(100), money(200)])).toEqual([undefined, undefined]);
  });
  it('is shared out to the cent by what the pieces cost', () => {
    // 10.00 over 1 : 1 : 1 is 3.34, 3.33, 3.33.
    const thirds = overOrder({ amount: money(1000), ...said }, [money(5000), money(5000), money(5000)]);
    expect(thirds.map((one) => (one as { amount: number }).amount)).toEqual([334, 333, 333]);
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 500_000 }), { minLength: 1, maxLength: 40 }),
        fc.integer({ min: 0, max: 500_000 }),
        (weights, off) => {
          const parts = overOrder({ amount: off, ...said }, weights as Money[]).map(
            (one) => (one as { amount: number }).amount,
          );
          expect(parts.reduce((all, part) => all + part, 0)).toBe(off);
        },
      ),
      { seed: 82, numRuns: 200 },
    );
  });
});
