/**
 * One moulding's part of a request, in grains, ready for the search; and the way back to a plan. Each moulding is its
 * own problem. A leg takes its length and the cut after it, so a stretch from a to b holds legs while their takes add
 * up to b − a + cut (rulings R51, R56).
 */
import { grainsDown, grainsUp, toMm } from '../grain';
import type { PlannedBar, SticksRequest } from '../request';

export interface Stretch {
  readonly from: number;
  /** What legs may take there, each with its cut. */
  readonly room: number;
}
export interface StickSource {
  readonly id: string;
  readonly rack: boolean;
  readonly length: number;
  readonly batch: number;
  /** How many there are; Infinity when they can be bought. */
  readonly most: number;
  /** What opening one costs, and what a grain of useful offcut of it gives back. */
  readonly open: number;
  readonly rate: number;
  /** Free of no-go zones, in order. */
  readonly stretches: readonly Stretch[];
}
export interface StickLeg {
  readonly id: string;
  readonly frame: number;
  /** Length and the cut after it. */
  readonly take: number;
}
export interface StickTask {
  readonly id: string;
  readonly seed: number;
  readonly cut: number;
  readonly trim: number;
  readonly minOffcut: number;
  readonly batchPenalty: number;
  readonly unmadePenalty: number;
  readonly legs: readonly StickLeg[];
  readonly frames: readonly { readonly id: string; readonly legs: readonly number[] }[];
  readonly sources: readonly StickSource[];
  readonly batches: number;
}

/** Where a leg may lie: the stick without its trims and its no-go zones, joined where zones overlap. */
function stretchesOf(
  length: number,
  trim: number,
  cut: number,
  zones: readonly { from: number; to: number }[],
): Stretch[] {
  const found: Stretch[] = [];
  let from = trim;
  const end = length - trim;
  for (const zone of [...zones].filter((one) => one.to > one.from).sort((a, b) => a.from - b.from)) {
    if (zone.from > from) found.push({ from, room: Math.min(zone.from, end) - from + cut });
    // A zone narrower than the cut: the cut needs its own room between the legs on either side of it.
    from = Math.max(from, zone.to, zone.from + cut);
  }
  if (end > from) found.push({ from, room: end - from + cut });
  return found.filter((one) => one.room > cut);
}

export function stickTasks(request: SticksRequest): StickTask[] {
  const { kerf, endTrim, minOffcut, offcutValue, batchPenalty, unmadePenalty, seed } = request;
  const cut = grainsUp(kerf);
  const trim = grainsUp(endTrim);
  const byProfile = new Map<string, SticksRequest['frames'][number][]>();
  for (const frame of request.frames) {
    const list = byProfile.get(frame.profile);
    if (list) list.push(frame);
    else byProfile.set(frame.profile, [frame]);
  }
  return request.profiles.flatMap((profile, index): StickTask[] => {
    const wanted = byProfile.get(profile.id) ?? [];
    if (wanted.length === 0) return [];
    const batches = [...new Set([...profile.stock, ...profile.rack].map((one) => one.batch ?? ''))];
    const perMm = Math.min(...profile.stock.map((one) => (one.price ?? one.length) / one.length));
    const rackRate = Number.isFinite(perMm) ? perMm : 1;
    const source = (
      one: { id: string; length: number; batch?: string | undefined },
      rack: boolean,
      most: number,
      price: number,
      noGo: readonly { from: number; to: number }[],
    ): StickSource => {
      const length = grainsDown(one.length);
      const zones = noGo.map(({ from, to }) => ({ from: grainsDown(from), to: grainsUp(to) }));
      return {
        id: one.id,
        rack,
        length,
        batch: batches.indexOf(one.batch ?? ''),
        most,
        open: rack ? offcutValue * price : price,
        rate: (offcutValue * price) / grainsUp(one.length),
        stretches: stretchesOf(length, trim, cut, zones),
      };
    };
    const legs: StickLeg[] = [];
    const frames = wanted.map((frame, at) => ({
      id: frame.id,
      legs: frame.legs.map((leg) => legs.push({ id: leg.id, frame: at, take: grainsUp(leg.length) + cut }) - 1),
    }));
    return [
      {
        id: profile.id,
        seed: (seed + Math.imul(index + 1, 0x9e3779b1)) | 0,
        cut,
        trim,
        minOffcut: grainsUp(minOffcut),
        batchPenalty,
        unmadePenalty,
        legs,
        frames,
        sources: [
          ...profile.stock.map((one) => source(one, false, one.qty ?? Infinity, one.price ?? one.length, [])),
          ...profile.rack.map((one) => source(one, true, 1, one.length * rackRate, one.noGo)),
        ],
        batches: batches.length,
      },
    ];
  });
}

/** A stick with its legs: one list for each stretch of its source. */
export interface Bar {
  readonly source: number;
  readonly groups: readonly (readonly number[])[];
  /** Opening it less what its offcut gives back. */
  readonly cost: number;
  /** What is left after the last leg and its cut, useful or not. */
  readonly left: number;
}
export interface StickResult {
  readonly bars: readonly Bar[];
  readonly unmade: readonly number[];
  readonly cost: number;
}

export const usefulLeft = (task: StickTask, left: number): number => (left > 0 && left >= task.minOffcut ? left : 0);

/** A stick filled so: what it costs and leaves. */
export function barOf(task: StickTask, source: number, groups: readonly (readonly number[])[]): Bar {
  const of = task.sources[source]!;
  let left = 0;
  for (let at = groups.length - 1; at >= 0; at -= 1) {
    const group = groups[at]!;
    if (group.length === 0) continue;
    let load = 0;
    for (const leg of group) load += task.legs[leg]!.take;
    left = of.length - of.stretches[at]!.from - load;
    break;
  }
  return { source, groups, left, cost: of.open - of.rate * usefulLeft(task, left) };
}

/** Equal lengths behind one another, the longest first: few changes of the stop. */
export function plannedBar(task: StickTask, bar: Bar): PlannedBar {
  const source = task.sources[bar.source]!;
  const pieces = bar.groups.flatMap((group, at) => {
    let from = source.stretches[at]!.from;
    return [...group]
      .sort((a, b) => task.legs[b]!.take - task.legs[a]!.take || task.legs[a]!.frame - task.legs[b]!.frame || a - b)
      .map((leg) => {
        const piece = { leg: task.legs[leg]!.id, at: toMm(from) };
        from += task.legs[leg]!.take;
        return piece;
      });
  });
  return { source: source.id, profile: task.id, pieces, offcut: toMm(usefulLeft(task, bar.left)) };
}
