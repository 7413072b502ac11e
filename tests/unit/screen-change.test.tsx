// @vitest-environment happy-dom
/** After yes, as it is seen at the desk: what an agreed order becomes, quotes that are gone through, links that are made. */
import { screen, waitFor, within } from '@testing-library/react';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import { AgreedOrder } from '@/features/desk/agreed';
import { DeskScreen } from '@/features/desk/desk';
import { newDraft } from '@/features/desk/draft';
import { LinkDialog } from '@/features/desk/link-dialog';
import { Quotes } from '@/features/quotes/quotes';
import { guestOf } from '@/server/guests';
import { actByLink } from '@/server/guest-acts';
import { quotesView } from '@/server/quotes-view';
import { asAgreed, shopView } from '@/server/views';
import { went } from '../next/navigation';
import { button, press, sent, shopOfFile, show, type } from '../screens';
import { codes, must, stockedDesign } from '../stocked';

const shop = shopOfFile();
beforeAll(() => vi.spyOn(window, 'open').mockReturnValue(null));

async function change(orderId: string) {
  const view = (await shopView(shop().app.viewer()))!;
  const order = asAgreed(await shop().viewOf(orderId));
  show(<DeskScreen order={order} changing who="ada" mine={null} shop={view} fresh={newDraft(view, '2031-05-05')} />);
  await screen.findByRole('button', { name: 'Agree the change' });
  return order;
}
const dialog = () => within(screen.getByRole('dialog'));
const agreeing = async () => {
  press('Agree the change');
  await screen.findByRole('dialog');
};

