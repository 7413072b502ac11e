/** The customer's link: made at the desk, used on a phone without scripts, followed at the desk. */
import { type Browser, type Page, expect, test } from './test';
import { saveQuote, signIn } from './shop';

/** A phone that runs no scripts: whatever a link shows and takes works there. */
const phone = async (browser: Browser, baseURL: string | undefined) => {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    javaScriptEnabled: false,
    ...(baseURL === undefined ? {} : { baseURL }),
  });
  return context.newPage();
};

/** A saved quote of two designs; answers its number. */
async function quoteOfTwo(page: Page, customer: string): Promise<number> {
  const number = await saveQuote(page, customer);
  await page.getByRole('heading', { name: /^Order/ }).click();
  await page.keyboard.press('c');
  const side = page.getByRole('region', { name: 'Designs side by side' });
  await expect(side).toBeVisible();
  await page.keyboard.press('v');
  const vary = page.getByRole('dialog');
  await vary.getByLabel('Name, code or finish').fill('old gold');
  await vary.getByRole('checkbox').first().check();
  await page.keyboard.press('Enter');
  await expect(side.locator('ol > li')).toHaveCount(2);
  await page.keyboard.press('Control+s');
  await page.keyboard.press('c');
  await expect(page.getByRole('link', { name: 'Print quote' })).toBeVisible();
  return number;
}
async function makeLink(page: Page): Promise<string> {
  await page.getByRole('button', { name: 'Link', exact: true }).click();
  const dialog = page.getByRole('dialog');
  for (const reason of await dialog.getByRole('textbox').all()) await reason.fill('Talked over');
  await dialog.getByRole('button', { name: 'Make a link' }).click();
  const address = await dialog.getByLabel('Address of the link').inputValue();
  await expect(dialog.getByRole('img', { name: 'Code of the link, for a phone' }).locator('svg')).toBeVisible();
  return new URL(address).pathname;
}

/** A quote of two designs with its link open on the customer's phone. */
async function linked(page: Page, customer: string, browser: Browser, baseURL: string | undefined) {
  await signIn(page);
  const number = await quoteOfTwo(page, customer);
  const path = await makeLink(page);
  const there = await phone(browser, baseURL);
  await there.goto(path);
  return { number, there };
}

test('on a phone, without scripts: a design is chosen, asked about, agreed to and paid for; the desk follows', async ({
  page,
  browser,
  baseURL,
}) => {
  const { number, there } = await linked(page, 'Linked Person', browser, baseURL);
  await expect(there.getByRole('heading', { name: 'Your quote' })).toBeVisible();
  expect(await there.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  const total = there.locator('dl > div[data-total] dd');
  const first = await total.innerText();
  await there.getByRole('button', { name: 'Choose B' }).click();
  await expect(there.getByRole('button', { name: 'Choose A' })).toBeVisible();
  await expect(total).not.toHaveText(first);

  const said = page.getByRole('dialog').getByRole('region', { name: 'What happened' });
  await expect(said).toContainText('Chose B instead of A for piece 1');
  await there.getByLabel('What would you like to know?').fill('Is the gold <b>real</b>?');
  await there.getByRole('button', { name: 'Ask', exact: true }).click();
  await expect(there.getByText('Your question is with us')).toBeVisible();
  await expect(said).toContainText('Asked: Is the gold <b>real</b>?');
  await page.getByLabel('Your answer').fill('It is a gold-coloured finish.');
  await page.getByRole('button', { name: 'Answer', exact: true }).click();
  await expect(page.getByLabel('Your answer')).toBeHidden();
  await there.reload();
  await expect(there.getByText('It is a gold-coloured finish.')).toBeVisible();

  const agree = there.getByRole('button', { name: /^Agree, / });
  await expect(agree).toHaveText(`Agree, ${await total.innerText()}`);
  await there.getByLabel('Your name, in full').fill('Linked Person');
  await agree.click();
  await expect(there.getByText(/^You agreed on /)).toBeVisible();
  await there.getByRole('button', { name: /^Pay / }).click();
  await expect(there.getByText('No money moves.')).toBeVisible();
  await there.getByRole('button', { name: 'Do not pay' }).click();
  await expect(there.getByRole('alert').first()).toContainText('Nothing was paid');
  await there.getByRole('button', { name: /^Pay / }).click();
  await there.getByRole('button', { name: /^Pay / }).click();
  await expect(there.getByText('The deposit is there. Thank you.')).toBeVisible();

  await page.goto(`/collect/${number}`);
  await expect(page.getByText('By link').first()).toBeVisible();
  const ticket = await (await page.request.get(`/api/jobs/${number}-1`)).json();
  expect(ticket.events[0]).toMatchObject({ what: 'accepted', by: 'By link' });
});

test(
  'a link that is withdrawn, guessed, or looked at beside a change says so, and shows nothing it should not',
  { tag: '@wide' },
  async ({ page, browser, baseURL }) => {
    const { number, there } = await linked(page, 'Careful Person', browser, baseURL);
    await there.getByLabel('Your name, in full').fill('Careful Person');
    // Meanwhile the shop changes it.
    await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
    await page.getByLabel('Width').fill('10');
    await page.keyboard.press('Control+s');
    await expect(page.getByRole('link', { name: 'Print quote' })).toBeVisible();
    await there.getByRole('button', { name: /^Agree, / }).click();
    await expect(there.getByRole('alert').first()).toContainText('The shop changed this order');
    await expect(there.getByLabel('Your name, in full')).toHaveValue('Careful Person');

    await page.getByRole('button', { name: 'Link', exact: true }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Withdraw' }).click();
    await expect(page.getByRole('dialog').getByText('· withdrawn')).toBeVisible();
    await there.reload();
    await expect(there.getByRole('heading', { name: 'This link was withdrawn' })).toBeVisible();
    expect(await there.content()).not.toContain('Careful Person');
    const order = await (await page.request.get(`/api/orders/${number}`)).json();
    expect(order.state).toBe('quoted');
  },
);
