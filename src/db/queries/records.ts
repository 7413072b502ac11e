/** What is written down about pieces, and the photos that are used. */
import { z } from 'zod';
import { pieceRecordSchema, signedSchema } from '@/core/custody/record-schema';
import type { PieceRecord, Signed } from '@/core/custody/record';
import type { Queries, Tx } from '../client';
import { type By, named, readRow, readRows } from './rows';

const recordRow = z.object({
  piece_id: z.string(),
  revision: z.int(),
  record: pieceRecordSchema,
  signed: signedSchema.nullable(),
  at: z.date(),
  by: named,
});
export type RecordRow = z.infer<typeof recordRow>;

const RECORD = `SELECT r.piece_id, r.revision, r.record, r.signed, r.at, s.name AS by
                  FROM piece_record r LEFT JOIN staff s ON s.id = r.by_id`;
export const recordOf = async (db: Queries, pieceId: string) =>
  readRow(recordRow, await db.query(`${RECORD} WHERE r.piece_id = $1`, [pieceId]));
/** The records of these pieces, by the piece's id. */
export const recordsOf = async (db: Queries, pieceIds: readonly string[]): Promise<ReadonlyMap<string, RecordRow>> =>
  new Map(
    readRows(recordRow, await db.query(`${RECORD} WHERE r.piece_id = ANY ($1)`, [pieceIds])).map((row) => [
      row.piece_id,
      row,
    ]),
  );
/** Holds the record until the transaction ends. */
export const lockRecord = async (tx: Tx, pieceId: string) =>
  readRow(recordRow, await tx.query(`${RECORD} WHERE r.piece_id = $1 FOR UPDATE OF r`, [pieceId]));

export const insertRecord = (tx: Tx, pieceId: string, record: PieceRecord, at: Date, by: By) =>
  tx.query('INSERT INTO piece_record (piece_id, revision, record, at, by_id) VALUES ($1, 1, $2, $3, $4)', [
    pieceId,
    JSON.stringify(record),
    at,
    by,
  ]);
export const updateRecord = (tx: Tx, pieceId: string, record: PieceRecord, at: Date, by: By) =>
  tx.query('UPDATE piece_record SET record = $2, at = $3, by_id = $4, revision = revision + 1 WHERE piece_id = $1', [
    pieceId,
    JSON.stringify(record),
    at,
    by,
  ]);
export const setSigned = (tx: Tx, pieceId: string, signed: Signed) =>
  tx.query('UPDATE piece_record SET signed = $2, revision = revision + 1 WHERE piece_id = $1', [
    pieceId,
    JSON.stringify(signed),
  ]);

/** Those of these hashes that are used already. */
export const knownPhotos = async (db: Queries, hashes: readonly string[]): Promise<ReadonlySet<string>> =>
  new Set(
    (await db.query<{ hash: string }>('SELECT hash FROM photo WHERE hash = ANY ($1)', [hashes])).map(
      ({ hash }) => hash,
    ),
  );
/** Every photo that is used or was. */
export const allPhotos = async (db: Queries): Promise<ReadonlySet<string>> =>
  new Set((await db.query<{ hash: string }>('SELECT hash FROM photo')).map(({ hash }) => hash));
export const insertPhoto = (
  tx: Tx,
  { hash, width, height, bytes }: { hash: string; width: number; height: number; bytes: number },
  at: Date,
  by: By,
) =>
  tx.query(
    `INSERT INTO photo (hash, width, height, bytes, at, by_id) VALUES ($1, $2, $3, $4, $5, $6)
     ON CONFLICT (hash) DO NOTHING`,
    [hash, width, height, bytes, at, by],
  );

const aboutRow = z.object({
  order_id: z.string(),
  number: z.int(),
  state: z.string(),
  position: z.int(),
  customer_id: z.string(),
  customer: z.string(),
  design: z.unknown(),
  ticket: z.string().nullable(),
});
/** The order that a saved piece belongs to. */
export const aboutPiece = async (db: Queries, pieceId: string) =>
  readRow(
    aboutRow,
    await db.query(
      `SELECT o.id AS order_id, o.number, o.state, p.position, o.customer_id, c.name AS customer, p.design, j.ticket
         FROM piece p JOIN orders o ON o.id = p.order_id JOIN customer c ON c.id = o.customer_id
              LEFT JOIN job j ON j.id = p.id
        WHERE p.id = $1`,
      [pieceId],
    ),
  );
/** The design of a piece that somebody is typing and has not saved. */
export const draftedDesign = async (db: Queries, pieceId: string): Promise<unknown> =>
  (
    await db.query<{ design: unknown }>(
      `SELECT one -> 'design' AS design FROM desk_draft, jsonb_array_elements(draft -> 'pieces') one
        WHERE one ->> 'id' = $1 ORDER BY at DESC LIMIT 1`,
      [pieceId],
    )
  )[0]?.design;
