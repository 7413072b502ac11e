/** Shows a screen of a stocked shop without a browser: its `fetch` asks the shop's own routes. */
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import type { ReactNode } from 'react';
import { type MockInstance, afterEach, beforeAll, beforeEach, expect, vi } from 'vitest';
import type { Unit } from '@/core/units/length';
import { ServerState } from '@/ui/query';
import { UnitProvider } from '@/ui/units';
import { went } from './next/navigation';
import { type Served, served } from './served';
import { type Stocked, stocked } from './stocked';

export type Shop = Stocked & { readonly served: Served };

/** The shop of a test file: opened once, its owner signed in before each test, nothing shown before or after. */
export function shopOfFile(
  prepare: (shop: Shop) => Promise<void> = () => Promise.resolve(),
  { till = true } = {},
): () => Shop {
  let shop: Shop;
  let complaints: MockInstance<typeof console.error>;
  beforeAll(async () => {
    const stock = await stocked({ till });
    shop = { ...stock, served: served(stock.app) };
    await prepare(shop);
  });
  beforeEach(async () => {
    went.length = 0;
    localStorage.clear();
    vi.stubGlobal('fetch', shop.served.fetch);
    // What React complains of (elements inside one another that must not be, keys) fails the test.
    complaints = vi.spyOn(console, 'error');
    vi.stubGlobal(
      'EventSource',
      class {
        close() {}
      },
    );
    await shop.served.signIn('Ada', '1357');
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
    const said = complaints.mock.calls.map((call) => call.join(' ')).filter((text) => !text.includes('act('));
    complaints.mockRestore();
    expect(said).toEqual([]);
  });
  return () => shop;
}

export function show(element: ReactNode, unit: Unit = 'in') {
  return render(
    <ServerState>
      <UnitProvider start={unit}>{element}</UnitProvider>
    </ServerState>,
  );
}

export const field = (label: string | RegExp) => screen.getByLabelText<HTMLInputElement>(label);
/** Types a whole text into a field, as pasting does; then leaves it. */
export function type(label: string | RegExp, text: string): void {
  const into = field(label);
  into.focus();
  fireEvent.change(into, { target: { value: text } });
  fireEvent.blur(into);
}
export const button = (name: string | RegExp) => screen.getByRole<HTMLButtonElement>('button', { name });
export const press = (name: string | RegExp) => fireEvent.click(button(name));
/** Chooses from a list by what stands there. */
export async function choose(label: string | RegExp, option: string): Promise<void> {
  fireEvent.click(screen.getByRole('combobox', { name: label }));
  fireEvent.click(await screen.findByRole('option', { name: option }));
}
export const dialog = async () => within(await screen.findByRole('dialog'));
/** The commands that a screen sent: name and payload. */
export const sent = ({ served: { asked } }: Shop) =>
  asked
    .filter(({ path }) => path === '/api/v1/commands')
    .map(({ body }) => body as { name: string; payload: Record<string, unknown> });
/** Where screens went since the test began. */
export { went };
