import { expect, test } from './test';
import { saveQuote, signIn, total } from './shop';

const accept = async (page: import('@playwright/test').Page) => {
  await page.getByRole('button', { name: 'Accept, deposit' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Accept', exact: true }).click();
  await page.waitForURL(/\/collect\/\d+$/);
};

test('a second browser sees a change at the bench without being asked', async ({ page, browser }) => {
  await signIn(page, 'Ines');
  const number = await saveQuote(page, 'Live Wire');
  await accept(page);
  const second = await (await browser.newContext()).newPage();
  await signIn(second, 'Maro');
  await second.goto('/board');
  const row = second.getByRole('link', { name: new RegExp(`${number}-1`) });
  await expect(row).toContainText('Materials here');
  await page.goto(`/bench/${number}-1`);
  await page.getByRole('button', { name: /All here/ }).click();
  await expect(row).toContainText('Cut the legs');
  await expect(page.getByRole('heading', { name: 'Cut the legs' })).toBeVisible();
  await page.getByRole('button', { name: 'Hold' }).click();
  await page.getByLabel('Reason', { exact: true }).fill('Which grey?');
  await page.keyboard.press('Enter');
  await expect(row).toContainText('On the customer: Which grey?');
});

test('what happens while a page is still on its way to the shop, or in the background, is not missed', async ({
  page,
  browser,
}) => {
  await signIn(page, 'Ines');
  const number = await saveQuote(page, 'Late Line');
  await accept(page);
  const second = await (await browser.newContext()).newPage();
  await signIn(second, 'Maro');
  let open = () => {};
  const held = new Promise<void>((resolve) => (open = resolve));
  await second.route('**/api/live', async (route) => {
    await held;
    await route.continue();
  });
  await second.goto('/board');
  const row = second.getByRole('link', { name: new RegExp(`${number}-1`) });
  await expect(row).toContainText('Materials here');
  await page.goto(`/bench/${number}-1`);
  await page.getByRole('button', { name: /All here/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Cut the legs');
  open();
  await expect(row).toContainText('Cut the legs');

  // A tab in the background keeps no line, and catches up when somebody turns to it.
  const show = (hidden: boolean) =>
    second.evaluate((to) => {
      Object.defineProperty(document, 'hidden', { value: to, configurable: true });
      document.dispatchEvent(new Event('visibilitychange'));
    }, hidden);
  let lines = 0;
  second.on('request', (request) => (lines += request.url().endsWith('/api/live') ? 1 : 0));
  await show(true);
  await page.getByRole('button', { name: 'Hold' }).click();
  await page.getByLabel('Reason', { exact: true }).fill('Which grey?');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Which grey?').first()).toBeVisible();
  await expect(row).toContainText('Cut the legs');
  expect(lines).toBe(0);
  await show(false);
  await expect(row).toContainText('On the customer: Which grey?');
});

test('two benches on one job: the later tap is told, nothing is done twice', async ({ page, browser }) => {
  await signIn(page, 'Ines');
  const number = await saveQuote(page, 'Four Hands');
  await accept(page);
  await page.goto(`/bench/${number}-1`);
  const stale = await (await browser.newContext()).newPage();
  await signIn(stale, 'Maro');
  await stale.route('**/api/live', (route) => route.abort());
  await stale.goto(`/bench/${number}-1`);
  await page.getByRole('button', { name: /All here/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Cut the legs');
  await stale.getByRole('button', { name: /All here/ }).click();
  await expect(stale.getByText('Ines just changed')).toBeVisible();
  await expect(stale.getByRole('heading', { level: 1 })).toContainText('Cut the legs');
});

test(
  'the card terminal declines, walks away and is asked again; more than the balance is refused beside the field',
  { tag: '@wide' },
  async ({ page }) => {
    await signIn(page, 'Tobin');
    await saveQuote(page, 'Card Holder');
    await accept(page);
    await page.getByLabel('Amount to take').fill('9999');
    await page.getByRole('button', { name: 'Take cash' }).click();
    await expect(page.getByText('9999.00 is more than the balance')).toBeVisible();
    await page.getByLabel('Amount to take').fill('fifty');
    await page.getByRole('button', { name: 'Take cash' }).click();
    await expect(page.getByText('“fifty” is not an amount')).toBeVisible();
    await page.getByLabel('Amount to take').fill('50');
    await page.getByRole('button', { name: 'is declined' }).click();
    await page.getByRole('button', { name: 'By card' }).click();
    await expect(page.getByText(/of it would still be missing\. Say why/)).toBeVisible();
    await page.getByLabel(/^Why less than the/).fill('the rest on Friday');
    await page.getByRole('button', { name: 'By card' }).click();
    await expect(page.getByText('The card was declined')).toBeVisible();
    await page.getByRole('button', { name: 'walks away' }).click();
    await page.getByRole('button', { name: 'By card' }).click();
    await expect(page.getByText('The terminal has not answered about 50.00')).toBeVisible();
    await page.reload();
    await page.getByRole('button', { name: 'Ask again' }).click();
    await expect(page.getByText('deposit, card')).toBeVisible();
    await expect(page.getByText('reverse')).toHaveCount(1);
  },
);

test('a bad list is refused row by row; a huge one is not even read', { tag: '@wide' }, async ({ page }) => {
  await signIn(page);
  await page.goto('/books');
  await page.getByRole('button', { name: 'Import a list' }).click();
  const field = page.getByLabel('The list, as CSV or XLSX');
  await field.setInputFiles('samples/mouldings-bad.csv');
  await expect(page.getByText('17 rows are refused, so nothing is taken')).toBeVisible();
  await expect(page.getByRole('row', { name: /BAD-3/ })).toContainText('not narrower than the face');
  await expect(page.getByRole('row', { name: /GAN-31/ })).toContainText('4.20 → 4.60');
  await expect(page.getByRole('button', { name: /Take all/ })).toHaveCount(0);
  await field.setInputFiles({
    name: 'huge.csv',
    mimeType: 'text/csv',
    buffer: Buffer.alloc(20_000_000, 'code,name\n'),
  });
  await expect(page.getByText('huge.csv is 20.0 MB')).toBeVisible();
  const straight = await page.request.post('/api/import-preview', {
    data: 'x'.repeat(7_000_000),
    headers: { 'content-type': 'text/csv', 'x-lopren-upload': 'list' },
  });
  expect(straight.status()).toBe(413);
});

test('the papers say the figures of the order', async ({ page }) => {
  await signIn(page);
  const number = await saveQuote(page, 'Paper <b>Trail</b> ½ 漢');
  expect((await page.request.get(`/papers/quote/${number}`)).status()).toBe(200);
  expect((await page.request.get(`/papers/ticket/${number}-1`)).status()).toBe(404);
  await accept(page);
  await expect(page.getByRole('heading', { name: 'Paper <b>Trail</b>' })).toBeVisible();
  for (const paper of ['ticket', 'wall-card'])
    expect((await page.request.get(`/papers/${paper}/${number}-1`)).headers()['content-type']).toBe('application/pdf');
  expect(Number(await total(page, 'Agreed, with tax').textContent())).toBeGreaterThan(100);
});
