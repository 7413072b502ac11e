import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exampleDesign, inch, moulding, shop } from '../../../tests/shop';
import type { Design } from '../design/design';
import { PROFILES } from '../materials';
import { inches, length, mm, toMm } from '../units/length';
import { type WorkedOut, workOut } from '../work-out';
import { backScene } from './back';
import { frontScene } from './front';
import { fall, slope } from './profile';
import { type Point, type Scene, type Shape, shade } from './scene';
import { sectionScene } from './section';

const work = (over: Partial<Design> = {}): WorkedOut => {
  const result = workOut(exampleDesign(over), shop());
  if (!result.ok) throw new Error(result.issues.map((one) => one.code).join());
  return result.value;
};
const pointsOf = (shape: Shape): readonly Point[] => ('points' in shape ? shape.points : [shape.at]);
const areas = (scene: Scene) => scene.shapes.flatMap((shape) => (shape.kind === 'area' ? [shape] : []));
const lengthsIn = (scene: Scene) => scene.shapes.flatMap((shape) => (shape.kind === 'length' ? [shape.value] : []));
/** Width and height of the box round some points, to a thousandth of a millimetre. */
const box = (points: readonly Point[]) => {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const span = (values: number[]) => Math.round((Math.max(...values) - Math.min(...values)) * 1000) / 1000;
  return [span(xs), span(ys)];
};

const anyFrame = fc.record({
  w: fc.integer({ min: 2 * 8128, max: 40 * 8128 }),
  h: fc.integer({ min: 2 * 8128, max: 40 * 8128 }),
  face: fc.integer({ min: 4000, max: 30_000 }),
  profile: fc.constantFrom(...PROFILES),
  layers: fc.integer({ min: 1, max: 3 }),
});
const overFrames = (check: (worked: WorkedOut) => void) =>
  fc.assert(
    fc.property(anyFrame, ({ w, h, face, profile, layers }) => {
      const start = exampleDesign();
      const wood = moulding({
        faceWidth: length(face),
        rabbetWidth: length(Math.floor(face / 4)),
        profile,
        stick: mm(9000),
      });
      check(
        work({
          piece: { ...start.piece, width: length(w), height: length(h) },
          mats: Array.from({ length: layers }, (_, k) => ({ board: { code: 'A2' }, reveal: length(k * 1000) })),
          frame: { moulding: { given: wood }, allowance: inch('1/8') },
        }),
      );
    }),
    { seed: 31, numRuns: 80 },
  );

describe('the front', () => {
  it('draws the outside, the sight edge and the window at their true sizes', () => {
    overFrames((worked) => {
      const { sizes, resolved } = worked;
      const boxes = areas(frontScene(worked)).map((shape) => box(shape.points));
      const drawn = (w: number, h: number) =>
        boxes.some((one) => Math.abs(one[0]! - w) < 0.01 && Math.abs(one[1]! - h) < 0.01);
      const face = toMm(resolved.moulding.faceWidth);
      expect(drawn(toMm(sizes.outside!.w), toMm(sizes.outside!.h))).toBe(true);
      expect(drawn(toMm(sizes.outside!.w) - 2 * face, toMm(sizes.outside!.h) - 2 * face)).toBe(true);
      expect(drawn(toMm(sizes.opening!.w), toMm(sizes.opening!.h))).toBe(true);
      expect(drawn(toMm(sizes.opening!.w), toMm(sizes.opening!.h) + 1)).toBe(false);
    });
  });

  it('keeps everything on the sheet and labels the outside', () => {
    overFrames((worked) => {
      const scene = frontScene(worked);
      for (const [x, y] of scene.shapes.flatMap(pointsOf)) {
        expect(x >= -0.001 && x <= scene.width + 0.001 && y >= -0.001 && y <= scene.height + 0.001).toBe(true);
      }
      expect(lengthsIn(scene).sort()).toEqual([worked.sizes.outside!.w, worked.sizes.outside!.h].sort());
    });
  });

  it('puts the window where its borders say: heavier below means higher up', () => {
    const worked = work({ border: { mode: 'weighted', all: inches(2), extra: inches(1) } });
    const scene = frontScene(worked);
    const window = areas(scene).filter((shape) => box(shape.points).join() === [298.45, 400.05].join())[0]!;
    const whole = [toMm(worked.sizes.outside!.w), toMm(worked.sizes.outside!.h)].join();
    const outside = areas(scene).filter((shape) => shape.fill === 'none' && box(shape.points).join() === whole)[0]!;
    const top = Math.min(...window.points.map(([, y]) => y)) - Math.min(...outside.points.map(([, y]) => y));
    const bottom = Math.max(...outside.points.map(([, y]) => y)) - Math.max(...window.points.map(([, y]) => y));
    expect(bottom - top).toBeCloseTo(25.4, 6);
  });

  const PHOTO = 'a'.repeat(64);
  const picturesOf = (worked: WorkedOut, photos: readonly string[]) =>
    frontScene(worked, false, photos).shapes.flatMap((shape) => (shape.kind === 'picture' ? [shape] : []));

  it('shows the photo where the piece lies: its whole sheet behind the window, and of it what the window shows', () => {
    overFrames((worked) => {
      const [photo, ...more] = picturesOf(worked, [PHOTO]);
      const { larger } = worked.sizes.piece;
      const [window] = worked.sizes.matted!.windows;
      expect(more).toEqual([]);
      expect([photo!.w, photo!.h]).toEqual([toMm(larger.w), toMm(larger.h)]);
      expect([photo!.clip.w, photo!.clip.h]).toEqual([toMm(window!.w), toMm(window!.h)]);
      // The edges lie under the mat, as much on either side.
      expect(photo!.clip.x - photo!.at[0]).toBeCloseTo(photo!.at[0] + photo!.w - photo!.clip.x - photo!.clip.w, 6);
      expect(photo!.clip.y - photo!.at[1]).toBeCloseTo(photo!.at[1] + photo!.h - photo!.clip.y - photo!.clip.h, 6);
    });
  });

  it('shows the part of the sheet that was chosen', () => {
    const start = exampleDesign();
    const opening = { left: inches(2), top: inches(3), w: inches(5), h: inches(6) };
    const [photo] = picturesOf(work({ window: { ...start.window, opening } }), [PHOTO]);
    expect([photo!.clip.w, photo!.clip.h]).toEqual([127, 152.4]);
    expect(photo!.clip.x - photo!.at[0]).toBeCloseTo(50.8, 6);
    expect(photo!.clip.y - photo!.at[1]).toBeCloseTo(76.2, 6);
  });

  it('has a photo for each window in turn, and pictures of the kind where there are no more', () => {
    const windows = [1, 2, 3].map(() => ({ width: inches(4), height: inches(5) }));
    const several = { windows, layout: 'row' as const, bridge: { across: inches(1), down: inches(1) } };
    const worked = work({ several });
    expect(picturesOf(worked, [PHOTO, 'b'.repeat(64)]).map(({ hash }) => hash[0])).toEqual(['a', 'b']);
    expect(picturesOf(worked, [])).toEqual([]);
  });

  it('leaves the dimensions away for a small picture', () => {
    expect(lengthsIn(frontScene(work(), false))).toEqual([]);
  });
});

