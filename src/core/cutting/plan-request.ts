/**
 * The request for a plan of what jobs need: sticks to cut legs from, sheets for mats, boards and glass, the rack as it
 * stands. Costs are in cents, so that waste and gap are money. Source: handbook, cutting.
 */
import type { ListedMaterials, Moulding, SheetMaterial } from '../materials';
import type { Settings } from '../settings';
import { type Length, fitsEitherWay, toMm } from '../units/length';
import type { Wanted } from './demand';
import type { SheetsRequest, SticksRequest } from './request';

export interface RackStick {
  readonly id: string;
  readonly code: string;
  readonly kind: 'stick';
  readonly material: string;
  readonly length: Length;
  readonly batch: string;
  readonly noGo: readonly { readonly from: Length; readonly to: Length }[];
}
export interface RackSheet {
  readonly id: string;
  readonly code: string;
  readonly kind: 'sheet';
  readonly material: string;
  readonly w: Length;
  readonly h: Length;
}
export type RackPiece = RackStick | RackSheet;

export interface CutRequests {
  readonly sticks: SticksRequest;
  readonly sheets: SheetsRequest;
}

/** What a stick is taken to be where the book does not say, and what a new one's batch is called. */
const USUAL_STICK_MM = 3000;
export const NEW_BATCH = 'new';
const USUAL_SHEET = { w: 815, h: 1020 };
/** Cents for a millimetre and a square millimetre of what has no cost in the books: it is not free. */
const UNPRICED = { stick: 0.5, sheet: 0.001 };
/** In cents: two batches in one frame are seen; a frame that is not made is a broken promise. */
const BATCH_CENTS = 400;
export const UNMADE_CENTS = 1_000_000;

export const stickMm = (moulding: Moulding): number => (moulding.stick ? toMm(moulding.stick) : USUAL_STICK_MM);
const SQUARE_MITRE = 45;
const FOOT_MM = 304.8;
/** Cents for a millimetre of moulding. */
export const centsPerMm = ({ cost }: Moulding): number =>
  cost && Number(cost.amount) > 0 ? (Number(cost.amount) * 100) / (cost.per === 'ft' ? FOOT_MM : 1000) : UNPRICED.stick;
const centsPerSquareMm = ({ cost }: SheetMaterial): number =>
  cost && Number(cost.amount) > 0
    ? (Number(cost.amount) * 100) / (cost.per === 'sqft' ? FOOT_MM ** 2 : 1_000_000)
    : UNPRICED.sheet;

export const dropId = (part: string): string => `drop of ${part}`;

/** The plan to ask for. What falls from the windows of larger mats may serve for smaller parts of the same board. */
export function requestsFor(
  { frames, parts }: Wanted,
  rack: readonly RackPiece[],
  lists: ListedMaterials,
  { cutting, endTrim }: Settings,
  seed = 1,
): CutRequests {
  const used = new Set(frames.map((one) => one.moulding));
  const profiles = lists.mouldings
    .filter((one) => used.has(one.code))
    .map((moulding) => ({
      id: moulding.code,
      stock: [
        {
          id: `${moulding.code} stick`,
          length: stickMm(moulding),
          batch: NEW_BATCH,
          qty: null,
          price: centsPerMm(moulding) * stickMm(moulding),
        },
      ],
      rack: rack.flatMap((one) =>
        one.kind === 'stick' && one.material === moulding.code
          ? [
              {
                id: one.code,
                length: toMm(one.length),
                batch: one.batch,
                noGo: one.noGo.map(({ from, to }) => ({ from: toMm(from), to: toMm(to) })),
              },
            ]
          : [],
      ),
    }));
  const needed = new Set(parts.map((one) => one.material));
  const glass = new Set(lists.glazings.map((one) => one.code));
  const least = { w: cutting.minSheet.short, h: cutting.minSheet.long };
  const materials = [...lists.mats, ...lists.glazings, ...lists.backings]
    .filter((one) => needed.has(one.code))
    .map((sheet) => {
      const whole = sheet.largest ? { w: toMm(sheet.largest.w), h: toMm(sheet.largest.h) } : USUAL_SHEET;
      return {
        id: sheet.code,
        rotate: true,
        // Boards are cut with a knife; glass is broken and needs a strip to hold.
        ...(glass.has(sheet.code) ? { minBreak: toMm(cutting.glassBreak) } : {}),
        stock: [{ id: `${sheet.code} sheet`, ...whole, qty: null, price: centsPerSquareMm(sheet) * whole.w * whole.h }],
        rack: [
          ...rack.flatMap((one) =>
            one.kind === 'sheet' && one.material === sheet.code
              ? [{ id: one.code, w: toMm(one.w), h: toMm(one.h) }]
              : [],
          ),
          ...parts.flatMap(({ id, material, drop }) =>
            drop && material === sheet.code && fitsEitherWay(least, drop)
              ? [{ id: dropId(id), w: toMm(drop.w), h: toMm(drop.h) }]
              : [],
          ),
        ],
      };
    });
  // One cut for the whole plan: as the steepest of its mitres takes it.
  const steepest = Math.max(SQUARE_MITRE, ...frames.map(({ mitre }) => mitre));
  const money = { offcutValue: cutting.offcutValue, unmadePenalty: UNMADE_CENTS, seed };
  return {
    sticks: {
      // Along the stick a cut takes more than the blade is wide (R51).
      kerf: Math.round((toMm(cutting.kerf) / Math.cos((steepest * Math.PI) / 180)) * 1000) / 1000,
      endTrim: toMm(endTrim),
      minOffcut: toMm(cutting.minStick),
      batchPenalty: BATCH_CENTS,
      profiles,
      frames: frames
        .filter((one) => profiles.some(({ id }) => id === one.moulding))
        .map(({ id, moulding, legs }) => ({
          id,
          profile: moulding,
          legs: legs.map((leg) => ({ id: leg.id, length: toMm(leg.length) })),
        })),
      ...money,
    },
    sheets: {
      kerf: 0,
      sheetTrim: toMm(cutting.sheetTrim),
      minBreak: 0,
      offcutTrim: 0,
      minOffcut: { short: toMm(cutting.minSheet.short), long: toMm(cutting.minSheet.long) },
      materials,
      parts: parts
        .filter((one) => materials.some(({ id }) => id === one.material))
        .map(({ id, material, w, h }) => ({ id, material, w: toMm(w), h: toMm(h) })),
      ...money,
    },
  };
}
