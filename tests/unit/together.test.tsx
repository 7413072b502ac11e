// @vitest-environment happy-dom
/** One step of several pieces of an order, done at once: all of them or none, and never one that is looked at by itself. */
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { StepKey } from '@/core/route/steps';
import { Bench } from '@/features/bench/bench';
import { button, press, sent, shopOfFile, show } from '../screens';
import { codes, must, stockedDesign } from '../stocked';

const shop = shopOfFile();
/** Three pieces of one order that was agreed, by their tickets. */
async function three() {
  const order = await shop().quote([stockedDesign(), stockedDesign(), stockedDesign()]);
  const { number, pieces } = await shop().viewOf(order.orderId);
  const { total } = await total3(order.orderId);
  await must(shop().app.command('accept-order', { orderId: order.orderId, revision: 1, total, reasons: {} }));
  return pieces.map((_, index) => `${number}-${index + 1}`);
}
const jobs = (tickets: readonly string[]) => Promise.all(tickets.map((ticket) => shop().jobOf(ticket)));
const together = async (tickets: readonly string[], step: StepKey) =>
  shop().app.command('move-steps', {
    step,
    jobs: (await jobs(tickets)).map(({ id, revision }) => ({ jobId: id, revision })),
  });
/** What an order of three comes to, as the command itself says it. */
async function total3(orderId: string): Promise<{ total: number }> {
  const asked = await shop().app.command('accept-order', { orderId, revision: 1, total: 1, reasons: {} });
  if (asked.ok) throw new Error('agreed at another total');
  return { total: Number(asked.issues[0]!.figures.total ?? asked.issues[0]!.figures.now) };
}

describe('several jobs of an order', () => {
  it('name one another where they have the same step next, and nothing of another order', async () => {
    const tickets = await three();
    await three();
    const [first] = await jobs(tickets);
    expect(first!.together.map(({ ticket }) => ticket)).toEqual(tickets.slice(1));
    await shop().workTo(tickets[1]!, 'join');
    expect((await jobs(tickets))[0]!.together.map(({ ticket }) => ticket)).toEqual([tickets[2]]);
    expect((await jobs(tickets))[1]!.together).toEqual([]);
  });

  it('are done at once, each with its own entry in its history', async () => {
    const tickets = await three();
    await must(together(tickets, 'materials-here'));
    for (const job of await jobs(tickets)) {
      expect(job.next).toBe('cut-legs');
      expect(job.events.filter(({ step, what }) => step === 'materials-here' && what === 'done')).toHaveLength(1);
    }
  });

  it('are none of them done where one is held, was changed meanwhile, or has not come to it', async () => {
    const tickets = await three();
    const [one, two] = await jobs(tickets);
    await must(
      shop().app.command('hold', { jobId: two!.id, revision: two!.revision, reason: 'Colour', who: 'customer' }),
    );
    expect((await jobs(tickets))[0]!.together.map(({ ticket }) => ticket)).toEqual([tickets[2]]);
    expect(codes(await together(tickets, 'materials-here'))).toBe('job-held');
    const stale = [one!, two!].map(({ id, revision }) => ({ jobId: id, revision }));
    expect(codes(await shop().app.command('move-steps', { step: 'materials-here', jobs: stale }))).toBe('job-stale');
    expect(codes(await together([tickets[0]!, tickets[2]!], 'join'))).toBe('step-needs');
    expect((await jobs(tickets)).map(({ next }) => next)).toEqual(Array.from({ length: 3 }, () => 'materials-here'));
  });

  it('are looked at one by one where something must be seen on each', async () => {
    const tickets = await three();
    for (const ticket of tickets) await shop().workTo(ticket, 'fit');
    const { clock } = shop().app;
    // The next week: nothing cures or dries any more.
    clock.at = new Date(clock.at.getTime() + 7 * 86_400_000);
    expect((await jobs(tickets)).map(({ next, together: others }) => [next, others])).toEqual(
      Array.from({ length: 3 }, () => ['fit', []]),
    );
    expect(codes(await together(tickets, 'fit'))).toBe('enclosure-open');
    expect(codes(await together(tickets, 'final-check'))).toBe('step-needs');
  });

  it('are refused one alone, one twice, and forty-one', async () => {
    const [job] = await jobs(await three());
    const one = { jobId: job!.id, revision: job!.revision };
    for (const list of [
      [],
      [one],
      [one, one],
      Array.from({ length: 41 }, () => ({ ...one, jobId: crypto.randomUUID() })),
    ])
      expect(codes(await shop().app.command('move-steps', { step: 'materials-here', jobs: list } as never))).toBe(
        'input-wrong',
      );
  });
});

describe('at the bench', () => {
  it('the others are ticked, one is left out, and the rest is done with this one', async () => {
    const tickets = await three();
    show(<Bench job={(await jobs(tickets))[0]!} />);
    await screen.findByText('These pieces of the order have the same step next:');
    fireEvent.click(screen.getByRole('checkbox', { name: tickets[2]! }));
    press('Done for all 2');
    await waitFor(() => expect(screen.getByRole('heading', { level: 1 }).textContent).toContain('Cut the legs'));
    expect(sent(shop()).map(({ name }) => name)).toEqual(['move-steps']);
    expect((await jobs(tickets)).map(({ next }) => next)).toEqual(['cut-legs', 'cut-legs', 'materials-here']);
    await waitFor(() => expect(screen.queryByRole('checkbox', { name: tickets[2]! })).toBeNull());
    expect(button('Done for all 2')).toBeTruthy();
  });
});
