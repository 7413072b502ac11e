// @vitest-environment happy-dom
/** What a customer reads behind a link, and what the stand-in for the payment page says. */
import { cleanup, render, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import type { OfferView } from '@/contract/link-views';
import { frontScene } from '@/core/drawing/front';
import { workOut } from '@/core/work-out';
import { ClosedPage } from '@/features/link/closed-page';
import { OfferPage } from '@/features/link/offer-page';
import { PaymentPage } from '@/features/link/payment-page';
import { isSaid, sayRefused } from '@/words/screens/link';
import { exampleDesign, shop } from '../shop';

afterEach(cleanup);

const worked = workOut(exampleDesign(), shop());
if (!worked.ok) throw new Error('the example cannot be made');
const design = (
  letter: 'A' | 'B',
  chosen: boolean,
  price: number | null = 17300,
): OfferView['pieces'][number]['designs'][number] => ({
  letter,
  chosen,
  made: 'Window mat; Oak; 16 7/8 × 23 3/8 in outside',
  told: 'print of 10 × 16 in',
  price,
  lines: [{ name: 'Moulding', amount: 9000 }],
  not: ['delivery'],
  scene: frontScene(worked.value, false),
});
const offer = (over: Partial<OfferView> = {}): OfferView => ({
  shop: { name: 'Test shop', contact: 'Pier 4', currency: 'EUR' },
  unit: 'in',
  number: 2401,
  revision: 3,
  state: 'quoted',
  customer: 'Bo Ström',
  promised: '2031-05-19',
  quoteUntil: '2031-06-04',
  expired: false,
  pieces: [
    { id: 'p1', title: 'Harbour', insists: 'No glue', designs: [design('A', true), design('B', false, 19_900)] },
  ],
  price: { pieces: 17_300, tax: [{ percent: '8', amount: 1384 }], contained: false, total: 18_684, deposit: 9400 },
  paid: 0,
  owed: 0,
  talk: [],
  agreedAt: null,
  terms: ['Half at once.'],
  ends: '2031-06-04T10:00:00.000Z',
  ...over,
});
const show = (view: OfferView, over: Partial<Parameters<typeof OfferPage>[0]> = {}) =>
  render(<OfferPage view={view} token="T" said={undefined} name="" question="" {...over} />);
const sent = (button: HTMLElement) => Object.fromEntries(new FormData(button.closest('form')!));

describe('the page of a link', () => {
  it('offers what can be chosen instead, and sends what was chosen with the order as it was seen', () => {
    show(offer());
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Your quote');
    expect(screen.queryByRole('button', { name: 'Choose A' })).toBeNull();
    const choose = screen.getByRole('button', { name: 'Choose B' });
    expect(sent(choose)).toEqual({ act: 'choose', revision: '3', piece: 'p1', letter: 'B' });
    expect(choose.closest('form')!.getAttribute('action')).toBe('/api/link/T');
    expect(screen.getByText('199.00', { exact: false })).toBeTruthy();
    expect(screen.getByRole('img', { name: 'Design B of Harbour' })).toBeTruthy();
  });

  it('agrees to the total that is shown', () => {
    show(offer(), { name: 'Bo' });
    const agree = screen.getByRole('button', { name: 'Agree, 186.84' });
    expect(sent(agree)).toEqual({ act: 'accept', revision: '3', total: '18684', name: 'Bo' });
    expect(screen.getByText('Total, EUR').parentElement!.textContent).toContain('186.84');
    expect(screen.getByText('Half at once.')).toBeTruthy();
  });

  it('of one design asks for no choice', () => {
    show(offer({ pieces: [{ id: 'p1', title: '', insists: '', designs: [design('A', true)] }] }));
    expect(screen.queryByText(/Pick the one/)).toBeNull();
    expect(screen.queryByRole('button', { name: /Choose/ })).toBeNull();
    expect(screen.getByRole('heading', { name: 'Piece 1' })).toBeTruthy();
  });

  it('that ran out can be asked about, and not agreed to', () => {
    show(offer({ expired: true }));
    expect(screen.getByText(/cannot agree to them here any more/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Agree/ })).toBeNull();
    expect(screen.queryByRole('button', { name: /Choose/ })).toBeNull();
    expect(sent(screen.getByRole('button', { name: 'Ask' }))).toEqual({ act: 'ask', question: '' });
  });

  it('of something that is not to be had any more says so, and shows no price of it', () => {
    show(offer({ pieces: [], price: null }));
    expect(screen.getByText(/not to be had any more/)).toBeTruthy();
    expect(screen.queryByText('What it comes to')).toBeNull();
    expect(screen.queryByRole('button', { name: /^Agree/ })).toBeNull();
  });

  it('after yes asks for the deposit, and no more once it is there', () => {
    const agreed = { state: 'accepted', agreedAt: '2031-05-05T10:00:00.000Z' } as const;
    const { unmount } = show(offer({ ...agreed, owed: 9400 }));
    expect(screen.getByText('You agreed on Mon 5 May.')).toBeTruthy();
    expect(sent(screen.getByRole('button', { name: 'Pay 94.00' }))).toEqual({ act: 'pay' });
    unmount();
    show(offer({ ...agreed, paid: 9400 }));
    expect(screen.queryByRole('button', { name: /^Pay/ })).toBeNull();
    expect(screen.getByText('Still to be paid').parentElement!.textContent).toContain('92.84');
  });

  it('shows what was asked as it was written, and gives back what was typed and refused', () => {
    const asked = '<img src=x onerror=alert(1)>';
    const talk = [{ what: 'asked' as const, text: asked, at: '2031-05-05T10:00:00.000Z' }];
    show(offer({ talk }), { said: 'question-missing', question: 'y'.repeat(20) });
    expect(screen.getByText(asked)).toBeTruthy();
    expect(document.querySelector('img[src="x"]')).toBeNull();
    expect(screen.getByRole('alert').textContent).toBe(sayRefused('question-missing'));
    expect(screen.getByLabelText<HTMLTextAreaElement>('What would you like to know?').value).toBe('y'.repeat(20));
    expect(screen.getByText(/Your question is with us/)).toBeTruthy();
  });

  it('says only what it knows: a code from elsewhere is no sentence of ours', () => {
    expect(isSaid('order-agreed')).toBe(true);
    for (const code of ['', 'constructor', '__proto__', '<b>hello</b>', 'anything']) expect(isSaid(code)).toBe(false);
    expect(sayRefused('constructor')).toBe('We must look at this first. Please ask us.');
  });

  it('in its other unit is one touch away', () => {
    const { unmount } = show(offer());
    expect(screen.getByRole('link', { name: 'In millimetres' }).getAttribute('href')).toBe('/link/T?unit=mm');
    unmount();
    show(offer({ unit: 'mm' }));
    expect(screen.getByRole('link', { name: 'In inches' })).toBeTruthy();
  });
});

