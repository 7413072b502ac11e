import { beforeAll, describe, expect, it } from 'vitest';
import { Engine, composeSheets, composeSticks, jobsOfSheets, jobsOfSticks } from '@/core/cutting/engine';
import type { SheetsPlan, SticksPlan } from '@/core/cutting/request';
import { sheetsSchema, sticksSchema } from '@/core/cutting/request-schema';
import { checkSheets } from '@/core/cutting/sheets/check';
import { checkSticks } from '@/core/cutting/sticks/check';

const sticks = sticksSchema.parse({
  kerf: 4.2,
  profiles: [
    {
      id: 'M',
      stock: [{ id: 'new', length: 3000, batch: 'a', qty: 3 }],
      rack: [{ id: 'r', length: 1700, batch: 'a', noGo: [{ from: 600, to: 640 }] }],
    },
    { id: 'N', stock: [{ id: 'other', length: 3000 }] },
  ],
  frames: ['F', 'G', 'H'].map((id, at) => ({
    id,
    profile: 'M',
    legs: [500, 500, 420, 420].map((length, leg) => ({ id: `${id}${leg}`, length: length + 20 * at })),
  })),
});
const sheets = sheetsSchema.parse({
  kerf: 2,
  minBreak: 20,
  materials: [
    { id: 'B', rotate: false, stock: [{ id: 'new', w: 815, h: 1020, qty: 2 }], rack: [{ id: 'r', w: 400, h: 510 }] },
    { id: 'C', stock: [{ id: 'other', w: 815, h: 1020 }] },
  ],
  parts: [
    [380, 480],
    [300, 400],
    [300, 400],
    [520, 300],
    [250, 250],
  ].map(([w, h], at) => ({ id: `P${at}`, material: 'B', w, h })),
});

let bars: SticksPlan;
let boards: SheetsPlan;
beforeAll(() => {
  const solve = (jobs: ReturnType<typeof jobsOfSticks>) => {
    const engine = new Engine(
      jobs.map((job, index) => ({ index, job })),
      undefined,
    );
    for (let turn = 0; turn < 20; turn += 1) engine.turn(turn / 20, 1, () => false, true);
    return engine.news();
  };
  const [a, b] = [jobsOfSticks(sticks), jobsOfSheets(sheets)];
  bars = composeSticks(a, solve(a));
  boards = composeSheets(b, solve(b));
});

type Bar = SticksPlan['bars'][number];
type Board = SheetsPlan['sheets'][number];
const codes = (found: readonly { code: string }[]) => [...new Set(found.map((one) => one.code))];
/** The plan with one of its sticks changed. */
const withBar = (change: (bar: Bar) => Bar, at = 0): SticksPlan => ({
  ...bars,
  bars: bars.bars.map((bar, index) => (index === at ? change(bar) : bar)),
});
const withBoard = (change: (sheet: Board) => Board, at = 0): SheetsPlan => ({
  ...boards,
  sheets: boards.sheets.map((sheet, index) => (index === at ? change(sheet) : sheet)),
});
const onRack = () => bars.bars.findIndex((bar) => bar.source === 'r');
const moved =
  (by: number, leg = 0) =>
  (bar: Bar) => ({
    ...bar,
    pieces: bar.pieces.map((piece, at) => (at === leg ? { ...piece, at: piece.at + by } : piece)),
  });

