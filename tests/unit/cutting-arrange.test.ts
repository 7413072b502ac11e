import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  costOfSheets,
  costOfSticks,
  moveLeg,
  restOfSheets,
  restOfSticks,
  withRestOfSheets,
  withRestOfSticks,
} from '@/core/cutting/arrange';
import type { PlannedBar, SticksPlan, SticksRequest } from '@/core/cutting/request';
import { sheetsSchema, sticksSchema } from '@/core/cutting/request-schema';
import { checkSheets } from '@/core/cutting/sheets/check';
import { checkSticks } from '@/core/cutting/sticks/check';
import { sheetsOf, sticksOf } from '../cutting/composed';

const leg = (id: string, length: number) => ({ id, length });
/** Two frames of one moulding, sticks of two metres, one piece of the rack with a dent. */
const request = (over: object = {}): SticksRequest =>
  sticksSchema.parse({
    kerf: 4,
    endTrim: 10,
    minOffcut: 300,
    profiles: [
      {
        id: 'P',
        stock: [{ id: 'new', length: 2000, price: 20 }],
        rack: [{ id: 'R1', length: 900, noGo: [{ from: 400, to: 420 }] }],
      },
    ],
    frames: [
      { id: 'a', profile: 'P', legs: [leg('a1', 500), leg('a2', 500), leg('a3', 300), leg('a4', 300)] },
      { id: 'b', profile: 'P', legs: [leg('b1', 400), leg('b2', 400), leg('b3', 250), leg('b4', 250)] },
    ],
    ...over,
  });
const legsOf = (bars: readonly PlannedBar[]) => bars.flatMap((bar) => bar.pieces.map((piece) => piece.leg)).sort();
const whole = (asked: SticksRequest): { asked: SticksRequest; plan: SticksPlan } => ({ asked, plan: sticksOf(asked) });

describe('a leg moved by hand', () => {
  it('lies on the other stick and no more on its own; every figure is worked out again', () => {
    const { asked, plan } = whole(request());
    let moved = 0;
    for (const [to, bar] of plan.bars.entries())
      for (const id of legsOf(plan.bars)) {
        if (bar.pieces.some((piece) => piece.leg === id)) continue;
        const result = moveLeg(asked, plan, id, to);
        if (!result.ok) {
          expect(result.issues.map((one) => [one.code, one.figures])).toEqual([
            ['cut-no-room', { leg: id, source: bar.source }],
          ]);
          continue;
        }
        moved += 1;
        expect(checkSticks(asked, result.value)).toEqual([]);
        expect(legsOf(result.value.bars)).toEqual(legsOf(plan.bars));
        expect(result.value.cost).toBeCloseTo(costOfSticks(asked, result.value.bars, []), 9);
        expect(result.value.bound).toBeLessThanOrEqual(result.value.cost);
      }
    expect(moved).toBeGreaterThan(0);
  });

  it('takes the place of the dent into account: what would lie over it is not moved there', () => {
    const asked = request({ frames: [{ id: 'a', profile: 'P', legs: [leg('a1', 500), leg('a2', 300)] }] });
    const bar = (source: string, legs: string[]): PlannedBar => ({
      source,
      profile: 'P',
      pieces: legs.map((id) => ({ leg: id, at: 10 })),
      offcut: 0,
    });
    const plan = { ...sticksOf(asked), bars: [bar('new', ['a1']), bar('R1', ['a2'])] };
    // 900 long, 10 off each end, dented from 400 to 420: 390 before it, 470 behind. 500 finds no room, 300 does.
    expect(moveLeg(asked, plan, 'a1', 1)).toMatchObject({ ok: false, issues: [{ code: 'cut-no-room' }] });
    const back = moveLeg(asked, plan, 'a2', 0);
    expect(back.ok && back.value.bars.map((one) => one.source)).toEqual(['new']);
  });

  it('stays where it is when it is moved to its own stick; a leg or stick that is not there is refused', () => {
    const { asked, plan } = whole(request());
    const [first] = plan.bars[0]!.pieces;
    expect(moveLeg(asked, plan, first!.leg, 0)).toEqual({ ok: true, value: plan });
    for (const [id, to] of [
      ['nobody', 0],
      [first!.leg, 99],
      [first!.leg, -1],
    ] as const)
      expect(moveLeg(asked, plan, id, to)).toMatchObject({ ok: false, issues: [{ code: 'cut-leg-unknown' }] });
  });

  it('is not moved to a stick of another moulding', () => {
    const two = request({
      profiles: [
        { id: 'P', stock: [{ id: 'new', length: 2000 }], rack: [] },
        { id: 'Q', stock: [{ id: 'other', length: 2000 }], rack: [] },
      ],
      frames: [
        { id: 'a', profile: 'P', legs: [leg('a1', 500)] },
        { id: 'b', profile: 'Q', legs: [leg('b1', 500)] },
      ],
    });
    const plan = sticksOf(two);
    const to = plan.bars.findIndex((bar) => bar.profile === 'Q');
    expect(moveLeg(two, plan, 'a1', to)).toMatchObject({ ok: false, issues: [{ code: 'cut-other-moulding' }] });
  });
});

