import { type Locator, type Page, type Request, expect } from './test';

export const PEOPLE = { Ines: '2417', Tobin: '3108', Maro: '5520' } as const;

/** As somebody does it: by name and PIN. */
export async function signInByHand(page: Page, name: keyof typeof PEOPLE): Promise<void> {
  await page.goto('/sign-in');
  await page.getByRole('button', { name, exact: true }).click();
  await page.getByLabel('PIN', { exact: true }).fill(PEOPLE[name]);
  await page.keyboard.press('Enter');
  await arrived(page, name);
}
/** By a request, where a test is of something else. */
export async function signIn(page: Page, name: keyof typeof PEOPLE = 'Ines'): Promise<void> {
  const answer = await page.request.post('/api/session', { data: { name, pin: PEOPLE[name] }, maxRetries: 2 });
  expect(answer.status()).toBe(200);
  await page.goto('/');
  await arrived(page, name);
}
/** The bench begins at the bench, everybody else at the desk. */
async function arrived(page: Page, name: keyof typeof PEOPLE): Promise<void> {
  const bench = name === 'Maro';
  await page.waitForURL(bench ? '**/bench' : '**/desk');
  if (!bench) await expect(page.getByRole('heading', { name: 'New order' })).toBeVisible();
}

/** The figure on a line of the tape. */
export const tape = (page: Page, name: string) =>
  page.getByRole('region', { name: 'Sizes and price' }).getByRole('button', { name: new RegExp(`^${name}`) });
export const total = (page: Page, name: string) =>
  page.locator('dl > div', { has: page.locator(`dt:text-is("${name}")`) }).locator('dd');

/** Adds a new customer from the keyboard. */
export async function addCustomer(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'Choose the customer' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name or phone of the customer').fill(name);
  await dialog.getByRole('button', { name: `Add “${name}”` }).click();
  await dialog.getByRole('button', { name: 'Add this customer' }).click();
  await expect(dialog).toBeHidden();
}

/** Chooses from a list by what stands there. */
export async function choose(within: Page | Locator, label: string, option: string): Promise<void> {
  await within.getByRole('combobox', { name: label }).click();
  const page = 'page' in within ? within.page() : within;
  await page.getByRole('option', { name: option, exact: true }).click();
}

/** Nothing typed is left, here or in the shop. */
export async function forgetTyped(page: Page): Promise<void> {
  await page.evaluate(async () => {
    localStorage.clear();
    await fetch('/api/drafts/new', {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ version: 0, base: null, draft: null }),
    });
  });
}

/** A saved quote for a print, with everything else as the shop usually does it; answers its number. */
export async function saveQuote(page: Page, customer: string, size = '9 x 12'): Promise<number> {
  await page.goto('/desk');
  await forgetTyped(page);
  await page.reload();
  await page.getByLabel('Width').fill(size);
  await addCustomer(page, customer);
  await page.getByRole('button', { name: 'Save quote' }).click();
  await page.waitForURL(/\/desk\/\d+$/);
  await expect(page.getByRole('link', { name: 'Print quote' })).toBeVisible();
  return Number(page.url().split('/').pop());
}

/** Whether every script is here that a page asked for from now on. */
export function scriptsOf(page: Page): () => boolean {
  const coming = new Set<Request>();
  page.on('request', (request) => {
    if (request.resourceType() === 'script') coming.add(request);
  });
  const gone = (request: Request) => void coming.delete(request);
  page.on('requestfinished', gone);
  page.on('requestfailed', gone);
  return () => coming.size === 0;
}
