/** Links to orders, and what happened by them. */
import { z } from 'zod';
import { LINK_EVENTS, type LinkWhat } from '@/core/links/link';
import type { Queries, Tx } from '../client';
import { type By, named, readRow, readRows } from './rows';

const linkRow = z.object({
  id: z.string(),
  order_id: z.string(),
  made_at: z.date(),
  by: named,
  expires_at: z.date(),
  reasons: z.record(z.string(), z.string()),
  withdrawn_at: z.date().nullable(),
  over: z.boolean(),
});
export type LinkRow = z.infer<typeof linkRow>;
const LINK = `SELECT l.id, l.order_id, l.made_at, s.name AS by, l.expires_at, l.reasons, l.withdrawn_at,
                     EXISTS (SELECT 1 FROM link_event e WHERE e.link_id = l.id AND e.what = 'came late') AS over
                FROM order_link l LEFT JOIN staff s ON s.id = l.made_by_id`;

export const linkByHash = async (db: Queries, hash: string) =>
  readRow(linkRow, await db.query(`${LINK} WHERE l.token_hash = $1`, [hash]));
export const lockLink = async (tx: Tx, id: string) =>
  readRow(linkRow, await tx.query(`${LINK} WHERE l.id = $1 FOR NO KEY UPDATE OF l`, [id]));
/** The links of an order, the newest first. */
export const linksOf = async (db: Queries, orderId: string) =>
  readRows(linkRow, await db.query(`${LINK} WHERE l.order_id = $1 ORDER BY l.made_at DESC, l.id`, [orderId]));

export const insertLink = (
  tx: Tx,
  one: Pick<LinkRow, 'id' | 'order_id' | 'made_at' | 'expires_at' | 'reasons'> & { hash: string; made_by: By },
) =>
  tx.query(
    'INSERT INTO order_link (id, order_id, token_hash, made_at, made_by_id, expires_at, reasons) VALUES ($1, $2, $3, $4, $5, $6, $7)',
    [one.id, one.order_id, one.hash, one.made_at, one.made_by, one.expires_at, JSON.stringify(one.reasons)],
  );
export const withdrawLink = (tx: Tx, id: string, at: Date) =>
  tx.query('UPDATE order_link SET withdrawn_at = $2 WHERE id = $1', [id, at]);

const eventRow = z.object({
  id: z.int(),
  link_id: z.string(),
  at: z.date(),
  by: z.string().nullable(),
  what: z.enum(LINK_EVENTS),
  detail: z.record(z.string(), z.union([z.string(), z.number(), z.boolean()])),
});
export type LinkEventRow = z.infer<typeof eventRow>;

/** What happened by the links of an order, in its order. */
export const linkEvents = async (db: Queries, orderId: string) =>
  readRows(
    eventRow,
    await db.query(
      `SELECT e.id, e.link_id, e.at, s.name AS by, e.what, e.detail
         FROM link_event e JOIN order_link l ON l.id = e.link_id LEFT JOIN staff s ON s.id = e.by_id
        WHERE l.order_id = $1 ORDER BY e.id`,
      [orderId],
    ),
  );
/** What happened by links to the orders of a customer, in its order. */
export const linkEventsOfCustomer = async (db: Queries, customerId: string) =>
  readRows(
    eventRow.extend({ number: z.int() }),
    await db.query(
      `SELECT e.id, e.link_id, e.at, s.name AS by, e.what, e.detail, o.number
         FROM link_event e JOIN order_link l ON l.id = e.link_id JOIN orders o ON o.id = l.order_id
         LEFT JOIN staff s ON s.id = e.by_id
        WHERE o.customer_id = $1 ORDER BY e.id`,
      [customerId],
    ),
  );
export const insertLinkEvent = (
  tx: Tx,
  linkId: string,
  {
    at,
    by = null,
    what,
    detail = {},
  }: Pick<LinkEventRow, 'at' | 'what'> & Partial<Pick<LinkEventRow, 'detail'>> & { by?: By },
) =>
  tx.query('INSERT INTO link_event (link_id, at, by_id, what, detail) VALUES ($1, $2, $3, $4, $5)', [
    linkId,
    at,
    by,
    what,
    JSON.stringify(detail),
  ]);
/** When this last happened by the link; undefined when it never did. */
export const lastOf = async (db: Queries, linkId: string, what: LinkWhat): Promise<Date | undefined> =>
  (
    await db.query<{ at: Date | null }>('SELECT max(at) AS at FROM link_event WHERE link_id = $1 AND what = $2', [
      linkId,
      what,
    ])
  )[0]?.at ?? undefined;
export const countOf = async (db: Queries, linkId: string, what: LinkWhat): Promise<number> =>
  (
    await db.query<{ count: number }>(
      'SELECT count(*)::int AS count FROM link_event WHERE link_id = $1 AND what = $2',
      [linkId, what],
    )
  )[0]!.count;
