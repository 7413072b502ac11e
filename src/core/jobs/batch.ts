/**
 * One design over pieces that differ a little: what is kept equal, and what gives way. Equal opening: the overlap
 * varies; equal outside: the borders vary; equal border: the outside varies. Source: handbook, jobs, "Batches"; R65.
 */
import type { FitHow } from '../design/common';
import { type Issue, type Outcome, bad, good, issue } from '../issue';
import { fits, fitted } from '../sizing/borders';
import { type Length, type Sides, type Size, halve, length, minus, plus, size, times } from '../units/length';

export type Kept =
  | { readonly equal: 'opening'; readonly opening: Size; readonly border: Sides; readonly overlapLeast: Length }
  | { readonly equal: 'outside'; readonly package: Size; readonly overlap: Length; readonly how: FitHow }
  | { readonly equal: 'border'; readonly border: Sides; readonly overlap: Length };

export interface InBatch {
  readonly piece: Size;
  readonly opening: Size;
  /** What covers the piece where it is covered least. */
  readonly overlap: Length;
  readonly border: Sides;
  readonly package: Size;
}

const round = (opening: Size, border: Sides): Size =>
  size(plus(opening.w, border.left, border.right), plus(opening.h, border.top, border.bottom));

function one(piece: Size, kept: Kept, index: number): InBatch | Issue {
  const path = `pieces.${index}`;
  if (kept.equal === 'opening') {
    const { opening, border, overlapLeast } = kept;
    const overlap = halve(length(Math.min(piece.w - opening.w, piece.h - opening.h)))[0];
    if (overlap < overlapLeast) return issue('batch-overlap', { overlap, least: overlapLeast }, path);
    return { piece, opening, overlap, border, package: round(opening, border) };
  }
  const { overlap } = kept;
  const opening = size(minus(piece.w, times(overlap, 2)), minus(piece.h, times(overlap, 2)));
  if (opening.w <= 0 || opening.h <= 0)
    return issue('overlap-takes-all', { overlap, shorter: Math.min(piece.w, piece.h) }, path);
  if (kept.equal === 'border')
    return { piece, opening, overlap, border: kept.border, package: round(opening, kept.border) };
  const border = fitted(kept.package, opening, kept.how);
  if (!fits(border, kept.how))
    return issue('fit-no-border', { w: opening.w, h: opening.h, packW: kept.package.w, packH: kept.package.h }, path);
  return { piece, opening, overlap, border, package: kept.package };
}

/** Every piece of a batch, or an issue for each that does not suit. */
export function batchOf(pieces: readonly Size[], kept: Kept): Outcome<readonly InBatch[]> {
  const all = pieces.map((piece, index) => one(piece, kept, index));
  const issues = all.filter((each): each is Issue => 'code' in each);
  return issues.length > 0 ? bad(...issues) : good(all as InBatch[]);
}
