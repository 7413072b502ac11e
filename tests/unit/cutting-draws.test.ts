import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { composeSheets, jobsOfSheets } from '@/core/cutting/engine';
import { type Random, randomFrom, shuffle } from '@/core/cutting/random';
import { Beginnings } from '@/core/cutting/sheets/beginnings';
import { candidates, knownCandidates } from '@/core/cutting/sheets/candidates';
import { checkSheets } from '@/core/cutting/sheets/check';
import { closest } from '@/core/cutting/sheets/closest';
import { DenseSheets } from '@/core/cutting/sheets/dense';
import { Draws } from '@/core/cutting/sheets/draws';
import { SheetFiller } from '@/core/cutting/sheets/fill';
import { WayProgram } from '@/core/cutting/sheets/program';
import { SheetSearch } from '@/core/cutting/sheets/search';
import { type CutSheet, type SheetTask, sheetTasks } from '@/core/cutting/sheets/task';
import { dayOfRectangles } from '../cutting/generate';
import { rounds } from '../wide';

const never = () => false;
const solver = await loadHighs();

/** Sheets of two to five parts, some of one size more than once, some from one of two pieces of the rack. */
const anyCandidates = (random: Random, sizes: number, count: number) =>
  Array.from({ length: count }, () => ({
    sizes: Array.from({ length: 2 + random.below(4) }, () => random.below(sizes)),
    rack: random.below(4) - 2,
    over: random.next(),
  }));

describe('Beginnings of a plan', () => {
  it('take no more than there is, and end only where little is left or nothing fits any more', () => {
    for (let seed = 1; seed <= rounds(60); seed += 1) {
      const random = randomFrom(seed);
      const need = Array.from({ length: 12 }, () => random.below(4));
      const racks = [random.below(2), random.below(2)];
      const list = anyCandidates(random, 12, 80).map((one) => ({ ...one, rack: Math.max(-1, one.rack) }));
      const beginnings = new Beginnings(list, need, racks);
      for (const until of [0, 5, 30]) {
        const left = [...need];
        const there = [...racks];
        for (const at of beginnings.next(until, random)) {
          for (const size of list[at]!.sizes) left[size]! -= 1;
          if (list[at]!.rack >= 0) there[list[at]!.rack]! -= 1;
        }
        expect(Math.min(...left, ...there), `${seed} ${until}`).toBeGreaterThanOrEqual(0);
        if (left.reduce((sum, count) => sum + count, 0) <= until) continue;
        const fits = list.filter(
          ({ sizes, rack }) =>
            (rack < 0 || there[rack]! > 0) &&
            sizes.every((size) => sizes.filter((one) => one === size).length <= left[size]!),
        );
        expect(fits, `${seed} ${until}`).toEqual([]);
      }
    }
  });

  it('find sheets that take all parts among many that do not, for the parts that few hold come first', () => {
    for (let seed = 1; seed <= 20; seed += 1) {
      const random = randomFrom(seed);
      const parts = shuffle(
        Array.from({ length: 40 }, (_, part) => part),
        random,
      );
      const whole = Array.from({ length: 8 }, (_, at) => ({
        sizes: parts.slice(5 * at, 5 * at + 5),
        rack: -1,
        over: 0.3 * random.next(),
      }));
      // The others keep away from one part of each of those.
      const others = anyCandidates(random, 40, 400).map(({ sizes, over }) => ({
        sizes: [...new Set(sizes)].filter((size) => whole.every((one) => one.sizes[0] !== size)),
        rack: -1,
        over,
      }));
      const list = [...others.filter(({ sizes }) => sizes.length > 1), ...whole];
      const beginnings = new Beginnings(
        list,
        parts.map(() => 1),
        [],
      );
      const chosen = beginnings.next(0, random).sort((a, b) => a - b);
      expect(chosen, `${seed}`).toEqual(whole.map((_, at) => list.length - whole.length + at));
    }
  });
});

/** A material's ways as the search has found them, and dense sheets beside. */
function readied(task: SheetTask, seed: number) {
  const random = randomFrom(seed);
  const filler = new SheetFiller(task, random);
  const racks = task.sources.flatMap(({ most }, index) => (most === 1 ? [index] : []));
  const program = new WayProgram(task, solver, [...task.parts.keys()], racks, filler.pool.sizeOf);
  const search = new SheetSearch(task, seed);
  for (let step = 0; step < 120; step += 1) search.step();
  for (const sheet of [...search.best.sheets, ...search.cheapest(60)]) program.join(sheet);
  return { random, filler, program, search };
}

describe('Ways and their linear program', () => {
  it('cost as before when all is to be made again, whatever was fixed and has joined in between', () => {
    for (const [index, task] of sheetTasks(dayOfRectangles(6, 120)).entries()) {
      const { program, search, random } = readied(task, index);
      const before = program.solve(never)!;
      program.keep();
      const { need, racks } = program.all();
      for (let row = 0; row < need.length; row += 1) if (random.next() < 0.4) program.limit(row, 0);
      for (let at = 0; at < racks.length; at += 1) program.limit(need.length + at, 0);
      const fixed = program.solve(never)!;
      // Less is to be made of what is bought.
      expect(fixed.value).not.toBeCloseTo(before.value, 0);
      const fresh = search.cheapest(400).filter((sheet) => program.join(sheet));
      expect(fresh.length).toBeGreaterThan(0);
      program.reset();
      const after = program.solve(never)!;
      expect(after.value).toBeLessThanOrEqual(before.value + 1e-6);

      const other = readied(task, index).program;
      for (const sheet of fresh) other.join(sheet);
      expect(after.value).toBeCloseTo(other.solve(never)!.value, 3);
      other.dispose();
      program.dispose();
    }
  });
});

