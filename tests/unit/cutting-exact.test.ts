import fc from 'fast-check';
import loadHighs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { composeSheets, composeSticks, jobsOfSheets, jobsOfSticks } from '@/core/cutting/engine';
import type { Solver } from '@/core/cutting/linear';
import { randomFrom } from '@/core/cutting/random';
import { sheetsSchema } from '@/core/cutting/request-schema';
import { SheetBound, countingTask } from '@/core/cutting/sheets/bound';
import { checkSheets } from '@/core/cutting/sheets/check';
import { choose } from '@/core/cutting/sheets/choice';
import { SheetExact } from '@/core/cutting/sheets/exact';
import { fewestNewSheets } from '@/core/cutting/sheets/fewest';
import { chooseWhole } from '@/core/cutting/sheets/integer';
import { cellsOf } from '@/core/cutting/sheets/scale';
import { SheetSearch } from '@/core/cutting/sheets/search';
import { Subsets } from '@/core/cutting/sheets/subsets';
import { sheetTasks } from '@/core/cutting/sheets/task';
import { checkSticks } from '@/core/cutting/sticks/check';
import { Cover } from '@/core/cutting/sticks/cover';
import { StickExact } from '@/core/cutting/sticks/exact';
import { kindsOf } from '@/core/cutting/sticks/patterns';
import { StickSearch } from '@/core/cutting/sticks/search';
import { stickTasks } from '@/core/cutting/sticks/task';
import { TightPlans } from '@/core/cutting/sticks/tight';
import { bestSheets, bestSticks } from '../cutting/brute';
import { dayOfRectangles, perfectSticks, threeAStick } from '../cutting/generate';
import { tinySheets, tinySticks } from '../cutting/tiny';
import { rounds } from '../wide';

let solver: Solver;
beforeAll(async () => {
  solver = await loadHighs();
});
const never = () => false;
/** A frame under other names, for one that is wanted a second time. */
const again = <F extends { id: string; legs: readonly { id: string; length: number }[] }>(frame: F, at: number): F => ({
  ...frame,
  id: `F${at}`,
  legs: frame.legs.map((leg, of) => ({ ...leg, id: `F${at}-${of}` })),
});

describe('The exact plan of few frames', () => {
  it('costs what trying everything finds, and is a plan', () => {
    const random = randomFrom(77);
    let tried = 0;
    for (let round = 0; round < rounds(250); round += 1) {
      const request = tinySticks(random);
      const [task] = stickTasks(request);
      const exact = new StickExact(task!, [...task!.frames.keys()]);
      const first = new StickSearch(task!, 1).best;
      // It makes every frame; where leaving one out is cheaper, or none can be made, it is not asked.
      if (exact.over || first.unmade.length > 0 || request.unmadePenalty < 1000) continue;
      tried += 1;
      while (!exact.step(first.cost + 1));
      const told = JSON.stringify(request);
      expect(exact.value, told).toBeCloseTo(bestSticks(request), 5);
      const result = exact.plan()!;
      const plan = composeSticks(jobsOfSticks(request), [
        { index: 0, result: { ...result, cost: exact.value! }, bound: exact.value!, optimal: true },
      ]);
      expect(checkSticks(request, plan), told).toEqual([]);
    }
    expect(tried).toBeGreaterThan(rounds(100));
  });
});

describe('Plans that leave next to nothing', () => {
  it('are found for what was cut back together: with many ways to fill a stick, with few, with legs two by two', () => {
    const twice = perfectSticks(3, 10);
    const pairs = { ...twice, frames: [...twice.frames, ...twice.frames].map(again) };
    for (const [request, sticks] of [
      [perfectSticks(3, 20), 20],
      [perfectSticks(2, 40), 40],
      [threeAStick(2, 60), 60],
      [pairs, 20],
    ] as const) {
      const [task] = stickTasks(request);
      const plans = TightPlans.of(task!, kindsOf(task!), [...task!.frames.keys()], 1)!;
      let found: ReturnType<TightPlans['step']>;
      for (let turn = 0; turn < 2000 && !found; turn += 1) found = plans.step();
      expect(found?.bars.length).toBe(sticks);
      const news = { index: 0, result: found!, bound: 0, optimal: false };
      expect(checkSticks(request, composeSticks(jobsOfSticks(request), [news]))).toEqual([]);
    }
  });

  it('are chosen among sets exactly when some of them together hold every leg within the slack', () => {
    const random = randomFrom(5);
    let some = 0;
    for (let round = 0; round < rounds(300); round += 1) {
      const counts = Array.from({ length: 4 }, () => 1 + random.below(2));
      const sets = Array.from({ length: 9 }, () => ({
        classes: counts.flatMap((count, one) => Array.from({ length: random.below(count + 1) }, () => one)),
        left: random.below(3),
      })).filter(({ classes }) => classes.length > 0);
      const holds = (rest: readonly number[], slack: number, from: number): boolean =>
        rest.every((one) => one === 0) ||
        sets.slice(from).some(({ classes, left }, at) => {
          const now = rest.map((count, one) => count - classes.filter((other) => other === one).length);
          return left <= slack && now.every((one) => one >= 0) && holds(now, slack - left, from + at);
        });
      const cover = new Cover(sets, counts, 2, random);
      let found: ReturnType<Cover['step']>;
      while (!found && !cover.over) found = cover.step(5);
      expect(found !== undefined, JSON.stringify({ sets, counts })).toBe(holds(counts, 2, 0));
      if (!found) continue;
      some += 1;
      expect(found.flatMap(({ classes }) => classes).sort()).toEqual(
        counts.flatMap((count, one) => Array.from({ length: count }, () => one)),
      );
      expect(found.reduce((sum, { left }) => sum + left, 0)).toBeLessThanOrEqual(2);
    }
    expect(some).toBeGreaterThan(rounds(50));
  });
});

