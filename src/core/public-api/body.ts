/** The shape of an open work-out request: lengths as text or millimetres, materials by code or by their figures. */
import { z } from 'zod';
import { BUILD_CODES, BUILDS } from '../builds';
import type { Field } from '../builds/fields';
import {
  FINISHED_WHEN,
  FINISHES,
  FITTINGS,
  FIT_HOWS,
  HANGING_LINES,
  MADE_FROM,
  MAT_STYLES,
  MOUNTS,
  PANEL_MATERIALS,
  PIECE_KINDS,
  PLACES,
  SCOPES,
  WINDOW_HOLDS,
} from '../design/choices';
import { BACKINGS, PROFILES, TIMBERS } from '../materials';
import { practiceSchema } from '../design/common-schema';
import { TAX_GROUPS } from '../pricing/book';
import { SHAPES } from '../sizing/shapes';
import { ENDINGS, MOST_MONEY } from '../units/money';
import { DECIMAL } from '../units/rational';
import { lengthField, sidesField, sizeField } from './reader';

const exactNumber = z
  .union([z.string(), z.number()])
  .transform(String)
  .refine((text) => DECIMAL.test(text), 'not-a-plain-number');
const code = z.string().min(1).max(40);
const kilograms = z.number().positive().max(10_000);
const minor = z.int().min(0).max(MOST_MONEY);

