import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BUILD_CODES } from '@/core/builds';
import type { Design } from '@/core/design/design';
import { mapDxf, mapFile, mapSvg } from '@/core/drawing/marking-map';
import { readDxf } from '@/core/mat-cut/read-dxf';
import { defaultSettings } from '@/core/settings';
import { inches, toMm } from '@/core/units/length';
import { workOut } from '@/core/work-out';
import { designOf } from '../designs';
import { exampleDesign, shop } from '../shop';
import { Has } from '@/core/instructions/has';
import { markRows, markingMap } from '@/core/instructions/marking-map';
import { markText } from '@/words/marks';

const settings = defaultSettings('in');
const context = shop('in');
function has(design: Design): Has | undefined {
  const result = workOut(design, context);
  return result.ok ? new Has(result.value, settings) : undefined;
}
const example = has(exampleDesign())!;
const floater = has(
  exampleDesign({
    build: 'floater',
    mats: [],
    piece: { ...exampleDesign().piece, kind: 'canvas', thickness: inches(0, 3, 4) },
    own: { floor: inches(0, 3, 8), bar: inches(0, 3, 4), innerDepth: inches(1, 1, 2) },
  }),
)!;

describe('the marking map', () => {
  it('of the worked example has two rings, level, a third below the top, as far in from each side', () => {
    const { marks, outside } = markingMap(example);
    const rings = marks.filter(({ item }) => item === 'ring');
    expect(rings.map(({ across, upright }) => [across.edge, upright.edge])).toEqual([
      ['left', 'top'],
      ['right', 'top'],
    ]);
    expect(rings.map(({ upright }) => upright.by)).toEqual([example.hanging!.ringDrop, example.hanging!.ringDrop]);
    expect(rings[0]!.across.by + rings[1]!.across.by + example.hanging!.span).toBe(outside.w);
    expect(markRows(rings).map((row) => markText(row, 'in'))).toEqual([
      '1, 2  Rings: 7 5/8 in from the top; 5/8 in from the left, 5/8 in from the right. #6 × 1/2 in: pilot 5/64 in, stop at 15/32− in.',
    ]);
  });

  it('of a floater has every screw with its bits, and where the drill stops', () => {
    const screws = markingMap(floater).marks.filter(({ item }) => item === 'screw');
    expect(screws).toHaveLength(floater.count('screw'));
    expect(screws.map(({ drill }) => drill?.gauge)).toEqual(screws.map(() => '#6'));
    expect(markText(markRows(screws)[0]!, 'in')).toMatch(/#6: hole 33\/64 in, pilot 5\/64 in, stop at [\d /]+ in\.$/);
    expect(screws[0]!.drill!.stop).toBe(floater.worked.sizes.figures.screwAtMost);
  });

  it('mirrored has every mark at the same height, left and right changed, and is itself again when mirrored twice', () => {
    for (const of of [example, floater]) {
      const [behind, front] = [markingMap(of), markingMap(of, 'front')];
      expect(front.marks.map(({ at }) => behind.outside.w - at.x)).toEqual(behind.marks.map(({ at }) => at.x));
      expect(front.marks.map(({ at }) => at.y)).toEqual(behind.marks.map(({ at }) => at.y));
      expect(front.marks.map(({ number, item }) => [number, item])).toEqual(
        behind.marks.map(({ number, item }) => [number, item]),
      );
    }
  });

  it.each(BUILD_CODES)('of any %s measures from the nearer edges, and lies on the piece', (build) => {
    fc.assert(
      fc.property(designOf(build), fc.constantFrom('behind', 'front'), (design, from) => {
        const of = has(design);
        if (!of) return;
        const { marks, outside } = markingMap(of, from);
        for (const { at, across, upright } of marks) {
          expect(at.x >= 0 && at.x <= outside.w && at.y >= 0 && at.y <= outside.h).toBe(true);
          expect(across.by * 2).toBeLessThanOrEqual(outside.w);
          expect(upright.by * 2).toBeLessThanOrEqual(outside.h);
          expect(across.edge === 'left' ? at.x : outside.w - at.x).toBe(across.by);
          expect(upright.edge === 'top' ? at.y : outside.h - at.y).toBe(upright.by);
        }
        expect(
          markRows(marks)
            .flatMap(({ numbers }) => numbers)
            .sort((a, b) => a - b),
        ).toEqual(marks.map(({ number }) => number));
        expect(marks.some(({ item }) => item === 'ring')).toBe(
          of.count('ring') > 0 && of.worked.route.some(({ step }) => step === 'back-and-hang'),
        );
      }),
      { seed: 10, numRuns: 40 },
    );
  });

  it('is written for machines in millimetres from the lower left, holes as wide as their bit', () => {
    const map = markingMap(floater);
    const file = mapFile(map, '2429-1');
    const holes = file.paths.filter(({ layer }) => layer === 'HOLE');
    // A hole for each screw of the floor and of the rings.
    expect(holes).toHaveLength(floater.count('screw') + floater.count('hanger screw'));
    const [first] = map.marks.filter(({ item }) => item === 'screw');
    const xs = holes[0]!.points.map(([x]) => x);
    const ys = holes[0]!.points.map(([, y]) => y);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(13.025, 2);
    expect((Math.max(...ys) + Math.min(...ys)) / 2).toBeCloseTo(toMm(map.outside.h) - toMm(first!.at.y), 3);
    expect(mapSvg(file)).toContain(`width="${file.w}mm" height="${file.h}mm"`);
    expect(mapSvg(file).match(/<path /g)).toHaveLength(file.paths.length);
    expect(mapDxf(file).match(/POLYLINE/g)).toHaveLength(file.paths.length);
    // The mat cutter knows none of these layers, and says so.
    expect(readDxf(mapDxf(file)).ok).toBe(false);
  });
});
