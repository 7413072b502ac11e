import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Length, inches, length, mm, size } from '../units/length';
import { type Framed, evened, hooksOf, inRow, placed } from './hung';

const frame = (id: string, w: number, h: number): Framed => ({ id, outside: size(inches(w), inches(h)) });
const EYE = inches(57);
const ABC = [frame('a', 10, 12), frame('b', 20, 16), frame('c', 14, 14)];
const inch = (value: Length) => value / inches(1);

describe('a set in a row', () => {
  it('has even gaps, its middle in the middle, and one eye line', () => {
    const row = inRow(ABC, inches(2), EYE);
    // 10 + 2 + 20 + 2 + 14 = 48: from −24 to 24.
    expect(row.map(({ x }) => inch(x))).toEqual([-19, -2, 17]);
    expect(row.every(({ y }) => y === EYE)).toBe(true);
    expect(inRow([], inches(2), EYE)).toEqual([]);
  });

  it('keeps what was put, and puts what is new at its right end', () => {
    const before = inRow(ABC.slice(0, 2), inches(2), EYE).map((one) =>
      one.id === 'b' ? { ...one, y: inches(60) } : one,
    );
    const after = placed(ABC, before, inches(2), EYE);
    expect(after.slice(0, 2)).toEqual(before);
    expect(inch(after[2]!.x)).toBe(inch(before[1]!.x) + 10 + 2 + 7);
    expect(placed(ABC, [], inches(2), EYE)).toEqual(inRow(ABC, inches(2), EYE));
  });
});

describe('gaps made even', () => {
  it('leave the ends where they are and every gap the same, to a unit', () => {
    const width = fc.integer({ min: 200, max: 40_000 });
    fc.assert(
      fc.property(
        fc.array(fc.record({ w: width, x: fc.integer({ min: -400_000, max: 400_000 }) }), {
          minLength: 3,
          maxLength: 8,
        }),
        (list) => {
          const frames = list.map(({ w }, index) => ({ id: String(index), outside: size(length(w), length(w)) }));
          const hung = list.map(({ x }, index) => ({ id: String(index), x: length(x), y: EYE }));
          const after = evened(frames, hung);
          const row = [...after].sort((a, b) => a.x - b.x || Number(a.id) - Number(b.id));
          const before = [...hung].sort((a, b) => a.x - b.x);
          expect(after.find(({ id }) => id === before[0]!.id)!.x).toBe(before[0]!.x);
          expect(after.find(({ id }) => id === before.at(-1)!.id)!.x).toBe(before.at(-1)!.x);
          expect(row.length).toBe(list.length);
          // In the order they hung in, each gap is as the others.
          const of = new Map(frames.map(({ id, outside }) => [id, outside.w]));
          const placedAt = before.map(({ id }) => ({ x: after.find((one) => one.id === id)!.x, w: of.get(id)! }));
          const gaps = placedAt
            .slice(1)
            .map(
              (one, k) =>
                one.x - Math.floor(one.w / 2) - (placedAt[k]!.x - Math.floor(placedAt[k]!.w / 2) + placedAt[k]!.w),
            );
          expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThanOrEqual(list.length + 1);
        },
      ),
      { seed: 77, numRuns: 200 },
    );
  });

  it('of two changes nothing', () => {
    const two = inRow(ABC.slice(0, 2), inches(3), EYE);
    expect(evened(ABC.slice(0, 2), two)).toEqual(two);
  });
});

describe('the hooks of a set', () => {
  it('go below the top by the drop of each, from the floor and from the left edge', () => {
    const frames = [
      { ...ABC[0]!, hanging: { hookDrop: inches(3) } },
      { ...ABC[1]!, hanging: { hookDrop: inches(2), apart: inches(8) } },
      ABC[2]!,
    ];
    const hooks = hooksOf(frames, inRow(ABC, inches(2), EYE));
    expect(hooks.map(({ id, height, across }) => [id, inch(height), across.map(inch)])).toEqual([
      // 57 + 12/2 − 3; 5 in from the left edge.
      ['a', 60, [5]],
      // 57 + 16/2 − 2; its middle at 10 + 2 + 10.
      ['b', 63, [18, 26]],
    ]);
  });

  it('in millimetres are the same to the unit', () => {
    const frames = [{ id: 'a', outside: size(mm(300), mm(400)), hanging: { hookDrop: mm(60) } }];
    expect(hooksOf(frames, [{ id: 'a', x: mm(0), y: mm(1450) }])).toEqual([
      { id: 'a', height: mm(1590), across: [mm(150)] },
    ]);
  });
});
