import { describe, expect, it } from 'vitest';
import { exampleDesign, shop } from '../../../tests/shop';
import { SUM_SCENES, sumScene } from '@/core/drawing/sums';
import { withBuild } from '@/core/design/with-build';
import { defaultSettings } from '@/core/settings';
import { workOut } from '@/core/work-out';
import { BENCH_SUMS, firstValues } from './bench-sums';
import { figuresOf } from './sum-figures';
import { benchSum } from './work-sum';

const HOUSE = { mat: 'A1', moulding: 'M1', glazing: 'G1', backing: 'B1' };
const find = (key: string) => BENCH_SUMS.find((one) => one.key === key)!;

describe('bench sums', () => {
  it('each answers its first figures in both units, and is drawn within its sheet', () => {
    for (const of of BENCH_SUMS)
      for (const unit of ['in', 'mm'] as const) {
        const result = benchSum(of, firstValues(of, unit), unit);
        if (!result.ok) throw new Error(`${of.key}: ${JSON.stringify(result.issues)}`);
        const figures = figuresOf(result.value.answer, unit, figuresOf(result.value.body, unit));
        const names = ((result.value.body.parts ?? []) as { material: string }[]).map((one) => one.material);
        const scene = sumScene(of.scene, (key) => figures.get(key) ?? 0, names);
        const points = scene.shapes.flatMap((shape) => ('points' in shape ? shape.points : [shape.at]));
        expect([of.key, points.length > 3]).toEqual([of.key, true]);
        for (const [x, y] of points)
          expect([of.key, x >= -0.01 && y >= -0.01 && x <= scene.width + 0.01 && y <= scene.height + 0.01]).toEqual([
            of.key,
            true,
          ]);
      }
    expect(new Set(BENCH_SUMS.map((one) => one.scene)).size).toBe(Object.keys(SUM_SCENES).length + 1);
  });

  it('takes the figures of a job exactly, and answers what the job has', () => {
    const settings = defaultSettings('in');
    const design = { ...withBuild(exampleDesign(), 'floater', settings, HOUSE), own: { wall: 6401, gap: 2032 } };
    const worked = workOut(design as never, shop());
    if (!worked.ok) throw new Error(worked.issues[0]!.code);
    const of = find('floater');
    const values = { ...firstValues(of, 'in'), ...of.from(worked.value, 'in') };
    expect(values.wall).toBe('20.003125 mm');
    const result = benchSum(of, values, 'in');
    const { outside } = worked.value.sizes;
    expect(result.ok && result.value.answer.outside).toEqual({
      w: `${outside!.w / 320} mm`,
      h: `${outside!.h / 320} mm`,
    });
    expect(find('garment').from(worked.value, 'in')).toBeUndefined();
  });

  it('says what cannot be read beside its field, and takes lists apart at their commas', () => {
    const of = find('garment');
    const with_ = (over: object) => benchSum(of, { ...firstValues(of, 'in'), ...over }, 'in');
    const list = with_({ heldEdges: '7, 16' });
    expect(list.ok && list.value.answer.pinsPerEdge).toEqual([3, 5]);
    const wrong = with_({ tuck: 'two' });
    expect(wrong.ok ? [] : wrong.issues.map((one) => one.path)).toEqual(['tuck']);
    const many = benchSum(find('polygon'), { ...firstValues(find('polygon'), 'in'), sides: 'six' }, 'in');
    expect(many.ok).toBe(false);
  });
});
