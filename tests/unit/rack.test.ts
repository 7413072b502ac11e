import fs from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Asked } from '@/contract/commands';
import { writeRackList } from '@/core/cutting/rack-list';
import { newDesign } from '@/core/design/design';
import { defaultSettings } from '@/core/settings';
import { inches } from '@/core/units/length';
import { cutJobs, cutRequests } from '@/server/cutting/needs';
import { cutSheetPaper } from '@/server/papers/cut-sheet';
import { planByNumber, planCsv } from '@/server/plans-made';
import { bare as withoutCosts } from '@/core/agreed';
import { rackPieces, rackView } from '@/server/rack-views';
import { jobView } from '@/server/views';
import { type TestApp, openApp } from '../app';
import { composed } from '../cutting/composed';

let app: TestApp;
let tickets: string[];
const codes = (answer: { ok: boolean; issues?: { code: string }[] }) =>
  answer.ok ? 'ok' : answer.issues!.map((one) => one.code).join();
const must = async (answer: Promise<{ ok: boolean; issues?: { code: string }[] }>) =>
  expect(codes(await answer)).toBe('ok');
const stick = (length: number, over: Partial<Asked<'put-rack-piece'>> = {}): Asked<'put-rack-piece'> => ({
  id: crypto.randomUUID(),
  kind: 'stick',
  material: 'MAR-31',
  length,
  height: null,
  batch: 'May',
  noGo: [],
  place: 'A 1',
  note: '',
  ...over,
});
const onRack = async () => (await rackPieces(app.viewer())).map((one) => one.code).sort();

/** A plan of some jobs as the rack stands now. */
async function planned(of: readonly string[] = tickets): Promise<Asked<'confirm-plan'>> {
  const { requests } = await cutRequests(app.db, (await app.books())!, of);
  const { sticks, sheets } = composed(requests);
  return {
    id: crypto.randomUUID(),
    tickets: [...of],
    sticks: sticks as never,
    sheets: sheets as never,
  };
}

beforeEach(async () => {
  app = await openApp();
  await app.setUp();
  const text = fs.readFileSync('samples/mouldings-clean.csv', 'utf8');
  await must(app.command('import-list', { text, edition: 1, file: 'clean.csv' }));
  const customerId = crypto.randomUUID();
  await must(app.command('add-customer', { id: customerId, name: 'Bo', phone: '', email: '' }));
  const start = newDesign(
    defaultSettings('in'),
    { mat: 'RAG-SHELL', moulding: 'MAR-31', glazing: 'GL-CLEAR', backing: 'FOAM-5' },
    inches(12),
    inches(16),
  );
  const design = { ...start, border: { mode: 'equal' as const, all: inches(2, 1, 2) } };
  const order = crypto.randomUUID();
  const pieces = [0, 1].map(() => ({ id: crypto.randomUUID(), design }));
  await must(app.command('save-quote', { orderId: order, revision: null, customerId, promised: '2031-05-20', pieces }));
  const quoted = await app.command('accept-order', { orderId: order, revision: 1, total: 1, reasons: {} });
  const total = quoted.ok ? 0 : Number(quoted.issues[0]!.figures.now);
  await must(app.command('accept-order', { orderId: order, revision: 1, total, reasons: {} }));
  for (const { id } of pieces)
    await must(app.command('move-step', { jobId: id, revision: 1, step: 'materials-here', to: 'done', ticks: [] }));
  tickets = (await cutJobs(app.db, defaultSettings('in'))).map((job) => job.ticket);
  await must(app.command('put-rack-piece', stick(inches(70))));
  await must(app.command('set-stock', { material: 'MAR-31', onHand: 5, minimum: 2 }));
});

