/**
 * What an instruction is: one thing the hands do, mark, look at or wait for at a step, in figures. A line has a code and
 * its figures, never words: screen, papers and the open interface say it in theirs. Knows no build.
 * Source: handbook, route, jobs.
 */
import type { StepKey } from '../route/steps';
import type { Length, Size } from '../units/length';
import type { LineCode } from './codes';

/** What a line speaks of. Nothing is said of what a piece does not have. */
export type Thing =
  | 'frame'
  | 'cut legs'
  | 'sections'
  | 'glass'
  | 'mat'
  | 'back'
  | 'hinges'
  | 'hangers'
  | 'wire'
  | 'strips'
  | 'canvas'
  | 'cloth'
  | 'turning over';

export type Figures = Readonly<Record<string, string | number>>;
/** A figure to be read from a metre away, with what it is. */
export interface BigFigure {
  readonly name: BigName;
  readonly value: Length | Size;
}
export type BigName =
  | 'long point'
  | 'rabbet'
  | 'short point'
  | 'outside'
  | 'inside'
  | 'size'
  | 'window'
  | 'cut first'
  | 'length'
  | 'below the top'
  | 'wire'
  | 'hook';

export interface Line {
  readonly code: LineCode;
  readonly figures: Figures;
  readonly big?: readonly BigFigure[];
  readonly of?: readonly Thing[];
}
export type StepLines = Partial<Record<StepKey, readonly Line[]>>;

export const line = (
  code: LineCode,
  figures: Figures = {},
  { big, of }: { readonly big?: readonly BigFigure[]; readonly of?: readonly Thing[] } = {},
): Line => ({ code, figures, ...(big ? { big } : {}), ...(of ? { of } : {}) });

/** One figure, large. */
export const big = (name: BigName, value: Length | Size): BigFigure => ({ name, value });
/** A size as two figures of a sentence. */
export const sized = (of: Size, keys: readonly [string, string] = ['w', 'h']): Figures => ({
  [keys[0]]: of.w,
  [keys[1]]: of.h,
});
