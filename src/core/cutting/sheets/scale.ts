/**
 * Lengths in whole cells, rounded down. Cells of two pieces side by side are never more than those of the piece they are
 * cut from, so whatever is counted in cells is a relaxation. A cell a hair wider than the sheet's so-and-so-manieth part
 * takes a whole cell off the sheet itself, which makes up for what parts lose by rounding; of the cells of about the right
 * size the pair is taken that leaves the parts most of their area.
 */
import type { SheetTask } from './task';

export interface Scale {
  readonly cell: number;
  /** So many cells has the longest side. */
  readonly count: number;
}
interface Sized {
  readonly w: number;
  readonly h: number;
  readonly parts: readonly unknown[];
}
/** Numbers of cells that are tried, as shares of the number wanted. */
const FROM = 0.75;
const TO = 1.05;
const MOST_TRIED = 40;
const MOST_CELLS = 1.5;

export const cellsOf = ({ cell }: Scale, length: number): number => Math.floor(length / cell);

/** The scales across and along, of about `cells` cells along the longer side of the largest sheet. */
export function scalesFor(task: SheetTask, classes: readonly Sized[], cells: number): { x: Scale; y: Scale } {
  const bought = task.sources.filter(({ most }) => most === Infinity);
  const sheet = (bought.length > 0 ? bought : task.sources).reduce((a, b) => (b.w * b.h > a.w * a.h ? b : a));
  const longest = Math.max(sheet.w, sheet.h);
  const tried = (side: number) => {
    const wanted = Math.max(8, (cells * side) / longest);
    const step = Math.max(1, Math.round(((TO - FROM) * wanted) / MOST_TRIED));
    const found: { cell: number; count: number; across: number[]; along: number[] }[] = [];
    for (let count = Math.ceil(FROM * wanted); count <= TO * wanted; count += step) {
      const cell = Math.max(1, Math.floor(side / (count + 1)) + 1);
      const share = (length: number) => Math.floor(length / cell) / Math.floor(side / cell);
      found.push({
        cell,
        count,
        across: classes.map(({ w }) => share(w)),
        along: classes.map(({ h }) => share(h)),
      });
    }
    return found;
  };
  let best: { x: number; y: number } | undefined;
  let most = -1;
  const wide = tried(sheet.w);
  const high = tried(sheet.h);
  for (const x of wide)
    for (const y of high) {
      let kept = 0;
      for (let at = 0; at < classes.length; at += 1) {
        const straight = x.across[at]! * y.along[at]!;
        const turned = task.rotate ? x.along[at]! * y.across[at]! : straight;
        kept += Math.min(straight, turned) * classes[at]!.parts.length;
      }
      if (kept > most) {
        most = kept;
        best = { x: x.cell, y: y.cell };
      }
    }
  // A piece of the rack may be much larger than what is bought: never many more cells than were asked for.
  const scale = (fitted: number, side: number): Scale => {
    const cell = Math.max(fitted, Math.ceil(side / (MOST_CELLS * cells)));
    return { cell, count: Math.floor(side / cell) };
  };
  return {
    x: scale(best!.x, Math.max(...task.sources.map(({ w }) => w))),
    y: scale(best!.y, Math.max(...task.sources.map(({ h }) => h))),
  };
}
