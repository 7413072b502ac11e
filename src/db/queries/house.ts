/** Designs that the house begins with. */
import { z } from 'zod';
import type { Queries, Tx } from '../client';
import { type By, readRow, readRows } from './rows';

const houseRow = z.object({ id: z.string(), name: z.string(), kind: z.string(), design: z.unknown() });
export type HouseRow = z.infer<typeof houseRow>;

export const houseDesigns = async (db: Queries) =>
  readRows(houseRow, await db.query('SELECT id, name, kind, design FROM house_design ORDER BY lower(name)'));

export const houseDesignById = async (tx: Tx, id: string) =>
  readRow(houseRow, await tx.query('SELECT id, name, kind, design FROM house_design WHERE id = $1 FOR UPDATE', [id]));

/** Kept under its name; one of the same name gives way. Answers what that was. */
export async function putHouseDesign(tx: Tx, one: HouseRow, at: Date, by: By): Promise<HouseRow | undefined> {
  const before = readRow(
    houseRow,
    await tx.query('DELETE FROM house_design WHERE lower(name) = lower($1) RETURNING id, name, kind, design', [
      one.name,
    ]),
  );
  await tx.query('INSERT INTO house_design (id, name, kind, design, at, by_id) VALUES ($1, $2, $3, $4, $5, $6)', [
    one.id,
    one.name,
    one.kind,
    JSON.stringify(one.design),
    at,
    by,
  ]);
  return before;
}

export const dropHouseDesign = (tx: Tx, id: string) => tx.query('DELETE FROM house_design WHERE id = $1', [id]);
export const countHouseDesigns = async (tx: Tx) =>
  (await tx.query<{ count: number }>('SELECT count(*)::int AS count FROM house_design'))[0]!.count;
