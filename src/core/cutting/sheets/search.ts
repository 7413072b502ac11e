/**
 * Ruin and recreate on one material, as for sticks: a few sheets are emptied, the poor ones first, and their parts laid
 * into sheets again, offcuts of the rack or new ones, each filled in several ways. The new sheets stay when they cost
 * less than the old ones, or a little more while the search is warm.
 */
import { type Random, randomFrom, shuffle } from '../random';
import { combined } from './combine';
import { SheetFiller } from './fill';
import { type CutSheet, type SheetResult, type SheetTask } from './task';

/** What one large rest is worth over the same in many, so that sheets empty out. */
const TIDY = 0.2;
/** Pieces of the rack that are tried for the next sheet, beside all that can be bought. */
const MOST_TRIED = 2;
/** How often some parts are kept back for later sheets. */
const LEAVING = 0.2;
const MOST_TOGETHER = 24;
/** Plans from nothing: in the first fillings, so many for each part, then one of so many steps; not of too many sizes. */
const [ANEW_EACH, ANEW_FIRST, ANEW_OFTEN, MOST_ANEW] = [25, 1500, 12, 400];
/** Ways in which each of their sheets is filled. */
const ANEW_TRIES = 40;
/** How fast it is learnt how hard a size is, how much that says, and what is the most. */
const [LEARNING, HARDNESS, HARDEST] = [0.5, 0.6, 3];
const MOST_POOL = 12_000;

export class SheetSearch {
  private readonly random: Random;
  private readonly filler: SheetFiller;
  private readonly used: number[];
  private readonly area: number[];
  private sheets: CutSheet[] = [];
  private unmade: number[] = [];
  private heat = 0;
  private steps = 0;
  /** What each size counts for in a plan from nothing: its area, and more when it came to lie on poor sheets before. */
  private readonly hard: Float64Array;
  /** The least that a part costs for its area (in grains), whatever it is cut from; and what a new sheet costs beside. */
  private readonly least: number;
  private readonly sheet: { readonly area: number; readonly base: number };
  best: SheetResult;

  constructor(
    readonly task: SheetTask,
    seed: number,
  ) {
    this.random = randomFrom(seed);
    this.filler = new SheetFiller(task, this.random);
    this.used = task.sources.map(() => 0);
    this.area = task.parts.map(({ w, h }) => w * h);
    // Names leave room below for the source, and stay whole when a sheet's are added up.
    this.names = task.parts.map(() => Math.floor(this.random.next() * 2 ** 32) * 2 ** 13);
    this.least = Math.min(...task.sources.map(({ open, w, h, rate }) => Math.min(rate / 256e6, open / (w * h))));
    const bought = task.sources.filter(({ rack }) => !rack);
    this.sheet = {
      area: Math.max(...bought.map(({ w, h }) => w * h), 1),
      base: Math.max(0, Math.min(...bought.map(({ open, w, h }) => open - this.least * (1 + TIDY) * w * h), Infinity)),
    };
    if (bought.length === 0) this.sheet = { area: Infinity, base: 0 };
    this.hard = Float64Array.from({ length: this.filler.pool.count }, (_, size) => this.filler.pool.areaOf(size));
    this.best = this.construct();
    this.take(this.best);
  }

  private take({ sheets, unmade }: SheetResult): void {
    this.sheets = [...sheets];
    this.unmade = [...unmade];
    this.used.fill(0);
    for (const sheet of sheets) this.used[sheet.source]! += 1;
  }
  private whole(sheets: readonly CutSheet[], unmade: readonly number[]): SheetResult {
    return {
      sheets,
      unmade,
      cost: sheets.reduce((sum, one) => sum + one.cost, 0) + unmade.length * this.task.unmadePenalty,
    };
  }
  /** Goes on from a plan found elsewhere, if it is better. */
  offer({ sheets, unmade }: SheetResult): boolean {
    const result = this.whole(sheets, unmade);
    if (result.cost >= this.best.cost - 1e-6) return false;
    this.best = result;
    this.take(result);
    return true;
  }
  /** Fillings made, as a measure of work. */
  get tries(): number {
    return this.filler.tries;
  }
  /** How many sizes the parts have. */
  get sizes(): number {
    return this.filler.pool.count;
  }
  cool(share: number): void {
    this.heat = 0.012 * (this.best.cost / Math.max(1, this.best.sheets.length)) * Math.max(0, 1 - share) ** 2;
  }
  restart(): void {
    this.take(this.best);
  }

  /** Sheet after sheet from the largest parts on. */
  private construct(): SheetResult {
    const { task, area } = this;
    const pool = task.parts.map((_, part) => part).sort((a, b) => area[b]! - area[a]! || a - b);
    const { sheets, left } = this.recreate(pool, 3, undefined);
    return this.whole(sheets, left);
  }

