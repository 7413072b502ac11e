import { describe, expect, it } from 'vitest';
import { randomFrom } from '@/core/cutting/random';
import { sheetsSchema } from '@/core/cutting/request-schema';
import { SheetBound } from '@/core/cutting/sheets/bound';
import { SheetFiller } from '@/core/cutting/sheets/fill';
import { Pairs, firstWithin } from '@/core/cutting/sheets/pairs';
import { scalesFor } from '@/core/cutting/sheets/scale';
import { GuillotineTable, sizeClasses } from '@/core/cutting/sheets/table';
import { SheetSearch } from '@/core/cutting/sheets/search';
import { type SheetTask, areaOf, sheetTasks } from '@/core/cutting/sheets/task';
import { Weighing } from '@/core/cutting/sheets/weighing';
import { dayOfRectangles, perfectSheets } from '../cutting/generate';

const never = () => false;

/** What so many turns on a grid prove: new sheets, not rounded up. */
function needed(task: SheetTask, cells: number, turns: number): number {
  const classes = sizeClasses(task, [...task.parts.keys()]);
  const kinds = task.sources.map((source) => ({ source, most: source.most }));
  const bare = { ...task, minOffcut: { short: Infinity, long: Infinity } };
  const table = new GuillotineTable(bare, classes, scalesFor(task, classes, cells), 0);
  const weighing = new Weighing(
    classes,
    kinds,
    classes.map((one) => areaOf(task, one)),
  );
  let before = 0;
  for (let turn = 0; turn < turns; turn += 1) {
    weighing.turn(table, never);
    expect(weighing.needed).toBeGreaterThanOrEqual(before);
    before = weighing.needed;
  }
  return before;
}

describe('New sheets by prices alone', () => {
  it('are never more than sheets that were cut back together', () => {
    for (const sheets of [2, 4, 7])
      for (const seed of [1, 2, 3]) {
        const [task] = sheetTasks(perfectSheets(seed, sheets));
        const turned = needed(task!, 60, 40);
        expect(turned).toBeLessThanOrEqual(sheets + 1e-9);
        expect(turned).toBeGreaterThan(0.8 * sheets);
      }
  });

  it('come near one for each part too large for two on a sheet, more than by area; fewer with a rack', () => {
    const random = randomFrom(8);
    const side = (share: number) => 1000 * (share + 0.05 * random.next());
    const parts = [
      ...Array.from({ length: 12 }, (_, at) => ({ id: `${at}`, material: 'm', w: side(0.55), h: side(0.6) })),
      ...Array.from({ length: 16 }, (_, at) => ({ id: `s${at}`, material: 'm', w: 270, h: 300 })),
    ];
    // By area eight would do.
    const of = (rack: { id: string; w: number; h: number }[]) => {
      const materials = [{ id: 'm', stock: [{ id: 's', w: 1000, h: 1000 }], rack }];
      return sheetTasks(sheetsSchema.parse({ sheetTrim: 0, materials, parts }))[0]!;
    };
    const byArea = needed(of([]), 60, 1);
    expect(byArea).toBeLessThan(7.5);
    const alone = needed(of([]), 60, 30);
    expect(alone).toBeGreaterThan(8);
    expect(alone).toBeLessThanOrEqual(12 + 1e-9);
    const withRack = needed(of([1, 2, 3].map((at) => ({ id: `r${at}`, w: 700, h: 700 }))), 60, 30);
    expect(withRack).toBeLessThan(alone - 1);
    expect(withRack).toBeLessThanOrEqual(9 + 1e-9);

    // The bound tells so at its first step: what so many sheets cost at the least.
    const task = of([]);
    const bound = new SheetBound(task, undefined);
    bound.step(() => [], Infinity, never);
    const load = parts.reduce((sum, { w, h }) => sum + w * h, 0);
    expect(bound.bound).toBeGreaterThan((Math.ceil(alone) * 500_000 + 0.5 * load) * (1 - 1e-6));
    expect(bound.bound).toBeLessThan((12 * 500_000 + 0.5 * load) * (1 + 1e-6));
  });
  it('do not count sheets of a limited number, which the others need not make up for', () => {
    const parts = Array.from({ length: 12 }, (_, at) => ({ id: `${at}`, material: 'm', w: 560 + at, h: 610 + at }));
    const limited = { id: 'few', w: 1000, h: 1000, qty: 8, price: 900_000 };
    const materials = [{ id: 'm', stock: [limited, { id: 's', w: 1000, h: 1000 }], rack: [] }];
    const [task] = sheetTasks(sheetsSchema.parse({ sheetTrim: 0, materials, parts }));
    const few = needed(task!, 60, 30);
    expect(few).toBeLessThanOrEqual(4 + 1e-9);
    expect(few).toBeGreaterThan(3);
    const [dear, cheap] = [new SheetSearch(task!, 1).best.cost, new SheetBound(task!, undefined)];
    cheap.step(() => [], Infinity, never);
    expect(cheap.bound).toBeLessThanOrEqual(dear);
    cheap.needs(12);
    for (let step = 0; step < 3; step += 1) cheap.step(() => [], Infinity, never);
    expect(cheap.bound).toBeLessThanOrEqual(dear);
  });
});

