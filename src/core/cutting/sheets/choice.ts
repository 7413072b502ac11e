/**
 * Chooses among all ways to cut a few parts: a way that holds the first part still to be made is taken off again and again,
 * each remainder solved once. Prices say what a remainder costs at the least, and which ways come into question.
 */
import { lowest } from './subsets';

/** Pieces of the rack that may come into question; a state has as many bits beside its parts. */
export const MOST_RACKS = 12;
/** Parts of `set`; those after them are in `high`. */
export const LOW_BITS = 30;
/** Parts and pieces of the rack together: as many as a number has bits. */
export const MOST_BITS = 53;
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
  readonly high: number;
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
  readonly highs: Int32Array;
  readonly overs: Float64Array;
  constructor(ways: readonly Way[]) {
    this.list = [...ways].sort((a, b) => a.over - b.over);
    this.sets = Int32Array.from(this.list, ({ set }) => set);
    this.highs = Int32Array.from(this.list, ({ high }) => high);
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
  const first = (set: number, high: number): number => (set ? lowest(set) : LOW_BITS + lowest(high));
  const byFirst = Array.from(
    { length: parts },
    (_, at) => new Listed(ways.filter((way) => first(way.set, way.high) === at)),
  );
  const racksBits = 2 ** (each.length - parts);
  const free = each.slice(parts).reduce((sum, price) => sum + Math.min(0, price), 0);

  /** What the prices say of a remainder: it costs no less, whatever of the rack is left, after so many new sheets. */
  const atLeast = (set: number, high: number, opened: number): number => {
    let sum = free + perNew * Math.max(0, fewest - opened);
    for (let rest = set; rest; rest &= rest - 1) sum += each[lowest(rest)]!;
    for (let rest = high; rest; rest &= rest - 1) sum += each[LOW_BITS + lowest(rest)]!;
    return sum;
  };
  const states = new Map<number, State<Way>>();
  const keyOf = (set: number, high: number, racks: number): number => (high * 2 ** LOW_BITS + set) * racksBits + racks;
  let ended = false;
  let looks = 0;
  // The cost of a remainder where it is below `room`; otherwise something that is not below it, nor above the truth.
  const visit = (set: number, high: number, racks: number, room: number, opened: number): number => {
    if (set === 0 && high === 0) return 0;
    const least = atLeast(set, high, opened);
    if (least >= room) return least;
    const key = keyOf(set, high, racks);
    const known = states.get(key);
    if (known && (known.found || known.cost >= room)) return known.cost;
    if (ended || states.size > mostStates || ((looks += 1) % 64 === 0 && stop())) {
      ended = true;
      return Infinity;
    }
    let cost = room;
    let chosen: Way | undefined;
    const { list, sets, highs, overs } = byFirst[first(set, high)]!;
    for (let at = 0; at < list.length; at += 1) {
      // From here on none can be better.
      if (overs[at]! + least >= cost) break;
      if ((sets[at]! & ~set) !== 0 || (highs[at]! & ~high) !== 0) continue;
      const way = list[at]!;
      if ((way.rack & racks) !== 0 || way.over + least >= cost) continue;
      const own = costOf(way);
      if (way.over + least >= cost || own >= cost) continue;
      const now = opened + (way.rack ? 0 : 1);
      const sum = own + visit(set & ~way.set, high & ~way.high, racks | way.rack, cost - own, now);
      if (sum >= cost - ROUNDING) continue;
      cost = sum;
      chosen = way;
    }
    // The fewest new sheets are those for all parts.
    if (unmadePenalty < cost) {
      const sum =
        unmadePenalty + visit(set & (set - 1), set ? high : high & (high - 1), racks, cost - unmadePenalty, Infinity);
      if (sum < cost - ROUNDING) {
        cost = sum;
        chosen = undefined;
      }
    }
    states.set(key, { cost, way: chosen, found: cost < room });
    return cost;
  };

  const [low, over] = [2 ** Math.min(LOW_BITS, parts) - 1, 2 ** Math.max(0, parts - LOW_BITS) - 1];
  const cost = visit(low, over, 0, most, 0);
  if (ended) return undefined;
  if (!states.get(keyOf(low, over, 0))?.found) return { cost, ways: undefined, states: states.size };
  const found: Way[] = [];
  for (let [set, high, racks] = [low, over, 0]; set || high;) {
    const { way } = states.get(keyOf(set, high, racks))!;
    if (way) found.push(way);
    racks |= way?.rack ?? 0;
    if (!way && !set) high &= high - 1;
    set &= way ? ~way.set : set - 1;
    if (way) high &= ~way.high;
  }
  return { cost, ways: found, states: states.size };
}
