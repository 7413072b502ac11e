/**
 * Fills an empty database with the made-up shop, through the same commands that people use, as if on the days they
 * happened. One transaction: either the whole shop is there or none of it.
 */
import { type ShopSettings, USUAL_SETTINGS, calendarOf } from '@/contract/settings';
import { firstOpenDay } from '@/core/schedule/calendar';
import fs from 'node:fs';
import path from 'node:path';
import { type Asked, type CommandName, commands } from '@/contract/commands';
import { atOnce } from '@/core/pausing';
import { readingList } from '@/core/supplier-list/list';
import { MOULDINGS } from '@/core/supplier-list/moulding-list';
import { Engine, type Job, composeSheets, composeSticks, jobsOfSheets, jobsOfSticks } from '@/core/cutting/engine';
import { CHECK_POINTS, type CheckPoint, type StepKey } from '@/core/route/steps';
import { priceOrder } from '@/core/pricing/order-price';
import { type WorkOutContext, workOut } from '@/core/work-out';
import { BUILDS } from '@/core/builds';
import { type Design, newDesign } from '@/core/design/design';
import { withBuild } from '@/core/design/with-build';
import { defaultSettings } from '@/core/settings';
import { inches, length } from '@/core/units/length';
import { LETTERS } from '@/core/design/candidates';
import { newToken } from '@/core/links/link';
import { mustParseLength } from '@/core/units/parse-length';
import type { Tx } from '@/db/client';
import { getShop, insertShop, putMouldings } from '@/db/queries/books';
import { orderById } from '@/db/queries/orders';
import { insertStaff } from '@/db/queries/staff';
import { dayOf, daysAfter, daysLater } from '@/server/clock';
import { handlers } from '@/server/commands';
import { heldAgainst } from '@/server/commands/cutting';
import { perform } from '@/server/door';
import { cutJobs, cutRequests } from '@/server/cutting/needs';
import { type ShopData, type AppContext, readBooks } from '@/server/app-context';
import { hashPin } from '@/server/pins';
import { STARTING_MATERIALS, firstBooks } from '@/server/starting-books';
import { type DemoOrder, type DemoPiece, HOUSE_DESIGNS, ORDERS } from './orders';
import { CUSTOMERS, ON_ACCOUNT, STAFF } from './people';
import { type DrawnPhotos, drawPhotos, recordFor } from './photos';
import { tillDays } from './till';
import { PLANS, RACK_SHEETS, RACK_STICKS, STOCK } from './rack';

const inch = (text: string) => mustParseLength(text, { unit: 'in' });
const SETTINGS = defaultSettings('in');
/** What the owner has set: where pieces lie, and from which value on they are locked away. */
const DEMO_SETTINGS: ShopSettings = {
  ...USUAL_SETTINGS,
  valueLimit: 2000,
  places: ['Shelf 1', 'Shelf 2', 'Shelf 3', 'Flat file 1', 'Flat file 2', 'Quarantine shelf'],
  lockedPlaces: ['Locked cabinet'],
  contact: '4 Net Loft Lane, Quillet\n555 0190',
  quoteTerms:
    'A frame is made for your piece: what is cut cannot be taken back. Half is paid when you say yes, the rest when you collect.\nYour piece stays yours and is handled as little as possible; tell us what it must never touch.',
  pieceTerms:
    'We keep your piece dry, dark and insured up to its declared value. Finished work is kept for 60 days without charge; after that storage is charged by the week.\nFaults that were there before are listed above. Ask us before you decide about restoration.',
};

function designOf(piece: DemoPiece): Design {
  const plain = newDesign(SETTINGS, STARTING_MATERIALS, inch(piece.size[0]), inch(piece.size[1]));
  const start = withBuild(plain, piece.build ?? 'window-mat', SETTINGS, STARTING_MATERIALS);
  const mats = (piece.mats ?? ['RAG-SHELL']).map((code, index) => ({
    board: { code },
    reveal: index === 0 ? length(0) : SETTINGS.reveal,
  }));
  const small = start.piece.width < inches(10);
  return {
    ...start,
    piece: { ...start.piece, title: piece.title, kind: piece.kind, irreplaceable: piece.original ?? false },
    insists: piece.insists ?? '',
    mats: piece.build && !piece.mats ? start.mats : mats,
    border: { mode: 'weighted', all: small ? inches(2) : inches(2, 1, 2), extra: SETTINGS.bottomExtra },
    frame: { ...start.frame, moulding: { code: piece.moulding } },
    glazing: { code: piece.glazing ?? 'GL-CLEAR' },
    backing: { code: 'FOAM-5' },
    // An original is never fastened to a frame's own back.
    ...(piece.original && BUILDS[start.build].uses.includes('mountBoard') && !start.mountBoard
      ? { mountBoard: { code: STARTING_MATERIALS.mat } }
      : {}),
    ...piece.over,
  };
}

