/**
 * Two days of a shop, command by command: what each answers, what it writes into the log, and what it touches; and
 * every refusal with its figures. The files of `traces` are read by people: a line that changes is a change of what is
 * kept.
 */
import { beforeEach, describe, expect, it } from 'vitest';
import type { Asked, CommandName } from '@/contract/commands';
import { CHECK_POINTS } from '@/core/route/steps';
import type { Person } from '@/db/queries/staff';
import { latestSettings } from '@/db/queries/settings';
import { settleCard } from '@/server/card';
import { composed } from '../cutting/composed';
import { cutRequests } from '@/server/cutting/needs';
import { type Stocked, CLEAN_LIST, TOTAL, stocked, stockedDesign } from '../stocked';

let shop: Stocked;
let lines: string[] = [];
/** Ids as the names of what they are of, so that two runs read alike. */
const names = new Map<string, string>();
const named = (name: string): string => {
  const id = crypto.randomUUID();
  names.set(id, `<${name}>`);
  return id;
};
const readable = (value: unknown): string => {
  const text = JSON.stringify(value, (_key, inner: unknown) =>
    typeof inner === 'object' && inner !== null && 'version' in inner ? '<a design or a result>' : inner,
  );
  return [...names]
    .reduce((so, [id, name]) => so.replaceAll(id, name), text ?? 'nothing')
    .replace(/[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g, '<id>')
    .replace(/"at":"[^"]+"/g, '"at":"<time>"')
    .replace(/"agreed":\{.*?"total":(\d+).*?\}(?=[,}])/g, '"agreed":{…$1…}');
};

let audited = 0;
let happened = 0;
let touched: readonly string[] = [];
/** Gives a command and writes down what came of it. */
async function give<N extends CommandName>(
  name: N,
  payload: Asked<N>,
  as?: { as?: Person | undefined; session?: string; program?: boolean },
) {
  touched = [];
  const answer = await shop.app.command(name, payload, as);
  if (answer.ok) lines.push(`${name}: ${readable(answer.value)}`);
  else {
    lines.push(`${name} refused`);
    for (const { code, path = '', figures } of answer.issues)
      lines.push(
        `  ${[code, path && `at ${path}`, Object.keys(figures).length > 0 && readable(figures)].filter(Boolean).join(' ')}`,
      );
  }
  const rows = await shop.app.db.query<Record<string, unknown>>(
    'SELECT id, what, entity, entity_id, before, after FROM audit WHERE id > $1 ORDER BY id',
    [audited],
  );
  for (const { id, what, entity, entity_id, before, after } of rows) {
    audited = Number(id);
    lines.push(
      `  log: ${String(what)}, ${String(entity)} ${readable(entity_id)}: ${readable(before)} -> ${readable(after)}`,
    );
  }
  const events = await shop.app.db.query<Record<string, unknown>>(
    'SELECT id, what, step, detail FROM job_event WHERE id > $1 ORDER BY id',
    [happened],
  );
  for (const { id, what, step, detail } of events) {
    happened = Number(id);
    lines.push(`  job: ${String(what)} ${String(step)} ${readable(detail)}`);
  }
  if (touched.length > 0) lines.push(`  touches ${readable(touched)}`);
  return answer;
}

beforeEach(async () => {
  shop = await stocked();
  lines = [];
  names.clear();
  happened = 0;
  names.set(shop.customerId, '<customer>');
  names.set(shop.app.owner.id, '<Ada>');
  const [last] = await shop.app.db.query<{ id: string }>('SELECT max(id) AS id FROM audit');
  audited = Number(last!.id);
  shop.app.bus.listen((told) => (touched = told.touched));
});

/** Holds what was written down against the file. */
const asBefore = (of: string) => expect(`${lines.join('\n')}\n`).toMatchFileSnapshot(`./traces/${of}.txt`);

const revisionOf = async (ticket: string) => (await shop.jobOf(ticket)).revision;

