import http from 'node:http';
import type { AddressInfo } from 'node:net';
import { type APIRequestContext, type Page, expect, test } from './test';
import { type Audience, PAGES, ROUTES } from '@/contract/access';
import { CUSTOMERS, STAFF } from '@demo/people';
import { PEOPLE, signIn } from './shop';

/** A piece, a customer and a photo of the shop; looked up by somebody who may. */
const NOBODY = '3d7f0d8e-3d52-4a5a-9c1f-0d0f6c1f4b11';
const known = { piece: NOBODY, customer: NOBODY, photo: 'a'.repeat(64) };
async function lookUp(page: Page): Promise<void> {
  await signIn(page);
  const asked = async (url: string) => (await (await page.request.get(url)).json()) as unknown;
  const { pieces } = (await asked('/api/find?what=all&text=Lantern room')) as { pieces: { id: string }[] };
  const [customer] = (await asked('/api/find?what=customers&text=Orla')) as { id: string }[];
  const { record } = (await asked(`/api/pieces/${pieces[0]!.id}`)) as { record: { photos: { hash: string }[] } };
  Object.assign(known, { piece: pieces[0]!.id, customer: customer!.id, photo: record.photos[0]!.hash });
}

/** An address as it is asked for, with something real in each of its places. */
const real = (name: string) =>
  name
    .replace('[number]', name.startsWith('/papers') ? '2424-1' : '2424')
    .replace('[ticket]', '2424-1')
    .replace('[id]', name.includes('pieces') ? known.piece : known.customer)
    .replace('[hash]', known.photo)
    .replace('[photo]', known.photo)
    .replace('[screen]', 'mine')
    .replace('[token]', 'A'.repeat(22))
    .replace('[reference]', known.piece)
    .replace('[paper]', 'ticket')
    .replace('[file]', '1.svg')
    .replace('[list]', 'rack.csv')
    .replace('[kind]', 'sticks')
    .replace('[topic]', 'polygons')
    .replace('[...rest]', 'nothing/here');

const TREE = encodeURIComponent(JSON.stringify(['', { children: ['__PAGE__', {}] }, null, null]));
/** The ways in which a page is asked for: by a browser, and by the router of a page that is open. */
const WAYS: readonly [string, Record<string, string>][] = [
  ['plain', {}],
  ['router', { RSC: '1' }],
  ['router with its state', { RSC: '1', 'Next-Router-State-Tree': TREE }],
  ['prefetch', { RSC: '1', 'Next-Router-Prefetch': '1', 'Next-Router-State-Tree': TREE }],
  ['segment', { RSC: '1', 'Next-Router-Prefetch': '1', 'Next-Router-Segment-Prefetch': '/_tree' }],
];

/** What only somebody of the shop may read. */
const OF_THE_SHOP = [
  ...CUSTOMERS.flat(),
  ...STAFF.map(({ pin }) => pin),
  'Gannet',
  'GAN-31',
  'labourPerHour',
  'RAG-SHELL',
  '2424-1',
];
const told = (text: string) => OF_THE_SHOP.filter((one) => text.includes(one));
const bodyOf = async (request: APIRequestContext, method: string, path: string, headers: Record<string, string>) => {
  const body = method === 'GET' ? {} : { data: '{}' };
  const json: Record<string, string> =
    method === 'GET' ? {} : { 'content-type': 'application/json', 'x-lopren-upload': 'test' };
  const ask = (at: string) => request.fetch(at, { method, headers: { ...json, ...headers }, maxRedirects: 0, ...body });
  let answer = await ask(path);
  let text = await answer.text();
  // A router's request is sent on to an address with a mark of its headers; that is where it is answered.
  const marked = answer.headers().location;
  if (marked?.includes('_rsc=')) {
    answer = await ask(marked);
    text += await answer.text();
  }
  return { status: answer.status(), text, cache: answer.headers()['cache-control'] ?? '' };
};

test('no page tells a stranger a byte of the shop, however it is asked for', async ({ request, page }) => {
  await lookUp(page);
  for (const name of Object.keys(PAGES)) {
    for (const [way, headers] of WAYS) {
      const { status, text } = await bodyOf(request, 'GET', real(name), headers);
      // The asked address itself stands in the answer of a router.
      const found = told(text).filter((one) => !real(name).includes(one));
      expect([name, way, found]).toEqual([name, way, name === '/sign-in' && way !== 'segment' ? found : []]);
      if (name !== '/sign-in') expect([name, way, status]).toEqual([name, way, status < 400 ? status : 404]);
    }
  }
  const { text } = await bodyOf(request, 'GET', '/sign-in', {});
  expect(told(text).filter((one) => !STAFF.some(({ pin }) => pin === one))).toEqual([]);
});

test('no route tells a stranger a byte of the shop, and none that is for people answers but with 401', async ({
  request,
  page,
}) => {
  await lookUp(page);
  for (const [name, audience] of Object.entries<Audience>(ROUTES)) {
    const [method = '', address = ''] = name.split(' ');
    const { status, text, cache } = await bodyOf(request, method, real(address), {});
    expect([name, told(text).filter((one) => !real(address).includes(one))]).toEqual([name, []]);
    if (typeof audience !== 'string') expect([name, status]).toEqual([name, 401]);
    expect([name, cache]).toEqual([name, expect.stringContaining('no-store')]);
  }
});

