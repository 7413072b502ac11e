import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultSettings } from '../settings';
import { type FlatPart, type StripPart } from '../parts/parts';
import { STEPS, type StepKey } from '../route/steps';
import { type Length, inches, length, minus, plus } from '../units/length';
import { type WorkedOut, workOut } from '../work-out';
import { exampleDesign, shop } from '../../../tests/shop';
import { type Built, builtAs, builtIssues, measurable, measuresOf } from './as-built';

const settings = defaultSettings('in');
const worked = (over: Parameters<typeof exampleDesign>[0] = {}): WorkedOut => {
  const result = workOut(exampleDesign(over), shop('in'));
  if (!result.ok) throw new Error(result.issues.map(({ code }) => code).join());
  return result.value;
};
const frame = worked();
const { w, h } = frame.sizes.rabbet!;
const seat = (dw: number, dh: number): Built => ({
  seat: {
    top: length(w + dw),
    bottom: length(w + dw),
    left: length(h + dh),
    right: length(h + dh),
  },
});
const flat = (of: WorkedOut, part: string) =>
  of.parts.find((one): one is FlatPart => one.kind === 'flat' && one.part === part)!;
const SIXTEENTH = inches(0, 1, 16);

describe('a rabbet that came out otherwise', () => {
  it('re-sizes glass, mat and backing by the difference, and keeps the window', () => {
    const { worked: after, issues } = builtAs(frame, seat(-SIXTEENTH, SIXTEENTH), settings);
    expect(issues).toEqual([]);
    for (const part of ['glazing', 'mat', 'backing']) {
      expect(flat(after, part).exact.w).toBe(flat(frame, part).exact.w - SIXTEENTH);
      expect(flat(after, part).exact.h).toBe(flat(frame, part).exact.h + SIXTEENTH);
    }
    const [was, now] = [flat(frame, 'mat').layer!.cut, flat(after, 'mat').layer!.cut];
    expect(now.window).toEqual(was.window);
    expect(now.border.left + now.border.right).toBe(was.border.left + was.border.right - SIXTEENTH);
    expect(now.border.top + now.border.bottom).toBe(was.border.top + was.border.bottom + SIXTEENTH);
    expect(after.sizes.outside).toEqual(frame.sizes.outside);
  });

  it('changes nothing when it is as it was computed', () => {
    expect(builtAs(frame, seat(0, 0), settings).worked).toBe(frame);
    expect(builtAs(frame, {}, settings).worked).toBe(frame);
  });

  const { allowance } = frame.resolved.design.frame;
  it.each([
    ['as much as the allowance', allowance, []],
    ['one unit more', allowance + 1, ['built-beyond']],
    ['as much less', -allowance, []],
    ['one unit less than that', -allowance - 1, ['built-beyond']],
  ])('by %s', (_by, difference, codes) => {
    const { worked: after, issues } = builtAs(frame, seat(difference, 0), settings);
    expect(issues.map(({ code }) => code)).toEqual(codes);
    expect(after.sizes.package.w - frame.sizes.package.w).toBe(codes.length > 0 ? 0 : difference);
  });

  it('beyond the allowance re-sizes only when somebody says so', () => {
    const far = seat(2 * allowance, 0);
    expect(builtAs(frame, far, settings).worked).toBe(frame);
    const { worked: after } = builtAs(frame, { ...far, beyond: true }, settings);
    expect(flat(after, 'glazing').exact.w).toBe(flat(frame, 'glazing').exact.w + 2 * allowance);
  });

  it('leaves what is cut already, and says what does not go in or could leave the lip', () => {
    const done = new Set<StepKey>(['cut-glazing', 'cut-mats']);
    const tight = builtAs(frame, seat(-allowance, 0), settings, done);
    expect(flat(tight.worked, 'glazing').cut).toEqual(flat(frame, 'glazing').cut);
    expect(flat(tight.worked, 'backing').cut.w).toBeLessThan(flat(frame, 'backing').cut.w);
    // A package that is as large as the seat still goes in; its own allowance is what was lost.
    expect(tight.issues).toEqual([]);
    const over = builtAs(frame, { ...seat(-2 * allowance, 0), beyond: true }, settings, done);
    expect(over.issues.map(({ code }) => code)).toEqual(['built-too-large', 'built-too-large']);
    const lip = frame.resolved.moulding.rabbetWidth;
    const loose = builtAs(frame, { ...seat(lip, 0), beyond: true }, settings, done);
    expect(loose.issues.map(({ code, figures }) => [code, figures.loose])).toEqual(
      ['glazing', 'mat'].map((part) => ['built-too-small', w + lip - flat(frame, part).cut.w]),
    );
  });

  it('takes the smaller of two ends', () => {
    const uneven: Built = {
      seat: { top: w, bottom: minus(w, SIXTEENTH), left: plus(h, SIXTEENTH), right: h },
    };
    const { package: pack } = builtAs(frame, uneven, settings).worked.sizes;
    expect([pack.w, pack.h]).toEqual([frame.sizes.package.w - SIXTEENTH, frame.sizes.package.h]);
  });

  it('is so much less when legs were trimmed after the dry fit; a measured seat says more', () => {
    const trimmed = { w: SIXTEENTH, h: length(0) };
    expect(builtAs(frame, { trimmed }, settings).worked.sizes.package.w).toBe(frame.sizes.package.w - SIXTEENTH);
    expect(builtAs(frame, { trimmed, ...seat(0, 0) }, settings).worked).toBe(frame);
  });

  it('shortens strips that run along the package, those between others as well', () => {
    const bare = worked({ build: 'bare', mats: [], own: {} });
    const strips = (of: WorkedOut) =>
      of.parts.filter((part): part is StripPart => part.kind === 'strip').map((part) => part.length);
    expect(strips(bare).length).toBeGreaterThan(1);
    const rabbet = bare.sizes.rabbet!;
    const smaller: Built = {
      seat: {
        top: minus(rabbet.w, SIXTEENTH),
        bottom: minus(rabbet.w, SIXTEENTH),
        left: minus(rabbet.h, SIXTEENTH),
        right: minus(rabbet.h, SIXTEENTH),
      },
    };
    const after = builtAs(bare, smaller, settings).worked;
    expect(strips(after)).toEqual(strips(bare).map((long) => long! - SIXTEENTH));
  });
});

