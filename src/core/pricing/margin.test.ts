import { describe, expect, it } from 'vitest';
import { type Money, money } from '../units/money';
import { ofMoney, ofNumber } from '../working';
import { costOf, marginOf } from './margin';
import type { PriceLine } from './price-line';

const line = (
  key: string,
  amount: number,
  parts: readonly (readonly [quantity: string, cost: string])[],
): PriceLine => ({
  key,
  quantity: '',
  amount: money(amount),
  taxGroup: key === 'labour' ? 'labour' : 'goods',
  workings: parts.map(([quantity, cost]) => ({
    label: key,
    formula: 'quantity × cost × markup',
    inputs: { quantity: ofNumber(quantity), cost: ofNumber(cost), markup: ofNumber('3') },
    value: ofMoney(money(amount)),
  })),
});
const order = (total: number, net: number, taxMode: 'exclusive' | 'inclusive' = 'exclusive') => ({
  total: money(total),
  net: money(net),
  taxMode,
});

describe('cost', () => {
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
  ] as const)('of %j is %s', (parts, cost) => expect(costOf(line('mats', 100, parts))).toBe(cost));

  it('is not known of what is charged by a chart or at a price', () => {
    const kit = {
      ...line('hardware', 600, []),
      workings: [{ label: '', formula: 'charge', inputs: { charge: ofMoney(money(600)) }, value: ofMoney(money(600)) }],
    };
    expect(costOf(kit)).toBeUndefined();
  });
});

describe('margin', () => {
  const piece = (price: number, lines: PriceLine[]) => ({ price: money(price), lines });
  const lines = [line('moulding', 9135, [['7.25', '4.20']]), line('labour', 4400, []), line('hardware', 600, [])];

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
    const one = piece(12_000, [line('moulding', 12_000, [['10', '4']])]);
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
    expect(marginOf([piece(3000, [line('moulding', 9135, [['7.25', '4.20']])])], order(3000, 3000))).toMatchObject({
      margin: -45,
      tenths: -15,
    });
    expect(marginOf([piece(0, [])], order(0, 0)).tenths).toBe(0 as Money);
  });
});
