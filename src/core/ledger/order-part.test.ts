/** Parts of an order handed over one by one: every entry comes to zero, and all parts are the order to the cent. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Money, money, sum } from '../units/money';
import type { Posting } from './accounts';
import {
  type OrderAccount,
  after,
  handedOver,
  heldOf,
  newAccount,
  owed,
  received,
  taxInPayment,
} from './order-account';
import { afterPart, partHandedOver, partOf } from './order-part';
import { type Sale, saleOf } from './sale';

const sold = (amount: number, percent = '8', group = 'frames') => ({ group, amount: money(amount), percent });
const pay = (account: OrderAccount, amount: number, taxed = false): OrderAccount => {
  const postings = [
    ...received(account, 'cash', money(amount)),
    ...(taxed ? taxInPayment(account, money(amount)) : []),
  ];
  return after(account, postings);
};
const zero = (postings: readonly Posting[]) => expect(sum(postings.map(({ amount }) => amount))).toBe(0);
const booked = (postings: readonly Posting[], name: Posting['account']) =>
  0 - sum(postings.filter(({ account }) => account === name).map(({ amount }) => amount));

describe('a part of an order', () => {
  const whole = saleOf([sold(18_700), sold(5000, '0', 'labour')], 'exclusive');
  const part = saleOf([sold(10_000)], 'exclusive');

  it('books its own lines out of what is held; the rest stays owed', () => {
    const account = pay(newAccount(whole), 15_000);
    const postings = partHandedOver(account, part);
    expect(postings.ok && [booked(postings.value, 'sales'), booked(postings.value, 'tax')]).toEqual([10_000, 800]);
    if (!postings.ok) return;
    zero(postings.value);
    const left = afterPart(account, postings.value);
    expect([left.sale.total, heldOf(left), owed(left), left.received.cash]).toEqual([
      whole.total - 10_800,
      15_000 - 10_800,
      whole.total - 15_000,
      15_000,
    ]);
  });

  it('is not handed over while what is held does not pay for it, and says what is missing', () => {
    const postings = partHandedOver(pay(newAccount(whole), 10_799), part);
    expect(postings).toMatchObject({ ok: false, issues: [{ code: 'part-not-paid', figures: { missing: 1 } }] });
  });

  it('never sells more than is left', () => {
    const left: Sale = {
      total: money(108),
      net: [{ group: 'frames', amount: money(100) }],
      tax: [{ rate: '8', amount: money(8) }],
    };
    expect(partOf(left, part)).toEqual(left);
    expect(partOf(left, saleOf([sold(500, '8', 'mats')], 'exclusive')).net).toEqual([{ group: 'mats', amount: 0 }]);
  });

  it('in any order, with tax at payment or not, adds up to the order to the cent', () => {
    const piece = fc.record({
      goods: fc.integer({ min: 1, max: 90_000 }),
      labour: fc.integer({ min: 0, max: 20_000 }),
    });
    const many = fc.array(piece, { minLength: 2, maxLength: 5 });
    fc.assert(
      fc.property(many, fc.boolean(), fc.constantFrom('exclusive', 'inclusive'), (pieces, taxed, mode) => {
        const linesOf = ({ goods, labour }: (typeof pieces)[number]) => [
          sold(goods, '19'),
          sold(labour, '7', 'labour'),
        ];
        const all = saleOf(pieces.flatMap(linesOf), mode as 'exclusive' | 'inclusive');
        let account = pay(newAccount(all), all.total, taxed);
        const entries: Posting[] = [];
        for (const one of pieces.slice(0, -1)) {
          const postings = partHandedOver(account, saleOf(linesOf(one), mode as 'exclusive' | 'inclusive'));
          if (!postings.ok) return;
          zero(postings.value);
          entries.push(...postings.value);
          account = afterPart(account, postings.value);
        }
        const last = handedOver(account);
        zero(last);
        entries.push(...last);
        expect(booked(entries, 'sales')).toBe(sum(all.net.map(({ amount }) => amount)));
        expect(after(account, last, true)).toMatchObject({ deposits: 0 as Money, receivable: 0 as Money });
      }),
      { seed: 23, numRuns: 300 },
    );
  });
});
