import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { chromium } from '@playwright/test';
import { serveApart } from '../lib.mjs';

const PORT = 3923;
const BASE = `http://127.0.0.1:${PORT}`;
const INTO = path.join('docs', 'screenshots');
const data = fs.mkdtempSync(path.join(os.tmpdir(), 'lopren-shots-'));
const server = serveApart({ PORT: String(PORT), LOPREN_DEMO: '1', LOPREN_DATA: data }, 'ignore');
while (!(await fetch(`${BASE}/sign-in`).catch(() => undefined))?.ok)
  await new Promise((resolve) => setTimeout(resolve, 100));

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic'],
});
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, baseURL: BASE });
const page = await context.newPage();
fs.mkdirSync(INTO, { recursive: true });
const shot = async (name: string) => {
  await page.evaluate(() => document.fonts.ready);
  await page.screenshot({ path: path.join(INTO, `${name}.png`) });
};
/** The first page of a paper as a picture; needs pdftoppm (poppler-utils). */
const paper = async (name: string, url: string) => {
  const file = path.join(data, `${name}.pdf`);
  fs.writeFileSync(file, await (await page.request.get(url)).body());
  const done = spawnSync('pdftoppm', ['-r', '90', '-png', '-singlefile', file, path.join(INTO, name)]);
  if (done.status !== 0)
    process.stdout.write(`${name}.png was not made: pdftoppm is missing (apt-get install poppler-utils)\n`);
};

await page.goto('/sign-in');
await page.getByRole('button', { name: 'Ines', exact: true }).click();
await page.getByLabel('PIN', { exact: true }).fill('2417');
await page.keyboard.press('Enter');
await page.waitForURL('**/desk');

await page.getByLabel('Name', { exact: true }).fill('Soundings off Quillet Bar');
await page.getByLabel('Kind').click();
await page.getByRole('option', { name: 'Chart' }).click();
await page.getByLabel('Width').fill('12 x 16');
await page.getByRole('button', { name: 'Original', exact: true }).click();
await page.getByRole('button', { name: 'Choose the customer' }).click();
await page.getByLabel('Name or phone of the customer').fill('orla');
await page.getByRole('button', { name: /Orla Tamsin/ }).click();
await page.keyboard.press('Alt+2');
await page.getByRole('button', { name: 'Add a mat under it' }).click();
await page.getByLabel('Second mat').click();
await page.getByRole('option', { name: 'Harbour, 4-ply rag' }).click();
await page.getByRole('button', { name: /^Rabbet/ }).click();
await page.getByRole('heading', { name: 'New order' }).click();
await shot('desk');

/** One picture of several desks, drawn small side by side. */
async function sheetOf(name: string, builds: readonly string[]): Promise<void> {
  const pictures: string[] = [];
  for (const build of builds) {
    await page.getByRole('combobox', { name: 'Built as' }).click();
    await page.getByRole('option', { name: build, exact: true }).click();
    await page.getByRole('heading', { name: /order/i }).click();
    pictures.push((await page.screenshot()).toString('base64'));
  }
  const wall = await context.newPage();
  await wall.setViewportSize({ width: 1600, height: Math.ceil(builds.length / 2) * 500 });
  const images = pictures.map((one) => `<img style="width:100%" src="data:image/png;base64,${one}">`).join('');
  await wall.setContent(`<body style="margin:0;display:grid;grid-template-columns:1fr 1fr">${images}</body>`);
  await wall.screenshot({ path: path.join(INTO, `${name}.png`) });
  await wall.close();
}
/** The desk begins anew: what was typed is kept in the browser and in the shop. */
const afresh = async () => {
  await page.evaluate(async () => {
    localStorage.clear();
    await fetch('/api/drafts/new', {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ version: 0, base: null, draft: null }),
    });
  });
  await page.goto('/desk');
};
await afresh();
await page.getByLabel('Name', { exact: true }).fill('Skerry light');
await page.getByLabel('Width').fill('12 x 16');
await sheetOf('builds', [
  'No mat',
  'Dry mounted',
  'Floated',
  'Floater frame',
  'Canvas in a rabbet',
  'Tray',
  'Shadow box',
  'Garment',
  'Fabric over a board',
  'Between two panes',
  'Metal sections',
  'Customer’s own frame',
  'Mirror',
  'Window mat',
]);

