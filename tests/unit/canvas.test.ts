/** A canvas as it is, with hangers only; and one that a conservator enlarged. */
import { describe, expect, it } from 'vitest';
import type { Design } from '@/core/design/design';
import { withBuild } from '@/core/design/with-build';
import { instructionsOf } from '@/core/instructions/instructions';
import { defaultSettings } from '@/core/settings';
import { inches, times } from '@/core/units/length';
import { type WorkedOut, workOut } from '@/core/work-out';
import { suppliedNames } from '@/server/papers/supplied';
import { sayLine } from '@/words/instructions';
import { exampleDesign, shop } from '../shop';

const context = shop();
const materials = { mat: 'A1', moulding: 'M1', glazing: 'G1', backing: 'B1' };
const plain = withBuild(exampleDesign(), 'wrapped-canvas', context.settings, materials);
const canvas = (over: Partial<Design> = {}, own: Record<string, unknown> = {}): Design => ({
  ...plain,
  piece: { ...plain.piece, width: inches(24), height: inches(36), thickness: inches(1, 1, 2) },
  ...over,
  own,
});
const works = (design: Design): WorkedOut => {
  const result = workOut(design, context);
  if (!result.ok) throw new Error(result.issues.map(({ code }) => code).join());
  return result.value;
};
const said = (worked: WorkedOut) =>
  instructionsOf(worked, defaultSettings('in')).flatMap(({ lines }) => lines.map((line) => sayLine(line, 'in')));
const keys = ({ price }: WorkedOut) => price!.lines.map(({ key }) => key);

describe('a canvas as it is', () => {
  it('has no frame: nothing cut, joined, mounted, fitted; hangers, the check and the hand-over', () => {
    const worked = works(canvas());
    expect(worked.route.map(({ step }) => step)).toEqual([
      'materials-here',
      'back-and-hang',
      'final-check',
      'hand-over',
    ]);
    expect(worked.parts).toEqual([]);
    expect(worked.sizes.outside).toEqual({ w: inches(24), h: inches(36) });
    expect(keys(worked)).toEqual(['labour', 'hardware']);
    expect(suppliedNames(worked)).toEqual([]);
  });

  it('hangs from rings in the middle of its bars, its hook a third down less the wire’s rise', () => {
    const { hanging } = works(canvas({}, { barWidth: inches(2) }));
    expect([hanging!.span, hanging!.ringDrop]).toEqual([inches(22), inches(12)]);
    expect(hanging!.hookDrop).toBe(hanging!.ringDrop - hanging!.rise);
    expect(said(works(canvas({}, { barWidth: inches(2) })))).toContain(
      'Hangers into the bars, which are 2 in wide; no screw as long as they are deep.',
    );
  });

  it('stretched here has bars by pairs, a crossbar, the canvas with its wraps, and two keys a corner (R61)', () => {
    const worked = works(canvas({}, { stretched: true }));
    const strips = worked.parts.flatMap((part) =>
      part.kind === 'strip' ? [[part.name, part.count, part.cutLength]] : [],
    );
    expect(strips).toEqual([
      ['Stretcher bars, mitred and slotted', 2, inches(24)],
      ['Stretcher bars, mitred and slotted', 2, inches(36)],
    ]);
    const [cloth] = worked.parts.filter((part) => part.kind === 'flat');
    // Bar depth 1 1/2 and 1 in more, on each side.
    expect(cloth!.exact).toEqual({ w: inches(29), h: inches(41) });
    expect(worked.hardware.find(({ item }) => item === 'key')!.count).toBe(8);
    expect(worked.route.map(({ step }) => step).slice(0, 3)).toEqual(['materials-here', 'cut-strips', 'prepare']);
    const bars = worked.price!.lines.find(({ key }) => key === 'bars')!;
    // 2 × (24 + 36) in are 10 ft, at 2.40.
    expect(bars.amount).toBe(2400);
    const large = works(canvas({ piece: { ...canvas().piece, height: inches(40, 1, 16) } }, { stretched: true }));
    const cross = large.parts.find((part) => part.kind === 'strip' && part.count === 1);
    expect(cross && 'cutLength' in cross && cross.cutLength).toBe(inches(24) - times(inches(1, 1, 2), 2));
    expect(said(large)).toContain('Crossbar in before the canvas goes on.');
    expect(said(worked)).not.toContain('Crossbar in before the canvas goes on.');
  });

  it('is refused when its bars meet in the middle', () => {
    const narrow = workOut(canvas({ piece: { ...canvas().piece, width: inches(3) } }), context);
    expect(!narrow.ok && narrow.issues.map(({ code, path }) => [code, path])).toEqual([
      ['bars-too-wide', 'own.barWidth'],
    ]);
  });

  it('that only hangs there without hangers needs no step at the bench but its check', () => {
    const { route } = works(canvas({ hanging: { rings: 'none', slack: '0.05' }, scope: 'framed, not wired' }));
    expect(route.map(({ step }) => step)).toEqual(['materials-here', 'final-check', 'hand-over']);
  });
});

describe('a canvas that was enlarged', () => {
  const enlarged = withBuild(exampleDesign(), 'open-canvas', context.settings, materials);
  const with_ = (more: number): Design => ({
    ...enlarged,
    frame: { ...enlarged.frame, moulding: { code: 'M2' } },
    piece: {
      ...enlarged.piece,
      width: inches(20),
      height: inches(24),
      carrier: { w: inches(20, more, 8), h: inches(24, more, 8) },
    },
  });

  it('is framed by what carries it; the ticket says both sizes, and no out of square', () => {
    const worked = works(with_(4));
    expect(worked.sizes.package).toEqual({ w: inches(20, 1, 2), h: inches(24, 1, 2) });
    const lines = said(worked).join(' ');
    expect(lines).toContain('20 × 24 in');
    expect(lines).toContain('Carried by 20 1/2 × 24 1/2 in');
    expect(lines).not.toMatch(/out of square/i);
  });

  it('warns when the frame shows more than is to be seen', () => {
    const codes = (design: Design) => works(design).cautions.map(({ code }) => code);
    // The rabbet hides 1/4 in a side, less half the allowance of 1/4: 1/8 a side.
    expect(codes(with_(2))).not.toContain('carrier-seen');
    expect(codes(with_(4))).toContain('carrier-seen');
  });
});
