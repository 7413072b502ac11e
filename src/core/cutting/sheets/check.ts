/**
 * Looks a plan of sheets over without knowing how it was made: from the request and the plan alone, in millimetres.
 * It makes the cuts in the order they are written, each from edge to edge of one piece, and looks at the pieces that
 * come out: they are the parts and offcuts that were promised, or waste. Source: handbook, cutting.
 */
import type { PlanCheckIssue } from '../../issue-codes';
import { type Issue, issue } from '../../issue';
import type { PlannedSheet, SheetsPlan, SheetsRequest } from '../request';

/** Millimetres that floating point may differ by. */
const HAIR = 1e-4;
interface Piece {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}
interface Source {
  readonly w: number;
  readonly h: number;
  readonly rack: boolean;
  readonly price: number;
  readonly most: number;
}
type Material = SheetsRequest['materials'][number];

function sourcesOf({ stock, rack }: Material): Map<string, Source> {
  const perArea = Math.min(...stock.map((one) => (one.price ?? one.w * one.h) / (one.w * one.h)));
  const rate = Number.isFinite(perArea) ? perArea : 1;
  return new Map([
    ...stock.map((one): [string, Source] => [
      one.id,
      { w: one.w, h: one.h, rack: false, price: one.price ?? one.w * one.h, most: one.qty ?? Infinity },
    ]),
    ...rack.map((one): [string, Source] => [
      one.id,
      { w: one.w, h: one.h, rack: true, price: one.w * one.h * rate, most: 1 },
    ]),
  ]);
}

const near = (a: number, b: number) => Math.abs(a - b) <= HAIR;
const same = (a: Piece, b: Piece) => near(a.x, b.x) && near(a.y, b.y) && near(a.w, b.w) && near(a.h, b.h);

/** Makes the cuts; answers the pieces, or what is wrong with a cut. */
function cutUp(sheet: PlannedSheet, whole: Piece, kerf: number, minBreak: number, at: string) {
  const pieces: Piece[] = [whole];
  const wrong: Issue[] = [];
  for (const cut of sheet.cuts) {
    const across = cut.axis === 'x';
    const index = pieces.findIndex((one) =>
      across
        ? near(one.y, cut.from) && near(one.y + one.h, cut.to) && cut.at > one.x - HAIR && cut.at < one.x + one.w + HAIR
        : near(one.x, cut.from) &&
          near(one.x + one.w, cut.to) &&
          cut.at > one.y - HAIR &&
          cut.at < one.y + one.h + HAIR,
    );
    const piece = pieces[index];
    if (!piece) {
      wrong.push(issue('cut-not-through', { axis: cut.axis, at: cut.at }, at));
      continue;
    }
    const [from, side] = across ? [piece.x, piece.w] : [piece.y, piece.h];
    const first = cut.at - from;
    // The blade takes what lies beyond the cut; a rest thinner than the blade goes with it.
    const rest = Math.max(0, side - first - kerf);
    if (first < minBreak - HAIR || (rest > HAIR && rest < minBreak - HAIR) || (kerf === 0 && rest <= HAIR))
      wrong.push(issue('break-too-narrow', { at: cut.at, first, rest }, at));
    const beyond = cut.at + kerf;
    pieces.splice(
      index,
      1,
      ...(across
        ? [
            { ...piece, w: first },
            { ...piece, x: beyond, w: rest },
          ]
        : [
            { ...piece, h: first },
            { ...piece, y: beyond, h: rest },
          ]
      ).filter((one) => one.w > HAIR && one.h > HAIR),
    );
  }
  return { pieces, wrong };
}

function checkSheet(
  sheet: PlannedSheet,
  at: string,
  source: Source,
  request: SheetsRequest,
  material: Material,
  parts: ReadonlyMap<string, SheetsRequest['parts'][number]>,
): Issue[] {
  const trim = source.rack ? request.offcutTrim : request.sheetTrim;
  const whole = { x: trim, y: trim, w: source.w - 2 * trim, h: source.h - 2 * trim };
  const { pieces, wrong } = cutUp(sheet, whole, request.kerf, material.minBreak ?? request.minBreak, at);
  const { short, long } = request.minOffcut;
  const free = [...pieces];
  const takeOut = (wanted: Piece, code: PlanCheckIssue, name: string) => {
    const index = free.findIndex((one) => same(one, wanted));
    if (index < 0) wrong.push(issue(code, { name }, at));
    else free.splice(index, 1);
  };
  if (sheet.parts.length === 0) wrong.push(issue('sheet-empty', { source: sheet.source }, at));
  for (const { part, x, y, rotated } of sheet.parts) {
    const of = parts.get(part);
    if (!of) continue;
    if (rotated && !material.rotate) wrong.push(issue('part-turned', { part }, at));
    takeOut({ x, y, w: rotated ? of.h : of.w, h: rotated ? of.w : of.h }, 'part-not-cut', part);
  }
  for (const one of sheet.offcuts) {
    takeOut(one, 'offcut-untrue', `${one.w} × ${one.h}`);
    if (Math.min(one.w, one.h) < short - HAIR || Math.max(one.w, one.h) < long - HAIR)
      wrong.push(issue('offcut-too-small', { w: one.w, h: one.h }, at));
  }
  return wrong;
}

/** What is wrong with a plan; nothing when it can be cut as it says and costs what it says. */
export function checkSheets(request: SheetsRequest, plan: SheetsPlan): Issue[] {
  const found: Issue[] = [];
  const materials = new Map(request.materials.map((one) => [one.id, { one, sources: sourcesOf(one) }]));
  const parts = new Map(request.parts.map((one) => [one.id, one]));
  const used = new Map<string, number>();
  const cut = new Set<string>();
  let cost = plan.unmade.length * request.unmadePenalty;
  for (const [index, sheet] of plan.sheets.entries()) {
    const at = `sheets.${index}`;
    const material = materials.get(sheet.material);
    const source = material?.sources.get(sheet.source);
    if (!material || !source) {
      found.push(issue('source-unknown', { source: sheet.source }, at));
      continue;
    }
    const key = `${sheet.material}\u0000${sheet.source}`;
    used.set(key, (used.get(key) ?? 0) + 1);
    if (used.get(key)! > source.most) found.push(issue('source-used-up', { source: sheet.source }, at));
    found.push(...checkSheet(sheet, at, source, request, material.one, parts));
    const share = sheet.offcuts.reduce((sum, one) => sum + one.w * one.h, 0) / (source.w * source.h);
    cost +=
      (source.rack ? request.offcutValue * source.price : source.price) - request.offcutValue * share * source.price;
    for (const { part } of sheet.parts) {
      const of = parts.get(part);
      if (!of) found.push(issue('part-unknown', { part }, at));
      else if (of.material !== sheet.material) found.push(issue('part-wrong-material', { part }, at));
      if (cut.has(part)) found.push(issue('part-twice', { part }, at));
      cut.add(part);
    }
  }
  const unmade = new Set(plan.unmade);
  for (const { id } of request.parts)
    if (cut.has(id) === unmade.has(id)) found.push(issue('part-missing', { part: id }));
  if (unmade.size !== plan.unmade.length) found.push(issue('part-twice', {}));
  if (Math.abs(cost - plan.cost) > 1e-6 * Math.max(1, cost))
    found.push(issue('cost-untrue', { told: plan.cost, cost }));
  if (plan.bound > plan.cost + 1e-6 * Math.max(1, cost)) found.push(issue('bound-above-cost', { bound: plan.bound }));
  return found;
}
