/**
 * A plan changed by hand: a leg moved to another stick, some sticks and sheets kept as they are while the rest is planned
 * anew. Figures are worked out again; the bound of the whole still holds. Source: handbook, cutting.
 */
import { type Outcome, bad, good, issue } from '../issue';
import {
  type Judged,
  type PlannedBar,
  type PlannedSheet,
  type SheetsPlan,
  type SheetsRequest,
  type SticksPlan,
  type SticksRequest,
  judged,
  pricing,
} from './request';
import { Filler } from './sticks/fill';
import { type StickTask, barOf, plannedBar, stickTasks } from './sticks/task';

const again = (plan: Judged, cost: number, unmade: readonly string[]): Judged =>
  judged(unmade, cost, plan.bound, false);

interface Priced {
  readonly price: number;
  readonly rack: boolean;
  readonly size: number;
  readonly batch: string;
}
/** What each source of a group costs, as the plan counts it. */
function sourcesOf<S extends { id: string; price?: number | undefined }, R extends { id: string }>(
  stock: readonly S[],
  rack: readonly R[],
  size: (one: S | R) => number,
  batch: (one: S | R) => string,
): Map<string, Priced> {
  const { bought, onRack } = pricing(stock, size);
  const priced = (one: S | R, price: number, rackPiece: boolean): [string, Priced] => [
    one.id,
    { price, rack: rackPiece, size: size(one), batch: batch(one) },
  ];
  return new Map([
    ...stock.map((one) => priced(one, bought(one), false)),
    ...rack.map((one) => priced(one, onRack(one), true)),
  ]);
}

export function costOfSticks(request: SticksRequest, bars: readonly PlannedBar[], unmade: readonly string[]): number {
  const sources = new Map(
    request.profiles.map((one) => [
      one.id,
      sourcesOf(
        one.stock,
        one.rack,
        ({ length }) => length,
        ({ batch }) => batch ?? '',
      ),
    ]),
  );
  const batchOf = new Map<string, string>();
  let cost = unmade.length * request.unmadePenalty;
  for (const bar of bars) {
    const { price, rack, size, batch } = sources.get(bar.profile)!.get(bar.source)!;
    cost += (rack ? request.offcutValue : 1) * price - (request.offcutValue * bar.offcut * price) / size;
    for (const { leg } of bar.pieces) batchOf.set(leg, batch);
  }
  for (const { legs } of request.frames) {
    const batches = new Set(legs.flatMap(({ id }) => batchOf.get(id) ?? []));
    if (batches.size > 1) cost += request.batchPenalty;
  }
  return cost;
}

export function costOfSheets(
  request: SheetsRequest,
  sheets: readonly PlannedSheet[],
  unmade: readonly string[],
): number {
  const sources = new Map(
    request.materials.map((one) => [
      one.id,
      sourcesOf(
        one.stock,
        one.rack,
        ({ w, h }) => w * h,
        () => '',
      ),
    ]),
  );
  return sheets.reduce((sum, sheet) => {
    const { price, rack, size } = sources.get(sheet.material)!.get(sheet.source)!;
    const kept = sheet.offcuts.reduce((area, one) => area + one.w * one.h, 0);
    return sum + (rack ? request.offcutValue : 1) * price - (request.offcutValue * kept * price) / size;
  }, unmade.length * request.unmadePenalty);
}

/** Lays legs on a stick of the plan; undefined when they do not all find room between its ends and zones. */
function laid(task: StickTask, source: string, legs: readonly string[]): PlannedBar | undefined {
  const index = task.sources.findIndex((one) => one.id === source);
  let left = legs.map((id) => task.legs.findIndex((leg) => leg.id === id));
  const filler = new Filler();
  const groups = task.sources[index]!.stretches.map(({ room }) => {
    left.sort((a, b) => task.legs[b]!.take - task.legs[a]!.take);
    const { picked } = filler.fill(
      left.map((leg) => task.legs[leg]!.take),
      room,
      20_000,
      false,
    );
    const group = picked.map((at) => left[at]!);
    left = left.filter((leg) => !group.includes(leg));
    return group;
  });
  return left.length === 0 ? plannedBar(task, barOf(task, index, groups)) : undefined;
}

/** The plan with a leg on another of its sticks. Refused with `cut-no-room` when it does not fit there. */
export function moveLeg(request: SticksRequest, plan: SticksPlan, leg: string, to: number): Outcome<SticksPlan> {
  const from = plan.bars.findIndex((bar) => bar.pieces.some((piece) => piece.leg === leg));
  const target = plan.bars[to];
  const origin = plan.bars[from];
  if (!target || !origin) return bad(issue('cut-leg-unknown', { leg }));
  if (from === to) return good(plan);
  if (target.profile !== origin.profile) return bad(issue('cut-other-moulding', { leg, profile: target.profile }));
  const task = stickTasks(request).find((one) => one.id === target.profile)!;
  const more = laid(task, target.source, [...target.pieces.map((piece) => piece.leg), leg]);
  if (!more) return bad(issue('cut-no-room', { leg, source: target.source }));
  const rest = origin.pieces.map((piece) => piece.leg).filter((one) => one !== leg);
  const less = rest.length > 0 ? laid(task, origin.source, rest) : undefined;
  const bars = plan.bars.flatMap((bar, at) => (at === to ? [more] : at === from ? (less ? [less] : []) : [bar]));
  return good({ bars, ...again(plan, costOfSticks(request, bars, plan.unmade), plan.unmade) });
}

/** What is still to be planned when some sticks stay as they are. */
export function restOfSticks(request: SticksRequest, kept: readonly PlannedBar[]): SticksRequest {
  const done = new Set(kept.flatMap((bar) => bar.pieces.map((piece) => piece.leg)));
  const used = new Set(kept.map((bar) => `${bar.profile}\u0000${bar.source}`));
  return {
    ...request,
    profiles: request.profiles.map((one) => ({
      ...one,
      rack: one.rack.filter(({ id }) => !used.has(`${one.id}\u0000${id}`)),
    })),
    frames: request.frames.flatMap((frame) => {
      const legs = frame.legs.filter(({ id }) => !done.has(id));
      return legs.length > 0 ? [{ ...frame, legs }] : [];
    }),
  };
}
export function restOfSheets(request: SheetsRequest, kept: readonly PlannedSheet[]): SheetsRequest {
  const done = new Set(kept.flatMap((sheet) => sheet.parts.map(({ part }) => part)));
  const used = new Set(kept.map((sheet) => `${sheet.material}\u0000${sheet.source}`));
  return {
    ...request,
    materials: request.materials.map((one) => ({
      ...one,
      rack: one.rack.filter(({ id }) => !used.has(`${one.id}\u0000${id}`)),
    })),
    parts: request.parts.filter(({ id }) => !done.has(id)),
  };
}

/** The sticks kept and the plan of the rest, as one plan of the whole. */
export function withRestOfSticks(
  request: SticksRequest,
  whole: SticksPlan,
  kept: readonly PlannedBar[],
  rest: SticksPlan,
): SticksPlan {
  const bars = [...kept, ...rest.bars];
  return { bars, ...again(whole, costOfSticks(request, bars, rest.unmade), rest.unmade) };
}
export function withRestOfSheets(
  request: SheetsRequest,
  whole: SheetsPlan,
  kept: readonly PlannedSheet[],
  rest: SheetsPlan,
): SheetsPlan {
  const sheets = [...kept, ...rest.sheets];
  return { sheets, ...again(whole, costOfSheets(request, sheets, rest.unmade), rest.unmade) };
}
