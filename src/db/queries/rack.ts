/** The rack, whole sticks and sheets on hand, and the plans that took from them. */
import { z } from 'zod';
import type { CutPlans, PlanFigures } from '@/core/cutting/plan-figures';
import type { CutRequests } from '@/core/cutting/plan-request';
import type { RackPiece } from '@/core/cutting/plan-request';
import { type Length, length } from '@/core/units/length';
import type { Queries, Tx } from '../client';
import { type By, named, readRow, readRows } from './rows';

const units = z.int().transform((value): Length => length(value));
const rackRow = z.object({
  id: z.string(),
  code: z.string(),
  kind: z.enum(['stick', 'sheet']),
  material: z.string(),
  length: units,
  height: units.nullable(),
  batch: z.string(),
  no_go: z.array(z.object({ from: units, to: units })),
  place: z.string(),
  note: z.string(),
  origin: z.enum(['typed', 'list', 'offcut', 'drop-out', 'spoiled']),
  state: z.enum(['there', 'used', 'gone']),
  added_at: z.date(),
  revision: z.int(),
});
export type RackRow = z.infer<typeof rackRow>;

const RACK =
  'SELECT id, code, kind, material, length, height, batch, no_go, place, note, origin, state, added_at, revision FROM rack_piece';
export const rackThere = async (db: Queries) =>
  readRows(rackRow, await db.query(`${RACK} WHERE state = 'there' ORDER BY kind DESC, material, length DESC, code`));
export const rackById = async (db: Queries, id: string) =>
  readRow(rackRow, await db.query(`${RACK} WHERE id = $1`, [id]));
export const rackByCode = async (db: Queries, code: string) =>
  readRow(rackRow, await db.query(`${RACK} WHERE code = $1`, [code]));

export const pieceOf = (row: RackRow): RackPiece =>
  row.kind === 'stick'
    ? { ...row, kind: 'stick', noGo: row.no_go }
    : { ...row, kind: 'sheet', w: row.length, h: row.height! };

export interface NewPiece {
  readonly id: string;
  readonly kind: 'stick' | 'sheet';
  readonly material: string;
  readonly length: number;
  readonly height: number | null;
  readonly batch: string;
  readonly noGo: readonly { readonly from: number; readonly to: number }[];
  readonly place: string;
  readonly note: string;
  readonly origin: RackRow['origin'];
}

/** Adds a piece with the next code; answers the code. */
export async function insertPiece(tx: Tx, one: NewPiece, at: Date, by: By): Promise<string> {
  const rows = await tx.query<{ code: string }>(
    `INSERT INTO rack_piece (id, code, kind, material, length, height, batch, no_go, place, note, origin, state, added_at, added_by_id)
     VALUES ($1, 'K' || (1000 + nextval('rack_code')), $2, $3, $4, $5, $6, $7, $8, $9, $10, 'there', $11, $12)
     RETURNING code`,
    [
      one.id,
      one.kind,
      one.material,
      one.length,
      one.height,
      one.batch,
      JSON.stringify(one.noGo),
      one.place,
      one.note,
      one.origin,
      at,
      by,
    ],
  );
  return rows[0]!.code;
}
export const updatePiece = (tx: Tx, one: Omit<NewPiece, 'origin' | 'kind' | 'material'>) =>
  tx.query(
    'UPDATE rack_piece SET length = $2, height = $3, batch = $4, no_go = $5, place = $6, note = $7, revision = revision + 1 WHERE id = $1',
    [one.id, one.length, one.height, one.batch, JSON.stringify(one.noGo), one.place, one.note],
  );
export const setPieceState = (tx: Tx, ids: readonly string[], state: RackRow['state']) =>
  tx.query('UPDATE rack_piece SET state = $2, revision = revision + 1 WHERE id = ANY ($1)', [ids, state]);

const stockRow = z.object({ material: z.string(), on_hand: z.int(), minimum: z.int(), revision: z.int() });
export const stockLevels = async (db: Queries) =>
  readRows(stockRow, await db.query('SELECT material, on_hand, minimum, revision FROM stock_level ORDER BY material'));
export const stockLevel = async (tx: Tx, material: string) =>
  readRow(
    stockRow,
    await tx.query('SELECT material, on_hand, minimum, revision FROM stock_level WHERE material = $1 FOR UPDATE', [
      material,
    ]),
  );
export const putStock = (tx: Tx, material: string, onHand: number, minimum: number) =>
  tx.query(
    `INSERT INTO stock_level (material, on_hand, minimum) VALUES ($1, $2, $3)
     ON CONFLICT (material) DO UPDATE SET on_hand = excluded.on_hand, minimum = excluded.minimum,
                                         revision = stock_level.revision + 1`,
    [material, onHand, minimum],
  );
/** Takes up to `count` from what is on hand; answers how many there were. */
export async function takeStock(tx: Tx, material: string, count: number): Promise<number> {
  const rows = await tx.query<{ on_hand: number }>('SELECT on_hand FROM stock_level WHERE material = $1 FOR UPDATE', [
    material,
  ]);
  const taken = Math.min(rows[0]?.on_hand ?? 0, count);
  await tx.query('UPDATE stock_level SET on_hand = on_hand - $2, revision = revision + 1 WHERE material = $1', [
    material,
    taken,
  ]);
  return taken;
}
export const giveStock = (tx: Tx, material: string, count: number) =>
  tx.query('UPDATE stock_level SET on_hand = on_hand + $2, revision = revision + 1 WHERE material = $1', [
    material,
    count,
  ]);

