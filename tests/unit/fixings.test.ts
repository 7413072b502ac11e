/** The law of the wood: everything driven lies in it, with its screw, bit and stop; something holds every package. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BUILD_CODES, type BuildCode } from '@/core/builds';
import type { Design } from '@/core/design/design';
import { braceOn, bumperOn, holdOf } from '@/core/fixings/corners';
import { HANGER_SCREWS, hangerFixing } from '@/core/fixings/hangers';
import { apothemOf, crossing, polygonOutline } from '@/core/fixings/outline';
import { railOf } from '@/core/fixings/rail';
import { HOLES } from '@/core/fixings/screws';
import { Has } from '@/core/instructions/has';
import { instructionsFor } from '@/core/instructions/instructions';
import { mapScene } from '@/core/drawing/marking-map';
import { stepScene } from '@/core/drawing/steps';
import { type MapMark, labelled, markingMap } from '@/core/instructions/marking-map';
import { marksOf } from '@/core/instructions/marks';
import { defaultSettings } from '@/core/settings';
import { type Length, inches, length, mm, toMm } from '@/core/units/length';
import { workOut } from '@/core/work-out';
import { sayLine } from '@/words/instructions';
import { designOf } from '../designs';
import { exampleDesign, shop } from '../shop';
import { rounds } from '../wide';

const SETTINGS = defaultSettings('in');
const CONTEXT = shop();
const hasOf = (design: Design): Has | undefined => {
  const outcome = workOut(design, CONTEXT);
  return outcome.ok ? new Has(outcome.value, SETTINGS) : undefined;
};

/** Mouldings from a lath to a plank, rabbets that leave much or nothing. */
const wood = fc
  .record({
    face: fc.integer({ min: 8, max: 80 }),
    part: fc.integer({ min: 20, max: 90 }),
    height: fc.integer({ min: 8, max: 50 }),
  })
  .map(({ face, part, height }) => ({
    faceWidth: mm(face),
    rabbetWidth: mm(Math.max(2, Math.round((face * part) / 100) - 2)),
    rabbetDepth: mm(Math.max(4, height - 4)),
    height: mm(height),
  }));
const fixed = (build: BuildCode): fc.Arbitrary<Design> =>
  fc
    .record({
      design: designOf(build),
      wood,
      sides: fc.option(fc.constantFrom(3, 5, 6, 8, 12), { nil: undefined, freq: 2 }),
      eye: fc.boolean(),
    })
    .map(({ design, wood: of, sides, eye }) => ({
      ...design,
      frame: {
        ...design.frame,
        moulding: { given: { ...WOOD, ...of, material: 'wood' as const } },
        ...(sides === undefined || build === 'metal-sections' ? {} : { sides }),
      },
      piece: sides === undefined ? design.piece : { ...design.piece, width2: undefined, height: design.piece.width },
      hanging: { ...design.hanging, ...(eye ? { fitting: 'screw eye' as const } : {}) },
    })) as fc.Arbitrary<Design>;

const WOOD = { code: 'W', name: 'Wood', supplier: 'Test', profile: 'flat', finish: 'raw', colour: '#b08d57' } as const;
const EDGE = (shank: Length) => Math.max(2 * toMm(shank), 5);
const NEAR = 0.01;