describe('what is kept of every command', () => {
  it('of people, customers, settings and books', async () => {
    const [wen, oda, two] = [named('Wen'), named('Oda'), named('Bo the second')];
    const staff = (id: string, name: string, role: 'bench' | 'counter' | 'owner') => ({ id, name, pin: '9417', role });
    await give('add-staff', staff(wen, 'Wen', 'bench'));
    await give('add-staff', staff(oda, 'Wen', 'counter'));
    await give('add-staff', staff(oda, 'Oda', 'owner'));
    await give('change-pin', { staffId: wen, was: '', pin: '4141' });
    await give('change-pin', { staffId: named('nobody'), was: '', pin: '4141' });
    const asWen = { as: { id: wen, name: 'Wen', role: 'bench' as const } };
    await give('change-pin', { staffId: oda, was: '', pin: '4141' }, asWen);
    await give('change-pin', { staffId: wen, was: '1212', pin: '5151' }, { ...asWen, session: 'one' });
    await give('change-pin', { staffId: wen, was: '4141', pin: '5151' }, { ...asWen, session: 'one' });
    await give('remove-person', { staffId: oda });
    await give('remove-person', { staffId: oda });
    await give('remove-person', { staffId: shop.app.owner.id });
    await give('re-admit-person', { staffId: wen, pin: '1212' });
    await give('re-admit-person', { staffId: named('a stranger'), pin: '1212' });
    const third = named('Oda the second');
    await give('add-staff', staff(third, 'Oda', 'bench'));
    await give('re-admit-person', { staffId: oda, pin: '1212' });
    await give('remove-person', { staffId: third });
    await give('re-admit-person', { staffId: oda, pin: '1212' });
    await give('end-sessions', { staffId: oda });
    await give('end-sessions', { staffId: shop.app.owner.id }, asWen);
    await give('end-sessions', { staffId: named('somebody else') });
    await give('add-customer', { id: two, name: 'Bo', phone: '555 0202', email: 'bo@shop.test' });
    const settings = await shop.app.shopSettings();
    await give('change-settings', { edition: 7, settings });
    await give('change-settings', { edition: 0, settings: { ...settings, glueHours: 10 } });
    await give('change-settings', { edition: 1, settings });
    expect((await latestSettings(shop.app.db))!.number).toBe(2);
    await give('set-group-rule', { edition: 9, group: 'mat', rule: { school: 'cost-up', markup: '4.5' } });
    await give('set-group-rule', { edition: 2, group: 'mat', rule: { school: 'cost-up', markup: '4.5' } });
    await give('set-group-rule', { edition: 3, group: 'mat', rule: { school: 'cost-up', markup: '4.0' } });
    await give('import-list', { text: CLEAN_LIST, edition: 1, file: 'stale.csv' });
    await give('import-list', { text: CLEAN_LIST, edition: 4, file: 'same.csv' });
    const dearer = CLEAN_LIST.replace('120,4.20,ft', '120,9.90,ft');
    await give('import-list', { text: dearer, edition: 4, file: 'dearer.csv' });
    await give('import-list', { text: CLEAN_LIST, edition: 5, file: 'back.csv' });
    await give('import-list', { text: 'Code\nX\n', edition: 6, file: 'bad.csv' });
    await asBefore('people');
  });

  it('of an order and its money', async () => {
    const [order, piece] = [named('order'), named('piece')];
    const quote = {
      orderId: order,
      customerId: shop.customerId,
      promised: '2031-12-15',
      pieces: [{ id: piece, design: stockedDesign() }],
    };
    await give('save-quote', { ...quote, revision: null, customerId: named('no customer') });
    await give('save-quote', { ...quote, revision: 1 });
    await give('save-quote', { ...quote, revision: null, promised: '2031-05-04' });
    await give('save-quote', { ...quote, revision: null, promised: '2031-05-10' });
    await give('save-quote', { ...quote, revision: null });
    await give('save-quote', { ...quote, revision: null });
    await give('save-quote', { ...quote, revision: 1, promised: '2031-12-16' });
    await give('save-quote', { ...quote, orderId: named('another order'), revision: null });
    await give('take-cash', { orderId: order, paymentId: named('too soon'), amount: 100 });
    await give('accept-order', { orderId: order, revision: 1, total: TOTAL, reasons: {} });
    await give('accept-order', { orderId: order, revision: 2, total: TOTAL + 1, reasons: {} });
    await give('accept-order', { orderId: order, revision: 2, total: TOTAL, reasons: {} });
    await give('accept-order', { orderId: order, revision: 3, total: TOTAL, reasons: {} });
    await give('save-quote', { ...quote, revision: 3 });
    const cash = named('cash');
    await give('take-cash', { orderId: order, paymentId: cash, amount: TOTAL + 1 });
    await give('take-cash', { orderId: order, paymentId: cash, amount: 9400 });
    await give('cancel-order', { orderId: order, revision: 3, reason: 'moved away' });
    const [card, second] = [named('card'), named('second card')];
    await give('ask-card', { orderId: order, requestId: card, amount: TOTAL });
    await give('ask-card', { orderId: order, requestId: card, amount: 700 });
    await give('ask-card', { orderId: order, requestId: second, amount: 1 });
    await give('take-cash', { orderId: order, paymentId: named('more cash'), amount: TOTAL - 9400 });
    await give('drop-card', { requestId: card });
    await give('drop-card', { requestId: card });
    await give('drop-card', { requestId: named('no card') });
    await give('ask-card', { orderId: order, requestId: second, amount: 500 });
    shop.app.terminal.next('pays');
    await settleCard(shop.app.viewer(), second);
    await give('card-answer', { requestId: second, answer: 'approved' });
    await give('card-answer', { requestId: second, answer: 'approved' }, { program: true });
    await give('card-answer', { requestId: card, answer: 'approved' }, { program: true });
    await give('card-answer', { requestId: named('unheard of'), answer: 'declined' }, { program: true });
    await give('reverse-payment', { paymentId: cash, newId: named('reversal'), reason: 'typed twice' });
    await give('reverse-payment', { paymentId: cash, newId: named('again'), reason: 'typed twice' });
    await give('reverse-payment', { paymentId: named('no payment'), newId: named('never'), reason: 'none' });
    await give('take-cash', { orderId: named('no order'), paymentId: named('lost'), amount: 1 });
    const [gone, goner] = [named('order given up'), named('its piece')];
    await give('save-quote', {
      ...quote,
      orderId: gone,
      revision: null,
      pieces: [{ id: goner, design: stockedDesign() }],
    });
    await give('cancel-order', { orderId: gone, revision: 9, reason: 'no' });
    await give('cancel-order', { orderId: gone, revision: 1, reason: 'sold the drawing' });
    await give('cancel-order', { orderId: gone, revision: 2, reason: 'again' });
    await give('save-quote', { ...quote, orderId: gone, revision: 2 });
    await give('take-cash', { orderId: gone, paymentId: named('too late'), amount: 1 });
    await asBefore('money');
  });

  it('of a job at the bench, to its hand-over', async () => {
    const { orderId, jobId, ticket } = await shop.accepted();
    names.set(orderId, '<an order>');
    names.set(jobId, '<a job>');
    const other = await shop.accepted();
    const to = async (step: string, how: 'doing' | 'done' | 'todo', ticks: string[] = [], early = false) =>
      give('move-step', { jobId, revision: await revisionOf(ticket), step: step as never, to: how, ticks, early });
    await give('move-step', { jobId: named('no job'), revision: 1, step: 'join', to: 'done', ticks: [] });
    await give('move-step', { jobId, revision: 9, step: 'join', to: 'done', ticks: [] });
    await to('join', 'done');
    await to('pack', 'done');
    await to('hand-over', 'done');
    await to('materials-here', 'todo');
    await to('materials-here', 'doing');
    shop.app.clock.at = new Date(shop.app.clock.at.getTime() + 7 * 60_000);
    await to('materials-here', 'done');
    await to('materials-here', 'done');
    await to('cut-legs', 'doing');
    await to('materials-here', 'todo');
    await to('cut-legs', 'todo');
    const revision = () => revisionOf(ticket);
    await give('release', { jobId, revision: await revision() });
    await give('hold', { jobId, revision: await revision(), reason: 'No glass', who: 'supplier' });
    await give('hold', { jobId, revision: await revision(), reason: 'No glass', who: 'supplier' });
    await to('cut-legs', 'done');
    const good = Object.fromEntries(Object.keys(CHECK_POINTS).map((point) => [point, 'ok' as const]));
    await give('final-check', { jobId, revision: await revision(), points: good });
    await give('hand-over', { orderId, revision: 2, signedBy: 'Bo', identified: true });
    await give('release', { jobId, revision: await revision() });
    for (const step of ['cut-legs', 'join', 'cut-mats', 'cut-glazing', 'cut-backing', 'mount']) await to(step, 'done');
    await to('fit', 'done', ['insisted-kept', 'right-way-up']);
    await to('fit', 'doing', [], true);
    await to('fit', 'done');
    await give('record-built', { jobId, revision: await revision(), built: { drop: 20_000 } });
    await give('record-built', { jobId, revision: await revision(), built: { inside: { w: 9, h: 9 } } });
    await give('record-built', { jobId, revision: 1, built: {} });
    await give('open-again', { jobId, revision: await revision(), why: 'A speck' });
    await to('fit', 'done', ['insisted-kept', 'right-way-up']);
    await give('final-check', { jobId, revision: await revision(), points: good });
    await to('back-and-hang', 'done');
    await to('touch-up', 'done');
    await to('final-check', 'done');
    await give('final-check', { jobId, revision: await revision(), points: { corners: 'ok' } });
    await give('final-check', {
      jobId,
      revision: await revision(),
      points: { ...good, 'specks-inside': { failed: 'A fibre' }, corners: { failed: 'A gap' } },
    });
    await shop.workTo(ticket, 'final-check');
    await give('hand-over', { orderId, revision: 1, signedBy: 'Bo', identified: true });
    await give('hand-over', { orderId, revision: 2, signedBy: 'Bo', identified: true });
    await give('take-cash', { orderId, paymentId: named('all of it'), amount: TOTAL });
    await give('hand-over', { orderId, revision: 2, signedBy: 'Bo', identified: true });
    await give('final-check', { jobId, revision: await revision(), points: good });
    await give('hand-over', { orderId, revision: 2, signedBy: 'Bo', identified: true });
    await give('hand-over', { orderId, revision: 3, signedBy: 'Bo', identified: true });
    await give('hand-over', { orderId: named('no such order'), revision: 3, signedBy: 'Bo', identified: true });
    await to('final-check', 'todo');
    await give('reverse-payment', {
      paymentId: [...names].find(([, name]) => name === '<all of it>')![0],
      newId: named('late'),
      reason: 'regretted',
    });
    await give('open-again', { jobId: other.jobId, revision: 1, why: ' ' });
    await asBefore('bench');
  });

  it('of the rack and its plans', async () => {
    const piece = {
      id: named('stick'),
      kind: 'stick' as const,
      material: 'MAR-31',
      length: 400_000,
      height: null,
      batch: 'May',
      noGo: [],
      place: 'A 1',
      note: '',
    };
    await give('put-rack-piece', { ...piece, material: 'GHOST' });
    await give('put-rack-piece', { ...piece, height: 4 });
    await give('put-rack-piece', { ...piece, noGo: [{ from: 5, to: 400_001 }] });
    await give('put-rack-piece', { ...piece, noGo: [{ from: 5, to: 400_000 }] });
    await give('put-rack-piece', piece);
    await give('put-rack-piece', { ...piece, revision: 1, kind: 'sheet', height: 4, material: 'RAG-SHELL' });
    await give('put-rack-piece', { ...piece, revision: 1, place: 'B 2' });
    await give('remove-rack-piece', { id: piece.id, revision: 1, reason: 'warped' });
    await give('remove-rack-piece', { id: piece.id, revision: 2, reason: 'warped' });
    await give('remove-rack-piece', { id: piece.id, revision: 3, reason: 'warped' });
    await give('put-rack-piece', { ...piece, revision: 3 });
    await give('set-stock', { material: 'GHOST', onHand: 1, minimum: 0 });
    await give('set-stock', { material: 'MAR-31', onHand: 3, minimum: 1 });
    await give('set-stock', { material: 'MAR-31', onHand: 3, minimum: 1 });
    await give('set-stock', { material: 'RAG-SHELL', onHand: 2, minimum: 1 });
    await give('set-stock', { material: 'MAR-31', onHand: 4, minimum: 1, revision: 1 });
    await give('import-rack', { text: 'kind,material,length\nstick,MAR-31,20\n', file: 'rack.csv' });
    await give('import-rack', { text: 'kind,material,length\nstick,GHOST,20\n', file: 'rack.csv' });

    const { ticket } = await shop.accepted();
    await shop.workTo(ticket, 'cut-legs');
    const { requests } = await cutRequests(shop.app.db, (await shop.app.books())!, [ticket]);
    const { sticks, sheets } = composed(requests);
    const plan = { id: named('plan'), tickets: [ticket], sticks: sticks as never, sheets: sheets as never };
    await give('confirm-plan', { ...plan, tickets: ['9-9'] });
    await give('confirm-plan', plan);
    await give('confirm-plan', { ...plan, id: named('the same again') });
    await give('spoil-cut', { planId: named('no plan'), part: `${ticket} top`, why: 'short', left: null });
    await give('spoil-cut', { planId: plan.id, part: 'ghost', why: 'short', left: null });
    await give('spoil-cut', {
      planId: plan.id,
      part: `${ticket} top`,
      why: 'short',
      left: { length: 999_999, height: null },
    });
    await give('spoil-cut', {
      planId: plan.id,
      part: `${ticket} top`,
      why: 'short',
      left: { length: 9999, height: null },
    });
    await give('undo-plan', { id: plan.id });
    await give('cut-plan-done', { planId: plan.id, kind: 'sticks' });
    await give('cut-plan-done', { planId: plan.id, kind: 'sheets' });
    await give('undo-plan', { id: named('not a plan') });
    await asBefore('rack');
  });
});