/** What a confirmed plan took and put back, so that it can be undone. */
export interface PlanEffect {
  readonly used: readonly string[];
  readonly made: readonly string[];
  readonly stock: readonly { readonly material: string; readonly wanted: number; readonly taken: number }[];
}
export type BothFigures = { readonly sticks: PlanFigures; readonly sheets: PlanFigures };
const object = <T>() => z.custom<T>((value) => typeof value === 'object' && value !== null);
const planRow = z.object({
  id: z.string(),
  number: z.int(),
  state: z.enum(['confirmed', 'undone']),
  at: z.date(),
  by: named,
  figures: object<BothFigures>(),
});
const wholePlanRow = planRow.extend({
  request: object<CutRequests>(),
  plan: object<CutPlans>(),
  effect: object<PlanEffect>(),
});
export type WholePlanRow = z.infer<typeof wholePlanRow>;

export const madePlans = async (db: Queries, most: number) =>
  readRows(
    planRow,
    await db.query(
      'SELECT p.id, p.number, p.state, p.at, s.name AS by, p.figures FROM cut_plan p LEFT JOIN staff s ON s.id = p.by_id ORDER BY p.number DESC LIMIT $1',
      [most],
    ),
  );
const WHOLE = `SELECT p.id, p.number, p.state, p.at, s.name AS by, p.figures, p.request, p.plan, p.effect
                 FROM cut_plan p LEFT JOIN staff s ON s.id = p.by_id`;
export const planById = async (db: Queries, id: string) =>
  readRow(wholePlanRow, await db.query(`${WHOLE} WHERE p.id = $1`, [id]));
export const planByNumber = async (db: Queries, number: number) =>
  readRow(wholePlanRow, await db.query(`${WHOLE} WHERE p.number = $1`, [number]));
export async function latestPlan(db: Queries): Promise<string | undefined> {
  const rows = await db.query<{ id: string }>(
    "SELECT id FROM cut_plan WHERE state = 'confirmed' ORDER BY number DESC LIMIT 1",
  );
  return rows[0]?.id;
}
export async function nextPlanNumber(tx: Tx): Promise<number> {
  const rows = await tx.query<{ number: number }>("SELECT nextval('cut_plan_number')::int AS number");
  return rows[0]!.number;
}
export const insertPlan = (tx: Tx, one: Omit<WholePlanRow, 'state' | 'by'> & { readonly by: By }) =>
  tx.query(
    `INSERT INTO cut_plan (id, number, state, at, by_id, request, plan, figures, effect)
     VALUES ($1, $2, 'confirmed', $3, $4, $5, $6, $7, $8)`,
    [
      one.id,
      one.number,
      one.at,
      one.by,
      JSON.stringify(one.request),
      JSON.stringify(one.plan),
      JSON.stringify(one.figures),
      JSON.stringify(one.effect),
    ],
  );
export const setPlanUndone = (tx: Tx, id: string) =>
  tx.query("UPDATE cut_plan SET state = 'undone' WHERE id = $1", [id]);

const partRow = z.object({
  plan_id: z.string(),
  part: z.string(),
  ticket: z.string(),
  active: z.boolean(),
  spoiled: object<{ why: string; byId: By; at: string }>().nullable(),
});
export type PartRow = z.infer<typeof partRow>;
const PART = 'SELECT plan_id, part, ticket, active, spoiled FROM cut_part';
export const partsOfPlans = async (db: Queries, plans: readonly string[]) =>
  readRows(partRow, await db.query(`${PART} WHERE plan_id = ANY ($1) ORDER BY part`, [plans]));
/** Parts of these jobs that are planned, or were and got spoiled. */
export const partsOfTickets = async (db: Queries, tickets: readonly string[]) =>
  readRows(partRow, await db.query(`${PART} WHERE ticket = ANY ($1) AND (active OR spoiled IS NOT NULL)`, [tickets]));
export const insertPart = (tx: Tx, planId: string, part: string, ticket: string) =>
  tx.query('INSERT INTO cut_part (plan_id, part, ticket, active) VALUES ($1, $2, $3, true)', [planId, part, ticket]);
export const dropParts = (tx: Tx, planId: string) =>
  tx.query('UPDATE cut_part SET active = false WHERE plan_id = $1', [planId]);
/** What was cut for a job that is another design now is no part of it any more. */
export const dropPartsOf = (tx: Tx, ticket: string) =>
  tx.query('UPDATE cut_part SET active = false WHERE ticket = $1', [ticket]);
export const spoilPart = (tx: Tx, planId: string, part: string, spoiled: { why: string; byId: By; at: string }) =>
  tx.query('UPDATE cut_part SET active = false, spoiled = $3 WHERE plan_id = $1 AND part = $2', [
    planId,
    part,
    JSON.stringify(spoiled),
  ]);