describe('depth, gap and drop', () => {
  it('a shallower rabbet leaves less room, and stands proud from one unit on', () => {
    const { room } = frame.stack;
    const depth = (less: number) => length(frame.resolved.moulding.rabbetDepth - less);
    const just = builtAs(frame, { depth: depth(room!) }, settings);
    expect([just.worked.stack.room, just.issues]).toEqual([0, []]);
    const over = builtAs(frame, { depth: depth(room! + 1) }, settings);
    expect([over.worked.stack.verdict, over.issues.map(({ code }) => code)]).toEqual(['proud', ['built-too-shallow']]);
  });

  it('the hook goes where the wire was measured, so much lower or higher on the wall', () => {
    const drop = plus(frame.hanging!.hookDrop, SIXTEENTH);
    const { hanging } = builtAs(frame, { drop }, settings).worked;
    expect([hanging!.hookDrop, hanging!.wireDrop]).toEqual([drop, drop]);
    expect(hanging!.hookHeight).toBe(frame.hanging!.hookHeight - SIXTEENTH);
  });

  it('a floater’s gap follows its inside, and with it the shims', () => {
    const floater = worked({ build: 'floater', mats: [], own: { gap: inches(0, 1, 4), cardThickness: 96 as Length } });
    const { sizes } = floater;
    const wider = { w: plus(sizes.inside!.w, length(640)), h: plus(sizes.inside!.h, length(640)) };
    const after = builtAs(floater, { inside: wider }, settings).worked;
    const gap = Number(after.resolved.design.own!.gap);
    expect(gap - Number(floater.resolved.design.own!.gap)).toBe(320);
    expect(after.sizes.counts.shimsASide).toBe(Math.floor(gap / 96));
    expect(after.hardware.find(({ item }) => item === 'shim')!.count).toBe(4 * Math.floor(gap / 96));
    const small = builtAs(floater, { inside: { w: length(1), h: length(1) } }, settings);
    expect(small.issues.map(({ code }) => code)).toEqual(['built-no-gap']);
  });
});

describe('what can be measured', () => {
  it('is what the piece has, at a step that it has', () => {
    expect(measuresOf(frame)).toEqual([
      { key: 'seat', step: 'join' },
      { key: 'trimmed', step: 'join' },
      { key: 'depth', step: 'join' },
      { key: 'drop', step: 'back-and-hang' },
    ]);
    expect(measurable(worked({ hanging: { rings: 'none', slack: '0.05' } }))).not.toContain('drop');
  });

  it('refuses figures that were misread, beside their field', () => {
    expect(builtIssues(seat(8128, 0), frame)).toEqual([]);
    expect(builtIssues(seat(8129, 0), frame).map(({ code, path }) => [code, path])).toEqual([['built-far', 'seat']]);
    const tall = frame.sizes.outside!.h;
    expect(builtIssues({ drop: tall }, frame).map(({ path }) => path)).toEqual(['drop']);
    expect(builtIssues({ drop: minus(tall, length(1)) }, frame)).toEqual([]);
  });

  it('never makes a part of no size, and never touches what is done, whatever is measured', () => {
    const figure = fc.integer({ min: -allowanceOf(frame), max: allowanceOf(frame) });
    fc.assert(
      fc.property(figure, figure, fc.subarray([...STEPS]), (dw, dh, done) => {
        const { worked: after } = builtAs(frame, seat(dw, dh), settings, new Set(done));
        after.parts.forEach((part, index) => {
          if (part.kind !== 'flat') return;
          expect(Math.min(part.cut.w, part.cut.h)).toBeGreaterThan(0);
          if (done.length === STEPS.length) expect(part).toEqual(frame.parts[index]);
        });
      }),
      { seed: 16, numRuns: 120 },
    );
  });
});
function allowanceOf({ resolved }: WorkedOut): number {
  return resolved.design.frame.allowance;
}
