/**
 * Chooses among all ways to cut a few parts: a way that holds the first part still to be made is taken off again and again,
 * each remainder solved once. Prices say what a remainder costs at the least, and which ways come into question.
 */
import { lowest } from './subsets';

/** Bits of a set; and of a state beside it. */
export const MOST_CHOSEN = 30;
export const MOST_RACKS = 12;
const ROUNDING = 1e-6;

/** What a linear program over all ways says. */
export interface Prices {
  /** Of each part, then of each piece of the rack. */
  readonly each: Float64Array;
  /** How many new sheets are needed at the least, and what that says each must cost beside the prices of its parts. */
  readonly fewest: number;
  readonly perNew: number;
}
/** A set of parts that can be cut together. */
export interface Choosable {
  readonly set: number;
  /** One bit where it is cut from a piece of the rack. */
  readonly rack: number;
  /** What it costs above the prices of its parts, at least. */
  readonly over: number;
}
interface State<Way> {
  /** The best cost of what is left, or what it is at least where nothing was found below. */
  readonly cost: number;
  readonly way: Way | undefined;
  readonly found: boolean;
}
export interface Chosen<Way> {
  /** What the cheapest choice costs, or what it is at least when there is none below what was asked for. */
  readonly cost: number;
  readonly ways: readonly Way[] | undefined;
  /** Remainders solved. */
  readonly states: number;
}

/** Ways by what they cost above their prices as it is known now; flat, for they are run through again and again. */
class Listed<Way extends Choosable> {
  readonly list: readonly Way[];
  readonly sets: Int32Array;
  readonly overs: Float64Array;
  constructor(ways: readonly Way[]) {
    this.list = [...ways].sort((a, b) => a.over - b.over);
    this.sets = Int32Array.from(this.list, ({ set }) => set);
    this.overs = Float64Array.from(this.list, ({ over }) => over);
  }
}

/**
 * The cheapest choice of `ways` that costs less than `most`; undefined when stopped or when there are too many remainders.
 * `costOf` may make a way dearer, and more so above its prices, than it was; never cheaper.
 */
export function choose<Way extends Choosable>(
  ways: readonly Way[],
  parts: number,
  { each, fewest, perNew }: Prices,
  unmadePenalty: number,
  costOf: (way: Way) => number,
  most: number,
  mostStates: number,
  stop: () => boolean,
): Chosen<Way> | undefined {
  const byFirst = Array.from(
    { length: parts },
    (_, first) => new Listed(ways.filter(({ set }) => lowest(set) === first)),
  );

  /** What the prices say of a remainder: it costs no less, whatever of the rack is left, after so many new sheets. */
  const atLeast = (set: number, opened: number): number => {
    let sum = perNew * Math.max(0, fewest - opened);
    for (let rest = set; rest; rest &= rest - 1) sum += each[lowest(rest)]!;
    for (let at = parts; at < each.length; at += 1) sum += Math.min(0, each[at]!);
    return sum;
  };
  const states = new Map<number, State<Way>>();
  const keyOf = (set: number, racks: number): number => set * 2 ** MOST_RACKS + racks;
  let ended = false;
  let looks = 0;
  // The cost of a remainder where it is below `room`; otherwise something that is not below it, nor above the truth.
  const visit = (set: number, racks: number, room: number, opened: number): number => {
    if (set === 0) return 0;
    const least = atLeast(set, opened);
    if (least >= room) return least;
    const key = keyOf(set, racks);
    const known = states.get(key);
    if (known && (known.found || known.cost >= room)) return known.cost;
    if (ended || states.size > mostStates || ((looks += 1) % 64 === 0 && stop())) {
      ended = true;
      return Infinity;
    }
    let cost = room;
    let chosen: Way | undefined;
    const consider = (own: number, rest: number, used: number, now: number, way: Way | undefined) => {
      if (own >= cost) return;
      const sum = own + visit(rest, used, cost - own, now);
      if (sum >= cost - ROUNDING) return;
      cost = sum;
      chosen = way;
    };
    const { list, sets, overs } = byFirst[lowest(set)]!;
    for (let at = 0; at < list.length; at += 1) {
      // From here on none can be better.
      if (overs[at]! + least >= cost) break;
      if ((sets[at]! & ~set) !== 0) continue;
      const way = list[at]!;
      if ((way.rack & racks) !== 0 || way.over + least >= cost) continue;
      const own = costOf(way);
      if (way.over + least >= cost) continue;
      consider(own, set & ~way.set, racks | way.rack, opened + (way.rack ? 0 : 1), way);
    }
    // The fewest new sheets are those for all parts.
    consider(unmadePenalty, set & (set - 1), racks, Infinity, undefined);
    states.set(key, { cost, way: chosen, found: cost < room });
    return cost;
  };

  const all = 2 ** parts - 1;
  const cost = visit(all, 0, most, 0);
  if (ended) return undefined;
  if (!states.get(keyOf(all, 0))?.found) return { cost, ways: undefined, states: states.size };
  const found: Way[] = [];
  for (let [set, racks] = [all, 0]; set;) {
    const { way } = states.get(keyOf(set, racks))!;
    if (way) found.push(way);
    racks |= way?.rack ?? 0;
    set &= way ? ~way.set : set - 1;
  }
  return { cost, ways: found, states: states.size };
}
