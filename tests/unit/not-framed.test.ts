/** What is supplied without a frame, or to be put together elsewhere: measured, counted and described as what it is. */
import { describe, expect, it } from 'vitest';
import { BUILDS, BUILD_CODES } from '@/core/builds';
import type { Design } from '@/core/design/design';
import { withBuild } from '@/core/design/with-build';
import { Has } from '@/core/instructions/has';
import { instructionsOf } from '@/core/instructions/instructions';
import { checkPointsOf } from '@/core/instructions/points';
import { defaultSettings } from '@/core/settings';
import { type WorkedOut, workOut } from '@/core/work-out';
import { sayLine } from '@/words/instructions';
import { exampleDesign, moulding, shop } from '../shop';

const context = shop('in');
const done = (over: Partial<Design> = {}): WorkedOut => {
  const result = workOut(exampleDesign(over), context);
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
};
const said = (worked: WorkedOut, step: string) =>
  instructionsOf(worked, defaultSettings('in'))
    .find((one) => one.step === step)!
    .lines.map((line) => sayLine(line, 'in'));
const counted = (worked: WorkedOut) => Object.fromEntries(worked.hardware.map(({ item, count }) => [item, count]));
const partsOf = (worked: WorkedOut) => worked.parts.map((part) => (part.kind === 'leg' ? part.kind : part.part));

describe('a piece mounted, in a sleeve', () => {
  it('has no outside but its mat’s, its hinges counted, and a sleeve of its size (A5, C5)', () => {
    const worked = done({ scope: 'mounted and bagged' });
    expect(worked.sizes.outside).toBeUndefined();
    expect(worked.sizes.frames).toEqual([]);
    expect(counted(worked)).toEqual({ hinge: 2, sleeve: 1 });
    expect(partsOf(worked)).toEqual(['mat', 'backing']);
    expect(said(worked, 'pack')).toEqual(['Into a clear sleeve for 16 3/4 × 20 3/4 in, with a board behind it.']);
  });

  it('of a frame that was bought whole keeps its size, and gets a board of ours instead of the frame’s own back', () => {
    const [code] = context.catalogue.readyMades.keys();
    const frame = { ...exampleDesign().frame, readyMade: { code: code! } };
    const [framed, bagged] = [done({ frame }), done({ frame, scope: 'mounted and bagged' })];
    expect(bagged.sizes.package).toEqual(framed.sizes.package);
    const boards = (worked: WorkedOut) =>
      worked.stack.layers.filter(({ part, comes }) => part === 'backing' && !comes).map(({ name }) => name);
    expect([boards(framed), boards(bagged)]).toEqual([[], ['Foam 5']]);
    expect(bagged.price!.lines.some(({ key }) => key === 'backing')).toBe(true);
    expect(bagged.price!.lines.some(({ key }) => key === 'ready-made')).toBe(false);
  });
});

describe('any build without its frame', () => {
  const HOUSE = { mat: 'A1', moulding: 'M1', glazing: 'G1', backing: 'B1', boxBoard: 'B2' };
  const metal = { given: moulding({ material: 'metal' }) };
  /** What a piece is held by on its own board, and what it is put into. */
  const OF_THE_PIECE = /^(hinge|tape hinge|staple|pin|corner pocket|edge strip|pad|lacing|key|safety film|sleeve)$/;
  const BOARDS =
    /^(mat|hidden spacer|mount board|backing|insert|insert board|lift board|cloth|filler|backing patch|stretcher bar)$/;
  it.each(
    BUILD_CODES.filter((build) => !BUILDS[build].keepsFrame).flatMap((build) =>
      (['mounted and bagged', 'part only'] as const).flatMap((scope) =>
        (['wood', 'metal'] as const).map((of) => [build, scope, of] as const),
      ),
    ),
  )('%s, %s, its frame of %s: nothing of the frame is cut, counted or charged', (build, scope, of) => {
    const begun = withBuild(exampleDesign(), build, defaultSettings('in'), HOUSE);
    const frame = of === 'metal' ? { ...begun.frame, moulding: metal } : begun.frame;
    const result = workOut({ ...begun, scope, frame }, context);
    // Metal sections are of metal, and a tray is not: what cannot be built is refused before.
    if (!result.ok) return expect(result.issues.map(({ code }) => code)).not.toEqual([]);
    const worked = result.value;
    expect(worked.hardware.map(({ item }) => item).filter((item) => !OF_THE_PIECE.test(item))).toEqual([]);
    // Pins hold a garment to its board; elsewhere they go into the frame.
    if (build !== 'garment') expect(counted(worked)).not.toHaveProperty('pin');
    expect(partsOf(worked).filter((part) => !BOARDS.test(part))).toEqual([]);
    const charged = worked.price!.lines.map(({ code }) => code);
    for (const code of ['moulding', 'liner', 'corners', 'ready-made', 'hardware', 'glazing'])
      expect(charged).not.toContain(code);
  });
});

describe('a part only', () => {
  it('has nothing that mounts or hangs it', () => {
    const worked = done({ scope: 'part only' });
    expect([counted(worked), partsOf(worked)]).toEqual([{}, ['mat']]);
  });
});

describe('a kit', () => {
  it('has all that closes and hangs it, and a box as deep as its frame with room all round', () => {
    const [kit, whole] = [done({ scope: 'kit' }), done()];
    expect(counted(kit)).toEqual(counted(whole));
    expect(counted(kit)).toMatchObject({ 'flexible point': 22, wedge: 8, ring: 2, 'hanger screw': 2, bumper: 2 });
    expect(partsOf(kit)).toEqual(partsOf(whole));
    expect(partsOf(kit)).toContain('dust cover');
    expect(kit.route.map(({ step }) => step)).not.toContain('fit');
    // What the customer closes is not looked at here, as if it were closed.
    const points = (worked: WorkedOut) => checkPointsOf(new Has(worked, defaultSettings('in')));
    expect(points(whole)).toContain('back-sealed');
    expect(points(kit)).not.toContain('back-sealed');
    // The cover goes into the packet as it is cut; in a frame that is closed here it is cut where it is closed.
    const lines = (worked: WorkedOut, step: string) =>
      instructionsOf(worked, defaultSettings('in')).find((one) => one.step === step)?.lines ?? [];
    const covers = (worked: WorkedOut) =>
      worked.route.flatMap(({ step }) =>
        lines(worked, step).flatMap(({ code }) => (code === 'dust-cover' ? [step] : [])),
      );
    expect([covers(kit), covers(whole)]).toEqual([['pack'], ['back-and-hang']]);
    const { padding } = defaultSettings('in');
    const deep = kit.sizes.frames.at(-1)!.moulding.height + 2 * padding;
    const box = instructionsOf(kit, defaultSettings('in'))
      .flatMap(({ lines }) => lines)
      .find(({ code }) => code === 'box')!;
    expect(box.figures.deep).toBe(deep);
  });
});