/** The sizes of the pieces by their titles, for their pictures. */
const SIZES = new Map(
  ORDERS.flatMap(({ pieces }) =>
    pieces.map(({ title, size: [w, h] }) => [title, [Number(inch(w)), Number(inch(h))] as const] as const),
  ),
);

/** Makes commands happen at a moment, by a person. */
class Teller {
  at: Date;
  by: string = 'Ines';
  constructor(
    private readonly tx: Tx,
    private readonly app: AppContext,
    readonly shop: WorkOutContext,
    private readonly ids: ReadonlyMap<string, string>,
    now: Date,
  ) {
    this.at = now;
  }

  /** `ready`: what the command makes ready before its transaction. */
  async do<N extends CommandName>(name: N, payload: Asked<N>, ready?: unknown): Promise<void> {
    await perform(
      this.tx,
      crypto.randomUUID(),
      name,
      commands[name].payload.parse(payload) as never,
      { app: this.app, by: this.ids.get(this.by)!, now: this.at, ready },
      handlers,
    );
  }

  async revision(orderId: string): Promise<number> {
    return (await orderById(this.tx, orderId))!.revision;
  }
}

/** The quote was sent as a link, and something asked by it the day after. */
async function askedByLink(tell: Teller, orderId: string, text: string): Promise<void> {
  const linkId = crypto.randomUUID();
  const revision = await tell.revision(orderId);
  await tell.do('make-link', { linkId, orderId, revision, token: newToken(), reasons: {} });
  tell.at = daysAfter(tell.at, 1);
  await tell.do('link-ask', { linkId, text });
}

type DemoJob = { readonly id: string; readonly design: Design };
/** The steps of a piece up to and with its final check. */
function stepsOf(tell: Teller, { design }: DemoJob): StepKey[] {
  const worked = workOut(design, tell.shop);
  if (!worked.ok) throw new Error(`${design.piece.title}: ${worked.issues.map((one) => one.code).join()}`);
  const steps = worked.value.route.map((one) => one.step);
  return steps.slice(0, steps.indexOf('final-check') + 1);
}

const STEP_MS = 5_400_000;
/** Longer than glue cures and a coat dries. */
const OVERNIGHT_MS = 90_000_000;
const TWO_HOURS_MS = 7_200_000;
const WAITS_OVER: ReadonlySet<string> = new Set(['join', 'finish', 'prepare']);

async function workJob(tell: Teller, now: Date, job: DemoJob, count: number, order: DemoOrder): Promise<void> {
  const jobId = job.id;
  let revision = 1;
  let before: string | undefined;
  const steps = stepsOf(tell, job).slice(0, count);
  const inOrder = order.glued ? [...steps.filter((step) => step !== 'join'), 'join' as const] : steps;
  for (const [done, next] of inOrder.entries()) {
    tell.at = new Date(tell.at.getTime() + (before && WAITS_OVER.has(before) ? OVERNIGHT_MS : STEP_MS));
    if (order.glued && next === 'join') tell.at = new Date(now.getTime() - TWO_HOURS_MS);
    tell.by = done % 2 === 0 ? 'Maro' : 'Sile';
    if (next === 'final-check') {
      const points = Object.fromEntries(Object.keys(CHECK_POINTS).map((point) => [point, 'ok' as const])) as Partial<
        Record<CheckPoint, 'ok'>
      >;
      await tell.do('final-check', { jobId, revision, points });
    } else
      await tell.do('move-step', {
        jobId,
        revision,
        step: next,
        to: 'done',
        ticks: ['insisted-kept', 'right-way-up'],
        early: false,
      });
    revision += 1;
    before = next;
  }
  if (!order.hold) return;
  const { days, ...hold } = order.hold;
  const until = days === undefined ? {} : { until: daysLater(dayOf(now), days) };
  await tell.do('hold', { jobId, revision, ...hold, ...until });
}

async function failOnce(tell: Teller, jobId: string, revision: number): Promise<void> {
  tell.by = 'Ines';
  await tell.do('final-check', {
    jobId,
    revision,
    points: { 'specks-inside': { failed: 'A fibre under the glass, lower left' } },
  });
}

