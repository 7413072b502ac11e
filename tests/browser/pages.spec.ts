/** What must hold of every page: nothing that shuts somebody out, one heading, no more script than was agreed, no page wider than its screen. */
import zlib from 'node:zlib';
import axe from 'axe-core';
import { type Page, type Response, expect, test } from './test';
import { PAGES } from '@/contract/access';
import { newToken } from '@/core/links/link';
import { forgetTyped, signIn } from './shop';

test.describe.configure({ mode: 'parallel' });

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

/** What shuts somebody out of the page. It has no frames, and is looked at in one go. */
async function shutOut(page: Page) {
  await page.evaluate(axe.source);
  return page.evaluate(async () => {
    const { violations } = await (window as unknown as { axe: typeof axe }).axe.run({ resultTypes: ['violations'] });
    return violations.map(({ impact, id, nodes }) => ({ impact, id, html: nodes[0]?.html ?? '' }));
  });
}

/** Kilobytes of script, gzip, before the first touch. */
const BUDGET = 240;
/** The desk works out where the wood is as well; prices hold one change against the other. */
const DESK_BUDGET = 310;
const PRICES_BUDGET = 241;
const budgetOf = (place: string): number =>
  place.startsWith('/desk') ? DESK_BUDGET : place === '/books/prices' ? PRICES_BUDGET : BUDGET;

/** Pages that are opened on small screens too. */
const NARROW = /^\/(board|bench|bench\/2424-1|collect|collect\/2424|customers|rack|desk|me|sign-in)$|^\/pieces\/[^/]+$/;
const WIDTHS = [390, 820, 1024] as const;
const overhang = (page: Page) =>
  page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);

const HALVES = ['first', 'second'] as const;
for (const [half, name] of HALVES.entries())
  test(`no page shuts anybody out, ships more script than was agreed, or is wider than its screen: the ${name} half`, async ({
    page,
  }) => {
    await signIn(page);
    await forgetTyped(page);
    const places = (await placesOf(page)).filter((_, index) => index % HALVES.length === half);
    expect(places.length).toBeGreaterThan(12);
    const wrong: string[] = [];
    for (const place of places) {
      const sizes: Promise<number>[] = [];
      const weigh = (response: Response) => {
        if (/javascript/.test(response.headers()['content-type'] ?? ''))
          sizes.push(response.body().then((body) => zlib.gzipSync(body).length));
      };
      page.on('response', weigh);
      await page.goto(place, { waitUntil: 'networkidle' });
      page.off('response', weigh);
      await still(page);
      const kilobytes = (await Promise.all(sizes)).reduce((sum, size) => sum + size, 0) / 1000;
      if (kilobytes > budgetOf(place)) wrong.push(`${place}: ${kilobytes.toFixed(0)} of ${budgetOf(place)} kB`);
      for (const { impact, id, html } of await shutOut(page))
        if (impact === 'serious' || impact === 'critical') wrong.push(`${place} ${id}: ${html.slice(0, 120)}`);
      const heads = await page.locator('h1').filter({ visible: true }).count();
      const hidden = await page.locator('h1.sr').count();
      if (heads + hidden < 1 || (await page.locator('h1').count()) !== 1) wrong.push(`${place} has ${heads} h1`);
      if (!NARROW.test(place)) continue;
      for (const width of WIDTHS) {
        await page.setViewportSize({ width, height: width < 500 ? 844 : 1100 });
        const over = await overhang(page);
        if (over > 0) wrong.push(`${place} at ${width} by ${over}`);
      }
      await page.setViewportSize({ width: 1280, height: 800 });
    }
    expect(wrong).toEqual([]);
  });

for (const width of WIDTHS)
  test(`on a screen of ${width} one can change the unit and sign out`, async ({ page }) => {
    await page.setViewportSize({ width, height: width < 500 ? 844 : 1100 });
    await signIn(page);
    await page.goto('/board');
    await still(page);
    expect(await overhang(page)).toBeLessThanOrEqual(0);
    await page.getByRole('button', { name: 'mm', exact: true }).click();
    await page.getByRole('button', { name: 'Ines' }).click();
    await expect(page.getByRole('menuitem', { name: 'Sign out' })).toBeVisible();
  });