describe('what is to be cut', () => {
  it('is every leg and board of the jobs, by their figures, until a plan has it', async () => {
    const [job] = await cutJobs(app.db, defaultSettings('in'));
    expect(job!.wanted.frames[0]!.legs.map((leg) => leg.length / 8128)).toEqual([18.875, 18.875, 22.875, 22.875]);
    expect(job!.wanted.parts.map((part) => [part.what, part.material])).toEqual([
      ['glazing', 'GL-CLEAR'],
      ['mat', 'RAG-SHELL'],
      ['board', 'FOAM-5'],
    ]);
    await must(app.command('confirm-plan', await planned([tickets[0]!])));
    expect((await cutJobs(app.db, defaultSettings('in'))).map((one) => one.ticket)).toEqual([tickets[1]]);
  });
});

describe('confirming a plan', () => {
  it('takes the material and puts the offcuts on the rack, and undoing puts all of it back as it was', async () => {
    const before = await onRack();
    const view = (await rackView(app.viewer()))!;
    const plan = await planned();
    await must(app.command('confirm-plan', plan));
    const after = (await rackView(app.viewer()))!;
    const opened = plan.sticks.bars.filter((bar) => bar.source === 'MAR-31 stick').length;
    expect(after.stock.find((one) => one.material === 'MAR-31')!.onHand).toBe(5 - opened);
    const kept = plan.sticks.bars.filter((bar) => bar.offcut > 0).map((bar) => Math.round(bar.offcut * 320));
    expect(
      after.pieces
        .filter((one) => one.origin === 'offcut' && one.kind === 'stick')
        .map((one) => one.length)
        .sort(),
    ).toEqual(kept.sort());
    const used = plan.sticks.bars.flatMap((bar) => (before.includes(bar.source) ? [bar.source] : []));
    expect(used.length).toBeGreaterThan(0);
    for (const code of used) expect(await onRack()).not.toContain(code);
    expect(after.pieces.some((one) => one.origin === 'drop-out')).toBe(true);
    const { figures, number } = after.plans[0]!;
    expect(figures.sticks.opened).toBeCloseTo(
      figures.sticks.kept + figures.sticks.lost + 8 * 0 + tickets.length * 2 * (18.875 + 22.875) * 25.4,
      3,
    );
    expect(figures.sticks.apart).toBeGreaterThan(figures.sticks.cost);
    const row = (await planByNumber(app.db, number))!;
    expect(planCsv(row).match(/,leg,/g)).toHaveLength(8);
    const paper = await cutSheetPaper(
      { number, day: 'Mon', by: 'Ada', requests: row.request, plans: row.plan, beside: [] },
      view.lists,
      'in',
    );
    expect(Buffer.from(paper.subarray(0, 5)).toString()).toBe('%PDF-');

    await must(app.command('undo-plan', { id: plan.id }));
    expect(await onRack()).toEqual(before);
    const back = (await rackView(app.viewer()))!;
    const counts = (of: typeof back) => of.stock.map(({ revision: _revision, ...one }) => one);
    expect(counts(back)).toEqual(counts(view));
    expect(back.jobs).toEqual(view.jobs);
    expect(codes(await app.command('undo-plan', { id: plan.id }))).toBe('plan-unknown');
  });

  it('is refused when the rack or the jobs have changed since, and nothing is taken', async () => {
    const plan = await planned();
    const used = plan.sticks.bars.find((bar) => bar.source.startsWith('K'))!.source;
    const piece = (await rackPieces(app.viewer())).find((one) => one.code === used)!;
    await must(app.command('remove-rack-piece', { id: piece.id, revision: piece.revision, reason: 'warped' }));
    expect(codes(await app.command('confirm-plan', plan))).toBe('plan-rack-changed');
    expect((await rackView(app.viewer()))!.plans).toEqual([]);
    const [one, other] = [await planned(), await planned()];
    await must(app.command('confirm-plan', one));
    expect(codes(await app.command('confirm-plan', other))).toBe('plan-rack-changed');
  });

  it('is refused for a plan that was tampered with', async () => {
    const plan = await planned();
    const wrong = {
      ...plan,
      sticks: { ...plan.sticks, bars: plan.sticks.bars.map((bar) => ({ ...bar, offcut: bar.offcut + 10 })) },
    };
    expect(codes(await app.command('confirm-plan', wrong))).toBe('plan-wrong,offcut-untrue');
    expect(codes(await app.command('confirm-plan', { ...plan, tickets: ['9999-1'] }))).toBe('plan-rack-changed');
  });

  it('can be undone only while it is the latest and its offcuts lie there', async () => {
    const first = await planned([tickets[0]!]);
    await must(app.command('confirm-plan', first));
    await must(app.command('confirm-plan', await planned([tickets[1]!])));
    expect(codes(await app.command('undo-plan', { id: first.id }))).toBe('plan-not-latest');
  });
});

