/** The shop, its price rules, and the materials in its books. */
import { z } from 'zod';
import { backingSchema, glazingSchema, sheetSchema } from '@/core/design/design';
import type { HouseChoice } from '@/core/design/design';
import { type Listed } from '@/core/books/moulding-list';
import { type Backing, type Glazing, PROFILES, type Sheet, TIMBERS } from '@/core/materials';
import type { PriceBook } from '@/core/pricing/book';
import { length } from '@/core/units/length';
import type { Queries, Tx } from '../client';
import { readRow, readRows } from './rows';

const shopRow = z.object({
  name: z.string(),
  home_unit: z.enum(['in', 'mm']),
  prices: z.custom<Omit<PriceBook, 'edition'>>((value) => typeof value === 'object' && value !== null),
  house: z.custom<HouseChoice>((value) => typeof value === 'object' && value !== null),
  demo: z.boolean(),
});
export type ShopRow = z.infer<typeof shopRow>;

export const getShop = async (db: Queries): Promise<ShopRow | undefined> =>
  readRow(shopRow, await db.query('SELECT name, home_unit, prices, house, demo FROM shop WHERE id = 1'));

export const insertShop = (tx: Tx, shop: ShopRow) =>
  tx.query('INSERT INTO shop (id, name, home_unit, prices, house, demo) VALUES (1, $1, $2, $3, $4, $5)', [
    shop.name,
    shop.home_unit,
    JSON.stringify(shop.prices),
    JSON.stringify(shop.house),
    shop.demo,
  ]);

export const setPrices = (tx: Tx, prices: ShopRow['prices']) =>
  tx.query('UPDATE shop SET prices = $1 WHERE id = 1', [JSON.stringify(prices)]);

export async function latestEdition(db: Queries): Promise<number> {
  const rows = await db.query<{ number: number | null }>('SELECT max(number) AS number FROM price_edition');
  return rows[0]?.number ?? 0;
}

export const insertEdition = (tx: Tx, number: number, at: Date, by: string, why: string) =>
  tx.query('INSERT INTO price_edition (number, at, by, why) VALUES ($1, $2, $3, $4)', [number, at, by, why]);

const mouldingRow = z
  .object({
    code: z.string(),
    name: z.string(),
    supplier: z.string(),
    face_width: z.int(),
    rabbet_width: z.int(),
    rabbet_depth: z.int(),
    height: z.int(),
    material: z.enum(TIMBERS),
    profile: z.enum(PROFILES),
    finish: z.string(),
    colour: z.string(),
    stick: z.int().nullable(),
    cost: z.string(),
    cost_per: z.enum(['ft', 'm']),
    unit: z.enum(['in', 'mm']),
  })
  .transform((row): Listed => ({
    code: row.code,
    name: row.name,
    supplier: row.supplier,
    faceWidth: length(row.face_width),
    rabbetWidth: length(row.rabbet_width),
    rabbetDepth: length(row.rabbet_depth),
    height: length(row.height),
    material: row.material,
    profile: row.profile,
    finish: row.finish,
    colour: row.colour,
    ...(row.stick === null ? {} : { stick: length(row.stick) }),
    cost: { amount: row.cost, per: row.cost_per },
    unit: row.unit,
  }));
export const listMouldings = async (db: Queries): Promise<Listed[]> =>
  readRows(mouldingRow, await db.query('SELECT * FROM moulding ORDER BY position, code'));

/** Adds a moulding or changes the one with its code. */
export const putMoulding = (tx: Tx, one: Listed, edition: number, position: number) =>
  tx.query(
    `INSERT INTO moulding (code, name, supplier, face_width, rabbet_width, rabbet_depth, height, material, profile,
                           finish, colour, stick, cost, cost_per, unit, edition, position)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17)
     ON CONFLICT (code) DO UPDATE SET
       name = excluded.name, supplier = excluded.supplier, face_width = excluded.face_width,
       rabbet_width = excluded.rabbet_width, rabbet_depth = excluded.rabbet_depth, height = excluded.height,
       material = excluded.material, profile = excluded.profile, finish = excluded.finish, colour = excluded.colour,
       stick = excluded.stick, cost = excluded.cost, cost_per = excluded.cost_per, unit = excluded.unit,
       edition = excluded.edition`,
    [
      one.code,
      one.name,
      one.supplier,
      one.faceWidth,
      one.rabbetWidth,
      one.rabbetDepth,
      one.height,
      one.material,
      one.profile,
      one.finish,
      one.colour,
      one.stick ?? null,
      one.cost.amount,
      one.cost.per,
      one.unit,
      edition,
      position,
    ],
  );

const materialRow = z.object({ code: z.string(), kind: z.enum(['mat', 'glazing', 'backing']), spec: z.unknown() });

export const putMaterial = (tx: Tx, kind: 'mat' | 'glazing' | 'backing', spec: Sheet, position: number) =>
  tx.query(
    'INSERT INTO material (code, kind, spec, position) VALUES ($1, $2, $3, $4) ON CONFLICT (code) DO UPDATE SET spec = excluded.spec',
    [spec.code, kind, JSON.stringify(spec), position],
  );

export interface MaterialLists {
  readonly mouldings: Listed[];
  readonly mats: Sheet[];
  readonly glazings: Glazing[];
  readonly backings: Backing[];
}

export async function listMaterials(db: Queries): Promise<MaterialLists> {
  const rows = readRows(materialRow, await db.query('SELECT code, kind, spec FROM material ORDER BY position, code'));
  const of = <S extends z.ZodType>(kind: string, schema: S) =>
    rows.filter((row) => row.kind === kind).map((row) => schema.parse(row.spec));
  return {
    mouldings: await listMouldings(db),
    mats: of('mat', sheetSchema),
    glazings: of('glazing', glazingSchema),
    backings: of('backing', backingSchema),
  };
}
