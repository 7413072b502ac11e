/** The desk by keyboard alone: how many keys a whole order takes. */
import { type Page, expect, test } from './test';
import { forgetTyped, signIn, total } from './shop';

/** Presses keys and types letters, and counts every one; a chord counts each key that is held. */
function counted(page: Page) {
  let keys = 0;
  return {
    get keys() {
      return keys;
    },
    async press(...chords: readonly string[]) {
      for (const chord of chords) {
        keys += chord.split('+').length;
        await page.keyboard.press(chord);
      }
    },
    async type(text: string) {
      keys += text.length;
      await page.keyboard.type(text);
    },
  };
}

test('an order of three pieces for a new customer takes fewer than 120 keys, and no mouse', async ({ page }) => {
  await signIn(page);
  await forgetTyped(page);
  await page.goto('/desk');
  const hands = counted(page);
  await expect(page.getByLabel('Name', { exact: true })).toBeFocused();
  const pieces = [
    ['Heron', '12x16'],
    ['Eel', '9 1/2x11'],
    ['Kelp', '20x24'],
  ] as const;
  for (const [index, [name, size]] of pieces.entries()) {
    if (index > 0) await hands.press('Alt+Enter');
    await expect(page.getByLabel('Name', { exact: true })).toBeFocused();
    await hands.type(name);
    // Past the kind and the build, to the width.
    await hands.press('Enter', 'Enter', 'Enter');
    await expect(page.getByLabel('Width')).toBeFocused();
    await hands.type(size);
  }
  await expect(page.getByRole('tab')).toHaveCount(3);
  await hands.press('Control+Enter');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByLabel('Name or phone of the customer')).toBeFocused();
  await hands.type('Una Keys');
  await hands.press('Enter');
  await expect(dialog.getByLabel('Phone', { exact: true })).toBeFocused();
  await hands.type('5550123');
  await hands.press('Enter');
  await expect(dialog).toBeHidden();
  const sum = await total(page, 'Order with tax').innerText();
  await hands.press('Control+Enter');
  await expect(dialog.getByRole('button', { name: 'Accept', exact: true })).toBeFocused();
  await hands.press('Enter');
  await page.waitForURL(/\/collect\/\d+$/);
  expect(hands.keys).toBeLessThan(120);
  const order = await (await page.request.get(`/api/orders/${page.url().split('/').pop()}`)).json();
  expect([order.state, order.customer.name, (order.agreed.total / 100).toFixed(2)]).toEqual([
    'accepted',
    'Una Keys',
    sum,
  ]);
  expect(order.pieces.map((piece: { design: { piece: { title: string } } }) => piece.design.piece.title)).toEqual([
    'Heron',
    'Eel',
    'Kelp',
  ]);
  test.info().annotations.push({ type: 'keys', description: String(hands.keys) });
});