describe('Plans drawn by lot', () => {
  it('make every part once for less than was asked, and can be cut', () => {
    for (const seed of [21, 22, 23]) {
      const request = dayOfRectangles(seed, 120);
      for (const [index, task] of sheetTasks(request).entries()) {
        const { random, filler, program, search } = readied(task, seed);
        const { duals } = program.solve(never)!;
        const near = knownCandidates(program, duals, 0.1 * task.sources[0]!.open);
        const draws = new Draws(filler, program, [...task.sources.keys()], random);
        const most = 1.15 * search.best.cost;
        const sheets = draws.plan(near, duals, most)!;
        const plan = program.planOf(sheets);
        const cost = plan.sheets.reduce((sum, sheet) => sum + sheet.cost, 0);
        expect(plan.unmade, `${seed} ${task.id}`).toEqual([]);
        expect(cost, `${seed} ${task.id}`).toBeLessThan(most);
        const news = { index, result: { ...plan, cost }, bound: 0, optimal: false };
        const own = { ...request, parts: request.parts.filter(({ material }) => material === task.id) };
        expect(checkSheets(own, composeSheets(jobsOfSheets(request), [news]))).toEqual([]);
        expect(draws.plan(near, duals, 0.5 * cost)).toBeUndefined();
        program.dispose();
      }
    }
  });
});

describe('The end of a plan at once', () => {
  it('costs as little as trying all sheets that are near their prices, and is none where they make none', () => {
    let [some, none] = [0, 0];
    for (const seed of [3, 4, 5, 6]) {
      for (const task of sheetTasks(dayOfRectangles(seed, 32))) {
        const { program, search, filler } = readied(task, seed);
        const racks = task.sources.flatMap(({ most }, index) => (most === 1 ? [index] : []));
        const list = program.parts.map(([part, ...more]) => {
          const { w, h } = task.parts[part!]!;
          return { part: part!, count: 1 + more.length, w, h };
        });
        const dense = new DenseSheets(task, list, [...task.sources.keys()], 400);
        while (!dense.ready) dense.grow(never);
        const solved = program.solve(never)!;
        const { duals, value } = solved;
        const left = program.all();
        const ask = (source: number) =>
          task.sources[source]!.open - (racks.includes(source) ? duals[list.length + racks.indexOf(source)]! : 0);
        for (const most of [1.02 * value, 1.2 * search.best.cost]) {
          const near = candidates(dense, program, duals, left.need, ask, most - value, 4000, never);
          if (!near) continue;
          /** The least that is made of what is near, a part no more than once. */
          const known = new Map<string, number>();
          const cheapest = (need: readonly number[], there: number): number => {
            const first = need.findIndex((count) => count > 0);
            if (first < 0) return 0;
            const key = `${need.join()}:${there}`;
            const before = known.get(key);
            if (before !== undefined) return before;
            let least = task.unmadePenalty + cheapest(need.with(first, need[first]! - 1), there);
            for (const { sizes, rack, cost } of near) {
              if (!sizes.includes(first) || (rack >= 0 && (there & (1 << rack)) === 0)) continue;
              const rest = [...need];
              for (const size of sizes) rest[size]! -= 1;
              if (rest.some((count) => count < 0)) continue;
              least = Math.min(least, cost + cheapest(rest, rack < 0 ? there : there & ~(1 << rack)));
            }
            known.set(key, least);
            return least;
          };
          const least = cheapest(left.need, 2 ** racks.length - 1);
          const found = closest(task, dense, program, left, solved, ask, most, 50, never);
          const told = `${seed} ${task.id} ${most}`;
          if (least >= most - 1e-6) {
            none += 1;
            expect(found, told).toBe('none');
          } else {
            some += 1;
            const plan = program.planOf(found as CutSheet[]);
            const cost = plan.sheets.reduce((sum, sheet) => sum + sheet.cost, plan.unmade.length * task.unmadePenalty);
            expect(cost, told).toBeCloseTo(least, 3);
          }
        }
        expect(filler.pool.count).toBe(list.length);
        program.dispose();
      }
    }
    expect(some).toBeGreaterThan(5);
    expect(none).toBeGreaterThan(2);
  });
});

describe('Plans made from nothing', () => {
  it('come soon to less than the first plan, for what was hard to lay counts for more', () => {
    // Offcuts may be worth nothing, and those of the rack cost nothing then.
    for (const offcutValue of [0.5, 0]) {
      let [first, soon] = [0, 0];
      for (const seed of [31, 32, 33, 34])
        for (const task of sheetTasks({ ...dayOfRectangles(seed, 160), offcutValue })) {
          const search = new SheetSearch(task, seed);
          first += search.best.cost;
          while (search.tries < 1500) search.step();
          soon += search.best.cost;
        }
      expect(soon / first, `${offcutValue}`).toBeLessThan(0.96);
    }
  });
});
