/** What a piece came to against its quote: spoiled parts at their cost, minutes that were taken. */
import { beforeAll, describe, expect, it } from 'vitest';
import { type DoneStep, afterwards } from '@/core/ledger/afterwards';
import type { WorkedOut } from '@/core/work-out';
import { type Stocked, must, stocked } from '../stocked';

let shop: Stocked;
let order: Awaited<ReturnType<Stocked['accepted']>>;
let worked: WorkedOut;
beforeAll(async () => {
  shop = await stocked();
  order = await shop.accepted();
  worked = (await shop.viewOf(order.orderId)).pieces[0]!.agreed!;
});

const step = (name: DoneStep['step'], planned: number, taken: number | null = null, done = true): DoneStep => ({
  step: name,
  planned,
  done,
  taken,
});
const ROUTE = [
  step('cut-legs', 6, 9),
  step('cut-mats', 7),
  step('cut-glazing', 5),
  step('cut-backing', 5, null, false),
];
const of = (spoiled: readonly { part: string; why: string }[], steps: readonly DoneStep[] = ROUTE) =>
  afterwards(worked, '2424-1', steps, spoiled, '48.00');

describe('afterwards', () => {
  it('is as quoted where nothing was spoiled and nothing timed', () => {
    const { material, more, minutes, steps } = of([], [step('cut-legs', 6), step('cut-mats', 7, null, false)]);
    // Moulding 7.25 × 4.20 = 30.45, mat 2.41363 × 1.10 = 2.65, glass × 1.60 = 3.86, backing × 0.90 = 2.17.
    expect(material).toEqual({ quoted: 3913, now: 3913 });
    expect([more, minutes, steps]).toEqual([0, { quoted: 13, now: 6 }, { done: 1, timed: 0 }]);
  });

  it('counts a spoiled leg by its length and a spoiled pane by its area, and says why', () => {
    const { material, spoiled, more } = of([
      { part: '2424-1 left', why: 'saw tore out' },
      { part: '2424-1 glazing', why: 'scratched' },
      { part: 'not a part', why: 'x' },
    ]);
    // Long side 20 7/8 + 2 × (1 1/4 − 1/4) + 2 × 1/4 … as the plan cuts it: 22 7/8 in = 1.90625 ft × 4.20 = 8.01.
    expect(spoiled.map(({ part, cost }) => [part, cost])).toEqual([
      ['2424-1 left', 801],
      ['2424-1 glazing', 386],
      ['not a part', 0],
    ]);
    expect(material.now - material.quoted).toBe(1187);
    // Three minutes more than planned at 48.00 an hour are 2.40.
    expect(more).toBe(1187 + 240);
  });

  it('is less where the work went faster', () => {
    expect(of([], [step('cut-legs', 10, 4)]).more).toBe(-480);
  });
});

describe('at the counter', () => {
  it('is told of every piece that is agreed, from the steps and the plans', async () => {
    const before = (await shop.viewOf(order.orderId)).afterwards[order.ticket]!;
    expect([before.more, before.spoiled, before.steps]).toEqual([0, [], { done: 0, timed: 0 }]);
    await shop.workTo(order.ticket, 'cut-legs');
    const job = await shop.jobOf(order.ticket);
    const move = (to: 'doing' | 'done', revision: number) =>
      shop.app.command('move-step', { jobId: job.id, revision, step: 'cut-legs', to, ticks: [], early: true });
    await must(move('doing', job.revision));
    shop.app.clock.at = new Date(shop.app.clock.at.getTime() + 31 * 60_000);
    await must(move('done', job.revision + 1));
    const { minutes, steps, more } = (await shop.viewOf(order.orderId)).afterwards[order.ticket]!;
    const planned = job.steps.find(({ step }) => step === 'cut-legs')!.minutes;
    expect(steps.timed).toBe(1);
    expect(more).toBe(Math.round(((31 - planned) * 4800) / 60));
    expect(minutes.now - before.minutes.now).toBe(31);
  });
});
