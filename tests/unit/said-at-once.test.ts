/** What does not go together is said while it is typed, with the way out where there is one. */
import { describe, expect, it } from 'vitest';
import { apply } from '@/core/design/edit';
import type { Design } from '@/core/design/design';
import { inches, mm } from '@/core/units/length';
import { exampleDesign, inch } from '../shop';
import { codes, done, floater, piece } from '../stocked-sums';

const said = (design: Design, code: string) => done(design).cautions.find((one) => one.code === code);

describe('a floater', () => {
  const own = { innerDepth: inch('1 1/2'), floor: inch('1/4'), gap: inch('1/8') };
  const of = (moulding: string, more: object = {}) =>
    floater({ ...own, ...more }, { frame: { moulding: { code: moulding }, allowance: inch('0') } });

  it('deeper than its moulding is high cannot be cut from it; one that is high enough is offered', () => {
    const low = of('M1');
    expect(said(low, 'moulding-low')).toMatchObject({
      level: 'warn',
      figures: { high: inch('1 3/4'), moulding: inch('1') },
    });
    const out = said(low, 'moulding-low')!.waysOut[0]!;
    expect(codes(done(apply(low, out.edit)))).not.toContain('moulding-low');
    // Just as high as it is deep, with its floor.
    expect(said(of('M2'), 'moulding-low')).toBeUndefined();
    expect(said(of('M2', { floor: inch('5/16') }), 'moulding-low')).toBeDefined();
  });

  it('with tape wider than its strip says so, and takes it as wide', () => {
    const wide = of('M2', { strainer: true, tape: inch('1'), riserStrip: inch('3/4') });
    const out = said(wide, 'tape-wide')!.waysOut[0]!;
    expect(said(wide, 'tape-wide')!.figures).toEqual({ wide: inch('1'), strip: inch('3/4') });
    expect(said(apply(wide, out.edit), 'tape-wide')).toBeUndefined();
    expect(said(of('M2', { strainer: true }), 'tape-wide')).toBeUndefined();
    // Without a strainer there is no tape.
    expect(said(of('M2', { tape: inch('1'), riserStrip: inch('3/4') }), 'tape-wide')).toBeUndefined();
  });
});

describe('a frame made to another’s outside', () => {
  const print = (side: string) =>
    exampleDesign({
      build: 'bare',
      mats: [],
      piece: piece({ width: inch('13 1/2'), height: inch('17 3/4') }),
      frame: { moulding: { code: 'M1' }, allowance: inch('1/8'), outside: { w: inch(side), h: inch('20 1/4') } },
    });

  it('says how much of the print its lip hides, where that is more than its rabbet would', () => {
    // 14 outside, faces of 1 1/4: 11 1/2 are seen of 13 1/2.
    expect(said(print('14'), 'lip-hides')!.figures).toEqual({ hidden: inch('1'), rabbet: inch('1/4') });
    expect(
      codes(
        done(exampleDesign({ build: 'bare', mats: [], frame: { moulding: { code: 'M1' }, allowance: inch('1/8') } })),
      ),
    ).not.toContain('lip-hides');
  });
});

describe('a garment', () => {
  const shirt = (own: object) =>
    exampleDesign({
      build: 'garment',
      piece: piece({ kind: 'garment', width: inches(24), height: inches(24), thickness: mm(6) }),
      own: own as never,
    });

  it('wider or higher than its window and what the mat covers is said', () => {
    expect(said(shirt({}), 'garment-hidden')).toBeUndefined();
    expect(said(shirt({ flatWidth: inches(33) }), 'garment-hidden')).toMatchObject({ figures: { w: inches(33) } });
    expect(said(shirt({ visibleHeight: inches(26) }), 'garment-hidden')).toMatchObject({ figures: { h: inches(26) } });
    expect(said(shirt({ flatWidth: inches(20), visibleHeight: inches(20) }), 'garment-hidden')).toBeUndefined();
  });
});