/** What is wrong with where a fixing lies, from the frame as it was made: not by the program's own rules. */
function outside(has: Has, mark: MapMark): string | undefined {
  const { worked, design } = has;
  const outer = worked.sizes.frames.at(-1);
  const { rails } = worked;
  const { w, h } = markingMap(has).outside;
  const [x, y] = [toMm(mark.at.x), toMm(mark.at.y)];
  const at = `${mark.item} at ${x} ${y}`;
  if (mark.item === 'screw' || mark.item === 'riser block') {
    const { package: pack } = worked.sizes;
    const inner = [toMm(w) / 2 - toMm(pack.w) / 2, toMm(h) / 2 - toMm(pack.h) / 2] as const;
    return x > inner[0] && x < toMm(w) - inner[0] && y > inner[1] && y < toMm(h) - inner[1]
      ? undefined
      : `${at} beside the piece`;
  }
  if (!rails || !outer) return undefined;
  const shank = mark.drill ? HOLES[mark.drill.gauge as keyof typeof HOLES].shank : undefined;
  const least = shank ? EDGE(shank) : 0;
  if (['ring', 'hook', 'hanger screw'].includes(mark.item)) {
    if (design.own?.ringsOn === 'inner wall') return undefined;
    const solid = toMm(rails.side.solid);
    if (design.frame.sides && outer.rabbet) {
      const box = (inset: number) => crossing(polygonOutline(apothemOf(outer), design.frame.sides!, mm(inset)), y)?.[0];
      // So near to a corner at the top all of it is wood.
      const [outmost, inmost] = [box(least) ?? 0, box(solid - least) ?? toMm(w) / 2];
      const in_ = Math.min(x, toMm(w) - x);
      return in_ >= outmost - NEAR && in_ <= inmost + NEAR ? undefined : `${at} not in ${outmost} to ${inmost}`;
    }
    const in_ = Math.min(x, toMm(w) - x);
    return in_ >= least - NEAR && in_ <= solid - least + NEAR ? undefined : `${at}, ${in_} of ${solid}`;
  }
  const cross = toMm(rails.cross.solid);
  if (mark.item === 'sawtooth') return y > 0 && y <= cross ? undefined : `${at} below the rail of ${cross}`;
  if (mark.item === 'bumper') return toMm(h) - y <= cross + NEAR ? undefined : `${at} above the rail of ${cross}`;
  if (mark.item === 'corner brace' && !design.frame.sides) {
    const solid = Math.min(cross, toMm(rails.side.solid));
    const near = Math.min(x, y, toMm(w) - x, toMm(h) - y);
    return near > 0 && near <= solid ? undefined : `${at} beside wood of ${solid}`;
  }
  return undefined;
}

describe('what is driven', () => {
  it.each(BUILD_CODES)('into any %s lies in wood, off every other mark, with its screw, bit and stop', (build) => {
    const seen = { marks: 0, screws: 0 };
    fc.assert(
      fc.property(fixed(build), (design) => {
        const has = hasOf(design);
        if (!has) return;
        const { marks } = markingMap(has);
        for (const mark of marks) {
          seen.marks += 1;
          expect(outside(has, mark)).toBeUndefined();
          if (!has.worked.rails || !['ring', 'hook', 'sawtooth', 'corner brace', 'offset clip'].includes(mark.item))
            continue;
          seen.screws += 1;
          expect(mark.drill, mark.item).toMatchObject({ long: expect.any(Number) as number });
          // Never within 3 mm of a face, less the plate that the head lies on.
          const { rails } = has.worked;
          if (design.frame.inner && mark.item === 'offset clip') continue;
          const deep = Math.max(rails.side.depth, rails.cross.depth);
          expect(mark.drill!.stop).toBeLessThanOrEqual(deep - mm(3));
        }
        // Blocks have their screw through their middle; nothing else shares a place.
        const alone = marks.filter(({ item }) => item !== 'riser block');
        const places = alone.map(({ step, at }) => `${step} ${at.x} ${at.y}`);
        expect(new Set(places).size).toBe(places.length);
      }),
      { seed: 29, numRuns: rounds(240) },
    );
    if (build === 'window-mat' || build === 'bare') expect(seen.screws).toBeGreaterThan(20);
    expect(seen.marks).toBeGreaterThanOrEqual(0);
  });

  it.each(BUILD_CODES)('holds any %s in one way, which is counted, told and nowhere contradicted', (build) => {
    fc.assert(
      fc.property(fixed(build), (design) => {
        const has = hasOf(design);
        if (!has) return;
        const { worked, scope } = has;
        const driven = (['flexible point', 'rigid point', 'tab', 'offset clip', 'spring clip', 'clip'] as const).filter(
          (item) => has.count(item) > 0,
        );
        expect(driven.length).toBeLessThanOrEqual(1);
        const refused = worked.cautions.some(({ code }) => code === 'package-unheld');
        expect(refused).toBe(worked.holding === 'refused');
        if (refused) expect(driven).toEqual([]);
        const held = ['points', 'points by hand', 'tabs', 'offset clips'].includes(worked.holding ?? '');
        if (held && scope.closed) expect(driven).toHaveLength(1);
        const fit = instructionsFor(has).find(({ step }) => step === 'fit');
        const says = fit?.lines.map((line) => sayLine(line, 'in')).join(' ') ?? '';
        if (fit && has.count('offset clip') === 0) expect(says).not.toContain('offset clips');
        if (fit && !driven.some((item) => item.endsWith('point')))
          expect(says).not.toMatch(/\d (flexible|rigid) points|low-profile points/);
      }),
      { seed: 31, numRuns: rounds(160) },
    );
  });
});

