import { expect, test } from './test';
import { addCustomer, forgetTyped, signIn } from './shop';

test.beforeEach(async ({ page }) => {
  await signIn(page);
  await forgetTyped(page);
  await page.goto('/desk');
});

test('designs are copied, varied, walked and kept by keyboard; what was declined stays and is taken back', async ({
  page,
}) => {
  await page.getByLabel('Width').fill('11 1/2 x 15');
  await page.getByRole('heading', { name: 'New order' }).click();
  await page.keyboard.press('c');
  const side = page.getByRole('region', { name: 'Designs side by side' });
  await expect(side).toBeVisible();
  const columns = side.locator('ol > li');
  const price = (index: number) => columns.nth(index).locator('b').nth(1).innerText();
  const first = await price(0);
  await page.keyboard.press('v');
  const vary = page.getByRole('dialog');
  await vary.getByLabel('Name, code or finish').fill('old gold');
  await vary.getByRole('checkbox').first().check();
  await vary.getByLabel('Name, code or finish').fill('limed oak');
  await vary.getByRole('checkbox').first().check();
  await page.keyboard.press('Enter');
  await expect(columns).toHaveCount(3);
  await page.keyboard.press('v');
  await vary.getByRole('button', { name: 'Border' }).click();
  await vary.getByLabel('Much wider').check();
  // Only so many are compared.
  await expect(vary.getByLabel('Wider', { exact: true })).toBeDisabled();
  await vary.getByRole('button', { name: 'Add 1 design' }).click();
  await expect(columns).toHaveCount(4);
  const all = [first, await price(1), await price(2), await price(3)];
  expect(new Set(all).size).toBe(4);

  // The piece is one: its measure is typed once, and every design of it is priced anew.
  await page.getByLabel('Width').fill('14');
  await expect(columns.nth(0).locator('b').nth(1)).not.toHaveText(first);
  for (const [index, was] of all.entries()) expect(await price(index)).not.toBe(was);
  await page.getByRole('heading', { name: 'Designs side by side' }).click();
  await page.keyboard.press('ArrowRight');
  await expect(side.getByRole('button', { name: 'Work on B' })).toHaveAttribute('aria-pressed', 'true');
  const kept = await price(1);
  await page.keyboard.press('k');
  await expect(columns).toHaveCount(1);
  await expect(side.getByText('Declined')).toBeVisible();
  await page.keyboard.press('c');
  // Nothing is added up that is either-or.
  await expect(page.locator('dl > div', { hasText: 'This piece' }).locator('dd')).toHaveText(kept);

  await addCustomer(page, 'Compared Person');
  await page.keyboard.press('Control+s');
  await page.waitForURL(/\/desk\/\d+$/);
  await page.reload();
  await page.getByRole('heading', { name: /^Order/ }).click();
  await page.keyboard.press('c');
  await side.getByRole('button', { name: 'Take D back' }).click();
  await expect(columns).toHaveCount(2);
  await page.keyboard.press('Control+s');
  await expect(page.getByRole('link', { name: 'Print quote' })).toHaveCount(0);
  await page.keyboard.press('c');
  await expect(page.getByRole('link', { name: 'Print quote' })).toBeVisible();
  const paper = await page.request.get(`/papers/quote/${page.url().split('/').pop()}`);
  expect([paper.status(), paper.headers()['content-type']]).toEqual([200, 'application/pdf']);
});

test('at 1280 × 800 four designs stand whole, at one scale and one height, and nothing scrolls', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByLabel('Width').fill('8 x 10');
  await page.getByRole('heading', { name: 'New order' }).click();
  await page.keyboard.press('c');
  const side = page.getByRole('region', { name: 'Designs side by side' });
  await expect(side).toBeVisible();
  await page.keyboard.press('v');
  await page.getByRole('dialog').getByRole('button', { name: 'Border' }).click();
  for (const name of ['Narrower', 'Wider', 'Much wider'])
    await page.getByRole('dialog').getByLabel(name, { exact: true }).check();
  await page.keyboard.press('Enter');
  await expect(side.locator('ol > li')).toHaveCount(4);
  const frames = await side.locator('svg').evaluateAll((list) =>
    list.map((svg) => {
      // The outermost line of the frame is drawn last but for the mitres.
      const box = svg.getBoundingClientRect();
      return { left: box.left, right: box.right, top: box.top, bottom: box.bottom };
    }),
  );
  const wall = (await side.locator('svg').first().locator('xpath=ancestor::div[1]').boundingBox())!;
  for (const { left, right, top, bottom } of frames) {
    expect(left).toBeGreaterThanOrEqual(wall.x);
    expect(right).toBeLessThanOrEqual(wall.x + wall.width + 0.5);
    expect(top).toBeGreaterThanOrEqual(wall.y - 0.5);
    expect(bottom).toBeLessThanOrEqual(wall.y + wall.height + 0.5);
  }
  // The narrower border makes the smaller frame, the wider the larger: they are not all drawn as large as fits.
  const wide = frames.map(({ left, right }) => right - left);
  expect(wide[1]!).toBeLessThan(wide[0]!);
  expect(wide[2]!).toBeGreaterThan(wide[0]!);
  expect(wide[3]!).toBeGreaterThan(wide[2]!);
  const over = await page.evaluate(() => [
    document.documentElement.scrollHeight - window.innerHeight,
    document.documentElement.scrollWidth - window.innerWidth,
  ]);
  expect(over).toEqual([0, 0]);
});
