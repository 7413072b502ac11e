/** The schema of what every build's design shares: piece, mats, border, frame, glazing, hanging, extras. Lengths are whole units of 1/320 mm. */
import { z } from 'zod';
import {
  BACKINGS,
  type Backing,
  type Glazing,
  type Moulding,
  PROFILES,
  type ReadyMade,
  type SheetMaterial,
  TIMBERS,
} from '../materials';
import { PRACTICES } from '../parts/practice';
import { TAX_GROUPS } from '../pricing/book';
import { decimalText, itemRuleSchema, percentText } from '../pricing/rule-schema';
import { SHAPES } from '../sizing/shapes';
import { LONGEST, type Length } from '../units/length';
import { MOST_MONEY } from '../units/money';
import {
  FINISHED_WHEN,
  FINISHES,
  FITTINGS,
  FIT_HOWS,
  HANGING_LINES,
  MADE_FROM,
  MAT_STYLES,
  MOUNTS,
  OUTSIDE_IS,
  PANEL_MATERIALS,
  PIECE_KINDS,
  PLACES,
  SCOPES,
  MOST_WINDOWS,
  WINDOW_HOLDS,
} from './choices';

export const practiceSchema = z
  .strictObject({
    fasteners: z.enum(PRACTICES.fasteners),
    corner: z.enum(PRACTICES.corner),
    braces: z.enum(PRACTICES.braces),
    mitres: z.enum(PRACTICES.mitres),
    cutFirst: z.enum(PRACTICES.cutFirst),
    back: z.enum(PRACTICES.back),
  })
  .partial();