describe('the section', () => {
  it('stacks every layer at its thickness, from the lip to the room that is left', () => {
    overFrames((worked) => {
      const layers = areas(sectionScene(worked)).slice(1, 1 + worked.stack.layers.length);
      const thick = layers.map((shape) => box(shape.points)[1]!);
      worked.stack.layers.forEach((layer, index) => expect(thick[index]).toBeCloseTo(toMm(layer.thickness), 3));
      const { moulding: wood } = worked.resolved;
      const first = Math.min(...layers[0]!.points.map(([, y]) => y));
      expect(first).toBeCloseTo(toMm(wood.height) - toMm(wood.rabbetDepth), 6);
    });
  });

  it('dashes the room when there is some, and none when the stack stands proud', () => {
    const dashed = (worked: WorkedOut) => areas(sectionScene(worked)).filter((shape) => shape.dashed).length;
    expect(dashed(work())).toBe(1);
    expect(dashed(work({ frame: { moulding: { code: 'M4' }, allowance: inch('1/8') } }))).toBe(0);
  });
});

describe('the back', () => {
  it('hangs the wire from ring to ring over its peak', () => {
    const worked = work();
    const wire = backScene(worked).shapes.find((shape) => shape.kind === 'line' && shape.points.length === 3);
    const { hanging, sizes, resolved } = worked;
    const inset = toMm(resolved.moulding.faceWidth) / 2;
    expect(wire && pointsOf(wire)).toEqual([
      [inset, toMm(hanging!.ringDrop)],
      [toMm(sizes.outside!.w) / 2, toMm(hanging!.wireDrop)],
      [toMm(sizes.outside!.w) - inset, toMm(hanging!.ringDrop)],
    ]);
  });

  it('draws no wire when none is asked for', () => {
    const scene = backScene(work({ hanging: { rings: 'none', slack: '0.05' } }));
    expect(scene.shapes.every((shape) => shape.kind === 'area')).toBe(true);
  });
});

describe('profiles', () => {
  it.each(PROFILES)('%s stays within the wood over the rabbet and shades only where it falls', (profile) => {
    const steps = Array.from({ length: 101 }, (_, k) => k / 100);
    for (const t of steps) {
      expect(fall(profile, t)).toBeGreaterThanOrEqual(0);
      expect(fall(profile, t)).toBeLessThanOrEqual(1);
    }
    const turns = steps.filter((t) => Math.abs(slope(profile, t)) > 0.01).length;
    if (profile === 'box') expect(turns).toBe(0);
    else expect(turns).toBeGreaterThan(0);
  });

  it('shades towards white and black and never past them', () => {
    expect([shade('#808080', 1), shade('#808080', -1), shade('#102030', 0), shade('#ffffff', 5)]).toEqual([
      '#ffffff',
      '#000000',
      '#102030',
      '#ffffff',
    ]);
  });
});
