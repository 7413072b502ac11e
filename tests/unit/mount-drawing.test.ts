/** The drawing of the step that mounts: what lies where, from behind, with the figures that a rule is laid to. */
import { describe, expect, it } from 'vitest';
import type { Design } from '@/core/design/design';
import { stepScene } from '@/core/drawing/steps';
import { Has } from '@/core/instructions/has';
import { instructionsOf } from '@/core/instructions/instructions';
import { defaultSettings } from '@/core/settings';
import { inches, toMm } from '@/core/units/length';
import { sayLine } from '@/words/instructions';
import { exampleDesign, inch } from '../shop';
import { done } from '../stocked-sums';

const mounted = (over: Partial<Design>) => {
  const worked = done(exampleDesign(over));
  const { shapes } = stepScene(new Has(worked, defaultSettings('in')), 'mount')!;
  const figures = shapes.flatMap((shape) => (shape.kind === 'length' && shape.tone === 'ink' ? [shape.value] : []));
  const dashed = shapes.flatMap((shape) => {
    if (shape.kind !== 'area' || !shape.dashed) return [];
    const [xs, ys] = [shape.points.map(([x]) => x), shape.points.map(([, y]) => y)];
    return [
      {
        x: Math.min(...xs),
        y: Math.min(...ys),
        w: Math.max(...xs) - Math.min(...xs),
        h: Math.max(...ys) - Math.min(...ys),
      },
    ];
  });
  return { worked, figures, dashed, shapes };
};

describe('what is mounted', () => {
  it('lies as far from each edge as it says, its covered edge under the mat', () => {
    const { figures, dashed, worked } = mounted({});
    // Borders of 2 1/2 in, less 1/8 in of the piece under the mat on each side.
    expect(figures.slice(0, 4)).toEqual([inch('2 3/8'), inch('2 3/8'), inch('2 3/8'), inch('2 3/8')]);
    expect(dashed).toHaveLength(1);
    expect(dashed[0]!.w).toBeCloseTo(toMm(worked.sizes.piece.larger.w), 6);
  });

  it('of which a part is shown lies from behind where left and right have changed places', () => {
    const opening = { left: inches(2), top: inches(3), w: inches(5), h: inches(6) };
    const { figures, worked } = mounted({
      window: { ...exampleDesign().window, opening },
      border: { mode: 'equal', all: inches(8) },
    });
    const [left, right, top, bottom] = figures.map(Number) as [number, number, number, number];
    const { package: pack, piece } = worked.sizes;
    // From the front it begins 8 − 2 in from the left, 8 − 3 in from the top.
    expect([right, top]).toEqual([inches(6), inches(5)]);
    expect([left + piece.larger.w + right, top + piece.larger.h + bottom]).toEqual([pack.w, pack.h]);
  });

  it('in several windows is drawn in each, numbered as its lines are, the first from the front on the right', () => {
    const windows = [inches(4), inches(6)].map((width, index) => ({
      width,
      height: inches(5),
      holds: index === 0 ? ('piece' as const) : ('photograph' as const),
      title: index === 0 ? '' : 'Regatta',
    }));
    const several = { windows, layout: 'row' as const, bridge: { across: inches(1), down: inches(1) } };
    const { dashed, shapes, worked } = mounted({ several });
    expect(dashed.map(({ w }) => Math.round(w * 10) / 10)).toEqual([101.6, 152.4]);
    expect(dashed[0]!.x).toBeGreaterThan(dashed[1]!.x);
    const numbers = shapes.flatMap((shape) => (shape.kind === 'text' && /^[12]$/.test(shape.text) ? [shape.text] : []));
    expect(numbers).toEqual(['1', '2']);
    const store = instructionsOf(worked, defaultSettings('in'))
      .find(({ step }) => step === 'materials-here')!
      .lines.map((one) => sayLine(one, 'in'));
    expect(store).toEqual(
      expect.arrayContaining(['Window 1: the piece, 4 × 5 in.', 'Window 2: photograph “Regatta”, 6 × 5 in.']),
    );
  });
});
