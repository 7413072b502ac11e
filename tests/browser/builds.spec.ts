import { expect, test } from './test';
import { choose, forgetTyped, addCustomer, signIn, tape, total } from './shop';

test.beforeEach(async ({ page }) => {
  await signIn(page);
  await forgetTyped(page);
  await page.reload();
});

async function builtAs(page: Parameters<typeof signIn>[0], name: string): Promise<void> {
  await page.getByRole('combobox', { name: 'Built as' }).click();
  await page.getByRole('option', { name, exact: true }).click();
}

const BUILDS: readonly (readonly [name: string, field: string, line: string, figure: string])[] = [
  ['No mat', 'Strip depth', 'Package', '12 × 16'],
  ['Dry mounted', 'Board larger, a side', 'Board, cut first', '14 × 18'],
  ['Floated', 'Board seen round it', 'Board', '14 × 18'],
  ['Floater frame', 'Gap round the piece', 'Inside', '12 1/4 × 16 1/4'],
  ['Canvas in a rabbet', 'Depth of the piece', 'Rabbet', '12 1/4 × 16 1/4'],
  ['Tray', 'Lip, seen from the front', 'Inside', '16 × 20'],
  ['Shadow box', 'Depth of the object', 'Floor seen', '14 × 18'],
  ['Garment', 'Tucked away', 'Insert', '13 × 18'],
  ['Fabric over a board', 'Wrap, a side', 'Cloth to cut', '17 × 21'],
  ['Between two panes', 'Border of it seen', 'Package', '12 × 16'],
  ['Metal sections', 'Width', 'Rabbet', '12 1/16 × 16 1/16'],
  ['Customer’s own frame', 'Width', 'Package', '12 × 16'],
  ['Mirror', 'Mirror thickness', 'Outside', '14 1/8 × 18 1/8'],
];

test(
  'another build changes the fields, the sizes and the drawing; undo brings back what was',
  { tag: '@wide' },
  async ({ page }) => {
    await page.getByLabel('Width').fill('12 x 16');
    await expect(tape(page, 'Window')).toContainText('11 3/4 × 15 3/4');
    for (const [name, field, line, figure] of BUILDS) {
      await builtAs(page, name);
      await expect(page.getByLabel(field, { exact: true })).toBeVisible();
      await expect(tape(page, line).first()).toContainText(figure);
      await expect(page.getByRole('img', { name: 'The framed piece from the front' })).toBeVisible();
    }
    for (let step = 0; step < BUILDS.length; step += 1) await page.keyboard.press('Control+z');
    await expect(tape(page, 'Window')).toContainText('11 3/4 × 15 3/4');
  },
);

test('a floater is ordered, ticketed and worked by its own steps', async ({ page }) => {
  await page.getByLabel('Name', { exact: true }).fill('Skerry, evening');
  await page.getByLabel('Width').fill('16 x 20');
  await builtAs(page, 'Floater frame');
  await page.getByLabel('Depth inside').fill('1 3/4');
  await page.getByLabel('Depth of the piece').fill('1 1/2');
  await page.getByLabel('Gap round the piece').fill('0.02');
  await expect(page.getByText('lets the canvas touch the wall')).toBeVisible();
  await page.getByRole('button', { name: 'Gap 1/8 in' }).click();
  await expect(page.getByText('lets the canvas touch the wall')).toBeHidden();
  await expect(tape(page, 'Riser')).toContainText('1/4');
  await addCustomer(page, 'Floater Customer');
  const agreed = await total(page, 'Order with tax').textContent();
  await page.getByRole('button', { name: 'Accept, deposit' }).click();
  const dialog = page.getByRole('dialog');
  // A floater as deep as this is not cut from such a moulding: a reason is asked for.
  await expect(dialog.getByRole('textbox').first()).toBeVisible();
  for (const reason of await dialog.getByRole('textbox').all()) await reason.fill('as agreed');
  await dialog.getByRole('button', { name: 'Accept', exact: true }).click();
  await page.waitForURL(/\/collect\/\d+$/);
  await expect(page.getByText(agreed!).first()).toBeVisible();
  const ticket = `${page.url().split('/').pop()}-1`;
  const paper = await page.request.get(`/papers/ticket/${ticket}`);
  expect([paper.status(), paper.headers()['content-type']]).toEqual([200, 'application/pdf']);
  await page.goto(`/bench/${ticket}`);
  const done = (name: string) => page.getByRole('button', { name: new RegExp(`^${name}`) });
  await done('All here').click();
  await done('Legs cut').click();
  await expect(page.getByRole('heading', { name: 'Dry fit and join' })).toBeVisible();
  await expect(page.getByText('Measure the inside after joining, and write it down.')).toBeVisible();
  await done('Joined').click();
  await expect(page.getByRole('heading', { name: 'Cut strips and boards' })).toBeVisible();
  await page.getByRole('main').getByRole('link', { name: 'Sums' }).click();
  // The sum that this job has figures for is the one that opens.
  await expect(page.locator('input[name="innerDepth"]')).toHaveValue('1 3/4 in');
  await expect(page.getByRole('region', { name: 'Answer' })).toContainText('Riser blocks');
});

