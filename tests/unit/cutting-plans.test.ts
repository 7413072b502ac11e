import fc from 'fast-check';
import { Worker } from 'node:worker_threads';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { moveLeg, restOfSticks, withRestOfSticks } from '@/core/cutting/arrange';
import type { SticksRequest } from '@/core/cutting/request';
import { sheetsSchema, sticksSchema } from '@/core/cutting/request-schema';
import { checkSheets } from '@/core/cutting/sheets/check';
import { checkSticks } from '@/core/cutting/sticks/check';
import { makePlan } from '@/server/cutting/plans';
import { CuttingPool } from '@/server/cutting/pool';
import { ThreadDied } from '@/server/cutting/threads';
import { sourceCuttingThread } from '../../scripts/cutting-thread';
import { bulkFrames, dayOfFrames, dayOfRectangles, perfectSheets, threeAStick } from '../cutting/generate';
import { rounds } from '../wide';

let pool: CuttingPool;
beforeAll(async () => {
  pool = new CuttingPool(sourceCuttingThread);
  await pool.warm();
});
afterAll(() => pool.close());
const codes = (answer: { ok: boolean; issues?: readonly { code: string }[] }) =>
  answer.ok ? 'ok' : answer.issues!.map((one) => one.code).join();
async function plan(request: SticksRequest, budgetMs = 300) {
  const answer = await makePlan(pool, 'sticks', request, { budgetMs });
  if (!answer.ok) throw new Error(codes(answer));
  return answer.value;
}

/** First fit decreasing of one stock length, as everybody knows it. */
function firstFit(request: SticksRequest): number {
  const { kerf, endTrim, minOffcut, offcutValue } = request;
  let cost = 0;
  for (const { id, stock } of request.profiles) {
    const size = stock[0]!.length;
    const lengths = request.frames
      .filter((frame) => frame.profile === id)
      .flatMap((frame) => frame.legs.map((leg) => leg.length));
    const loads: number[] = [];
    for (const long of lengths.sort((a, b) => b - a)) {
      const at = loads.findIndex((load) => load + long + kerf <= size - 2 * endTrim + kerf + 1e-9);
      if (at < 0) loads.push(long + kerf);
      else loads[at]! += long + kerf;
    }
    for (const load of loads) {
      const left = size - endTrim - load;
      cost += size - (left >= minOffcut ? offcutValue * left : 0);
    }
  }
  return cost;
}

