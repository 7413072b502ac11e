/**
 * A bound by counting what is opened. A stick or sheet that holds some amount (length, area) costs at least what a convex
 * line says: its offcut is worth something while it is large enough, nothing after. Choosing sticks or sheets that hold
 * everything, with the cost along those lines, costs no more than any plan. Every choice from the rack is tried, with the
 * fewest new ones that go with it.
 */
export interface Line {
  readonly most: number;
  /** Cost with nothing on it, then two slopes: up to `bend`, and from there to `room`. */
  readonly base: number;
  readonly slope: number;
  readonly bend: number;
  readonly steep: number;
  readonly room: number;
}

/** `free` is what could be left at most, `leastUseful` what an offcut must have at least, `open` the cost of opening. */
export function lineOf(
  open: number,
  rate: number,
  free: number,
  room: number,
  leastUseful: number,
  most: number,
): Line {
  const base = Math.max(0, open - rate * free);
  const bend = Math.max(0, Math.min(room, free - leastUseful));
  const steep = room > bend ? (open - base - rate * bend) / (room - bend) : rate;
  // Where the last stretch is the flatter one, only the straight line below both is convex.
  return steep < rate
    ? { most, base, slope: (open - base) / room, bend: room, steep: (open - base) / room, room }
    : { most, base, slope: rate, bend, steep, room };
}

const MOST_RACK = 9;
/** More of one kind than anybody opens. */
const MOST_FEW = 400;
/** More of the one kind are not tried one by one beside the other. */
const MOST_COUNTED = 2000;

/** What a line costs for what it holds, at the least; taken in any amount it is below the line. */
const ratio = (line: Line): number =>
  Math.min(
    (line.base + line.slope * line.bend + line.steep * (line.room - line.bend)) / line.room,
    line.bend > 0 ? (line.base + line.slope * line.bend) / line.bend : Infinity,
  );

/**
 * The bound for `load` in all, all of it made, with `fewest` new ones or more; 0 where there are too many kinds to buy.
 * Opening one more than must be can cost less: every one then leaves a useful offcut.
 */
export function countBound(lines: readonly Line[], load: number, fewest = 0): number {
  if (load === 0) return 0;
  const stock = lines.filter(({ most }) => most === Infinity);
  const few = lines.flatMap((line) =>
    line.most === Infinity ? [] : Array.from({ length: Math.min(line.most, MOST_FEW) }, () => line),
  );
  // The largest of the rack are chosen one by one; the others are taken in any amount, which costs no more.
  few.sort((a, b) => b.room - a.room);
  const rack = few.slice(0, MOST_RACK);
  const loose = few.slice(MOST_RACK);
  const [one, other] = stock;
  if (!one || stock.length > 2) return 0;
  const slopes = lines
    .flatMap((line, at) => [
      { at, slope: line.slope, room: line.bend },
      { at, slope: line.steep, room: line.room - line.bend },
    ])
    .concat(loose.map((line) => ({ at: lines.length, slope: ratio(line), room: line.room })))
    .sort((a, b) => a.slope - b.slope);
  const flattest = load * Math.min(...slopes.map(({ slope }) => slope));
  /** How many of each line are opened; the last place stands for the loose ones, each of which is there once. */
  const counts = new Int32Array(lines.length + 1).fill(1, lines.length);
  const place = new Map(lines.map((line, at) => [line, at]));
  let base = 0;
  const cost = () => {
    let rest = load;
    let sum = base;
    for (const { at, slope, room } of slopes) {
      const held = Math.min(rest, room * counts[at]!);
      sum += slope * held;
      rest -= held;
    }
    return sum;
  };
  let best = Infinity;
  /** Looks at so many of a kind or more: the cost falls, if at all, from the beginning. */
  const upward = (line: Line, from: number): void => {
    const before = base;
    let least = Infinity;
    for (let more = 0; more <= MOST_FEW && before + (from + more) * line.base + flattest < best; more += 1) {
      counts[place.get(line)!] = from + more;
      base = before + (from + more) * line.base;
      const now = cost();
      if (now >= least) break;
      least = now;
      // So many more are never worth it; if they were, nothing is known.
      if (more === MOST_FEW) least = 0;
    }
    base = before;
    best = Math.min(best, least);
  };
  for (let choice = (1 << rack.length) - 1; choice >= 0; choice -= 1) {
    counts.fill(0, 0, lines.length);
    let held = loose.reduce((sum, { room }) => sum + room, 0);
    base = 0;
    for (const [at, line] of rack.entries())
      if (choice & (1 << at)) {
        counts[place.get(line)!]! += 1;
        base += line.base;
        held += line.room;
      }
    const rest = Math.max(0, load - held);
    const needed = (line: Line, room: number) => Math.max(0, Math.ceil(room / line.room - 1e-9));
    if (!other) {
      upward(one, Math.max(needed(one, rest), fewest));
      continue;
    }
    // Once all lies on the flat stretches of the one kind, more of it only cost more.
    const most = Math.max(needed(one, rest), one.bend > 0 ? Math.ceil(rest / one.bend) : 0);
    if (most > MOST_COUNTED) return 0;
    const chosen = base;
    for (let count = 0; count <= Math.max(most, fewest); count += 1) {
      counts[place.get(one)!] = count;
      base = chosen + count * one.base;
      upward(other, Math.max(needed(other, rest - count * one.room), fewest - count));
    }
  }
  return best;
}

/** The fewest new ones that any plan opens, whatever it takes from the rack. */
export function fewestNew(lines: readonly Line[], load: number): number {
  const stock = lines.filter(({ most }) => most === Infinity);
  const rack = lines.filter(({ most }) => most !== Infinity).reduce((sum, { room, most }) => sum + room * most, 0);
  const room = Math.max(...stock.map((line) => line.room), 1e-9);
  return stock.length === 0 ? 0 : Math.max(0, Math.ceil((load - rack) / room - 1e-9));
}
