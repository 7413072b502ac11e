/**
 * Plans drawn by lot: sheets that cost little above their prices and can all be cut, and the few parts they leave laid into
 * sheets as well as it goes. Of many beginnings only those are ended that promise most.
 */
import type { Random } from '../random';
import { Beginnings, type Candidate } from './beginnings';
import type { SheetFiller } from './fill';
import type { CutSheet, SheetTask } from './task';

/** Beginnings looked at, those ended, and how often. */
const [LOOKED, ENDED, TIMES] = [64, 10, 2];
/** So few or so many parts are left. */
const [FEWEST_LEFT, MOST_LEFT] = [3, 18];
/** What is left costs so many times its prices, about. */
const DEARER = 1.04;
const TRIES = 8;

export interface Drawable extends Candidate {
  readonly cost: number;
  readonly sheet: () => CutSheet;
}

export class Draws {
  constructor(
    private readonly task: SheetTask,
    private readonly filler: SheetFiller,
    /** The parts of each size. */
    private readonly parts: readonly (readonly number[])[],
    private readonly sources: readonly number[],
    /** Sources of which there are only some. */
    private readonly racks: readonly number[],
    private readonly random: Random,
  ) {}

  /** The sheets of a plan of all parts that costs less than `most`, if there is one. */
  plan(candidates: readonly Drawable[], prices: ArrayLike<number>, most: number): CutSheet[] | undefined {
    const { task, parts, racks, random } = this;
    const there = racks.map((source) => task.sources[source]!.most);
    const beginnings = new Beginnings(
      candidates,
      parts.map((list) => list.length),
      there,
    );
    const drawn = Array.from({ length: LOOKED }, () => {
      const chosen = beginnings.next(FEWEST_LEFT + random.below(MOST_LEFT - FEWEST_LEFT), random);
      const left = parts.map((list) => list.length);
      let cost = 0;
      for (const at of chosen) {
        cost += candidates[at]!.cost;
        for (const size of candidates[at]!.sizes) left[size]! -= 1;
      }
      return {
        chosen,
        left,
        cost,
        about: cost + DEARER * left.reduce((sum, count, at) => sum + count * prices[at]!, 0),
      };
    });
    drawn.sort((a, b) => a.about - b.about);
    let least = most;
    let best: { chosen: readonly number[]; rest: CutSheet[] } | undefined;
    this.filler.values((size) => this.filler.areaOf(size));
    for (const { chosen, left, cost } of drawn.slice(0, ENDED))
      for (let time = 0; time < TIMES; time += 1) {
        const used = [...there];
        for (const at of chosen) if (candidates[at]!.rack >= 0) used[candidates[at]!.rack]! -= 1;
        const rest = this.ended(left, used, least - cost);
        if (!rest) continue;
        least = cost + rest.reduce((sum, sheet) => sum + sheet.cost, 0);
        best = { chosen, rest };
      }
    return best && [...best.chosen.map((at) => candidates[at]!.sheet()), ...best.rest];
  }

  /** Sheets of all that is left, if they cost less than `most`. */
  private ended(left: readonly number[], racks: number[], most: number): CutSheet[] | undefined {
    const { filler, sources } = this;
    filler.begin(
      this.parts.flatMap((list, size) => list.slice(0, left[size])),
      true,
    );
    const sheets: CutSheet[] = [];
    let cost = 0;
    while (filler.load > 0) {
      const there = sources.filter((source) => {
        const rack = this.racks.indexOf(source);
        return rack < 0 || racks[rack]! > 0;
      });
      const sheet = filler.fill(there, TRIES, false);
      if (!sheet) return undefined;
      cost += sheet.cost;
      if (cost >= most) return undefined;
      const rack = this.racks.indexOf(sheet.source);
      if (rack >= 0) racks[rack]! -= 1;
      sheets.push(sheet);
    }
    return sheets;
  }
}
