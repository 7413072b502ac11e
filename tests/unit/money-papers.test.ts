import Papa from 'papaparse';
import { beforeAll, describe, expect, it } from 'vitest';
import { dayReportPaper, receiptPaper, statementPaper, voucherPaper } from '@/server/papers/money';
import { journalCsv, plain, taxCsv, trialBalanceCsv } from '@/server/ledger-csv';
import { ledgerView, statementOf, tillReport, timeOf } from '@/server/ledger-views';
import { CHECK_POINTS } from '@/core/route/steps';
import { USUAL_SETTINGS } from '@/contract/settings';
import { settingsView } from '@/server/people';
import { paperPages as pages } from '../pdf';
import { type Stocked, TOTAL, must, stocked, stockedDesign } from '../stocked';

const id = () => crypto.randomUUID();
const ALWAYS = { from: '2000-01-01', to: '2199-12-31' };
const GOOD = Object.fromEntries(Object.keys(CHECK_POINTS).map((point) => [point, 'ok' as const]));
let shop: Stocked;
let app: Stocked['app'];
let dayId: string;
let sold: Awaited<ReturnType<Stocked['accepted']>>;
const textOf = async (paper: Uint8Array | undefined) => (await pages(paper!)).map(({ text }) => text).join('\n');

/** A day of a shop: a piece sold on account, a refund, a voucher, a formula as a reason, the till short. */
beforeAll(async () => {
  shop = await stocked({ till: false });
  ({ app } = shop);
  dayId = id();
  await must(app.command('open-till', { dayId, till: 1, pieces: [{ of: 5000, count: 3 }] }));
  sold = await shop.accepted();
  await must(app.command('change-terms', { customerId: shop.customerId, days: 14, limit: null }));
  await must(app.command('take-cash', { orderId: sold.orderId, paymentId: id(), amount: 9400 }));
  await shop.workTo(sold.ticket, 'final-check');
  const job = await shop.jobOf(sold.ticket);
  await must(app.command('final-check', { jobId: job.id, revision: job.revision, points: GOOD }));
  await must(
    app.command('hand-over', {
      orderId: sold.orderId,
      revision: (await shop.viewOf(sold.orderId)).revision,
      signedBy: 'Bo',
      identified: true,
    }),
  );
  const other = await shop.accepted();
  await must(app.command('take-cash', { orderId: other.orderId, paymentId: id(), amount: 2000 }));
  const reason = '=HYPERLINK("http://x","look")';
  await must(app.command('refund', { orderId: other.orderId, refundId: id(), means: 'cash', amount: 500, reason }));
  await must(app.command('count-till', { dayId, pieces: [{ of: 1, count: 25_850 }], card: 0, vouchers: 0 }));
  await must(app.command('seal-till', { dayId, note: 'Half a crown short' }));
});

