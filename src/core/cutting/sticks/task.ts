/**
 * One moulding's part of a request, in grains, ready for the search; and the way back to a plan. Each moulding is its
 * own problem. A leg takes its length and the cut after it, so a stretch from a to b holds legs while their takes add
 * up to b − a + cut (rulings R51, R56).
 */
import { grainsDown, grainsUp, toMm } from '../grain';
import { type PlannedBar, type SticksRequest, pricing } from '../request';

interface Zone {
  readonly from: number;
  readonly to: number;
}
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
  /**
   * The same sources without zones narrower than the cut, where there are such. Legs on both sides of one need more room
   * than a leg on one side, which stretches cannot say: plans keep the room, bounds leave the zone out.
   */
  readonly relaxed?: readonly StickSource[];
  readonly batches: number;
}

/** Where a leg may lie: the stick without its trims and its no-go zones, joined where zones overlap. */
function stretchesOf(length: number, trim: number, cut: number, zones: readonly Zone[]): Stretch[] {
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
    const { bought, onRack: priceOnRack } = pricing(profile.stock, ({ length }: { length: number }) => length);
    const source = (
      one: { id: string; length: number; batch?: string | undefined },
      rack: boolean,
      most: number,
      price: number,
      zones: readonly Zone[],
    ): StickSource => {
      const length = grainsDown(one.length);
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
    const zonesOf = (one: { noGo: readonly Zone[] }) =>
      one.noGo.map(({ from, to }) => ({ from: grainsDown(from), to: grainsUp(to) }));
    const wide = (zone: Zone) => zone.to - zone.from >= cut;
    const stock = profile.stock.map((one) => source(one, false, one.qty ?? Infinity, bought(one), []));
    const onRack = (keep: (zone: Zone) => boolean) =>
      profile.rack.map((one) => source(one, true, 1, priceOnRack(one), zonesOf(one).filter(keep)));
    const narrow = profile.rack.some((one) => zonesOf(one).some((zone) => zone.to > zone.from && !wide(zone)));
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
        sources: [...stock, ...onRack(() => true)],
        ...(narrow ? { relaxed: [...stock, ...onRack(wide)] } : {}),
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

/**
 * Legs of one length are the same to the saw: they change places within a finish batch so that the two of a frame come
 * from one stick where there is room for both. Nothing else of the plan changes.
 */
export function pairedUp(task: StickTask, bars: readonly Bar[]): Bar[] {
  const slots = new Map<string, { bar: number; group: number; at: number }[]>();
  for (const [index, bar] of bars.entries())
    for (const [group, legs] of bar.groups.entries())
      for (const [at, leg] of legs.entries()) {
        const key = `${task.legs[leg]!.take}:${task.sources[bar.source]!.batch}`;
        const list = slots.get(key) ?? [];
        list.push({ bar: index, group, at });
        slots.set(key, list);
      }
  const groups = bars.map((bar) => bar.groups.map((group) => [...group]));
  for (const places of slots.values()) {
    const waiting = new Map<number, number[]>();
    for (const { bar, group, at } of places) {
      const leg = bars[bar]!.groups[group]![at]!;
      const { frame } = task.legs[leg]!;
      waiting.set(frame, [...(waiting.get(frame) ?? []), leg]);
    }
    const byBar = new Map<number, typeof places>();
    for (const place of places) byBar.set(place.bar, [...(byBar.get(place.bar) ?? []), place]);
    const single: typeof places = [];
    // Sticks with room for two take the two of one frame; what is left over takes what is left.
    for (const room of byBar.values()) {
      while (room.length > 1) {
        const pair = [...waiting.values()].find((legs) => legs.length > 1);
        if (!pair) break;
        for (const place of room.splice(0, 2)) groups[place.bar]![place.group]![place.at] = pair.shift()!;
      }
      single.push(...room);
    }
    const rest = [...waiting.values()].flat();
    for (const place of single) groups[place.bar]![place.group]![place.at] = rest.shift()!;
  }
  return bars.map((bar, index) => ({ ...bar, groups: groups[index]! }));
}
