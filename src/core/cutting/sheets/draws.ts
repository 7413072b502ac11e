/**
 * Plans drawn by lot: sheets that cost little above their prices and can all be cut, and the few parts they leave laid into
 * sheets as well as it goes. Of many beginnings only those are ended that promise most.
 */
import type { Random } from '../random';
import { Beginnings } from './beginnings';
import type { Candidate } from './candidates';
import type { SheetFiller } from './fill';
import type { Left, WayProgram } from './program';
import type { CutSheet } from './task';

/** Beginnings looked at, those ended, and how often. */
const [LOOKED, ENDED, TIMES] = [64, 10, 2];
/** So few or so many parts are left. */
const [FEWEST_LEFT, MOST_LEFT] = [3, 18];
/** What is left costs so many times its prices, about. */
const DEARER = 1.04;
const TRIES = 8;

interface Begun extends Left {
  readonly chosen: readonly number[];
  readonly cost: number;
  /** What the whole plan may come to. */
  readonly about: number;
}

export class Draws {
  constructor(
    private readonly filler: SheetFiller,
    private readonly program: WayProgram,
    private readonly sources: readonly number[],
    private readonly random: Random,
  ) {}

  /** The sheets of a plan of all parts that costs less than `most`, if there is one. */
  plan(near: readonly Candidate[], prices: ArrayLike<number>, most: number): CutSheet[] | undefined {
    const { filler, random } = this;
    const all = this.program.all();
    const beginnings = new Beginnings(near, all.need, all.racks);
    const begun = Array.from({ length: LOOKED }, () => {
      const until = FEWEST_LEFT + random.below(MOST_LEFT - FEWEST_LEFT);
      return this.begun(near, beginnings.next(until, random), prices);
    });
    begun.sort((a, b) => a.about - b.about);
    filler.pool.values((size) => filler.pool.areaOf(size));
    let least = most;
    let best: CutSheet[] | undefined;
    for (const one of begun.slice(0, ENDED))
      for (let time = 0; time < TIMES; time += 1) {
        const rest = one.cost < least ? this.ended(one, least - one.cost) : undefined;
        if (!rest) continue;
        least = one.cost + rest.reduce((sum, sheet) => sum + sheet.cost, 0);
        best = [...one.chosen.map((at) => near[at]!.sheet()), ...rest];
      }
    return best;
  }

  private begun(near: readonly Candidate[], chosen: readonly number[], prices: ArrayLike<number>): Begun {
    const { need, racks } = this.program.all();
    let cost = 0;
    for (const at of chosen) {
      const { sizes, rack, cost: own } = near[at]!;
      cost += own;
      for (const size of sizes) need[size]! -= 1;
      if (rack >= 0) racks[rack]! -= 1;
    }
    const about = cost + DEARER * need.reduce((sum, count, size) => sum + count * prices[size]!, 0);
    return { chosen, need, racks, cost, about };
  }

  /** Sheets of all that is left, if they cost less than `most`. */
  private ended({ need, racks }: Left, most: number): CutSheet[] | undefined {
    const { filler, sources, program } = this;
    const there = [...racks];
    filler.pool.begin(
      program.parts.flatMap((list, size) => list.slice(0, need[size])),
      true,
    );
    const sheets: CutSheet[] = [];
    let cost = 0;
    while (filler.pool.load > 0) {
      const free = sources.filter((source) => (there[program.racks.indexOf(source)] ?? 1) > 0);
      const sheet = filler.fill(free, TRIES, false);
      if (!sheet) return undefined;
      cost += sheet.cost;
      if (cost >= most) return undefined;
      const rack = program.racks.indexOf(sheet.source);
      if (rack >= 0) there[rack]! -= 1;
      sheets.push(sheet);
    }
    return sheets;
  }
}
