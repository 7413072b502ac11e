import { expect, test } from './test';
import { SHOP_ADDRESS } from './servers';
import { signIn } from './shop';

const DESIGN = {
  build: 'window-mat',
  piece: { kind: 'print', width: '12 in', height: '16 in', thickness: '0.3 mm', irreplaceable: false },
  window: { overlap: '1/8 in' },
  mats: [{ thickness: '1.4 mm', reveal: '0 in' }],
  border: { mode: 'equal', all: '2 1/2 in' },
  frame: {
    moulding: { faceWidth: '1 1/4 in', rabbetWidth: '1/4 in', rabbetDepth: '5/8 in', height: '1 in', material: 'wood' },
    allowance: '1/8 in',
  },
  glazing: { type: 'glass', thickness: '2 mm' },
  backing: { type: 'foam', thickness: '5 mm' },
  hanging: { rings: 'third', slack: 0.05 },
  rates: {
    moulding: { costPerFoot: 4.2, markup: 3 },
    mat: { costPerSquareFoot: 1.1, markup: 4 },
    glass: { costPerSquareFoot: 1.6, markup: 3.5 },
    backing: { costPerSquareFoot: 0.9, markup: 3 },
    labour: { minutes: 55, perHour: 48 },
    hardware: 6.0,
    ending: '.00',
    tax: { mode: 'exclusive', percent: 8 },
    depositPercent: 50,
  },
};

test('no page asks any other host, and each carries its security headers', async ({ page }) => {
  const hosts = new Set<string>();
  const faults: string[] = [];
  page.on('request', (request) => hosts.add(new URL(request.url()).host));
  page.on('console', (message) => message.type() === 'error' && faults.push(message.text()));
  page.on('pageerror', (error) => faults.push(error.message));
  await signIn(page);
  for (const place of ['/desk', '/board', '/bench', '/bench/2424-1', '/collect', '/collect/2424', '/books']) {
    const response = await page.goto(place);
    expect(response!.headers()['content-security-policy']).toMatch(/default-src 'self'.*nonce-/);
    expect(response!.headers()['x-content-type-options']).toBe('nosniff');
    await expect(page.locator('main').filter({ visible: true })).toHaveCount(1);
  }
  expect([...hosts].filter((host) => host && !host.startsWith('127.0.0.1'))).toEqual([]);
  expect(faults).toEqual([]);
});

test('nothing but sign-in is shown or done without a session', async ({ page, request }) => {
  for (const place of ['/desk', '/board', '/bench/2424-1', '/collect/2424', '/books']) {
    await page.goto(place);
    await expect(page).toHaveURL(/sign-in/);
  }
  for (const path of [
    '/api/find?text=a',
    '/api/orders/2424',
    '/papers/quote/2424',
    '/api/v1/export/mouldings.csv',
    '/api/v1/orders',
    '/api/live',
    '/api/rack',
    '/api/back-up',
  ])
    expect((await request.get(path)).status()).toBe(401);
  const command = await request.post('/api/v1/commands', {
    data: {
      id: crypto.randomUUID(),
      name: 'add-customer',
      payload: { id: crypto.randomUUID(), name: 'X', phone: '', email: '' },
    },
  });
  expect(command.status()).toBe(401);
});

test('the session cookie is hidden from scripts and stays on the site', async ({ page, context }) => {
  await signIn(page);
  const cookie = (await context.cookies()).find((one) => one.name === 'lopren')!;
  expect([cookie.httpOnly, cookie.sameSite]).toEqual([true, 'Strict']);
});

test('a wrong PIN is told, and then how long to wait', async ({ page }) => {
  await page.goto('/sign-in');
  await page.getByRole('button', { name: 'Sile', exact: true }).click();
  for (const wait of ['That is not Sile’s PIN.', 'That is not Sile’s PIN.', 'Wait 1 s, then try again.']) {
    await page.getByLabel('PIN', { exact: true }).fill('0000');
    await page.keyboard.press('Enter');
    await expect(page.getByText(wait)).toBeVisible();
    await page.getByRole('button', { name: 'Sile', exact: true }).click();
  }
});

