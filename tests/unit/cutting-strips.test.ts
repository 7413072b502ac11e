import loadHighs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { composeSheets, jobsOfSheets } from '@/core/cutting/engine';
import { grainsUp } from '@/core/cutting/grain';
import type { Solver } from '@/core/cutting/linear';
import { randomFrom } from '@/core/cutting/random';
import type { SheetsRequest } from '@/core/cutting/request';
import { sheetsSchema } from '@/core/cutting/request-schema';
import { checkSheets } from '@/core/cutting/sheets/check';
import { SheetExact } from '@/core/cutting/sheets/exact';
import { SheetSearch } from '@/core/cutting/sheets/search';
import { type SheetResult, sheetTasks } from '@/core/cutting/sheets/task';
import { Strips } from '@/core/cutting/sheets/strips';
import { Ways } from '@/core/cutting/sheets/ways';
import { byEveryCut, everyCut, smallSheet } from '../cutting/every-cut';
import { dayOfRectangles } from '../cutting/generate';
import { rounds } from '../wide';

let solver: Solver;
beforeAll(async () => {
  solver = await loadHighs();
});
const never = () => false;
const LIMITS = { sets: Infinity, work: Infinity, points: Infinity };

function allWays(request: SheetsRequest) {
  const [task] = sheetTasks(request);
  const ways = new Ways(task!, [...task!.parts.keys()], [], LIMITS);
  while (!ways.grow(1e6));
  return { task: task!, ways };
}
/** What the checker says of a plan of one material. */
const faults = (request: SheetsRequest, result: SheetResult) =>
  checkSheets(request, composeSheets(jobsOfSheets(request), [{ index: 0, result, bound: 0, optimal: false }]));