/** The day that is so far from today, or the next that the shop is open. */
const promisedOn = (now: Date, days: number): string => {
  const day = dayOf(daysAfter(now, days));
  return firstOpenDay(calendarOf(USUAL_SETTINGS), day) ?? day;
};

const ALL_STEPS = Number.POSITIVE_INFINITY;

/** What was written down and photographed when the pieces came. */
async function takeIn(tell: Teller, pieces: readonly DemoJob[], drawn: DrawnPhotos): Promise<void> {
  for (const { id, design } of pieces) {
    const { title } = design.piece;
    const record = recordFor(title, drawn);
    if (!record) continue;
    const { front, back } = drawn.get(title)!;
    await tell.do('take-in', { pieceId: id, revision: null, record: record as never }, back ? [front, back] : [front]);
  }
}

/** As most customers pay; cash would want a drawer that was opened on that day. */
async function paidByCard(tell: Teller, orderId: string, amount: number): Promise<void> {
  const requestId = crypto.randomUUID();
  await tell.do('ask-card', { orderId, requestId, amount });
  await tell.do('card-answer', { requestId, answer: 'approved' });
}

async function tellOrder(
  tell: Teller,
  now: Date,
  order: DemoOrder,
  customerIds: readonly string[],
  drawn: DrawnPhotos,
): Promise<void> {
  const orderId = crypto.randomUUID();
  const pieces = order.pieces.map((piece) => {
    const { instead = [] } = piece;
    const others = instead.map((moulding, index) => ({
      letter: LETTERS[index + 1]!,
      design: designOf({ ...piece, moulding }),
    }));
    return { id: crypto.randomUUID(), design: designOf(piece), ...(others.length > 0 ? { others } : {}) };
  });
  tell.at = daysAfter(now, -order.ago);
  tell.by = order.customer % 2 === 0 ? 'Ines' : 'Tobin';
  await tell.do('save-quote', {
    orderId,
    revision: null,
    customerId: customerIds[order.customer]!,
    promised: promisedOn(now, order.promisedIn),
    pieces,
  });
  await takeIn(tell, pieces, drawn);
  const { progress } = order;
  if (order.asked !== undefined) await askedByLink(tell, orderId, order.asked);
  if (progress === 'quoted' || progress === 'expired') return;
  if (progress === 'cancelled') return tell.do('cancel-order', { orderId, revision: 1, reason: 'Sold the drawing' });

  const total = await agreedTotal(tell, orderId, pieces);
  const deposit = Math.min(total, Math.ceil(total / 200) * 100);
  await paidByCard(tell, orderId, deposit);
  const steps = typeof progress === 'number' ? progress : ALL_STEPS;
  for (const piece of pieces) {
    if (order.failed) {
      const before = stepsOf(tell, piece).length - 1;
      await workJob(tell, now, piece, before, { ...order, failed: undefined } as DemoOrder);
      await failOnce(tell, piece.id, before + 1);
    } else await workJob(tell, now, piece, steps, order);
  }
  tell.by = 'Tobin';
  tell.at = new Date(Math.min(now.getTime(), daysAfter(now, order.promisedIn).getTime()));
  if ((progress === 'handed-over' && order.paid !== 'on account') || order.paid === 'all')
    await paidByCard(tell, orderId, total - deposit);
  if (progress === 'handed-over') {
    await tell.do('hand-over', {
      orderId,
      revision: await tell.revision(orderId),
      signedBy: CUSTOMERS[order.customer]![0],
      identified: true,
    });
  }
}

/** Accepts with a reason for every warning; answers the total agreed. */
async function agreedTotal(
  tell: Teller,
  orderId: string,
  pieces: readonly { id: string; design: Design }[],
): Promise<number> {
  const worked = pieces.map((piece) => {
    const result = workOut(piece.design, tell.shop);
    if (!result.ok) throw new Error(`${piece.design.piece.title}: ${result.issues.map((one) => one.code).join()}`);
    return { id: piece.id, ...result.value };
  });
  const warned = worked.flatMap((one) =>
    one.cautions
      .filter((caution) => caution.level === 'warn')
      .map((caution) => [`${one.id}:${caution.code}`, 'Shown to the customer, who wants it so'] as const),
  );
  const priced = priceOrder(
    worked.map((one) => one.price!),
    tell.shop.prices!,
  );
  if (!priced.ok) throw new Error(priced.issues[0]!.code);
  const { total } = priced.value;
  await tell.do('accept-order', { orderId, revision: 1, total, reasons: Object.fromEntries(warned) });
  return total;
}

