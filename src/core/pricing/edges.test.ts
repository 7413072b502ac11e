/** Prices at their edges: the last cent of a minimum, the size of a step exactly, tax contained, what a rule may be. */
import { describe, expect, it } from 'vitest';
import { exampleDesign, mat, moulding, prices, shop } from '../../../tests/shop';
import { inches, length, size } from '../units/length';
import { money } from '../units/money';
import { compare, mustDecimal } from '../units/rational';
import { workOut } from '../work-out';
import { ruleHeld } from './book';
import { byChart, charge, chartPrice, fitOnSheet, fixedLine, soldLength } from './charge';
import { finish } from './finish';
import { mustPriceOrder, priceOrder, taxOn } from './order-price';
import { amountSchema, chartSchema, groupRuleSchema } from './rule-schema';

const STEPS = [
  ['30', money(40_00)],
  ['38', money(52_00)],
] as const;
const ft = (figure: string, rule: Parameters<typeof charge>[3], factor?: string) =>
  charge('moulding', { quantity: mustDecimal(figure), figure, of: 'ft' }, '2.00', rule, factor);

describe('a chart', () => {
  it.each([
    ['0.001', 4000],
    ['30', 4000],
    ['30.001', 5200],
    ['38', 5200],
    ['38.001', 5350],
    ['39', 5350],
    ['39.001', 5500],
  ])('at %s costs %i', (at, price) =>
    expect(chartPrice({ steps: STEPS, perExtraUnit: money(1_50) }, mustDecimal(at))).toBe(price),
  );

  it('has no price beyond its last step where nothing is said of it, and none without steps', () => {
    expect(chartPrice({ steps: STEPS }, mustDecimal('38.001'))).toBeUndefined();
    expect(chartPrice({ steps: STEPS }, mustDecimal('38'))).toBe(5200);
    expect(chartPrice({ steps: [], perExtraUnit: money(1_50) }, mustDecimal('1'))).toBeUndefined();
  });

  it('says what it was asked for, in its unit, and shows how', () => {
    const made = byChart('Clear glass', { by: 'in', steps: STEPS }, inches(37, 1, 2))!;
    expect([made.amount, made.shown]).toEqual([5200, '37.5 in']);
    expect(made.working).toEqual({
      label: 'Clear glass',
      formula: 'price in the chart',
      inputs: {
        size: { kind: 'number', value: '37.5', of: 'in' },
        'price in the chart': { kind: 'money', value: 5200 },
      },
      value: { kind: 'money', value: 5200 },
    });
    expect(byChart('Clear glass', { by: 'cm', steps: STEPS }, inches(37, 1, 2))).toBeUndefined();
  });
});

describe('a charge', () => {
  it.each([
    [undefined, 4200],
    [4199, 4200],
    [4200, 4200],
    [4201, 4201],
  ])('with a minimum of %s is %i', (minimum, amount) => {
    const rule = { markup: '3', ...(minimum === undefined ? {} : { minimum: money(minimum) }) };
    expect(ft('7', rule).amount).toBe(amount);
  });

  it('shows its figures: quantity, cost, markup, and the factor where there is one', () => {
    const value = { kind: 'money', value: 4200 };
    expect(ft('7', { markup: '3' }).working).toEqual({
      label: 'moulding',
      formula: 'quantity × cost × markup',
      inputs: {
        quantity: { kind: 'number', value: '7', of: 'ft' },
        cost: { kind: 'number', value: '2.00' },
        markup: { kind: 'number', value: '3' },
      },
      value,
    });
    const over = ft('7', { markup: '3' }, '1.5');
    expect([over.amount, over.working.formula, over.working.inputs.oversize]).toEqual([
      6300,
      'quantity × cost × markup × oversize',
      { kind: 'number', value: '1.5' },
    ]);
    expect(ft('7', { markup: '3', minimum: money(50_00) }).working).toEqual({
      label: 'moulding',
      formula: 'minimum charge',
      inputs: { 'minimum charge': { kind: 'money', value: 5000 } },
      value: { kind: 'money', value: 5000 },
    });
    // Exactly the minimum is the charge itself.
    expect(ft('7', { markup: '3', minimum: money(42_00) }).working.formula).toBe('quantity × cost × markup');
  });

  it('shows at most two places of a long figure', () => {
    expect(ft('7.125', { markup: '3' }).shown).toBe('7.13 ft');
    expect(ft('700', { markup: '3' }).shown).toBe('700 ft');
  });

  it('that is fixed is what it is', () => {
    expect(fixedLine('Plate', money(18_00))).toEqual({
      label: 'Plate',
      formula: 'charge',
      inputs: { charge: { kind: 'money', value: 1800 } },
      value: { kind: 'money', value: 1800 },
    });
  });

  it.each([
    [inches(87), '7.25'],
    [length(inches(87) + 1), '7.5'],
    [inches(90), '7.5'],
    [length(inches(90) + 1), '7.75'],
  ])('moulding is sold in whole steps: %i', (charged, sold) =>
    expect(compare(soldLength(charged, 'ft', '0.25'), mustDecimal(sold))).toBe(0),
  );

  it.each([
    [32, 40, 16, 20, 4],
    [32, 40, 20, 16, 4],
    [32, 40, 16, 21, 2],
    [32, 40, 33, 40, 0],
    [32, 40, 40, 32, 1],
    [32, 40, 10, 12, 9],
  ])('a sheet of %i × %i gives %i × %i so often: %i', (w, h, packW, packH, count) =>
    expect(fitOnSheet(size(inches(w), inches(h)), size(inches(packW), inches(packH)))).toBe(count),
  );
});

