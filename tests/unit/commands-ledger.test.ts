import { beforeAll, describe, expect, it } from 'vitest';
import { balances } from '@/core/ledger/accounts';
import { CHECK_POINTS } from '@/core/route/steps';
import { USUAL_SETTINGS } from '@/contract/settings';
import { postingOf, postingsOfOrder, standingAt } from '@/db/queries/ledger';
import { staffByName } from '@/db/queries/staff';
import { ledgerView, owingViews, statementOf } from '@/server/ledger-views';
import { newCode } from '@/server/commands/vouchers';
import { type Stocked, TOTAL, codes, must, stocked } from '../stocked';

let shop: Stocked;
let app: Stocked['app'];
beforeAll(async () => {
  shop = await stocked();
  ({ app } = shop);
});
const id = () => crypto.randomUUID();
const GOOD = Object.fromEntries(Object.keys(CHECK_POINTS).map((point) => [point, 'ok' as const]));
const pay = (orderId: string, amount: number, tendered?: number) =>
  app.command('take-cash', { orderId, paymentId: id(), amount, ...(tendered === undefined ? {} : { tendered }) });
const on = async (orderId: string) => balances((await postingsOfOrder(app.db, orderId)).map(postingOf));
const trial = async () => (await standingAt(app.db, '2199-12-31')).reduce((total, { amount }) => total + amount, 0);
const handedOver = async () => {
  const order = await shop.accepted();
  await ready(order);
  return order;
};
const ready = async ({ ticket }: { ticket: string }) => {
  await shop.workTo(ticket, 'final-check');
  const job = await shop.jobOf(ticket);
  await must(app.command('final-check', { jobId: job.id, revision: job.revision, points: GOOD }));
};
const hand = async (orderId: string) =>
  app.command('hand-over', {
    orderId,
    revision: (await shop.viewOf(orderId)).revision,
    signedBy: 'Bo',
    identified: true,
  });

describe('an order in the ledger', () => {
  it('holds what is paid, and sells it by group and rate when it is handed over', async () => {
    const { orderId, ...order } = await shop.accepted();
    await must(pay(orderId, 9400, 10_000));
    expect(await on(orderId)).toEqual({ cash: 9400, deposits: -9400 });
    await must(app.command('take-transfer', { orderId, paymentId: id(), amount: TOTAL - 9400, note: 'ref 17' }));
    await ready(order);
    await must(hand(orderId));
    expect(await on(orderId)).toEqual({ cash: 9400, bank: TOTAL - 9400, sales: -17_300, tax: -1384 });
    const rows = (await postingsOfOrder(app.db, orderId)).filter(({ account }) => account === 'sales');
    expect(rows.map(({ sold, amount }) => [sold, -amount])).toEqual([
      ['frames', 9188],
      ['mats', 1068],
      ['glazing', 1360],
      ['goods', 1259],
      ['labour', 4425],
    ]);
    expect(rows.reduce((total, { amount }) => total - amount, 0)).toBe(17_300);
    expect(await trial()).toBe(0);
  });

  it('tells the change, and refuses what was tendered too little', async () => {
    const { orderId } = await shop.accepted();
    expect(await pay(orderId, 9284, 10_000)).toMatchObject({ ok: true, value: { change: 716 } });
    const less = await pay(orderId, 9284, 9283);
    expect(less).toMatchObject({ ok: false, issues: [{ code: 'tendered-less', path: 'tendered' }] });
  });

  it('cancelled before anything is cut gives all of it back as it came', async () => {
    const { orderId } = await shop.accepted();
    await must(pay(orderId, 5000));
    await must(app.command('take-transfer', { orderId, paymentId: id(), amount: 3000, note: 'x' }));
    expect((await shop.viewOf(orderId)).kept).toEqual([]);
    const answer = await app.command('cancel-order', { orderId, revision: 2, reason: 'changed his mind', kept: 0 });
    expect(answer).toMatchObject({ ok: true, value: { back: 8000 } });
    expect(await on(orderId)).toEqual({});
  });

  it('cancelled after the legs are cut proposes what they cost, and sells what is kept with its tax', async () => {
    const { orderId, ticket } = await shop.accepted();
    await must(pay(orderId, 10_100));
    await shop.workTo(ticket, 'join');
    // 7.25 ft at 4.20.
    expect((await shop.viewOf(orderId)).kept).toEqual([{ of: 'moulding', amount: 3045, quantity: '7.25 ft' }]);
    const cancel = async (kept: number) =>
      app.command('cancel-order', {
        orderId,
        revision: (await shop.viewOf(orderId)).revision,
        reason: 'moved away',
        kept,
      });
    expect(codes(await cancel(10_101))).toBe('kept-above-paid');
    expect(await cancel(3045)).toMatchObject({ ok: true, value: { back: 7055 } });
    // 3045 × 1384 ÷ 18684 = 225.55…
    expect(await on(orderId)).toEqual({ cash: 3045, sales: -2819, tax: -226 });
    expect((await shop.viewOf(orderId)).owedBack).toBe(0);
    expect(codes(await app.command('refund', refundOf(orderId, 'cash', 3046)))).toBe('refund-above-paid');
    await must(app.command('refund', refundOf(orderId, 'cash', 3045)));
    expect(await on(orderId)).toEqual({ sales: -2819, returns: 2819 });
  });

  it('owes tax from the payment on, where the shop says so', async () => {
    const settings = { ...USUAL_SETTINGS, taxAtPayment: true };
    await must(app.command('change-settings', { edition: 0, settings }));
    const { orderId, ...order } = await shop.accepted();
    await must(pay(orderId, 9400));
    // 94.00 × 13.84 ÷ 186.84 = 6.963…
    expect(await on(orderId)).toEqual({ cash: 9400, deposits: -8704, tax: -696 });
    expect((await shop.viewOf(orderId)).balance).toBe(TOTAL - 9400);
    await must(pay(orderId, TOTAL - 9400));
    await ready(order);
    await must(hand(orderId));
    expect(await on(orderId)).toEqual({ cash: TOTAL, sales: -17_300, tax: -1384 });
    await must(app.command('change-settings', { edition: 1, settings: USUAL_SETTINGS }));
  });
});

