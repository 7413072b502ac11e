/** The record of what went through the door. */
import { z } from 'zod';
import type { Queries, Tx } from '../client';
import { readRow } from './rows';

export interface AuditEntry {
  readonly what: string;
  readonly entity: string;
  readonly entityId: string;
  readonly before?: unknown;
  readonly after?: unknown;
}
const commandRow = z.object({ name: z.string(), digest: z.string(), result: z.unknown() });

export const commandById = async (tx: Tx, id: string) =>
  readRow(commandRow, await tx.query('SELECT name, digest, result FROM command WHERE id = $1', [id]));

export const insertCommand = (
  tx: Tx,
  one: {
    id: string;
    name: string;
    digest: string;
    by: string | null;
    link?: string | undefined;
    at: Date;
    result: unknown;
  },
) =>
  tx.query('INSERT INTO command (id, name, digest, by_id, at, result, link_id) VALUES ($1, $2, $3, $4, $5, $6, $7)', [
    one.id,
    one.name,
    one.digest,
    one.by,
    one.at,
    JSON.stringify(one.result ?? {}),
    one.link ?? null,
  ]);

export const insertAudit = (tx: Tx, commandId: string, at: Date, by: string | null, one: AuditEntry) =>
  tx.query(
    'INSERT INTO audit (command_id, at, by_id, what, entity, entity_id, before, after) VALUES ($1, $2, $3, $4, $5, $6, $7, $8)',
    [
      commandId,
      at,
      by,
      one.what,
      one.entity,
      one.entityId,
      one.before === undefined ? null : JSON.stringify(one.before),
      one.after === undefined ? null : JSON.stringify(one.after),
    ],
  );

const changerRow = z.object({ id: z.string(), name: z.string() });
/** Who changed something last; of a kind of which there is one only, without its id. */
export const lastToChange = async (db: Queries, entity: string, entityId: string | null) =>
  readRow(
    changerRow,
    await db.query(
      `SELECT s.id, s.name FROM audit a JOIN staff s ON s.id = a.by_id
        WHERE a.entity = $1 AND ($2::text IS NULL OR a.entity_id = $2) ORDER BY a.id DESC LIMIT 1`,
      [entity, entityId],
    ),
  );
