// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { listTills } from '@/db/queries/ledger';
import { Account } from '@/features/collect/account';
import { Ledger } from '@/features/till/ledger';
import { Till } from '@/features/till/till';
import { ledgerView, tillReport, tillView } from '@/server/ledger-views';
import { field, press, sent, shopOfFile, show, type } from '../screens';
import { TOTAL, must } from '../stocked';

const shop = shopOfFile(undefined, { till: false });
const till = async () => show(<Till first={await tillView(shop().app.viewer())} owner />);
const said = (label: string) => document.getElementById(field(label).getAttribute('aria-describedby')!)!.textContent;

describe('the till', () => {
  it('is opened with what is counted, books cash out, is counted blind and sealed with a reason', async () => {
    await till();
    type('20.00', '7');
    type('1.00', '10');
    expect(screen.getByText('In all').textContent).toMatch(/150\.00/);
    press('Open it');
    await screen.findByRole('heading', { name: 'Close the day' });
    expect(screen.getByText(/with a float of/).textContent).toMatch(/150\.00/);

    press('Cash in or out');
    await screen.findByLabelText('What for');
    type('Amount', '18');
    type('What for', 'tape');
    press('Book it');
    await screen.findByText('tape');
    // Nothing tells what should lie there before it is counted.
    expect(document.body.textContent).not.toMatch(/132\.00/);

    type('20.00', '6');
    type('1.00', 'eleven');
    press('It is counted');
    await screen.findByText(/eleven/);
    type('1.00', '11');
    type('Card total on the terminal', '5');
    press('It is counted');
    const table = within(await screen.findByRole('table', { name: 'Close the day' }));
    const rows = table.getAllByRole('row').slice(1);
    expect(
      rows.map((row) =>
        within(row)
          .getAllByRole('cell')
          .map((cell) => cell.textContent),
      ),
    ).toEqual([
      ['Cash', '131.00', '132.00', '−1.00'],
      ['Card', '5.00', '0.00', '5.00'],
      ['Vouchers', '0.00', '0.00', '0.00'],
    ]);
    expect(field('Why it differs, as far as is known').value).toBe('');
    press('Seal the day');
    await waitFor(() => expect(said('Why it differs, as far as is known')).toMatch(/Say in a sentence/));
    type('Why it differs, as far as is known', 'A coin is missing');
    press('Seal the day');
    await screen.findByRole('heading', { name: 'Open the till' });
    const [day] = (await tillView(shop().app.viewer())).sealed;
    expect((await tillReport(shop().app.viewer(), day!.id))!.overShort).toBe(-100);
    expect(screen.getByRole('link', { name: 'Day report' }).getAttribute('href')).toBe(`/papers/day-report/${day!.id}`);
  });

  it('asks about an amount no drawer holds, books it when it is right, and takes it back by its opposite', async () => {
    const { app } = shop();
    const pieces = [{ of: 1, count: 13_100 }];
    await must(app.command('open-till', { dayId: crypto.randomUUID(), till: 1, pieces }));
    await till();
    press('Cash in or out');
    await screen.findByLabelText('What for');
    press('Put in');
    type('Amount', '42912345');
    type('What for', 'scanned');
    press('Book it');
    await screen.findByRole('button', { name: 'Yes, it’s right' });
    expect(said('Amount')).toMatch(/42912345\.00 is more than a drawer ever holds/);
    expect((await tillView(app.viewer())).entries.filter(({ kind }) => kind === 'cash-in')).toEqual([]);
    // Another amount is not the one that was asked about.
    type('Amount', '42912346');
    press('Book it');
    await screen.findByRole('button', { name: 'Yes, it’s right' });
    press('Yes, it’s right');
    await screen.findByText('scanned');
    press('Take back');
    const form = within(await screen.findByRole('form', { name: 'Take back an entry' }));
    fireEvent.change(form.getByLabelText('What for'), { target: { value: 'a scanned code' } });
    fireEvent.click(form.getByRole('button', { name: 'Take back' }));
    await screen.findByText('a scanned code');
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Take back' })).toBeNull());
    const moved = (await tillView(app.viewer())).entries.filter(({ kind }) => kind === 'cash-in');
    expect(moved.map(({ postings }) => postings[0]!.amount)).toEqual([4_291_234_600, -4_291_234_600]);
  });

  it('sells a voucher and shows its code once; what is no amount stays with its reason', async () => {
    await till();
    press('Sell a voucher');
    await screen.findByLabelText('Worth');
    type('Worth', '50,00,1');
    press('Sell it');
    await waitFor(() => expect(said('Worth')).toMatch(/not an amount/));
    expect([sent(shop()).length, field('Worth').value]).toEqual([0, '50,00,1']);
    type('Worth', '50.00');
    type('Runs out on', 'tomorrow');
    press('Sell it');
    await waitFor(() => expect(field('Runs out on').getAttribute('aria-invalid')).toBe('true'));
    type('Runs out on', '');
    press('Sell it');
    const code = (await screen.findByRole('status')).textContent!;
    expect(code).toMatch(/[2-9A-Z]{4}(-[2-9A-Z]{4}){3}/);
    const { vouchers } = await ledgerView(shop().app.viewer(), '2000-01-01', '2199-12-31');
    expect(vouchers.map(({ left }) => left)).toEqual([5000]);
    expect(code).toContain(vouchers[0]!.code);
  });

  it('has another drawer, where this device is put', async () => {
    await till();
    press('Another till');
    await screen.findByLabelText('Its name');
    type('Its name', 'Framing counter');
    press('Add it');
    await screen.findByRole('button', { name: 'Framing counter' });
    expect(await listTills(shop().app.db)).toEqual([
      { number: 1, name: '1' },
      { number: 2, name: 'Framing counter' },
    ]);
    press('Framing counter');
    await waitFor(() =>
      expect(screen.getByRole('button', { name: 'Framing counter' }).getAttribute('aria-pressed')).toBe('true'),
    );
    press('Till 1');
    await waitFor(() =>
      expect(screen.getByRole('button', { name: 'Till 1' }).getAttribute('aria-pressed')).toBe('true'),
    );
  });
});