/** Sizes and places of what lies on the rack; dents as stretches from the left end. */
async function fillRack(tell: Teller): Promise<void> {
  for (const [material, length, batch, place, dent] of RACK_STICKS)
    await tell.do('put-rack-piece', {
      id: crypto.randomUUID(),
      kind: 'stick',
      material,
      length: inch(length),
      height: null,
      batch,
      noGo: dent ? [{ from: inch(dent[0]), to: inch(dent[1]) }] : [],
      place,
      note: dent ? 'dent' : '',
    });
  for (const [material, w, h, place] of RACK_SHEETS)
    await tell.do('put-rack-piece', {
      id: crypto.randomUUID(),
      kind: 'sheet',
      material,
      length: inch(w),
      height: inch(h),
      batch: '',
      noGo: [],
      place,
      note: '',
    });
  for (const [material, onHand, minimum] of STOCK) await tell.do('set-stock', { material, onHand, minimum });
}

/** Plans and confirms the cuts of some jobs, as the shop did on that day. */
async function cutThese(tell: Teller, tx: Tx, books: ShopData, tickets: readonly string[]): Promise<void> {
  const { requests } = await cutRequests(tx, books, tickets);
  const best = (jobs: Job[]) => {
    const engine = new Engine(
      jobs.map((job, index) => ({ index, job })),
      undefined,
    );
    for (let turn = 0; turn < 12 * jobs.length; turn += 1) engine.turn(turn / (12 * jobs.length), 1, () => false, true);
    return engine.news();
  };
  const [sticks, sheets] = [jobsOfSticks(requests.sticks), jobsOfSheets(requests.sheets)];
  const plan = {
    id: crypto.randomUUID(),
    tickets: [...tickets],
    sticks: composeSticks(sticks, best(sticks)) as never,
    sheets: composeSheets(sheets, best(sheets)) as never,
  };
  await tell.do('confirm-plan', plan, await heldAgainst(tx, books, tickets));
}

export async function seedDemo(app: AppContext): Promise<void> {
  if (await getShop(app.db)) return;
  const now = app.clock.now();
  const hashes = await Promise.all(STAFF.map((one) => hashPin(one.pin)));
  const csv = fs.readFileSync(path.join(/*turbopackIgnore: true*/ process.cwd(), 'demo', 'mouldings.csv'), 'utf8');
  const mouldings = atOnce(readingList(MOULDINGS, csv)).rows.flatMap((row) => ('item' in row ? [row.item] : []));
  const drawn = await drawPhotos(app.photos, SIZES);
  await app.db.transaction(async (tx) => {
    await insertShop(tx, {
      name: 'Quillet Framing',
      home_unit: 'in',
      demo: true,
    });
    const people = new Map(STAFF.map((one) => [one.name as string, crypto.randomUUID() as string]));
    for (const [index, one] of STAFF.entries())
      await insertStaff(tx, { id: people.get(one.name)!, name: one.name, role: one.role, pin_hash: hashes[index]! });
    const edition = await firstBooks(tx, { at: daysAfter(now, -90), by: people.get('Ines')!, unit: 'in' });
    await putMouldings(
      tx,
      edition,
      mouldings.map((moulding, position) => ({ moulding, position })),
    );
    const books = (await readBooks(tx, edition))!;
    const tell = new Teller(
      tx,
      app,
      { settings: books.settings, catalogue: books.catalogue, prices: books.prices },
      people,
      daysAfter(now, -80),
    );
    const ids: string[] = [];
    for (const [name, phone] of CUSTOMERS) {
      const id = crypto.randomUUID();
      await tell.do('add-customer', { id, name, phone, email: '' });
      ids.push(id);
    }
    const { customer, days, limit } = ON_ACCOUNT;
    await tell.do('change-terms', { customerId: ids[customer]!, days, limit });
    await tell.do('change-settings', { edition: 0, settings: DEMO_SETTINGS });
    for (const { name, like } of HOUSE_DESIGNS)
      await tell.do('keep-house-design', { id: crypto.randomUUID(), name, design: designOf(like) });
    for (const order of ORDERS) await tellOrder(tell, now, order, ids, drawn);
    tell.by = 'Maro';
    tell.at = daysAfter(now, -30);
    await fillRack(tell);
    for (const [ago, tickets] of PLANS) {
      tell.at = daysAfter(now, -ago);
      const there = new Set((await cutJobs(tx, books.settings)).map((job) => job.ticket));
      const cut = tickets.filter((ticket) => there.has(ticket));
      if (cut.length > 0) await cutThese(tell, tx, books, cut);
    }
    await tillDays(tell, tx, now);
  });
  app.bus.publish({ what: 'seeded', touched: ['books', 'board'] });
}
