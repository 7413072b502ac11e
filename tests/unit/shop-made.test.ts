/** Moulding that is made here: its step, its lines, what is cut rough, what it takes. */
import { describe, expect, it } from 'vitest';
import type { Design } from '@/core/design/design';
import { wantedOf } from '@/core/cutting/demand';
import { instructionsOf } from '@/core/instructions/instructions';
import { blocks } from '@/core/route/state';
import { STEPS } from '@/core/route/steps';
import { defaultSettings } from '@/core/settings';
import { inches, length, mm } from '@/core/units/length';
import { type WorkedOut, workOut } from '@/core/work-out';
import { sayLine } from '@/words/instructions';
import { exampleDesign, shop } from '../shop';

const context = shop();
const example = exampleDesign();
type Made = NonNullable<Design['frame']['shopMade']>;
const made = (shopMade: Made | undefined): Design => ({ ...example, frame: { ...example.frame, shopMade } });
const works = (design: Design): WorkedOut => {
  const result = workOut(design, context);
  if (!result.ok) throw new Error(result.issues.map(({ code }) => code).join());
  return result.value;
};
const two: Made = { from: 'boards', strips: 2, passes: 3, finish: 'after' };
const step = (worked: WorkedOut, key: string) => worked.route.find((one) => one.step === key);
const said = (worked: WorkedOut) =>
  instructionsOf(worked, defaultSettings('in'))
    .find((one) => one.step === 'make-moulding')!
    .lines.map((line) => sayLine(line, 'in'));

describe('moulding that is made here', () => {
  it('is a step before the legs, which wait for it', () => {
    const { route } = works(made(two));
    expect(route.map((one) => one.step).slice(0, 4)).toEqual(['materials-here', 'make-moulding', 'cut-legs', 'join']);
    const states = route.map((one) => ({ step: one.step, state: 'todo' as const }));
    const here = states.map((one) => (one.step === 'materials-here' ? { ...one, state: 'done' as const } : one));
    expect(blocks(here, 'cut-legs')?.figures).toMatchObject({ needs: 'make-moulding' });
    expect(blocks(here, 'make-moulding')).toBeUndefined();
    const bought = works(made(undefined)).route.map((one) => ({
      step: one.step,
      state: one.step === 'materials-here' ? ('done' as const) : ('todo' as const),
    }));
    expect(blocks(bought, 'cut-legs')).toBeUndefined();
  });

  it.each([
    ['one strip, not coated', { ...two, strips: 1, finish: undefined }, undefined, false],
    ['glued up', { ...two, finish: undefined }, 'glue cure', false],
    ['coated before', { ...two, finish: 'before' as const }, 'dry', false],
    ['coated after', two, 'glue cure', true],
  ])('%s waits and is finished as chosen', (_how, shopMade, waits, finishes) => {
    const worked = works(made(shopMade));
    expect([step(worked, 'make-moulding')!.waits, step(worked, 'finish') !== undefined]).toEqual([waits, finishes]);
  });

  it('is rebated once, at the width it ends as where a frame must match another (C12)', () => {
    const { outside } = works(example).sizes;
    const wanted = (w: number, h: number) => {
      const size = { w: length(outside!.w - mm(w)), h: length(outside!.h - mm(h)) };
      const design = { ...example, frame: { ...example.frame, outside: size, shopMade: two } };
      const all = instructionsOf(works(design), defaultSettings('in')).flatMap(({ lines }) => lines);
      expect(all.filter(({ code }) => code === 'widen-rabbet')).toEqual([]);
      return all.flatMap(({ code, figures }) => (code === 'rebate' ? [[figures.side, figures.width]] : []));
    };
    const usual = works(example).resolved.moulding.rabbetWidth;
    expect(wanted(4, 4)).toEqual([['', usual + mm(2)]]);
    expect(wanted(2, 4)).toEqual([
      ['w', usual + mm(1)],
      ['h', usual + mm(2)],
    ]);
  });

  it('says what is ripped, glued, rebated, and how rough the legs are cut (R64)', () => {
    const lines = said(works(made(two)));
    // Legs of 18 7/8 and 22 7/8 with 2 in more each: 2 × 20 7/8 + 2 × 24 7/8 = 91 1/2.
    expect(lines[0]).toMatch(/^Rip from boards: 2 × 1 1\/4 in wide, .* thick, 91 1\/2 in of each; a cut takes .*\.$/);
    expect(lines).toContain('Glue 2 strips up to 1 in, clamped flat, edges flush.');
    expect(lines.join(' ')).toMatch(
      /Rebate 1\/4 in wide, [^,]+ deep, in 3 passes; try it with a scrap of the package\./,
    );
    expect(lines).toContain('Cut 2 rough to 20 7/8 in.');
    expect(lines).toContain('Cut 2 rough to 24 7/8 in.');
    expect(said(works(made({ ...two, strips: 1 }))).join(' ')).not.toContain('Glue');
    expect(said(works(made({ ...two, from: 'sheet', passes: 1 }))).join(' ')).toMatch(/from the sheet.*in one pass/);
  });

  it('is charged by its minutes, and is cut from no stick of the rack', () => {
    const [plain, own] = [works(made(undefined)), works(made(two))];
    const minutes = (worked: WorkedOut) => worked.route.reduce((sum, one) => sum + one.minutes, 0);
    expect(step(own, 'make-moulding')!.minutes).toBe(25 + 2 * 6 + 3 * 2);
    const labour = (worked: WorkedOut) => worked.price!.lines.find(({ key }) => key === 'labour')!.amount;
    const unfinished = works(made({ ...two, finish: undefined }));
    expect(minutes(unfinished) - minutes(plain)).toBe(43);
    // 43 minutes at 48.00 an hour.
    expect(labour(unfinished) - labour(plain)).toBe(3440);
    const wanted = wantedOf(own, '7-1', new Set(STEPS));
    expect(wanted.frames).toEqual([]);
    expect(wanted.beside.map(({ part, count, length }) => [part, count, length])).toEqual([
      ['frame', 2, inches(18, 7, 8)],
      ['frame', 2, inches(22, 7, 8)],
    ]);
  });
});