test('the open interface works the example out, with its working, and describes itself', async ({ request }) => {
  const answer = await (await request.post('/api/v1/work-out?working=true', { data: DESIGN })).json();
  expect(answer.sizes.rabbet).toEqual({
    w: { mm: 428.625, units: 137160, text: '16 7/8 in' },
    h: { mm: 530.225, units: 169672, text: '20 7/8 in' },
  });
  expect([answer.price.subtotal, answer.price.rounding, answer.price.total, answer.price.deposit]).toEqual([
    17201, 99, 18684, 9400,
  ]);
  expect(answer.working['sizes.rabbet.w']).toEqual({
    label: 'rabbet width',
    formula: 'package + allowance',
    inputs: { package: '16 3/4 in', allowance: '1/8 in' },
    value: '16 7/8 in',
  });
  const metric = await (await request.post('/api/v1/work-out?unit=mm', { data: DESIGN })).json();
  expect([metric.sizes.rabbet.w.units, metric.sizes.rabbet.w.text]).toEqual([137160, '428.6 + mm']);
  const parsed = await (await request.post('/api/v1/lengths/parse', { data: { text: '10⅜', unit: 'in' } })).json();
  expect(parsed).toEqual({ length: { mm: 263.525, units: 84328, text: '10 3/8 in' } });
  const document = await (await request.get('/api/v1/openapi.json')).json();
  expect(document.openapi).toBe('3.1.0');
  const { schema } = document.paths['/api/v1/work-out'].post.requestBody.content['application/json'];
  const builds = schema.anyOf[0].oneOf as { required: string[]; properties: { build: { const: string } } }[];
  expect(builds.map((one) => one.properties.build.const)).toContain('floater');
  expect(builds.every((one) => one.required.join() === 'build,piece')).toBe(true);
  expect(Object.keys(document.paths)).toContain('/api/v1/sums/size-chain');
  const sum = await request.post('/api/v1/sums/polygons', {
    data: { sides: 6, side: '200 mm', faceWidth: '30 mm', rabbetWidth: '7 mm' },
  });
  expect(await sum.json()).toMatchObject({ blade: '30°', longPoint: '226.56 mm', shortPoint: '191.92 mm' });
  const many = await request.post('/api/v1/work-out', { data: { designs: [DESIGN, DESIGN, { build: 'tent' }] } });
  const { results } = await many.json();
  expect([results.length, results[1].price.total, results[2].issues[0].path]).toEqual([3, 18684, 'build']);
});

test('orders are found and quoted from outside by who has signed in, and no path is answered with a page', async ({
  page,
}) => {
  await signIn(page);
  const { request } = page;
  const found = await (await request.get('/api/v1/orders?text=2424')).json();
  expect(found.orders).toHaveLength(1);
  const { customer, promised } = found.orders[0];
  expect(await (await request.get(`/api/v1/orders?in=open&text=${encodeURIComponent(customer)}`)).json()).toMatchObject(
    {
      orders: expect.arrayContaining([expect.objectContaining({ number: 2424, state: 'accepted', promised })]),
    },
  );

  const order = await (await request.get('/api/orders/2424')).json();
  const again = {
    orderId: crypto.randomUUID(),
    revision: null,
    customerId: order.customer.id,
    promised,
    pieces: [{ id: crypto.randomUUID(), design: order.pieces[0].design }],
  };
  const quoted = await request.post('/api/v1/orders', { data: again });
  expect(quoted.status(), await quoted.text()).toBe(200);
  const { number } = await quoted.json();
  const both = await (await request.get(`/api/v1/orders?text=${number}`)).json();
  expect(both.orders).toMatchObject([{ number, customer, state: 'quoted' }]);

  const refused = await request.post('/api/v1/orders', { data: { ...again, orderId: 'x', pieces: [] } });
  expect(refused.status()).toBe(400);
  expect((await refused.json()).issues.map(({ path }: { path: string }) => path).sort()).toEqual(['orderId', 'pieces']);
  for (const path of ['/api/v1/nothing', '/api/v1/cut-plans/planks']) {
    const answer = await request.post(path, { data: {} });
    expect([answer.status(), answer.headers()['content-type']]).toEqual([404, 'application/problem+json']);
    expect((await answer.json()).issues[0]).toMatchObject({ code: 'path-unknown', figures: { path } });
  }
});