test('each role gets what the table says, and the bench no telephone number', async ({ page }) => {
  await lookUp(page);
  for (const person of ['Tobin', 'Maro'] as const) {
    await page.context().clearCookies();
    await signIn(page, person);
    const role = person === 'Maro' ? 'bench' : 'counter';
    const may = (audience: Audience) => typeof audience === 'string' || audience.includes(role);
    for (const [name, audience] of Object.entries<Audience>(PAGES)) {
      if (typeof audience === 'string') continue;
      for (const [way, headers] of WAYS.slice(0, 3)) {
        const { status, text } = await bodyOf(page.request, 'GET', real(name), headers);
        if (!may(audience))
          expect([name, way, told(text).filter((one) => !real(name).includes(one))]).toEqual([name, way, []]);
        else if (way === 'plain') expect([name, status]).toEqual([name, 200]);
        if (role === 'bench') expect([name, way, text.includes('555 01')]).toEqual([name, way, false]);
      }
    }
    const worked = await page.request.post('/api/v1/work-out?working=true', {
      data: {
        build: 'window-mat',
        piece: { kind: 'print', width: '12 in', height: '16 in' },
        mats: [{ board: 'RAG-SHELL' }],
        frame: { moulding: 'GAN-31' },
        glazing: 'GL-CLEAR',
        backing: 'FOAM-5',
      },
    });
    const answer = await worked.json();
    expect([worked.status(), answer.price === null]).toEqual([200, role === 'bench']);
    if (role === 'bench') expect(JSON.stringify(answer)).not.toMatch(/"cost|markup/);
    for (const [name, audience] of Object.entries<Audience>(ROUTES)) {
      const [method = '', address = ''] = name.split(' ');
      if (typeof audience === 'string' || method !== 'GET' || address === '/api/live') continue;
      const { status, text } = await bodyOf(page.request, method, real(address), {});
      expect([name, person, status === 403]).toEqual([name, person, !may(audience)]);
      if (role === 'bench')
        expect([name, text.includes('555 01'), /"cost":[^0]/.test(text)]).toEqual([
          name,
          false,
          name === 'GET /api/rack' && /"cost":[^0]/.test(text),
        ]);
    }
  }
});

test('a page elsewhere changes nothing with somebody’s cookie, and signs nobody in', async ({ page, baseURL }) => {
  const elsewhere = http.createServer((_request, response) => {
    response.setHeader('content-type', 'text/html');
    response.end('<!doctype html><title>elsewhere</title>');
  });
  await new Promise<void>((resolve) => elsewhere.listen(0, '127.0.0.1', resolve));
  const { port } = elsewhere.address() as AddressInfo;
  await signIn(page);
  const before = (await page.context().cookies()).find((one) => one.name === 'lopren')!.value;
  await page.goto(`http://127.0.0.1:${port}/`);
  await page.evaluate(
    async ({ shop, pin }) => {
      const send = (path: string, type: string, body: unknown) =>
        fetch(shop + path, {
          method: 'POST',
          mode: 'no-cors',
          credentials: 'include',
          headers: { 'content-type': type },
          body: JSON.stringify(body),
        }).catch(() => undefined);
      const command = { name: 'add-customer', payload: { name: 'Mallory', phone: '', email: '' } };
      const body = { ...command, id: crypto.randomUUID(), payload: { ...command.payload, id: crypto.randomUUID() } };
      await send('/api/v1/commands', 'text/plain', body);
      await send('/api/session', 'text/plain', { name: 'Maro', pin });
      await send('/api/v1/work-out', 'text/plain', {});
      const form = document.createElement('form');
      form.method = 'post';
      form.action = `${shop}/api/session`;
      form.enctype = 'text/plain';
      form.innerHTML = `<input name='{"name":"Maro","pin":"${pin}","x":"' value='"}'>`;
      document.body.append(form);
      form.submit();
    },
    { shop: baseURL!, pin: PEOPLE.Maro },
  );
  await page.waitForURL('**/api/session');
  expect((await page.context().cookies()).find((one) => one.name === 'lopren')!.value).toBe(before);
  const found = await page.request.get('/api/find?what=customers&text=Mallory');
  expect(await found.json()).toEqual([]);
  elsewhere.close();
});

test('the owner sees what happened, ends a session there, and its stream ends with it', async ({ browser, page }) => {
  await signIn(page);
  const other = await (await browser.newContext()).newPage();
  await signIn(other, 'Tobin');
  await other.goto('/board');
  await page.goto('/security');
  await expect(page.getByRole('heading', { name: 'Security' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'What happened at the door' })).toContainText('signed in');
  const tobin = page.getByRole('row').filter({ hasText: 'Tobin' }).filter({ hasText: 'counter' });
  await tobin.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('region', { name: 'What happened at the door' })).toContainText('sessions ended');
  await other.reload();
  await expect(other).toHaveURL(/sign-in/);
  await other.context().close();
});

test(
  'settings are kept, refused beside their field when they are out of bounds, and backed up',
  { tag: '@wide' },
  async ({ page }) => {
    await signIn(page);
    await page.goto('/settings');
    await page.getByRole('textbox', { name: 'Signed out when idle for' }).fill('2');
    await page.getByRole('button', { name: 'Save settings' }).click();
    await expect(page.getByText('“2” was read. A whole number from 5 to 10080 was expected.')).toBeVisible();
    await page.getByRole('textbox', { name: 'Signed out when idle for' }).fill('480');
    await page.getByRole('button', { name: 'Save settings' }).click();
    await expect(page.getByText('Saved.')).toBeVisible();
    await expect(page.getByText('Edition 2, by Ines')).toBeVisible();
    await page.getByRole('button', { name: 'Back up now' }).click();
    await expect(page.getByText(/^lopren-\d{4}-\d{2}-\d{2}-\d{6}\.tar\.gz$/)).toBeVisible({ timeout: 30_000 });
  },
);
