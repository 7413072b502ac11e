/** A plan becomes real: material is taken and offcuts come back, in one step; and the way back until the next plan. */
import { bare } from '@/core/agreed';
import { sameValue } from '@/core/design/edit';
import { checkSheets } from '@/core/cutting/sheets/check';
import { checkSticks } from '@/core/cutting/sticks/check';
import { type Apart, jobByJob } from '@/core/cutting/baseline';
import type { Wanted } from '@/core/cutting/demand';
import { type CutPlans, figuresOf, lengthOf } from '@/core/cutting/plan-figures';
import { type CutRequests, dropId } from '@/core/cutting/plan-request';
import { type Issue, type Outcome, bad, good, issue } from '@/core/issue';
import {
  type NewPiece,
  type PlanEffect,
  dropParts,
  giveStock,
  insertPart,
  insertPiece,
  insertPlan,
  latestPlan,
  nextPlanNumber,
  partsOfPlans,
  planById,
  rackById,
  rackThere,
  setPieceState,
  setPlanUndone,
  spoilPart,
  takeStock,
} from '@/db/queries/rack';
import type { Queries, Tx } from '@/db/client';
import type { By } from '@/db/queries/rows';
import { cutRequests } from '../cutting/needs';
import type { ShopData } from '../app-context';
import type { Handler, Readying } from '../door';
import { inSlices } from '../slices';

/** What a check finds when the rack or the jobs have changed since the plan was made, and not the plan is wrong. */
const MOVED = ['source-unknown', 'source-used-up', 'leg-unknown', 'part-unknown', 'frame-not-whole', 'part-missing'];

function checked(requests: CutRequests, plans: CutPlans): Issue[] {
  const wrong = [...checkSticks(requests.sticks, plans.sticks), ...checkSheets(requests.sheets, plans.sheets)];
  const moved = wrong.find((one) => MOVED.includes(one.code));
  if (moved) {
    const { source, frame, part } = moved.figures;
    return [issue('plan-rack-changed', { what: String(source ?? frame ?? part ?? '') })];
  }
  return wrong[0] ? [issue('plan-wrong'), wrong[0]] : [];
}

/** What a plan that was made without costs comes to; its bound is not known. */
function withCosts(requests: CutRequests, { sticks, sheets }: CutPlans): CutPlans {
  const costOf = (found: readonly Issue[], told: number) =>
    Number(found.find((one) => one.code === 'cost-untrue')?.figures.cost ?? told);
  return {
    sticks: { ...sticks, cost: costOf(checkSticks(requests.sticks, { ...sticks, bound: 0 }), sticks.cost), bound: 0 },
    sheets: { ...sheets, cost: costOf(checkSheets(requests.sheets, { ...sheets, bound: 0 }), sheets.cost), bound: 0 },
  };
}

interface Comes {
  readonly used: readonly string[];
  readonly made: readonly Omit<NewPiece, 'id'>[];
  readonly opened: ReadonlyMap<string, number>;
}
/** What the plan takes from the rack and opens new, and what comes back. */
function comesOf(requests: CutRequests, plans: CutPlans, wanted: Wanted, number: number): Comes {
  const used: string[] = [];
  const made: Omit<NewPiece, 'id'>[] = [];
  const opened = new Map<string, number>();
  const drops = new Map(wanted.parts.flatMap((part) => (part.drop ? [[dropId(part.id), part] as const] : [])));
  const spentDrops = new Set<string>();
  const open = (material: string) => opened.set(material, (opened.get(material) ?? 0) + 1);
  const back = { batch: '', noGo: [], place: '', note: `plan ${number}` };
  for (const bar of plans.sticks.bars) {
    const profile = requests.sticks.profiles.find((one) => one.id === bar.profile)!;
    const rack = profile.rack.find((one) => one.id === bar.source);
    if (rack) used.push(rack.id);
    else open(bar.profile);
    if (bar.offcut <= 0) continue;
    const from = (rack?.length ?? profile.stock[0]!.length) - bar.offcut;
    // A dent in what is left stays where it is, counted from the new end.
    const noGo = (rack?.noGo ?? []).flatMap((zone) =>
      zone.to > from
        ? [{ from: lengthOf(Math.max(0, zone.from - from)), to: lengthOf(Math.min(zone.to - from, bar.offcut)) }]
        : [],
    );
    made.push({
      ...back,
      kind: 'stick',
      material: bar.profile,
      length: lengthOf(bar.offcut),
      height: null,
      batch: rack?.batch ?? `plan ${number}`,
      noGo,
      origin: 'offcut',
    });
  }
  for (const sheet of plans.sheets.sheets) {
    const material = requests.sheets.materials.find((one) => one.id === sheet.material)!;
    if (drops.has(sheet.source)) spentDrops.add(sheet.source);
    else if (material.rack.some((one) => one.id === sheet.source)) used.push(sheet.source);
    else open(sheet.material);
    for (const one of sheet.offcuts)
      made.push({
        ...back,
        kind: 'sheet',
        material: sheet.material,
        length: lengthOf(one.w),
        height: lengthOf(one.h),
        origin: 'offcut',
      });
  }
  const cut = new Set(plans.sheets.sheets.flatMap((sheet) => sheet.parts.map(({ part }) => part)));
  const worth = new Set(requests.sheets.materials.flatMap((one) => one.rack.map(({ id }) => id)));
  for (const [id, part] of drops)
    if (cut.has(part.id) && worth.has(id) && !spentDrops.has(id))
      made.push({
        ...back,
        kind: 'sheet',
        material: part.material,
        length: part.drop!.w,
        height: part.drop!.h,
        origin: 'drop-out',
      });
  return { used, made, opened };
}

