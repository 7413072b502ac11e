/** The shape of what a cutting plan is asked for, with what is usual where something is left out. Apart, so that no page ships it. */
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