describe('an agreed order at the desk', () => {
  it('is not changed by opening it; neither its customer nor the number of its pieces is touched', async () => {
    const { orderId } = await shop().accepted();
    await change(orderId);
    expect(button('Agree the change').disabled).toBe(true);
    expect(screen.queryByRole('button', { name: 'Add piece' })).toBeNull();
    expect(screen.queryByRole('button', { name: 'Save quote' })).toBeNull();
    expect(button(/Bo "Robert/).disabled).toBe(true);
    expect(screen.queryByText(/held until/)).toBeNull();
  });

  it('shows what each piece and the order come to, before and after, and agrees to that', async () => {
    const { orderId } = await shop().accepted();
    const before = await change(orderId);
    type('Width', '14');
    await agreeing();
    const rows = dialog()
      .getAllByRole('term')
      .map((term) => term.textContent);
    expect(rows).toEqual(['Piece 1', 'Order with tax', 'To pay more', 'Paid so far']);
    expect(dialog().getByText(/186\.84/)).toBeTruthy();
    dialog().getByRole('button', { name: 'Agree the change' }).click();
    await waitFor(() => expect(went).toEqual([`/desk/${before.number}`]));
    const after = await shop().viewOf(orderId);
    expect(after.agreed!.total).toBeGreaterThan(before.agreed!.total);
    expect(sent(shop()).at(-1)!.payload).toMatchObject({ total: after.agreed!.total, paid: {} });
  });

  it('of which only words are changed costs what it did', async () => {
    const { orderId } = await shop().accepted();
    const { agreed } = await change(orderId);
    type('Name', 'Harbour');
    await agreeing();
    expect(dialog().getByText('spelt anew')).toBeTruthy();
    dialog().getByRole('button', { name: 'Agree the change' }).click();
    await waitFor(() => expect(went).toHaveLength(1));
    const after = await shop().viewOf(orderId);
    expect([after.agreed!.total, after.pieces[0]!.design.piece.title]).toEqual([agreed!.total, 'Harbour']);
  });

  it('that has begun asks what of it is paid; what is no amount is said beside it and kept', async () => {
    const { orderId, ticket, jobId } = await shop().accepted();
    await shop().workTo(ticket, 'join');
    const { begun } = await change(orderId);
    const { amount } = begun[jobId]!;
    type('Width', '14');
    await agreeing();
    const label = /of what was cut and done, the customer pays/;
    expect(dialog().getByLabelText<HTMLInputElement>(label).value).toBe((amount / 100).toFixed(2));
    type(label, 'half');
    dialog().getByRole('button', { name: 'Agree the change' }).click();
    expect((await dialog().findByRole('alert')).textContent).toContain('half');
    expect(dialog().getByLabelText<HTMLInputElement>(label).value).toBe('half');
    type(label, '0');
    dialog().getByRole('button', { name: 'Agree the change' }).click();
    await waitFor(() => expect(went).toHaveLength(1));
    expect((await shop().viewOf(orderId)).pieces[0]!.agreed!.resolved.design.extras ?? []).toEqual([]);
    expect((await shop().jobOf(ticket)).next).toBe('materials-here');
  });

  it('has its link and its change where it is shown', async () => {
    const { orderId, number } = await shop().accepted();
    show(<AgreedOrder order={await shop().viewOf(orderId)} />);
    expect(screen.getByRole('link', { name: 'Change' }).getAttribute('href')).toBe(`/desk/${number}?change`);
    press('Link');
    await screen.findByRole('button', { name: 'Make a link' });
  });
});

describe('quotes', () => {
  it('are shown with what is left of them, and one that ran out is quoted anew where it stands', async () => {
    const clock = shop().app.clock;
    const morning = clock.at;
    const { orderId } = await shop().quote([stockedDesign({ insists: 'Ran out' })]);
    clock.at = new Date('2031-06-10T10:00:00Z');
    await shop().served.signIn('Ada', '1357');
    const { number } = await shop().viewOf(orderId);
    show(<Quotes first={await quotesView(shop().app.viewer('counter'))} />);
    const row = () => within(screen.getByRole('link', { name: String(number) }).closest('tr')!);
    expect(row().getByText('ran out 6 days ago')).toBeTruthy();
    row()
      .getByRole('button', { name: `Quote anew ${number}` })
      .click();
    await waitFor(() => expect(row().getByText('30 days left')).toBeTruthy());
    expect((await shop().viewOf(orderId)).quoteUntil).toBe('2031-07-10');
    clock.at = morning;
  });

  it('without one say what belongs there', () => {
    show(<Quotes first={{ lines: [], more: false }} />);
    expect(screen.getByRole('link', { name: 'New order' }).getAttribute('href')).toBe('/desk');
  });
});

describe('a link at the desk', () => {
  const order = async () => {
    const { orderId } = await shop().quote();
    const { number, revision } = await shop().viewOf(orderId);
    return { id: orderId, number, revision, customer: 'Bo' };
  };

  it('is made with a reason for each warning, shown once, and withdrawn', async () => {
    const one = await order();
    const warnings = [{ key: `${crypto.randomUUID()}:no-uv`, text: 'It fades.' }];
    show(<LinkDialog order={one} warnings={warnings} onClose={() => undefined} />);
    await screen.findByText(/It fades/);
    expect(button('Make a link').disabled).toBe(true);
    type(/It fades/, 'The customer knows');
    press('Make a link');
    const address = await screen.findByLabelText<HTMLInputElement>('Address of the link');
    const token = address.value.split('/').at(-1)!;
    expect(await guestOf(shop().app, token, '10.1.1.1')).toMatchObject({ orderId: one.id });
    const withdraw = await screen.findByRole('button', { name: 'Withdraw' });
    withdraw.click();
    await screen.findByText(/· withdrawn/);
    expect(await guestOf(shop().app, token, '10.1.1.1')).toBe('withdrawn');
  });

  it('tells what was asked by it and takes the answer; an empty one is said', async () => {
    const one = await order();
    const [linkId, token] = [crypto.randomUUID(), 'Q'.repeat(22)];
    await must(
      shop().app.command('make-link', { linkId, orderId: one.id, revision: one.revision, token, reasons: {} }),
    );
    const guest = await guestOf(shop().app, token, '10.1.1.2');
    if (typeof guest === 'string') throw new Error(guest);
    await actByLink(guest, { act: 'ask', question: 'Is it matt?' }, '/');
    show(<LinkDialog order={one} warnings={[]} onClose={() => undefined} />);
    await screen.findByText('Asked: Is it matt?');
    press('Answer');
    await screen.findByRole('alert');
    type('Your answer', 'It is clear.');
    press('Answer');
    await screen.findByText('Ada answered: It is clear.');
    await waitFor(() => expect(screen.queryByLabelText('Your answer')).toBeNull());
    expect(codes(await shop().app.command('answer-question', { linkId, text: '\n' }))).toMatch(/^input-wrong/);
  });
});