describe('plans', () => {
  it('of any request pass the checker, which looks on every one of them, and are told as they get better', async () => {
    const request = fc.record({
      kerf: fc.constantFrom(0, 3, 4.243),
      endTrim: fc.constantFrom(0, 10),
      lengths: fc.array(fc.integer({ min: 90, max: 3400 }), { minLength: 1, maxLength: 30 }),
      stock: fc.array(fc.integer({ min: 500, max: 4000 }), { minLength: 0, maxLength: 3 }),
      rack: fc.array(fc.integer({ min: 100, max: 2000 }), { maxLength: 8 }),
      batches: fc.integer({ min: 1, max: 3 }),
    });
    await fc.assert(
      fc.asyncProperty(request, async ({ lengths, stock, rack, batches, ...rest }) => {
        const answer = await makePlan(
          pool,
          'sticks',
          {
            ...rest,
            profiles: [
              {
                id: 'M',
                stock: stock.map((length, at) => ({
                  id: `s${at}`,
                  length,
                  batch: `${at % batches}`,
                  qty: at === 1 ? 2 : null,
                })),
                rack: rack.map((length, at) => ({
                  id: `r${at}`,
                  length,
                  batch: `${at % batches}`,
                  noGo: at % 3 === 0 ? [{ from: 40, to: 60 }] : [],
                })),
              },
            ],
            frames: lengths.map((length, at) => ({
              id: `F${at}`,
              profile: 'M',
              legs: [0, 1].map((leg) => ({ id: `F${at}-${leg}`, length })),
            })),
          },
          { budgetMs: 25 },
        );
        expect(codes(answer)).toBe('ok');
        if (answer.ok)
          expect(answer.value.reasons.map((one) => one.id).sort()).toEqual([...answer.value.unmade].sort());
      }),
      { numRuns: rounds(60), seed: 31 },
    );
    const told: number[] = [];
    const day = dayOfRectangles(4, 60);
    await makePlan(pool, 'sheets', day, { budgetMs: 1, turns: 120, onPlan: ({ cost }) => told.push(cost) });
    expect(told.length).toBeGreaterThan(1);
    expect(told.at(-1)!).toBeLessThan(told[0]!);
    expect([...told].sort((a, b) => b - a)).toEqual(told);
  });

  it('of sheets pass it too where not every strip comes off', async () => {
    for (const [seed, kerf] of [
      [1, 0],
      [2, 3],
    ] as const) {
      const request = { ...dayOfRectangles(seed, 40), minBreak: 20, kerf };
      const answer = await makePlan(pool, 'sheets', request, { budgetMs: 600 });
      if (!answer.ok) throw new Error(codes(answer));
      expect(answer.value.unmade).toEqual([]);
      expect(checkSheets(request, answer.value)).toEqual([]);
    }
  });

  it('begin no worse than first fit decreasing', async () => {
    for (const request of [bulkFrames(5, 100), dayOfFrames(5, 60, 0), threeAStick(5, 40)]) {
      const first: number[] = [];
      const { cost, bound } = await (async () => {
        const answer = await makePlan(pool, 'sticks', request, {
          budgetMs: 1,
          turns: 12,
          onPlan: (one) => first.push(one.cost),
        });
        if (!answer.ok) throw new Error(codes(answer));
        return answer.value;
      })();
      const plain = firstFit(request);
      expect(first[0]!).toBeLessThanOrEqual(plain + 1e-6);
      expect(cost).toBeLessThan(plain);
      expect(bound).toBeLessThanOrEqual(cost);
      expect(bound).toBeGreaterThan(0.9 * cost);
    }
  });

  it('find what was cut back together, and say that it is the best', async () => {
    const sheets = await makePlan(pool, 'sheets', perfectSheets(2, 4), { budgetMs: 8000 });
    expect(sheets.ok && [sheets.value.sheets.length, sheets.value.optimal]).toEqual([4, true]);
    const sticks = await plan(threeAStick(2, 20), 8000);
    expect([sticks.bars.length, sticks.optimal]).toEqual([20, true]);
  });

  it('are the same for the same request, seed and number of turns', async () => {
    const request = dayOfFrames(6, 20, 10);
    const once = () => makePlan(pool, 'sticks', request, { budgetMs: 1, turns: 25 });
    const [one, other] = [await once(), await once()];
    expect(one.ok && one.value.bars).toEqual(other.ok && other.value.bars);
  });

  it('take five thousand legs at once', async () => {
    const request = bulkFrames(7, 1250);
    expect(request.frames.flatMap((frame) => frame.legs)).toHaveLength(5000);
    const { bars, unmade, gap } = await plan(request, 1500);
    expect(unmade).toEqual([]);
    expect(bars.flatMap((bar) => bar.pieces)).toHaveLength(5000);
    expect(gap).toBeLessThan(0.05);
  });

  it('answer what is wrong beside its place, and why something is not made', async () => {
    const base = { profiles: [{ id: 'M', stock: [{ id: 's', length: 3000 }] }] };
    const frame = (id: string, length: number, profile = 'M') => ({ id, profile, legs: [{ id: `${id}1`, length }] });
    const ask = (body: unknown) => makePlan(pool, 'sticks', body, { budgetMs: 30 });
    for (const body of [
      null,
      'x',
      [],
      { profiles: 1 },
      { ...base, frames: [frame('F', -4)] },
      { ...base, frames: [], endTrim: -1 },
      { ...base, frames: [frame('F', Infinity)] },
    ])
      expect(codes(await ask(body))).toContain('input-wrong');
    expect(codes(await ask({ ...base, frames: [frame('F', 100), frame('F', 100)] }))).toContain('cut-name-twice');
    expect(codes(await ask({ ...base, frames: [frame('F', 100, 'X')] }))).toBe('cut-profile-unknown');
    const long = await ask({ ...base, frames: [frame('F', 5000), frame('G', 500)] });
    expect(long.ok && [long.value.unmade, long.value.reasons[0]?.code]).toEqual([['F'], 'cut-leg-too-long']);
    const none = await ask({
      profiles: [{ id: 'M', stock: [{ id: 's', length: 3000, qty: 1 }] }],
      frames: [frame('F', 2000), frame('G', 2000)],
    });
    expect(none.ok && none.value.reasons.map((one) => one.code)).toEqual(['cut-too-little']);
    const large = await makePlan(
      pool,
      'sheets',
      sheetsSchema.parse({
        materials: [{ id: 'B', rotate: false, stock: [{ id: 's', w: 500, h: 900 }] }],
        parts: [{ id: 'P', material: 'B', w: 600, h: 400 }],
      }),
      { budgetMs: 30 },
    );
    expect(large.ok && large.value.reasons[0]?.code).toBe('cut-part-too-large');
  });
});