describe('the wood beside a rabbet', () => {
  it('takes hangers no nearer to an edge than twice their shank, and none where it is narrower than that', () => {
    fc.assert(
      fc.property(wood, fc.integer({ min: 0, max: 20 }), fc.constantFrom(5, 10, 20, 40, 50), (of, less, kg) => {
        const rail = railOf(of, mm(less));
        const fixing = hangerFixing(rail, kg, 'mm');
        const shank = HOLES[kg <= 5 ? '#4' : kg <= 20 ? '#6' : '#8'].shank;
        if (!fixing) {
          expect(toMm(rail.solid)).toBeLessThan(2 * EDGE(shank));
          return;
        }
        expect(fixing.insets / 640).toBeGreaterThanOrEqual(EDGE(shank) - NEAR);
        expect(fixing.insets / 640).toBeLessThanOrEqual(toMm(rail.solid) - EDGE(shank) + NEAR);
        if (fixing.hole) {
          expect(HANGER_SCREWS.mm).toContain(fixing.hole.length);
          expect(toMm(fixing.hole.stop)).toBeLessThanOrEqual(toMm(rail.depth) - 3);
        }
      }),
      { seed: 7, numRuns: 2000 },
    );
  });

  it.each([
    ['one that is wide', 12, 'points', 10, 10],
    ['a thin one', 7.9, 'points by hand', undefined, undefined],
    ['at its limit', 8, 'points', undefined, undefined],
    ['one of nine', 9, 'points', undefined, 8],
    ['one of eleven', 11, 'points', 10, 10],
    ['hardly any', 4.9, 'refused', undefined, undefined],
  ] as const)('%s takes points, a brace and bumpers as wide as it bears', (_, solid, hold, brace, bumper) => {
    const rail = { solid: mm(solid), face: mm(20), depth: mm(20) };
    expect(holdOf(rail)).toBe(hold);
    expect(braceOn(rail)?.width).toBe(brace && mm(brace));
    expect(bumperOn(rail)).toBe(bumper && mm(bumper));
  });
});

