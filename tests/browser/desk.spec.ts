import { expect, test } from './test';
import { forgetTyped, addCustomer, saveQuote, scriptsOf, signIn, tape, total } from './shop';

test.beforeEach(async ({ page }) => {
  await signIn(page);
  await forgetTyped(page);
  await page.reload();
});

test('what is typed, right or wrong, is there after a reload; the last good value stays', async ({ page }) => {
  await page.getByLabel('Name', { exact: true }).fill('Half a ledger');
  await page.getByLabel('Width').fill('12');
  await page.getByLabel('Height').fill('16 3/8');
  await expect(tape(page, 'Window')).toContainText('11 3/4 × 16 1/8');
  await page.getByLabel('Height').fill('16 3');
  await expect(page.getByText('Two numbers stand side by side')).toBeVisible();
  await expect(tape(page, 'Window')).toContainText('11 3/4 × 16 1/8');
  await expect(page.getByText('An example, until all measures are read.')).toBeVisible();
  await expect(total(page, 'This piece')).toHaveText('—');
  await page.reload();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Half a ledger');
  await expect(page.getByLabel('Height')).toHaveValue('16 3');
  await expect(tape(page, 'Window')).toContainText('11 3/4 × 16 1/8');
  await addCustomer(page, 'Nobody Yet');
  await page.getByRole('button', { name: 'Save quote' }).click();
  await expect(page.getByText('Measure the piece first')).toBeVisible();
});

test('no key is lost while what says a mistake is fetched for the first time', async ({ page }) => {
  await page.route('**/_next/static/chunks/*.js', async (route) => {
    await new Promise((done) => setTimeout(done, 150));
    await route.continue();
  });
  await page.reload();
  await expect(page.getByLabel('Width')).toBeEditable();
  await page.getByLabel('Width').focus();
  // "12 1/" is no length yet: what is wrong with it is fetched while the rest is typed.
  await page.keyboard.type('12 1/2 x 16 3/4');
  await expect(page.getByLabel('Width')).toHaveValue('12 1/2 x 16 3/4');
});

test('undo and redo step through typing, choices and ways out', async ({ page }) => {
  await page.getByLabel('Width').fill('12 x 16');
  await page.keyboard.press('Alt+2');
  const through = page.getByRole('group', { name: 'Tape of sizes and prices' }).getByText('it would fall through');
  await page.getByLabel('Overlap on the piece').fill('0');
  await expect(through).toBeVisible();
  await expect(page.getByRole('button', { name: 'Accept, deposit' })).toBeDisabled();
  await page.getByRole('button', { name: 'Overlap 1/8 in' }).click();
  await expect(through).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(through).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(tape(page, 'Window')).toContainText('11 3/4 × 15 3/4');
  await page.keyboard.press('Control+y');
  await page.keyboard.press('Control+y');
  await expect(tape(page, 'Window')).toContainText('11 3/4 × 15 3/4');
});

test('one key switches every figure, and no exact figure changes with it', async ({ page }) => {
  await page.getByLabel('Width').fill('12 x 16');
  await page.keyboard.press('Enter');
  await page.getByRole('heading', { name: 'New order' }).click();
  const before = await total(page, 'Order with tax').textContent();
  await page.keyboard.press('u');
  await expect(tape(page, 'Rabbet')).toContainText('429');
  await expect(page.getByLabel('Width')).toHaveValue('304.8');
  await page.keyboard.press('u');
  await expect(tape(page, 'Rabbet')).toContainText('16 7/8');
  await expect(total(page, 'Order with tax')).toHaveText(before!);
});

test(
  'a stale tab is told, keeps what was typed there, and can go on or give way',
  { tag: '@wide' },
  async ({ page, context }) => {
    const number = await saveQuote(page, 'Two Tabs');
    const other = await context.newPage();
    await other.goto(`/desk/${number}`);
    await other.getByLabel('Name', { exact: true }).fill('From the other tab');
    await page.getByLabel('Name', { exact: true }).fill('From this tab');
    await other.getByRole('button', { name: 'Save quote' }).click();
    await expect(page.getByText('changed since you opened it')).toBeVisible();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('From this tab');
    await expect(page.getByText('Both changed:')).toBeVisible();
    await page.getByRole('button', { name: 'Go on with this' }).click();
    await page.getByRole('button', { name: 'Save quote' }).click();
    await expect(page.getByRole('link', { name: 'Print quote' })).toBeVisible();
    await expect(other.getByLabel('Name', { exact: true })).toHaveValue('From this tab');
  },
);

test('a moulding that left the price list is named, and everything else is kept', async ({ page }) => {
  await page.getByLabel('Width').fill('10 x 12');
  // Changed between the two pages: whatever the leaving page still keeps is kept by then.
  await page.addInitScript(() => {
    for (const key of Object.keys(localStorage).filter((one) => /^lopren\.desk\..*\.new$/.test(one)))
      localStorage.setItem(key, localStorage.getItem(key)!.replaceAll('"code":"GAN-31"', '"code":"GONE-7"'));
  });
  await page.reload();
  // Said at the tape, and at the foot of whatever is scrolled to.
  const gone = page.getByText('GONE-7 is no longer in the price list');
  await expect(gone).toHaveCount(2);
  for (const said of await gone.all()) await expect(said).toBeVisible();
  await expect(page.getByRole('button', { name: 'Accept, deposit' })).toBeDisabled();
  await page.keyboard.press('Alt+3');
  await expect(page.locator('input[type=search]')).toBeFocused();
  await page.keyboard.type('plover 32');
  await page.keyboard.press('Enter');
  await expect(tape(page, 'Package')).toContainText('14 3/4 × 17 1/4');
});

test('Enter walks the fields and each number opens its section', async ({ page }) => {
  await page.getByLabel('Width').fill('8');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Height')).toBeFocused();
  for (const [key, field] of [
    ['2', 'Overlap on the piece'],
    ['3', 'Search mouldings'],
    ['5', 'Backing'],
    ['1', 'Width'],
  ] as const) {
    await page.keyboard.press(`Alt+${key}`);
    await expect(page.getByLabel(field)).toBeVisible();
  }
});

test('offline for a while: typing goes on, the save waits and is done once, and what was typed meanwhile is kept', async ({
  page,
  context,
}) => {
  const number = await saveQuote(page, 'Goes Offline');
  // Nothing was given on this page yet: what waits is fetched at the first touch.
  const fetched = scriptsOf(page);
  await page.reload();
  await page.getByLabel('Name', { exact: true }).click();
  await page.getByLabel('Name', { exact: true }).fill('Typed before');
  await expect.poll(fetched).toBe(true);
  await context.setOffline(true);
  await expect(page.getByText('No connection to the shop')).toBeVisible();
  await page.getByRole('button', { name: 'Save quote' }).click();
  await expect(page.getByText('One change waits')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Typed while it waited');
  await expect(page.getByRole('button', { name: 'Save quote' })).toBeDisabled();
  await context.setOffline(false);
  await expect(page.getByText('One change waits')).toBeHidden();
  const saved = async () =>
    (await (await page.request.get(`/api/orders/${number}`)).json()) as {
      revision: number;
      pieces: { design: { piece: { title: string } } }[];
    };
  await expect.poll(async () => (await saved()).revision).toBe(2);
  expect((await saved()).pieces[0]!.design.piece.title).toBe('Typed before');
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Typed while it waited');
  await page.getByRole('button', { name: 'Save quote' }).click();
  await expect.poll(async () => (await saved()).pieces[0]!.design.piece.title).toBe('Typed while it waited');
  expect((await saved()).revision).toBe(3);
});