async function take(tx: Tx, comes: Comes, now: Date, by: By): Promise<PlanEffect & { codes: string[] }> {
  const byCode = new Map((await rackThere(tx)).map((row) => [row.code, row.id]));
  const used = comes.used.map((code) => byCode.get(code)!);
  await setPieceState(tx, used, 'used');
  const made: string[] = [];
  const codes: string[] = [];
  for (const piece of comes.made) {
    const id = crypto.randomUUID();
    codes.push(await insertPiece(tx, { ...piece, id }, now, by));
    made.push(id);
  }
  const stock: PlanEffect['stock'][number][] = [];
  for (const [material, count] of comes.opened)
    stock.push({ material, wanted: count, taken: await takeStock(tx, material, count) });
  return { used, made, stock, codes };
}

export interface HeldAgainst {
  readonly requests: CutRequests;
  readonly apart: Apart;
}
/** What the plan is held against is searched for before the transaction, as long as that takes. */
export async function heldAgainst(db: Queries, books: ShopData, tickets: readonly string[]): Promise<HeldAgainst> {
  const { requests } = await cutRequests(db, books, tickets);
  return { requests, apart: await inSlices(jobByJob(requests)) };
}
export const readyPlan: Readying<'confirm-plan'> = async ({ tickets }, { app }) => {
  const books = await app.books();
  return books ? good(await heldAgainst(app.db, books, tickets)) : bad(issue('shop-unknown'));
};

export const confirmPlan: Handler<'confirm-plan'> = async (tx, { id, tickets, ...asked }, context) => {
  const { app, now, by, role } = context;
  const ready = context.ready as HeldAgainst;
  const books = await app.booksIn(tx);
  if (!books) return bad(issue('shop-unknown'));
  const { requests, wanted, missing } = await cutRequests(tx, books, tickets);
  if (missing[0]) return bad(issue('plan-rack-changed', { what: missing[0] }));
  // Who sees no costs has planned without them; what the plan costs is told afterwards.
  const planned = role === 'bench' ? await cutRequests(tx, { ...books, lists: bare(books.lists) }, tickets) : undefined;
  const wrong = checked(planned?.requests ?? requests, asked);
  if (wrong.length > 0) return bad(...wrong);
  const plans = planned ? withCosts(requests, asked) : asked;
  if (plans.sticks.bars.length + plans.sheets.sheets.length === 0) return bad(issue('plan-empty'));
  // Rack or jobs changed in the moment between, and the plan fits all the same: it is asked for once more.
  if (!sameValue(ready.requests, requests)) return bad(issue('plan-rack-changed', { what: '' }));
  const number = await nextPlanNumber(tx);
  const { codes, ...effect } = await take(tx, comesOf(requests, plans, wanted, number), now, by);
  const figures = figuresOf(requests, plans, ready.apart);
  await insertPlan(tx, { id, number, at: now, by, request: requests, plan: plans, figures, effect });
  const ticketOf = new Map([
    ...wanted.frames.flatMap((frame) => frame.legs.map((leg) => [leg.id, frame.ticket] as const)),
    ...wanted.parts.map((part) => [part.id, part.ticket] as const),
  ]);
  const cut = [
    ...plans.sticks.bars.flatMap((bar) => bar.pieces.map(({ leg }) => leg)),
    ...plans.sheets.sheets.flatMap((sheet) => sheet.parts.map(({ part }) => part)),
  ];
  for (const part of cut) await insertPart(tx, id, part, ticketOf.get(part)!);
  return good({
    result: { number, made: codes.length },
    audit: [{ what: 'plan confirmed', entity: 'cut plan', entityId: id, after: { number, tickets, effect, codes } }],
    touched: ['rack', 'board'],
  });
};

