import fs from 'node:fs';
import sharp from 'sharp';
import { expect, test } from './test';
import { choose, forgetTyped, signIn } from './shop';

const photo = (w: number, h: number, hue: number) =>
  sharp({ create: { width: w, height: h, channels: 3, background: { r: hue, g: 120, b: 90 } } });

test.beforeEach(async ({ page }) => {
  await signIn(page);
  await forgetTyped(page);
});

test('a piece is photographed, straightened, marked and signed for before it is quoted; the photo is then the picture', async ({
  page,
}) => {
  await page.goto('/desk');
  await page.getByLabel('Name', { exact: true }).fill('Gannets at rest');
  await page.getByLabel('Width').fill('12 x 16');
  await page.getByRole('button', { name: 'Photos and condition' }).click();
  await page.waitForURL('**/pieces/**');
  await expect(page.getByRole('heading', { name: 'Gannets at rest' })).toBeVisible();
  const taken = await photo(1200, 1600, 40).jpeg().withMetadata({ orientation: 6 }).toBuffer();
  await page.getByLabel('choose files').setInputFiles([
    { name: 'front.jpg', mimeType: 'image/jpeg', buffer: taken },
    { name: 'back.png', mimeType: 'image/png', buffer: await photo(600, 800, 200).png().toBuffer() },
  ]);
  await expect(page.getByRole('img', { name: 'Back, photo 2' })).toBeVisible();
  await page.getByRole('button', { name: 'Front, photo 1' }).click();
  const large = page.getByRole('img', { name: 'Front, photo 1' });
  // It stands upright now: what the camera called 1200 × 1600 was held sideways.
  await expect
    .poll(() => large.evaluate((image: HTMLImageElement) => [image.naturalWidth, image.naturalHeight]))
    .toEqual([1600, 1200]);
  await page.getByRole('button', { name: 'Straighten and crop' }).click();
  await page.getByRole('button', { name: 'A quarter to the right' }).click();
  const crop = page.getByRole('img', { name: 'Crop' });
  await expect
    .poll(() => crop.evaluate((image: HTMLImageElement) => [image.naturalWidth, image.naturalHeight]))
    .toEqual([1200, 1600]);
  await page.getByRole('slider').focus();
  for (let press = 0; press < 10; press += 1) await page.keyboard.press('ArrowRight');
  await expect(page.getByText('1.0°')).toBeVisible();
  await page.getByRole('button', { name: 'Take it so' }).click();
  await expect(large).toBeVisible();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();

  const box = (await large.boundingBox())!;
  await page.mouse.click(box.x + box.width * 0.25, box.y + box.height * 0.75);
  await choose(page, '1 Kind', 'Tear');
  await page.getByLabel('Size').fill('8 mm');
  await page.getByLabel('What is seen').fill('Left edge');
  await page.getByText('The customer agrees').click();
  await page.getByRole('button', { name: 'Gloves' }).click();
  await page.getByLabel(/Each goes back/).fill('Old frame');
  await page.keyboard.press('Enter');
  await page.getByLabel('Lies at').fill('Shelf 1');
  await page.getByRole('button', { name: 'Sign here' }).click();
  const field = page.getByRole('img', { name: 'Sign here' });
  await expect(field).toBeVisible();
  const pad = (await field.boundingBox())!;
  await page.mouse.move(pad.x + 30, pad.y + 40);
  await page.mouse.down();
  for (let step = 0; step < 12; step += 1) await page.mouse.move(pad.x + 30 + step * 18, pad.y + 40 + (step % 3) * 14);
  await page.mouse.up();
  await page.getByLabel('Name of who signs').fill('Bo Ström');
  await page.getByRole('button', { name: 'Signed', exact: true }).click();
  await expect(page.getByText(/Signed by Bo Ström/)).toBeVisible();

  // Nothing typed at the desk is lost, and the drawing shows the piece itself.
  await page.getByRole('link', { name: 'Back to the desk' }).click();
  await expect(page.getByLabel('Width')).toHaveValue('12');
  const drawn = page.locator('svg image').first();
  await expect(drawn).toBeVisible();
  expect(await drawn.getAttribute('href')).toMatch(/^\/api\/photos\/[0-9a-f]{64}/);
});

