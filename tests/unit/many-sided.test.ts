/** Frames of three to twelve equal sides, as orders: legs, price, parts, steps, drawing. */
import { describe, expect, it } from 'vitest';
import type { Design } from '@/core/design/design';
import { backScene } from '@/core/drawing/back';
import { frontScene } from '@/core/drawing/front';
import { wantedOf } from '@/core/cutting/demand';
import { requestsFor } from '@/core/cutting/plan-request';
import { instructionsOf } from '@/core/instructions/instructions';
import { STEPS } from '@/core/route/steps';
import { defaultSettings } from '@/core/settings';
import { inches, length } from '@/core/units/length';
import { type WorkedOut, workOut } from '@/core/work-out';
import { sayLine } from '@/words/instructions';
import { exampleDesign, shop, shopView } from '../shop';

const context = shop();
const { lists } = shopView;
const example = exampleDesign();
const round = (sides: number | undefined, over: Partial<Design> = {}): Design => ({
  ...example,
  piece: { ...example.piece, width: inches(12), height: inches(12) },
  border: { mode: 'equal', all: inches(2) },
  frame: { ...example.frame, sides },
  ...over,
});
const works = (design: Design): WorkedOut => {
  const result = workOut(design, context);
  if (!result.ok) throw new Error(result.issues.map(({ code }) => code).join());
  return result.value;
};
const legs = ({ parts }: WorkedOut) => parts.filter((part) => part.kind === 'leg');
/** Millimetres, by trigonometry, not by the core. */
const trig = (design: Design, sides: number) => {
  const { sizes, resolved } = works(design);
  const across = (sizes.package.w + design.frame.allowance) / 320;
  const tangent = Math.tan(Math.PI / sides);
  const { faceWidth, rabbetWidth } = resolved.moulding;
  const side = across * tangent;
  return {
    side,
    long: side + (2 * (faceWidth - rabbetWidth) * tangent) / 320,
    short: side - (2 * rabbetWidth * tangent) / 320,
    charged: sides * (side + (2 * faceWidth * tangent) / 320),
  };
};

describe('a frame of many sides', () => {
  it.each([3, 5, 6, 8, 12])('of %i has as many equal legs, by its tangent', (sides) => {
    const worked = works(round(sides));
    const [leg] = legs(worked);
    const by = trig(round(sides), sides);
    expect(legs(worked)).toHaveLength(1);
    expect([leg!.count, leg!.side, leg!.mitre]).toEqual([sides, 'all round', Math.round(18_000 / sides) / 100]);
    for (const [mine, exact] of [
      [leg!.rabbetLength!, by.side],
      [leg!.longPoint, by.long],
      [leg!.shortPoint, by.short],
      [worked.sizes.lengthCharged, by.charged],
    ] as const)
      expect(mine / 320).toBeCloseTo(exact, 1);
  });

  it('of four is the usual frame', () => {
    const { workings: _usual, ...usual } = works(round(undefined));
    const { workings: _four, ...four } = works(round(4));
    expect(four.parts).toEqual(usual.parts);
    expect(four.price!.price).toBe(usual.price!.price);
  });

  it('stands on a side: an octagon is as wide as high, a hexagon wider, a triangle by its own height', () => {
    const size = (sides: number) => works(round(sides)).sizes.outside!;
    const across = (sides: number) => {
      const { sight } = works(round(sides)).sizes;
      return sight!.w + 2 * works(round(sides)).resolved.moulding.faceWidth;
    };
    expect(Math.abs(size(8).w - size(8).h)).toBeLessThanOrEqual(1);
    expect(Math.abs(size(8).w - across(8))).toBeLessThanOrEqual(1);
    expect(size(6).h).toBe(across(6));
    expect(size(6).w / size(6).h).toBeCloseTo(1 / Math.cos(Math.PI / 6), 4);
    expect(size(3).h / across(3)).toBeCloseTo(1.5, 4);
  });

  it('is planned leg by leg, wedged at every corner, and said at the bench', () => {
    const worked = works(round(6));
    const { frames } = wantedOf(worked, '7-1', new Set(STEPS));
    expect(frames[0]!.legs.map(({ id }) => id)).toEqual([1, 2, 3, 4, 5, 6].map((side) => `7-1 side ${side}`));
    const wedges = (of: WorkedOut) => of.hardware.find(({ item }) => item === 'wedge')!.count!;
    expect(wedges(worked) / 6).toBe(wedges(works(round(undefined))) / 4);
    const said = instructionsOf(worked, defaultSettings('in')).flatMap(({ lines }) =>
      lines.map((line) => sayLine(line, 'in')),
    );
    expect(said).toContain('Mitre 30°.');
    expect(said.some((text) => /^6 equal sides: .* then to 6 sides of /.test(text))).toBe(true);
    expect(said.join(' ')).toMatch(/6 legs, all round|6 × |6 legs/);
  });

  it('takes more of the stick at a steeper mitre, never less than the usual frame beside it (R51)', () => {
    const kerf = (...sides: (number | undefined)[]) => {
      const wanted = sides.map((count, index) => wantedOf(works(round(count)), `${index}-1`, new Set(STEPS)));
      const all = {
        frames: wanted.flatMap(({ frames }) => frames),
        parts: [],
        beside: [],
      };
      return requestsFor(all, [], lists, context.settings).sticks.kerf;
    };
    const straight = context.settings.cutting.kerf / 320;
    expect(kerf(undefined)).toBeCloseTo(straight * Math.SQRT2, 2);
    expect(kerf(8)).toBeCloseTo(straight * Math.SQRT2, 2);
    expect(kerf(8, 3)).toBeCloseTo(straight * 2, 2);
  });

  it('is refused round what is not as wide as high, without a rabbet, with a liner', () => {
    const codes = (design: Design) => {
      const result = workOut(design, context);
      return result.ok ? [] : result.issues.map(({ code, path }) => `${code} ${path}`);
    };
    const long = round(6, { piece: { ...example.piece, width: inches(12), height: inches(16) } });
    expect(codes(long)).toEqual(['sides-not-square frame.sides']);
    expect(codes({ ...round(6), build: 'floater', mats: [] })).toEqual(['sides-not-here frame.sides']);
    const liner = round(6);
    const inner = [{ moulding: { code: 'M1' }, allowance: length(320) }];
    expect(codes({ ...liner, frame: { ...liner.frame, inner } })).toEqual(['sides-not-here frame.sides']);
  });

  it('is drawn with a leg for each side, its package as many-sided', () => {
    const scene = frontScene(works(round(8)), false);
    const legsDrawn = scene.shapes.filter((shape) => shape.kind === 'area' && shape.points.length === 4 && shape.line);
    expect(legsDrawn.length).toBeGreaterThanOrEqual(8);
    expect(scene.shapes.some((shape) => shape.kind === 'area' && shape.points.length === 8)).toBe(true);
    const back = backScene(works(round(8))).shapes.filter((shape) => shape.kind === 'area');
    expect(back.every((shape) => shape.points.length === 8)).toBe(true);
  });
});
