/** What a piece is and how it is built go together; a kind that somebody chose never changes by itself. */
import { describe, expect, it } from 'vitest';
import { BUILDS, BUILD_CODES } from '@/core/builds';
import { PIECE_KINDS } from '@/core/design/choices';
import type { Design } from '@/core/design/design';
import { apply } from '@/core/design/edit';
import { withBuild, withKind } from '@/core/design/with-build';
import { defaultSettings } from '@/core/settings';
import { inches } from '@/core/units/length';
import { workOut } from '@/core/work-out';
import { exampleDesign, shop } from '../shop';

const SETTINGS = defaultSettings('in');
const HOUSE = { mat: 'A1', moulding: 'M1', glazing: 'G1', backing: 'B1', boxBoard: 'B2' };
const to = (design: Design, build: Design['build']) => withBuild(design, build, SETTINGS, HOUSE);
const of = (kind: Design['piece']['kind']) => withKind(exampleDesign(), kind);
const done = (design: Design) => {
  const result = workOut(design, shop('in'));
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
};
const cautionsOf = (design: Design) => done(design).cautions.map(({ code }) => code);

describe('a print on metal', () => {
  it.each([
    ['kind first', () => to(of('metal-print'), 'floater')],
    ['build first', () => withKind(to(exampleDesign(), 'floater'), 'metal-print')],
  ] as const)('in a floater lies on a strainer, and nothing is driven into it: %s (C1)', (_order, make) => {
    const design = make();
    expect(design.piece.kind).toBe('metal-print');
    expect(design.own).toMatchObject({ strainer: true });
    const deep = { ...design, own: { ...design.own, innerDepth: inches(1, 1, 2), pieceDepth: inches(0, 1, 8) } };
    expect(done(deep).hardware.filter(({ item }) => item === 'screw')).toEqual([]);
    expect(done(deep).parts.map((part) => (part.kind === 'leg' ? part.kind : part.part))).toContain('strainer');
  });

  it('takes its strainer along when it was no print on metal after all; one that was chosen stays', () => {
    const there = to(of('metal-print'), 'floater');
    expect(withKind(there, 'canvas').own).not.toHaveProperty('strainer');
    const chosen = { ...to(of('panel'), 'floater'), own: { strainer: true } };
    expect(withKind(chosen, 'canvas').own).toEqual({ strainer: true });
  });

  it('without its strainer would have screws: the case above can fail', () => {
    const plain = to(of('canvas'), 'floater');
    const deep = { ...plain, own: { innerDepth: inches(1, 1, 2), pieceDepth: inches(0, 3, 4) } };
    expect(done(deep).parts.map((part) => (part.kind === 'leg' ? part.kind : part.part))).not.toContain('strainer');
    expect(done(deep).hardware.find(({ item }) => item === 'screw')!.count).toBeGreaterThan(3);
  });
});

describe('a kind', () => {
  it('that was chosen stays, whatever the build; one that a build began with goes with it', () => {
    for (const build of BUILD_CODES)
      for (const kind of PIECE_KINDS.filter((one) => one !== 'print'))
        expect([build, to(of(kind), build).piece.kind]).toEqual([build, kind]);
    for (const build of BUILD_CODES) {
      const there = to(exampleDesign(), build);
      expect(there.piece.kind).toBe(BUILDS[build].usualPiece?.kind ?? 'print');
      expect(to(there, 'window-mat').piece.kind).toBe('print');
    }
  });

  it('keeps the thickness that was measured', () => {
    const measured = { ...of('canvas'), piece: { ...of('canvas').piece, thickness: inches(0, 5, 8) } };
    expect(to(measured, 'floater').piece.thickness).toBe(inches(0, 5, 8));
    expect(to(of('canvas'), 'floater').piece.thickness).toBe(inches(0, 3, 4));
  });

  it.each([
    ['canvas', 'floater'],
    ['garment', 'garment'],

    ['object', 'shadow-box'],
  ] as const)('%s under a window mat is warned of, with the way out (B15)', (kind, build) => {
    // Of a moulding that is deep enough for it: a way out that could not be built is none.
    const design = { ...of(kind), frame: { ...of(kind).frame, moulding: { code: 'M2' } } };
    expect(cautionsOf(design)).toContain('kind-not-flat');
    expect(cautionsOf(of('print'))).not.toContain('kind-not-flat');
    // A box is not as deep as was measured yet: there the sentence stands alone.
    if (kind === 'object') return;
    const [way] = done(design).cautions.find(({ code }) => code === 'kind-not-flat')!.waysOut;
    const after = apply(design, way!.edit);
    expect([after.build, after.piece.kind]).toEqual([build, kind]);
    expect(cautionsOf(after)).not.toContain('kind-not-flat');
  });
});
