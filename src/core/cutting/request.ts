/**
 * What a cutting plan is asked for and what it answers, as in the open interface: plain millimetres; `kerf` is what a
 * cut takes along the stick (kerf / cos(blade setting), ruling R51). Costs are in the measure of `price`, which is the
 * length (mm) or area (mm²) when nobody gives one. Source: handbook, cutting.
 */
import { z } from 'zod';

const LONGEST_MM = 20_000;
const mm = z.number().min(0).max(LONGEST_MM);
const size = z.number().positive().max(LONGEST_MM);
const id = z.string().min(1).max(120);
const weight = z.number().min(0).max(1e12);
const share = z.number().min(0).max(1);
const seed = z.int().min(-2147483648).max(2147483647).default(1);
const quantity = z.int().min(0).max(100_000).nullable().default(null);
export const MOST_PARTS = 20_000;

const stick = z.object({
  id,
  length: size,
  qty: quantity.describe('how many can be had; null: as many as wanted'),
  batch: z.string().max(60).optional(),
  price: weight.positive().optional().describe('what one costs; its length when left out'),
});
const rackStick = z.object({
  id,
  length: size,
  batch: z.string().max(60).optional(),
  noGo: z
    .array(z.object({ from: mm, to: mm }).refine(({ from, to }) => to >= from, 'no-go-backwards'))
    .max(50)
    .default([])
    .describe('stretches that no leg may cover'),
});
export const sticksSchema = z.object({
  kerf: mm.default(4.243),
  endTrim: mm.default(10),
  minOffcut: mm.default(300),
  offcutValue: share.default(0.5),
  batchPenalty: weight.default(300),
  unmadePenalty: weight.default(20_000),
  seed,
  profiles: z
    .array(z.object({ id, stock: z.array(stick).max(200).default([]), rack: z.array(rackStick).max(5000).default([]) }))
    .max(2000),
  frames: z
    .array(
      z.object({
        id,
        profile: id,
        legs: z
          .array(z.object({ id, length: size }))
          .min(1)
          .max(40),
      }),
    )
    .max(MOST_PARTS),
});
export type SticksRequest = z.output<typeof sticksSchema>;

const sheet = z.object({
  id,
  w: size,
  h: size,
  qty: quantity,
  price: weight.positive().optional().describe('what one costs; its area when left out'),
});
export const sheetsSchema = z.object({
  kerf: mm.default(0),
  sheetTrim: mm.default(3).describe('taken off all four edges of a new sheet'),
  offcutTrim: mm.default(0).describe('taken off all four edges of a piece from the rack'),
  minOffcut: z.object({ short: mm, long: mm }).default({ short: 150, long: 300 }),
  minBreak: mm.default(0).describe('the narrowest strip a cut may leave on either side'),
  offcutValue: share.default(0.5),
  unmadePenalty: weight.default(2_000_000),
  seed,
  materials: z
    .array(
      z.object({
        id,
        rotate: z.boolean().default(true),
        minBreak: mm.optional().describe('of this material, in place of that of all'),
        stock: z.array(sheet).max(200).default([]),
        rack: z
          .array(z.object({ id, w: size, h: size }))
          .max(5000)
          .default([]),
      }),
    )
    .max(2000),
  parts: z.array(z.object({ id, material: id, w: size, h: size })).max(MOST_PARTS),
});
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