describe('what was seen go wrong', () => {
  const worked = (over: Partial<Design>): Has => hasOf({ ...exampleDesign(), ...over })!;
  const lines = (has: Has, step: string) =>
    instructionsFor(has)
      .find((one) => one.step === step)!
      .lines.map((line) => sayLine(line, 'mm'));

  const given = (faceWidth: Length, rabbetWidth: Length) => ({
    moulding: {
      given: {
        ...WOOD,
        faceWidth,
        rabbetWidth,
        rabbetDepth: inches(0, 3, 4),
        height: inches(1, 1, 8),
        material: 'wood' as const,
      },
    },
    allowance: inches(0, 1, 8),
  });

  it('beside a widened rabbet rings go into the wood that is left, braces and points only where it bears them (B1)', () => {
    const has = worked({
      mats: [],
      build: 'bare',
      piece: { ...exampleDesign().piece, width: inches(13, 1, 2), height: inches(17, 3, 4) },
      frame: { ...given(inches(1, 3, 8), inches(0, 3, 8)), outside: { w: inches(14, 1, 4), h: inches(18, 1, 2) } },
    });
    const solid = Math.min(has.worked.rails!.side.solid, has.worked.rails!.cross.solid);
    expect(solid).toBeLessThan(inches(0, 3, 8));
    expect(marksOf(has).filter(({ item }) => item === 'ring' || item === 'corner brace')).toEqual([]);
    expect(has.worked.cautions.map(({ code }) => code)).toContain('hanger-no-wood');
    // Seven millimetres: pushed in by hand.
    expect(has.holding).toBe('points by hand');
  });

  it('in a six-sided frame rings lie on its rails, not on those of its box (B2)', () => {
    const has = worked({
      build: 'mirror',
      mats: [],
      piece: { ...exampleDesign().piece, width: inches(14), height: inches(14) },
      frame: { ...given(inches(1, 1, 4), inches(0, 1, 4)), sides: 6 },
    });
    const [left, right] = marksOf(has).filter(({ item }) => item === 'ring');
    const { outside: box, frames } = has.worked.sizes;
    const [from, to] = crossing(polygonOutline(apothemOf(frames.at(-1)!), 6), toMm(left!.y))!;
    expect(toMm(left!.x)).toBeGreaterThan(from + 10);
    expect(toMm(right!.x)).toBeLessThan(to - 10);
    expect(right!.x - left!.x).toBe(has.hanging!.span);
    expect(has.hanging!.span).toBeLessThan(box!.w - inches(2));
  });

  it('screws of a floater go through its blocks, one each, evenly (B7)', () => {
    const has = worked({
      build: 'floater',
      mats: [],
      piece: {
        ...exampleDesign().piece,
        kind: 'canvas',
        width: inches(30),
        height: inches(48),
        thickness: inches(0, 3, 4),
      },
      own: { floor: inches(0, 3, 8), bar: inches(0, 3, 4), innerDepth: inches(1, 1, 2) },
    });
    const at = (item: string) => marksOf(has).filter((mark) => mark.item === item);
    expect(at('screw').map(({ x, y }) => [x, y])).toEqual(at('riser block').map(({ x, y }) => [x, y]));
    // 30 in: two a side, 48 in: three.
    expect(at('screw')).toHaveLength(10);
    expect(has.count('screw')).toBe(10);
  });

  it('a keyed canvas has one width of hole, in step, list and map (A2)', () => {
    const has = worked({
      build: 'floater',
      mats: [],
      piece: { ...exampleDesign().piece, kind: 'canvas', keyed: true, thickness: inches(0, 3, 4) },
      own: { floor: inches(0, 3, 8), bar: inches(0, 3, 4), innerDepth: inches(1, 1, 2) },
    });
    const mount = instructionsFor(has).find(({ step }) => step === 'mount')!;
    const said = mount.lines.map((line) => sayLine(line, 'mm')).join(' ');
    expect(said.match(/hole \S+ mm/g)).toEqual(['hole 13 mm']);
    expect(said).toContain('washers over the wide holes, so the keys can still be driven');
    const holes = markingMap(has).marks.flatMap(({ item, drill }) => (item === 'screw' ? [drill!.clearance] : []));
    expect(new Set(holes)).toEqual(new Set([length(3.5 * 320 + inches(0, 3, 8))]));
  });

  it('a tray has wedges for its base and for its lip, neither through its wood (C2)', () => {
    const has = worked({
      build: 'tray',
      mats: [],
      piece: { ...exampleDesign().piece, kind: 'panel', width: mm(760), height: mm(510), thickness: mm(18) },
      own: { showBorder: mm(65), lip: mm(12), baseThickness: mm(12) },
    });
    const wedges = has.worked.hardware.filter(({ item }) => item === 'wedge');
    expect(wedges.map(({ joint, size }) => [joint, toMm(size!)])).toEqual([
      ['base', 7],
      ['lip', expect.any(Number)],
    ]);
    for (const { joint, size } of wedges)
      expect(3 * size!).toBeLessThanOrEqual(2 * (joint === 'base' ? mm(12) : inches(1)));
  });

  it('a wall of an eighth of an inch gets neither wedges nor rings (C2)', () => {
    const has = worked({
      build: 'floater',
      mats: [],
      piece: { ...exampleDesign().piece, kind: 'canvas', thickness: inches(0, 3, 4) },
      own: { wall: inches(0, 1, 8), innerDepth: inches(1) },
    });
    expect(has.worked.hardware.map(({ item }) => item)).not.toEqual(expect.arrayContaining(['wedge']));
    expect(has.count('ring')).toBe(0);
    expect(has.count('spline')).toBe(4);
    expect(has.worked.cautions.map(({ code }) => code)).toContain('hanger-no-wood');
  });

  it('a package that stands proud has clips with their screws, and no points (B11)', () => {
    const has = worked({
      frame: {
        ...given(inches(1, 1, 4), inches(0, 1, 4)),
        moulding: {
          given: {
            ...WOOD,
            faceWidth: inches(1, 1, 4),
            rabbetWidth: inches(0, 1, 4),
            rabbetDepth: mm(6),
            height: inches(1),
            material: 'wood',
          },
        },
      },
    });
    expect(has.worked.stack.room).toBeLessThan(0);
    expect(has.count('flexible point')).toBe(0);
    expect(has.count('clip screw')).toBe(has.count('offset clip'));
    expect(has.count('offset clip')).toBeGreaterThan(0);
    // What is told is how far it stands out, as a plain length.
    expect(lines(has, 'fit').join(' ')).toMatch(/It stands \d[^ ]* mm proud of the rabbet/);
  });

  it('a float keeps the gap that is usual where none was typed (A1)', () => {
    const has = worked({ build: 'float', window: { overlap: mm(3) } });
    expect(lines(has, 'mount').join(' ')).toContain('It floats in the window, 6.5− mm free all round.');
  });

  it('a piece is as thick in its first line as its build was told (A4)', () => {
    const has = worked({
      build: 'floater',
      mats: [],
      piece: { ...exampleDesign().piece, kind: 'metal-print', thickness: mm(18) },
      own: { pieceDepth: mm(2), strainer: true, innerDepth: mm(40) },
    });
    const all = instructionsFor(has).flatMap((step) => step.lines.map((line) => sayLine(line, 'mm')));
    expect(all.filter((one) => one.includes('18 mm thick'))).toEqual([]);
    expect(all[0]).toContain('2 mm thick');
  });

  it('what a turned edge wants cut first is said first (A8)', () => {
    const mats = [{ ...exampleDesign().mats[0]!, style: 'turned' as const }];
    const said = lines(worked({ mats }), 'cut-mats');
    const at = (part: string) => said.findIndex((one) => one.includes(part));
    expect(at('first cut out')).toBeGreaterThan(0);
    expect(at('first cut out')).toBeLessThan(at('Guide:'));
  });

  it('each mat is drawn with its own window between its own borders (C3)', () => {
    const mats = [...exampleDesign().mats, { ...exampleDesign().mats[0]!, reveal: mm(6) }];
    const has = worked({ mats });
    const scene = stepScene(has, 'cut-mats')!;
    const told = scene.shapes.flatMap((shape) => (shape.kind === 'length' ? [shape.value] : []));
    const layers = has.worked.parts.flatMap((part) => (part.kind === 'flat' && part.layer ? [part] : []));
    expect(layers).toHaveLength(2);
    for (const { layer, cut } of layers) {
      const { window, border } = layer!.cut;
      for (const one of [window.w, window.h, ...Object.values(border)]) expect(told).toContain(one);
      expect(border.left + window.w + border.right).toBe(cut.w);
      expect(border.top + window.h + border.bottom).toBe(cut.h);
    }
    // The windows differ, and each is once as wide as its figure says.
    const holes = scene.shapes.flatMap((shape) => (shape.kind === 'area' && shape.fill === '#ffffff' ? [shape] : []));
    const wide = (points: readonly (readonly [number, number])[]) => points[1]![0] - points[0]![0];
    expect(holes.map(({ points }) => wide(points).toFixed(3))).toEqual(
      layers.map(({ layer }) => toMm(layer!.cut.window.w).toFixed(3)),
    );
  });

  it('of a turned edge the cut-out is drawn within the fold, with its figures (A8)', () => {
    const mats = [{ ...exampleDesign().mats[0]!, style: 'turned' as const }];
    const has = worked({ mats });
    const { turned, cut } = has.worked.sizes.matted!.layers[0]!;
    const scene = stepScene(has, 'cut-mats')!;
    const told = scene.shapes.flatMap((shape) => (shape.kind === 'length' ? [shape] : []));
    const big = told.flatMap(({ tone, value }) => (tone === 'next' ? [value] : []));
    expect(big).toEqual([turned!.cutOut.w, turned!.cutOut.h]);
    expect(told.map(({ value }) => value)).toEqual(expect.arrayContaining([cut.window.w, cut.window.h]));
  });

  it('a pastel, which is never turned over, has its back done upright (A9)', () => {
    const has = worked({ piece: { ...exampleDesign().piece, kind: 'pastel' } });
    expect(lines(has, 'back-and-hang')[0]).toMatch(/^Stand it upright for the back/);
    expect(lines(worked({}), 'back-and-hang').join()).not.toContain('upright');
  });

  it('acrylic is not cleaned as glass (A10)', () => {
    const acrylic = [...CONTEXT.catalogue.glazings.values()].find(({ type }) => type === 'acrylic')!;
    const said = lines(worked({ glazing: { code: acrylic.code } }), 'fit').join(' ');
    expect(said).toContain('acrylic cleaner');
    expect(said).not.toMatch(/[Gg]lass/);
  });

  it('a dust cover is cut to a sixteenth below (R80)', () => {
    const cover = worked({}).worked.parts.find(
      ({ kind, ...of }) => kind === 'flat' && 'part' in of && of.part === 'dust cover',
    );
    const { cut, exact } = cover as { cut: { w: number; h: number }; exact: { w: number; h: number } };
    for (const side of ['w', 'h'] as const) {
      expect(cut[side] % inches(0, 1, 16)).toBe(0);
      expect(exact[side] - cut[side]).toBeGreaterThanOrEqual(0);
      expect(exact[side] - cut[side]).toBeLessThan(inches(0, 1, 16));
    }
  });

  it('a six-sided frame is drawn with six corners, and what shares a place has one label (C10)', () => {
    const six = markingMap(
      worked({
        build: 'mirror',
        mats: [],
        piece: { ...exampleDesign().piece, width: inches(14), height: inches(14) },
        frame: { ...given(inches(1, 1, 4), inches(0, 1, 4)), sides: 6 },
      }),
    );
    expect(six.outline).toHaveLength(6);
    expect(mapScene(six).shapes[0]).toMatchObject({ kind: 'area', points: six.outline });
    const floater = markingMap(
      worked({
        build: 'floater',
        mats: [],
        piece: { ...exampleDesign().piece, kind: 'canvas', thickness: inches(0, 3, 4) },
        own: { floor: inches(0, 3, 8), bar: inches(0, 3, 4), innerDepth: inches(1, 1, 2) },
      }),
    );
    const labels = labelled(floater.marks);
    expect(labels.length).toBeLessThan(floater.marks.length);
    expect(labels.flatMap(({ text }) => text.split('·'))).toHaveLength(floater.marks.length);
  });

  it('between two panes in metal nothing is pinned into the wall: springs hold it (O8)', () => {
    const has = worked({
      build: 'glass-sandwich',
      mats: [],
      frame: {
        allowance: mm(2),
        moulding: {
          given: {
            ...WOOD,
            material: 'metal',
            faceWidth: mm(10),
            rabbetWidth: mm(6),
            rabbetDepth: mm(20),
            height: mm(30),
          },
        },
      },
    });
    expect([has.count('pin'), has.count('spring clip') > 0]).toEqual([0, true]);
  });
});