describe('papers of money', () => {
  it('the receipt says what was paid, when and how, and what is owed until when', async () => {
    const text = await textOf(await receiptPaper(await shop.viewOf(sold.orderId), 'Test shop', 'in'));
    for (const part of [
      'Receipt, order 2401',
      'Test shop',
      '173.00',
      'Tax 8 %',
      '13.84',
      '186.84',
      'Deposit, cash',
      '94.00',
    ])
      expect(text).toContain(part);
    expect(text).toMatch(/Still to be paid\s*92\.84/);
    expect(text).toMatch(/due Mon 19 May/);
    const inEuro = await textOf(await receiptPaper(await shop.viewOf(sold.orderId), 'Test shop', 'in', 'EUR'));
    expect(inEuro).toMatch(/, EUR\s*186\.84/);
    expect(text).not.toContain('EUR');
    const unpaid = await shop.accepted();
    expect(await receiptPaper(await shop.viewOf(unpaid.orderId), 'Test shop', 'in')).toBeUndefined();
  });

  it('the day report adds up: takings, sales by group, tax, what is off, who sealed it', async () => {
    const report = (await tillReport(app.viewer(), dayId))!;
    const text = await textOf(await dayReportPaper(report, 'Test shop', 'mm'));
    for (const [name, amount] of [
      ['Cash', '114.00'],
      ['given back, cash', '–5.00'],
      ['Takings in all', '109.00'],
      ['Frames', '91.88'],
      ['Labour', '44.25'],
      ['Tax 8 %', '13.84'],
      ['Sold in all', '186.84'],
      ['Counted cash, expected 259.00', '258.50 off by –0.50'],
    ])
      expect(text).toMatch(new RegExp(`${name}[^A-Z]*${amount!.replace('.', '\\.')}`));
    expect(text).toContain('Half a crown short');
    expect(text).toMatch(/sealed by Ada/);
    expect(text).toContain('Handed over: 2401');
    expect(report.sales.reduce((total, { amount }) => total + amount, 0)).toBe(17_300);
  });

  it('the statement lists each order with its age', async () => {
    const owing = (await statementOf(app.viewer(), shop.customerId))!;
    const text = await textOf(await statementPaper(owing, 'Test shop', 'in', '2031-05-05'));
    expect(text).toMatch(/Order 2401, handed over Mon 5 May, due Mon 19 May\s*92\.84/);
    expect(text).toMatch(/Not due\s*92\.84/);
    const late = { ...owing, orders: owing.orders.map((order) => ({ ...order, over: 12 })) };
    expect(await textOf(await statementPaper(late, 'Test shop', 'in', '2031-05-31'))).toContain('12 days over');
    const many = { ...owing, orders: Array.from({ length: 90 }, () => owing.orders[0]!) };
    expect((await pages(await statementPaper(many, 'Test shop', 'mm', '2031-05-05'))).length).toBeGreaterThan(1);
  });

  it('the voucher says what is left on it, its code, and until when', async () => {
    const voucher = { code: '2345-6789-ABCD-EFGH', left: 750, expires: '2031-12-31' };
    const text = await textOf(await voucherPaper(voucher, 'Test shop', 'in'));
    for (const part of ['7.50', '2345-6789-ABCD-EFGH', 'Wed 31 Dec']) expect(text).toContain(part);
    expect(await textOf(await voucherPaper({ ...voucher, expires: null }, 'x', 'in'))).toContain('does not run out');
  });
});

describe('what was let go', () => {
  it('stands in the report of the day it was handed over: how much, why, by whom', async () => {
    const own = await stocked({ till: false });
    const day = id();
    await must(own.app.command('open-till', { dayId: day, till: 1, pieces: [] }));
    const order = await own.quote([
      stockedDesign({
        discount: { percent: '10', reason: 'a regular', by: '' },
        overrides: [{ key: 'glazing', amount: 1000, reason: 'a scratch at the edge' }],
      }),
    ]);
    // 172.01 − 3.52 = 168.49, less 10 % = 151.64: 152.00, with 8 % 164.16.
    await must(own.app.command('accept-order', { orderId: order.orderId, revision: 1, total: 16_416, reasons: {} }));
    await must(own.app.command('take-cash', { orderId: order.orderId, paymentId: id(), amount: 16_416 }));
    const { number } = await own.viewOf(order.orderId);
    await own.workTo(`${number}-1`, 'final-check');
    const job = await own.jobOf(`${number}-1`);
    await must(own.app.command('final-check', { jobId: job.id, revision: job.revision, points: GOOD }));
    const { revision } = await own.viewOf(order.orderId);
    await must(own.app.command('hand-over', { orderId: order.orderId, revision, signedBy: 'Bo', identified: true }));
    const pieces = [{ of: 1, count: 16_416 }];
    await must(own.app.command('count-till', { dayId: day, pieces, card: 0, vouchers: 0 }));
    await must(own.app.command('seal-till', { dayId: day, note: '' }));
    const report = (await tillReport(own.app.viewer(), day))!;
    expect(report.discounts).toEqual([
      { order: number, amount: 1685, why: 'a regular', by: 'Ada' },
      { order: number, amount: 352, why: 'a scratch at the edge', by: '' },
    ]);
    const text = await textOf(await dayReportPaper(report, 'Test shop', 'in'));
    expect(text).toMatch(/Order \d+, a regular, Ada\s*16\.85/);
    expect(text).toMatch(/a scratch at the edge\s*3\.52/);
  });
});

