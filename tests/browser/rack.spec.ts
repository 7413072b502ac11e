import { expect, test } from './test';
import { choose, signIn } from './shop';

test('the jobs that wait are planned, a leg is moved by hand, the plan confirmed, a cut spoiled and planned again', async ({
  page,
}) => {
  await signIn(page, 'Maro');
  await page.goto('/rack/plan');
  await page.getByRole('button', { name: /^Plan \d+ jobs/ }).click();
  await expect(page.getByRole('button', { name: 'Confirm, take the material' })).toBeEnabled();
  await expect(page.getByText(/could still be saved|Nothing cheaper is possible/)).toBeVisible();
  await expect(page.getByText('Not in the plan')).toHaveCount(0);

  // The same figures in the other unit, none of them lost.
  const stops = await page.locator('ol').first().getByRole('button').count();
  await page.keyboard.press('u');
  await expect(page.getByText('3048').first()).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.locator('ol').first().getByRole('button')).toHaveCount(stops);

  await page.getByRole('button', { name: 'Keep as is' }).first().click();
  await page.getByRole('button', { name: 'Plan the rest again' }).click();
  await expect(page.getByRole('button', { name: 'Confirm, take the material' })).toBeEnabled();
  await expect(page.getByRole('button', { name: 'Stays' })).toHaveCount(1);
  await page.locator('ol').first().getByRole('button').first().click();
  const targets = page.getByRole('button', { name: /^Move .* here$/ });
  if ((await targets.count()) > 0) await targets.last().click();

  await page.getByRole('button', { name: 'Confirm, take the material' }).click();
  await page.waitForURL('**/rack/plans');
  const row = page.getByRole('row', { name: /and \d+ more/ }).first();
  await expect(row.getByRole('link', { name: 'Cut sheet' })).toBeVisible();
  const paper = await page.request.get((await row.getByRole('link', { name: 'Cut sheet' }).getAttribute('href'))!);
  expect(paper.headers()['content-type']).toBe('application/pdf');
  const list = await page.request.get((await row.getByRole('link', { name: 'CSV' }).getAttribute('href'))!);
  expect(await list.text()).toContain('2432-1 top');

  await row.getByRole('button', { name: 'Spoiled' }).click();
  const dialog = page.getByRole('dialog');
  await choose(dialog, 'Which', '2432-1 top');
  await dialog.getByLabel('Why').fill('chipped at the mitre');
  await dialog.getByLabel(/What is left/).fill('99');
  await dialog.getByRole('button', { name: 'Write it down' }).click();
  await expect(dialog.getByText('is more than the spoiled part was')).toBeVisible();
  await dialog.getByLabel(/What is left/).fill('14 1/2');
  await dialog.getByRole('button', { name: 'Write it down' }).click();
  await expect(row).toContainText('2432-1 top spoiled: chipped at the mitre');
  await page.goto('/rack/plan');
  await expect(page.getByText(/1 leg, 1 again/).filter({ visible: true })).toBeVisible();
});

