import { expect, test } from './test';
import { addCustomer, forgetTyped, signIn } from './shop';

test('windows are laid out by hand, catch in line with one another, are saved, and can be cut', async ({ page }) => {
  await signIn(page);
  await forgetTyped(page);
  await page.goto('/desk');
  await page.getByLabel('Name', { exact: true }).fill('Three of a house');
  await page.getByLabel('Width').fill('10 x 8');
  await addCustomer(page, 'Lays Windows');
  await page.getByRole('heading', { name: 'New order' }).click();
  await page.keyboard.press('h');
  await page.getByRole('combobox', { name: /^Windows/ }).click();
  await page.getByRole('option', { name: 'One large, others beside it' }).click();
  const held = (number: number) => page.getByRole('button', { name: new RegExp(`^Window ${number}.*arrow`) });
  await expect(held(3)).toBeVisible();
  const outside = page.getByRole('button', { name: /^Outside/ });
  const before = await outside.textContent();
  const [first, third] = [(await held(1).boundingBox())!, (await held(3).boundingBox())!];
  // To where the bottoms of both are in line but for four pixels: it catches.
  const wish = first.y + first.height - (third.y + third.height);
  await page.mouse.move(third.x + third.width / 2, third.y + third.height / 2);
  await page.mouse.down();
  await page.mouse.move(third.x + third.width / 2 + 60, third.y + third.height / 2 + wish + 4, { steps: 12 });
  const now = (await held(3).boundingBox())!;
  // While it is held the others stay where they were, and it lies under the hand.
  expect((await held(1).boundingBox())!.x).toBeCloseTo(first.x, 0);
  expect(now.x).toBeCloseTo(third.x + 60, -1);
  expect(now.y + now.height).toBeCloseTo(first.y + first.height, 0);
  await page.mouse.up();
  await expect(outside).not.toHaveText(before!);
  const wide = await outside.textContent();
  await page.keyboard.press('Control+z');
  await expect(outside).toHaveText(before!);
  await page.keyboard.press('Control+y');
  await expect(outside).toHaveText(wide!);
  await page.keyboard.press('Control+s');
  await page.waitForURL(/\/desk\/\d+$/);
  await page.reload();
  await expect(page.getByRole('button', { name: /^Outside/ })).toHaveText(wide!);
});