const refundOf = (orderId: string, means: 'cash' | 'card' | 'bank' | 'vouchers', amount: number, pin?: string) => ({
  orderId,
  refundId: id(),
  means,
  amount,
  reason: 'scratch in the glass',
  ...(pin === undefined ? {} : { pin }),
});

describe('more than the balance', () => {
  it('is refused, unless it is meant as credit; that goes back before anything else', async () => {
    const { orderId } = await shop.accepted();
    const give = (amount: number, credit?: true) =>
      app.command('take-cash', { orderId, paymentId: id(), amount, ...(credit ? { credit } : {}) });
    expect(codes(await give(TOTAL + 1000))).toBe('payment-above-balance');
    await must(give(TOTAL + 1000, true));
    const { balance, owedBack, paid } = await shop.viewOf(orderId);
    expect([balance, owedBack, paid]).toEqual([0, 1000, TOTAL + 1000]);
    await must(app.command('refund', { orderId, refundId: id(), means: 'cash', amount: 1000, reason: 'their credit' }));
    expect((await shop.viewOf(orderId)).owedBack).toBe(0);
  });
});

describe('less than the deposit', () => {
  it('is taken with a reason, which stays with the payment, or by an owner', async () => {
    await must(app.command('add-staff', { id: id(), name: 'Wim', pin: '4712', role: 'counter' }));
    const wim = (await staffByName(app.db, 'Wim'))!;
    const { orderId } = await shop.accepted();
    const deposit = (await shop.viewOf(orderId)).agreed!.deposit;
    const give = (amount: number, less?: string) =>
      app.command(
        'take-cash',
        { orderId, paymentId: id(), amount, ...(less === undefined ? {} : { less }) },
        { as: wim },
      );
    const ask = (amount: number) => app.command('ask-card', { orderId, requestId: id(), amount }, { as: wim });
    expect(codes(await give(deposit - 1))).toBe('deposit-less');
    expect(codes(await ask(deposit - 1))).toBe('deposit-less');
    expect(codes(await give(deposit - 1, ' '))).toMatch(/^input-wrong/);
    await must(give(2000, 'the rest on Friday'));
    // What is there counts: the rest of the deposit needs no reason, and what follows none either.
    expect(codes(await give(deposit - 2001))).toBe('deposit-less');
    await must(give(deposit - 2000));
    await must(give(100));
    expect((await shop.viewOf(orderId)).payments.map(({ amount, note }) => [amount, note])).toEqual([
      [2000, 'the rest on Friday'],
      [deposit - 2000, ''],
      [100, ''],
    ]);
    const owners = await shop.accepted();
    await must(app.command('take-cash', { orderId: owners.orderId, paymentId: id(), amount: 100 }));
  });
});