describe('the threads', () => {
  it('stop when nobody listens any more, and work on for the next', async () => {
    const halt = new AbortController();
    const running = makePlan(pool, 'sheets', dayOfRectangles(8, 200), {
      budgetMs: 20_000,
      signal: halt.signal,
      onPlan: () => halt.abort(),
    });
    expect(codes(await running)).toBe('cut-stopped');
    expect((await plan(dayOfFrames(8, 10, 0), 200)).unmade).toEqual([]);
  });

  it('are waited for by the next request when several before it are left one after the other', async () => {
    for (const seed of [5, 6, 7, 8]) {
      const halt = new AbortController();
      const left = makePlan(pool, 'sticks', bulkFrames(seed, 300), {
        budgetMs: 20_000,
        signal: halt.signal,
        // Not before there is a plan, and at another point of the work each time.
        onPlan: () => void setTimeout(() => halt.abort(), 40 * seed),
      });
      expect(codes(await left)).toBe('cut-stopped');
    }
    expect((await plan(dayOfFrames(8, 10, 0), 200)).unmade).toEqual([]);
  });

  it('need not be there yet for a request to be left', async () => {
    // Threads that never say that they can work.
    const slow = new CuttingPool(() => new Worker('setInterval(() => undefined, 1000)', { eval: true }));
    const halt = new AbortController();
    const left = makePlan(slow, 'sheets', dayOfRectangles(8, 20), { budgetMs: 20_000, signal: halt.signal });
    halt.abort();
    expect(codes(await left)).toBe('cut-stopped');
    await slow.close();
  });

  it('are started anew when one dies, and the request is told', async () => {
    const workers: Worker[] = [];
    const frail = new CuttingPool(() => {
      const worker = sourceCuttingThread();
      workers.push(worker);
      return worker;
    });
    await frail.warm();
    const running = makePlan(frail, 'sticks', bulkFrames(3, 200), {
      budgetMs: 20_000,
      onPlan: () => void workers[0]!.terminate(),
    });
    await expect(running).rejects.toBeInstanceOf(ThreadDied);
    const again = await makePlan(frail, 'sticks', dayOfFrames(9, 10, 0), { budgetMs: 100 });
    expect(codes(again)).toBe('ok');
    expect(workers.length).toBeGreaterThan(2);
    await frail.close();
  });
});

describe('a plan changed by hand', () => {
  const legs = (id: string, count: number) => ({
    id,
    profile: 'M',
    legs: Array.from({ length: count }, (_, leg) => ({ id: `${id}${leg}`, length: 400 + 60 * (leg % 2) })),
  });
  // Only a rest of nearly half a stick is worth keeping, so that the best plan is one full stick and one of two legs.
  const request = sticksSchema.parse({
    kerf: 4,
    minOffcut: 900,
    profiles: [{ id: 'M', stock: [{ id: 's', length: 2000 }] }],
    frames: [legs('F', 4), legs('G', 2)],
  });
  it('is worked out again and still passes the checker; what does not fit is refused and nothing moves', async () => {
    const whole = await plan(request);
    expect(whole.bars.map((bar) => bar.pieces.length).sort()).toEqual([2, 4]);
    const [full, roomy] = [4, 2].map((count) => whole.bars.findIndex((bar) => bar.pieces.length === count));
    const leg = whole.bars[full!]!.pieces[0]!.leg;
    const moved = moveLeg(request, whole, leg, roomy!);
    expect(moved.ok && checkSticks(request, moved.value)).toEqual([]);
    expect(moved.ok && moved.value.bars[roomy!]!.pieces.map((piece) => piece.leg)).toContain(leg);
    const other = whole.bars[roomy!]!.pieces[0]!.leg;
    expect(codes(moveLeg(request, whole, other, full!))).toBe('cut-no-room');
    expect(codes(moveLeg(request, whole, 'ghost', 0))).toBe('cut-leg-unknown');
  });
  it('keeps what is locked while the rest is planned again', async () => {
    const whole = await plan(request);
    const kept = whole.bars.slice(0, 1);
    const rest = await plan(restOfSticks(request, kept));
    const joined = withRestOfSticks(request, whole, kept, rest);
    expect(checkSticks(request, joined)).toEqual([]);
    expect(joined.bars[0]).toEqual(kept[0]);
  });
});