test('what is no photo is refused with what to do, and what was there stays', { tag: '@wide' }, async ({ page }) => {
  await page.goto('/desk');
  await page.getByLabel('Width').fill('8 x 10');
  await page.getByRole('button', { name: 'Photos and condition' }).click();
  await page.waitForURL('**/pieces/**');
  const send = (name: string, buffer: Buffer) =>
    page.getByLabel('choose files').setInputFiles({ name, mimeType: 'image/jpeg', buffer });
  await send('good.png', await photo(300, 300, 90).png().toBuffer());
  await expect(page.getByRole('img', { name: 'Front, photo 1' })).toBeVisible();
  const whole = await photo(900, 900, 10).jpeg().toBuffer();
  for (const [name, bytes, says] of [
    ['note.jpg', Buffer.from('a shopping list'), /no photo that can be read/],
    ['phone.heic', Buffer.from('\0\0\0\x18ftypheic\0\0\0\0mif1heic', 'latin1'), /HEIC photo/],
    ['dot.png', await photo(1, 1, 9).png().toBuffer(), /At least 64/],
    ['cut.jpg', whole.subarray(0, whole.length / 2), /damaged or was cut off/],
    ['huge.jpg', Buffer.concat([whole, Buffer.alloc(50_000_000)]), /may have 25 MB/],
  ] as const) {
    await send(name, Buffer.from(bytes));
    await expect(page.getByText(says)).toBeVisible();
  }
  await expect(page.getByRole('button', { name: /photo \d/ })).toHaveCount(1);
  // Past the screen, at the door itself.
  const sent = await page.request.post('/api/photos', {
    headers: { 'x-lopren-upload': '1', 'content-type': 'image/jpeg' },
    data: Buffer.alloc(26_000_000, 1),
  });
  expect(sent.status()).toBe(413);
});

test('two people write about one piece: what the other wrote is decided, not lost', async ({
  page,
  browser,
  baseURL,
}) => {
  const found = (await (await page.request.get('/api/find?what=all&text=Sailmaker')).json()) as {
    pieces: { id: string }[];
  };
  const address = `/pieces/${found.pieces[0]!.id}`;
  const other = await (await browser.newContext({ baseURL: baseURL! })).newPage();
  await signIn(other, 'Maro');
  await page.goto(address);
  await other.goto(address);
  await other.getByLabel('Lies at').fill('Flat file 9');
  // The first sees the other's change by itself.
  await expect(page.getByLabel('Lies at')).toHaveValue('Flat file 9');
  await expect(other.getByText(/Declared value/)).toHaveCount(0);
  // Offline, one goes on; the other writes meanwhile.
  await page.context().setOffline(true);
  await page.getByLabel('Lies at').fill('Drawer 1');
  await other.getByRole('button', { name: 'Insured' }).click();
  await expect(other.getByText('Saved', { exact: true })).toBeVisible();
  await page.context().setOffline(false);
  await page.getByRole('button', { name: 'Gloves' }).click();
  await page.getByRole('button', { name: 'Keep what I wrote' }).click();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await expect(page.getByLabel('Lies at')).toHaveValue('Drawer 1');
  await other.context().close();
});

test('a receipt is printed for what is left here', async ({ page }) => {
  const response = await page.request.get('/papers/taking-in/2414');
  expect([response.status(), response.headers()['content-type']]).toEqual([200, 'application/pdf']);
  expect((await response.body()).subarray(0, 5).toString()).toBe('%PDF-');
});

test(
  'customers: found though misspelt, joined while somebody has the other open, exported and forgotten',
  { tag: '@wide' },
  async ({ page }, info) => {
    await page.goto('/customers');
    for (const [name, phone] of [
      ['Ottoline Brack', '555 0871'],
      ['Otoline Brak', '555 0872'],
    ] as const) {
      await page.goto('/customers?add');
      await page.getByLabel('Name', { exact: true }).fill(name);
      await page.getByLabel('Phone', { exact: true }).fill(phone);
      await page.getByRole('form', { name: 'Add a customer' }).getByRole('button').click();
      await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
    }
    const gone = page.url();
    await page.keyboard.press('Escape');
    await page.getByRole('heading', { level: 1 }).click();
    await page.keyboard.press('/');
    await page.getByLabel(/Find anything: an order/).fill('Ottolin Brack');
    await expect(page.getByRole('button', { name: /Ottoline Brack/ })).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Ottoline Brack', level: 1 })).toBeVisible();
    await page.getByRole('button', { name: 'Join with another entry' }).click();
    await page.getByLabel('The other entry: name or phone').fill('0872');
    await page.getByRole('button', { name: 'Join Otoline Brak, 555 0872 into this one' }).click();
    await expect(page.getByLabel('Notes, for the shop only')).toHaveValue('555 0872');
    // Whoever still has the other's address is led to the one that stays.
    await page.goto(gone);
    await expect(page.getByText('This entry was joined with another, which is shown.')).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Ottoline Brack', level: 1 })).toBeVisible();
    const list = await page.request.get('/api/v1/export/customers.csv');
    const text = await list.text();
    expect(text).toContain('Ottoline Brack,555 0871');
    expect(text).not.toContain('Otoline');
    const file = info.outputPath('list.csv');
    fs.writeFileSync(file, text);
    await page.goto('/customers');
    await page.getByRole('button', { name: 'Import a list' }).first().click();
    await page.getByLabel('Import a list').setInputFiles(file);
    await expect(page.getByText(/^0 added, \d+ known before/)).toBeVisible();
    await page.goto(gone);
    await page.getByRole('button', { name: 'Forget this customer' }).click();
    await page.getByRole('button', { name: 'Forget for good' }).click();
    await expect(page.getByText('This customer was forgotten')).toBeVisible();
    expect(await (await page.request.get('/api/v1/export/customers.csv')).text()).not.toContain('Ottoline');
  },
);