describe('a link that shows nothing', () => {
  it('tells whoever had one whom to ask', () => {
    render(<ClosedPage why="withdrawn" contact="Pier 4" />);
    expect(screen.getByText('Pier 4')).toBeTruthy();
    expect(screen.getByRole('heading', { name: 'This link was withdrawn' })).toBeTruthy();
  });
});

describe('the page that stands in for a payment provider', () => {
  const asked = { amount: 9400, text: 'Test shop, Order 2401', back: '/link/T' };
  it('says that it does, and lets one pay or not', () => {
    render(<PaymentPage reference="r" asked={asked} settled={false} />);
    const main = within(screen.getByRole('main'));
    expect(main.getByText(/No money moves/)).toBeTruthy();
    expect(main.getByRole('button', { name: 'Pay 94.00' })).toBeTruthy();
    expect(main.getByRole('button', { name: 'Do not pay' }).closest('form')!.getAttribute('action')).toBe('/api/pay/r');
  });
  it('takes nothing twice, and nothing it was not asked for', () => {
    const { unmount } = render(<PaymentPage reference="r" asked={asked} settled />);
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.getByText('This payment is settled.')).toBeTruthy();
    unmount();
    render(<PaymentPage reference="r" asked={undefined} settled={false} />);
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.getByText(/not known here any more/)).toBeTruthy();
  });
});
