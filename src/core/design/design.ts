/**
 * What the customer chose: a plain, versioned, serialisable value from which everything else follows. Lengths are
 * whole units of 1/320 mm; materials are named by their code in the books, or given with their figures.
 * One build so far, the window mat; the union grows a member per build.
 */
import { z } from 'zod';
import { BACKINGS, PROFILES, TIMBERS } from '../materials';
import type { Settings } from '../settings';
import { LONGEST, type Length, length } from '../units/length';

const anyLength = z.custom<Length>(
  (value) => typeof value === 'number' && Number.isSafeInteger(value) && Math.abs(value) <= LONGEST,
  'a length is a whole number of 1/320 mm up to 10 m',
);
/** A length that may be zero (a reveal) and one that may not (a width). */
export const lengthOrZero = anyLength.refine((value) => value >= 0, 'a length is not negative');
export const positiveLength = anyLength.refine((value) => value > 0, 'a size is more than zero');
const code = z.string().min(1).max(40);
const colour = z.string().regex(/^#[0-9a-f]{6}$/i);
const decimalText = z.string().regex(/^\d{1,9}(\.\d{1,6})?$/);
const kilograms = z.number().positive().max(10_000);

const sheetFields = {
  code,
  name: z.string().max(120),
  thickness: positiveLength,
  colour,
  cost: z.object({ amount: decimalText, per: z.enum(['sqft', 'sqm']) }).optional(),
  largest: z.object({ w: positiveLength, h: positiveLength }).optional(),
  archival: z.boolean(),
};
export const sheetSchema = z.object(sheetFields);
export const glazingSchema = z.object({
  ...sheetFields,
  thickness: lengthOrZero,
  type: z.enum(['glass', 'acrylic', 'none']),
  uv: z.boolean(),
  coated: z.boolean(),
});
export const backingSchema = z.object({ ...sheetFields, type: z.enum(BACKINGS) });
export const mouldingSchema = z.object({
  code,
  name: z.string().max(120),
  supplier: z.string().max(120),
  faceWidth: positiveLength,
  rabbetWidth: positiveLength,
  rabbetDepth: positiveLength,
  height: positiveLength,
  material: z.enum(TIMBERS),
  profile: z.enum(PROFILES),
  finish: z.string().max(120),
  colour,
  stick: positiveLength.optional(),
  cost: z.object({ amount: decimalText, per: z.enum(['ft', 'm']) }).optional(),
  profileArea: z.number().positive().max(1e6).optional(),
  density: z.number().positive().max(30_000).optional(),
  rated: kilograms.optional(),
});

export const PIECE_KINDS = [
  'print',
  'poster',
  'photograph',
  'certificate',
  'chart',
  'drawing',
  'pastel',
  'charcoal',
  'watercolour',
  'painting',
  'textile',
] as const;
export type PieceKind = (typeof PIECE_KINDS)[number];

const pieceSchema = z.object({
  title: z.string().max(120),
  kind: z.enum(PIECE_KINDS),
  width: positiveLength,
  height: positiveLength,
  /** The other end of each side, when the piece was measured twice: bottom width, right height. */
  width2: positiveLength.optional(),
  height2: positiveLength.optional(),
  thickness: positiveLength,
  /** An original that cannot be had again. */
  irreplaceable: z.boolean(),
  signed: z.boolean(),
  /** Kilograms per m², for the weight; paper when absent. */
});

const borderSchema = z.discriminatedUnion('mode', [
  z.object({ mode: z.literal('equal'), all: positiveLength }),
  z.object({ mode: z.literal('weighted'), all: positiveLength, extra: lengthOrZero }),
]);
export type Border = z.infer<typeof borderSchema>;

const matSchema = z.object({
  board: z.union([z.object({ code }), z.object({ given: sheetSchema })]),
  /** How much of this layer shows beyond the layer above; 0 for the top one. */
  reveal: lengthOrZero,
});

const hangingSchema = z.object({
  rings: z.union([z.enum(['third', 'quarter', 'none']), z.object({ distance: positiveLength })]),
  /** Slack of the wire as a decimal: 0.05 is 5 %. */
  slack: z
    .string()
    .regex(/^0\.\d{1,6}$/)
    .refine((text) => Number(text) > 0, 'some slack is needed to hook the wire'),
});

export const windowMatSchema = z.object({
  version: z.literal(1),
  build: z.literal('window-mat'),
  piece: pieceSchema,
  insists: z.string().max(400),
  window: z.object({ overlap: lengthOrZero }),
  mats: z.array(matSchema).min(1).max(3),
  border: borderSchema,
  frame: z.object({
    moulding: z.union([z.object({ code }), z.object({ given: mouldingSchema })]),
    allowance: lengthOrZero,
  }),
  glazing: z.union([z.object({ code }), z.object({ given: glazingSchema })]),
  backing: z.union([z.object({ code }), z.object({ given: backingSchema })]),
  hanging: hangingSchema,
});

export const designSchema = z.discriminatedUnion('build', [windowMatSchema]);
export type Design = z.infer<typeof designSchema>;
export type MatChoice = Design['mats'][number];

/** The codes a new design starts with. */
export interface HouseChoice {
  readonly mat: string;
  readonly moulding: string;
  readonly glazing: string;
  readonly backing: string;
}

/** A new design with the shop's defaults (R15); the piece's size is still to be measured. */
export function newDesign(settings: Settings, house: HouseChoice, width: Length, height: Length): Design {
  return {
    version: 1,
    build: 'window-mat',
    piece: {
      title: '',
      kind: 'print',
      width,
      height,
      thickness: length(96),
      irreplaceable: false,
      signed: false,
    },
    insists: '',
    window: { overlap: settings.overlap },
    mats: [{ board: { code: house.mat }, reveal: length(0) }],
    border: { mode: 'weighted', all: settings.border, extra: settings.bottomExtra },
    frame: { moulding: { code: house.moulding }, allowance: settings.allowance },
    glazing: { code: house.glazing },
    backing: { code: house.backing },
    hanging: { rings: 'third', slack: settings.slack },
  };
}
