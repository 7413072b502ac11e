/**
 * What the jobs of a shop need cut, and the request for a plan that follows: sticks to cut legs from, sheets for mats,
 * boards and glass, the rack as it stands. Costs are in cents, so that waste and gap are money. Source: handbook, cutting.
 */
import type { ListedMaterials, Moulding, Sheet } from '../materials';
import type { StepKey } from '../route/route';
import type { Settings } from '../settings';
import { type Length, type Size, fitsEitherWay, length, size, toMm } from '../units/length';
import type { WorkedOut } from '../work-out';
import { jobsOfSheets, jobsOfSticks } from './engine';
import {
  type Judged,
  type SheetsPlan,
  type SheetsRequest,
  type SticksPlan,
  type SticksRequest,
  sheetsSchema,
  sticksSchema,
} from './request';
import { SheetSearch } from './sheets/search';
import { StickSearch } from './sticks/search';

export interface WantedLeg {
  readonly id: string;
  readonly length: Length;
}
/** All legs of one frame of a job; those that were cut before are left out. */
export interface WantedFrame {
  readonly id: string;
  readonly ticket: string;
  readonly moulding: string;
  readonly legs: readonly WantedLeg[];
  /** What goes into it: a frame of a standard size can be bought ready made. */
  readonly inside?: Size;
}
export interface WantedPart {
  readonly id: string;
  readonly ticket: string;
  readonly what: 'mat' | 'glazing' | 'board';
  readonly material: string;
  readonly w: Length;
  readonly h: Length;
  /** The largest piece that falls from its windows, when it is a rectangle. */
  readonly drop?: { readonly w: Length; readonly h: Length };
}
export interface Wanted {
  readonly frames: readonly WantedFrame[];
  readonly parts: readonly WantedPart[];
}

const SIDES = { 'top and bottom': ['top', 'bottom'], 'left and right': ['left', 'right'] } as const;
const STEP_OF = { mat: 'cut-mats', glazing: 'cut-glazing', board: 'cut-backing' } as const;

/** Frames whose legs are cut from sticks of the books. */
const CUT_FROM_STICKS: ReadonlySet<string> = new Set(['frame', 'liner', 'fillet']);

/** `2424-1` for the frame itself, `2424-1 liner`, `2424-1 liner 2`: told apart however many there are. */
function idOfFrame(ticket: string, of: string, named: Map<string, number>): string {
  const count = (named.get(of) ?? 0) + 1;
  named.set(of, count);
  return [ticket, ...(of === 'frame' ? [] : [of]), ...(count > 1 ? [count] : [])].join(' ');
}

/** What a job still needs from stick and sheet: of the steps that are open, what is cut from the books' materials. */
export function wantedOf(worked: Omit<WorkedOut, 'workings'>, ticket: string, open: ReadonlySet<StepKey>): Wanted {
  const { resolved, parts } = worked;
  const frames = new Map<number, WantedFrame & { legs: WantedLeg[] }>();
  const named = new Map<string, number>();
  if (open.has('cut-legs'))
    for (const part of parts) {
      if (part.kind !== 'leg' || !CUT_FROM_STICKS.has(part.of)) continue;
      const frame = frames.get(part.frame) ?? {
        id: idOfFrame(ticket, part.of, named),
        ticket,
        moulding: part.code,
        legs: [],
        ...(part.of === 'frame' ? { inside: worked.sizes.package } : {}),
      };
      for (const side of SIDES[part.side].slice(0, part.count))
        frame.legs.push({ id: `${frame.id} ${side}`, length: part.cut.longPoint });
      frames.set(part.frame, frame);
    }
  const { glazing, mountBoard } = resolved;
  const sheets: readonly { what: WantedPart['what']; codes: readonly string[] }[] = [
    { what: 'mat', codes: [...resolved.mats, ...(mountBoard ? [mountBoard] : [])].map((one) => one.code) },
    { what: 'glazing', codes: glazing.type === 'none' ? [] : [glazing.code] },
    { what: 'board', codes: [resolved.backing.code] },
  ];
  const flat: WantedPart[] = [];
  const count = new Map<string, number>();
  for (const part of parts) {
    if (part.kind !== 'flat' || !part.sheet || part.code === undefined) continue;
    const { code } = part;
    const found = sheets.find(({ codes }) => codes.includes(code));
    if (!found || !open.has(part.part === 'mount board' ? 'cut-backing' : STEP_OF[found.what])) continue;
    for (let at = 0; at < part.count; at += 1) {
      const number = (count.get(part.part) ?? 0) + 1;
      count.set(part.part, number);
      const window = part.windows?.filter((one) => one.shape.shape === 'rectangle');
      const only = window?.length === 1 && part.windows?.length === 1 ? part.layer?.cut.window : undefined;
      flat.push({
        id: `${ticket} ${part.part}${number > 1 ? ` ${number}` : ''}`,
        ticket,
        what: found.what,
        material: code,
        w: part.cut.w,
        h: part.cut.h,
        ...(only ? { drop: { w: only.w, h: only.h } } : {}),
      });
    }
  }
  return { frames: [...frames.values()], parts: flat };
}

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
const UNMADE_CENTS = 1_000_000;