for (const [name, place] of [
  ['board', '/board'],
  ['bench', '/bench/2421-1'],
  ['collect', '/collect/2417'],
  ['till', '/till'],
] as const) {
  await page.goto(place);
  await page.locator('main:not([aria-busy])').filter({ visible: true }).waitFor();
  // What is cut is drawn once its room is known.
  if (name === 'bench') await page.getByRole('img', { name: /^Drawing/ }).waitFor();
  await shot(name);
}
await page.goto('/rack');
await shot('rack');
await page.goto('/rack/plan');
await page.getByRole('button', { name: /^Plan \d+ jobs/ }).click();
await page.getByRole('button', { name: 'Confirm, take the material', disabled: false }).waitFor();
await page.getByRole('heading', { name: /Ready to cut/ }).click();
await shot('plan-sticks');
await page.getByRole('button', { name: 'Confirm, take the material' }).click();
await page.waitForURL('**/rack/plans');
await page.goto('/books/table');
const table = page.getByRole('grid', { name: 'Mouldings' });
await table.focus();
await page.keyboard.press('End');
await page.keyboard.press('ArrowLeft');
await page.keyboard.type('4.90');
await page.keyboard.press('Enter');
await page.keyboard.press('ArrowUp');
for (let row = 0; row < 5; row += 1) await page.keyboard.press('Shift+ArrowDown');
await page.keyboard.press('Control+d');
await page.getByRole('button', { name: /^Look at/ }).waitFor();
await shot('lists');
await page.goto('/books');
await page.getByRole('button', { name: /^Backing: .*change$/ }).click();
await page.getByRole('combobox', { name: /priced by/ }).click();
await page.getByRole('option', { name: /chart/ }).click();
for (const [index, [size, price]] of [
  ['20', '9.00'],
  ['30', '12.00'],
  ['40', '16.50'],
  ['52', '19.00'],
  ['60', '24.00'],
  ['80', '33.00'],
].entries()) {
  await page.getByLabel(`Step ${index + 1}, up to this size`).fill(size!);
  await page.getByLabel(`Step ${index + 1}, its price`).fill(price!);
}
await page.getByLabel(/^Beyond the last/).fill('0.40');
await shot('books');
await paper('paper-quote', '/papers/quote/2427');
await paper('paper-ticket', '/papers/ticket/2424-1');

