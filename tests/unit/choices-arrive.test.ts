/** Choices that were made at the desk and reached neither price nor parts: boards of a box, thin wood, a neck. */
import { describe, expect, it } from 'vitest';
import { type Design, newDesign } from '@/core/design/design';
import { freeze, resolve } from '@/core/design/resolve';
import { withBuild } from '@/core/design/with-build';
import { insertOutline, templatesOf } from '@/core/drawing/template';
import { Has } from '@/core/instructions/has';
import { instructionsOf } from '@/core/instructions/instructions';
import { checkPointsOf } from '@/core/instructions/points';
import { defaultSettings } from '@/core/settings';
import { inches, mm, size, toMm } from '@/core/units/length';
import { workOut } from '@/core/work-out';
import { sayLine } from '@/words/instructions';
import { catalogue, exampleDesign, inch, prices, shop } from '../shop';

const context = shop('in');
const done = (design: Design) => {
  const result = workOut(design, context);
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
};
const HOUSE = { mat: 'A1', moulding: 'M1', glazing: 'G1', backing: 'B1', boxBoard: 'B2' };
const settings = defaultSettings('in');
const box = () => {
  const design = withBuild(exampleDesign(), 'shadow-box', settings, HOUSE);
  return { ...design, frame: { ...design.frame, moulding: { code: 'M2' } }, own: { objectDepth: inches(0, 1, 4) } };
};
const amount = (design: Design, key: string) => done(design).price!.lines.find((line) => line.key === key)?.amount ?? 0;
const said = (design: Design) =>
  instructionsOf(done(design), context.settings).flatMap(({ lines }) => lines.map((one) => sayLine(one, 'in')));

describe('a shadow box', () => {
  it('starts on the shop’s board for boxes, which is charged with the backing and leaves with the build', () => {
    const design = box();
    expect(design.mountBoard).toEqual({ code: 'B2' });
    expect(amount(design, 'backing')).toBeGreaterThan(
      amount({ ...design, mountBoard: undefined } as Design, 'backing'),
    );
    const chosen = { ...exampleDesign(), mountBoard: { code: 'A3' } };
    expect(withBuild(chosen, 'shadow-box', settings, HOUSE).mountBoard).toEqual({ code: 'A3' });
    const { boxBoard: _none, ...without } = HOUSE;
    expect(withBuild(exampleDesign(), 'shadow-box', settings, without).mountBoard).toBeUndefined();
  });

  it('charges the board on its sides by the area of the strips, and names it on them', () => {
    const plain = box();
    const covered = { ...plain, sideBoard: { code: 'A3' } };
    // It begins with the shop's usual mat.
    expect(plain.sideBoard).toEqual({ code: HOUSE.mat });
    expect(amount({ ...plain, sideBoard: undefined } as Design, 'sides')).toBe(0);
    const strips = done(covered).parts.filter((part) => part.kind === 'strip');
    expect(strips.map(({ name }) => name)).toEqual(Array(2).fill('Side strip, Pulp on Foam 3'));
    const { cost } = catalogue.mats.get('A3')!;
    // Two of each length, in square feet, at cost times markup; each strip is rounded to the cent by itself.
    const each = strips.map(
      ({ length, height }) =>
        (((toMm(length!) / 304.8) * toMm(height!)) / 304.8) *
        Number(cost!.amount) *
        Number(prices.groups.mat.markup) *
        100,
    );
    expect(amount(covered, 'sides')).toBe(each.reduce((sum, cents) => sum + 2 * Math.round(cents), 0));
    expect(said(covered).join('\n')).toContain('Side strip, Pulp on Foam 3');
  });

  it('keeps that board as it was when it is agreed', () => {
    const found = resolve({ ...box(), sideBoard: { code: 'A3' } }, catalogue);
    if (!found.ok) throw new Error('not found');
    const held = freeze(found.value, prices.groups);
    expect(held.sideBoard).toMatchObject({ given: { name: 'Pulp', price: { markup: prices.groups.mat.markup } } });
    expect(resolve({ ...box(), sideBoard: { code: 'GONE' } }, catalogue)).toMatchObject({
      ok: false,
      issues: [{ code: 'material-unknown', path: 'sideBoard', figures: { code: 'GONE' } }],
    });
  });

  it('loses it when it is built another way', () => {
    const back = withBuild({ ...box(), sideBoard: { code: 'A3' } }, 'window-mat', settings, HOUSE);
    expect([back.sideBoard, back.mountBoard]).toEqual([undefined, undefined]);
    const own = withBuild({ ...box(), mountBoard: { code: 'A3' } }, 'window-mat', settings, HOUSE);
    expect(own.mountBoard).toEqual({ code: 'A3' });
  });
});

