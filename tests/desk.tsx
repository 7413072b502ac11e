/** The desk of a stocked shop without a browser: opened anew, or with an order that was quoted. */
import { fireEvent, screen, within } from '@testing-library/react';
import { beforeEach } from 'vitest';
import { DeskScreen } from '@/features/desk/desk';
import { newDraft } from '@/features/desk/draft';
import { dayOf } from '@/server/clock';
import { keptDraft } from '@/server/drafts';
import { shopView } from '@/server/views';
import { type Shop, shopOfFile, show } from './screens';

/** The desk of a test file; what the test before left on it is dropped. */
export function deskOfFile(prepare?: (shop: Shop) => Promise<void>) {
  const shop = shopOfFile(prepare);
  beforeEach(async () => {
    await shop().served.ask('PUT', '/api/drafts/new', { version: 0, base: null, draft: null });
    shop().served.asked.length = 0;
    Object.defineProperty(window, 'matchMedia', { value: () => ({ matches: false }), configurable: true });
  });
  return {
    shop,
    /** A new order at the desk. */
    begin: async () => {
      const view = (await shopView(shop().app.viewer()))!;
      const fresh = newDraft(view, dayOf(shop().app.clock.now()));
      show(<DeskScreen order={null} who="ada" mine={null} shop={view} fresh={fresh} />);
      await screen.findByLabelText('Width');
    },
    /** An order that was quoted, at the desk again. */
    again: async (orderId: string) => {
      const viewer = shop().app.viewer();
      const view = (await shopView(viewer))!;
      const order = await shop().viewOf(orderId);
      const mine = await keptDraft(viewer, orderId);
      show(<DeskScreen order={order} who="ada" mine={mine} shop={view} fresh={newDraft(view, '2031-05-05')} />);
      return order;
    },
  };
}

/** A row of the tape. */
export const tape = (name: string | RegExp) =>
  within(screen.getByRole('group', { name: 'Tape of sizes and prices' })).getByRole('button', { name });
export const line = (name: string) => tape(new RegExp(`^${name}`)).textContent.replace(/\s+/g, ' ');
export const priceOf = (term: string) => screen.getByText(term).nextElementSibling?.textContent;
export const undo = () => fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true });
export const redo = () => fireEvent.keyDown(document.body, { key: 'y', ctrlKey: true });