describe('the books as CSV', () => {
  const read = (text: string) => Papa.parse<Record<string, string>>(text.trim(), { header: true }).data;
  const cents = (text: string | undefined) => Math.round(Number(text || '0') * 100);

  it('the journal has every posting, both sides equal, and no formula', async () => {
    const rows = read(await journalCsv(app.viewer(), ALWAYS));
    const { entries } = await ledgerView(app.viewer(), ALWAYS.from, ALWAYS.to);
    expect(rows).toHaveLength(entries.reduce((total, { postings }) => total + postings.length, 0));
    const side = (name: string) => rows.reduce((total, row) => total + cents(row[name]), 0);
    expect(side('debit')).toBe(side('credit'));
    const refund = rows.find(({ text }) => text!.includes('HYPERLINK'))!;
    expect(refund.text).toMatch(/^Given back/);
    for (const row of rows) for (const text of Object.values(row)) expect(text).not.toMatch(/^[=+@]/);
    const sales = rows.filter(({ account }) => account === 'Sales');
    expect(sales.map(({ group, credit, document }) => [group, credit, document])).toContainEqual([
      'Frames',
      '91.88',
      '2401',
    ]);
  });

  it('accounts stand under the shop’s own numbers, where it gave some', async () => {
    const edition = (await settingsView(app.viewer())).edition;
    const accounts = { cash: '1000', sales: '4000-01' } as const;
    await must(app.command('change-settings', { edition, settings: { ...USUAL_SETTINGS, accounts } }));
    const named = (rows: readonly Record<string, string>[]) => new Set(rows.map(({ account }) => account));
    for (const text of [await journalCsv(app.viewer(), ALWAYS), await trialBalanceCsv(app.viewer(), ALWAYS)]) {
      const found = named(read(text));
      expect(['1000', '4000-01', 'Tax owed'].every((name) => found.has(name))).toBe(true);
      expect([found.has('Cash'), found.has('Sales')]).toEqual([false, false]);
    }
    const wrong = { ...USUAL_SETTINGS, accounts: { cash: '10 00' } };
    expect((await app.command('change-settings', { edition: edition + 1, settings: wrong })).ok).toBe(false);
    await must(app.command('change-settings', { edition: edition + 1, settings: USUAL_SETTINGS }));
  });

  it('the trial balance and the tax say what the screen says', async () => {
    const { standing, tax } = await ledgerView(app.viewer(), ALWAYS.from, ALWAYS.to);
    const rows = read(await trialBalanceCsv(app.viewer(), ALWAYS));
    expect(rows.reduce((total, row) => total + cents(row.debit) - cents(row.credit), 0)).toBe(0);
    const by = (amounts: readonly { readonly amount: number }[]) => amounts.map(({ amount }) => amount).sort();
    expect(rows.map((row) => cents(row.debit) - cents(row.credit)).sort()).toEqual(by(standing));
    expect(read(await taxCsv(app.viewer(), ALWAYS)).map((row) => [row['tax rate'], row.owed])).toEqual(
      tax.map(({ rate, amount }) => [rate, plain(amount)]),
    );
    expect(tax).toEqual([{ rate: '8', amount: 1384 }]);
    expect(await taxCsv(app.viewer(), { from: '2031-05-06', to: '2031-05-07' })).toBe('from,to,tax rate,owed\n');
  });

  it.each([
    [0, '0.00'],
    [5, '0.05'],
    [-5, '-0.05'],
    [-123_456, '-1234.56'],
  ])('%i hundredths are %s', (amount, text) => expect(plain(amount)).toBe(text));

  it.each([
    ['', '2031-04-05', '2031-05-05'],
    ['from=2031-01-01&to=2031-01-31', '2031-01-01', '2031-01-31'],
    ['from=2031-02-30&to=nonsense', '2031-04-05', '2031-05-05'],
    ['from=2031-03-01&to=2031-01-31', '2031-01-31', '2031-03-01'],
  ])('the time asked by “%s” is %s to %s', (search, from, to) =>
    expect(timeOf(app, new URLSearchParams(search))).toEqual({ from, to }),
  );
});

it('what a customer still owes is what the order says', async () => {
  expect((await statementOf(app.viewer(), shop.customerId))!.ages).toEqual([TOTAL - 9400, 0, 0, 0, 0]);
});
