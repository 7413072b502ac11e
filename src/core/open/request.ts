/**
 * A design as the open interface takes it: lengths as people write them or millimetres, materials by code or by their
 * figures, defaults from the home unit. Read into the one Design everything else is worked out from.
 */
import { z } from 'zod';
import { type Design, PIECE_KINDS, newDesign } from '../design/design';
import type { HouseChoice } from '../design/design';
import { BACKINGS, type Backing, type Glazing, type Moulding, PROFILES, type Sheet, TIMBERS } from '../materials';
import type { PriceBook } from '../pricing/book';
import { type Settings, defaultSettings } from '../settings';
import { LONGEST, type Length, type Unit, UNITS_PER_MM, length, mm, plus, size } from '../units/length';
import { parseLength } from '../units/parse-length';
import { ENDINGS, type Money, moneyFrom } from '../units/money';
import { DECIMAL, mustDecimal } from '../units/rational';

const typed = z.union([z.string().max(200), z.number()]);
const lengthField = typed.describe('a length: text as people write it ("16 3/4 in"), or a number of millimetres');
const exactNumber = z
  .union([z.string(), z.number()])
  .transform(String)
  .refine((text) => DECIMAL.test(text), 'a plain number such as 4.20, not negative');

const sheetInline = {
  name: z.string().max(120),
  colour: z.string().regex(/^#[0-9a-f]{6}$/i),
  thickness: lengthField,
  archival: z.boolean(),
  sheet: z.strictObject({ w: lengthField, h: lengthField }),
};
const code = z.string().min(1).max(40);
const matBody = z.strictObject({ board: code, reveal: lengthField, ...sheetInline }).partial();
const kilograms = z.number().positive().max(10_000);

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
    ending: z.enum(ENDINGS),
    tax: z.strictObject({ mode: z.enum(['exclusive', 'inclusive']), percent: exactNumber }),
    depositPercent: exactNumber,
  })
  .partial();

export const workOutBody = z.strictObject({
  build: z.literal('window-mat'),
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
  }),
  window: z.strictObject({ overlap: lengthField.optional() }).optional(),
  mats: z.array(matBody).min(1).max(3).optional().describe('from the glass inward'),
  border: z
    .discriminatedUnion('mode', [
      z.strictObject({ mode: z.literal('equal'), all: lengthField.optional() }),
      z.strictObject({ mode: z.literal('weighted'), all: lengthField.optional(), extra: lengthField.optional() }),
    ])
    .optional(),
  frame: z.strictObject({
    moulding: z.union([
      code,
      z.strictObject({
        name: z.string().max(120).optional(),
        faceWidth: lengthField,
        rabbetWidth: lengthField,
        rabbetDepth: lengthField,
        height: lengthField,
        material: z.enum(TIMBERS).optional(),
        profile: z.enum(PROFILES).optional(),
        stick: lengthField.optional(),
        profileArea: z.number().positive().max(1e6).optional(),
        density: z.number().positive().max(30_000).optional(),
        rated: kilograms.optional(),
      }),
    ]),
    allowance: lengthField.optional(),
  }),
  glazing: z
    .union([
      code,
      z
        .strictObject({
          type: z.enum(['glass', 'acrylic', 'none']),
          uv: z.boolean(),
          coated: z.boolean(),
          ...sheetInline,
        })
        .partial(),
    ])
    .optional(),
  backing: z.union([code, z.strictObject({ type: z.enum(BACKINGS), ...sheetInline }).partial()]).optional(),
  hanging: z
    .strictObject({
      rings: z.union([z.enum(['third', 'quarter', 'none']), z.strictObject({ distance: lengthField })]),
      slack: exactNumber,
    })
    .partial()
    .optional(),
  insists: z.string().max(400).optional(),
  rates: ratesBody.optional(),
});
export type WorkOutBody = z.output<typeof workOutBody>;

export interface Complaint {
  readonly path: string;
  readonly code: string;
  readonly figures: Readonly<Record<string, string | number>>;
}
export interface OpenRequest {
  readonly design: Design;
  readonly settings: Settings;
  readonly prices?: PriceBook;
  readonly minutes?: number;
}

/** Reads one length after another and remembers what could not be read, with its path. */
class LengthReader {
  readonly complaints: Complaint[] = [];
  constructor(private readonly unit: Unit) {}