describe('tax', () => {
  const piece = (goods: number, labour = 0, delivery = 0) => ({
    price: money(goods + labour + delivery),
    taxed: { goods: money(goods), labour: money(labour), delivery: money(delivery) },
  });
  const book = (mode: 'exclusive' | 'inclusive', percent: object, depositPercent = '50') => ({
    tax: { mode, percent: { goods: '8', labour: '8', ...percent } },
    depositPercent,
  });

  it('is added once per rate, rounded once', () => {
    const order = mustPriceOrder([piece(10_03), piece(10_03, 5_00)], book('exclusive', {}));
    // 25.06 × 8 % = 2.0048
    expect(order.tax).toEqual([{ percent: '8', on: 2506, amount: 200 }]);
    expect([order.pieces, order.total, order.net, order.taxMode]).toEqual([2506, 2706, 2506, 'exclusive']);
  });

  it('is contained where prices have it: 120.00 with 20 % holds 20.00', () => {
    const order = mustPriceOrder([piece(120_00)], book('inclusive', { goods: '20' }));
    expect([order.total, order.net, order.tax]).toEqual([12000, 10000, [{ percent: '20', on: 12000, amount: 2000 }]]);
    // 100.00 with 7.5 %: 6.976… → 6.98
    expect(taxOn([{ on: money(100_00), percent: '7.5' }], 'inclusive')[0]!.amount).toBe(698);
    expect(taxOn([{ on: money(100_00), percent: '7.5' }], 'exclusive')[0]!.amount).toBe(750);
  });

  it('tells rates apart, leaves out what nothing is charged on, and takes the rate of goods where one is not said', () => {
    const rates = book('exclusive', { labour: '0', delivery: '20' });
    const order = mustPriceOrder([piece(100_00, 50_00, 10_00)], rates);
    expect(order.tax).toEqual([
      { percent: '8', on: 10000, amount: 800 },
      { percent: '0', on: 5000, amount: 0 },
      { percent: '20', on: 1000, amount: 200 },
    ]);
    expect(mustPriceOrder([piece(100_00)], rates).tax.map((one) => one.percent)).toEqual(['8']);
    expect(mustPriceOrder([piece(0, 0, 10_00)], book('exclusive', {})).tax).toEqual([
      { percent: '8', on: 1000, amount: 80 },
    ]);
  });

  it.each([
    ['50', 100_00, 54_00],
    ['50', 100_01, 55_00],
    ['0', 100_00, 0],
    ['100', 100_00, 108_00],
  ])('a deposit of %s %% is whole units, up', (percent, goods, deposit) => {
    const priced = priceOrder([piece(goods)], book('exclusive', {}, percent));
    expect(priced.ok && priced.value.deposit).toBe(deposit);
  });
});

describe('what is held of a rule', () => {
  it('is its school, markup, minimum and chart, and no more', () => {
    const chart = { by: 'in' as const, steps: STEPS };
    expect(ruleHeld({ markup: '3' })).toEqual({ school: 'cost-up', markup: '3' });
    expect(ruleHeld({ school: 'chart', markup: '3', minimum: money(0), chart, minimumArea: '1' })).toEqual({
      school: 'chart',
      markup: '3',
      minimum: 0,
      chart,
    });
  });
});

