import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Money, money } from '../units/money';
import { type Means, type Posting, balances, entry } from './accounts';
import {
  type OrderAccount,
  after,
  beyond,
  handedOver,
  newAccount,
  owed,
  received,
  refunded,
  taxInPayment,
  writtenOff,
} from './order-account';
import { type Sale, saleOf, taxOf } from './sale';
import { changeOf, countedOff, expectedIn, paidOut } from './till';

const goods = (amount: number, percent = '8', mode: 'exclusive' | 'inclusive' = 'exclusive') =>
  saleOf([{ group: 'goods', amount: money(amount), percent }], mode);

/** An order, and everything that was booked for it. */
class Books {
  account: OrderAccount;
  readonly all: Posting[] = [];
  constructor(sale: Sale) {
    this.account = newAccount(sale);
  }
  book(postings: Posting[], handed = this.account.handed): this {
    this.account = after(this.account, postings, handed);
    this.all.push(...postings);
    return this;
  }
  pay(means: Means, amount: number, taxed = false): this {
    const tax = taxed ? taxInPayment(this.account, money(amount)) : [];
    return this.book([...received(this.account, means, money(amount)), ...tax]);
  }
  hand(): this {
    return this.book(handedOver(this.account), true);
  }
  back(means: Means, amount: number): this {
    const done = refunded(this.account, means, money(amount));
    if (!done.ok) throw new Error(done.issues[0]!.code);
    return this.book(done.value);
  }
  get on() {
    return balances(this.all);
  }
}

describe('the exact cases of an order', () => {
  const order = () => new Books(goods(18_700));

  it('holds the deposit, and sells it with the rest', () => {
    expect(order().account.sale).toMatchObject({ total: 20_196, tax: [{ rate: '8', amount: 1_496 }] });
    const paid = order().pay('cash', 10_100);
    expect(paid.on).toEqual({ cash: 10_100, deposits: -10_100 });
    const done = paid.pay('card', 10_096).hand();
    expect(done.on).toEqual({ cash: 10_100, card: 10_096, sales: -18_700, tax: -1_496 });
    expect([owed(done.account), beyond(done.account)]).toEqual([0, 0]);
  });

  it('gives a deposit back, whole or less what is kept', () => {
    expect(order().pay('cash', 10_100).back('cash', 10_100).on).toEqual({});
    expect(order().pay('cash', 10_100).back('cash', 7_055).on).toEqual({ cash: 3_045, deposits: -3_045 });
  });

  it('takes tax out of what contains it, half up', () => {
    expect(goods(12_000, '20', 'inclusive')).toEqual({
      total: 12_000,
      net: [{ group: 'goods', amount: 10_000 }],
      tax: [{ rate: '20', amount: 2_000 }],
    });
    expect(taxOf(goods(9_999, '20', 'inclusive'))).toBe(1_667);
    expect(goods(9_999, '20', 'inclusive').net).toEqual([{ group: 'goods', amount: 8_332 }]);
  });

  it('counts a till short, and gives change', () => {
    // Float 150.00, takings 312.40, tape 18.00, to the bank 200.00.
    expect(expectedIn(money(15_000), money(31_240 - 1_800 - 20_000))).toBe(24_440);
    expect(countedOff(money(24_390), money(24_440))).toEqual([
      { account: 'cash', amount: -50 },
      { account: 'overShort', amount: 50 },
    ]);
    expect(countedOff(money(24_440), money(24_440))).toEqual([]);
    expect(changeOf(money(10_000), money(9_284))).toBe(716);
    expect(changeOf(money(9_284), money(9_284))).toBe(0);
    expect(changeOf(money(9_283), money(9_284))).toBeUndefined();
    expect(balances(paidOut(money(18_633), money(372)))).toEqual({ bank: 18_261, fees: 372, card: -18_633 });
  });
});