  read(path: string, value: string | number | undefined, otherwise: Length, zeroAllowed = false): Length {
    if (value === undefined) return otherwise;
    if (typeof value === 'number') {
      const fits = Number.isFinite(value) && value >= 0 && value * UNITS_PER_MM <= LONGEST;
      const found = fits ? mm(value) : length(0);
      if (fits && (found > 0 || zeroAllowed)) return found;
      this.complaints.push({
        path,
        code: !fits && value < 0 ? 'length-negative' : fits ? 'length-zero' : 'length-too-big',
        figures: { typed: String(value), unit: 'mm' },
      });
      return otherwise;
    }
    const result = parseLength(value, { unit: this.unit, zeroAllowed });
    if (result.ok) return result.value;
    this.complaints.push(...result.issues.map((one) => ({ path, code: one.code, figures: one.figures })));
    return otherwise;
  }

  maybe(path: string, value: string | number | undefined): Length | undefined {
    return value === undefined ? undefined : this.read(path, value, length(1));
  }
}

type Rate =
  | { costPerSquareFoot?: string; costPerSquareMetre?: string; markup?: string; minimumSquareMetres?: string }
  | undefined;
const sheetCost = (rate: Rate): Pick<Sheet, 'cost'> => {
  if (rate?.costPerSquareFoot !== undefined) return { cost: { amount: rate.costPerSquareFoot, per: 'sqft' } };
  return rate?.costPerSquareMetre !== undefined ? { cost: { amount: rate.costPerSquareMetre, per: 'sqm' } } : {};
};

function pricesOf(rates: NonNullable<WorkOutBody['rates']>): PriceBook {
  const glazing = rates.glazing ?? rates.glass;
  const percent = rates.tax?.percent ?? '0';
  return {
    edition: 0,
    groups: {
      moulding: { markup: rates.moulding?.markup ?? '1' },
      mat: { markup: rates.mat?.markup ?? '1' },
      glazing: { markup: glazing?.markup ?? '1', minimumArea: glazing?.minimumSquareMetres ?? '0.1' },
      backing: { markup: rates.backing?.markup ?? '1' },
    },
    labourPerHour: rates.labour?.perHour ?? '0',
    kit: moneyFrom(mustDecimal(rates.hardware ?? '0')) as Money,
    sellingStep: { ft: '0.25', m: '0.1' },
    ending: rates.ending ?? 'none',
    tax: { mode: rates.tax?.mode ?? 'exclusive', percent: { goods: percent, labour: percent } },
    depositPercent: rates.depositPercent ?? '50',
    quoteDays: 30,
  };
}

interface Inline {
  name?: string | undefined;
  colour?: string | undefined;
  thickness?: string | number | undefined;
  archival?: boolean | undefined;
  sheet?: { w: string | number; h: string | number } | undefined;
}
function sheetOf(body: Inline, path: string, name: string, thickness: Length, rate: Rate, reader: LengthReader): Sheet {
  const largest =
    body.sheet &&
    size(
      reader.read(`${path}.sheet.w`, body.sheet.w, length(1)),
      reader.read(`${path}.sheet.h`, body.sheet.h, length(1)),
    );
  return {
    code: name,
    name: body.name ?? name,
    thickness: reader.read(`${path}.thickness`, body.thickness, thickness),
    colour: body.colour ?? '#f4ecdd',
    archival: body.archival ?? true,
    ...(largest ? { largest } : {}),
    ...sheetCost(rate),
  };
}