const sheetInline = {
  name: z.string().max(120),
  colour: z.string().regex(/^#[0-9a-f]{6}$/i),
  thickness: lengthField,
  archival: z.boolean(),
  sheet: sizeField,
};
const board = z.strictObject(sheetInline).partial();
const matBody = z
  .strictObject({ board: z.union([code, board]), reveal: lengthField, style: z.enum(MAT_STYLES), ...sheetInline })
  .partial();
const mouldingBody = z.strictObject({
  name: z.string().max(120).optional(),
  faceWidth: lengthField,
  rabbetWidth: lengthField,
  rabbetDepth: lengthField.optional(),
  height: lengthField.optional(),
  material: z.enum(TIMBERS).optional(),
  profile: z.enum(PROFILES).optional(),
  stick: lengthField.optional(),
  profileArea: z.number().positive().max(1e6).optional().describe('square millimetres'),
  density: z.number().positive().max(30_000).optional().describe('kg per m³'),
  rated: kilograms.optional(),
});
const moulding = z.union([code, mouldingBody]);

const sheetRate = { costPerSquareFoot: exactNumber, costPerSquareMetre: exactNumber, markup: exactNumber };
const glazingRate = z.strictObject({ ...sheetRate, minimumSquareMetres: exactNumber }).partial();
const ratesBody = z
  .strictObject({
    moulding: z.strictObject({ costPerFoot: exactNumber, costPerMetre: exactNumber, markup: exactNumber }).partial(),
    mat: z.strictObject(sheetRate).partial(),
    glass: glazingRate,
    glazing: glazingRate,
    backing: z.strictObject(sheetRate).partial(),
    labour: z.strictObject({ minutes: z.int().min(0).max(100_000), perHour: exactNumber }).partial(),
    hardware: exactNumber,
    quantityBreaks: z.array(z.tuple([z.int().min(1), exactNumber])).max(20),
    rushPercent: exactNumber,
    ending: z.enum(ENDINGS),
    tax: z.strictObject({ mode: z.enum(['exclusive', 'inclusive']), percent: exactNumber }),
    depositPercent: exactNumber,
  })
  .partial();
export type RatesBody = z.output<typeof ratesBody>;

const glazing = z.union([
  code,
  z
    .strictObject({
      type: z.enum(['glass', 'acrylic', 'none']),
      uv: z.boolean(),
      coated: z.boolean(),
      ...sheetInline,
    })
    .partial(),
]);
const backing = z.union([code, z.strictObject({ type: z.enum(BACKINGS), ...sheetInline }).partial()]);
/** `2/5 of the height`. */
export const FRACTION = /^(\d{1,2})\/(\d{1,3})( of the height)?$/;

const place = z.strictObject({ left: lengthField, top: lengthField });
const shaped = { shape: z.enum(SHAPES).optional(), corner: lengthField.optional() };
const seen = { seen: z.boolean().optional().describe('the figures are what is seen in the frame') };
const common = {
  unit: z
    .enum(['in', 'mm'])
    .optional()
    .describe('the unit of bare numbers, and of the defaults; the shop’s home unit when absent'),
  piece: z.strictObject({
    title: z.string().max(120).optional(),
    kind: z.enum(PIECE_KINDS).optional(),
    width: lengthField,
    height: lengthField,
    width2: lengthField.optional().describe('the width at the other end, when the piece was measured twice'),
    height2: lengthField.optional(),
    thickness: lengthField.optional(),
    irreplaceable: z.boolean().optional(),
    signed: z.boolean().optional(),
    kg: kilograms.optional().describe('as weighed'),
    made: z.enum(PANEL_MATERIALS).optional().describe('of a panel or a print on metal'),
    keyed: z.boolean().optional(),
    carrier: sizeField.optional().describe('what carries it, where that is larger than what is to be seen'),
    thickPaint: z.boolean().optional(),
    damaged: z.boolean().optional(),
  }),
  window: z
    .strictObject({
      overlap: lengthField.optional(),
      floatGap: lengthField.optional(),
      opening: sizeField.optional().describe('over a part of the sheet; with `at`, its place on it'),
      at: place.optional(),
      ...shaped,
    })
    .optional(),
  windows: z
    .array(
      z.strictObject({
        title: z.string().max(120).optional(),
        holds: z.enum(WINDOW_HOLDS).optional().describe('what lies in it; a piece when absent'),
        text: z.string().max(200).optional().describe('what is engraved on a plate'),
        width: lengthField,
        height: lengthField,
        at: place.optional(),
        ...shaped,
      }),
    )
    .min(2)
    .max(40)
    .optional()
    .describe('several windows, each with its piece'),
  layout: z
    .strictObject({
      as: z.enum(['row', 'column', 'grid', 'free']).optional(),
      columns: z.int().min(1).max(40).optional(),
      bridge: z.union([lengthField, z.strictObject({ across: lengthField, down: lengthField })]).optional(),
      patch: lengthField.optional(),
    })
    .optional(),
  mats: z.array(matBody).max(3).optional().describe('from the glass inward'),
  border: z
    .discriminatedUnion('mode', [
      z.strictObject({ mode: z.literal('equal'), all: lengthField.optional(), ...seen }),
      z.strictObject({
        mode: z.literal('weighted'),
        all: lengthField.optional(),
        extra: lengthField.optional(),
        ...seen,
      }),
      z.strictObject({
        mode: z.literal('sides'),
        all: lengthField.optional().describe('top and bottom'),
        less: lengthField.optional().describe('what the sides are narrower'),
        ...seen,
      }),
      z.strictObject({
        mode: z.literal('four'),
        left: lengthField,
        right: lengthField,
        top: lengthField,
        bottom: lengthField,
        ...seen,
      }),
      z.strictObject({
        mode: z.literal('fit'),
        package: sizeField,
        how: z.enum(FIT_HOWS).optional(),
        ratio: z
          .tuple([z.int().min(1).max(1000), z.int().min(1).max(1000)])
          .optional()
          .describe('top to bottom of an optical fit'),
      }),
    ])
    .optional(),
  spacer: z
    .union([z.boolean(), z.strictObject({ setBack: lengthField.optional() })])
    .optional()
    .describe('a hidden spacer mat'),
  fillet: z.strictObject({ moulding, lip: lengthField }).optional(),
  frame: z
    .strictObject({
      moulding: moulding.optional(),
      allowance: lengthField.optional(),
      outside: sizeField.optional().describe('same outside size as another frame'),
      sight: sizeField.optional().describe('a frame of which so much is seen inside, in place of `outside`'),
      rabbet: sizeField.optional().describe('a frame with a rabbet of this size, in place of `outside`'),
      sides: z.int().min(3).max(12).optional().describe('equal sides; four when absent'),
      shopMade: z
        .strictObject({
          from: z.enum(MADE_FROM),
          strips: z.int().min(1).max(6).default(1),
          passes: z.int().min(1).max(12).default(1),
          finish: z.enum(FINISHED_WHEN).optional(),
        })
        .optional()
        .describe('the moulding is made in the shop'),
      readyMade: z
        .union([code, z.strictObject({ size: sizeField, price: minor })])
        .optional()
        .describe('bought whole: a code of the books, or its size and price in minor units'),
      inner: z
        .array(z.strictObject({ moulding, allowance: lengthField.optional() }))
        .max(3)
        .optional()
        .describe('liners and slips, from the piece outwards'),
    })
    .optional(),
  glazing: glazing.optional(),
  backPane: glazing.optional().describe('the pane behind the piece; as the one in front when absent'),
  backing: backing.optional(),
  filler: backing.optional().describe('fills spare depth'),
  mountBoard: z.union([code, z.strictObject({ type: z.enum(BACKINGS), ...sheetInline }).partial()]).optional(),
  innerBoard: z
    .union([code, z.strictObject({ type: z.enum(BACKINGS), ...sheetInline }).partial()])
    .optional()
    .describe('what a build puts inside: a hidden board, an insert, the core of side strips, patches'),
  sideBoard: z
    .union([code, z.strictObject(sheetInline).partial()])
    .optional()
    .describe('covers the side strips of a box'),
  mount: z.enum(MOUNTS).optional(),
  hanging: z
    .strictObject({
      rings: z.union([
        z.enum(['third', 'quarter', 'none']),
        z.string().regex(FRACTION).describe('a fraction of the outside height: 2/5'),
        z.strictObject({ distance: lengthField }),
      ]),
      plate: lengthField.describe('how high the plate of a hanger is'),
      slack: exactNumber,
      by: z.enum(['wire', 'hooks', 'sawtooth']),
      fitting: z.enum(FITTINGS).describe('kind of ring; D-rings when absent'),
      line: z.enum(HANGING_LINES).describe('what runs between the rings; wire when absent'),
    })
    .partial()
    .optional(),
  practice: practiceSchema.optional().describe('where this job is done another way than the shop’s'),
  scope: z.enum(SCOPES).optional(),
  place: z.enum(PLACES).optional(),
  finish: z.enum(FINISHES).optional(),
  value: minor.optional().describe('declared value, in minor units'),
  count: z.int().min(1).max(1000).optional().describe('how many alike'),
  rush: z.boolean().optional(),
  discount: z.union([z.strictObject({ percent: exactNumber }), z.strictObject({ amount: minor })]).optional(),
  extras: z
    .array(
      z.strictObject({
        name: z.string().min(1).max(80),
        amount: minor,
        taxGroup: z.enum(TAX_GROUPS).optional(),
        text: z.string().max(200).optional().describe('what is written or engraved on it'),
        outside: z
          .strictObject({ who: z.string().min(1).max(80), cost: minor, days: z.int().min(0).max(365) })
          .optional()
          .describe('done by somebody else'),
      }),
    )
    .max(20)
    .optional(),
  insists: z.string().max(400).optional(),
  rates: ratesBody.optional(),
};

const ownField = (field: Field): z.ZodType => {
  switch (field.kind) {
    case 'length':
      return lengthField;
    case 'lengths':
      return z.array(lengthField).max(field.most);
    case 'sides':
      return sidesField;
    case 'size':
      return sizeField;
    case 'choice':
      return z.enum(field.of);
    case 'flag':
      return z.boolean();
  }
};
/** One member for each build: what all have, and the keys of its own. */
const bodyOf = (build: (typeof BUILD_CODES)[number]) =>
  z.strictObject({
    build: z.literal(build),
    ...common,
    ...Object.fromEntries(
      Object.entries(BUILDS[build].fields).map(([key, field]) => [key, ownField(field).optional()]),
    ),
  });
export type WorkOutBody = z.output<z.ZodObject<typeof common>> & {
  readonly build: (typeof BUILD_CODES)[number];
} & Readonly<Record<string, unknown>>;
export const workOutBody = z.discriminatedUnion(
  'build',
  BUILD_CODES.map(bodyOf) as unknown as [z.ZodObject<{ build: z.ZodLiteral }>],
) as unknown as z.ZodType<WorkOutBody>;