export const stickMm = (moulding: Moulding): number => (moulding.stick ? toMm(moulding.stick) : USUAL_STICK_MM);
const FOOT_MM = 304.8;
/** Cents for a millimetre of moulding. */
export const centsPerMm = ({ cost }: Moulding): number =>
  cost && Number(cost.amount) > 0 ? (Number(cost.amount) * 100) / (cost.per === 'ft' ? FOOT_MM : 1000) : UNPRICED.stick;
const centsPerSquareMm = ({ cost }: Sheet): number =>
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
        stock: [{ id: `${sheet.code} sheet`, ...whole, price: centsPerSquareMm(sheet) * whole.w * whole.h }],
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
  const money = { offcutValue: cutting.offcutValue, unmadePenalty: UNMADE_CENTS, seed };
  return {
    sticks: sticksSchema.parse({
      // Along the stick a cut takes more than the blade is wide (R51).
      kerf: Math.round((toMm(cutting.kerf) / Math.cos(Math.PI / 4)) * 1000) / 1000,
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
    }),
    sheets: sheetsSchema.parse({
      kerf: 0,
      sheetTrim: toMm(cutting.sheetTrim),
      offcutTrim: 0,
      minOffcut: { short: toMm(cutting.minSheet.short), long: toMm(cutting.minSheet.long) },
      materials,
      parts: parts
        .filter((one) => materials.some(({ id }) => id === one.material))
        .map(({ id, material, w, h }) => ({ id, material, w: toMm(w), h: toMm(h) })),
      ...money,
    }),
  };
}

/** What it would cost to cut frame by frame and part by part, each from new material, its offcuts kept. */
export function jobByJob({ sticks, sheets }: CutRequests): { sticks: number; sheets: number } {
  const alone = <T extends { id: string }>(list: readonly T[], cost: (one: T) => number) =>
    list.reduce((sum, one) => sum + cost(one), 0);
  const bare = {
    profiles: sticks.profiles.map((one) => ({ ...one, rack: [] })),
    materials: sheets.materials.map((one) => ({ ...one, rack: [] })),
  };
  const ofFrame = (frame: SticksRequest['frames'][number]) =>
    jobsOfSticks({ ...sticks, profiles: bare.profiles, frames: [frame] }).reduce(
      (sum, job) => sum + (job.kind === 'sticks' ? new StickSearch(job.task, 1).best.cost : 0),
      0,
    );
  const byTicket = new Map<string, SheetsRequest['parts'][number][]>();
  for (const part of sheets.parts) {
    const key = `${part.material} ${part.id.split(' ')[0]}`;
    byTicket.set(key, [...(byTicket.get(key) ?? []), part]);
  }
  const ofParts = (parts: SheetsRequest['parts']) =>
    jobsOfSheets({ ...sheets, materials: bare.materials, parts }).reduce(
      (sum, job) => sum + (job.kind === 'sheets' ? new SheetSearch(job.task, 1).best.cost : 0),
      0,
    );
  return {
    sticks: alone(sticks.frames, ofFrame),
    sheets: [...byTicket.values()].reduce((sum, parts) => sum + ofParts(parts), 0),
  };
}

