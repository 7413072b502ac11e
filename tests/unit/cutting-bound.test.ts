import loadHighs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { Engine, type Job, composeSheets, composeSticks, jobsOfSheets, jobsOfSticks } from '@/core/cutting/engine';
import type { Solver } from '@/core/cutting/linear';
import { randomFrom } from '@/core/cutting/random';
import { checkSheets } from '@/core/cutting/sheets/check';
import { checkSticks } from '@/core/cutting/sticks/check';
import { bestSheets, bestSticks } from '../cutting/brute';
import { tinySheets, tinySticks } from '../cutting/tiny';
import { rounds } from '../wide';

let solver: Solver;
beforeAll(async () => {
  solver = await loadHighs();
});
/** The engine for so many turns; its first plan as well. */
function worked(jobs: readonly Job[], turns: number, seconds: number) {
  const engine = new Engine(
    jobs.map((job, index) => ({ index, job })),
    solver,
  );
  const first = engine.news();
  for (let turn = 0; turn < turns && !engine.done; turn += 1) engine.turn(turn / turns, seconds, () => false, true);
  const now = engine.news();
  engine.dispose();
  return now.length > 0 ? now : first;
}
describe('the bound, against every plan there is', { timeout: 240_000 }, () => {
  it('is never above the best plan of sticks, and no plan said to be the best is beaten', () => {
    const random = randomFrom(20_261);
    let proven = 0;
    const many = rounds(1500);
    for (let round = 0; round < many; round += 1) {
      const request = tinySticks(random);
      const best = bestSticks(request);
      const jobs = jobsOfSticks(request);
      const plan = composeSticks(jobs, worked(jobs, 40, 5));
      const told = JSON.stringify(request);
      expect(checkSticks(request, plan), told).toEqual([]);
      expect(plan.bound, told).toBeLessThanOrEqual(best + 1e-5);
      expect(plan.cost, told).toBeGreaterThanOrEqual(best - 1e-5);
      if (plan.optimal) {
        proven += 1;
        expect(plan.cost, told).toBeCloseTo(best, 4);
      }
    }
    expect(proven / many).toBeGreaterThan(0.8);
  });

  it('is never above the best plan of sheets, and no plan said to be the best is beaten', () => {
    const random = randomFrom(20_262);
    let proven = 0;
    const many = rounds(250);
    for (let round = 0; round < many; round += 1) {
      const request = tinySheets(random);
      const best = bestSheets(request);
      const jobs = jobsOfSheets(request);
      const plan = composeSheets(jobs, worked(jobs, 24, 0.02));
      const told = JSON.stringify(request);
      expect(checkSheets(request, plan), told).toEqual([]);
      expect(plan.bound, told).toBeLessThanOrEqual(best * (1 + 1e-9));
      // A tenth covers what is won by cutting an offcut just long enough.
      expect(plan.cost, told).toBeGreaterThan(0.9 * best);
      if (!plan.optimal) continue;
      proven += 1;
      expect(plan.cost, told).toBeLessThanOrEqual(best * (1 + 1e-9));
    }
    expect(proven / many).toBeGreaterThan(0.5);
  });
});
