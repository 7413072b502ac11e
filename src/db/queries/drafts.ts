/** What a person is typing at the desk. */
import { z } from 'zod';
import type { Queries, Tx } from '../client';
import { readRow } from './rows';

const draftRow = z.object({ version: z.coerce.number(), base: z.int().nullable(), draft: z.unknown() });

export const draftOf = async (db: Queries, staffId: string, order: string) =>
  readRow(
    draftRow,
    await db.query('SELECT version, base, draft FROM desk_draft WHERE staff_id = $1 AND order_key = $2', [
      staffId,
      order,
    ]),
  );

/** Keeps a draft unless a newer one is kept. */
export const keepDraft = (
  tx: Tx,
  staffId: string,
  order: string,
  { version, base, draft }: { version: number; base: number | null; draft: unknown },
  at: Date,
) =>
  tx.query(
    `INSERT INTO desk_draft (staff_id, order_key, version, at, base, draft) VALUES ($1, $2, $3, $4, $5, $6)
     ON CONFLICT (staff_id, order_key) DO UPDATE
       SET version = excluded.version, at = excluded.at, base = excluded.base, draft = excluded.draft
     WHERE desk_draft.version < excluded.version`,
    [staffId, order, version, at, base, JSON.stringify(draft)],
  );

export const dropDraft = (tx: Tx, staffId: string, order: string) =>
  tx.query('DELETE FROM desk_draft WHERE staff_id = $1 AND order_key = $2', [staffId, order]);

/** Drafts that nobody went on with. */
export const dropDraftsBefore = (tx: Tx, staffId: string, before: Date) =>
  tx.query('DELETE FROM desk_draft WHERE staff_id = $1 AND at < $2', [staffId, before]);