test(
  'a piece is added by typing and found by its label; what cannot be is said beside its field; nothing typed is lost',
  { tag: '@wide' },
  async ({ page }) => {
    await signIn(page, 'Maro');
    await page.goto('/rack');
    await page.getByRole('button', { name: 'Add a piece' }).click();
    await page.getByLabel('Length').fill('10 3');
    await page.getByLabel('Dents and scratches').fill('1 to 90');
    await page.getByRole('button', { name: 'Add to the rack' }).click();
    await expect(page.getByRole('alert').first()).toBeVisible();
    await page.getByLabel('Length').fill('41 3/8');
    await page.getByRole('button', { name: 'Add to the rack' }).click();
    await expect(page.getByText('is not a stretch of a piece')).toBeVisible();
    await expect(page.getByLabel('Length')).toHaveValue('41 3/8');
    await page.getByLabel('Dents and scratches').fill('1 to 2 1/2');
    await page.getByLabel('Place', { exact: true }).fill('Rack Z, 9');
    await page.getByRole('button', { name: 'Add to the rack' }).click();
    const row = page.getByRole('row', { name: /Rack Z, 9/ });
    await expect(row).toBeVisible();
    const code = (await row.getByRole('cell').first().textContent())!;
    await page.getByLabel('Scan a label, or find a piece').fill(code.toLowerCase());
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: `Change ${code}` })).toBeVisible();
    await expect(page.getByLabel('Dents and scratches')).toHaveValue('1 in to 2 1/2 in');
    const label = await page.request.get(`/papers/rack-label/${code}`);
    expect(label.headers()['content-type']).toBe('application/pdf');

    // A scan opens the piece and changes nothing: what is typed now is still there, and is what is kept.
    await page.getByLabel('Place', { exact: true }).fill('Rack Z, 10');
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByRole('row', { name: /Rack Z, 10/ })).toContainText(code);

    await page.getByLabel('The rack as CSV').setInputFiles({
      name: 'x.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from('kind,material,length\nstick,GHOST,20\n'),
    });
    await expect(page.getByText(/GHOST/).first()).toBeVisible();
  },
);

test('the mat cutter plays the cuts of a mat and refuses what it cannot cut', async ({ page }) => {
  await signIn(page, 'Maro');
  await page.goto('/rack/mat-cutter');
  await page.getByRole('button', { name: 'Cut mat 1' }).first().click();
  await expect(page.getByText('Straight through')).toBeVisible();
  await page.getByRole('button', { name: '16 times faster' }).click();
  await expect(page.getByRole('button', { name: 'Play again' })).toBeVisible();
  const spline = '0\nSECTION\n2\nENTITIES\n0\nSPLINE\n8\nBEVEL\n0\nENDSEC\n0\nEOF\n';
  await page
    .getByLabel('A DXF file')
    .setInputFiles({ name: 'wave.dxf', mimeType: 'application/dxf', buffer: Buffer.from(spline) });
  await expect(page.getByRole('heading', { name: 'The cutter refuses wave.dxf' })).toBeVisible();
  await expect(page.getByText('“SPLINE” is a shape this cutter does not know')).toBeVisible();
});

test('the open interface streams better plans and says what is wrong', async ({ request }) => {
  const body = {
    kerf: 4.24,
    profiles: [{ id: 'M', stock: [{ id: 's', length: 3000 }] }],
    frames: Array.from({ length: 30 }, (_, at) => ({
      id: `F${at}`,
      profile: 'M',
      legs: [0, 1, 2, 3].map((leg) => ({ id: `F${at}-${leg}`, length: 300 + ((at * 37 + (leg >> 1) * 211) % 700) })),
    })),
  };
  const events = await request.post('/api/v1/cut-plans/sticks?budgetMs=400', {
    data: body,
    headers: { accept: 'text/event-stream' },
  });
  const text = await events.text();
  expect(text.match(/^event: plan$/gm)!.length).toBeGreaterThan(0);
  const done = JSON.parse(/event: done\ndata: (.*)/.exec(text)![1]!) as {
    bars: unknown[];
    cost: number;
    bound: number;
  };
  expect(done.bound).toBeLessThanOrEqual(done.cost);
  const codes = async (path: string, data: unknown) => {
    const answer = await request.post(path, { data });
    return [answer.status(), ((await answer.json()) as { issues: { code: string }[] }).issues[0]!.code];
  };
  expect(await codes('/api/v1/cut-plans/sticks', { ...body, endTrim: -1 })).toEqual([400, 'input-wrong']);
  expect(await codes('/api/v1/cut-plans/sticks?budgetMs=abc', body)).toEqual([400, 'budget-wrong']);
  expect(await codes('/api/v1/cut-plans/planks', body)).toEqual([404, 'path-unknown']);
});