/** A millimetre figure of a plan as a length of the shop; exact for what came from one. */
export const lengthOf = (mm: number): Length => length(Math.round(mm * 320));
export const sizeOfMm = (w: number, h: number) => size(lengthOf(w), lengthOf(h));

/** What a plan comes to: material opened, kept and lost, in mm or mm², and what is lost in cents. */
export interface PlanFigures {
  readonly opened: number;
  readonly kept: number;
  readonly lost: number;
  readonly lostCents: number;
  readonly cost: number;
  readonly bound: number;
  readonly gap: number;
  readonly optimal: boolean;
  /** What it would cost job by job. */
  readonly apart: number;
}
export interface CutPlans {
  readonly sticks: SticksPlan;
  readonly sheets: SheetsPlan;
}

export function figuresOf(
  { sticks, sheets }: CutRequests,
  plans: CutPlans,
  apart: { sticks: number; sheets: number },
): { sticks: PlanFigures; sheets: PlanFigures } {
  const legs = new Map(
    sticks.frames.flatMap(({ legs: list }) => list.map(({ id, length: long }) => [id, long] as const)),
  );
  const stickOf = new Map(
    sticks.profiles.flatMap(({ id, stock, rack }) => {
      const cents = stock[0] ? (stock[0].price ?? stock[0].length) / stock[0].length : 1;
      return [...stock, ...rack].map((one) => [`${id}\u0000${one.id}`, { size: one.length, cents }] as const);
    }),
  );
  const bars = plans.sticks.bars.map((bar) => {
    const { size: opened, cents } = stickOf.get(`${bar.profile}\u0000${bar.source}`)!;
    const made = bar.pieces.reduce((sum, { leg }) => sum + legs.get(leg)!, 0);
    return { opened, kept: bar.offcut, lost: opened - made - bar.offcut, cents };
  });
  const areas = new Map(sheets.parts.map(({ id, w, h }) => [id, w * h]));
  const sheetOf = new Map(
    sheets.materials.flatMap(({ id, stock, rack }) => {
      const cents = stock[0] ? (stock[0].price ?? 1) / (stock[0].w * stock[0].h) : 1;
      return [...stock, ...rack].map((one) => [`${id}\u0000${one.id}`, { size: one.w * one.h, cents }] as const);
    }),
  );
  const boards = plans.sheets.sheets.map((sheet) => {
    const { size: opened, cents } = sheetOf.get(`${sheet.material}\u0000${sheet.source}`)!;
    const kept = sheet.offcuts.reduce((sum, one) => sum + one.w * one.h, 0);
    const made = sheet.parts.reduce((sum, { part }) => sum + areas.get(part)!, 0);
    return { opened, kept, lost: opened - made - kept, cents };
  });
  const total = (list: typeof bars, judge: Judged, alone: number): PlanFigures => {
    // What is not made is said by name; its penalty is no money.
    const penalty = judge.unmade.length * UNMADE_CENTS;
    const [cost, bound] = [judge.cost - penalty, Math.max(0, judge.bound - penalty)];
    return {
      opened: list.reduce((sum, one) => sum + one.opened, 0),
      kept: list.reduce((sum, one) => sum + one.kept, 0),
      lost: list.reduce((sum, one) => sum + one.lost, 0),
      lostCents: Math.round(list.reduce((sum, one) => sum + one.lost * one.cents, 0)),
      cost,
      bound,
      gap: bound > 0 ? (cost - bound) / bound : judge.gap,
      optimal: judge.optimal,
      apart: alone,
    };
  };
  return { sticks: total(bars, plans.sticks, apart.sticks), sheets: total(boards, plans.sheets, apart.sheets) };
}