/** Reads a body whose shape was checked. `home` and `house` fill in what is absent. */
export function readRequest(
  body: WorkOutBody,
  home: Unit,
  house: HouseChoice,
): { request: OpenRequest; complaints: Complaint[] } {
  const unit = body.unit ?? home;
  const settings = defaultSettings(unit);
  const reader = new LengthReader(unit);
  const { piece, frame, rates } = body;
  const start = newDesign(
    settings,
    house,
    reader.read('piece.width', piece.width, length(1)),
    reader.read('piece.height', piece.height, length(1)),
  );
  const [width2, height2] = [reader.maybe('piece.width2', piece.width2), reader.maybe('piece.height2', piece.height2)];

  const wood = frame.moulding;
  const moulding = (): Moulding => {
    const given = wood as Exclude<typeof wood, string>;
    const read = (key: 'faceWidth' | 'rabbetWidth' | 'rabbetDepth' | 'height') =>
      reader.read(`frame.moulding.${key}`, given[key], length(2));
    const stick = reader.maybe('frame.moulding.stick', given.stick);
    const cost = rates?.moulding?.costPerFoot ?? rates?.moulding?.costPerMetre;
    const { profileArea, density, rated } = given;
    return {
      code: 'given',
      name: given.name ?? 'given moulding',
      supplier: '',
      faceWidth: read('faceWidth'),
      rabbetWidth: read('rabbetWidth'),
      rabbetDepth: read('rabbetDepth'),
      height: read('height'),
      material: given.material ?? 'wood',
      profile: given.profile ?? 'flat',
      finish: '',
      colour: '#8a6f4d',
      ...(stick ? { stick } : {}),
      ...(cost === undefined
        ? {}
        : { cost: { amount: cost, per: rates?.moulding?.costPerFoot === undefined ? 'm' : 'ft' } }),
      ...(profileArea ? { profileArea } : {}),
      ...(density ? { density } : {}),
      ...(rated ? { rated } : {}),
    };
  };
  const metal = typeof wood === 'object' && wood.material === 'metal';
  const glazing = (): Design['glazing'] => {
    if (typeof body.glazing === 'string') return { code: body.glazing };
    const given = body.glazing ?? {};
    const type = given.type ?? 'glass';
    const sheet = sheetOf(
      given,
      'glazing',
      type,
      type === 'acrylic' ? mm(2.5) : mm(2),
      rates?.glazing ?? rates?.glass,
      reader,
    );
    const item: Glazing = {
      ...sheet,
      ...(type === 'none' ? { thickness: length(0) } : {}),
      type,
      uv: given.uv ?? false,
      coated: given.coated ?? false,
    };
    return { given: item };
  };
  const backing = (): Design['backing'] => {
    if (typeof body.backing === 'string') return { code: body.backing };
    const given = body.backing ?? {};
    const type = given.type ?? 'foam';
    const item: Backing = { ...sheetOf(given, 'backing', type, mm(5), rates?.backing, reader), type };
    return { given: item };
  };
  const mats = (body.mats ?? [{}]).map((mat, index): Design['mats'][number] => {
    const reveal = reader.read(`mats.${index}.reveal`, mat.reveal, index === 0 ? length(0) : settings.reveal, true);
    if (mat.board !== undefined) return { board: { code: mat.board }, reveal };
    return { board: { given: sheetOf(mat, `mats.${index}`, 'mat board', mm(1.4), rates?.mat, reader) }, reveal };
  });
  const border = (): Design['border'] => {
    const all = reader.read('border.all', body.border?.all, settings.border);
    if (body.border?.mode === 'equal') return { mode: 'equal', all };
    return {
      mode: 'weighted',
      all,
      extra: reader.read('border.extra', body.border?.extra, settings.bottomExtra, true),
    };
  };
  const rings = body.hanging?.rings ?? 'third';
  const slack = body.hanging?.slack ?? settings.slack;
  if (!/^0\.\d{1,6}$/.test(slack) || Number(slack) === 0)
    reader.complaints.push({ path: 'hanging.slack', code: 'slack-wrong', figures: { typed: slack } });

  const design: Design = {
    ...start,
    piece: {
      ...start.piece,
      title: piece.title ?? '',
      kind: piece.kind ?? 'print',
      ...(width2 ? { width2 } : {}),
      ...(height2 ? { height2 } : {}),
      thickness: reader.read('piece.thickness', piece.thickness, start.piece.thickness),
      irreplaceable: piece.irreplaceable ?? false,
      signed: piece.signed ?? false,
    },
    insists: body.insists ?? '',
    window: { overlap: reader.read('window.overlap', body.window?.overlap, settings.overlap, true) },
    mats,
    border: border(),
    frame: {
      moulding: typeof wood === 'string' ? { code: wood } : { given: moulding() },
      allowance: reader.read(
        'frame.allowance',
        frame.allowance,
        metal ? settings.metalAllowance : settings.allowance,
        true,
      ),
    },
    glazing: glazing(),
    backing: backing(),
    hanging: {
      rings:
        typeof rings === 'object'
          ? { distance: reader.read('hanging.rings.distance', rings.distance, plus(settings.tail)) }
          : rings,
      slack,
    },
  };
  const request: OpenRequest = {
    design,
    settings,
    ...(rates ? { prices: pricesOf(rates) } : {}),
    ...(rates?.labour?.minutes === undefined ? {} : { minutes: rates.labour.minutes }),
  };
  return { request, complaints: reader.complaints };
}
