// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { CHECK_POINTS } from '@/core/route/steps';
import { Account } from '@/features/collect/account';
import { Collect } from '@/features/collect/collect';
import { findOrdersView } from '@/server/views';
import { button, field, press, sent, shopOfFile, show, went } from '../screens';
import { TOTAL, must, stockedDesign } from '../stocked';

const shop = shopOfFile();
const account = async () => {
  const order = await shop().accepted();
  show(<Account order={await shop().viewOf(order.orderId)} pictures={{}} />);
  await screen.findByRole('heading', { name: /Ström/ });
  return order;
};
const balance = () => screen.getAllByRole('definition').at(-1)!.textContent;
const amount = () => field('Amount to take');
const typeAmount = (text: string) => fireEvent.change(amount(), { target: { value: text } });

describe('taking money', () => {
  it('proposes the deposit, takes it in cash, and shows what is left', async () => {
    const { orderId } = await account();
    expect(amount().value).toBe('94.00');
    press('Take cash');
    await waitFor(() => expect(balance()).toMatch(/92\.84/));
    expect((await shop().viewOf(orderId)).paid).toBe(9400);
    // What follows the deposit is the balance, proposed whole.
    expect(amount().value).toBe('92.84');
  });

  it.each([
    ['', /amount/i],
    ['0', /0/],
    ['-5', /-5/],
    ['12,345,6', /12,345,6/],
    ['abc', /abc/],
    ['186.85', /186\.8[45]/],
  ])('refuses “%s” beside the field, sends nothing, and keeps what was typed', async (text, why) => {
    await account();
    typeAmount(text);
    press('Take cash');
    await waitFor(() =>
      expect(document.getElementById(amount().getAttribute('aria-describedby')!)!.textContent).toMatch(why),
    );
    expect(amount().getAttribute('aria-invalid')).toBe('true');
    expect([sent(shop()), amount().value]).toEqual([[], text]);
  });

  it('takes the whole by card, tells a declined card, and charges once what was asked again', async () => {
    const { orderId } = await account();
    typeAmount('186.84');
    fireEvent.click(button('is declined'));
    press('By card');
    await screen.findByText(/declined/i, { selector: 'p' });
    expect((await shop().viewOf(orderId)).paid).toBe(0);
    fireEvent.click(button('pays'));
    press('By card');
    await waitFor(async () => expect((await shop().viewOf(orderId)).paid).toBe(TOTAL));
    await waitFor(() => expect(balance()).toMatch(/0\.00/));
    expect(sent(shop()).map(({ name }) => name)).toEqual(['ask-card', 'ask-card']);
  });

  it('books a payment once when its answer was lost: it waits, and is sent again by its id', async () => {
    const { orderId } = await account();
    const through = shop().served.fetch;
    let lost = 0;
    vi.stubGlobal('fetch', async (url: string, init?: RequestInit) => {
      const answer = await through(url, init);
      if (url === '/api/v1/commands' && lost++ === 0) throw new TypeError('the line broke');
      return answer;
    });
    press('Take cash');
    await waitFor(() => expect(lost).toBe(1));
    expect(button('Take cash').disabled).toBe(true);
    await waitFor(() => expect(amount().value).toBe('92.84'), { timeout: 6000 });
    expect(lost).toBe(2);
    expect((await shop().viewOf(orderId)).payments.map((one) => one.amount)).toEqual([9400]);
  });
});

describe('a slip', () => {
  it('is reversed by another line with its reason, and cannot be reversed again', async () => {
    const { orderId } = await account();
    press('Take cash');
    fireEvent.click(await screen.findByRole('button', { name: 'reverse' }));
    const why = await screen.findByLabelText('Why is it reversed?');
    expect(within(why.closest('form')!).getByRole<HTMLButtonElement>('button').disabled).toBe(true);
    fireEvent.change(why, { target: { value: 'Typed in the wrong order' } });
    fireEvent.click(within(why.closest('form')!).getByRole('button'));
    await waitFor(async () => expect((await shop().viewOf(orderId)).paid).toBe(0));
    await screen.findByText(/Typed in the wrong order/);
    expect(screen.queryByRole('button', { name: 'reverse' })).toBeNull();
  });
});

describe('the end of an order', () => {
  it('is handed over when it is paid and ready, to somebody who signs', async () => {
    const order = await shop().accepted();
    await shop().workTo(order.ticket, 'final-check');
    const job = await shop().jobOf(order.ticket);
    const points = Object.fromEntries(Object.keys(CHECK_POINTS).map((point) => [point, 'ok' as const]));
    await must(shop().app.command('final-check', { jobId: job.id, revision: job.revision, points }));
    show(<Account order={await shop().viewOf(order.orderId)} pictures={{}} />);
    fireEvent.change(await screen.findByLabelText('Amount to take'), { target: { value: '186.84' } });
    press('Take cash');
    const hand = await screen.findByRole<HTMLButtonElement>('button', { name: 'Hand over' });
    expect(hand.disabled).toBe(true);
    fireEvent.click(screen.getByRole('checkbox'));
    fireEvent.change(field('Signed for by'), { target: { value: 'Ada’s neighbour' } });
    fireEvent.click(hand);
    await screen.findByText(/Handed over/, { selector: 'p' });
    expect((await shop().viewOf(order.orderId)).state).toBe('handed-over');
  });

  it('says which pieces are not ready instead of a hand-over', async () => {
    const { ticket } = await account();
    typeAmount('186.84');
    press('Take cash');
    await screen.findByText(new RegExp(`${ticket}.*not ready|not ready.*${ticket}`));
    expect(screen.queryByRole('button', { name: 'Hand over' })).toBeNull();
  });

  it('is cancelled with a reason, not while money is on it', async () => {
    const { orderId } = await account();
    const cancel = async (reason: string) => {
      fireEvent.click(await screen.findByRole('button', { name: /^Cancel/ }));
      const why = await screen.findByLabelText('Why is it cancelled?');
      fireEvent.change(why, { target: { value: reason } });
      fireEvent.click(within(why.closest('form')!).getByRole('button'));
    };
    await cancel('Moved away');
    await waitFor(async () => expect((await shop().viewOf(orderId)).state).toBe('cancelled'));
    await waitFor(() => expect(screen.queryByLabelText('Amount to take')).toBeNull());
  });
});

