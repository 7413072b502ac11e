import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clipped } from './clip';
import { type Point, type Shape, rectangle } from './scene';

const box = { x: 10, y: 20, w: 100, h: 50 };
const area = (points: Point[]): Shape => ({ kind: 'area', points, fill: '#fff' });
const line = (...points: Point[]): Shape => ({ kind: 'line', points, line: '#000' });
const pointsOf = (shapes: readonly Shape[]) => shapes.flatMap((shape) => ('points' in shape ? [shape.points] : []));
/** By the corners, one after another. */
const sizeOf = (points: readonly Point[]) =>
  Math.abs(
    points.reduce((sum, [x, y], index) => sum + x * points.at(index - 1)![1] - points.at(index - 1)![0] * y, 0),
  ) / 2;

describe('shapes in a window', () => {
  it('leave what lies within as it is, and nothing of what lies beyond', () => {
    const inside = area(rectangle(20, 30, 10, 10));
    expect(clipped([inside, area(rectangle(200, 30, 10, 10))], box)).toEqual([inside]);
  });
  it('cut an area that reaches out, on every side', () => {
    const [points] = pointsOf(clipped([area(rectangle(0, 0, 500, 500))], box));
    expect(sizeOf(points!)).toBe(5000);
    const [half] = pointsOf(clipped([area(rectangle(60, 40, 500, 500))], box));
    expect(sizeOf(half!)).toBe(50 * 30);
  });
  it('cut a line into the stretches that are seen', () => {
    const wave = line([0, 30], [50, 30], [50, 100], [80, 100], [80, 40], [300, 40]);
    expect(pointsOf(clipped([wave], box))).toEqual([
      [
        [10, 30],
        [50, 30],
        [50, 70],
      ],
      [
        [80, 70],
        [80, 40],
        [110, 40],
      ],
    ]);
  });
  it('keep a dot or a picture whole, or not at all', () => {
    const dot = (x: number): Shape => ({ kind: 'dot', at: [x, 30], radius: 4, fill: '#000' });
    expect(clipped([dot(50), dot(150)], box)).toEqual([dot(50)]);
  });
  it('never reach out of it, and lose nothing of a rectangle that does not', () => {
    const number = fc.integer({ min: -200, max: 300 });
    fc.assert(
      fc.property(fc.array(fc.tuple(number, number), { minLength: 3, maxLength: 9 }), (points) => {
        for (const cut of pointsOf(clipped([area(points), line(...points)], box)))
          for (const [x, y] of cut) {
            expect(x).toBeGreaterThanOrEqual(box.x - 1e-6);
            expect(x).toBeLessThanOrEqual(box.x + box.w + 1e-6);
            expect(y).toBeGreaterThanOrEqual(box.y - 1e-6);
            expect(y).toBeLessThanOrEqual(box.y + box.h + 1e-6);
          }
      }),
      { seed: 91, numRuns: 300 },
    );
    fc.assert(
      fc.property(number, number, fc.integer({ min: 1, max: 200 }), fc.integer({ min: 1, max: 200 }), (x, y, w, h) => {
        const across = Math.max(0, Math.min(x + w, 110) - Math.max(x, 10));
        const down = Math.max(0, Math.min(y + h, 70) - Math.max(y, 20));
        const [cut = []] = pointsOf(clipped([area(rectangle(x, y, w, h))], box));
        expect(sizeOf(cut)).toBeCloseTo(across * down, 6);
      }),
      { seed: 92, numRuns: 300 },
    );
  });
});
