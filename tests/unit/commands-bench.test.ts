import { beforeAll, describe, expect, it } from 'vitest';
import type { Asked } from '@/contract/commands';
import type { JobView } from '@/contract/views';
import { length } from '@/core/units/length';
import { CHECK_POINTS } from '@/core/route/steps';
import { daysLater } from '@/server/clock';
import { boardView, jobView } from '@/server/views';
import { type Stocked, TOTAL, codes, must, stocked } from '../stocked';

let accepted: Stocked['accepted'];
let app: Stocked['app'];
let viewOf: Stocked['viewOf'];
let shop: Stocked;
beforeAll(async () => {
  shop = await stocked();
  ({ accepted, app, viewOf } = shop);
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
      return app.command('move-step', {
        jobId,
        revision: now.revision,
        step: (key ?? now.next) as never,
        to,
        ticks,
        early: true,
      });
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
      codes(
        await app.command('move-step', {
          jobId,
          revision: back.revision,
          step: 'fit',
          to: 'done',
          ticks: [],
          early: true,
        }),
      ),
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

  it('asks before glue is cured, counts the minutes of what was begun, and says what is free when', async () => {
    const { jobId, ticket } = await accepted();
    await shop.workTo(ticket, 'join');
    const job = async () => (await jobView(app.viewer(), ticket))!;
    const started = app.clock.at;
    const move = async (step: string, to: 'doing' | 'done', early = false) =>
      codes(
        await app.command('move-step', {
          jobId,
          revision: (await job()).revision,
          step: step as never,
          to,
          ticks,
          early,
        }),
      );
    expect(await move('join', 'doing')).toBe('ok');
    app.clock.at = new Date(started.getTime() + 17 * 60_000);
    expect(await move('join', 'done')).toBe('ok');
    const joined = (await job()).steps.find(({ step }) => step === 'join')!;
    expect(joined.spent).toBe(17);
    for (let now = await job(); now.next !== 'fit'; now = await job()) expect(await move(now.next!, 'done')).toBe('ok');
    const fit = (await job()).steps.find(({ step }) => step === 'fit')!;
    expect([fit.waiting?.for, fit.waiting?.free]).toEqual(['glue cure', '2031-05-06T09:00']);
    expect((await boardView(app.viewer())).jobs.find((one) => one.ticket === ticket)!.waiting?.after).toBe('join');
    expect([await move('fit', 'doing'), await move('fit', 'done')]).toEqual(['step-too-early', 'step-too-early']);
    expect(await move('fit', 'done', true)).toBe('ok');
    const begun = (await job()).events.find(({ what, step }) => what === 'done' && step === 'fit');
    expect(begun?.detail).toMatchObject({ early: true });
    app.clock.at = started;
  });

  it('keeps what was measured, re-sizes what is not cut, and refuses what cannot be of this piece', async () => {
    const { jobId, ticket } = await accepted();
    await shop.workTo(ticket, 'join');
    const job = async () => (await jobView(app.viewer(), ticket))!;
    const before = await job();
    const { w, h } = before.worked.sizes.rabbet!;
    const less = 508;
    const record = async (built: Asked<'record-built'>['built'], revision?: number) =>
      codes(await app.command('record-built', { jobId, revision: revision ?? (await job()).revision, built }));
    const top = length(w - less);
    const seat = { top, bottom: top, left: h, right: h };
    expect(await record({ seat }, before.revision - 1)).toBe('job-stale');
    expect(await record({ inside: { w, h } })).toBe('built-not-here');
    expect(await record({ seat: { ...seat, top: length(w + 9000) } })).toBe('built-far');
    expect(await record({ seat })).toBe('ok');
    const glass = ({ worked }: JobView) =>
      worked.parts.find((part) => part.kind === 'flat' && part.part === 'glazing')!;
    const cut = (view: JobView) => (glass(view) as { exact: { w: number } }).exact.w;
    expect(cut(await job())).toBe(cut(before) - less);
    const said = (await job()).instructions.find(({ step }) => step === 'cut-glazing')!.lines[0]!;
    const known = before.instructions.find(({ step }) => step === 'cut-glazing')!.lines[0]!;
    expect((said.big![0]!.value as { w: number }).w).toBeLessThan((known.big![0]!.value as { w: number }).w);
    expect(await record({ seat: { ...seat, top: length(w - 4 * less) } })).toBe('ok');
    expect((await job()).disagrees.map(({ code }) => code)).toEqual(['built-beyond']);
    expect(cut(await job())).toBe(cut(before));
    expect((await job()).events.filter(({ what }) => what === 'measured')).toHaveLength(2);
  });

  it('counts each time a package is opened again, where it happens', async () => {
    const { jobId, ticket } = await accepted();
    await shop.workTo(ticket, 'fit');
    const open = async (why: string) => {
      const { revision } = await shop.jobOf(ticket);
      return codes(await app.command('open-again', { jobId, revision, why }));
    };
    expect([await open('A speck'), await open('A fibre'), await open('  ')]).toEqual([
      'ok',
      'ok',
      'input-wrong,input-wrong',
    ]);
    const { events } = await shop.jobOf(ticket);
    expect(events.filter(({ what }) => what === 'opened').map(({ detail }) => detail.why)).toEqual([
      'A speck',
      'A fibre',
    ]);
  });

  it('holds until a day, not one that is over, and tells the first day that follows from it', async () => {
    const { jobId, ticket } = await accepted();
    const told = async () => (await boardView(app.viewer())).jobs.find((one) => one.ticket === ticket)!;
    const promised = (await told()).promised;
    expect((await told()).notBefore).toBeNull();
    const put = (until?: string) =>
      app.command('hold', { jobId, revision: 1, reason: 'No glass', who: 'supplier', ...(until && { until }) });
    expect(codes(await put('2031-05-04'))).toBe('hold-past');
    expect(codes(await put('next week'))).toContain('input-wrong');
    await must(put(daysLater(promised, 1)));
    const held = await told();
    expect(held.hold).toMatchObject({ who: 'supplier', until: daysLater(promised, 1) });
    // It cannot go on before that day, and there is work left to do after it.
    expect(held.notBefore! >= daysLater(promised, 1)).toBe(true);
    await must(app.command('release', { jobId, revision: 2 }));
    expect((await told()).notBefore).toBeNull();
    // Nobody can say when: nothing is said.
    await must(app.command('hold', { jobId, revision: 3, reason: 'No glass', who: 'supplier' }));
    expect(await told()).toMatchObject({ hold: { until: null }, notBefore: null });
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
