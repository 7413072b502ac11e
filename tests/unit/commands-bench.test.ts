import { beforeAll, describe, expect, it } from 'vitest';
import { CHECK_POINTS } from '@/core/route/steps';
import { boardView, jobView } from '@/server/views';
import { type Stocked, TOTAL, codes, must, stocked } from '../stocked';

let accepted: Stocked['accepted'];
let app: Stocked['app'];
let viewOf: Stocked['viewOf'];
beforeAll(async () => {
  ({ accepted, app, viewOf } = await stocked());
});

describe('through the shop', () => {
  const good = Object.fromEntries(Object.keys(CHECK_POINTS).map((point) => [point, 'ok' as const]));
  const ticks = ['insisted-kept', 'right-way-up'];

  it('works every step, sends a failed check back and counts it, and hands over for the balance', async () => {
    const { orderId, jobId } = await accepted();
    const number = (await viewOf(orderId)).number;
    const job = async () => (await jobView(app.viewer(), `${number}-1`))!;
    const step = async (to: 'doing' | 'done' | 'todo', key?: string) => {
      const now = await job();
      return app.command('move-step', { jobId, revision: now.revision, step: (key ?? now.next) as never, to, ticks });
    };
    expect(codes(await step('done', 'fit'))).toBe('step-needs');
    expect((await job()).state).toBe('waiting-for-material');
    for (let now = await job(); now.next !== 'final-check'; now = await job()) await must(step('done'));
    expect(
      codes(await app.command('final-check', { jobId, revision: (await job()).revision, points: { corners: 'ok' } })),
    ).toBe('check-open');
    await must(
      app.command('final-check', {
        jobId,
        revision: (await job()).revision,
        points: { ...good, 'specks-inside': { failed: 'a hair' } },
      }),
    );
    const back = await job();
    expect([back.next, back.steps.filter((one) => one.state === 'todo').map((one) => one.step)]).toEqual([
      'fit',
      ['fit', 'back-and-hang', 'touch-up', 'final-check', 'hand-over'],
    ]);
    expect((await boardView(app.viewer())).jobs.find((one) => one.ticket === back.ticket)!.failures).toBe(1);
    expect(
      codes(await app.command('move-step', { jobId, revision: back.revision, step: 'fit', to: 'done', ticks: [] })),
    ).toBe('enclosure-open');
    for (let now = await job(); now.next !== 'final-check'; now = await job()) await must(step('done'));
    expect((await job()).steps.find((one) => one.step === 'fit')!.times).toBe(2);
    await must(app.command('final-check', { jobId, revision: (await job()).revision, points: good }));
    const hand = () => app.command('hand-over', { orderId, revision: 2, signedBy: 'Bo Ström', identified: true });
    expect(codes(await hand())).toBe('balance-open');
    await must(app.command('take-cash', { orderId, paymentId: crypto.randomUUID(), amount: TOTAL }));
    await must(hand());
    expect([(await viewOf(orderId)).state, (await job()).state]).toEqual(['handed-over', 'handed-over']);
    expect(codes(await step('todo', 'final-check'))).toBe('job-closed');
  });

  it('holds and releases; a held job stands still; a stale bench is refused', async () => {
    const { orderId, jobId } = await accepted();
    const number = (await viewOf(orderId)).number;
    await must(app.command('hold', { jobId, revision: 1, reason: 'Moulding is late', who: 'supplier' }));
    expect(
      codes(await app.command('move-step', { jobId, revision: 2, step: 'materials-here', to: 'done', ticks: [] })),
    ).toBe('job-held');
    expect(codes(await app.command('release', { jobId, revision: 1 }))).toBe('job-stale');
    await must(app.command('release', { jobId, revision: 2 }));
    await must(app.command('move-step', { jobId, revision: 3, step: 'materials-here', to: 'done', ticks: [] }));
    await must(app.command('move-step', { jobId, revision: 4, step: 'materials-here', to: 'todo', ticks: [] }));
    expect((await jobView(app.viewer(), `${number}-1`))!.state).toBe('waiting-for-material');
  });
});
