/**
 * Looks a plan of sticks over without knowing how it was made: from the request and the plan alone, in millimetres.
 * Every plan passes it before it leaves the engine. Source: handbook, cutting; rulings R51, R56.
 */
import { type Issue, issue } from '../../issue';
import type { PlannedBar, SticksPlan, SticksRequest } from '../request';

/** Millimetres that floating point may differ by; ten times finer than the finest figure taken in. */
const HAIR = 1e-4;

type Profile = SticksRequest['profiles'][number];
interface Source {
  readonly length: number;
  readonly batch: string;
  readonly rack: boolean;
  readonly price: number;
  readonly most: number;
  readonly noGo: readonly { readonly from: number; readonly to: number }[];
}

function sourcesOf(profile: Profile): Map<string, Source> {
  const perMm = Math.min(...profile.stock.map((one) => (one.price ?? one.length) / one.length));
  const rate = Number.isFinite(perMm) ? perMm : 1;
  return new Map([
    ...profile.stock.map((one): [string, Source] => [
      one.id,
      {
        length: one.length,
        batch: one.batch ?? '',
        rack: false,
        price: one.price ?? one.length,
        most: one.qty ?? Infinity,
        noGo: [],
      },
    ]),
    ...profile.rack.map((one): [string, Source] => [
      one.id,
      {
        length: one.length,
        batch: one.batch ?? '',
        rack: true,
        price: one.length * rate,
        most: 1,
        noGo: one.noGo,
      },
    ]),
  ]);
}

function checkBar(
  bar: PlannedBar,
  at: string,
  source: Source,
  lengths: ReadonlyMap<string, number>,
  { kerf, endTrim, minOffcut }: SticksRequest,
): Issue[] {
  const found: Issue[] = [];
  let end = -Infinity;
  const first = bar.pieces[0];
  if (!first) return [issue('bar-empty', { source: bar.source }, at)];
  for (const { leg, at: from } of bar.pieces) {
    const to = from + (lengths.get(leg) ?? 0);
    if (from < end + kerf - HAIR) found.push(issue('legs-too-close', { leg }, at));
    if (from < endTrim - HAIR || to > source.length - endTrim + HAIR) found.push(issue('leg-outside', { leg }, at));
    if (source.noGo.some((zone) => from < zone.to - HAIR && to > zone.from + HAIR && zone.to > zone.from))
      found.push(issue('leg-in-no-go', { leg }, at));
    end = to;
  }
  const left = source.length - end - kerf;
  const useful = left >= minOffcut - HAIR && left > HAIR;
  const told = bar.offcut > 0 ? Math.abs(bar.offcut - left) <= HAIR && useful : !useful || left < minOffcut + HAIR;
  if (!told) found.push(issue('offcut-untrue', { told: bar.offcut, left }, at));
  return found;
}

/** What is wrong with a plan; nothing when it can be cut as it says and costs what it says. */
export function checkSticks(request: SticksRequest, plan: SticksPlan): Issue[] {
  const found: Issue[] = [];
  const profiles = new Map(request.profiles.map((one) => [one.id, { id: one.id, sources: sourcesOf(one) }]));
  const lengths = new Map(request.frames.flatMap((frame) => frame.legs.map((leg) => [leg.id, leg.length] as const)));
  const frameOf = new Map(request.frames.flatMap((frame) => frame.legs.map((leg) => [leg.id, frame] as const)));
  const used = new Map<string, number>();
  const cut = new Map<string, string>();
  let cost = plan.unmade.length * request.unmadePenalty;
  for (const [index, bar] of plan.bars.entries()) {
    const at = `bars.${index}`;
    const source = profiles.get(bar.profile)?.sources.get(bar.source);
    if (!source) {
      found.push(issue('source-unknown', { source: bar.source }, at));
      continue;
    }
    const key = `${bar.profile}\u0000${bar.source}`;
    used.set(key, (used.get(key) ?? 0) + 1);
    if (used.get(key)! > source.most) found.push(issue('source-used-up', { source: bar.source }, at));
    found.push(...checkBar(bar, at, source, lengths, request));
    const value = source.rack ? request.offcutValue * source.price : source.price;
    const share = (bar.offcut * source.price) / source.length;
    cost += value - request.offcutValue * share;
    for (const { leg } of bar.pieces) {
      const frame = frameOf.get(leg);
      if (!frame) found.push(issue('leg-unknown', { leg }, at));
      else if (frame.profile !== bar.profile) found.push(issue('leg-wrong-profile', { leg }, at));
      if (cut.has(leg)) found.push(issue('leg-twice', { leg }, at));
      cut.set(leg, source.batch);
    }
  }
  const unmade = new Set(plan.unmade);
  for (const frame of request.frames) {
    const batches = new Set(frame.legs.flatMap((leg) => (cut.has(leg.id) ? [cut.get(leg.id)!] : [])));
    const there = frame.legs.filter((leg) => cut.has(leg.id)).length;
    if (there !== (unmade.has(frame.id) ? 0 : frame.legs.length))
      found.push(issue('frame-not-whole', { frame: frame.id, there, of: frame.legs.length }));
    if (batches.size > 1) cost += request.batchPenalty;
  }
  if (unmade.size !== plan.unmade.length) found.push(issue('frame-twice', {}));
  if (Math.abs(cost - plan.cost) > 1e-6 * Math.max(1, cost))
    found.push(issue('cost-untrue', { told: plan.cost, cost }));
  if (plan.bound > plan.cost + 1e-6 * Math.max(1, cost)) found.push(issue('bound-above-cost', { bound: plan.bound }));
  return found;
}
