/** Statuses that tell the truth, and pages that are whole without a script. */
import { PAGES } from '@/contract/access';
import { expect, test } from './test';
import { PEOPLE, signIn } from './shop';

const ROLES = { Tobin: 'counter', Maro: 'bench' } as const;

test('a page that is not for somebody sends them on, by its status', async ({ page }) => {
  const fixed = Object.entries(PAGES).filter(([name]) => !name.includes('['));
  for (const [name, role] of Object.entries(ROLES)) {
    await page.context().clearCookies();
    await signIn(page, name as keyof typeof PEOPLE);
    const others = fixed.filter(
      ([, audience]) => typeof audience !== 'string' && !(audience as readonly string[]).includes(role),
    );
    expect(others.length).toBeGreaterThan(3);
    for (const [place] of others) {
      const answer = await page.request.get(place, { maxRedirects: 0 });
      expect([name, place, answer.status()]).toEqual([name, place, 307]);
    }
  }
});

test('a wrong link says so on a phone without scripts, and a good one opens from the same place all the same', async ({
  browser,
  page,
  baseURL,
}) => {
  const phone = await browser.newContext({ javaScriptEnabled: false, baseURL: baseURL! });
  const there = await phone.newPage();
  for (let times = 0; times < 14; times += 1) {
    const wrong = `/link/${'x'.repeat(20)}${String(times).padStart(2, '0')}`;
    const answer = await there.goto(wrong);
    expect(answer!.status()).toBe(404);
  }
  await expect(there.getByRole('heading', { name: 'There is no such link' })).toBeVisible();
  await expect(there.getByText('ask the shop to send it again')).toBeVisible();
  await signIn(page);
  const { id: orderId, revision } = (await (await page.request.get('/api/orders/2424')).json()) as {
    id: string;
    revision: number;
  };
  const token = 'AbCdEfGhIjKlMnOpQrStUv';
  const payload = { linkId: crypto.randomUUID(), orderId, revision, token, reasons: {} };
  const made = await page.request.post('/api/v1/commands', {
    data: { id: crypto.randomUUID(), name: 'make-link', payload },
  });
  expect(made.status()).toBe(200);
  expect((await there.goto(`/link/${token}`))!.status()).toBe(200);
  await expect(there.getByText('Quillet Framing').first()).toBeVisible();
  await phone.close();
});

test('a second Enter while the first is on its way is no other screen', async ({ page }) => {
  await signIn(page, 'Maro');
  const { jobs } = (await (await page.request.get('/api/board')).json()) as {
    jobs: { ticket: string; hold: unknown; next: string | null }[];
  };
  const { ticket } = jobs.find((job) => !job.hold && job.next === 'materials-here') ?? jobs.find((job) => !job.hold)!;
  await page.goto(`/bench/${ticket}`);
  const head = page.getByRole('heading', { level: 1 });
  const before = await head.textContent();
  const done = page.getByRole('button', { name: /Enter$/ });
  await expect(done).toBeEnabled();
  await page.route('**/api/v1/commands', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 400));
    await route.continue();
  });
  await page.keyboard.press('Enter');
  await page.keyboard.press('Enter');
  await expect(head).not.toHaveText(before!);
  await expect(page.getByText(/changed since|just changed/)).toHaveCount(0);
});
