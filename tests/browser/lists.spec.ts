import { expect, test } from './test';
import { signIn } from './shop';

const NEW = [
  [
    'ZEB-1',
    'Zebra 1, white',
    'Stripe Works',
    'in',
    '1',
    '1/4',
    '1/2',
    '7/8',
    'wood',
    'flat',
    'white',
    '#ffffff',
    '',
    '3.10',
    'ft',
  ],
  [
    'ZEB-2',
    'Zebra 2, black',
    'Stripe Works',
    'in',
    '1',
    '1/4',
    '1/2',
    '7/8',
    'wood',
    'flat',
    'black',
    '#000000',
    '',
    '',
    'ft',
  ],
];

/** The lists of the books by keyboard, as in a spreadsheet; what comes in goes back whole. */
test('mouldings are pasted into the table, mended, taken as one edition and found in the price list', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await signIn(page);
  await page.goto('/books/table');
  const grid = page.getByRole('grid', { name: 'Mouldings' });
  await expect(grid).toBeVisible();
  const before = Number(await grid.getAttribute('aria-rowcount'));
  await page.evaluate((text) => navigator.clipboard.writeText(text), NEW.map((row) => row.join('\t')).join('\n'));
  await page.getByRole('button', { name: 'Add a row' }).click();
  await grid.focus();
  await page.keyboard.press('Control+End');
  await page.keyboard.press('Home');
  await page.keyboard.press('Control+v');
  await expect(grid).toHaveAttribute('aria-rowcount', String(before + 2));
  // The second has no cost: it is said, and nothing can be taken yet.
  await expect(page.getByText('One row cannot be read yet.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Look at 2 changes' })).toBeDisabled();
  await page.keyboard.press('Control+End');
  await page.keyboard.press('Home');
  for (let column = 0; column < 13; column += 1) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Control+d');
  await expect(page.getByText('One row cannot be read yet.')).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('cost: “” is not a cost like 4.20')).toBeVisible();
  await page.keyboard.press('Control+y');
  // Nothing typed is lost by another list, nor by what somebody else changes in the books meanwhile.
  await page.getByRole('tab', { name: 'Mats' }).click();
  await expect(page.getByText('nothing typed is lost')).toBeVisible();
  const { edition } = (await (await page.request.get('/api/list-tables')).json()) as { edition: number };
  const columns = 'code,name,unit,width,height,thickness mm,colour,archival,cost,per';
  const text = `${columns}\nELSE-1,From elsewhere,in,32,40,1.4,#ffffff,yes,1.10,sqft\n`;
  const payload = { list: 'mats', text, edition, file: 'elsewhere' };
  const elsewhere = { id: crypto.randomUUID(), name: 'import-list', payload };
  expect((await page.request.post('/api/v1/commands', { data: elsewhere })).status()).toBe(200);
  await expect(grid).toHaveAttribute('aria-rowcount', String(before + 2));
  await page.getByRole('button', { name: 'Look at 2 changes' }).click();
  await page.getByRole('button', { name: 'Take all 2' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'is made' })).toBeVisible();
  await expect(grid).toHaveAttribute('aria-rowcount', String(before + 2));

  await page.goto('/books');
  await page.getByLabel('Search the price list').filter({ visible: true }).fill('zebra');
  await expect(page.getByRole('row').filter({ hasText: 'Zebra' })).toHaveCount(2);
});

test('a supplier’s own columns are told once, and its list goes back whole', async ({ page }) => {
  await signIn(page);
  await page.goto('/books/table');
  await page.getByRole('tab', { name: 'Backs' }).click();
  await page.getByRole('button', { name: 'Import a list' }).click();
  await page.getByLabel(/^Supplier/).fill('Panel Yard');
  const list = 'Article;Description;Thickness;Price\nYARD-5;Yard foam 5 mm;5;1,85\nYARD-10;Yard foam 10 mm;10;3,20\n';
  const bytes = { name: 'yard.csv', mimeType: 'text/csv', buffer: Buffer.from(list) };
  await page.getByLabel('The list, as CSV or XLSX').setInputFiles(bytes);
  await expect(page.getByText('Still needed: unit, colour, archival, per, type')).toBeVisible();
  for (const [column, same] of [
    ['unit', 'in'],
    ['colour', '#ffffff'],
    ['archival', 'no'],
    ['per', 'sqft'],
    ['type', 'foam'],
  ] as const) {
    await page.getByRole('combobox', { name: new RegExp(`^${column} `) }).click();
    await page.getByRole('option', { name: 'the same in every row' }).click();
    await page.getByLabel(`${column} in every row`).fill(same);
  }
  await page.getByRole('button', { name: 'Look at it' }).click();
  await page.getByRole('button', { name: 'Take all 2' }).click();
  await expect(page.getByText('2 added, 0 changed')).toBeVisible();
  await page.getByRole('button', { name: 'Take it back whole' }).click();
  await expect(page.getByText(/the books are as before edition/)).toBeVisible();
  // The next list of that supplier is looked at without a question.
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await page.getByRole('button', { name: 'Import a list' }).click();
  await page.getByLabel(/^Supplier/).fill('panel yard');
  await page.getByLabel('The list, as CSV or XLSX').setInputFiles(bytes);
  await expect(page.getByRole('button', { name: 'Take all 2' })).toBeVisible();
});
