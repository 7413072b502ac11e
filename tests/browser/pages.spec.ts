/** What must hold of every page: nothing that shuts somebody out, one heading, no more script than was agreed, no page wider than its screen. */
import zlib from 'node:zlib';
import AxeBuilder from '@axe-core/playwright';
import { type Page, expect, test } from './test';
import { PAGES } from '@/contract/access';
import { newToken } from '@/core/links/link';
import { forgetTyped, signIn } from './shop';

test.describe.configure({ timeout: 240_000 });

/** Every page at an address where there is something, as somebody who signed in finds it. */
async function placesOf(page: Page): Promise<string[]> {
  const found = async (what: string, text: string) =>
    (await (await page.request.get(`/api/find?what=${what}&text=${text}`)).json()) as unknown;
  const [customer] = (await found('customers', 'Orla')) as { id: string }[];
  const [piece] = ((await found('all', 'Lantern room')) as { pieces: { id: string }[] }).pieces;
  const { id: orderId, revision } = (await (await page.request.get('/api/orders/2424')).json()) as {
    id: string;
    revision: number;
  };
  const token = newToken();
  const payload = { linkId: crypto.randomUUID(), orderId, revision, token, reasons: {} };
  const made = await page.request.post('/api/v1/commands', {
    data: { id: crypto.randomUUID(), name: 'make-link', payload },
  });
  expect(made.status()).toBe(200);
  return Object.keys(PAGES)
    .filter((name) => name !== '/' && name !== '/set-up')
    .map((name) =>
      name
        .replace('[number]', '2424')
        .replace('[ticket]', '2424-1')
        .replace('[screen]', 'mine')
        .replace('[token]', token)
        .replace('[reference]', orderId)
        .replace('[id]', name.startsWith('/pieces') ? piece!.id : customer!.id),
    );
}

const still = async (page: Page) => {
  await expect(page.locator('main').filter({ visible: true })).toHaveCount(1);
  await expect(page.locator('main[aria-busy=true]')).toHaveCount(0);
};

test('no page shuts anybody out: nothing serious for axe, one heading of the first level', async ({ page }) => {
  await signIn(page);
  const wrong: string[] = [];
  for (const place of await placesOf(page)) {
    await page.goto(place);
    await still(page);
    const { violations } = await new AxeBuilder({ page }).analyze();
    for (const { impact, id, nodes } of violations)
      if (impact === 'serious' || impact === 'critical') wrong.push(`${place} ${id}: ${nodes[0]?.html.slice(0, 120)}`);
    const heads = await page.locator('h1').filter({ visible: true }).count();
    const hidden = await page.locator('h1.sr').count();
    if (heads + hidden < 1 || (await page.locator('h1').count()) !== 1) wrong.push(`${place} has ${heads} h1`);
  }
  expect(wrong).toEqual([]);
});

/** Kilobytes of script, gzip, before the first touch. */
const BUDGET = 240;
const BUDGETS: Readonly<Record<string, number>> = { '/desk': 300 };

test('no page ships more script than was agreed', async ({ page }) => {
  await signIn(page);
  await forgetTyped(page);
  const over: string[] = [];
  for (const place of await placesOf(page)) {
    const fresh = await page.context().newPage();
    const sizes: Promise<number>[] = [];
    fresh.on('response', (response) => {
      if (/javascript/.test(response.headers()['content-type'] ?? ''))
        sizes.push(response.body().then((body) => zlib.gzipSync(body).length));
    });
    await fresh.goto(place, { waitUntil: 'networkidle' });
    const kilobytes = (await Promise.all(sizes)).reduce((sum, size) => sum + size, 0) / 1000;
    const budget = BUDGETS[place] ?? (place.startsWith('/desk') ? BUDGETS['/desk']! : BUDGET);
    if (kilobytes > budget) over.push(`${place}: ${kilobytes.toFixed(0)} of ${budget} kB`);
    await fresh.close();
  }
  expect(over).toEqual([]);
});

const NARROW = [
  '/board',
  '/bench',
  '/bench/2424-1',
  '/collect',
  '/collect/2424',
  '/customers',
  '/rack',
  '/desk',
  '/me',
  '/sign-in',
];
for (const width of [390, 820, 1024])
  test(`nothing is wider than a screen of ${width}`, async ({ page }) => {
    await page.setViewportSize({ width, height: width < 500 ? 844 : 1100 });
    await signIn(page);
    const wide: string[] = [];
    const piece = (await placesOf(page)).find((place) => place.startsWith('/pieces'))!;
    for (const place of [...NARROW, piece]) {
      await page.goto(place);
      await still(page);
      const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      if (over > 0) wide.push(`${place} by ${over}`);
    }
    expect(wide).toEqual([]);
    // What every page must let one do: change the unit, and sign out.
    await page.goto('/board');
    await page.getByRole('button', { name: 'mm', exact: true }).click();
    await page.getByRole('button', { name: 'Ines' }).click();
    await expect(page.getByRole('menuitem', { name: 'Sign out' })).toBeVisible();
  });
