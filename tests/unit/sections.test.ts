/** Frames of metal sections: what they are bought by, and what is never done to them. Source: handbook, builds 12; R75. */
import { describe, expect, it } from 'vitest';
import { stockedPair } from '@/core/builds/sections';
import type { Design } from '@/core/design/design';
import { apply } from '@/core/design/edit';
import { defaultSettings } from '@/core/settings';
import { inches, length, mm, toMm } from '@/core/units/length';
import { exampleDesign, inch, prices } from '../shop';
import { codes, done, item, parts, piece, refusals, stocked } from '../stocked-sums';

const sized = (w: number, h: number) => piece({ width: mm(w), height: mm(h) });
const bare = (over: Partial<Design>) => exampleDesign({ build: 'bare', mats: [], piece: sized(500, 300), ...over });

describe('metal sections', () => {
  const metal = (over: Partial<Design> = {}) =>
    exampleDesign({ build: 'metal-sections', frame: { moulding: { code: 'RAIL' }, allowance: inch('1/16') }, ...over });

  it('take no other moulding, and say which would do', () => {
    const wood = metal({ frame: { moulding: { code: 'M1' }, allowance: inch('1/16') } });
    const caution = done(wood).cautions.find((one) => one.code === 'not-metal')!;
    expect(caution.level).toBe('refuse');
    expect(codes(done(apply(wood, caution.waysOut[0]!.edit)), 'refuse')).toEqual([]);
    expect(refusals(metal())).toEqual([]);
  });

  it('are bought by pairs and screwed: no leg, no mitre, no glue, no wedge, no brace', () => {
    const worked = done(metal());
    expect(worked.parts.filter((one) => one.kind === 'leg')).toEqual([]);
    expect(parts(worked, 'section').map((one) => [one.count, 'length' in one && one.length])).toEqual([
      [2, inch('16 3/4')],
      [2, inch('20 3/4')],
    ]);
    expect(worked.hardware.map((one) => one.item)).not.toEqual(expect.arrayContaining(['wedge']));
    expect([item(worked, 'corner brace'), item(worked, 'flexible point')]).toEqual([undefined, undefined]);
    expect(item(worked, 'corner set')!.count).toBe(4);
    expect(worked.route.map((one) => one.step)).not.toEqual(expect.arrayContaining(['cut-legs']));
    expect(worked.route.map((one) => one.step)).not.toEqual(expect.arrayContaining(['join']));
    // The same in every other build with a metal moulding.
    const bare = done(
      exampleDesign({ build: 'bare', mats: [], frame: { moulding: { code: 'RAIL' }, allowance: inch('1/16') } }),
    );
    expect(bare.parts.filter((one) => one.kind === 'leg')).toEqual([]);
    expect(item(bare, 'wedge')).toBeUndefined();
  });

  it('cost what two pairs of the next longer stock cost, and one set of corners', () => {
    const book = { ...prices, cornerSets: 350 as never };
    const price = done(metal(), { ...stocked, prices: book }).price!;
    // 17 and 21 in pairs: 2 × 38 in = 6 1/3 ft × 4.20 × 3, each pair rounded.
    const foot = (inchesLong: number) => Math.round(((2 * inchesLong) / 12) * 4.2 * 3 * 100);
    expect(price.lines.find((one) => one.key === 'moulding')!.amount).toBe(foot(17) + foot(21));
    expect(price.lines.find((one) => one.key === 'corners')!.amount).toBe(350);
  });

  it.each([
    [inches(5), inches(5)],
    [inch('4 1/2'), inches(5)],
    [inch('16 3/4'), inches(17)],
    [inches(40), inches(40)],
    [length(inches(40) + 1), undefined],
  ])('%i is cut from %s', (side, from) => expect(stockedPair(side, defaultSettings('in'))).toBe(from));

  it('made to a rabbet or to an outside are named by the package that such a frame takes (R75)', () => {
    const to = (frame: object) =>
      parts(done(bare({ frame: { moulding: { code: 'RAIL' }, allowance: mm(5), ...frame } })), 'section').map(
        (one) => 'length' in one && toMm(one.length!),
      );
    expect(to({})).toEqual([500, 300]);
    // A rabbet of 508 × 308 mm takes a package of 503 × 303.
    expect(to({ outside: { w: mm(508), h: mm(308) }, outsideIs: 'rabbet' })).toEqual([503, 303]);
    // Its rabbet cannot be widened: a channel takes what it takes.
    const wished = { moulding: { code: 'RAIL' }, allowance: mm(5), outside: { w: mm(506), h: mm(306) } };
    expect(refusals(bare({ frame: wished }))).toContain('rabbet-widen-no');
  });

  it('of a floater and a tray go round what stands in them; the base of a tray stays wood', () => {
    const metal = { frame: { moulding: { code: 'RAIL' }, allowance: length(0) }, mats: [], piece: sized(500, 300) };
    const floats = done(exampleDesign({ ...metal, build: 'floater', own: { gap: mm(3) } as never }));
    expect(parts(floats, 'section').map((one) => 'length' in one && toMm(one.length!))).toEqual([506, 306]);
    // Border of 50 mm on each side, and 1/16 in of room.
    const own = { border: mm(50), lip: mm(12), base: mm(12) } as never;
    const tray = done(exampleDesign({ ...metal, build: 'tray', own }));
    expect(parts(tray, 'section').map((one) => 'length' in one && toMm(one.length!))).toEqual([601.6, 401.6]);
    expect(tray.parts.filter((one) => one.kind === 'leg').map((one) => 'of' in one && one.of)).toEqual(
      Array.from({ length: tray.parts.filter((one) => one.kind === 'leg').length }, () => 'base'),
    );
  });
});
