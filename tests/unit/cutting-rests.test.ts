import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { composeSheets, jobsOfSheets } from '@/core/cutting/engine';
import { toSquareMm } from '@/core/cutting/grain';
import { randomFrom } from '@/core/cutting/random';
import type { SheetsRequest } from '@/core/cutting/request';
import { checkSheets } from '@/core/cutting/sheets/check';
import { Nearby } from '@/core/cutting/sheets/nearby';
import { Rests } from '@/core/cutting/sheets/rests';
import { SheetSearch } from '@/core/cutting/sheets/search';
import { Subsets } from '@/core/cutting/sheets/subsets';
import { type SheetResult, type Tree, cutSheet, sheetTasks } from '@/core/cutting/sheets/task';
import { byEveryCut, smallSheet } from '../cutting/every-cut';
import { bulkRectangles, dayOfRectangles } from '../cutting/generate';
import { rounds } from '../wide';

const LIMITS = { sets: Infinity, work: Infinity, points: Infinity };

function restsOf(request: SheetsRequest, patience?: { pieces: number; places: number }) {
  const [task] = sheetTasks(request);
  const { short, long } = task!.minOffcut;
  const sizes = [
    ...task!.parts.map((part) => ({ ...part, turn: task!.rotate })),
    { w: short + task!.kerf, h: long + task!.kerf, turn: true },
  ];
  const subsets = new Subsets(task!, sizes, LIMITS);
  while (!subsets.done) subsets.grow(1e6);
  return { task: task!, subsets, rests: new Rests(task!, subsets, sizes, patience) };
}

describe('What is left beside a set of parts', () => {
  it('is what every cut there is can leave, with cuts that leave it', () => {
    const random = randomFrom(11);
    let [some, two] = [0, 0];
    for (let round = 0; round < rounds(150); round += 1) {
      const request = smallSheet(random, 2 + random.below(2));
      const told = JSON.stringify(request);
      const { task, subsets, rests } = restsOf(request, { pieces: Infinity, places: Infinity });
      const { w, h, open, rate } = task.sources[0]!;
      const all = 2 ** task.parts.length - 1;
      const truth = byEveryCut(request);
      expect(subsets.within(all, w, h), told).toBe(truth > -Infinity);
      if (truth === -Infinity) continue;
      expect(rests.atMost(all, w, h), told).toBeGreaterThanOrEqual(truth - 1e-6);
      const { value, limit } = rests.most(all, w, h);
      expect(limit, told).toBeGreaterThanOrEqual(truth - 1e-6);
      expect(value, told).toBeCloseTo(truth, 5);
      const leaf = (part: number, rotated: boolean): Tree => ({ kind: 'part', part, rotated });
      const sheet = cutSheet(task, 0, rests.tree(all, w, h, leaf));
      expect([...sheet.parts].sort(), told).toEqual([...task.parts.keys()]);
      expect((open - sheet.cost) / rate, told).toBeCloseTo(truth, 5);
      if (truth > 0) some += 1;
      // More than the largest piece that one cut can leave beside all parts.
      const one = Math.max(
        toSquareMm((w - subsets.narrowest(all, h)) * h),
        toSquareMm((h - subsets.flattest(all, w)) * w),
      );
      if (truth > one) two += 1;
    }
    expect(some).toBeGreaterThan(rounds(60));
    expect(two).toBeGreaterThan(rounds(20));
  });

  it('lies between what was found and a limit where not all is tried', () => {
    const random = randomFrom(5);
    let less = 0;
    for (let round = 0; round < rounds(12); round += 1) {
      const request = smallSheet(random, 4);
      const { task, subsets, rests } = restsOf(request, { pieces: 3, places: 2 });
      const { w, h } = task.sources[0]!;
      if (!subsets.within(15, w, h)) continue;
      const { value, limit } = rests.most(15, w, h);
      const truth = byEveryCut(request);
      expect(value, JSON.stringify(request)).toBeLessThanOrEqual(truth + 1e-6);
      expect(limit, JSON.stringify(request)).toBeGreaterThanOrEqual(truth - 1e-6);
      if (value < limit) less += 1;
    }
    expect(less).toBeGreaterThan(0);
  });
});

describe('Sets of many parts', () => {
  it('fit a sheet when they do among themselves', () => {
    const [task] = sheetTasks(bulkRectangles(3, 22));
    const sizes = task!.parts.map((part) => ({ ...part, turn: task!.rotate }));
    const { w, h } = task!.sources[0]!;
    const many = new Subsets(task!, sizes, LIMITS);
    while (!many.done) many.grow(1e6);
    const random = randomFrom(8);
    let fit = 0;
    for (let round = 0; round < rounds(400); round += 1) {
      const bits = new Set(Array.from({ length: 2 + random.below(4) }, () => random.below(sizes.length)));
      const list = [...bits].sort((a, b) => a - b);
      const few = new Subsets(
        task!,
        list.map((bit) => sizes[bit]!),
        LIMITS,
      );
      while (!few.done) few.grow(1e6);
      const set = list.reduce((sum, bit) => sum + 2 ** bit, 0);
      const goes = few.within(2 ** list.length - 1, w, h);
      expect(many.within(set, w, h), list.join()).toBe(goes);
      if (goes) fit += 1;
    }
    expect(fit).toBeGreaterThan(rounds(50));
    expect(fit).toBeLessThan(380);
  });
});

describe('Planning a few sheets anew', () => {
  it('makes a plan of many parts cheaper, and leaves it a plan', async () => {
    const solver = await loadHighs();
    const request = dayOfRectangles(4, 130);
    const jobs = jobsOfSheets(request);
    let cheaper = 0;
    const news = jobs.map((job, index) => {
      const [task] = sheetTasks({ ...request, materials: request.materials.filter(({ id }) => id === job.task.id) });
      const search = new SheetSearch(task!, 1);
      for (let turn = 0; turn < 60; turn += 1) search.step();
      const before = search.best.cost;
      const nearby = new Nearby(task!, solver, 1);
      for (let turn = 0; turn < 400; turn += 1) {
        const found: SheetResult | undefined = nearby.step(search.best, () => false);
        if (!found) continue;
        const { cost } = search.best;
        expect(search.offer(found)).toBe(true);
        expect(search.best.cost).toBeLessThan(cost);
      }
      nearby.dispose();
      if (search.best.cost < before) cheaper += 1;
      return { index, result: search.best, bound: 0, optimal: false };
    });
    expect(cheaper).toBeGreaterThan(1);
    expect(checkSheets(request, composeSheets(jobs, news))).toEqual([]);
  });
});