describe('A pool of parts', () => {
  it('gives each part to one sheet, and knows no pair of which a part is gone', () => {
    for (const task of sheetTasks(dayOfRectangles(5, 160))) {
      const random = randomFrom(3);
      const filler = new SheetFiller(task, random);
      const pool = [...task.parts.keys()].filter(() => random.next() < 0.8);
      filler.pool.begin(pool, true);
      const cut: number[] = [];
      for (;;) {
        const sheet = filler.fill([0], 6, false);
        if (!sheet) break;
        cut.push(...sheet.parts);
        const rest = filler.pool.rest();
        expect([...cut, ...rest].sort((a, b) => a - b)).toEqual(pool);
        expect(filler.pool.load).toBe(rest.reduce((sum, part) => sum + task.parts[part]!.w * task.parts[part]!.h, 0));
      }
      expect(filler.pool.rest()).toEqual([]);
    }
  });

  it('has its pairs by the room they take, each with the most that one from there on counts for', () => {
    const [task] = sheetTasks(dayOfRectangles(7, 120));
    const sizes = task!.parts.length;
    const list = (of: (part: { w: number; h: number }) => number) => Float64Array.from(task!.parts, of);
    const pooled = new Int32Array(sizes).fill(1);
    const pairs = new Pairs(task!);
    pairs.find({
      sizes,
      size: Int32Array.from(task!.parts.keys()),
      pooled,
      w: list(({ w }) => w),
      h: list(({ h }) => h),
      area: list(({ w, h }) => w * h),
      value: list(({ w, h }) => w + h),
    });
    const before = pairs.count;
    expect(before).toBeGreaterThan(50);
    for (let size = 0; size < sizes; size += 3) pooled[size] = 0;
    pairs.tidy(pooled);
    expect(pairs.count).toBeLessThan(before);
    const [rooms, values] = [[...pairs.room.slice(0, pairs.count)], [...pairs.value.slice(0, pairs.count)]];
    expect(rooms).toEqual([...rooms].sort((a, b) => b - a));
    for (let at = 0; at < pairs.count; at += 1) {
      expect(pooled[pairs.one[at]!]! * pooled[pairs.other[at]!]!).toBe(1);
      expect(pairs.room[at]).toBe(pairs.w[at]! * pairs.h[at]!);
      expect(pairs.tops[at]).toBe(Math.max(...values.slice(at)));
    }
    for (const most of [0, rooms[10]!, rooms[10]! - 1, Infinity])
      expect(firstWithin(pairs.room, pairs.count, most)).toBe(rooms.filter((room) => room > most).length);
  });
});