describe('wood that is left thin', () => {
  // Package 16 3/4 × 20 3/4 with 1/8 wants 16 7/8 × 20 7/8; a face of 1 1/4 with a lip of 1/4 leaves 1 in less what is widened.
  const matched = (less: string): Design => {
    const all = inch(less);
    return exampleDesign({
      frame: {
        moulding: { code: 'M1' },
        allowance: inch('1/8'),
        outside: { w: inches(18, 7, 8) - 2 * all, h: inches(22, 7, 8) - 2 * all } as Design['frame']['outside'],
      },
    });
  };
  const count = (design: Design, item: string) => done(design).hardware.find((one) => one.item === item)?.count ?? 0;

  it('takes wedges and points down to 8 mm, points by hand below; braces only where a plate lies on it', () => {
    const strong = matched('5/8');
    expect([count(strong, 'wedge') > 0, count(strong, 'flexible point') > 0, count(strong, 'corner brace')]).toEqual([
      true,
      true,
      0,
    ]);
    // 1 in less 11/16: 5/16 in, which is 7.9 mm.
    const thin = matched('11/16');
    expect([count(thin, 'wedge'), count(thin, 'corner brace'), count(thin, 'spline')]).toEqual([0, 0, 4]);
    expect(count(thin, 'flexible point')).toBe(count(strong, 'flexible point'));
    expect(said(thin).join('\n')).toContain('pushed in by hand with the rail held against it');
    expect(said(thin).join('\n')).toContain('too narrow for wedges');
    expect(said(strong).join('\n')).not.toContain('by hand');
  });
});

describe('the neck of a garment', () => {
  const insert = size(mm(500), mm(640));
  it('is half an ellipse from the middle of the top', () => {
    const outline = insertOutline(insert, mm(160), mm(70));
    const neck = outline.filter(([x, y]) => x > 0 && x < 500 && y < 640);
    expect(neck.at(0)).toEqual([170, 0]);
    expect(neck.at(-1)![0]).toBeCloseTo(330, 9);
    expect(Math.max(...neck.map(([, y]) => y))).toBeCloseTo(70, 9);
    for (const [x, y] of neck) expect(((x - 250) / 80) ** 2 + (y / 70) ** 2).toBeCloseTo(1, 9);
  });

  it('is left out while a measure is missing, or larger than the board', () => {
    for (const [w, h] of [
      [undefined, mm(70)],
      [mm(160), undefined],
      [mm(500), mm(70)],
      [mm(160), mm(640)],
    ] as const)
      expect(insertOutline(insert, w, h)).toHaveLength(4);
    expect(templatesOf({ insert, neckWidth: mm(160), neckDepth: mm(70) })[0]!.scene.shapes[0]).toMatchObject({
      kind: 'area',
      points: insertOutline(insert, mm(160), mm(70)),
    });
  });
});

describe('what is said of a back and of metal', () => {
  const has = (design: Design) => new Has(done(design), context.settings);
  const own = (build: Design['build'], over: Partial<Design> = {}): Design => ({
    ...withBuild(exampleDesign(), build, settings, HOUSE),
    ...over,
  });
  it('is checked as sealed only where something covers or tapes it', () => {
    const checked = (design: Design) => checkPointsOf(has(design)).includes('back-sealed');
    expect(checked(exampleDesign())).toBe(true);
    expect(checked({ ...exampleDesign(), practice: { back: 'tape only' } })).toBe(true);
    for (const build of ['wrapped-canvas', 'glass-sandwich', 'metal-sections'] as const)
      expect([build, checked(own(build))]).toEqual([build, false]);
    expect(checked(own('floater', { own: { innerDepth: inches(1, 3, 4), pieceDepth: inches(1) } }))).toBe(false);
  });

  it('lists the pairs of a metal frame at the step that cuts them, and hangers that slide into its channel', () => {
    const text = said(own('metal-sections')).join('\n');
    expect(text).toMatch(/^Channel hangers /m);
    expect(text).not.toContain('D-rings');
    const step = instructionsOf(done(own('metal-sections')), context.settings).find((one) => one.step === 'cut-strips');
    expect(step!.lines.map(({ big }) => big?.[0]!.value)).toEqual([inches(16, 3, 4), inches(20, 3, 4)]);
  });
});

describe('what it hangs by', () => {
  it('says which hangers, and what runs between them', () => {
    const plain = newDesign(settings, HOUSE, inches(12), inches(16));
    const usual = said(plain).join('\n');
    expect(usual).toMatch(/^D-rings /m);
    expect(usual).toMatch(/^Wire, slack/m);
    const other = said({ ...plain, hanging: { ...plain.hanging, fitting: 'screw eye', line: 'chain' } }).join('\n');
    expect(other).toMatch(/^Screw eyes /m);
    expect(other).toMatch(/^Chain, slack/m);
    expect(other).not.toMatch(/^Wire, slack/m);
  });
});
