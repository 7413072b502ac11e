/** The shop, its price rules, and the materials in its books. */
import { z } from 'zod';
import { backingSchema, glazingSchema, readyMadeSchema, sheetSchema } from '@/core/design/common-schema';
import type { DefaultMaterials } from '@/core/design/design';
import { columnMapSchema } from '@/core/supplier-list/column-map';
import type { ColumnMap, ListName } from '@/core/supplier-list/names';
import type { Listed } from '@/core/supplier-list/moulding-list';
import { type Backing, type Glazing, PROFILES, type ReadyMade, type SheetMaterial, TIMBERS } from '@/core/materials';
import type { PriceBook } from '@/core/pricing/book';
import { length } from '@/core/units/length';
import type { Db, Queries, Tx } from '../client';
import { type By, named, readRow, readRows } from './rows';

const shopRow = z.object({ name: z.string(), home_unit: z.enum(['in', 'mm']), demo: z.boolean() });
export type ShopRow = z.infer<typeof shopRow>;

export const getShop = async (db: Queries): Promise<ShopRow | undefined> =>
  readRow(shopRow, await db.query('SELECT name, home_unit, demo FROM shop WHERE id = 1'));

export const insertShop = (tx: Tx, shop: ShopRow) =>
  tx.query('INSERT INTO shop (id, name, home_unit, demo) VALUES (1, $1, $2, $3)', [
    shop.name,
    shop.home_unit,
    shop.demo,
  ]);

const object = <T>() => z.custom<T>((value) => typeof value === 'object' && value !== null);
/** What an edition says beside its materials. */
export interface EditionContent {
  readonly prices: Omit<PriceBook, 'edition'>;
  readonly house: DefaultMaterials;
}
const editionRow = z.object({
  number: z.int(),
  at: z.date(),
  by: named,
  why: z.string(),
  starts: z.string(),
  prices: object<EditionContent['prices']>().nullable(),
  house: object<DefaultMaterials>().nullable(),
});
export type EditionRow = z.infer<typeof editionRow>;
const EDITION = `SELECT e.number, e.at, s.name AS by, e.why, e.starts::text, e.prices, e.house
                   FROM price_edition e LEFT JOIN staff s ON s.id = e.by_id WHERE e.state = 'made'`;

/** The edition in force on that day: the newest that has begun; 0 before the first. */
export async function editionOn(db: Queries, day: string): Promise<number> {
  const rows = await db.query<{ number: number | null }>(
    "SELECT max(number) AS number FROM price_edition WHERE state = 'made' AND starts <= $1",
    [day],
  );
  return rows[0]?.number ?? 0;
}
/** The newest that was made, begun or not: what the next one is a change of. */
export const newestEdition = async (db: Queries) =>
  readRow(editionRow, await db.query(`${EDITION} ORDER BY e.number DESC LIMIT 1`));
export const editionByNumber = async (db: Queries, number: number) =>
  readRow(editionRow, await db.query(`${EDITION} AND e.number = $1`, [number]));
/** The one that was in the books before that one was made. */
export const editionBefore = async (db: Queries, number: number) =>
  readRow(editionRow, await db.query(`${EDITION} AND e.number < $1 ORDER BY e.number DESC LIMIT 1`, [number]));
export const listEditions = async (db: Queries, most: number) =>
  readRows(editionRow, await db.query(`${EDITION} ORDER BY e.number DESC LIMIT $1`, [most]));

export interface NewEdition extends EditionContent {
  readonly at: Date;
  readonly by: By;
  readonly why: string;
  /** The first day it is in force. */
  readonly starts: string;
}
const addEdition = async (tx: Tx, one: NewEdition, state: 'filling' | 'made'): Promise<number> => {
  const rows = await tx.query<{ number: number }>(
    `INSERT INTO price_edition (number, at, by_id, why, starts, prices, house, state)
     SELECT coalesce(max(number), 0) + 1, $1, $2, $3, $4, $5, $6, $7 FROM price_edition RETURNING number`,
    [one.at, one.by, one.why, one.starts, JSON.stringify(one.prices), JSON.stringify(one.house), state],
  );
  return rows[0]!.number;
};
/** Makes the next edition; answers its number. */
export const insertEdition = (tx: Tx, one: NewEdition) => addEdition(tx, one, 'made');
/** Begins an edition that nobody sees until it is made. */
export const beginEdition = (tx: Tx, one: NewEdition) => addEdition(tx, one, 'filling');
/** Answers false when the edition is not being filled. */
export const makeEdition = async (tx: Tx, number: number, at: Date) =>
  (
    await tx.query(
      "UPDATE price_edition SET state = 'made', at = $2 WHERE number = $1 AND state = 'filling' RETURNING number",
      [number, at],
    )
  ).length === 1;
export const dropEdition = (tx: Tx, number: number) =>
  tx.query("UPDATE price_edition SET state = 'dropped' WHERE number = $1 AND state = 'filling'", [number]);
