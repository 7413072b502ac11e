import { type Page, expect, test } from './test';
import { signIn, total } from './shop';

/** A day at the counter: a voucher sold, an order paid three ways, money given back, one taken on account, the till closed. */
test('a day of the till, from its first payment to its seal', async ({ page }) => {
  await signIn(page);
  let code = '';
  await test.step('a voucher is sold, and its paper printed', async () => {
    await page.goto('/till');
    await expect(page.getByRole('heading', { name: 'Close the day' })).toBeVisible();
    await page.getByRole('button', { name: 'Sell a voucher' }).click();
    await page.getByLabel('Worth').fill('40');
    await page.getByRole('button', { name: 'Sell it' }).click();
    const said = page.getByRole('status').filter({ hasText: 'Its code' });
    await expect(said).toBeVisible();
    code = /[2-9A-Z]{4}(-[2-9A-Z]{4}){3}/.exec((await said.textContent())!)![0];
    const paper = await page.request.get(`/papers/voucher/${code}`);
    expect((await paper.body()).subarray(0, 5).toString()).toBe('%PDF-');
  });

  await test.step('an order is paid by voucher, in cash with change, and the rest by card', async () => {
    await page.goto('/collect/2414');
    await take(page, '25.00');
    await page.getByRole('button', { name: 'Voucher', exact: true }).click();
    await page.getByLabel('Code of the voucher').fill(code.toLowerCase());
    await page.getByRole('button', { name: 'Take it off' }).click();
    await expect(page.getByText('Balance, voucher')).toBeVisible();
    await take(page, '20.00');
    await page.getByLabel('Put on the counter').fill('50');
    await page.getByRole('button', { name: 'Take cash' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'Change to give' })).toContainText('30.00');
    await page.getByRole('button', { name: 'By card' }).click();
    await expect(total(page, 'Balance')).toHaveText('0.00');
  });

  await test.step('a part is given back, as it came', async () => {
    await page.getByRole('button', { name: 'Give money back' }).click();
    await page.getByRole('button', { name: 'Card', exact: true }).click();
    await page.getByLabel('Amount to give back').fill('5');
    await page.getByLabel('Why is it given back?').fill('A scratch in the moulding');
    await page.getByRole('button', { name: 'Give it back' }).click();
    await expect(total(page, 'Balance')).toHaveText('5.00');
    const receipt = await page.request.get('/papers/receipt/2414');
    expect((await receipt.body()).subarray(0, 5).toString()).toBe('%PDF-');
  });

  await test.step('a piece goes out on account', async () => {
    await page.goto('/collect/2406');
    await page.getByRole('button', { name: 'Change', exact: true }).click();
    await page.getByLabel('Days after the hand-over').fill('30');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await page.getByLabel('Looked at together').check();
    await page.getByRole('button', { name: 'Hand over' }).click();
    await expect(page.getByText(/Handed over\. The rest is owed on account/)).toBeVisible();
  });

  await test.step('the till is counted blind, found short, and sealed with a reason', async () => {
    await page.goto('/till');
    await page.getByLabel('100.00').fill('2');
    await page.getByLabel('Card total on the terminal').fill('1');
    await page.getByRole('button', { name: 'It is counted' }).click();
    await expect(page.getByRole('table', { name: 'Close the day' })).toBeVisible();
    await page.getByRole('button', { name: 'Seal the day' }).click();
    await expect(page.getByText(/Say in a sentence why/)).toBeVisible();
    await page.getByLabel('Why it differs').fill('Counted in a hurry');
    await page.getByRole('button', { name: 'Seal the day' }).click();
    await expect(page.getByRole('heading', { name: 'Open the till' })).toBeVisible();
    const report = await page.getByRole('link', { name: 'Day report' }).first().getAttribute('href');
    expect((await (await page.request.get(report!)).body()).subarray(0, 5).toString()).toBe('%PDF-');
  });

  await test.step('the ledger comes to zero, on the screen and as CSV', async () => {
    await page.goto('/till/ledger');
    const sums = page.getByRole('table', { name: 'Trial balance' }).getByRole('row').last().getByRole('cell');
    expect(await sums.nth(1).textContent()).toBe(await sums.nth(2).textContent());
    const csv = await (await page.request.get('/api/v1/export/trial-balance.csv')).text();
    const cents = csv
      .trim()
      .split('\n')
      .slice(1)
      .map((line) =>
        line
          .split(',')
          .slice(-2)
          .map((side) => Math.round(Number(side || '0') * 100)),
      );
    expect(cents.reduce((sum, [debit, credit]) => sum + debit! - credit!, 0)).toBe(0);
  });
});

const take = (page: Page, amount: string) => page.getByLabel('Amount to take').fill(amount);