const anyLength = z.custom<Length>(
  (value) => typeof value === 'number' && Number.isSafeInteger(value) && Math.abs(value) <= LONGEST,
  'not-a-length',
);
/** A length that may be zero (a reveal) and one that may not (a width). */
export const lengthOrZero = anyLength.refine((value) => value >= 0, 'length-negative');
export const positiveLength = anyLength.refine((value) => value > 0, 'size-zero');
const code = z.string().min(1).max(40);
const colour = z.string().regex(/^#[0-9a-f]{6}$/i);
const kilograms = z.number().positive().max(10_000);

const itemPrice = { price: itemRuleSchema.optional() };
const amount = z.int().min(0).max(MOST_MONEY);

const sheetFields = {
  code,
  name: z.string().max(120),
  thickness: positiveLength,
  colour,
  cost: z.object({ amount: decimalText, per: z.enum(['sqft', 'sqm']) }).optional(),
  largest: z.object({ w: positiveLength, h: positiveLength }).optional(),
  archival: z.boolean(),
  ...itemPrice,
};
/** A schema whose value is a material as the rest of the core knows it. */
const material = <T>(schema: z.ZodType): z.ZodType<T> => schema as z.ZodType<T>;
export const sheetSchema = material<SheetMaterial>(z.object(sheetFields));
export const glazingSchema = material<Glazing>(
  z.object({
    ...sheetFields,
    thickness: lengthOrZero,
    type: z.enum(['glass', 'acrylic', 'none']),
    uv: z.boolean(),
    coated: z.boolean(),
  }),
);
export const backingSchema = material<Backing>(z.object({ ...sheetFields, type: z.enum(BACKINGS) }));
export const mouldingSchema = material<Moulding>(
  z.object({
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
    ...itemPrice,
  }),
);

const sizeSchema = z.object({ w: positiveLength, h: positiveLength });
export const readyMadeSchema = material<ReadyMade>(
  z.object({
    code,
    name: z.string().max(120),
    size: sizeSchema,
    price: amount,
    moulding: mouldingSchema,
    glazing: glazingSchema,
    backing: backingSchema,
  }),
);

/** A board of either list; that of the backing boards knows what it is made of. */
const mountBoardSchema = material<SheetMaterial | Backing>(
  z.object({ ...sheetFields, type: z.enum(BACKINGS).optional(), asMat: z.literal(true).optional() }),
);

const pieceSchema = z.object({
  title: z.string().max(120),
  kind: z.enum(PIECE_KINDS),
  width: positiveLength,
  height: positiveLength,
  /** The other end of each side, when the piece was measured twice: bottom width, right height. */
  width2: positiveLength.optional(),
  height2: positiveLength.optional(),
  /** What carries it, where that is larger than what is to be seen: a canvas that a conservator enlarged. */
  carrier: sizeSchema.optional(),
  thickness: positiveLength,
  /** An original that cannot be had again. */
  irreplaceable: z.boolean(),
  signed: z.boolean(),
  /** Kilograms as weighed: an object, a garment. */
  kg: kilograms.optional(),
  /** Of a panel or a print on metal: what it is made of. */
  made: z.enum(PANEL_MATERIALS).optional(),
  /** A canvas whose corners can be driven apart by keys. */
  keyed: z.boolean().optional(),
  /** Paint that stands high, and must not be pressed or laid face down. */
  thickPaint: z.boolean().optional(),
  /** Mould, flaking or tears: for a conservator. */
  damaged: z.boolean().optional(),
});

/** `seen`: the figures are what the customer sees; the cut border is wider by what lies under the lip. */
const seen = { seen: z.boolean().optional() };
export const borderSchema = z.discriminatedUnion('mode', [
  z.object({ mode: z.literal('equal'), all: positiveLength, ...seen }),
  z.object({ mode: z.literal('weighted'), all: positiveLength, extra: lengthOrZero, ...seen }),
  z.object({ mode: z.literal('sides'), all: positiveLength, less: lengthOrZero, ...seen }),
  z.object({
    mode: z.literal('four'),
    left: positiveLength,
    right: positiveLength,
    top: positiveLength,
    bottom: positiveLength,
    ...seen,
  }),
  z.object({
    mode: z.literal('fit'),
    package: sizeSchema,
    how: z.enum(FIT_HOWS),
    /** Top to bottom, of an optical fit; 45 : 55 when absent. */
    ratio: z.tuple([z.int().min(1).max(1000), z.int().min(1).max(1000)]).optional(),
  }),
]);

const matSchema = z.object({
  board: z.union([z.object({ code }), z.object({ given: sheetSchema })]),
  /** How much of this layer shows beyond the layer above; 0 for the top one. */
  reveal: lengthOrZero,
  style: z.enum(MAT_STYLES).optional(),
});

const shapeFields = { shape: z.enum(SHAPES).optional(), corner: positiveLength.optional() };
const place = { left: lengthOrZero, top: lengthOrZero };
/** Covers the edge by `overlap`; or floats with a gap; or shows a part of the sheet, at its place on it. */
const windowSchema = z.object({
  overlap: lengthOrZero,
  floatGap: lengthOrZero.optional(),
  opening: z.object({ ...place, w: positiveLength, h: positiveLength }).optional(),
  ...shapeFields,
});
/** One of several windows: its piece (a photo, a title), and where it lies when they are placed freely. */
const oneOfSeveral = z.object({
  title: z.string().max(120).optional(),
  width: positiveLength,
  height: positiveLength,
  at: z.object(place).optional(),
  holds: z.enum(WINDOW_HOLDS).optional(),
  /** What is engraved on a plate. */
  text: z.string().max(200).optional(),
  ...shapeFields,
});
export const severalSchema = z.object({
  windows: z.array(oneOfSeveral).min(2).max(MOST_WINDOWS),
  layout: z.enum(['row', 'column', 'grid', 'free']),
  columns: z.int().min(1).max(40).optional(),
  bridge: z.object({ across: positiveLength, down: positiveLength }),
  /** What each backing patch is larger than its photo, in total. */
  patch: lengthOrZero.optional(),
});

export const hangingSchema = z.object({
  rings: z.union([
    z.enum(['third', 'quarter', 'none']),
    z.object({ distance: positiveLength }),
    /** A fraction of the outside height: 2 of 5 is [2, 5]. */
    z
      .object({ fraction: z.tuple([z.int().min(1).max(99), z.int().min(2).max(100)]) })
      .refine(({ fraction: [part, whole] }) => part < whole, 'fraction-not-proper'),
  ]),
  /** Slack of the wire as a decimal: 0.05 is 5 %. */
  slack: z
    .string()
    .regex(/^0\.\d{1,6}$/)
    .refine((text) => Number(text) > 0, 'slack-needed'),
  /** Instead of a wire: two hooks on the frame, or a sawtooth. */
  by: z.enum(['wire', 'hooks', 'sawtooth']).optional(),
  /** Which hangers hold the wire, or the hooks; D-rings when absent. */
  fitting: z.enum(FITTINGS).optional(),
  /** What runs between them; wire when absent. */
  line: z.enum(HANGING_LINES).optional(),
  /** How high the plate of a hanger is, which must not be seen behind the rail. */
  plate: positiveLength.optional(),
});

const mouldingChoice = z.union([z.object({ code }), z.object({ given: mouldingSchema })]);
export const commonFields = {
  version: z.literal(1),
  piece: pieceSchema,
  insists: z.string().max(400),
  window: windowSchema,
  several: severalSchema.optional(),
  mats: z.array(matSchema).max(3),
  border: borderSchema,
  /** A hidden spacer mat for a piece that sheds, its window set back from the visible one. */
  spacer: z.object({ setBack: positiveLength }).optional(),
  /** A thin moulding under the window. */
  fillet: z.object({ moulding: mouldingChoice, lip: positiveLength }).optional(),
  frame: z.object({
    moulding: mouldingChoice,
    allowance: lengthOrZero,
    /** Liners and slips inside it, from the piece outwards. */
    inner: z
      .array(z.object({ moulding: mouldingChoice, allowance: lengthOrZero }))
      .max(3)
      .optional(),
    /** To match a frame that exists. */
    outside: sizeSchema.optional(),
    /** What of it that size is; its outside when absent. */
    outsideIs: z.enum(OUTSIDE_IS).optional(),
    /** So many equal sides; four when absent. */
    sides: z.int().min(3).max(12).optional(),
    /** The moulding is made here: of boards or a sheet, so many strips glued up, the rebate in so many passes. */
    shopMade: z
      .object({
        from: z.enum(MADE_FROM),
        strips: z.int().min(1).max(6),
        passes: z.int().min(1).max(12),
        /** Finished before it is cut, or after joining; not at all when absent. */
        finish: z.enum(FINISHED_WHEN).optional(),
      })
      .optional(),
    /** Bought whole, with its glass and back: of the books, or of a size and a price. */
    readyMade: z
      .union([z.object({ code }), z.object({ given: readyMadeSchema }), z.object({ size: sizeSchema, price: amount })])
      .optional(),
  }),
  glazing: z.union([z.object({ code }), z.object({ given: glazingSchema })]),
  /** The pane behind the piece, where it lies between two; as the one in front when absent. */
  backPane: z.union([z.object({ code }), z.object({ given: glazingSchema })]).optional(),
  backing: z.union([z.object({ code }), z.object({ given: backingSchema })]),
  /** A board that fills spare depth, so that nothing rattles. */
  filler: z.union([z.object({ code }), z.object({ given: backingSchema })]).optional(),
  /** How many of it lie there; one when absent. */
  fillerCount: z.int().min(1).max(9).optional(),
  /** A board behind the piece: of the mats, or of the backing boards. */
  mountBoard: z.union([z.object({ code }), z.object({ given: mountBoardSchema })]).optional(),
  /** The board that a build puts inside: a hidden board, an insert, the core of side strips, patches; as `mountBoard`. */
  innerBoard: z.union([z.object({ code }), z.object({ given: mountBoardSchema })]).optional(),
  /** A mat board that covers the side strips of a box. */
  sideBoard: z.union([z.object({ code }), z.object({ given: sheetSchema })]).optional(),
  mount: z.enum(MOUNTS).optional(),
  hanging: hangingSchema,
  /** Where this job is done another way than the shop's. */
  practice: practiceSchema.optional(),
  scope: z.enum(SCOPES).optional(),
  place: z.enum(PLACES).optional(),
  finish: z.enum(FINISHES).optional(),
  /** Minor units. */
  value: z.int().min(0).max(1e12).optional(),
  /** This is one of so many alike, for the quantity break; each is a piece of its own. */
  count: z.int().min(1).max(1000).optional(),
  /** Wanted sooner than usual. */
  rush: z.boolean().optional(),
  /** With its reason and who gave it, on this piece. */
  discount: z
    .union([
      z.object({ percent: percentText, reason: z.string().max(200), by: z.string().max(60) }),
      z.object({ amount, reason: z.string().max(200), by: z.string().max(60) }),
    ])
    .optional(),
  /** Lines of the price that somebody set by hand, each with its reason. */
  overrides: z
    .array(z.object({ key: z.string().min(1).max(100), amount, reason: z.string().trim().min(1).max(200) }))
    .max(20)
    .refine((list) => new Set(list.map(({ key }) => key)).size === list.length, 'override-twice')
    .optional(),
  /** A plate, a hand finish, a delivery: name, money, tax group. */
  extras: z
    .array(
      z.object({
        name: z.string().min(1).max(80),
        amount,
        taxGroup: z.enum(TAX_GROUPS).optional(),
        /** What is written or engraved on it. */
        text: z.string().max(200).optional(),
        /** Done by somebody else: who, what it costs the shop, and for how many days it is away. */
        outside: z.object({ who: z.string().min(1).max(80), cost: amount, days: z.int().min(0).max(365) }).optional(),
      }),
    )
    .max(20)
    .optional(),
};