  /** One ruin and recreate. True when it found a new best. */
  step(): boolean {
    const { random, task } = this;
    if (this.sheets.length === 0 && this.unmade.length === 0) return false;
    this.steps += 1;
    const early = this.tries < Math.min(ANEW_FIRST, ANEW_EACH * task.parts.length);
    if (this.sizes <= MOST_ANEW && (early || this.steps % ANEW_OFTEN === 0)) return this.anew();
    const out = this.ruin();
    const old = out.map((at) => this.sheets[at]!);
    const retried = this.unmade.filter(() => random.next() < 0.3);
    const pool = [...old.flatMap((sheet) => sheet.parts), ...retried];
    for (const sheet of old) this.used[sheet.source]! -= 1;
    pool.sort((a, b) => this.area[b]! - this.area[a]! || a - b);
    const oldWorth = old.reduce((sum, one) => sum + this.worth(one), 0) + retried.length * task.unmadePenalty;
    const allowed = this.heat > 0 ? -this.heat * Math.log(1 - random.next()) : 0;
    const { sheets, left } = this.recreate(pool, 4 + random.below(16), oldWorth + allowed);
    const worth = sheets.reduce((sum, one) => sum + this.worth(one), 0) + left.length * task.unmadePenalty;
    const keep = worth < oldWorth + allowed - 1e-6 || (worth <= oldWorth && random.next() < 0.5);
    if (left.length === 0) this.remember(sheets);
    // Laying them out counted the new sheets as open; `replace` counts for itself.
    for (const sheet of sheets) this.used[sheet.source]! -= 1;
    for (const sheet of old) this.used[sheet.source]! += 1;
    if (!keep) return false;
    return this.replace(out, sheets, this.unmade.filter((part) => !retried.includes(part)).concat(left));
  }

  /** A plan from nothing, in which parts that were hard to lay count for more. True when it is a new best. */
  private anew(): boolean {
    const { task, filler, hard } = this;
    const before = [...this.used];
    this.used.fill(0);
    filler.pool.values((size) => hard[size]!);
    const { sheets, left } = this.recreate([...task.parts.keys()], ANEW_TRIES, Infinity);
    filler.pool.values((size) => filler.pool.areaOf(size));
    for (const [source, count] of before.entries()) this.used[source] = count;
    for (const { source, cost, parts } of sheets) {
      const { w, h, open } = task.sources[source]!;
      const filled = parts.reduce((sum, part) => sum + this.area[part]!, 0);
      // A piece of the rack may cost nothing.
      const share = open > 0 ? cost / open : 1;
      const poor = Math.min(HARDEST, share * ((w * h) / filled)) ** HARDNESS;
      for (const part of parts) {
        const size = filler.pool.sizeOf[part]!;
        hard[size] = (1 - LEARNING) * hard[size]! + LEARNING * poor * this.area[part]!;
      }
    }
    if (left.length === 0) this.remember(sheets);
    return this.offer({ sheets, unmade: left, cost: NaN });
  }

  /**
   * Puts together anew what was found at different times: of some sheets the parts, and of all sheets ever cut those that
   * hold nothing else, chosen so that each part is cut once at the least cost.
   */
  combine(stop: () => boolean): boolean {
    const { task, random, sheets } = this;
    const order = shuffle(
      sheets.map((_, at) => at),
      random,
    );
    const out: number[] = [];
    let count = 0;
    for (const at of order) {
      if (count + sheets[at]!.parts.length > MOST_TOGETHER) continue;
      out.push(at);
      count += sheets[at]!.parts.length;
    }
    if (out.length < 2) return false;
    const old = out.map((at) => sheets[at]!);
    const parts = old.flatMap((sheet) => sheet.parts).sort((a, b) => this.area[b]! - this.area[a]!);
    const open = new Map<number, number>();
    for (const sheet of old) open.set(sheet.source, (open.get(sheet.source) ?? 0) + 1);
    const racks = task.sources.flatMap(({ most }, index) =>
      most === 1 && this.used[index]! - (open.get(index) ?? 0) === 0 ? [index] : [],
    );
    const found = combined(task, parts, racks, this.pool.values(), stop);
    if (!found) return false;
    const gain = old.reduce((sum, one) => sum + one.cost, 0) - found.reduce((sum, one) => sum + one.cost, 0);
    return gain > 1e-6 && this.replace(out, found, this.unmade);
  }
  /** Sheets ever cut, by their parts: each part has a number, the sum of a sheet's is its name. */
  private readonly pool = new Map<number, CutSheet>();
  private readonly names: number[];
  private remember(sheets: readonly CutSheet[]): void {
    for (const sheet of sheets) {
      let name = this.task.sources[sheet.source]!.most === 1 ? sheet.source + 1 : 0;
      for (const part of sheet.parts) name += this.names[part]!;
      const before = this.pool.get(name);
      if (before && sheet.cost >= before.cost) continue;
      this.pool.set(name, sheet);
      if (this.pool.size > MOST_POOL)
        for (const oldest of this.pool.keys()) {
          this.pool.delete(oldest);
          break;
        }
    }
  }

