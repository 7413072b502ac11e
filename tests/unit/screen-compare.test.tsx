// @vitest-environment happy-dom
/** Several designs of a piece side by side at the desk: copied, varied, advised, walked, kept, taken back. */
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { DeskScreen } from '@/features/desk/desk';
import { newDraft } from '@/features/desk/draft';
import { shopView } from '@/server/views';
import { shopOfFile, show } from '../screens';
import { stockedDesign } from '../stocked';

const shop = shopOfFile();
beforeEach(() => {
  Object.defineProperty(window, 'matchMedia', { value: () => ({ matches: false }), configurable: true });
  for (const [key, value] of [
    ['clientWidth', 980],
    ['clientHeight', 420],
  ] as const)
    Object.defineProperty(HTMLElement.prototype, key, { value, configurable: true });
});
const key = (name: string) => fireEvent.keyDown(document.body, { key: name });
const side = () => within(screen.getByRole('region', { name: 'Designs side by side' }));
const letters = () =>
  side()
    .getAllByRole('button', { name: /^Work on/ })
    .map((one) => one.getAttribute('aria-label')!.at(-1))
    .join('');
const worked = () =>
  side()
    .getByRole('button', { name: /^Work on/, pressed: true })
    .getAttribute('aria-label');

async function comparing() {
  const payload = await shop().quote([stockedDesign({ glazing: { code: 'GL-CLEAR' } })]);
  const order = await shop().viewOf(payload.orderId);
  const view = (await shopView(shop().app.viewer()))!;
  show(<DeskScreen order={order} who="ada" mine={null} shop={view} fresh={newDraft(view, '2031-05-05')} />);
  await screen.findByRole('heading', { name: /^Order/ });
  key('c');
  await screen.findByRole('heading', { name: 'Designs side by side' });
  return payload;
}

describe('comparing', () => {
  it('copies, walks with the arrows, takes out, and steps back through all of it', async () => {
    await comparing();
    expect(letters()).toBe('A');
    key('+');
    await waitFor(() => expect(letters()).toBe('AB'));
    expect(worked()).toBe('Work on B');
    key('ArrowRight');
    await waitFor(() => expect(worked()).toBe('Work on A'));
    key('+');
    key('+');
    await waitFor(() => expect(letters()).toBe('ABCD'));
    key('+');
    expect(letters()).toBe('ABCD');
    key('Delete');
    await waitFor(() => expect(letters()).toBe('ABC'));
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true });
    await waitFor(() => expect(letters()).toBe('ABCD'));
  });

  it('is saved with what was declined, which is there again when the order is opened', async () => {
    const payload = await comparing();
    key('v');
    const vary = within(await screen.findByRole('dialog'));
    fireEvent.click(vary.getByRole('button', { name: 'Glass' }));
    const [first] = vary.getAllByRole('checkbox');
    fireEvent.click(first!);
    fireEvent.click(vary.getByRole('button', { name: 'Add 1 design' }));
    await waitFor(() => expect(letters()).toBe('AB'));
    fireEvent.click(side().getByRole('button', { name: 'Keep this' }));
    await waitFor(() => expect(letters()).toBe('B'));
    side().getByText('Declined');
    fireEvent.keyDown(document.body, { key: 's', ctrlKey: true });
    await waitFor(async () => {
      const [piece] = (await shop().viewOf(payload.orderId)).pieces;
      expect([piece!.letter, piece!.others!.map(({ letter, declined }) => [letter, declined])]).toEqual([
        'B',
        [['A', true]],
      ]);
    });
    fireEvent.click(side().getByRole('button', { name: 'Take A back' }));
    await waitFor(() => expect(letters()).toBe('AB'));
  });

  it('typing a measure changes every design, another border only the one that is worked on', async () => {
    await comparing();
    key('+');
    await waitFor(() => expect(letters()).toBe('AB'));
    const prices = () =>
      side()
        .getAllByRole('listitem')
        .map((one) => /\d+\.\d\d/.exec(one.textContent!)![0]);
    const before = prices();
    expect(before[0]).toBe(before[1]);
    const width = screen.getByLabelText<HTMLInputElement>('Width');
    width.focus();
    fireEvent.change(width, { target: { value: '15' } });
    fireEvent.blur(width);
    await waitFor(() => expect(prices()[0]).not.toBe(before[0]));
    expect(prices()[0]).toBe(prices()[1]);
    fireEvent.click(screen.getByRole('button', { name: /^2\s*Mat/ }));
    const border = await screen.findByRole<HTMLInputElement>('textbox', { name: /^Border/ });
    border.focus();
    fireEvent.change(border, { target: { value: '4' } });
    fireEvent.blur(border);
    await waitFor(() => expect(prices()[1]).not.toBe(prices()[0]));
  });

  it('advises with a reason and what it would cost, and does nothing by itself', async () => {
    await comparing();
    key('a');
    const advice = within(await screen.findByRole('dialog'));
    advice.getByText(/Equal borders look as if the picture slides down/);
    const [row] = advice.getAllByRole('listitem').filter((one) => one.textContent!.includes('Keeping'));
    expect(row!.textContent).toMatch(/\d+\.\d\d more/);
    fireEvent.click(advice.getByRole('button', { name: 'Close' }));
    await waitFor(() => expect(letters()).toBe('A'));
    key('a');
    const again = within(await screen.findByRole('dialog'));
    const [keeping] = again.getAllByRole('listitem').filter((one) => one.textContent!.includes('Keeping'));
    fireEvent.click(within(keeping!).getByRole('button', { name: 'Add as a design' }));
    fireEvent.click(again.getByRole('button', { name: 'Close' }));
    await waitFor(() => expect(letters()).toBe('AB'));
    expect(worked()).toBe('Work on A');
  });
});