test('bench sums answer as they are typed, keep the last good answer, and keep what was typed', async ({ page }) => {
  await page.goto('/sums?sum=polygon');
  const answer = page.getByRole('region', { name: 'Answer' });
  await page.locator('input[name="sides"]').fill('8');
  await page.locator('input[name="acrossFlats"]').fill('400 mm');
  await page.locator('input[name="faceWidth"]').fill('25 mm');
  await page.locator('input[name="rabbetWidth"]').fill('6 mm');
  await expect(answer).toContainText(/7\s*9\/64\+ in/);
  await expect(answer).toContainText('22.5°');
  await page.locator('input[name="sides"]').fill('13');
  await expect(page.getByText('3 to 12 equal sides')).toBeVisible();
  await expect(answer).toContainText(/7\s*9\/64\+ in/);
  await page.reload();
  await page.getByRole('link', { name: 'Frame of many sides' }).click();
  await expect(page.locator('input[name="sides"]')).toHaveValue('13');
  await expect(page.locator('input[name="acrossFlats"]')).toHaveValue('400 mm');
});

test('the owner prices glazing by a chart, and the desk follows', { tag: '@wide' }, async ({ page }) => {
  const glass = () => tape(page, 'Glazing');
  await page.getByLabel('Width').fill('12 x 16');
  await expect(glass()).toContainText('13.84');
  await page.goto('/books');
  const rules = page.getByRole('complementary');
  await rules.getByRole('button', { name: 'cost × 3.5' }).click();
  const dialog = page.getByRole('dialog');
  await choose(dialog, 'Glazing is priced by', 'a chart of retail prices');
  const step = (row: number) => dialog.getByLabel(`Step ${row}, up to this size`);
  await step(1).fill('30');
  await dialog.getByLabel('Step 1, its price').fill('44.00');
  await step(2).fill('forty');
  await dialog.getByLabel('Step 2, its price').fill('52');
  await expect(dialog.getByText('“forty” is not a number')).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Set' })).toBeDisabled();
  await step(2).fill('40');
  await expect(dialog.getByRole('img', { name: /^A curve of 2 steps/ })).toBeVisible();
  await dialog.getByRole('button', { name: 'Set' }).click();
  await expect(rules.getByText('chart, 2 steps')).toBeVisible();
  await page.goto('/desk');
  await expect(glass()).toContainText('52.00');
  await page.goto('/books');
  await rules.getByRole('button', { name: 'chart, 2 steps' }).click();
  await choose(dialog, 'Glazing is priced by', 'cost and markup');
  await dialog.getByRole('button', { name: 'Set' }).click();
  await expect(rules.getByRole('button', { name: 'cost × 3.5' })).toBeVisible();
});
