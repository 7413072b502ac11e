/** Frames that are bought whole, and frames of a size that somebody has in mind. */
import { describe, expect, it } from 'vitest';
import type { Design } from '@/core/design/design';
import { designSchema } from '@/core/design/schema';
import { freeze, resolve } from '@/core/design/resolve';
import { instructionsOf } from '@/core/instructions/instructions';
import { defaultSettings } from '@/core/settings';
import { inches, minus, times } from '@/core/units/length';
import { type WorkedOut, workOut } from '@/core/work-out';
import { suppliedNames } from '@/server/papers/supplied';
import { sayLine } from '@/words/instructions';
import { catalogue, exampleDesign, prices, shop } from '../shop';

const context = shop();
const example = exampleDesign();
const within = (frame: Partial<Design['frame']>, over: Partial<Design> = {}): Design => ({
  ...example,
  ...over,
  frame: { ...example.frame, ...frame },
});
const works = (design: Design): WorkedOut => {
  const result = workOut(design, context);
  if (!result.ok) throw new Error(result.issues.map(({ code, path }) => `${code} ${path}`).join());
  return result.value;
};
const refused = ({ cautions }: WorkedOut) => cautions.filter(({ level }) => level === 'refuse').map(({ code }) => code);
const bought = within({ readyMade: { code: 'R1' } });

describe('a frame bought whole', () => {
  it('has its mat cut to its size, its window where the piece wants it', () => {
    const { sizes } = works(bought);
    expect(sizes.package).toEqual({ w: inches(16), h: inches(20) });
    expect(sizes.opening).toEqual(works(example).sizes.opening);
    const { left, right, top, bottom } = sizes.border!;
    expect([left + right + sizes.opening!.w, top + bottom + sizes.opening!.h]).toEqual([inches(16), inches(20)]);
    expect(refused(works(bought))).toEqual([]);
  });

  it('is neither cut nor joined nor wedged, and its glass and back are not cut either', () => {
    const { parts, route, hardware, stack } = works(bought);
    expect(parts.map((part) => (part.kind === 'leg' ? 'leg' : part.part))).toEqual(['mat']);
    expect(route.map(({ step }) => step)).toEqual([
      'materials-here',
      'cut-mats',
      'mount',
      'fit',
      'back-and-hang',
      'final-check',
      'hand-over',
    ]);
    expect(hardware.map(({ item }) => item)).not.toContain('wedge');
    expect(stack.layers.map(({ part, name }) => [part, name])).toContainEqual(['glazing', 'its own glass']);
  });

  it('costs what it costs: no moulding, no glass, no back besides', () => {
    const { lines, missing } = works(bought).price!;
    expect(lines.filter(({ key }) => key !== 'labour').map(({ key, amount }) => [key, amount])).toEqual([
      ['ready-made', 3800],
      ['mats', works(bought).price!.lines.find(({ key }) => key === 'mats')!.amount],
      ['hardware', 600],
    ]);
    expect(missing).toEqual([]);
    const any = works(within({ readyMade: { size: { w: inches(16), h: inches(20) }, price: 2150 } }));
    expect(any.price!.lines[0]).toMatchObject({ key: 'ready-made', amount: 2150 });
  });

  it('is taken from the shelf at the bench, closed by its own tabs, and named on the order paper', () => {
    const said = instructionsOf(works(bought), defaultSettings('in')).flatMap(({ lines }) =>
      lines.map((line) => sayLine(line, 'in')),
    );
    expect(said).toContain('Ready-made 16 × 20 (R1), for 16 × 20 in; its glass and back come with it.');
    expect(said).toContain('Its own tabs close it: turn them down all round.');
    expect(said.join(' ')).not.toMatch(/flexible points|wedge|Mitre/);
    expect(suppliedNames(works(bought))[0]).toBe('Ready-made 16 × 20');
  });

  it('is refused for a piece that is larger than it, and round what has no rabbet', () => {
    const bare = (width: number, height: number) =>
      workOut(
        within(
          { readyMade: { code: 'R1' } },
          { mats: [], build: 'bare', piece: { ...example.piece, width: inches(width), height: inches(height) } },
        ),
        context,
      );
    const large = bare(17, 20);
    expect(!large.ok && large.issues.map(({ code, path }) => [code, path])).toEqual([
      ['ready-made-small', 'frame.readyMade'],
    ]);
    expect(bare(16, 20).ok).toBe(true);
    // A smaller one would leave the lip: the frame is there already, so the mat or another frame is the way out.
    const small = bare(12, 20);
    expect(small.ok && refused(small.value)).toEqual(['package-loose']);
    const walled = workOut(within({ readyMade: { code: 'R1' } }, { mats: [], build: 'floater' }), context);
    expect(!walled.ok && walled.issues.map(({ code }) => code)).toEqual(['ready-made-not-here']);
    const gone = workOut(within({ readyMade: { code: 'R9' } }), context);
    expect(!gone.ok && gone.issues.map(({ code, path }) => [code, path])).toEqual([
      ['material-unknown', 'frame.readyMade'],
    ]);
  });

  it('is held by a quote with its price, whatever the books say later', () => {
    const found = resolve(bought, catalogue);
    const held = freeze((found as { value: Parameters<typeof freeze>[0] }).value, prices.groups);
    expect(designSchema.parse(held)).toEqual(held);
    const dearer = new Map([['R1', { ...catalogue.readyMades.get('R1')!, price: 9900 }]]);
    const later = workOut(held, { ...context, catalogue: { ...catalogue, readyMades: dearer } });
    expect(later.ok && later.value.price!.lines[0]!.amount).toBe(3800);
  });
});

describe('a frame of a size that is wished', () => {
  const wood = catalogue.mouldings.get('M1')!;
  const sight = { w: inches(16), h: inches(20) };
  const outside = {
    w: (sight.w + 2 * wood.faceWidth) as typeof sight.w,
    h: (sight.h + 2 * wood.faceWidth) as typeof sight.h,
  };
  const rabbet = {
    w: minus(outside.w, times(minus(wood.faceWidth, wood.rabbetWidth), 2)),
    h: minus(outside.h, times(minus(wood.faceWidth, wood.rabbetWidth), 2)),
  };

  it('is the same whether its outside, what is seen, or its rabbet is typed', () => {
    const frames = [
      within({ outside }),
      within({ outside: sight, outsideIs: 'sight' }),
      within({ outside: rabbet, outsideIs: 'rabbet' }),
    ].map(
      (design) =>
        works({
          ...design,
          border: {
            mode: 'fit',
            package: { w: minus(rabbet.w, example.frame.allowance), h: minus(rabbet.h, example.frame.allowance) },
            how: 'centred',
          },
        }).sizes,
    );
    for (const sizes of frames) {
      expect([sizes.outside, sizes.sight, sizes.rabbet]).toEqual([outside, sight, rabbet]);
    }
  });

  it('that would let the package fall through is refused, with a mat cut to it as the way out', () => {
    const loose = works(within({ outside: { w: inches(24), h: inches(30) }, outsideIs: 'sight' }));
    expect(refused(loose)).toContain('package-loose');
    const caution = loose.cautions.find(({ code }) => code === 'package-loose')!;
    expect(caution.waysOut.map(({ code }) => code)).toContain('mat-to-frame');
  });
});