/** Takes back an edition that has not begun; answers false when there is none. */
export const withdrawEdition = async (tx: Tx, number: number, day: string) =>
  (
    await tx.query(
      `UPDATE price_edition SET state = 'dropped'
        WHERE number = $1 AND state = 'made' AND starts > $2
          AND number = (SELECT max(number) FROM price_edition WHERE state = 'made') RETURNING number`,
      [number, day],
    )
  ).length === 1;

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
/** Places in the list that are read at a time: nobody waits long for a long list. */
const PAGE = 1000;
/** As an edition has them. */
export async function listMouldings(db: Queries, edition: number): Promise<Listed[]> {
  const last = (await db.query<{ last: number | null }>('SELECT max(position) AS last FROM moulding'))[0]?.last ?? -1;
  const found: Listed[] = [];
  for (let from = 0; from <= last; from += PAGE) {
    const rows = await db.query(
      `SELECT DISTINCT ON (m.position, m.code) m.* FROM moulding m
         JOIN price_edition e ON e.number = m.edition AND e.state = 'made'
        WHERE m.edition <= $1 AND m.position >= $2 AND m.position < $3
        ORDER BY m.position, m.code, m.edition DESC`,
      [edition, from, from + PAGE],
    );
    found.push(
      ...readRows(
        mouldingRow,
        rows.filter((row) => !row.gone),
      ),
    );
  }
  return found;
}

export interface PlacedMoulding {
  readonly moulding: Listed;
  /** Its place in the list; a moulding keeps the one it had. */
  readonly position: number;
}
/** Writes mouldings into an edition in one statement: new ones, and what others become with it. */
export async function putMouldings(tx: Tx, edition: number, list: readonly PlacedMoulding[]): Promise<void> {
  const column = (pick: (one: Listed) => unknown) => list.map(({ moulding }) => pick(moulding));
  await tx.query("INSERT INTO article (code, kind) SELECT unnest($1::text[]), 'moulding' ON CONFLICT DO NOTHING", [
    column((one) => one.code),
  ]);
  await tx.query(
    `INSERT INTO moulding (code, name, supplier, face_width, rabbet_width, rabbet_depth, height, material, profile,
                           finish, colour, stick, cost, cost_per, unit, position, edition)
     SELECT *, $17::int FROM unnest($1::text[], $2::text[], $3::text[], $4::int[], $5::int[], $6::int[], $7::int[],
       $8::text[], $9::text[], $10::text[], $11::text[], $12::int[], $13::text[], $14::text[], $15::text[], $16::int[])`,
    [
      column((one) => one.code),
      column((one) => one.name),
      column((one) => one.supplier),
      column((one) => one.faceWidth),
      column((one) => one.rabbetWidth),
      column((one) => one.rabbetDepth),
      column((one) => one.height),
      column((one) => one.material),
      column((one) => one.profile),
      column((one) => one.finish),
      column((one) => one.colour),
      column((one) => one.stick ?? null),
      column((one) => one.cost.amount),
      column((one) => one.cost.per),
      column((one) => one.unit),
      list.map(({ position }) => position),
      edition,
    ],
  );
}
/** Where each moulding stands in the list, by code. */
export async function mouldingPlaces(db: Queries): Promise<Map<string, number>> {
  const rows = await db.query<{ code: string; position: number }>('SELECT DISTINCT code, position FROM moulding');
  return new Map(rows.map((row) => [row.code, row.position]));
}

/**
 * Writes into `next` what `edition` changed as it was before it; what it brought is gone. A page of places at a time,
 * so that nobody waits long.
 */
export async function putBack(db: Db, edition: number, next: number): Promise<void> {
  for (const table of ['moulding', 'material'] as const) {
    const columns = TABLE_COLUMNS[table];
    const last = (await db.query<{ last: number | null }>(`SELECT max(position) AS last FROM ${table}`))[0]?.last ?? -1;
    for (let from = 0; from <= last; from += PAGE) {
      await db.transaction((tx) =>
        tx.query(
          `INSERT INTO ${table} (${columns}, position, edition, gone)
           SELECT ${columns}, position, $2::int, fresh OR gone FROM (
             SELECT DISTINCT ON (m.code) m.*, m.edition = $1 AS fresh FROM ${table} m
               JOIN price_edition e ON e.number = m.edition AND e.state = 'made'
              WHERE m.edition <= $1 AND m.position >= $3 AND m.position < $4
                AND EXISTS (SELECT 1 FROM ${table} c WHERE c.code = m.code AND c.edition = $1)
              ORDER BY m.code, (m.edition = $1), m.edition DESC) AS before`,
          [edition, next, from, from + PAGE],
        ),
      );
    }
  }
}
const TABLE_COLUMNS = {
  moulding: `code, name, supplier, face_width, rabbet_width, rabbet_depth, height, material, profile, finish, colour,
             stick, cost, cost_per, unit`,
  material: 'code, kind, spec',
} as const;