describe('Sets whose strips must be broken off', () => {
  it('come apart from exactly those pieces that some cut after another can divide', () => {
    const random = randomFrom(3);
    const side = 16;
    const seen = { yes: 0, no: 0 };
    for (let round = 0; round < rounds(25); round += 1) {
      const minBreak = 2 + random.below(2);
      const request = { ...smallSheet(random, 4, minBreak, side, side), kerf: 0 };
      const [task] = sheetTasks(request);
      const sizes = task!.parts.map((part) => ({ ...part, turn: task!.rotate }));
      const nothing = { w: 2 * task!.sources[0]!.w, h: 2 * task!.sources[0]!.h, turn: false };
      const strips = new Strips(task!, [...sizes, nothing], Infinity);
      const by = everyCut(request);
      for (let set = 1; set < 16; set += 1)
        for (let w = minBreak; w <= side; w += 1)
          for (let h = minBreak; h <= side; h += 1) {
            const can = by(set, w, h) > -Infinity;
            seen[can ? 'yes' : 'no'] += 1;
            expect(strips.within(set, grainsUp(w), grainsUp(h)), `${set} ${w} ${h} ${JSON.stringify(request)}`).toBe(
              can,
            );
          }
    }
    for (const count of [seen.yes, seen.no]) expect(count).toBeGreaterThan(rounds(5000));
  });

  it('have cuts that do it and cost what is left; none is left out for a saw', () => {
    const random = randomFrom(31);
    const seen = { can: 0, cannot: 0, saw: 0, best: 0 };
    for (let round = 0; round < rounds(220); round += 1) {
      const request = smallSheet(random, 2 + random.below(3), 2 + random.below(2), 13, 16);
      const told = JSON.stringify(request);
      const { task, ways } = allWays(request);
      const { open, rate } = task.sources[0]!;
      const all = 2 ** request.parts.length - 1;
      const way = ways.list.find(({ set }) => set === all);
      const most = byEveryCut(request);
      // Without it strips would not even be asked for: it is larger than the sheet.
      if (!way) {
        expect(most, told).toBe(-Infinity);
        continue;
      }
      const least = ways.leastOf(way);
      if (request.kerf === 0) expect(least < Infinity, told).toBe(most > -Infinity);
      if (most === -Infinity) {
        seen.cannot += 1;
        continue;
      }
      expect(least, told).toBeLessThanOrEqual(open - rate * most + 1e-9);
      if (request.kerf > 0) {
        seen.saw += 1;
        continue;
      }
      const sheet = ways.sheetOf(way)!;
      expect(sheet, told).toBeDefined();
      expect(sheet.cost, told).toBeGreaterThanOrEqual(open - rate * most - 1e-9);
      expect(faults(request, { sheets: [sheet], unmade: [], cost: sheet.cost }), told).toEqual([]);
      seen.can += 1;
      if (sheet.cost <= open - rate * most + 1e-9) seen.best += 1;
    }
    for (const count of [seen.can, seen.cannot, seen.saw]) expect(count).toBeGreaterThan(rounds(20));
    // What is left is not always known exactly, but mostly.
    expect(seen.best).toBeGreaterThan(0.8 * seen.can);
  });

  it('make plans, and a bound that no plan beats', () => {
    const random = randomFrom(8);
    const many = rounds(60);
    let [found, proven] = [0, 0];
    for (let round = 0; round < many; round += 1) {
      const one = { ...smallSheet(random, 4, 2 + random.below(2), 15, 18), unmadePenalty: 1000 };
      // Now and then whatever is left is useful.
      const request = round % 5 === 0 ? { ...one, minOffcut: { short: 0, long: 0 } } : one;
      const told = JSON.stringify(request);
      const [task] = sheetTasks(request);
      const { open, rate } = task!.sources[0]!;
      const parts = task!.parts.length;
      const most = everyCut(request);
      const costs = Array.from({ length: 2 ** parts }, (_, set) => open - rate * most(set));

      const best = (left: number): number => {
        if (left === 0) return 0;
        let least = 1000 + best(left & (left - 1));
        for (let set = left; set; set = (set - 1) & left)
          if (set & left & -left) least = Math.min(least, costs[set]! + best(left & ~set));
        return least;
      };
      const optimum = best(2 ** parts - 1);
      let now = new SheetSearch(task!, 1).best;
      const exact = new SheetExact(task!, [...task!.parts.keys()], [], solver, Infinity);
      while (!exact.over) {
        const result = exact.step(now, never);
        if (!result) continue;
        expect(faults(request, result), told).toEqual([]);
        const cost = result.sheets.reduce((sum, sheet) => sum + sheet.cost, 1000 * result.unmade.length);
        if (cost < now.cost) now = { ...result, cost };
      }
      expect(exact.bound, told).toBeLessThanOrEqual(optimum + 1e-6);
      expect(now.cost, told).toBeGreaterThanOrEqual(optimum - 1e-6);
      if (now.cost <= optimum + 1e-6) found += 1;
      if (exact.bound >= now.cost - 1e-6) proven += 1;
    }
    expect(found).toBeGreaterThan(0.75 * many);
    expect(proven).toBeGreaterThan(0.3 * many);
  });

  it('come to a cheaper plan than the search of them all, in steps that end soon', () => {
    const day = dayOfRectangles(11, 60);
    const request = sheetsSchema.parse({ ...day, minBreak: 20 });
    const task = sheetTasks(request).find(({ id }) => id === 'B40')!;
    const search = new SheetSearch(task, 1);
    for (let at = 0; at < 300; at += 1) search.step();
    const racks = task.sources.flatMap(({ most }, index) => (most === 1 ? [index] : []));
    const exact = new SheetExact(task, [...task.parts.keys()], racks, solver, 60);
    let best = search.best;
    while (!exact.over) {
      const result = exact.step(best, never);
      const cost = result?.sheets.reduce((sum, sheet) => sum + sheet.cost, 0) ?? Infinity;
      if (result?.unmade.length === 0 && cost < best.cost) best = { ...result, cost };
    }
    expect(exact.bound).toBeLessThanOrEqual(best.cost);
    expect(exact.bound).toBeGreaterThan(0.985 * best.cost);
  });
});
