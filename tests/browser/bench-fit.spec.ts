/** At the bench nothing of a step is hidden below an edge, on the screens that stand there. */
import { expect, test } from './test';
import { rounds } from '../wide';
import { signIn } from './shop';

/** Jobs of the demo with much to say: a box, a floater, a window mat over several openings, a mirror. */
const MOST_JOBS = rounds(8);

const SCREENS = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
] as const;

test('every line of every step is seen, on the larger and on the smaller screen', async ({ page }) => {
  test.setTimeout(300_000);
  await signIn(page, 'Maro');
  const { jobs } = (await (await page.request.get('/api/board')).json()) as { jobs: { ticket: string }[] };
  const hidden: string[] = [];
  let seen = 0;
  for (const { ticket } of jobs.slice(0, MOST_JOBS)) {
    await page.goto(`/bench/${ticket}`);
    const steps = page.getByRole('list', { name: 'Steps' }).getByRole('button');
    for (let index = 0; index < (await steps.count()); index += 1) {
      await steps.nth(index).click();
      await expect(steps.nth(index)).toHaveAttribute('aria-current', 'step');
      for (const screen of SCREENS) {
        await page.setViewportSize(screen);
        await expect
          .poll(async () => {
            const boxes = await page.evaluate(() =>
              [...document.querySelectorAll('main > section, main > aside')].map(
                (box) => [box.ariaLabel, box.scrollHeight - box.clientHeight] as const,
              ),
            );
            return boxes.flatMap(([name, over]) => (over > 2 ? [`${name}: ${over} px`] : []));
          })
          .toEqual([])
          .catch((error: Error) => hidden.push(`${ticket} step ${index + 1} at ${screen.width}: ${error.message}`));
      }
      seen += 1;
    }
  }
  expect(seen).toBeGreaterThan(5 * MOST_JOBS);
  expect(hidden).toEqual([]);
});