describe('a refund', () => {
  it('goes back as it came, needs an owner above the limit, and is never more than was paid', async () => {
    await must(app.command('add-staff', { id: id(), name: 'Tess', pin: '4711', role: 'counter' }));
    const tess = (await staffByName(app.db, 'Tess'))!;
    const give = (payload: ReturnType<typeof refundOf>) => app.command('refund', payload, { as: tess });
    const { orderId } = await shop.accepted();
    await must(pay(orderId, TOTAL));
    expect(codes(await give(refundOf(orderId, 'cash', 5001)))).toBe('refund-needs-owner');
    expect(codes(await give(refundOf(orderId, 'cash', 5000)))).toBe('ok');
    expect(codes(await give(refundOf(orderId, 'bank', 100)))).toBe('refund-other-means');
    expect(codes(await give(refundOf(orderId, 'bank', 100, '9999')))).toBe('pin-wrong');
    expect(codes(await give(refundOf(orderId, 'bank', 100, '1357')))).toBe('ok');
    expect(codes(await give(refundOf(orderId, 'vouchers', 1, '1357')))).toBe('refund-other-means');
    expect(codes(await app.command('refund', refundOf(orderId, 'cash', TOTAL - 5099)))).toBe('refund-above-paid');
    expect((await shop.viewOf(orderId)).received).toEqual({ cash: TOTAL - 5000, card: 0, bank: -100, vouchers: 0 });
    expect((await shop.viewOf(orderId)).payments.map(({ kind, method, amount }) => [kind, method, amount])).toEqual([
      ['deposit', 'cash', TOTAL],
      ['refund', 'cash', -5000],
      ['refund', 'bank', -100],
    ]);
  });

  it('to another means leaves the order to be cancelled for what is still held', async () => {
    const { orderId } = await shop.accepted();
    await must(pay(orderId, 5000));
    await must(app.command('refund', refundOf(orderId, 'bank', 1000)));
    const { id: paymentId } = (await shop.viewOf(orderId)).payments[0]!;
    const reverse = { paymentId, newId: id(), reason: 'a slip' };
    expect(codes(await app.command('reverse-payment', reverse))).toBe('refund-above-paid');
    const cancel = { orderId, revision: 2, reason: 'no', kept: 0 };
    expect(await app.command('cancel-order', cancel)).toMatchObject({ ok: true, value: { back: 4000 } });
    expect(await on(orderId)).toEqual({ cash: 1000, bank: -1000 });
  });

  it('after the hand-over takes its tax back', async () => {
    const order = await handedOver();
    await must(pay(order.orderId, TOTAL));
    await must(hand(order.orderId));
    await must(app.command('refund', refundOf(order.orderId, 'cash', 1868)));
    // 18.68 × 13.84 ÷ 186.84 = 1.3837…
    expect(await on(order.orderId)).toEqual({ cash: TOTAL - 1868, sales: -17_300, returns: 1730, tax: -1246 });
  });
});

