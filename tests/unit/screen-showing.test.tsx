// @vitest-environment happy-dom
/** Putting the order of a desk on a screen that faces the customer: chosen, followed, stopped, and off when the desk is left. */
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import type { ShopView } from '@/contract/views';
import type { ShownView } from '@/contract/shown-view';
import { DeskScreen } from '@/features/desk/desk';
import { newDraft } from '@/features/desk/draft';
import { ShownScreen } from '@/features/view/shown-screen';
import { shopView } from '@/server/views';
import { dialog, press, shopOfFile, show } from '../screens';
import { must, stockedDesign } from '../stocked';

const device = crypto.randomUUID();
const shop = shopOfFile(async ({ app }) => {
  await must(app.command('add-staff', { id: device, name: 'Window', pin: '7531', role: 'view' }));
});
let view: ShopView;
beforeEach(async () => {
  sessionStorage.clear();
  shop().app.mind.shown.clear();
  view = (await shopView(shop().app.viewer()))!;
  Object.defineProperty(window, 'matchMedia', { value: () => ({ matches: false }), configurable: true });
});
const titled = (title: string) => {
  const design = stockedDesign();
  return { ...design, piece: { ...design.piece, title } };
};
async function atDesk() {
  const payload = await shop().quote([titled('Blue boat'), titled('Gull')]);
  const order = await shop().viewOf(payload.orderId);
  show(<DeskScreen order={order} who="ada" mine={null} shop={view} fresh={newDraft(view, '2031-05-05')} />);
  await screen.findByLabelText('Width');
  press('Screen');
  return payload;
}
const on = (id = device) => shop().app.mind.shown.get(id);

describe('the order of a desk on a screen', () => {
  it('is put on the one that is chosen, goes along to the piece that is spoken of, and is stopped', async () => {
    const { orderId, pieces } = await atDesk();
    fireEvent.click(await screen.findByRole('button', { name: 'Show on Window' }));
    await waitFor(() => expect(on()).toMatchObject({ order: orderId, piece: pieces[0]!.id }));
    fireEvent.click(await screen.findByRole('tab', { name: /Gull/ }));
    await waitFor(() => expect(on()).toMatchObject({ piece: pieces[1]!.id }));
    press('Screen');
    const open = await dialog();
    open.getByText('Shown on Window');
    fireEvent.click(open.getByRole('button', { name: 'Stop' }));
    await waitFor(() => expect(on()).toBeUndefined());
    expect(sessionStorage.getItem('lopren.screen')).toBeNull();
  });

  it('is off when the desk is left, and on again at the next order of this tab', async () => {
    await atDesk();
    fireEvent.click(await screen.findByRole('button', { name: 'Show on Window' }));
    await waitFor(() => expect(on()).toBeDefined());
    cleanup();
    await waitFor(() => expect(on()).toBeUndefined());
    const next = await shop().quote([titled('Another')]);
    const order = await shop().viewOf(next.orderId);
    show(<DeskScreen order={order} who="ada" mine={null} shop={view} fresh={newDraft(view, '2031-05-05')} />);
    await waitFor(() => expect(on()).toMatchObject({ order: next.orderId }));
  });

  it('is said when the screen is not one of the shop’s any more', async () => {
    sessionStorage.setItem('lopren.screen', crypto.randomUUID());
    const { orderId } = await shop().quote([titled('Blue boat')]);
    const order = await shop().viewOf(orderId);
    show(<DeskScreen order={order} who="ada" mine={null} shop={view} fresh={newDraft(view, '2031-05-05')} />);
    await screen.findByText('This screen is not one of the shop’s any more.');
    expect(screen.getByRole('button', { name: 'Show on Window' })).toBeTruthy();
    fireEvent.click((await dialog()).getByRole('button', { name: 'Back' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(sessionStorage.getItem('lopren.screen')).toBeNull();
  });
});

describe('the screen itself', () => {
  const shown = async (): Promise<ShownView> => {
    await shop().served.signIn('Window', '7531');
    return (await shop().served.ask('GET', '/api/view/mine')).body as ShownView;
  };
  it('welcomes while there is nothing, and then says the piece, the others and the sum', async () => {
    const { unmount } = show(<ShownScreen first={await shown()} screen="mine" device="Window" />);
    screen.getByRole('heading', { name: 'Welcome' });
    screen.getByRole('button', { name: 'Sign out' });
    unmount();
    const { orderId, pieces } = await shop().quote([titled('Blue boat'), titled('Gull')]);
    await shop().served.signIn('Ada', '1357');
    await shop().served.ask('PUT', `/api/view/${device}`, { order: orderId, piece: pieces[1]!.id });
    const first = await shown();
    show(<ShownScreen first={first} screen="mine" device={undefined} />);
    screen.getByRole('heading', { name: 'Gull' });
    const items = within(screen.getByRole('contentinfo')).getAllByRole('listitem');
    expect(items.map((item) => [item.textContent?.includes('Gull'), item.getAttribute('aria-current')])).toEqual([
      [false, null],
      [true, 'true'],
    ]);
    const total = (first.order!.price!.total / 100).toFixed(2);
    screen.getByText(total);
    expect(screen.queryByRole('button', { name: 'Sign out' })).toBeNull();
  });
});