describe('what a rule may be', () => {
  const rising = {
    by: 'ft',
    steps: [
      ['10', 100],
      ['20', 100],
    ],
  };
  it.each([
    [{ school: 'cost-up', markup: '3' }, true],
    [{ school: 'cost-up', markup: '3', charge: 'share' }, true],
    [{ school: 'cost-up', markup: '3', charge: 'guess' }, false],
    [{ school: 'cost-up', markup: '-3' }, false],
    [{ school: 'cost-up', markup: '1e3' }, false],
    [{ school: 'cost-up', markup: '3', minimum: -1 }, false],
    [{ school: 'cost-up', markup: '3', minimum: 0 }, true],
    [{ school: 'cost-up', markup: '3', minimum: 1.5 }, false],
    [{ school: 'chart', markup: '3' }, false],
    [{ school: 'chart', markup: '3', chart: rising }, true],
    [{ school: 'half', markup: '3' }, false],
  ])('%j: %s', (rule, may) => expect(groupRuleSchema.safeParse(rule).success).toBe(may));

  it.each([
    [[['10', 100]], true],
    [[], false],
    [
      [
        ['10', 100],
        ['10', 200],
      ],
      false,
    ],
    [
      [
        ['10', 100],
        ['9', 200],
      ],
      false,
    ],
    [
      [
        ['9', 100],
        ['10', 50],
      ],
      false,
    ],
    [
      [
        ['9', 100],
        ['10', 100],
      ],
      true,
    ],
    [
      [
        ['9', 100],
        ['10', 50],
        ['9.5', 60],
      ],
      false,
    ],
    [Array.from({ length: 500 }, (_, index) => [String(index + 1), 100]), true],
    [Array.from({ length: 501 }, (_, index) => [String(index + 1), 100]), false],
  ])('steps %#', (steps, may) => expect(chartSchema.safeParse({ by: 'in', steps }).success).toBe(may));

  it('money is whole, not below nothing, and not above what any amount may be', () => {
    const may = (amount: unknown) => amountSchema.safeParse(amount).success;
    expect([-1, 0, 1, 0.5, 10_000_000_000, 10_000_000_001, '1'].map(may)).toEqual([
      false,
      true,
      true,
      false,
      true,
      false,
      false,
    ]);
  });
});

describe('a piece', () => {
  const priced = (over: Parameters<typeof exampleDesign>[0], book: Partial<typeof prices> = {}) => {
    const result = workOut(exampleDesign(over), shop('in', { prices: { ...prices, ...book } }));
    if (!result.ok) throw new Error(result.issues[0]!.code);
    return result.value.price!;
  };
  const free = { given: moulding({ code: 'F', name: 'Without a price', cost: undefined }) };

  it('names what has no price, once, and leaves its line out', () => {
    const board = { given: mat({ code: 'N', name: 'Board without a price', cost: undefined }) };
    const price = priced({
      frame: { moulding: free, allowance: inches(0, 1, 8) },
      mats: [
        { board, reveal: length(0) },
        { board, reveal: inches(0, 1, 4) },
      ] as never,
    });
    expect(price.missing).toEqual(['Without a price', 'Board without a price']);
    expect(price.lines.map((one) => one.key)).toEqual(['glazing', 'backing', 'labour', 'hardware']);
  });

  it('charges at least the smallest area: exactly it is not raised', () => {
    const glazing = (minimumArea: string) =>
      priced({}, { groups: { ...prices.groups, glazing: { markup: '3.5', minimumArea } } }).lines.find(
        (one) => one.key === 'glazing',
      )!;
    const usual = glazing('0');
    expect(glazing('1').amount).toBeGreaterThan(usual.amount);
    // 1 m² is 10.7639 sq ft × 1.60 × 3.5.
    expect([glazing('1').amount, glazing('1').quantity]).toEqual([6028, '10.76 sq ft']);
  });

  it('counts its layers in the line', () => {
    const two = priced({
      mats: [{ board: { code: 'A1' } }, { board: { code: 'A2' }, reveal: inches(0, 1, 4) }] as never,
    });
    const [one, both] = [priced({}), two].map((price) => price.lines.find((line) => line.key === 'mats')!);
    expect(one!.quantity).toMatch(/^[\d.]+ sq ft$/);
    expect([both!.quantity.startsWith('2 × '), both!.workings.length]).toEqual([true, 2]);
    expect(both!.amount).toBe(2 * one!.amount);
  });

  it('a change of nothing changes nothing; the best break counts', () => {
    const lines = [{ amount: money(100_00), taxGroup: 'goods' as const }];
    const breaks = [
      [10, '10'],
      [5, '5'],
    ] as const;
    const off = (identical: number) =>
      finish(lines, { identical }, { ending: 'none', quantityBreaks: breaks }).quantityBreak;
    expect([1, 4, 5, 9, 10, 11].map(off)).toEqual([-0, -0, -500, -500, -1000, -1000].map((value) => value + 0));
    expect(finish(lines, {}, { ending: 'none' })).toMatchObject({
      subtotal: 10000,
      price: 10000,
      rush: 0,
      discount: 0,
    });
    expect(finish([], { rush: '20' }, { ending: '.00' }).price).toBe(0);
  });

  it('extra windows are counted beyond the first, and none without a charge for them', () => {
    const window = { width: inches(4), height: inches(6) };
    const several = { windows: [window, window], layout: 'row', bridge: { across: inches(1), down: inches(1) } };
    const line = (extraWindow?: number) =>
      priced(
        { several: several as never },
        extraWindow === undefined ? {} : { extraWindow: money(extraWindow) },
      ).lines.find((one) => one.key === 'windows');
    expect(line()).toBeUndefined();
    expect(line(8_00)).toMatchObject({ quantity: '1 ×', amount: 800 });
    expect(line(8_00)!.workings[0]!.inputs).toEqual({
      count: { kind: 'number', value: '1' },
      each: { kind: 'money', value: 800 },
    });
  });
});