describe('a voucher', () => {
  const sell = async (amount: number, expires: string | null = null) => {
    const sold = await app.command('sell-voucher', { id: id(), amount, means: 'cash', expires });
    if (!sold.ok) throw new Error(codes(sold));
    return String(sold.value.code);
  };
  const use = (orderId: string, code: string, amount: number) =>
    app.command('take-voucher', { orderId, paymentId: id(), amount, code });

  it('is used in parts, however its code is typed, and never above what is left', async () => {
    const code = await sell(5000);
    const { orderId } = await shop.accepted();
    expect(await use(orderId, code.toLowerCase().replaceAll('-', ' '), 4250)).toMatchObject({
      ok: true,
      value: { left: 750 },
    });
    expect(codes(await use(orderId, code, 751))).toBe('voucher-less');
    expect(codes(await use(orderId, code, 750))).toBe('ok');
    expect(codes(await use(orderId, code, 1))).toBe('voucher-used');
    expect(codes(await use(orderId, 'AAAA-BBBB-CCCC-DDDD', 1))).toBe('voucher-unknown');
  });

  it('pays once when two counters take it in one second', async () => {
    const code = await sell(1000);
    const [one, two] = [await shop.accepted(), await shop.accepted()];
    const answers = await Promise.all([use(one.orderId, code, 1000), use(two.orderId, code, 1000)]);
    expect(answers.map(codes).sort()).toEqual(['ok', 'voucher-used']);
  });

  it('gets back what it gave when its order is given up', async () => {
    const code = await sell(2000);
    const { orderId } = await shop.accepted();
    await must(use(orderId, code, 2000));
    await must(pay(orderId, 500));
    await must(app.command('cancel-order', { orderId, revision: 2, reason: 'no', kept: 500 }));
    const { vouchers } = await ledgerView(app.viewer(), '2000-01-01', '2199-12-31');
    expect(vouchers.find((one) => one.code === code)?.left).toBe(2000);
    expect(await on(orderId)).toEqual({ cash: 500, sales: -463, tax: -37 });
  });

  it('runs out on its day, and is not sold run out', async () => {
    const code = await sell(100, '2031-05-06');
    expect(
      codes(await app.command('sell-voucher', { id: id(), amount: 1, means: 'cash', expires: '2031-05-05' })),
    ).toBe('voucher-over');
    const { orderId } = await shop.accepted();
    const before = app.clock.at;
    app.clock.at = new Date('2031-05-07T10:00:00Z');
    expect(codes(await use(orderId, code, 100))).toBe('voucher-expired');
    app.clock.at = before;
  });

  it('has a code of sixteen signs that are not mistaken, each as likely as another', () => {
    expect(newCode(() => new Uint8Array(16).fill(255).map((_, index) => index * 3))).toMatch(
      /^([2-9A-HJKMNP-TV-Z]{4}-){3}[2-9A-HJKMNP-TV-Z]{4}$/,
    );
    let calls = 0;
    // Bytes that would favour the first signs are thrown away.
    expect(newCode(() => new Uint8Array(16).fill((calls += 1) === 1 ? 254 : 0))).toBe('2222-2222-2222-2222');
    expect(calls).toBe(2);
  });
});

describe('an account customer', () => {
  it('takes the piece now and owes it by age, within the limit; is paid, and what stays is written off', async () => {
    const { customerId } = shop;
    const first = await handedOver();
    await must(pay(first.orderId, 8684));
    expect(codes(await hand(first.orderId))).toBe('balance-open');
    await must(app.command('change-terms', { customerId, days: 14, limit: 12_000 }));
    await must(hand(first.orderId));
    expect(await on(first.orderId)).toEqual({ cash: 8684, receivable: 10_000, sales: -17_300, tax: -1384 });
    expect((await shop.viewOf(first.orderId)).due).toBe('2031-05-19');
    const second = await handedOver();
    await must(pay(second.orderId, TOTAL - 2001));
    expect(codes(await hand(second.orderId))).toBe('account-limit');
    await must(pay(second.orderId, 1));
    await must(hand(second.orderId));
    const ages = async (day: string) => (await owingViews(app.db, day, customerId))[0]!.ages;
    expect(await ages('2031-05-19')).toEqual([12_000, 0, 0, 0, 0]);
    expect(await ages('2031-05-20')).toEqual([0, 12_000, 0, 0, 0]);
    expect(await ages('2031-06-18')).toEqual([0, 12_000, 0, 0, 0]);
    expect(await ages('2031-06-19')).toEqual([0, 0, 12_000, 0, 0]);
    expect(await ages('2031-07-18')).toEqual([0, 0, 12_000, 0, 0]);
    expect(await ages('2031-07-19')).toEqual([0, 0, 0, 12_000, 0]);
    expect(await ages('2031-08-17')).toEqual([0, 0, 0, 12_000, 0]);
    expect(await ages('2031-08-18')).toEqual([0, 0, 0, 0, 12_000]);
    await must(pay(first.orderId, 9_000));
    expect(codes(await pay(first.orderId, 1_001))).toBe('payment-above-balance');
    const off = (amount: number) =>
      app.command('write-off', { orderId: first.orderId, entryId: id(), amount, reason: 'cannot be reached' });
    expect(codes(await off(1_001))).toBe('write-off-above');
    await must(off(1_000));
    expect((await on(first.orderId)).badDebts).toBe(1000);
    expect((await statementOf(app.viewer(), customerId))?.orders.map(({ number, amount }) => [number, amount])).toEqual(
      [[(await shop.viewOf(second.orderId)).number, 2000]],
    );
    await must(app.command('change-terms', { customerId, days: null, limit: null }));
  });
});
