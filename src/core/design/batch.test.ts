import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exampleDesign, shop } from '../../../tests/shop';
import { inches, mm, size } from '../units/length';
import { workOut } from '../work-out';
import { batchDesign, canStay, readRows } from './batch';
import type { Design } from './design';

const work = (design: Design) => {
  const result = workOut(design, shop());
  if (!result.ok) throw new Error(result.issues.map(({ code }) => code).join());
  return result.value;
};
const weighted = () => exampleDesign({ border: { mode: 'weighted', all: inches(3), extra: inches(0, 1, 2) } });

describe('rows of a batch', () => {
  it('are sizes, with a name before them or without, in any unit', () => {
    const { rows, issues } = readRows('8 x 10\n\nWading birds; 5 1/2 x 7\nTide tables\t120 x 180 mm\r\n  6×9  ', 'in');
    expect(issues).toEqual([]);
    expect(rows).toEqual([
      { title: '', size: size(inches(8), inches(10)) },
      { title: 'Wading birds', size: size(inches(5, 1, 2), inches(7)) },
      { title: 'Tide tables', size: size(mm(120), mm(180)) },
      { title: '', size: size(inches(6), inches(9)) },
    ]);
  });

  it('that cannot be read are named by their line, and the others stay', () => {
    const { rows, issues } = readRows('8 x 10\neight by ten\n7\n0 x 4\n-3 x 4\n9 x 12', 'in');
    expect(rows).toHaveLength(2);
    expect(issues.map(({ figures }) => figures.line)).toEqual([2, 3, 4, 5]);
  });

  it('are read whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), (text) => {
        const { rows, issues } = readRows(text, 'mm');
        const lines = text.split('\n').filter((line) => line.trim() !== '').length;
        expect(rows.length + issues.length).toBe(lines);
      }),
      { seed: 5, numRuns: 300 },
    );
  });
});

describe('one design over many pieces', () => {
  const sizes = fc.record({ w: fc.integer({ min: 5, max: 14 }), h: fc.integer({ min: 5, max: 16 }) });

  it('with the same border keeps it, and the outside follows', () => {
    const design = weighted();
    const made = batchDesign(design, { title: 'Two', size: size(inches(8), inches(10)) }, 'border', work(design));
    expect([made.border, made.piece.title, made.piece.width]).toEqual([design.border, 'Two', inches(8)]);
    const [before, after] = [work(design).sizes.package, work(made).sizes.package];
    expect([before.w - after.w, before.h - after.h]).toEqual([inches(4), inches(6)]);
  });

  it('with the same outside has one package, whatever the size that fits in it', () => {
    const design = weighted();
    const worked = work(design);
    fc.assert(
      fc.property(sizes, ({ w, h }) => {
        const made = batchDesign(design, { title: '', size: size(inches(w), inches(h)) }, 'outside', worked);
        expect(work(made).sizes.package).toEqual(worked.sizes.package);
        expect(work(made).sizes.outside).toEqual(worked.sizes.outside);
      }),
      { seed: 6, numRuns: 60 },
    );
  });

  it('with the same opening shows the same of each, from its middle', () => {
    const design = weighted();
    const worked = work(design);
    fc.assert(
      fc.property(
        fc.record({ w: fc.integer({ min: 13, max: 30 }), h: fc.integer({ min: 17, max: 40 }) }),
        ({ w, h }) => {
          const made = batchDesign(design, { title: '', size: size(inches(w), inches(h)) }, 'opening', worked);
          const after = work(made).sizes;
          expect([after.opening, after.package]).toEqual([worked.sizes.opening, worked.sizes.package]);
          const { left, w: shown } = made.window.opening!;
          expect(Math.abs(left * 2 + shown - inches(w))).toBeLessThanOrEqual(1);
        },
      ),
      { seed: 7, numRuns: 60 },
    );
  });

  it('forgets the second measures of the piece it was copied from; an outside needs a mat', () => {
    const design = exampleDesign({});
    const odd = { ...design, piece: { ...design.piece, width2: inches(12), height2: inches(16) } };
    const made = batchDesign(odd, { title: '', size: size(inches(8), inches(10)) }, 'border', work(design));
    expect([made.piece.width2, made.piece.height2]).toEqual([undefined, undefined]);
    expect([
      canStay('outside', design),
      canStay('outside', { ...design, mats: [] }),
      canStay('border', { ...design, mats: [] }),
    ]).toEqual([true, false, true]);
  });
});
