import { expect, test } from './test';
import { STAFF } from '@demo/people';
import { forgetTyped, signIn } from './shop';

test('a screen that faces the customer follows what is typed at the desk, and sees nothing else', async ({
  page,
  browser,
  baseURL,
}) => {
  const device = await browser.newContext({ ...(baseURL ? { baseURL } : {}) });
  const screen = await device.newPage();
  await screen.goto('/sign-in');
  const { name, pin } = STAFF.find(({ role }) => role === 'view')!;
  expect((await screen.request.post('/api/session', { data: { name, pin } })).status()).toBe(200);
  // Wherever it is sent, it comes to its own page.
  await screen.goto('/desk');
  await expect(screen).toHaveURL(/\/view\/mine$/);
  await expect(screen.getByRole('heading', { name: 'Welcome' })).toBeVisible();

  await signIn(page);
  await forgetTyped(page);
  await page.goto('/desk');
  await page.getByLabel('Name', { exact: true }).fill('Shown as typed');
  await page.getByRole('button', { name: 'Screen', exact: true }).click();
  await page.getByRole('button', { name: `Show on ${name}` }).click();
  await expect(screen.getByRole('heading', { name: 'Shown as typed' })).toBeVisible();
  await expect(screen.getByText('Not measured yet')).toBeVisible();
  await page.getByLabel('Width').fill('8 x 10');
  const price = page.getByText('This piece').locator('..');
  await expect(screen.getByRole('img', { name: 'Design A of Shown as typed' })).toBeVisible();
  const said = (await price.textContent())!.replace(/[^\d.]/g, '');
  await expect(screen.getByText(said, { exact: true })).toBeVisible();
  // The next piece is what is spoken of now.
  await page.keyboard.press('Alt+Enter');
  await page.keyboard.type('Second of two');
  await expect(screen.getByRole('heading', { name: 'Second of two' })).toBeVisible();
  // Where the desk is left, nothing of it stays for the next customer to read.
  await page.goto('/board');
  await expect(screen.getByRole('heading', { name: 'Welcome' })).toBeVisible();
  await device.close();
});
