/** Windows laid out by hand: starting points, snapping, even gaps, the strips between them; and what a hand pulls. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Border } from '@/core/design/common';
import { SIDES, borderPulled, windowMoved, windowPulled } from '@/core/design/pulled';
import { evenStarts } from '@/core/sizing/even';
import { bridgesOf, normal, snapped, spread, startAt } from '@/core/sizing/lay';
import { MOST_WINDOWS } from '@/core/design/choices';
import { laidOut } from '@/core/design/several';
import { defaultSettings } from '@/core/settings';
import { type Placed, narrowestBridge } from '@/core/sizing/windows';
import { type Length, inches, length, mm, size } from '@/core/units/length';
import { stockedDesign } from '../stocked';

const at = (left: number, top: number, w: number, h: number): Placed => ({
  left: mm(left),
  top: mm(top),
  w: mm(w),
  h: mm(h),
});
const bridge = { across: mm(25), down: mm(20) };
const some = fc
  .array(
    fc.record({
      left: fc.integer({ min: 0, max: 200_000 }),
      top: fc.integer({ min: 0, max: 200_000 }),
      w: fc.integer({ min: 1, max: 60_000 }),
      h: fc.integer({ min: 1, max: 60_000 }),
    }),
    { minLength: 2, maxLength: 8 },
  )
  .map((windows) => windows as unknown as Placed[]);

describe('starting points', () => {
  it('puts the largest beside a stack of the others, each in the middle of the stack', () => {
    const places = startAt(
      'large and small',
      [size(mm(80), mm(60)), size(mm(200), mm(250)), size(mm(100), mm(60))],
      bridge,
    );
    // The stack is 100 wide and 60 + 20 + 60 = 140 tall, beside 250: 55 above it.
    expect(places).toEqual([
      { left: mm(235), top: mm(55) },
      { left: mm(0), top: mm(0) },
      { left: mm(225), top: mm(135) },
    ]);
  });
  it('puts the large one in the middle of a taller stack', () => {
    const places = startAt(
      'large and small',
      [size(mm(120), mm(100)), size(mm(90), mm(90)), size(mm(90), mm(90))],
      bridge,
    );
    expect(places).toEqual([
      { left: mm(0), top: mm(50) },
      { left: mm(145), top: mm(0) },
      { left: mm(145), top: mm(110) },
    ]);
  });
  it('puts what comes later under it, in the middle', () => {
    expect(startAt('over plate', [size(mm(300), mm(200)), size(mm(100), mm(20))], bridge)).toEqual([
      { left: mm(0), top: mm(0) },
      { left: mm(100), top: mm(220) },
    ]);
  });
  it('never lets two windows come nearer than the bridges', () => {
    fc.assert(
      fc.property(some, fc.constantFrom('large and small' as const, 'over plate' as const), (windows, start) => {
        const laid = startAt(start, windows, bridge).map((place, index) => ({ ...windows[index]!, ...place }));
        expect(narrowestBridge(laid, length(0))).toBeGreaterThanOrEqual(Math.min(bridge.across, bridge.down));
        expect(Math.min(...laid.map(({ left }) => left))).toBe(0);
        expect(Math.min(...laid.map(({ top }) => top))).toBe(0);
      }),
      { seed: 61, numRuns: 200 },
    );
  });
});

describe('the strips between windows', () => {
  it('is between a window and the nearest that it faces, not one behind that or cornerwise', () => {
    const windows = [at(0, 0, 100, 100), at(130, 20, 50, 50), at(220, 0, 50, 100), at(0, 120, 100, 30)];
    expect(bridgesOf(windows).map(({ way, gap, between }) => [way, gap, between])).toEqual([
      ['across', mm(30), [0, 1]],
      ['down', mm(20), [0, 3]],
      ['across', mm(40), [1, 2]],
    ]);
    // In the middle of what both share.
    expect(bridgesOf(windows)[0]!.at).toEqual({ left: mm(115), top: mm(45) });
  });
  it('is below nought where two overlap', () => {
    expect(bridgesOf([at(0, 0, 100, 100), at(90, 10, 50, 50)])[0]).toMatchObject({ way: 'across', gap: mm(-10) });
  });
});

describe('a moved window', () => {
  const windows = [at(0, 0, 100, 100), at(300, 0, 60, 80)];
  const reach = mm(4);
  const to = (left: number, top: number) => snapped(windows, 1, { left: mm(left), top: mm(top) }, bridge, reach);
  it('snaps to a bridge beside another, and in line with its upper edge', () => {
    const { place, guides } = to(122, 2);
    expect(place).toEqual({ left: mm(125), top: mm(0) });
    expect(guides).toEqual([
      { way: 'across', at: mm(125) },
      { way: 'down', at: mm(0) },
    ]);
  });
  it('snaps to the middle of another, and to its lower edge', () => {
    expect(to(150, 11).place).toEqual({ left: mm(150), top: mm(10) });
    expect(to(150, 18).place.top).toBe(mm(20));
  });
  it('stays where it was put when nothing is near', () => {
    expect(to(160, 40)).toEqual({ place: { left: mm(160), top: mm(40) }, guides: [] });
  });
  it('snaps where the gaps come out even', () => {
    const three = [at(0, 0, 50, 50), at(90, 0, 50, 50), at(400, 0, 50, 50)];
    // 40 between the first two: the third goes on at 180; between them there is no room for it.
    expect(snapped(three, 2, { left: mm(178), top: mm(90) }, bridge, reach).place.left).toBe(mm(180));
    const apart = [at(0, 0, 50, 50), at(250, 0, 50, 50), at(600, 0, 50, 50)];
    expect(snapped(apart, 2, { left: mm(127), top: mm(90) }, bridge, reach).place.left).toBe(mm(125));
  });
  it('is never carried further than the reach', () => {
    fc.assert(
      fc.property(
        some,
        fc.integer({ min: -5000, max: 200_000 }),
        fc.integer({ min: 0, max: 2000 }),
        (all, left, far) => {
          const { place } = snapped(all, 0, { left: length(left), top: length(0) }, bridge, length(far));
          expect(Math.abs(place.left - left)).toBeLessThanOrEqual(far);
        },
      ),
      { seed: 62, numRuns: 300 },
    );
  });
});

describe('even gaps', () => {
  it('keeps the outermost two and gives a remainder to the last gap', () => {
    const spans = [
      { start: length(0), long: length(10) },
      { start: length(101), long: length(10) },
      { start: length(20), long: length(10) },
    ];
    // 111 less 30 leaves 81 for two gaps: 40 and 41.
    expect(evenStarts(spans)).toEqual([0, 101, 50]);
  });
  it('leaves the other direction alone', () => {
    expect(spread([at(0, 7, 10, 10), at(12, 3, 10, 10), at(100, 0, 10, 10)], 'across')).toEqual([
      { left: mm(0), top: mm(7) },
      { left: mm(50), top: mm(3) },
      { left: mm(100), top: mm(0) },
    ]);
  });
  it('makes all gaps alike but the last, by less than their number', () => {
    fc.assert(
      fc.property(some, (windows) => {
        const after = spread(windows, 'down').map((place, index) => ({ ...windows[index]!, ...place }));
        const middle = ({ top, h }: Placed) => 2 * top + h;
        const row = windows
          .map((_, index) => index)
          .sort((a, b) => middle(windows[a]!) - middle(windows[b]!))
          .map((index) => after[index]!);
        const gaps = row.slice(1).map((one, index) => one.top - row[index]!.top - row[index]!.h);
        expect(new Set(gaps.slice(0, -1)).size).toBeLessThanOrEqual(1);
        if (gaps.length > 1) expect(gaps.at(-1)! - gaps[0]!).toBeLessThan(gaps.length);
      }),
      { seed: 63, numRuns: 200 },
    );
  });
  it('measures places from the corner of their box', () => {
    expect(
      normal([
        { left: mm(-5), top: mm(12) },
        { left: mm(10), top: mm(4) },
      ]),
    ).toEqual([
      { left: mm(0), top: mm(8) },
      { left: mm(15), top: mm(0) },
    ]);
  });
});

describe('what a hand pulls', () => {
  const sheet = size(mm(300), mm(200));
  const covered = { overlap: mm(3) };
  it('makes a part of a covered edge, the other edges where they were', () => {
    expect(windowPulled(covered, sheet, 'left', mm(-20)).opening).toEqual({
      left: mm(23),
      top: mm(3),
      w: mm(274),
      h: mm(194),
    });
    expect(windowPulled(covered, sheet, 'bottom', mm(-10)).opening).toEqual({
      left: mm(3),
      top: mm(3),
      w: mm(294),
      h: mm(184),
    });
  });
  it('leaves the overlap of sheet under every edge, and something of a window', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...SIDES), fc.integer({ min: -400_000, max: 400_000 })), { maxLength: 12 }),
        fc.integer({ min: -400_000, max: 400_000 }),
        (pulls, by) => {
          const pulled = pulls.reduce(
            (window, [side, far]) => windowPulled(window, sheet, side, length(far)),
            covered as Parameters<typeof windowPulled>[0],
          );
          const { opening } = windowMoved(pulled, sheet, length(by), length(-by));
          if (!opening) return;
          expect(opening.left).toBeGreaterThanOrEqual(mm(3));
          expect(opening.top).toBeGreaterThanOrEqual(mm(3));
          expect(opening.left + opening.w).toBeLessThanOrEqual(mm(297));
          expect(opening.top + opening.h).toBeLessThanOrEqual(mm(197));
          expect(Math.min(opening.w, opening.h)).toBeGreaterThanOrEqual(mm(3));
        },
      ),
      { seed: 64, numRuns: 300 },
    );
  });
  it('moves the part that is seen and not its size; a covered window stays', () => {
    const part = { overlap: mm(3), opening: { left: mm(40), top: mm(30), w: mm(100), h: mm(80) } };
    expect(windowMoved(part, sheet, mm(10), mm(-50)).opening).toEqual({
      left: mm(50),
      top: mm(3),
      w: mm(100),
      h: mm(80),
    });
    expect(windowMoved(covered, sheet, mm(10), mm(10))).toBe(covered);
  });
  it('changes the gap of a floated piece on all sides, not below nought', () => {
    const floated = { overlap: mm(3), floatGap: mm(6) };
    expect(windowPulled(floated, sheet, 'top', mm(2)).floatGap).toBe(mm(8));
    expect(windowPulled(floated, sheet, 'top', mm(-20)).floatGap).toBe(0);
  });
  it('keeps the way a border is said', () => {
    const all = inches(2);
    const pulled = (border: Border, side: (typeof SIDES)[number], by: Length) => borderPulled(border, side, by);
    expect(pulled({ mode: 'equal', all }, 'left', inches(0, 1, 2))).toEqual({ mode: 'equal', all: inches(2, 1, 2) });
    expect(pulled({ mode: 'weighted', all, extra: inches(0, 1, 2) }, 'bottom', inches(-1))).toEqual({
      mode: 'weighted',
      all,
      extra: 0,
    });
    expect(pulled({ mode: 'weighted', all, extra: inches(0, 1, 2) }, 'top', inches(1))).toEqual({
      mode: 'weighted',
      all: inches(3),
      extra: inches(0, 1, 2),
    });
    expect(pulled({ mode: 'sides', all, less: inches(0, 1, 2) }, 'right', inches(0, 1, 4))).toEqual({
      mode: 'sides',
      all,
      less: inches(0, 1, 4),
    });
    // Top and bottom wider: the sides stay as wide as they were.
    expect(pulled({ mode: 'sides', all, less: inches(0, 1, 2) }, 'top', inches(1))).toEqual({
      mode: 'sides',
      all: inches(3),
      less: inches(1, 1, 2),
    });
    expect(pulled({ mode: 'four', left: all, right: all, top: all, bottom: all }, 'top', inches(-5))).toMatchObject({
      top: mm(3),
      left: all,
    });
    expect(
      pulled({ mode: 'fit', package: size(inches(9), inches(9)), how: 'centred' }, 'top', inches(1)),
    ).toBeUndefined();
  });
});

describe('layouts of a design', () => {
  const settings = defaultSettings('in');
  const design = stockedDesign();
  const with8x10 = { ...design, piece: { ...design.piece, width: inches(8), height: inches(10) } };
  it('begin with the piece, and end with one window alone', () => {
    const row = laidOut(with8x10, 'row', settings)!;
    expect(row.windows.map(({ width, height }) => [width, height])).toEqual(
      Array.from({ length: 2 }, () => [inches(8), inches(10)]),
    );
    expect(laidOut({ ...with8x10, several: row }, 'one', settings)).toBeUndefined();
  });
  it('add two small ones beside a large one, in whole eighths and the piece’s proportions', () => {
    const { windows, layout } = laidOut(with8x10, 'large and small', settings)!;
    // Half of 10 less the bridge of 1 is 4 1/2; 8 : 10 of that is 3.6, in eighths 3 1/2.
    expect(windows.slice(1).map(({ width, height }) => [width, height])).toEqual(
      Array.from({ length: 2 }, () => [inches(3, 1, 2), inches(4, 1, 2)]),
    );
    expect(layout).toBe('free');
    // Windows are what their pieces are less an eighth a side: 7 3/4 and a bridge of 1 to the left of the small ones.
    expect(windows[1]!.at!.left).toBe(inches(8, 3, 4));
  });
  it('add a plate once, and no window beyond the forty a mat may have', () => {
    const over = laidOut(with8x10, 'over plate', settings)!;
    expect(over.windows.map(({ holds }) => holds)).toEqual([undefined, 'plate']);
    expect(laidOut({ ...with8x10, several: over }, 'over plate', settings)!.windows).toHaveLength(2);
    const full = { ...over, windows: Array.from({ length: MOST_WINDOWS }, () => over.windows[0]!) };
    expect(laidOut({ ...with8x10, several: full }, 'over plate', settings)!.windows).toHaveLength(MOST_WINDOWS);
  });
  it('lie freely from where they lie now', () => {
    const row = laidOut(with8x10, 'row', settings)!;
    const free = laidOut({ ...with8x10, several: row }, 'free', settings, [at(5, 7, 1, 1), at(30, 9, 1, 1)])!;
    expect(free.windows.map((one) => one.at)).toEqual([
      { left: mm(0), top: mm(0) },
      { left: mm(25), top: mm(2) },
    ]);
  });
});