describe('a spoiled cut', () => {
  it('is wanted again by itself, and what is left of it lies on the rack', async () => {
    const plan = await planned();
    await must(app.command('confirm-plan', plan));
    expect(await cutJobs(app.db, defaultSettings('in'))).toEqual([]);
    const spoil = (over: Partial<Asked<'spoil-cut'>>) =>
      app.command('spoil-cut', { planId: plan.id, part: `${tickets[0]} top`, why: 'chipped', left: null, ...over });
    expect(codes(await spoil({ part: 'ghost' }))).toBe('cut-part-unknown');
    expect(codes(await spoil({ left: { length: inches(40), height: null } }))).toBe('spoil-too-long');
    await must(spoil({ left: { length: inches(15), height: null } }));
    expect(codes(await spoil({}))).toBe('cut-part-unknown');
    const [again] = await cutJobs(app.db, defaultSettings('in'));
    expect([again!.ticket, again!.again, again!.wanted.frames[0]!.legs.map((leg) => leg.id)]).toEqual([
      tickets[0],
      1,
      [`${tickets[0]} top`],
    ]);
    const left = (await rackPieces(app.viewer())).find((one) => one.origin === 'spoiled')!;
    expect([left.length, left.material]).toEqual([inches(15), 'MAR-31']);
    expect(codes(await app.command('undo-plan', { id: plan.id }))).toBe('plan-begun');
    await must(app.command('confirm-plan', await planned([tickets[0]!])));
    expect(await cutJobs(app.db, defaultSettings('in'))).toEqual([]);
  });
});

