import { beforeAll, describe, expect, it } from 'vitest';
import { adviceFor } from '@/core/design/advice';
import type { Design } from '@/core/design/design';
import { defaultSettings } from '@/core/settings';
import { inches } from '@/core/units/length';
import { type WorkOutContext, workOut } from '@/core/work-out';
import { stocked, stockedDesign } from '../stocked';

const settings = defaultSettings('in');
let books: WorkOutContext;
beforeAll(async () => {
  books = (await (await stocked()).app.books())!;
});
const price = (design: Design) => {
  const result = workOut(design, books);
  return result.ok ? result.value : undefined;
};
const design = (over: Partial<Design> = {}): Design => {
  const start = stockedDesign({ border: { mode: 'equal', all: inches(2) } });
  return { ...start, piece: { ...start.piece, width: inches(8), height: inches(10) }, ...over };
};
const advised = (of: Design, colours: readonly string[] = []) =>
  adviceFor(of, books.catalogue, settings, price, colours);
const codes = (of: Design, colours: readonly string[] = []) => advised(of, colours).map(({ code }) => code);

describe('advice', () => {
  it('says what it would cost: the price of its design less the price of this one', () => {
    const of = design({ glazing: { code: 'GL-CLEAR' } });
    const now = price(of)!.price!.price;
    for (const { design: other, difference } of advised(of, ['#3d5a66']))
      expect(price(other)!.price!.price - now).toBe(difference);
  });

  it('is heavier below for equal borders only, and thrift only where it saves', () => {
    expect(codes(design())).toContain('heavier-below');
    expect(codes(design({ border: { mode: 'weighted', all: inches(2), extra: inches(1) } }))).not.toContain(
      'heavier-below',
    );
    expect(codes(design({ mats: [] }))).not.toContain('heavier-below');
    const dear = [...books.catalogue.glazings.values()].find((one) => one.uv && one.type === 'glass')!;
    const thrifty = advised(design({ glazing: { code: dear.code } })).find(({ code }) => code === 'thrifty')!;
    expect(thrifty.difference).toBeLessThan(0);
    const again = advised(thrifty.design);
    expect(again.map(({ code }) => code)).not.toContain('thrifty');
  });

  it('keeps with ultraviolet glass and boards without acid, and has nothing more to say then', () => {
    const keeping = advised(design({ glazing: { code: 'GL-CLEAR' } })).find(({ code }) => code === 'keeping')!;
    const { glazing, backing, mats } = price(keeping.design)!.resolved;
    expect([glazing.uv, backing.archival, mats.every((mat) => mat.archival)]).toEqual([true, true, true]);
    expect(codes(keeping.design)).not.toContain('keeping');
  });

  it('advises two mats where there are three, and no more', () => {
    const mat = design().mats[0]!;
    const three = design({ mats: [mat, { ...mat, reveal: inches(0, 1, 4) }, { ...mat, reveal: inches(0, 1, 4) }] });
    const restraint = advised(three).find(({ code }) => code === 'restraint')!;
    expect(restraint.design.mats).toHaveLength(2);
    expect(codes(restraint.design)).not.toContain('restraint');
  });

  it('a frame bought whole fits with its border and costs less', () => {
    const whole = advised(design()).find(({ code }) => code === 'ready-made');
    expect(whole!.difference).toBeLessThan(0);
    const { sizes, resolved } = price(whole!.design)!;
    expect(sizes.package).toEqual(resolved.readyMade!.size);
  });

  it('proposes a mat by a colour of the piece, each board once', () => {
    const boards = advised(design(), ['#3d5a66', '#3e5b67', '#f4efe0']).filter(({ code }) => code === 'colour');
    const codesOf = boards.map(({ design: { mats } }) => JSON.stringify(mats[0]!.board));
    expect(new Set(codesOf).size).toBe(codesOf.length);
    expect(boards.length).toBeGreaterThan(0);
  });

  it('is silent about what cannot be priced', () => {
    expect(advised(design({ frame: { ...design().frame, moulding: { code: 'GONE' } } }))).toEqual([]);
  });

  it('is a standard size only where it saves, its borders fitted, and none for one that is fitted already', () => {
    // A window of 7 3/4 × 9 3/4 in 3 1/8 all round is 14 × 16; 14 × 18, 12 × 16 and 11 × 14 are on the list.
    const of = design({ border: { mode: 'equal', all: inches(3, 1, 8) } });
    const found = advised(of).filter(({ code }) => code === 'standard');
    expect(found.length).toBeGreaterThan(0);
    for (const { design: other, difference, figures } of found) {
      expect(difference).toBeLessThan(0);
      expect(figures.name).toMatch(/^\d+ × \d+ in$/);
      const { border } = price(other)!.sizes;
      expect(Math.min(border!.left, border!.right, border!.top, border!.bottom)).toBeGreaterThanOrEqual(
        settings.standardLeast,
      );
    }
    expect(codes(found[0]!.design)).not.toContain('standard');
  });

  it('is narrower sides for equal borders that can spare it', () => {
    const sides = advised(design()).find(({ code }) => code === 'sides')!;
    expect(sides.design.border).toEqual({ mode: 'sides', all: inches(2), less: settings.sidesLess });
    expect(codes(sides.design)).not.toContain('sides');
    expect(codes(design({ border: { mode: 'equal', all: inches(0, 1, 2) } }))).not.toContain('sides');
  });
});