// Several designs of one piece, and the set on its wall.
await afresh();
await page.getByLabel('Name', { exact: true }).fill('Ferry at slack water');
await page.getByLabel('Kind').click();
await page.getByRole('option', { name: 'Watercolour' }).click();
await page.getByLabel('Width').fill('11 x 15');
await page.getByRole('heading', { name: 'New order' }).click();
await page.keyboard.press('c');
await page.getByRole('region', { name: 'Designs side by side' }).waitFor();
await page.keyboard.press('v');
for (const [find, name] of [
  ['oak', 'Plover 31, natural oak'],
  ['limed', 'Avocet 33, limed white'],
  ['gold', 'Curlew 31, old gold'],
] as const) {
  await page.getByLabel('Name, code or finish').fill(find);
  const known = page.getByRole('dialog').getByLabel(name);
  await ((await known.count()) > 0 ? known : page.getByRole('dialog').getByRole('checkbox').first()).check();
}
await page.keyboard.press('Enter');
await page.getByRole('button', { name: 'Work on B' }).click();
await page.getByRole('heading', { name: 'Designs side by side' }).click();
await shot('candidates');
await afresh();
for (const [name, size] of [
  ['Ferry at slack water', '11 x 15'],
  ['Two gulls', '7 x 9'],
  ['Small harbour', '5 x 7'],
] as const) {
  if (size !== '11 x 15') await page.getByRole('button', { name: 'Copy', exact: true }).click();
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Width').fill(size);
}
await page.getByRole('heading', { name: 'New order' }).click();
await page.keyboard.press('w');
await page.getByRole('button', { name: 'Wall #c8cfc6' }).click();
await page.getByRole('button', { name: 'Sofa' }).click();
await page.getByRole('heading', { name: 'On the wall' }).click();
await shot('wall');
// Windows laid out by hand, in the dark.
await afresh();
await page.emulateMedia({ colorScheme: 'dark' });
await page.getByLabel('Name', { exact: true }).fill('Three of the regatta');
await page.getByLabel('Kind').click();
await page.getByRole('option', { name: 'Photograph' }).click();
await page.getByLabel('Width').fill('7 x 9');
await page.getByRole('heading', { name: 'New order' }).click();
await page.keyboard.press('h');
const beside = 'One large, others beside it';
for (const layout of [beside, 'Window over a plate', beside]) {
  await page.getByRole('combobox', { name: /^Windows/ }).click();
  await page.getByRole('option', { name: layout }).click();
}
await page.getByLabel('Text on it').fill('Regatta, second place');
const plate = (await page.getByRole('button', { name: /^Window 4.*arrow/ }).boundingBox())!;
const large = (await page.getByRole('button', { name: /^Window 1.*arrow/ }).boundingBox())!;
await page.mouse.move(plate.x + plate.width / 2, plate.y + plate.height / 2);
await page.mouse.down();
await page.mouse.move(large.x + plate.width / 2, large.y + large.height + plate.height * 1.5 + 20, { steps: 10 });
await page.mouse.up();
await shot('windows');
await page.emulateMedia({ colorScheme: 'light' });
// The screen that faces the customer, put on from the desk.
const device = await browser.newContext({ viewport: { width: 1280, height: 800 }, baseURL: BASE });
const screen = await device.newPage();
await screen.request.post('/api/session', { data: { name: 'Counter screen', pin: '7790' } });
await page.goto('/desk/2427');
await page.getByRole('button', { name: 'Screen', exact: true }).click();
await page.getByRole('button', { name: 'Show on Counter screen' }).click();
await screen.goto('/view/mine');
await screen.getByRole('heading', { name: 'Lamp oil ledger' }).waitFor();
await screen.screenshot({ path: path.join(INTO, 'screen.png') });
await device.close();
await page.evaluate(() => sessionStorage.clear());
// A quote by its link, as its customer has it on a phone.
await page.goto('/desk/2427');
await page.getByRole('button', { name: 'Link', exact: true }).click();
await page.getByRole('button', { name: 'Make another one' }).click();
const link = await page.getByLabel('Address of the link').inputValue();
const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, javaScriptEnabled: false });
const there = await phone.newPage();
await there.goto(link);
await there.screenshot({ path: path.join(INTO, 'link.png') });
await phone.close();
const found = async (what: string, text: string) =>
  (await (await page.request.get(`/api/find?what=${what}&text=${text}`)).json()) as unknown;
const { pieces } = (await found('all', 'Lantern room')) as { pieces: { id: string }[] };
await page.goto(`/pieces/${pieces[0]!.id}`);
await page.getByRole('img', { name: /Front, photo 1/ }).waitFor();
await page.waitForLoadState('networkidle');
await shot('taking-in');
const [customer] = (await found('customers', 'Saskia')) as { id: string }[];
await page.emulateMedia({ colorScheme: 'dark' });
await page.goto(`/customers/${customer!.id}`);
await page.waitForLoadState('networkidle');
await shot('customer');
await browser.close();
server.kill('SIGTERM');
fs.rmSync(data, { recursive: true, force: true });
