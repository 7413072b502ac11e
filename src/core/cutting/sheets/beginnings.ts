/**
 * The beginning of a plan at once: of the sheets that cost little above their prices some that can all be cut, those parts
 * first that few of them hold. What the prices say of a plan's other sheets stays true, so little is lost by it.
 */
import type { Random } from '../random';
import type { Candidate } from './candidates';

/** How much chance has a say: in which part is next, and in its sheet, as a share of what sheets are above their prices. */
const [WHIM, WARM] = [0.6, 0.4];

export class Beginnings {
  /** Sizes of each candidate, and how many of them; all in flat lists, for they are run through again and again. */
  private readonly from: Int32Array;
  private readonly sizes: Int32Array;
  private readonly times: Int32Array;
  private readonly rack: Int32Array;
  private readonly over: Float64Array;
  private readonly heat: number;
  /** The candidates that hold a size, and where in their lists. */
  private readonly begins: Int32Array;
  private readonly holders: Int32Array;
  private readonly places: Int32Array;
  private readonly alive: Uint8Array;
  private readonly holds: Int32Array;
  private readonly first: { readonly alive: Uint8Array; readonly holds: Int32Array };
  private readonly left: Int32Array;
  private readonly onRack: Int32Array;

  constructor(
    list: readonly Pick<Candidate, 'sizes' | 'rack' | 'over'>[],
    private readonly need: readonly number[],
    private readonly racks: readonly number[],
  ) {
    const count = need.length;
    const flat: number[] = [];
    const times: number[] = [];
    this.from = new Int32Array(list.length + 1);
    const seen = new Int32Array(count).fill(-1);
    this.holds = new Int32Array(count);
    for (const [at, { sizes }] of list.entries()) {
      for (const size of sizes) {
        if (seen[size]! >= this.from[at]!) times[seen[size]!]! += 1;
        else {
          seen[size] = flat.length;
          flat.push(size);
          times.push(1);
          this.holds[size]! += 1;
        }
      }
      this.from[at + 1] = flat.length;
    }
    this.sizes = Int32Array.from(flat);
    this.times = Int32Array.from(times);
    this.rack = Int32Array.from(list, (one) => one.rack);
    this.over = Float64Array.from(list, (one) => Math.max(0, one.over));
    this.heat = WARM * this.over.reduce((most, one) => Math.max(most, one), 0);
    this.begins = new Int32Array(count + 1);
    for (let size = 0; size < count; size += 1) this.begins[size + 1] = this.begins[size]! + this.holds[size]!;
    const next = this.begins.slice();
    this.holders = new Int32Array(flat.length);
    this.places = new Int32Array(flat.length);
    for (let one = 0; one < list.length; one += 1)
      for (let at = this.from[one]!; at < this.from[one + 1]!; at += 1) {
        const place = next[flat[at]!]!++;
        this.holders[place] = one;
        this.places[place] = at;
      }
    this.alive = new Uint8Array(list.length).fill(1);
    this.left = Int32Array.from(need);
    this.onRack = Int32Array.from(racks);
    for (let size = 0; size < count; size += 1) this.drop(size);
    for (let one = 0; one < list.length; one += 1)
      if (this.rack[one]! >= 0 && racks[this.rack[one]!]! <= 0) this.kill(one);
    this.first = { alive: this.alive.slice(), holds: this.holds.slice() };
  }

  private kill(one: number): void {
    if (this.alive[one] === 0) return;
    this.alive[one] = 0;
    for (let at = this.from[one]!; at < this.from[one + 1]!; at += 1) this.holds[this.sizes[at]!]! -= 1;
  }
  /** What needs more of a size than there is cannot be cut any more. */
  private drop(size: number): void {
    const left = this.left[size]!;
    for (let place = this.begins[size]!; place < this.begins[size + 1]!; place += 1)
      if (this.times[this.places[place]!]! > left) this.kill(this.holders[place]!);
  }

  /** Candidates that can be cut together, by chance, as places in the list; parts of about `until` are left. */
  next(until: number, random: Random): number[] {
    const { from, sizes, times, over, alive, holds, left, onRack, begins, holders, rack } = this;
    alive.set(this.first.alive);
    holds.set(this.first.holds);
    left.set(this.need);
    onRack.set(this.racks);
    let total = 0;
    for (let size = 0; size < left.length; size += 1) total += left[size]!;
    const chosen: number[] = [];
    while (total > until) {
      let scarce = -1;
      let fewest = Infinity;
      for (let size = 0; size < left.length; size += 1) {
        if (left[size]! <= 0 || holds[size] === 0) continue;
        const many = holds[size]! * (1 + WHIM * random.next());
        if (many < fewest) [scarce, fewest] = [size, many];
      }
      if (scarce < 0) break;
      let pick = -1;
      let least = Infinity;
      for (let place = begins[scarce]!; place < begins[scarce + 1]!; place += 1) {
        const one = holders[place]!;
        if (alive[one] === 0) continue;
        const liking = over[one]! + this.heat * random.next() * random.next();
        if (liking < least) [pick, least] = [one, liking];
      }
      chosen.push(pick);
      const piece = rack[pick]!;
      if (piece >= 0 && --onRack[piece]! <= 0)
        for (let one = 0; one < rack.length; one += 1) if (rack[one] === piece) this.kill(one);
      for (let at = from[pick]!; at < from[pick + 1]!; at += 1) {
        left[sizes[at]!]! -= times[at]!;
        total -= times[at]!;
        this.drop(sizes[at]!);
      }
    }
    return chosen;
  }
}