describe('money at the order', () => {
  const account = async () => {
    const order = await shop().accepted();
    show(<Account order={await shop().viewOf(order.orderId)} pictures={{}} owner />);
    await screen.findByRole('heading', { name: /Ström/ });
    return order;
  };

  it('takes a part in cash and tells the change, the rest by transfer', async () => {
    const { orderId } = await account();
    type('Put on the counter', '90');
    press('Take cash');
    await waitFor(() => expect(said('Put on the counter')).toMatch(/less than/));
    expect(sent(shop())).toEqual([]);
    type('Put on the counter', '100');
    expect(screen.getByText(/^Change:/).textContent).toMatch(/6\.00/);
    press('Take cash');
    await waitFor(() => expect(screen.getByRole('status').textContent).toMatch(/Change to give: 6\.00/));
    // What was put down is no change, and what was paid is in the list as soon as it is said to be taken.
    expect(screen.getByRole('status').textContent).not.toMatch(/100\.00/);
    expect(document.body.textContent).not.toMatch(/Nothing was paid yet/);
    expect(document.body.textContent).toMatch(/92\.84/);
    press('Transfer');
    await screen.findByLabelText(/What the bank shows/);
    type(/What the bank shows/, 'BO STROM 2401');
    press('It has come');
    await waitFor(async () => expect((await shop().viewOf(orderId)).balance).toBe(0));
    expect((await shop().viewOf(orderId)).payments.map(({ method, amount, note }) => [method, amount, note])).toEqual([
      ['cash', 9400, ''],
      ['bank', TOTAL - 9400, 'BO STROM 2401'],
    ]);
  });

  it('says beside its code what is wrong with a voucher', async () => {
    await account();
    press('Voucher');
    await screen.findByLabelText('Code of the voucher');
    type('Code of the voucher', 'nothing');
    press('Take it off');
    await waitFor(() => expect(said('Code of the voucher')).toMatch(/no voucher with this code/));
    expect(field('Code of the voucher').value).toBe('nothing');
  });

  it('gives money back with its reason, proposed by the means it came', async () => {
    const { orderId } = await shop().accepted();
    await must(shop().app.command('take-cash', { orderId, paymentId: crypto.randomUUID(), amount: 9400 }));
    show(<Account order={await shop().viewOf(orderId)} pictures={{}} />);
    press('Give money back');
    await screen.findByLabelText('Amount to give back');
    expect(said('Amount to give back')).toMatch(/94\.00/);
    type('Amount to give back', '94.01');
    type('Why is it given back?', 'measured wrong');
    press('Give it back');
    await waitFor(() => expect(said('Amount to give back')).toMatch(/94/));
    type('Amount to give back', '4.00');
    press('Give it back');
    await waitFor(async () => expect((await shop().viewOf(orderId)).paid).toBe(9000));
  });

  it('cancels with what is kept shown with its working, the rest going back', async () => {
    const { orderId, ticket } = await shop().accepted();
    await must(shop().app.command('take-cash', { orderId, paymentId: crypto.randomUUID(), amount: 9400 }));
    await shop().workTo(ticket, 'join');
    show(<Account order={await shop().viewOf(orderId)} pictures={{}} />);
    press('Cancel this order');
    await screen.findByLabelText('To keep of it');
    expect(field('To keep of it').value).toBe('30.45');
    expect(screen.getByText(/7\.25 ft/)).toBeDefined();
    type('To keep of it', '20');
    expect(screen.getByText(/Goes back/).textContent).toMatch(/74\.00/);
    type('Why is it cancelled?', 'moved away');
    press('Cancel it');
    await waitFor(async () => expect((await shop().viewOf(orderId)).state).toBe('cancelled'));
    expect((await shop().viewOf(orderId)).paid).toBe(2000);
  });

  it('lets the owner give terms, and then hands over for what is owed', async () => {
    const { orderId } = await account();
    press('Change');
    await screen.findByLabelText('Days after the hand-over');
    type('Days after the hand-over', 'soon');
    press('Keep it');
    await waitFor(() => expect(said('Days after the hand-over')).toMatch(/whole number/));
    type('Days after the hand-over', '30');
    type('Owing never more than', '500');
    press('Keep it');
    await screen.findByText('Pays within 30 days of the hand-over, up to 500.00.');
    expect((await shop().viewOf(orderId)).terms).toEqual({ days: 30, limit: 50_000 });
  });
});

it('the ledger shows both sides to the cent, and its sums agree', async () => {
  show(<Ledger first={await ledgerView(shop().app.viewer(), '2000-01-01', '2199-12-31')} />);
  const rows = within(screen.getByRole('table', { name: 'Trial balance' })).getAllByRole('row');
  const [, debit, credit] = within(rows.at(-1)!)
    .getAllByRole('cell')
    .map((cell) => cell.textContent);
  expect(debit).toBe(credit);
  const cents = (text: string | null) => Math.round(Number((text ?? '').replace('−', '-')) * 100);
  const shown = rows.slice(1, -1).map((row) =>
    within(row)
      .getAllByRole('cell')
      .map((cell) => cell.textContent),
  );
  expect(shown.reduce((total, [, side]) => total + cents(side!), 0)).toBe(cents(debit!));
  expect(shown.map(([account]) => account!.trim())).toEqual([
    'Cash',
    'Bank',
    'Vouchers owed',
    'Customer deposits',
    'Sales',
    'Tax owed 8 %',
    'Over and short',
    'Expenses',
  ]);
});