/** The latest plan, if what it put on the rack is still there. */
export const undoPlan: Handler<'undo-plan'> = async (tx, { id }) => {
  const plan = await planById(tx, id);
  if (!plan || plan.state !== 'confirmed') return bad(issue('plan-unknown'));
  if ((await latestPlan(tx)) !== id) return bad(issue('plan-not-latest', { number: plan.number }));
  for (const piece of plan.effect.made) {
    const row = await rackById(tx, piece);
    if (row?.state !== 'there') return bad(issue('plan-offcut-gone', { number: plan.number, code: row?.code ?? '' }));
  }
  const spoiled = (await partsOfPlans(tx, [id])).find((part) => part.spoiled);
  if (spoiled) return bad(issue('plan-begun', { number: plan.number, part: spoiled.part }));
  await setPieceState(tx, plan.effect.made, 'gone');
  await setPieceState(tx, plan.effect.used, 'there');
  for (const { material, taken } of plan.effect.stock) await giveStock(tx, material, taken);
  await dropParts(tx, id);
  await setPlanUndone(tx, id);
  return good({
    audit: [{ what: 'plan undone', entity: 'cut plan', entityId: id, before: plan.effect }],
    touched: ['rack', 'board'],
  });
};

/** A leg or part that went wrong: written down, wanted again, and what is left of it goes on the rack. */
export const spoilCut: Handler<'spoil-cut'> = async (tx, { planId, part, why, left }, { now, by }) => {
  const plan = await planById(tx, planId);
  if (!plan || plan.state !== 'confirmed') return bad(issue('plan-unknown'));
  const found = (await partsOfPlans(tx, [planId])).find((one) => one.part === part && one.active);
  if (!found) return bad(issue('cut-part-unknown', { part }, 'part'));
  const bar = plan.plan.sticks.bars.find((one) => one.pieces.some(({ leg }) => leg === part));
  const sheet = plan.plan.sheets.sheets.find((one) => one.parts.some((other) => other.part === part));
  const rest = leftOf(plan.request, part, left, bar !== undefined);
  if (!rest.ok) return rest;
  await spoilPart(tx, planId, part, { why, byId: by, at: now.toISOString() });
  let code = '';
  if (left)
    code = await insertPiece(
      tx,
      {
        id: crypto.randomUUID(),
        kind: bar ? 'stick' : 'sheet',
        material: bar?.profile ?? sheet!.material,
        length: left.length,
        height: left.height,
        batch: bar ? batchOf(plan.request, bar, plan.number) : '',
        noGo: [],
        place: '',
        note: `spoiled: ${why}`.slice(0, 200),
        origin: 'spoiled',
      },
      now,
      by,
    );
  return good({
    result: { ticket: found.ticket, code },
    audit: [{ what: 'cut spoiled', entity: 'cut plan', entityId: planId, after: { part, why, left } }],
    touched: ['rack', 'board'],
  });
};
const batchOf = ({ sticks }: CutRequests, bar: CutPlans['sticks']['bars'][number], number: number) =>
  sticks.profiles.find((one) => one.id === bar.profile)?.rack.find((one) => one.id === bar.source)?.batch ??
  `plan ${number}`;

/** What is left is never larger than what was spoiled. */
function leftOf(
  { sticks, sheets }: CutRequests,
  part: string,
  left: { length: number; height: number | null } | null,
  stick: boolean,
): Outcome<undefined> {
  if (!left) return good(undefined);
  if (stick) {
    const long = sticks.frames.flatMap((frame) => frame.legs).find((leg) => leg.id === part)!.length;
    return left.height === null && left.length <= lengthOf(long)
      ? good(undefined)
      : bad(issue('spoil-too-long', { left: left.length, was: lengthOf(long) }, 'left'));
  }
  const of = sheets.parts.find((one) => one.id === part)!;
  const [long, short] = [lengthOf(Math.max(of.w, of.h)), lengthOf(Math.min(of.w, of.h))];
  if (left.height === null) return bad(issue('spoil-two-sizes', { w: lengthOf(of.w), h: lengthOf(of.h) }, 'left'));
  const fits = Math.max(left.length, left.height) <= long && Math.min(left.length, left.height) <= short;
  return fits ? good(undefined) : bad(issue('spoil-too-long', { left: left.length, was: long }, 'left'));
}