describe('rates', () => {
  it('of one height are added before tax is taken, however they are written', () => {
    const sale = saleOf(
      [
        { group: 'goods', amount: money(106), percent: '8' },
        { group: 'labour', amount: money(106), percent: '8.0' },
      ],
      'exclusive',
    );
    // 212 × 8 % = 16.96; each for itself would be 8.48 twice: 16.
    expect(sale.tax).toEqual([{ rate: '8', amount: 17 }]);
    expect(sale.total).toBe(229);
  });

  it('that contain tax leave each group its share of the net, to the cent', () => {
    const sale = saleOf(
      [
        { group: 'goods', amount: money(333), percent: '20' },
        { group: 'labour', amount: money(333), percent: '20' },
        { group: 'delivery', amount: money(334), percent: '0' },
      ],
      'inclusive',
    );
    expect(sale.tax).toEqual([{ rate: '20', amount: 111 }]);
    expect(sale.net).toEqual([
      { group: 'goods', amount: 278 },
      { group: 'labour', amount: 277 },
      { group: 'delivery', amount: 334 },
    ]);
    expect(sale.total).toBe(1_000);
  });
});

describe('a refund', () => {
  const sold = () => new Books(goods(10_000)).pay('cash', 10_800).hand();

  it('after the sale takes back its tax, and leaves sales as they were', () => {
    expect(sold().back('cash', 1_080).on).toEqual({ cash: 9_720, sales: -10_000, returns: 1_000, tax: -720 });
  });

  it('gives back first what came beyond the total', () => {
    const much = new Books(goods(10_000)).pay('card', 11_000).hand();
    expect(beyond(much.account)).toBe(200);
    expect(much.back('card', 200).on).toEqual({ card: 10_800, sales: -10_000, tax: -800 });
    expect(much.back('card', 108).on).toMatchObject({ returns: 100, tax: -792 });
  });

  it('lowers what is owed before anything is paid out', () => {
    const owing = new Books(goods(10_000)).pay('cash', 10_000).hand();
    expect(owed(owing.account)).toBe(800);
    const back = owing.back('cash', 1_080);
    expect(back.on).toEqual({ cash: 9_720, sales: -10_000, returns: 1_000, tax: -720 });
    expect(owed(back.account)).toBe(0);
  });

  it('is never more than what was paid, or sold', () => {
    const paid = new Books(goods(10_000)).pay('cash', 5_000);
    expect(refunded(paid.account, 'cash', money(5_001))).toMatchObject({
      ok: false,
      issues: [{ code: 'refund-above-paid', figures: { amount: 5_001, paid: 5_000 } }],
    });
    expect(refunded(paid.account, 'cash', money(5_000)).ok).toBe(true);
    expect(refunded(sold().account, 'card', money(10_801)).ok).toBe(false);
    expect(refunded(sold().back('cash', 10_000).account, 'cash', money(801)).ok).toBe(false);
    expect(refunded(sold().back('cash', 10_000).account, 'cash', money(800)).ok).toBe(true);
  });
});

describe('tax at payment', () => {
  it('goes with each payment, and the last takes the rest', () => {
    const books = new Books(goods(18_700)).pay('cash', 10_100, true);
    // 101.00 × 14.96 ÷ 201.96 = 7.481…
    expect(books.on).toEqual({ cash: 10_100, deposits: -9_352, tax: -748 });
    expect(books.pay('card', 10_096, true).on).toEqual({ cash: 10_100, card: 10_096, deposits: -18_700, tax: -1_496 });
    expect(books.hand().on).toEqual({ cash: 10_100, card: 10_096, sales: -18_700, tax: -1_496 });
  });

  it('is given back with the money', () => {
    expect(new Books(goods(18_700)).pay('cash', 10_100, true).back('cash', 10_100).on).toEqual({});
  });

  it('of what is not paid yet comes with the sale', () => {
    expect(new Books(goods(18_700)).pay('cash', 10_100, true).hand().on).toEqual({
      cash: 10_100,
      receivable: 10_096,
      sales: -18_700,
      tax: -1_496,
    });
  });
});

it('writes off what is owed after the sale, and no more', () => {
  const early = new Books(goods(10_000));
  expect(writtenOff(early.account, money(1))).toMatchObject({ ok: false, issues: [{ code: 'write-off-early' }] });
  const late = early.hand();
  expect(writtenOff(late.account, money(10_801))).toMatchObject({ ok: false, issues: [{ code: 'write-off-above' }] });
  const off = writtenOff(late.account, money(10_800));
  expect(off.ok && owed(after(late.account, off.value))).toBe(0);
});

