/** What a plan comes to: material opened, kept and lost, and money. */
import { type Length, length, size } from '../units/length';
import { type CutRequests, UNMADE_CENTS } from './plan-request';
import type { Judged, SheetsPlan, SticksPlan } from './request';

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