describe('The bound of sheets by pricing', () => {
  it('stays below the best plan from the coarse grids to the fine', () => {
    const random = randomFrom(4711);
    let near = 0;
    for (let round = 0; round < rounds(60); round += 1) {
      const request = tinySheets(random);
      const best = bestSheets(request);
      const [task] = sheetTasks(request);
      const search = new SheetSearch(task!, 1);
      const bound = new SheetBound(task!, solver);
      // The finest grids take seconds each, and are no other code.
      while (!bound.over && bound.nextMs < 40) {
        bound.step(() => search.best.sheets, search.best.cost, never);
        expect(bound.bound, JSON.stringify(request)).toBeLessThanOrEqual(best * (1 + 1e-9));
      }
      if (bound.bound > 0.95 * best) near += 1;
    }
    expect(near).toBeGreaterThan(rounds(5));
  });

  it('counts new sheets for what can be made, and no more of them than a plan opens', () => {
    const request = dayOfRectangles(3, 100);
    const huge = { id: 'huge', material: request.parts[0]!.material, w: 4000, h: 4000 };
    for (const parts of [request.parts, [...request.parts, huge]])
      for (const task of sheetTasks({ ...request, parts })) {
        const { best } = new SheetSearch(task, 1);
        const opened = best.sheets.filter(({ source }) => !task.sources[source]!.rack).length;
        const counting = new SheetBound(countingTask(task), solver);
        while (!counting.over && counting.nextMs < 3) counting.step(() => best.sheets, opened, never);
        counting.dispose();
        expect(counting.newSheets).toBeLessThanOrEqual(opened);
        expect(counting.newSheets).toBeGreaterThan(0.6 * opened);
      }
  });

  it('rests on cells that never add up to more than the piece they are cut from', () => {
    const length = fc.integer({ min: 1, max: 30_000_000 });
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400_000 }), length, length, (cell, a, b) => {
        const scale = { cell, count: 0 };
        expect(cellsOf(scale, a) + cellsOf(scale, b)).toBeLessThanOrEqual(cellsOf(scale, a + b));
      }),
      { seed: 7 },
    );
  });
});