describe('a plan at the bench', () => {
  const jobOf = async (ticket: string) => (await jobView(app.viewer(), ticket))!;

  it('says at each step which stick or sheet a part is cut from, and its place on it', async () => {
    const plan = await planned();
    await must(app.command('confirm-plan', plan));
    const { planned: parts } = await jobOf(tickets[0]!);
    const legs = parts.filter((part) => part.step === 'cut-legs');
    expect(legs.map((part) => part.part).sort()).toEqual(
      ['bottom', 'left', 'right', 'top'].map((side) => `${tickets[0]} ${side}`),
    );
    for (const { part, source, piece, of } of legs) {
      const bar = plan.sticks.bars.find((one) => one.source === source && one.pieces[piece - 1]?.leg === part)!;
      expect([bar.pieces.length, bar.profile]).toEqual([of, 'MAR-31']);
    }
    expect(
      parts
        .filter((part) => part.step !== 'cut-legs')
        .map((part) => [part.step, part.material])
        .sort(),
    ).toEqual([
      ['cut-backing', 'FOAM-5'],
      ['cut-glazing', 'GL-CLEAR'],
      ['cut-mats', 'RAG-SHELL'],
    ]);
    await must(app.command('undo-plan', { id: plan.id }));
    expect((await jobOf(tickets[0]!)).planned).toEqual([]);
  });

  it('is cut at once: its steps are done for every job that has nothing else to cut, the others are named', async () => {
    const plan = await planned();
    await must(app.command('confirm-plan', plan));
    const held = await jobOf(tickets[1]!);
    await must(
      app.command('hold', { jobId: held.id, revision: held.revision, reason: 'To be asked', who: 'customer' }),
    );
    const cut = async (kind: 'sticks' | 'sheets') => app.command('cut-plan-done', { planId: plan.id, kind });
    const sticks = await cut('sticks');
    expect(sticks.ok && sticks.value).toMatchObject({ done: 1, left: tickets[1] });
    const state = async (ticket: string) =>
      (await jobOf(ticket)).steps.filter((step) => step.state === 'done').map((step) => step.step);
    expect([await state(tickets[0]!), await state(tickets[1]!)]).toEqual([
      ['materials-here', 'cut-legs'],
      ['materials-here'],
    ]);
    const now = await jobOf(tickets[1]!);
    await must(app.command('release', { jobId: now.id, revision: now.revision }));
    const sheets = await cut('sheets');
    expect(sheets.ok && sheets.value).toMatchObject({ done: 6, left: '' });
    expect(await state(tickets[1]!)).toEqual(['materials-here', 'cut-mats', 'cut-glazing', 'cut-backing']);
    const again = await cut('sheets');
    expect(again.ok && again.value).toMatchObject({ done: 0, left: '' });
    const event = (await jobOf(tickets[0]!)).events.at(-1)!;
    expect([event.what, event.detail]).toEqual(['done', { plan: 1 }]);
  });

  it('does not end the saw for a job with a spoiled leg, and shows it at its job until it is planned again', async () => {
    const plan = await planned();
    await must(app.command('confirm-plan', plan));
    const part = `${tickets[0]} left`;
    await must(app.command('spoil-cut', { planId: plan.id, part, why: 'A dent was seen late', left: null }));
    expect((await jobOf(tickets[0]!)).spoiled).toEqual([{ part, why: 'A dent was seen late' }]);
    const cut = await app.command('cut-plan-done', { planId: plan.id, kind: 'sticks' });
    expect(cut.ok && cut.value).toMatchObject({ done: 1, left: tickets[0] });
    await must(app.command('confirm-plan', await planned([tickets[0]!])));
    expect((await jobOf(tickets[0]!)).spoiled).toEqual([]);
    expect(codes(await app.command('cut-plan-done', { planId: crypto.randomUUID(), kind: 'sticks' }))).toBe(
      'plan-unknown',
    );
  });

  it('leaves mats on the list of the mat cutter until they are cut, planned or not', async () => {
    const mats = async () => (await rackView(app.viewer()))!.mats.map((job) => [job.ticket, job.mats, job.planned]);
    expect(await mats()).toEqual(tickets.map((ticket) => [ticket, 1, false]));
    const plan = await planned([tickets[0]!]);
    await must(app.command('confirm-plan', plan));
    expect(await mats()).toEqual([
      [tickets[0], 1, true],
      [tickets[1], 1, false],
    ]);
    await must(app.command('cut-plan-done', { planId: plan.id, kind: 'sheets' }));
    expect(await mats()).toEqual([[tickets[1], 1, false]]);
  });

  it('costs what it costs, also when the bench confirms it without seeing a cost', async () => {
    const wen = { id: crypto.randomUUID(), name: 'Wen', role: 'bench' as const };
    await must(app.command('add-staff', { id: wen.id, name: 'Wen', pin: '9417', role: 'bench' }));
    const books = (await app.books())!;
    const bare = { ...books, lists: withoutCosts(books.lists) };
    const { requests } = await cutRequests(app.db, bare, tickets);
    const { sticks, sheets } = composed(requests);
    const plan = { id: crypto.randomUUID(), tickets, sticks: sticks as never, sheets: sheets as never };
    expect(codes(await app.command('confirm-plan', plan, { as: wen }))).toBe('ok');
    const [made] = (await rackView(app.viewer()))!.plans;
    const whole = (await planByNumber(app.db, made!.number))!;
    expect(whole.plan.sticks.cost).toBeGreaterThan(0);
    expect(whole.plan.sticks.cost).not.toBe((sticks as { cost: number }).cost);
    expect(made!.figures.sticks.cost).toBeCloseTo(whole.plan.sticks.cost, 6);
    const seen = (await rackView({ ...app.viewer('bench'), person: wen } as never))!.plans[0]!;
    expect(seen.figures.sticks.cost).toBe(0);
  });

  it('keeps a dent that lies in what is left, measured from its new end', async () => {
    const long = stick(inches(119), { noGo: [{ from: inches(110), to: inches(111) }], batch: 'June' });
    for (const { id, revision } of await rackPieces(app.viewer()))
      await must(app.command('remove-rack-piece', { id, revision, reason: 'for the test' }));
    await must(app.command('put-rack-piece', long));
    const plan = await planned([tickets[0]!]);
    await must(app.command('confirm-plan', plan));
    const [code] = plan.sticks.bars.map((bar) => bar.source);
    const bar = plan.sticks.bars.find((one) => one.source === code && one.offcut > 0)!;
    const kept = (await rackPieces(app.viewer())).find((one) => one.origin === 'offcut' && one.kind === 'stick')!;
    const from = inches(119) - Math.round(bar.offcut * 320);
    expect([kept.batch, kept.length]).toEqual(['June', Math.round(bar.offcut * 320)]);
    expect(kept.noGo).toEqual([{ from: inches(110) - from, to: inches(111) - from }]);
  });

  it('gives back a sheet that was spoiled only as large as it was, either way round', async () => {
    const plan = await planned();
    await must(app.command('confirm-plan', plan));
    const part = `${tickets[0]} glazing`;
    const { w, h } = (await planByNumber(app.db, 1))!.request.sheets.parts.find((one) => one.id === part)!;
    const units = (mm: number) => Math.round(mm * 320);
    const spoil = async (left: { length: number; height: number | null }) =>
      codes(await app.command('spoil-cut', { planId: plan.id, part, why: 'cracked', left }));
    expect(await spoil({ length: units(w) + 1, height: units(h) })).toBe('spoil-too-long');
    expect(await spoil({ length: units(h), height: units(w) + 1 })).toBe('spoil-too-long');
    expect(await spoil({ length: units(w), height: null })).toBe('spoil-two-sizes');
    expect(await spoil({ length: units(h), height: units(w) })).toBe('ok');
    const left = (await rackPieces(app.viewer())).find((one) => one.origin === 'spoiled')!;
    expect([left.kind, left.material, left.note, left.batch]).toEqual(['sheet', 'GL-CLEAR', 'spoiled: cracked', '']);
  });

  it('cannot be undone when an offcut of it is gone, and says which', async () => {
    const plan = await planned();
    await must(app.command('confirm-plan', plan));
    const [offcut] = (await rackPieces(app.viewer())).filter((one) => one.origin === 'offcut');
    await must(app.command('remove-rack-piece', { id: offcut!.id, revision: offcut!.revision, reason: 'used' }));
    const answer = await app.command('undo-plan', { id: plan.id });
    expect(!answer.ok && answer.issues).toMatchObject([
      { code: 'plan-offcut-gone', figures: { number: 1, code: offcut!.code } },
    ]);
    expect((await rackView(app.viewer()))!.plans[0]!.state).toBe('confirmed');
  });

  it('is refused with what has changed, and when it has nothing in it', async () => {
    const plan = await planned();
    const answer = await app.command('confirm-plan', { ...plan, tickets: [...tickets, '9999-1'] });
    expect(!answer.ok && answer.issues).toMatchObject([{ code: 'plan-rack-changed', figures: { what: '9999-1' } }]);
    const none = { unmade: [...plan.sticks.unmade], cost: 0, bound: 0, gap: 0, optimal: false };
    const empty = {
      ...plan,
      sticks: { ...plan.sticks, ...none, bars: [] },
      sheets: { ...plan.sheets, ...none, sheets: [] },
    };
    expect(codes(await app.command('confirm-plan', empty))).not.toBe('ok');
    expect((await rackView(app.viewer()))!.plans).toEqual([]);
  });

  it('tells what it took and made in the log, and touches rack and board', async () => {
    const heard: string[][] = [];
    const stop = app.bus.listen(({ touched }) => heard.push([...touched]));
    const plan = await planned();
    await must(app.command('confirm-plan', plan));
    await must(app.command('spoil-cut', { planId: plan.id, part: `${tickets[0]} top`, why: 'short', left: null }));
    stop();
    expect(heard).toEqual([
      ['rack', 'board'],
      ['rack', 'board'],
    ]);
    const rows = await app.db.query<{ what: string; after: Record<string, unknown> }>(
      "SELECT what, after FROM audit WHERE entity = 'cut plan' ORDER BY id",
    );
    expect(rows.map(({ what }) => what)).toEqual(['plan confirmed', 'cut spoiled']);
    expect(rows[0]!.after).toMatchObject({ number: 1, tickets });
    expect((rows[0]!.after.codes as string[]).length).toBeGreaterThan(0);
    expect(rows[1]!.after).toEqual({ part: `${tickets[0]} top`, why: 'short', left: null });
  });
});