describe('finding who is at the counter', () => {
  it('finds by ticket, name and phone, and opens the first on Enter', async () => {
    const { number, ticket } = await shop().accepted();
    show(<Collect start={await findOrdersView(shop().app.viewer(), '', ['accepted'])} />);
    const who = await screen.findByRole<HTMLInputElement>('textbox');
    fireEvent.change(who, { target: { value: ticket } });
    await waitFor(() => expect(screen.getAllByRole('link')).toHaveLength(1));
    await waitFor(() => {
      fireEvent.keyDown(who, { key: 'Enter' });
      expect(went).toContain(`/collect/${number}`);
    });
    fireEvent.change(who, { target: { value: "'; DROP TABLE orders; --" } });
    await waitFor(() => expect(screen.queryAllByRole('link')).toEqual([]));
    expect(who.value).toBe("'; DROP TABLE orders; --");
  });

  it('opens what was typed when Enter comes before the list does, never the first of the list before', async () => {
    const other = await shop().accepted();
    const { number, ticket } = await shop().accepted();
    show(<Collect start={await findOrdersView(shop().app.viewer(), '', ['accepted'])} />);
    const who = await screen.findByRole<HTMLInputElement>('textbox');
    expect(screen.getAllByRole('link').length).toBeGreaterThanOrEqual(2);
    fireEvent.change(who, { target: { value: ticket } });
    fireEvent.keyDown(who, { key: 'Enter' });
    await waitFor(() => expect(went).toContain(`/collect/${number}`));
    expect(went).not.toContain(`/collect/${other.number}`);
  });
});

describe('pieces that go one by one', () => {
  it('lets those that are ready go before the rest, once they are paid', async () => {
    const order = await shop().quote([stockedDesign(), stockedDesign()]);
    const { orderId } = order;
    await must(shop().app.command('accept-order', { orderId, revision: 1, total: 2 * TOTAL, reasons: {} }));
    await must(shop().app.command('take-cash', { orderId, paymentId: crypto.randomUUID(), amount: TOTAL }));
    const { number } = await shop().viewOf(orderId);
    await shop().workTo(`${number}-1`, 'final-check');
    const job = await shop().jobOf(`${number}-1`);
    const points = Object.fromEntries(Object.keys(CHECK_POINTS).map((point) => [point, 'ok' as const]));
    await must(shop().app.command('final-check', { jobId: job.id, revision: job.revision, points }));
    show(<Account order={await shop().viewOf(orderId)} pictures={{}} />);
    const stays = await screen.findByLabelText<HTMLInputElement>(`${number}-2 is not ready yet`);
    expect([stays.disabled, stays.checked]).toEqual([true, false]);
    fireEvent.click(screen.getByLabelText(`${number}-1 goes now`));
    await waitFor(() => expect(button('Hand over these 0').disabled).toBe(true));
    fireEvent.click(screen.getByLabelText(`${number}-1 goes now`));
    fireEvent.click(screen.getByLabelText(/Looked at together/));
    press('Hand over this one');
    await waitFor(async () => expect((await shop().viewOf(orderId)).jobs[0]!.state).toBe('handed-over'));
    await waitFor(() => expect(screen.queryByRole('button', { name: /^Hand over/ })).toBeNull());
    expect(balance()).toMatch(/186\.84/);
  });
});

describe('less than the deposit', () => {
  it('is asked why, and the reason goes along', async () => {
    const { orderId } = await account();
    expect(screen.queryByLabelText(/of the deposit/)).toBeNull();
    typeAmount('50');
    const why = await screen.findByLabelText('Why less than the 94.00 of the deposit?');
    fireEvent.change(why, { target: { value: 'the rest on Friday' } });
    press('Take cash');
    await waitFor(async () => expect((await shop().viewOf(orderId)).payments[0]?.note).toBe('the rest on Friday'));
  });
});

describe('more than the balance', () => {
  it('is taken once it is meant as credit, and then owed back', async () => {
    const { orderId } = await account();
    typeAmount('200');
    press('Take cash');
    await waitFor(() => expect(amount().getAttribute('aria-invalid')).toBe('true'));
    fireEvent.click(screen.getByLabelText('13.16 more than the balance is meant as their credit'));
    press('Take cash');
    await waitFor(async () => expect((await shop().viewOf(orderId)).owedBack).toBe(1316));
  });
});
