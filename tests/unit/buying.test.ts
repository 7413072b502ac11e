import { describe, expect, it } from 'vitest';
import { buyingOf } from '@/core/cutting/buying';
import { sticksSchema } from '@/core/cutting/request-schema';
import { type Size, inches, mm, size } from '@/core/units/length';
import { moulding as anyMoulding } from '../shop';

/** A moulding of 10.00 a metre, so that a millimetre is a cent, and sticks of three metres. */
const moulding = anyMoulding({ code: 'M', cost: { amount: '10', per: 'm' } });
const request = sticksSchema.parse({
  offcutValue: 0.5,
  profiles: [{ id: 'M', stock: [{ id: 'new', length: 3000, price: 3000 }], rack: [{ id: 'r1', length: 900 }] }],
  frames: [],
});
const frame = (id: string, w: number, h: number, inside: Size) => ({
  id,
  ticket: id,
  moulding: 'M',
  inside,
  mitre: 45,
  legs: [w, w, h, h].map((length, at) => ({ id: `${id}-${at}`, side: 'top' as const, length: mm(length) })),
});
const bar = (source: string, offcut: number, legs: readonly string[]) => ({
  source,
  profile: 'M',
  offcut,
  pieces: legs.map((leg, at) => ({ leg, at: 10 + 400 * at })),
});
const plan = (...bars: ReturnType<typeof bar>[]) => ({ bars, unmade: [], cost: 0, bound: 0, gap: 0, optimal: false });
const legsOf = (of: ReturnType<typeof frame>) => of.legs.map(({ id }) => id);

describe('How to come by a moulding', () => {
  it('counts sticks less what their offcuts are worth, legs by length, markup and fee, a ready-made by its size', () => {
    const one = frame('a', 320, 370, size(inches(8), inches(10)));
    expect(buyingOf(request, plan(bar('new', 1500, legsOf(one))), [one], [moulding])).toEqual([
      {
        moulding: 'M',
        choices: [
          // 3000, less half of 1500.
          { way: 'sticks', count: 1, cents: 2250, days: 2 },
          // 1380 mm at 1.3 cents, and 4.50 for the frame.
          { way: 'cut-legs', count: 4, cents: 2244, days: 4 },
          // 203.2 + 254 mm at 2.6 cents.
          { way: 'ready-made', count: 1, cents: 1189, days: 3 },
        ],
      },
    ]);
  });

  it('offers no ready-made where one frame has no standard size, and nothing for what comes off the rack', () => {
    const one = frame('a', 320, 370, size(inches(10), inches(8)));
    const other = frame('b', 333, 377, size(mm(217), mm(254)));
    const both = plan(bar('new', 0, legsOf(one)), bar('new', 800, legsOf(other)));
    const [found] = buyingOf(request, both, [one, other], [moulding]);
    expect(found!.choices.map(({ way, count }) => [way, count])).toEqual([
      ['sticks', 2],
      ['cut-legs', 8],
    ]);
    expect(found!.choices[0]!.cents).toBe(5600);
    // A leg from a new stick is enough to ask for the whole frame; without one nothing is bought.
    const partly = plan(bar('r1', 0, ['a-0', 'a-1']), bar('new', 2000, ['a-2', 'a-3']));
    expect(buyingOf(request, partly, [one], [moulding])[0]!.choices.map(({ way }) => way)).toContain('ready-made');
    expect(buyingOf(request, plan(bar('r1', 0, legsOf(one))), [one], [moulding])).toEqual([]);
  });
});
