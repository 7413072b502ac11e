import { describe, expect, it } from 'vitest';
import { type Money, money } from '../units/money';
import { mustDecimal } from '../units/rational';
import { exampleDesign, shop } from '../../../tests/shop';
import type { Design } from '../design/design';
import { workOut } from '../work-out';
import { charge, costOfAll, fixedLine } from './charge';
import { marginOf } from './margin';
import type { LineCode, PriceLine } from './price-line';

const line = (code: LineCode, amount: number, cost?: number): PriceLine => ({
  code,
  key: code,
  quantity: '',
  amount: money(amount),
  ...(cost === undefined ? {} : { cost: money(cost) }),
  taxGroup: code === 'labour' ? 'labour' : 'goods',
  workings: [],
});
const order = (total: number, net: number, taxMode: 'exclusive' | 'inclusive' = 'exclusive') => ({
  total: money(total),
  net: money(net),
  taxMode,
});

describe('cost', () => {
  const made = (quantity: string, cost: string, minimum?: number) =>
    charge('x', { quantity: mustDecimal(quantity), figure: quantity, of: 'sq ft' }, cost, {
      markup: '3',
      ...(minimum === undefined ? {} : { minimum: money(minimum) }),
    });
  it.each([
    [[['7.25', '4.20']], 3045],
    // 2.41363 × 1.10 = 2.654993; twice, rounded once: 5.309986.
    [
      [
        ['2.41363', '1.10'],
        ['2.41363', '1.10'],
      ],
      531,
    ],
    [[['1', '0.005']], 1],
    [[['1', '0.0049']], 0],
    [[], undefined],
  ] as const)('of %j is %s', (parts, cost) =>
    expect(costOfAll(parts.map(([quantity, each]) => made(quantity, each))).cost).toBe(cost),
  );

  it('is of the quantity, not of the least that is charged', () => {
    const small = made('0.1', '2.00', 500);
    expect([small.amount, costOfAll([small]).cost]).toEqual([500, 20]);
  });

  it('is not known where one charge of several is a price without a cost', () => {
    const fixed = { amount: money(600), shown: '', working: fixedLine('kit', money(600)) };
    expect(costOfAll([fixed])).toEqual({});
    expect(costOfAll([made('1', '1'), fixed])).toEqual({});
  });

  it('is the same however the workings are worded, and stays when the price is set by hand', () => {
    const priceOf = (overrides?: Design['overrides']) => {
      const worked = workOut(exampleDesign({ overrides }), shop());
      if (!worked.ok) throw new Error('cannot be built');
      return worked.value.price!;
    };
    const sales = { net: money(0), total: money(0), taxMode: 'exclusive' } as const;
    const ruled = priceOf();
    const reworded = ruled.lines.map((one) => ({ ...one, workings: [] }));
    expect(marginOf([{ ...ruled, lines: reworded }], sales).cost).toBe(marginOf([ruled], sales).cost);
    const byHand = priceOf([{ key: 'moulding', amount: 5000, reason: 'old stock' }]);
    expect(byHand.lines[0]).toMatchObject({ code: 'moulding', amount: 5000, rule: 9135, cost: 3045 });
  });
});

describe('margin', () => {
  const piece = (price: number, lines: PriceLine[]) => ({ price: money(price), lines });
  const lines = [line('moulding', 9135, 3045), line('labour', 4400), line('hardware', 600)];

  it('is what is left of the price after material, minutes and what has no cost', () => {
    const found = marginOf([piece(14_200, lines)], order(15_336, 14_200));
    // 14 200 − 3 045 − 4 400 − 600
    expect(found).toMatchObject({ cost: 8045, net: 14_200, margin: 6155, tenths: 433 });
    expect(found.lines.map(({ key, cost }) => [key, cost])).toEqual([
      ['moulding', 3045],
      ['labour', 4400],
      ['hardware', undefined],
    ]);
  });

  it('takes out the tax that is contained, and adds pieces', () => {
    const one = piece(12_000, [line('moulding', 12_000, 4000)]);
    expect(marginOf([one], order(12_000, 10_000, 'inclusive'))).toMatchObject({
      net: 10_000,
      margin: 6000,
      tenths: 600,
    });
    expect(marginOf([one, one], order(24_000, 20_000, 'inclusive'))).toMatchObject({
      cost: 8000,
      net: 20_000,
      tenths: 600,
    });
  });

  it('can be below zero, and is nothing of what is given away', () => {
    expect(marginOf([piece(3000, [line('moulding', 9135, 3045)])], order(3000, 3000))).toMatchObject({
      margin: -45,
      tenths: -15,
    });
    expect(marginOf([piece(0, [])], order(0, 0)).tenths).toBe(0 as Money);
  });
});
