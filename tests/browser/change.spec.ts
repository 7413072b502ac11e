/** After yes: an agreed order is changed at the desk, and open quotes are gone through. */
import { expect, test } from './test';
import { saveQuote, signIn, total } from './shop';

test('an agreed order becomes wider while nothing is cut; the difference is agreed, and the bench is told', async ({
  page,
}) => {
  await signIn(page);
  const number = await saveQuote(page, 'Changing Person');
  await page.getByRole('button', { name: 'Accept, deposit' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Accept', exact: true }).click();
  await page.waitForURL(`**/collect/${number}`);
  await page.goto(`/desk/${number}`);
  const before = await total(page, 'Order with tax').innerText();
  await page.getByRole('link', { name: 'Change', exact: true }).click();
  await page.waitForURL(/change/);
  await expect(page.getByRole('button', { name: 'Agree the change' })).toBeDisabled();
  await expect(page.getByRole('button', { name: 'Add piece' })).toBeHidden();
  await page.getByLabel('Width').fill('11');
  await expect(total(page, 'Order with tax')).not.toHaveText(before);
  const after = await total(page, 'Order with tax').innerText();
  await page.getByRole('button', { name: 'Agree the change' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText(`${before} → ${after}`);
  await dialog.getByRole('button', { name: 'Agree the change' }).click();
  await page.waitForURL(`**/desk/${number}`);
  await expect(total(page, 'Order with tax')).toHaveText(after);
  await page.goto(`/bench/${number}-1`);
  await expect(page.getByText(/A ticket printed before that is of the former design/)).toBeVisible();
});

test('quotes stand by day, age and value; one that ran out is quoted anew, and a question that waits is seen', async ({
  page,
}) => {
  await signIn(page);
  await page.goto('/quotes');
  const rows = page.locator('tbody tr');
  await expect(rows.filter({ hasText: 'Lamp oil ledger' })).toContainText('Asked: answer');
  await expect(rows.last()).toContainText('ran out');
  await page.getByRole('button', { name: 'Largest' }).click();
  const worth = async () =>
    (await rows.filter({ hasNotText: 'ran out' }).locator('td:nth-child(7)').allInnerTexts()).map(Number);
  const sums = await worth();
  expect(sums).toEqual([...sums].sort((a, b) => b - a));
  const over = rows.filter({ hasText: 'ran out' }).first();
  const name = await over.locator('td').first().innerText();
  await over.getByRole('button', { name: /^Quote anew/ }).click();
  await expect(rows.filter({ has: page.getByRole('link', { name, exact: true }) })).toContainText('30 days left');
});
