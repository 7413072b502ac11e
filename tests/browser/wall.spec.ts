import { expect, test } from './test';
import { addCustomer, forgetTyped, signIn } from './shop';

test('a set is hung on its wall by hand and by keys, and its card says where the hooks go', async ({ page }) => {
  await signIn(page);
  await forgetTyped(page);
  await page.goto('/desk');
  await page.getByLabel('Name', { exact: true }).fill('Left');
  await page.getByLabel('Width').fill('8 x 10');
  for (const name of ['Middle', 'Right']) {
    await page.getByRole('button', { name: 'Copy', exact: true }).click();
    await expect(page.getByLabel('Name', { exact: true })).toBeFocused();
    await page.keyboard.type(name);
  }
  await addCustomer(page, 'Hangs Three');
  await page.getByRole('heading', { name: 'New order' }).click();
  await page.keyboard.press('w');
  const held = (name: string) => page.getByRole('button', { name: new RegExp(`^${name}: hook`) });
  await expect(held('Right')).toBeVisible();
  const [left, middle, right] = [
    (await held('Left').boundingBox())!,
    (await held('Middle').boundingBox())!,
    (await held('Right').boundingBox())!,
  ];
  // In a row: one height, even gaps.
  expect(middle.y).toBeCloseTo(left.y, 0);
  expect(middle.x - left.x).toBeCloseTo(right.x - middle.x, 0);
  await page.mouse.move(right.x + right.width / 2, right.y + right.height / 2);
  await page.mouse.down();
  await page.mouse.move(right.x + right.width / 2 + 90, right.y + right.height / 2 - 40, { steps: 10 });
  await page.mouse.up();
  const moved = (await held('Right').boundingBox())!;
  expect(moved.x - right.x).toBeCloseTo(90, 0);
  expect(moved.y - right.y).toBeCloseTo(-40, 0);
  await page.getByRole('button', { name: 'Even gaps' }).click();
  const even = (await held('Middle').boundingBox())!;
  expect(even.x - left.x).toBeCloseTo(moved.x - even.x, 0);
  await page.getByRole('button', { name: 'Door' }).click();
  await expect(page.getByRole('img', { name: 'Door' })).toBeVisible();
  await page.getByRole('button', { name: 'Wall #5f6b78' }).click();
  await page.keyboard.press('Control+s');
  await page.waitForURL(/\/desk\/\d+$/);
  await page.reload();
  await page.getByRole('heading', { name: /^Order/ }).click();
  await page.keyboard.press('w');
  await expect(page.getByRole('button', { name: 'Wall #5f6b78' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('img', { name: 'Door' })).toBeVisible();
  const card = page.getByRole('link', { name: 'Card of the set' });
  const answer = await page.request.get((await card.getAttribute('href'))!);
  expect([answer.status(), answer.headers()['content-type']]).toEqual([200, 'application/pdf']);
});
