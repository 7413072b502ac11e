import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { composeSheets, jobsOfSheets } from '@/core/cutting/engine';
import type { SheetsRequest } from '@/core/cutting/request';
import { checkSheets } from '@/core/cutting/sheets/check';
import { DenseSheets } from '@/core/cutting/sheets/dense';
import { SheetMaster } from '@/core/cutting/sheets/master';
import { SheetSearch } from '@/core/cutting/sheets/search';
import { SheetSession } from '@/core/cutting/sheets/session';
import { type CutSheet, type SheetTask, sheetTasks } from '@/core/cutting/sheets/task';
import { bulkRectangles, dayOfRectangles, perfectSheets } from '../cutting/generate';

const never = () => false;
const solver = await loadHighs();
const BLOCKS = 4000;

function denseOf(task: SheetTask) {
  const sizes = task.parts.map(({ w, h }, part) => ({ part, count: 1, w, h }));
  const dense = new DenseSheets(task, sizes, [...task.sources.keys()], BLOCKS);
  while (!dense.ready) dense.grow(never);
  return dense;
}
/** What the checker finds wrong with a sheet, as the plan of a request for its parts. */
function faultsOf(request: SheetsRequest, index: number, sheet: CutSheet) {
  const jobs = jobsOfSheets(request);
  const { parts } = jobs[index]!.task as SheetTask;
  const ids = new Set(sheet.parts.map((part) => parts[part]!.id));
  const alone = { ...request, parts: request.parts.filter(({ id }) => ids.has(id)) };
  const result = { sheets: [sheet], unmade: [], cost: sheet.cost };
  return checkSheets(alone, composeSheets(jobs, [{ index, result, bound: 0, optimal: false }]));
}

describe('Dense sheets', () => {
  it('are all those that were cut with nothing left, when every part is worth its area', () => {
    for (let seed = 1; seed <= 8; seed += 1) {
      const [task] = sheetTasks(perfectSheets(seed, 3));
      const worth = task!.parts.map(({ w, h }) => w * h);
      const one = worth.map(() => 1);
      const whole = worth.reduce((a, b) => a + b, 0) / 3;
      const dense = denseOf(task!);
      const found = dense.within(worth, one, () => whole, 1e-6 * whole, BLOCKS, never)!;
      const told = new Set(
        found.map((sheet) =>
          dense
            .sizesOf(sheet)
            .sort((a, b) => a - b)
            .join(),
        ),
      );
      // The parts of a sheet stand one after the other in the request.
      let from = 0;
      let sum = 0;
      for (const [at, area] of worth.entries()) {
        sum += area;
        if (sum < whole * (1 - 1e-6)) continue;
        const sheet = Array.from({ length: at + 1 - from }, (_, count) => from + count);
        expect(told, `${seed}: ${sheet.join()}`).toContain(sheet.join());
        [from, sum] = [at + 1, 0];
      }
      expect(from).toBe(worth.length);
    }
  });

  it('can be cut, hold no part twice, and are worth more than was asked for what they cost', () => {
    for (const [request, seed] of [3, 4, 5].map((one) => [dayOfRectangles(one, 90), one] as const))
      for (const [index, task] of sheetTasks(request).entries()) {
        const dense = denseOf(task);
        const need = task.parts.map((_, part) => (part % 5 === 0 ? 0 : 1));
        const prices = task.parts.map(({ w, h }, part) => w * h * (0.8 + 0.1 * (part % 7)));
        const ask = (source: number) => 0.9 * task.sources[source]!.w * task.sources[source]!.h;
        const sheets = dense.price(prices, need, ask, never);
        expect(sheets.length, `${seed} ${task.id}`).toBeGreaterThan(0);
        for (const sheet of sheets) {
          const told = `${seed} ${task.id} ${sheet.parts.join()}`;
          expect(new Set(sheet.parts).size, told).toBe(sheet.parts.length);
          expect(
            sheet.parts.every((part) => need[part] === 1),
            told,
          ).toBe(true);
          const { open } = task.sources[sheet.source]!;
          const worth = sheet.parts.reduce((sum, part) => sum + prices[part]!, open - sheet.cost);
          expect(worth, told).toBeGreaterThan(ask(sheet.source));
          expect(faultsOf(request, index, sheet), told).toEqual([]);
        }
      }
  });
});

describe('Ways of cutting chosen together', () => {
  it('make every part once, from ways found for parts of the same size, and beat the first plan', () => {
    for (const blocks of [0, BLOCKS]) {
      const request = bulkRectangles(2, 120);
      const [task] = sheetTasks(request);
      const { best } = new SheetSearch(task!, 3);
      const master = new SheetMaster(task!, solver, [...task!.parts.keys()], [], 3, blocks);
      for (const sheet of best.sheets) master.join(sheet);
      let result: ReturnType<SheetMaster['step']>;
      for (let turn = 0; turn < 400 && !result; turn += 1) result = master.step(best, Infinity, never);
      master.dispose();
      expect(result?.unmade).toEqual([]);
      const cost = result!.sheets.reduce((sum, sheet) => sum + sheet.cost, 0);
      expect(cost).toBeLessThan(best.cost);
      const news = { index: 0, result: { ...result!, cost }, bound: 0, optimal: false };
      expect(checkSheets(request, composeSheets(jobsOfSheets(request), [news]))).toEqual([]);
    }
  });

  it('leave nothing of eight to ten sheets that were cut back together', () => {
    for (const [seed, sheets] of [
      [1, 8],
      [2, 9],
      [3, 10],
    ] as const) {
      const [task] = sheetTasks(perfectSheets(seed, sheets));
      const session = new SheetSession(task!, solver);
      for (let turn = 0; turn < 600 && !session.optimal; turn += 1) session.step(turn / 600, Infinity, never);
      session.dispose();
      expect(session.best.unmade).toEqual([]);
      expect(session.best.sheets.length, `${seed}`).toBe(sheets);
    }
  });
});