  /** The sheets that cost least for what they hold, of all ever cut. */
  cheapest(most: number): CutSheet[] {
    const price = ({ cost, parts }: CutSheet) => cost / parts.reduce((sum, part) => sum + this.area[part]!, 0);
    return [...this.pool.values()]
      .map((sheet) => ({ sheet, price: price(sheet) }))
      .sort((a, b) => a.price - b.price)
      .slice(0, most)
      .map(({ sheet }) => sheet);
  }

  /** Puts sheets in the place of others. True when that is a new best. */
  private replace(out: number[], sheets: readonly CutSheet[], unmade: number[]): boolean {
    out.sort((a, b) => b - a);
    for (const at of out) {
      this.used[this.sheets[at]!.source]! -= 1;
      this.sheets[at] = this.sheets[this.sheets.length - 1]!;
      this.sheets.pop();
    }
    for (const sheet of sheets) this.used[sheet.source]! += 1;
    this.sheets.push(...sheets);
    this.unmade = unmade;
    const now = this.whole(this.sheets, this.unmade);
    if (now.cost >= this.best.cost - 1e-6) return false;
    this.best = { ...now, sheets: [...this.sheets], unmade: [...this.unmade] };
    return true;
  }

  private worth({ source, cost, waste }: CutSheet): number {
    const { rate, w, h, open } = this.task.sources[source]!;
    // What neither parts nor waste take is useful rest: open − cost gives it back at `rate`.
    const rest = waste + (rate > 0 ? (open - cost) / rate : 0);
    return cost - (TIDY * rate * rest * rest) / ((w * h) / 256e6);
  }

  private ruin(): number[] {
    const { random, sheets } = this;
    const count = Math.min(sheets.length, 1 + random.below(random.next() < 0.25 ? 9 : 3));
    const out = new Set<number>();
    const poor = () => {
      let at = random.below(sheets.length);
      for (let tries = 0; tries < 2; tries += 1) {
        const other = random.below(sheets.length);
        if (sheets[other]!.waste > sheets[at]!.waste) at = other;
      }
      return at;
    };
    for (let tries = 0; out.size < count && tries < 30; tries += 1)
      out.add(random.next() < 0.5 ? poor() : random.below(sheets.length));
    return [...out];
  }

  /** Lays parts into sheets; gives up where it must cost more than `most`. Undefined for the first plan: no chance. */
  private recreate(
    parts: readonly number[],
    tries: number,
    most: number | undefined,
  ): { sheets: CutSheet[]; left: number[] } {
    const { random, filler } = this;
    const sheets: CutSheet[] = [];
    let worth = 0;
    filler.pool.begin(parts, most !== undefined);
    for (let idle = 0; filler.pool.load > 0 && idle < 3;) {
      if (most !== undefined && worth + this.leastFor(filler.pool.load) > most) break;
      const leaving = most !== undefined && random.next() < LEAVING;
      const next = filler.fill(this.tried(), tries, leaving);
      if (!next) {
        if (!leaving) break;
        idle += 1;
        continue;
      }
      sheets.push(next);
      worth += this.worth(next);
      this.used[next.source]! += 1;
    }
    return { sheets, left: filler.pool.rest() };
  }

  /** What so much area must still cost, about: what is not taken by the rack opens whole sheets. */
  private leastFor(load: number): number {
    const { task } = this;
    let rack = 0;
    for (const [index, { most, w, h }] of task.sources.entries())
      if (most !== Infinity) rack += (most - this.used[index]!) * w * h;
    const sheets = Math.max(0, Math.ceil((load - rack) / this.sheet.area - 1e-9));
    return this.least * load + sheets * this.sheet.base;
  }

  /** All that can be bought, and a few of the rack. */
  private tried(): number[] {
    const { task, random } = this;
    const bought: number[] = [];
    const rack: number[] = [];
    for (const [index, { most, rack: old }] of task.sources.entries())
      if (this.used[index]! < most) (old ? rack : bought).push(index);
    if (bought.length + rack.length <= MOST_TRIED) return [...bought, ...rack];
    return [...bought, ...shuffle(rack, random).slice(0, 1)];
  }
}