describe('Sets of few parts', () => {
  it('are those that trying every cut finds room for', () => {
    const random = randomFrom(99);
    let whole = 0;
    const many = rounds(60);
    for (let round = 0; round < many; round += 1) {
      const request = sheetsSchema.parse({
        kerf: random.below(2) * 3,
        minOffcut: { short: 5000, long: 5000 },
        materials: [{ id: 'B', rotate: random.next() < 0.6, stock: [{ id: 's', w: 600, h: 800 }] }],
        parts: Array.from({ length: 3 }, (_, at) => ({
          id: `P${at}`,
          material: 'B',
          w: 200 + random.below(200),
          h: 300 + random.below(300),
        })),
      });
      const [task] = sheetTasks(request);
      const { w, h } = task!.sources[0]!;
      const parts = task!.parts.map((part) => ({ ...part, turn: task!.rotate }));
      const sets = new Subsets(task!, parts, { sets: 1000, work: 1e6, points: 1000 });
      while (!sets.done) sets.grow(1000);
      const one = bestSheets(request) < 1.5 * 600 * 800;
      expect(sets.within(0b111, w, h), JSON.stringify(request)).toBe(one);
      if (one) whole += 1;
    }
    expect(whole).toBeGreaterThan(rounds(5));
    expect(whole).toBeLessThan(many - 2);
  });

  const within = (set: number) => [...Array(64).keys()].filter((part) => part > 0 && (part & set) === part);

  it('need as many new sheets as trying every choice of them says, whatever lies on the rack', () => {
    const random = randomFrom(21);
    const all = 0b11111;
    const bits = [0, 1, 2, 3, 4];
    let saved = 0;
    for (let round = 0; round < rounds(300); round += 1) {
      const racks = 1 + random.below(2);
      const areas = bits.map(() => 100 * random.next()).sort((a, b) => b - a);
      // Parts dealt out to sheets and to the rack, so that they just go: sets of each, and all sets within.
      const dealt = [0, 0, 0, 0];
      for (const bit of bits) dealt[random.below(dealt.length)]! |= 1 << bit;
      const bought = new Set([...bits.map((bit) => 1 << bit), ...dealt.slice(racks)].flatMap(within));
      const ways = [
        ...[...bought].map((set) => ({ set, rack: 0 })),
        ...dealt.slice(0, racks).flatMap((set, at) => within(set).map((part) => ({ set: part, rack: 1 << at }))),
      ];
      const least = (left: number, used: number): number =>
        left === 0
          ? 0
          : Math.min(
              ...ways
                .filter(({ set, rack }) => set & left && !(rack & used))
                .map(({ set, rack }) => (rack ? 0 : 1) + least(left & ~set, used | rack)),
            );
      const { count, ways: chosen } = fewestNewSheets(ways, areas, racks, 8, never);
      const told = JSON.stringify({ ways, areas });
      expect(count, told).toBe(least(all, 0));
      expect(chosen!.reduce((sum, { set }) => sum | set, 0)).toBe(all);
      expect(chosen!.filter(({ rack }) => rack === 0)).toHaveLength(count);
      if (chosen!.length > count) saved += 1;
    }
    expect(saved).toBeGreaterThan(rounds(150));

    // Areas that add up to a hair more than they are: what one sheet leaves just goes on the piece of the rack.
    const just = [0b001, 0b010, 0b100].map((set) => ({ set, rack: 0 })).concat({ set: 0b110, rack: 1 });
    expect(fewestNewSheets(just, [0.6, 0.4, 0.3], 1, 3, never).count).toBe(1);
  });

  it('are chosen for as little by an integer program as remainder by remainder', () => {
    const random = randomFrom(64);
    let made = 0;
    for (let round = 0; round < rounds(60); round += 1) {
      const [parts, racks] = [6, 2];
      // What can be cut can be cut without some of its parts.
      const ways = Array.from({ length: 8 }, () => {
        const rack = random.below(3) === 0 ? 1 << random.below(racks) : 0;
        const all = 1 + random.below(2 ** parts - 1);
        const over = 1e5 * (1 + random.below(9));
        return within(all).map((set) => ({ set, rack, over }));
      }).flat();
      const prices = { each: new Float64Array(parts + racks), fewest: 0, perNew: 0 };
      const costOf = ({ over }: { over: number }) => over;
      const [most, penalty] = [7e5, 4e5];
      const one = choose(ways, parts, prices, penalty, costOf, most, Infinity, never)!;
      const limits = { seconds: Infinity, nodes: 1e6, cutoff: most, stop: never };
      const other = chooseWhole(solver, ways, { parts, racks, fewest: 0 }, penalty, costOf, limits);
      const told = JSON.stringify(ways);
      expect(other.bound, told).toBeLessThanOrEqual(one.cost);
      expect(other.bound, told).toBeGreaterThan(one.cost - 100);
      expect(other.ways === undefined, told).toBe(one.ways === undefined);
      if (!other.ways) continue;
      made += 1;
      const left = other.ways.reduce((sum, { set }) => sum & ~set, 2 ** parts - 1);
      const unmade = Array.from({ length: parts }, (_, bit) => (left >> bit) & 1).reduce((sum, bit) => sum + bit, 0);
      expect(
        other.ways.reduce((sum, { over }) => sum + over, unmade * penalty),
        told,
      ).toBe(one.cost);
    }
    expect(made).toBeGreaterThan(rounds(15));
    expect(made).toBeLessThan(55);
  });

  it('prove no more than is true, and give plans', () => {
    const random = randomFrom(12);
    let found = 0;
    for (let round = 0; round < rounds(80); round += 1) {
      const request = tinySheets(random);
      const [task] = sheetTasks(request);
      const racks = task!.sources.flatMap(({ most }, index) => (most === 1 ? [index] : []));
      const { best } = new SheetSearch(task!, 1);
      if (best.unmade.length > 0) continue;
      // As if only a poor plan were known, so that it must find one itself.
      const poor = { ...best, cost: best.cost * 2 };
      const exact = new SheetExact(task!, [...task!.parts.keys()], racks, solver, Infinity);
      const told = JSON.stringify(request);
      while (!exact.over) {
        const result = exact.step(poor, never);
        if (!result) continue;
        found += 1;
        const cost = result.sheets.reduce((sum, sheet) => sum + sheet.cost, 0);
        const news = { index: 0, result: { ...result, cost }, bound: 0, optimal: false };
        expect(checkSheets(request, composeSheets(jobsOfSheets(request), [news])), told).toEqual([]);
      }
      expect(exact.done, told).toBe(true);
      expect(exact.bound, told).toBeLessThanOrEqual(bestSheets(request) * (1 + 1e-9));
    }
    expect(found).toBeGreaterThan(rounds(40));
  });
});