describe('the rack', () => {
  it('refuses what cannot lie there, beside its field', async () => {
    expect(codes(await app.command('put-rack-piece', stick(inches(20), { material: 'GHOST' })))).toBe(
      'material-unknown',
    );
    expect(codes(await app.command('put-rack-piece', stick(inches(20), { height: inches(3) })))).toBe('rack-height');
    expect(
      codes(await app.command('put-rack-piece', stick(inches(20), { noGo: [{ from: inches(19), to: inches(22) }] }))),
    ).toBe('rack-zone');
    expect(codes(await app.command('put-rack-piece', stick(-4)))).toBe('input-wrong');
    expect(codes(await app.command('set-stock', { material: 'MAR-31', onHand: -1, minimum: 0 }))).toBe('input-wrong');
  });

  it('comes back from its own list; a list with a bad row is not taken', async () => {
    await must(
      app.command(
        'put-rack-piece',
        stick(inches(33, 1, 64), { noGo: [{ from: inches(3), to: inches(4, 1, 2) }], note: 'a, "b"' }),
      ),
    );
    await must(
      app.command('put-rack-piece', {
        ...stick(inches(20)),
        kind: 'sheet',
        material: 'RAG-SHELL',
        length: 6407,
        height: 9001,
        batch: '',
      }),
    );
    const pieces = await rackPieces(app.viewer());
    const text = writeRackList(pieces, 'in');
    await must(app.command('import-rack', { text, file: 'rack.csv' }));
    const seen = (list: typeof pieces) =>
      list
        .map((one) =>
          JSON.stringify([one.kind, one.material, one.length, one.height, one.batch, one.noGo, one.place, one.note]),
        )
        .sort();
    const now = await rackPieces(app.viewer());
    expect(seen(now)).toEqual([...seen(pieces), ...seen(pieces)].sort());
    for (const bad of [
      '',
      'kind,material\n',
      'kind,material,length\nstick,GHOST,20\n',
      'kind,material,length\nstick,MAR-31,=1+1\n',
      'kind,material,length,no-go\nstick,MAR-31,20,5 to 900\n',
      'kind,material,unit,length,height\nsheet,RAG-SHELL,in,20,\n',
      'kind,material,length,note\nstick,MAR-31,20,=SUM(1)\n',
    ])
      expect(codes(await app.command('import-rack', { text: bad, file: 'x' })), bad).not.toBe('ok');
    expect(await rackPieces(app.viewer())).toHaveLength(now.length);
  });
});