/** The materials that an edition changed, brought or let go. */
export const codesOfEdition = async (db: Queries, number: number): Promise<string[]> =>
  (
    await db.query<{ code: string }>(
      'SELECT code FROM moulding WHERE edition = $1 UNION ALL SELECT code FROM material WHERE edition = $1',
      [number],
    )
  ).map(({ code }) => code);

/** How this supplier names the columns of that list from now on. */
export const rememberColumns = (tx: Tx, supplier: string, list: ListName, columns: ColumnMap) =>
  tx.query(
    `INSERT INTO list_columns (supplier, list, columns) VALUES ($1, $2, $3)
     ON CONFLICT (supplier, list) DO UPDATE SET columns = EXCLUDED.columns`,
    [supplier, list, JSON.stringify(columns)],
  );
const rememberedRow = z.object({ supplier: z.string(), columns: columnMapSchema });
export const columnsRemembered = async (db: Queries, list: ListName) =>
  readRows(
    rememberedRow,
    await db.query('SELECT supplier, columns FROM list_columns WHERE list = $1 ORDER BY supplier LIMIT 500', [list]),
  );

const MATERIAL_KINDS = ['mat', 'glazing', 'backing', 'ready-made'] as const;
type MaterialKind = (typeof MATERIAL_KINDS)[number];
const materialRow = z.object({ code: z.string(), kind: z.enum(MATERIAL_KINDS), spec: z.unknown() });

export interface PlacedMaterial {
  readonly kind: MaterialKind;
  readonly spec: SheetMaterial | ReadyMade;
  readonly position: number;
}
/** Writes materials into an edition in one statement: new ones, and what others become with it. */
export async function putMaterials(tx: Tx, edition: number, list: readonly PlacedMaterial[]): Promise<void> {
  const codes = list.map(({ spec }) => spec.code);
  const kinds = list.map(({ kind }) => kind);
  await tx.query(
    'INSERT INTO article (code, kind) SELECT * FROM unnest($1::text[], $2::text[]) ON CONFLICT DO NOTHING',
    [codes, kinds],
  );
  await tx.query(
    `INSERT INTO material (code, kind, spec, position, edition)
     SELECT code, kind, spec::jsonb, position, $5::int
       FROM unnest($1::text[], $2::text[], $3::text[], $4::int[]) AS one (code, kind, spec, position)`,
    [codes, kinds, list.map(({ spec }) => JSON.stringify(spec)), list.map(({ position }) => position), edition],
  );
}

/** What kind of thing each of these codes is in the books, of those that are there. */
export async function articleKinds(db: Queries, codes: readonly string[]): Promise<Map<string, string>> {
  const rows = await db.query<{ code: string; kind: string }>('SELECT code, kind FROM article WHERE code = ANY ($1)', [
    codes,
  ]);
  return new Map(rows.map((row) => [row.code, row.kind]));
}
/** Where each material stands in its list, by code. */
export async function materialPlaces(db: Queries): Promise<Map<string, number>> {
  const rows = await db.query<{ code: string; position: number }>('SELECT DISTINCT code, position FROM material');
  return new Map(rows.map((row) => [row.code, row.position]));
}
/** No longer sold from that edition on: as it was, and gone. */
export const retireMaterial = (tx: Tx, edition: number, code: string) =>
  tx.query(
    `INSERT INTO material (code, kind, spec, position, edition, gone)
     SELECT code, kind, spec, position, $1::int, true FROM material WHERE code = $2 ORDER BY edition DESC LIMIT 1`,
    [edition, code],
  );

export interface MaterialLists {
  readonly mouldings: Listed[];
  readonly mats: SheetMaterial[];
  readonly glazings: Glazing[];
  readonly backings: Backing[];
  readonly readyMades: ReadyMade[];
}

export async function listMaterials(db: Queries, edition: number): Promise<MaterialLists> {
  const found = await db.query(
    `SELECT DISTINCT ON (m.position, m.code) m.code, m.kind, m.spec, m.gone FROM material m
       JOIN price_edition e ON e.number = m.edition AND e.state = 'made'
      WHERE m.edition <= $1 ORDER BY m.position, m.code, m.edition DESC`,
    [edition],
  );
  const rows = readRows(
    materialRow,
    found.filter((row) => !row.gone),
  );
  const of = <S extends z.ZodType>(kind: string, schema: S) =>
    rows.filter((row) => row.kind === kind).map((row) => schema.parse(row.spec));
  return {
    mouldings: await listMouldings(db, edition),
    mats: of('mat', sheetSchema),
    glazings: of('glazing', glazingSchema),
    backings: of('backing', backingSchema),
    readyMades: of('ready-made', readyMadeSchema),
  };
}
