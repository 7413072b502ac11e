// @vitest-environment happy-dom
/** Money at an order while no drawer is open. */
import { screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { Account } from '@/features/collect/account';
import { TOTAL } from '../stocked';
import { field, press, shopOfFile, show } from '../screens';

const shop = shopOfFile(undefined, { till: false });

it('asks to open the till, by a link, and keeps what was typed; a transfer needs none', async () => {
  const { orderId } = await shop().accepted();
  show(<Account order={await shop().viewOf(orderId)} pictures={{}} owner />);
  await screen.findByRole('heading', { name: /Ström/ });
  const proposed = field('Amount to take').value;
  press('Take cash');
  const link = await screen.findByRole('link', { name: 'Open the till' });
  expect(link.getAttribute('href')).toBe('/till');
  expect(link.closest('div')!.textContent).toMatch(/isn’t open yet/);
  expect(field('Amount to take').value).toBe(proposed);
  expect((await shop().viewOf(orderId)).balance).toBe(TOTAL);
});