it('books no entry that does not come to zero', () => {
  expect(() => entry([{ account: 'cash', amount: money(1) }])).toThrow('off by 1');
});

describe('whatever happens to an order', () => {
  const amount = fc.integer({ min: 1, max: 40_000 });
  const means = fc.constantFrom<Means>('cash', 'card', 'bank', 'vouchers');
  const event = fc.oneof(
    { weight: 4, arbitrary: fc.record({ kind: fc.constant('pay' as const), means, amount }) },
    { weight: 2, arbitrary: fc.record({ kind: fc.constant('refund' as const), means, amount }) },
    { weight: 1, arbitrary: fc.record({ kind: fc.constant('hand' as const) }) },
    { weight: 1, arbitrary: fc.record({ kind: fc.constant('write-off' as const), amount }) },
  );
  const lines = fc.array(
    fc.record({
      group: fc.constantFrom('goods', 'labour', 'delivery'),
      amount: fc.integer({ min: 0, max: 30_000 }).map((value) => money(value)),
    }),
    { minLength: 1, maxLength: 6 },
  );
  const rates = fc.record({
    goods: fc.constantFrom('0', '7.25', '8', '20'),
    labour: fc.constantFrom('0', '8', '19'),
    delivery: fc.constantFrom('0', '20'),
  });

  it('the books balance, nobody owes and is owed at once, and no more goes back than came', () => {
    fc.assert(
      fc.property(
        lines,
        rates,
        fc.constantFrom('exclusive' as const, 'inclusive' as const),
        fc.boolean(),
        fc.array(event, { maxLength: 14 }),
        (sold, percent, mode, atPayment, events) => {
          const sale = saleOf(
            sold.map((line) => ({ ...line, percent: percent[line.group as keyof typeof percent] })),
            mode,
          );
          const shown = sold.reduce((total, line) => total + line.amount, 0);
          expect(sale.total).toBe(mode === 'inclusive' ? shown : shown + taxOf(sale));
          const books = new Books(sale);
          let [came, went] = [0, 0];
          for (const one of events) {
            if (one.kind === 'pay') {
              books.pay(one.means, one.amount, atPayment);
              came += one.amount;
            } else if (one.kind === 'hand' && !books.account.handed) books.hand();
            else if (one.kind === 'refund') {
              const done = refunded(books.account, one.means, money(one.amount));
              if (!done.ok) continue;
              books.book(done.value);
              went -= done.value
                .filter(({ account }) => ['cash', 'card', 'bank', 'vouchers'].includes(account))
                .reduce((total, posting) => total + posting.amount, 0);
            } else if (one.kind === 'write-off') {
              const done = writtenOff(books.account, money(one.amount));
              if (done.ok) books.book(done.value);
            }
            const on = books.on;
            expect(Object.values(on).reduce<number>((total, value) => total + value, 0)).toBe(0);
            const { deposits, receivable, handed } = books.account;
            expect([0 - (on.deposits ?? 0), on.receivable ?? 0]).toEqual([deposits, receivable]);
            expect(deposits >= 0 && receivable >= 0 && (deposits === 0 || receivable === 0)).toBe(true);
            expect(went).toBeLessThanOrEqual(came);
            if (handed) {
              expect(0 - (on.sales ?? 0)).toBe(sale.total - taxOf(sale));
              expect(0 - (on.tax ?? 0)).toBeGreaterThanOrEqual(0);
              expect(0 - (on.tax ?? 0)).toBeLessThanOrEqual(taxOf(sale));
            }
          }
        },
      ),
      { seed: 17, numRuns: 1500 },
    );
  });
});

it('has no amount that is not whole', () => {
  expect(() => money(0.5)).toThrow(RangeError);
  expect(received(newAccount(goods(100)), 'cash', 33 as Money).every(({ amount }) => Number.isInteger(amount))).toBe(
    true,
  );
});
