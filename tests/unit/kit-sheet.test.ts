/** What a customer is told who puts a kit together: all that is theirs to do, and nothing of the workshop. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BUILD_CODES } from '@/core/builds';
import type { LineCode } from '@/core/instructions/codes';
import { assemblyOf } from '@/core/instructions/instructions';
import { defaultSettings } from '@/core/settings';
import { workOut } from '@/core/work-out';
import { KIT_LINES, kitBefore, kitLine } from '@/words/kit';
import { designOf } from '../designs';
import { rounds } from '../wide';
import { exampleDesign, shop } from '../shop';
import { done, piece } from '../stocked-sums';

/** What the shop measures, writes down or is stopped by; a kit that cannot be held is not agreed. */
const OF_THE_SHOP: readonly LineCode[] = [
  'measure-seat',
  'measure-inside',
  'no-wedges',
  'room-behind',
  'filler',
  'nothing-holds',
  'write-drop',
  'no-hangers',
  'hangers-no-wood',
  'tape-only',
];
const settings = defaultSettings('in');
const told = (worked: ReturnType<typeof done>) =>
  assemblyOf(worked, settings).flatMap(({ lines }) => lines.flatMap((line) => kitLine(line, 'in') ?? []));

describe('the sheet of a kit', () => {
  it.each(BUILD_CODES)('has words for all that is left to the customer: %s', (build) => {
    fc.assert(
      fc.property(designOf(build), fc.constantFrom('in' as const, 'mm' as const), (design, unit) => {
        const result = workOut({ ...design, scope: 'kit' }, shop());
        if (!result.ok) return;
        for (const { lines } of assemblyOf(result.value, settings))
          for (const line of lines) {
            const said = kitLine(line, unit);
            expect([line.code, KIT_LINES[line.code] !== undefined || OF_THE_SHOP.includes(line.code)]).toEqual([
              line.code,
              true,
            ]);
            if (said === undefined) continue;
            // Whole sentences, without a figure that is not there.
            expect(said).toMatch(/^[A-Z].*\.$/);
            expect(said).not.toMatch(/undefined|NaN|\b0 (in|mm)\b| {2}/);
          }
      }),
      { numRuns: rounds(20), seed: 2929 },
    );
  });

  it('of acrylic warns of ammonia and of rubbing; of glass says where the cleaner goes', () => {
    const acrylic = told(done(exampleDesign({ scope: 'kit', glazing: { code: 'G2' } }))).join(' ');
    expect(acrylic).toMatch(/nothing with ammonia/);
    expect(acrylic).not.toMatch(/glass/i);
    expect(told(done(exampleDesign({ scope: 'kit' }))).join(' ')).toContain('the cleaner goes on the cloth');
  });

  it('of a pastel never has it laid on its face', () => {
    const pastel = told(done(exampleDesign({ scope: 'kit', piece: piece({ kind: 'pastel' }) }))).join(' ');
    expect(pastel).toMatch(/Never lay it on its face/);
    expect(pastel).not.toMatch(/Turn it over/);
  });

  it('counts in the singular and the plural', () => {
    expect(kitLine({ code: 'points', figures: { count: 12 } } as never, 'in')).toContain('all 12 points');
    expect(kitLine({ code: 'bumpers', figures: { count: 1 } } as never, 'in')).toContain('the bumper');
  });

  it('speaks of glass and of an original only where there is one', () => {
    const before = (over: Parameters<typeof exampleDesign>[0]) => kitBefore(done(exampleDesign(over))).join(' ');
    expect(before({ scope: 'kit' })).toMatch(/Dust shows/);
    expect(before({ scope: 'kit', build: 'floater', mats: [] })).not.toMatch(/Dust shows/);
    expect(before({ scope: 'kit' })).toMatch(/the back board are marked/);
    expect(before({ scope: 'kit', build: 'floater', mats: [] })).toMatch(/The top side is marked “top” behind\./);
    expect(before({ scope: 'kit', piece: piece({ irreplaceable: true }) })).toMatch(/never its face/);
    expect(before({ scope: 'kit', piece: piece({ irreplaceable: false }) })).not.toMatch(/original/);
  });
});