describe('the checker of sticks', () => {
  it('lets a good plan pass', () => {
    expect(checkSticks(sticks, bars)).toEqual([]);
    expect(onRack()).toBeGreaterThanOrEqual(0);
  });

  it.each<[string, () => SticksPlan]>([
    ['leg-outside', () => withBar(moved(-1))],
    [
      'legs-too-close',
      () =>
        withBar(
          moved(-0.5, 1),
          bars.bars.findIndex((bar) => bar.source === 'new' && bar.pieces.length > 1),
        ),
    ],
    ['leg-in-no-go', () => withBar(moved(595), onRack())],
    ['offcut-untrue', () => withBar((bar) => ({ ...bar, offcut: bar.offcut + 5 }))],
    ['bar-empty', () => withBar((bar) => ({ ...bar, pieces: [] }))],
    ['source-unknown', () => withBar((bar) => ({ ...bar, source: 'ghost' }))],
    ['source-used-up', () => ({ ...bars, bars: [...bars.bars, bars.bars[onRack()]!] })],
    ['leg-twice', () => withBar((bar) => ({ ...bar, pieces: bars.bars[1]!.pieces }))],
    [
      'leg-unknown',
      () => withBar((bar) => ({ ...bar, pieces: bar.pieces.map((piece) => ({ ...piece, leg: 'ghost' })) })),
    ],
    ['leg-wrong-profile', () => withBar((bar) => ({ ...bar, profile: 'N', source: 'other' }))],
    ['frame-not-whole', () => ({ ...bars, bars: bars.bars.slice(1) })],
    ['frame-not-whole', () => ({ ...bars, unmade: ['F'] })],
    ['frame-twice', () => ({ ...bars, unmade: ['F', 'F'] })],
    ['cost-untrue', () => ({ ...bars, cost: bars.cost - 1 })],
    ['bound-above-cost', () => ({ ...bars, bound: bars.cost + 1 })],
  ])('refuses a plan that is broken: %s', (code, broken) => {
    expect(codes(checkSticks(sticks, broken()))).toContain(code);
  });

  it('counts a frame of two batches once', () => {
    const two = sticksSchema.parse({
      kerf: 4,
      endTrim: 0,
      batchPenalty: 70,
      profiles: [{ id: 'M', stock: [], rack: ['a', 'b', 'c'].map((batch) => ({ id: batch, length: 500, batch })) }],
      frames: [{ id: 'F', profile: 'M', legs: [0, 1, 2].map((leg) => ({ id: `F${leg}`, length: 400 })) }],
    });
    const plan = {
      bars: ['a', 'b', 'c'].map((source, at) => ({
        source,
        profile: 'M',
        pieces: [{ leg: `F${at}`, at: 0 }],
        offcut: 0,
      })),
      unmade: [],
      bound: 0,
      gap: 1,
      optimal: false,
    };
    expect(checkSticks(two, { ...plan, cost: 3 * 250 + 70 })).toEqual([]);
    expect(codes(checkSticks(two, { ...plan, cost: 3 * 250 + 140 }))).toEqual(['cost-untrue']);
  });
});

describe('the checker of sheets', () => {
  it('lets a good plan pass', () => expect(checkSheets(sheets, boards)).toEqual([]));

  it.each<[string, () => SheetsPlan]>([
    [
      'part-not-cut',
      () =>
        withBoard((sheet) => ({
          ...sheet,
          parts: sheet.parts.map((part, at) => (at === 0 ? { ...part, x: part.x + 1 } : part)),
        })),
    ],
    ['part-not-cut', () => withBoard((sheet) => ({ ...sheet, cuts: sheet.cuts.slice(1) }))],
    [
      'cut-not-through',
      () =>
        withBoard((sheet) => ({
          ...sheet,
          cuts: [{ ...sheet.cuts[0]!, to: sheet.cuts[0]!.to - 40 }, ...sheet.cuts.slice(1)],
        })),
    ],
    [
      'break-too-narrow',
      () =>
        withBoard(
          (sheet) => ({ ...sheet, cuts: [{ axis: 'x', at: 10, from: 3, to: 1017 }] }),
          boards.sheets.findIndex((sheet) => sheet.source === 'new'),
        ),
    ],
    [
      'part-turned',
      () => withBoard((sheet) => ({ ...sheet, parts: sheet.parts.map((part) => ({ ...part, rotated: true })) })),
    ],
    ['sheet-empty', () => withBoard((sheet) => ({ ...sheet, parts: [] }))],
    ['offcut-untrue', () => withBoard((sheet) => ({ ...sheet, offcuts: [{ x: 3, y: 3, w: 700, h: 900 }] }))],
    ['offcut-too-small', () => withBoard((sheet) => ({ ...sheet, offcuts: [{ x: 3, y: 3, w: 40, h: 40 }] }))],
    ['source-unknown', () => withBoard((sheet) => ({ ...sheet, source: 'ghost' }))],
    ['source-used-up', () => ({ ...boards, sheets: [...boards.sheets, ...boards.sheets, ...boards.sheets] })],
    ['part-twice', () => ({ ...boards, sheets: [...boards.sheets, boards.sheets[0]!] })],
    ['part-missing', () => ({ ...boards, sheets: boards.sheets.slice(1) })],
    ['part-wrong-material', () => withBoard((sheet) => ({ ...sheet, material: 'C', source: 'other' }))],
    ['cost-untrue', () => ({ ...boards, cost: boards.cost * 0.99 })],
    ['bound-above-cost', () => ({ ...boards, bound: boards.cost * 1.01 })],
  ])('refuses a plan that is broken: %s', (code, broken) => {
    expect(codes(checkSheets(sheets, broken()))).toContain(code);
  });
});
