/**
 * What a cutting plan is asked for and what it answers, as in the open interface: plain millimetres; `kerf` is what a
 * cut takes along the stick (kerf / cos(blade setting), ruling R51). Costs are in the measure of `price`, which is the
 * length (mm) or area (mm²) when nobody gives one. Source: handbook, cutting.
 */
import type { z } from 'zod';
import type { sheetsSchema, sticksSchema } from './request-schema';

export type SticksRequest = z.output<typeof sticksSchema>;
export type SheetsRequest = z.output<typeof sheetsSchema>;

/** One stick as it is cut: where each leg begins, from the physical end, and what is left when it is worth keeping. */
export interface PlannedBar {
  readonly source: string;
  readonly profile: string;
  readonly pieces: readonly { readonly leg: string; readonly at: number }[];
  /** Length of the useful offcut at the far end, or 0. */
  readonly offcut: number;
}
export interface PlannedCut {
  /** `x`: the cut is a line of constant x, at `at`, from `from` to `to` along y; `y` the other way round. */
  readonly axis: 'x' | 'y';
  readonly at: number;
  readonly from: number;
  readonly to: number;
}
export interface PlannedSheet {
  readonly source: string;
  readonly material: string;
  readonly parts: readonly {
    readonly part: string;
    readonly x: number;
    readonly y: number;
    readonly rotated: boolean;
  }[];
  readonly offcuts: readonly { readonly x: number; readonly y: number; readonly w: number; readonly h: number }[];
  /** Edge to edge cuts in the order they are made. */
  readonly cuts: readonly PlannedCut[];
}
/** What every plan says of itself. Nothing can cost less than `bound`; `gap` is (cost − bound) ÷ bound. */
export interface Judged {
  readonly unmade: readonly string[];
  readonly cost: number;
  readonly bound: number;
  readonly gap: number;
  readonly optimal: boolean;
}
export interface SticksPlan extends Judged {
  readonly bars: readonly PlannedBar[];
}
export interface SheetsPlan extends Judged {
  readonly sheets: readonly PlannedSheet[];
}

/** A gap below this is the rounding of floating point. */
const NOTHING = 1e-9;
export function judged(unmade: readonly string[], cost: number, bound: number, proven: boolean): Judged {
  const safe = Math.min(bound, cost);
  const gap = cost <= NOTHING ? 0 : safe <= NOTHING ? 1 : (cost - safe) / safe;
  return { unmade, cost, bound: safe, gap, optimal: proven || gap < NOTHING };
}

/**
 * How sticks or sheets of one group are priced: what is bought by its price, or its size where there is none; a piece of
 * the rack by what the cheapest that is bought costs for its size. `size` is a length or an area.
 */
export function pricing<S extends { readonly price?: number | undefined }, R>(
  stock: readonly S[],
  size: (one: S | R) => number,
): { readonly bought: (one: S) => number; readonly onRack: (one: R) => number } {
  const bought = (one: S) => one.price ?? size(one);
  const rate = stock.length > 0 ? Math.min(...stock.map((one) => bought(one) / size(one))) : 1;
  return { bought, onRack: (one) => size(one) * rate };
}
