/** At the bench nothing of a step is hidden below an edge, on the screens that stand there. */
import { expect, test } from './test';
import { signIn } from './shop';

/** Jobs of the demo with much to say: a box, a floater, a window mat over several openings, a mirror. */
const MOST_JOBS = 8;

for (const [width, height] of [
  [1280, 800],
  [1024, 768],
] as const)
  test(`every line of every step is seen at ${width} × ${height}`, async ({ page }) => {
    test.setTimeout(240_000);
    await page.setViewportSize({ width, height });
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
        for (const [name, over] of await page.evaluate(() =>
          [...document.querySelectorAll('main > section, main > aside')].map(
            (box) => [box.ariaLabel, box.scrollHeight - box.clientHeight] as const,
          ),
        ))
          if (over > 2) hidden.push(`${ticket} step ${index + 1}, ${name}: ${over} px`);
        seen += 1;
      }
    }
    expect(seen).toBeGreaterThan(40);
    expect(hidden).toEqual([]);
  });