test.describe('hostile bodies get problem details with a path, and the server stays up', () => {
  const cases: [string, unknown, number, string][] = [
    ['unknown key', { ...DESIGN, colour: 'red' }, 400, 'input-wrong'],
    ['unknown build', { ...DESIGN, build: 'tent' }, 400, 'input-wrong'],
    ['a prototype key', JSON.parse('{"__proto__":{"build":"window-mat"}}'), 400, 'input-wrong'],
    ['a negative size', { ...DESIGN, piece: { ...DESIGN.piece, width: -4 } }, 422, 'length-negative'],
    ['an absurd size', { ...DESIGN, piece: { ...DESIGN.piece, width: '1e9 in' } }, 422, 'length-word'],
    ['a size that is nothing', { ...DESIGN, piece: { ...DESIGN.piece, width: '0.001 mm' } }, 422, 'length-zero'],
    ['an overlap larger than the piece', { ...DESIGN, window: { overlap: '7 in' } }, 422, 'overlap-takes-all'],
    [
      'a rabbet wider than its face',
      { ...DESIGN, frame: { ...DESIGN.frame, moulding: { ...DESIGN.frame.moulding, rabbetWidth: '2 in' } } },
      422,
      'rabbet-wider-than-face',
    ],
    ['a rate that is no number', { ...DESIGN, rates: { labour: { perHour: '4e8' } } }, 400, 'input-wrong'],
  ];
  for (const [name, body, status, code] of cases) {
    test(name, async ({ request }) => {
      const response = await request.post('/api/v1/work-out', { data: body as object });
      expect([response.status(), response.headers()['content-type'], (await response.json()).issues[0].code]).toEqual([
        status,
        'application/problem+json',
        code,
      ]);
    });
  }

  test('no JSON, too large, too deep', async ({ request }) => {
    const post = (data: string) =>
      request.post('/api/v1/work-out', { data, headers: { 'content-type': 'application/json' } });
    expect((await post('{"build":')).status()).toBe(400);
    expect((await post(`"${'x'.repeat(10_000_000)}"`)).status()).toBe(413);
    expect((await post(`${'['.repeat(90_000)}${']'.repeat(90_000)}`)).status()).toBe(400);
    expect((await post(JSON.stringify(DESIGN))).status()).toBe(200);
  });
});

test('a new shop asks for its first owner, then opens, and keeps its computations to those who signed in', async ({
  browser,
}) => {
  const page = await (await browser.newContext({ baseURL: SHOP_ADDRESS })).newPage();
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'A new shop' })).toBeVisible();
  expect((await page.request.post('/api/v1/work-out', { data: DESIGN })).status()).toBe(401);
  await page.getByLabel('What is it called?').fill('Skerry Frames');
  await page.getByLabel('Tax in percent').fill('8');
  await page.getByLabel('Who owns it?').fill('Runa');
  await page.getByLabel('The owner’s PIN, four to eight digits').fill('90210');
  await page.getByRole('button', { name: 'millimetres' }).click();
  await page.getByLabel('The code that Lopren printed where it was started').fill('wrong');
  await page.getByRole('button', { name: 'Set up' }).click();
  await expect(page.getByText('That is not the code.')).toBeVisible();
  await page.getByLabel('The code that Lopren printed where it was started').fill('tests codes');
  await page.getByRole('button', { name: 'Set up' }).click();
  await page.waitForURL('**/books');
  await expect(page.getByText('No moulding yet.').filter({ visible: true })).toBeVisible();
  expect((await page.request.post('/api/v1/work-out', { data: DESIGN })).status()).toBe(200);
  await page.goto('/desk');
  await expect(page.getByRole('link', { name: 'Import a supplier’s list' })).toBeVisible();
  await page.goto('/set-up');
  await expect(page).toHaveURL(/desk|sign-in/);
});