describe('the rest planned again', () => {
  it('asks for what the kept sticks do not make, without the pieces of the rack they use', () => {
    const { asked, plan } = whole(request());
    for (const [index, bar] of plan.bars.entries()) {
      const rest = restOfSticks(asked, [bar]);
      const wanted = rest.frames.flatMap((frame) => frame.legs.map((one) => one.id));
      expect([...wanted, ...legsOf([bar])].sort()).toEqual(legsOf(plan.bars));
      expect(rest.profiles[0]!.rack.some((piece) => piece.id === bar.source)).toBe(false);
      const again = withRestOfSticks(asked, plan, [bar], sticksOf(rest));
      expect(checkSticks(asked, again), `stick ${index}`).toEqual([]);
      expect(again.bars[0]).toEqual(bar);
      expect(again.cost).toBeCloseTo(costOfSticks(asked, again.bars, again.unmade), 9);
    }
  });

  it('with nothing kept is the whole, with all kept is nothing', () => {
    const { asked, plan } = whole(request());
    expect(restOfSticks(asked, [])).toEqual(asked);
    expect(restOfSticks(asked, plan.bars).frames).toEqual([]);
  });

  it('does the same for sheets', () => {
    const asked = sheetsSchema.parse({
      kerf: 0,
      trim: 3,
      minOffcut: { short: 150, long: 300 },
      materials: [
        { id: 'M', stock: [{ id: 'sheet', w: 1000, h: 800, price: 9 }], rack: [{ id: 'S1', w: 500, h: 400 }] },
      ],
      parts: [
        { id: 'p1', material: 'M', w: 600, h: 500 },
        { id: 'p2', material: 'M', w: 600, h: 500 },
        { id: 'p3', material: 'M', w: 450, h: 380 },
        { id: 'p4', material: 'M', w: 300, h: 200 },
      ],
    });
    const plan = sheetsOf(asked);
    for (const sheet of plan.sheets) {
      const rest = restOfSheets(asked, [sheet]);
      const made = sheet.parts.map((one) => one.part);
      expect([...rest.parts.map((part) => part.id), ...made].sort()).toEqual(['p1', 'p2', 'p3', 'p4']);
      const again = withRestOfSheets(asked, plan, [sheet], sheetsOf(rest));
      expect(checkSheets(asked, again)).toEqual([]);
      expect(again.cost).toBeCloseTo(costOfSheets(asked, again.sheets, again.unmade), 9);
    }
  });
});

describe('what a plan costs', () => {
  it('is what is opened less half of what is kept, by price; one of the rack counts half', () => {
    const asked = request();
    const bars: PlannedBar[] = [
      { source: 'new', profile: 'P', pieces: [{ leg: 'a1', at: 10 }], offcut: 1000 },
      { source: 'R1', profile: 'P', pieces: [{ leg: 'a3', at: 10 }], offcut: 450 },
    ];
    // 20 − ½ × 1000 × 20/2000 = 15; the rack piece: ½ × 9 − ½ × 450 × 9/900 = 2.25.
    const penalty = asked.batchPenalty;
    expect(costOfSticks(asked, bars, [])).toBeCloseTo(15 + 2.25, 9);
    expect(costOfSticks(asked, bars, ['b1'])).toBeCloseTo(17.25 + asked.unmadePenalty, 9);
    const batches = request({
      profiles: [
        {
          id: 'P',
          stock: [{ id: 'new', length: 2000, price: 20, batch: 'June' }],
          rack: [{ id: 'R1', length: 900, batch: 'May' }],
        },
      ],
    });
    // One frame out of two finish batches costs its penalty, once.
    expect(costOfSticks(batches, bars, [])).toBeCloseTo(17.25 + penalty, 9);
  });

  it('never lies under the bound it is told with, however many sticks are kept', () => {
    const { asked, plan } = whole(request());
    fc.assert(
      fc.property(fc.subarray([...plan.bars.keys()]), (kept) => {
        const bars = kept.map((index) => plan.bars[index]!);
        const again = withRestOfSticks(asked, plan, bars, sticksOf(restOfSticks(asked, bars)));
        expect(again.bound).toBeLessThanOrEqual(again.cost + 1e-9);
        expect(again.gap).toBeGreaterThanOrEqual(0);
      }),
      { seed: 16, numRuns: 12 },
    );
  });
});
