/** Customers: who they are, what they like, and finding them. */
import { z } from 'zod';
import type { Queries, Tx } from '../client';
import { readRow, readRows } from './rows';

const shortRow = z.object({
  id: z.string(),
  name: z.string(),
  phone: z.string(),
  email: z.string(),
  orders: z.int().optional(),
});
export type CustomerRow = z.infer<typeof shortRow>;

const fullRow = shortRow.extend({
  revision: z.int(),
  addresses: z.array(z.string()),
  prefers: z.object({
    units: z.enum(['in', 'mm']).optional(),
    border: z.string().optional(),
    channel: z.enum(['message', 'mail', 'call', 'letter', 'none']).optional(),
  }),
  notes: z.string(),
  merged_into: z.string().nullable(),
  forgotten: z.boolean(),
  created_at: z.date(),
  days: z.int().nullable(),
  limit: z.int().nullable(),
});
export type FullCustomer = z.infer<typeof fullRow>;

export const digitsOf = (phone: string) => phone.replace(/\D/g, '');

export const insertCustomer = (tx: Tx, one: CustomerRow, now: Date) =>
  tx.query('INSERT INTO customer (id, name, phone, digits, email, created_at) VALUES ($1, $2, $3, $4, $5, $6)', [
    one.id,
    one.name,
    one.phone,
    digitsOf(one.phone),
    one.email,
    now,
  ]);

const FULL = `SELECT id, name, phone, email, revision, addresses, prefers, notes, merged_into,
                     forgotten_at IS NOT NULL AS forgotten, created_at, terms_days AS days, credit_limit AS limit
                FROM customer`;
export const customerById = async (db: Queries, id: string) =>
  readRow(fullRow, await db.query(`${FULL} WHERE id = $1`, [id]));
/** Whoever a customer is now: the one that they were joined with, or they themselves. */
export const currentCustomer = async (db: Queries, id: string) => {
  const found = await customerById(db, id);
  return found?.merged_into ? customerById(db, found.merged_into) : found;
};
export const lockCustomer = async (tx: Tx, id: string) =>
  readRow(fullRow, await tx.query(`${FULL} WHERE id = $1 FOR UPDATE`, [id]));

export const updateCustomer = (
  tx: Tx,
  {
    id,
    name,
    phone,
    email,
    addresses,
    prefers,
    notes,
  }: Pick<FullCustomer, 'id' | 'name' | 'phone' | 'email' | 'addresses' | 'prefers' | 'notes'>,
) =>
  tx.query(
    `UPDATE customer SET name = $2, phone = $3, digits = $4, email = $5, addresses = $6, prefers = $7, notes = $8,
                         revision = revision + 1
      WHERE id = $1`,
    [id, name, phone, digitsOf(phone), email, JSON.stringify(addresses), JSON.stringify(prefers), notes],
  );

/** The orders of one become those of another, and so does whatever was joined with that one before. */
export async function mergeCustomer(tx: Tx, gone: string, keep: string): Promise<void> {
  await tx.query('UPDATE orders SET customer_id = $2 WHERE customer_id = $1', [gone, keep]);
  await tx.query('UPDATE customer SET merged_into = $2 WHERE merged_into = $1', [gone, keep]);
  await tx.query('UPDATE customer SET merged_into = $2, revision = revision + 1 WHERE id = $1', [gone, keep]);
}

/**
 * Replaces the names and contacts of a customer, and of those that were joined with them, wherever they stand: here, in
 * signatures, in who collected, in what is being typed, in the record of changes. Ids, sizes and the ledger stay.
 */
export async function forgetCustomer(tx: Tx, id: string, name: string, now: Date): Promise<void> {
  await tx.query("SELECT set_config('lopren.forgetting', 'on', true)");
  await tx.query(
    `UPDATE audit SET before = CASE WHEN before IS NULL THEN NULL ELSE '{"forgotten": true}'::jsonb END,
                      after  = CASE WHEN after  IS NULL THEN NULL ELSE '{"forgotten": true}'::jsonb END
      WHERE entity = 'customer'
        AND entity_id IN (SELECT id::text FROM customer WHERE id = $1 OR merged_into = $1)`,
    [id],
  );
  // An order as it was written down knew whose it was; and who collected, as the hand-over wrote it down.
  await tx.query(
    `UPDATE audit SET before = before - 'customer' - 'phone'
      WHERE entity = 'order' AND before IS NOT NULL
        AND entity_id IN (SELECT o.id::text FROM orders o WHERE o.customer_id = $1)`,
    [id],
  );
  await tx.query(
    `UPDATE job_event SET detail = detail || jsonb_build_object('signedBy', $2::text)
      WHERE detail ? 'signedBy'
        AND job_id IN (SELECT j.id FROM job j JOIN orders o ON o.id = j.order_id WHERE o.customer_id = $1)`,
    [id, name],
  );
  await tx.query(
    `UPDATE audit SET after = after || jsonb_build_object('signedBy', $2::text)
      WHERE entity = 'order' AND after ? 'signedBy'
        AND entity_id IN (SELECT o.id::text FROM orders o WHERE o.customer_id = $1)`,
    [id, name],
  );
  await tx.query(
    `UPDATE link_event SET detail = detail - 'text' || CASE WHEN detail ? 'name' THEN jsonb_build_object('name', $2::text) ELSE '{}'::jsonb END
                                    || CASE WHEN detail ? 'text' THEN '{"text": "—"}'::jsonb ELSE '{}'::jsonb END
      WHERE link_id IN (SELECT l.id FROM order_link l JOIN orders o ON o.id = l.order_id WHERE o.customer_id = $1)`,
    [id, name],
  );
  await tx.query("SELECT set_config('lopren.forgetting', 'off', true)");
  await tx.query(
    `UPDATE customer SET name = $2, phone = '', digits = '', email = '', addresses = '[]', prefers = '{}', notes = '',
                         forgotten_at = $3, revision = revision + 1
      WHERE id = $1 OR merged_into = $1`,
    [id, name, now],
  );
  await tx.query(
    `UPDATE job SET handed = handed || jsonb_build_object('signedBy', $2::text)
      WHERE handed IS NOT NULL AND order_id IN (SELECT o.id FROM orders o WHERE o.customer_id = $1)`,
    [id, name],
  );
  await tx.query(
    `UPDATE piece_record SET signed = signed || jsonb_build_object('name', $2::text, 'strokes', NULL)
      WHERE signed IS NOT NULL
        AND piece_id IN (SELECT p.id FROM piece p JOIN orders o ON o.id = p.order_id WHERE o.customer_id = $1)`,
    [id, name],
  );
  await tx.query(
    `UPDATE order_link SET withdrawn_at = coalesce(withdrawn_at, $2)
      WHERE order_id IN (SELECT o.id FROM orders o WHERE o.customer_id = $1)`,
    [id, now],
  );
  await tx.query(
    `DELETE FROM desk_draft
      WHERE draft -> 'customer' ->> 'id' IN (SELECT c.id::text FROM customer c WHERE c.id = $1 OR c.merged_into = $1)`,
    [id],
  );
}

/** An order of theirs that was agreed and is still here. */
export const openOrderOf = async (db: Queries, customerId: string): Promise<number | undefined> =>
  (
    await db.query<{ number: number }>(
      `SELECT number FROM orders
        WHERE customer_id = $1 AND state = 'accepted'
        ORDER BY number LIMIT 1`,
      [customerId],
    )
  )[0]?.number;

/** A trigram needs three: fewer letters are the beginning of a name, fewer digits of a phone number are nothing. */
const LETTERS = 3;
/** More customers than this who match are not gone through one by one. */
export const FEW = 200;
const LIKE_SIGNS = /[\\%_]/g;
export const likeText = (text: string) => text.replace(LIKE_SIGNS, (sign) => `\\${sign}`);
export const namePattern = (letters: string) => `${letters.length < LETTERS ? '' : '%'}${likeText(letters)}%`;
export const usefulDigits = (text: string) => {
  const digits = digitsOf(text);
  return digits.length < LETTERS ? '' : digits;
};
/** Neither joined with another nor forgotten. */
const THERE = 'merged_into IS NULL AND forgotten_at IS NULL';

/** Customers whose name holds the text or whose phone holds its digits, the busiest of them first. */
export const findCustomers = async (db: Queries, text: string, most = 12) =>
  readRows(
    shortRow,
    await db.query(
      `WITH found AS MATERIALIZED (
         (SELECT id, name, phone, email FROM customer
           WHERE lower(name) LIKE lower($1) AND ${THERE} LIMIT ${FEW})
          UNION
         (SELECT id, name, phone, email FROM customer
           WHERE $2 <> '' AND digits LIKE '%' || $2 || '%' AND ${THERE} LIMIT ${FEW}))
       SELECT c.id, c.name, c.phone, c.email, count(o.id)::int AS orders
         FROM found c LEFT JOIN orders o ON o.customer_id = c.id
        GROUP BY c.id, c.name, c.phone, c.email ORDER BY orders DESC, c.name LIMIT $3`,
      [namePattern(text.trim()), usefulDigits(text), most],
    ),
  );

/** Every customer who is there, by name. */
export const listCustomers = async (db: Queries, most: number) =>
  readRows(fullRow, await db.query(`${FULL} WHERE ${THERE} ORDER BY lower(name), id LIMIT $1`, [most]));

/** How near a name must come to what was typed: a letter wrong, missing or swapped is nearer than this; a few letters say little. */
const NEAR = { few: '0.65', many: '0.4' } as const;
const MANY = 6;
/** Sets it for this transaction, so that the index is used. */
export const nearEnough = (db: Queries, text: string) =>
  db.query("SELECT set_config('pg_trgm.word_similarity_threshold', $1, true)", [
    text.length < MANY ? NEAR.few : NEAR.many,
  ]);
/** Customers whose name comes near the text, the nearest first. Only after `nearEnough`. */
export const nearCustomers = async (db: Queries, text: string, most: number) =>
  readRows(
    shortRow,
    await db.query(
      `SELECT id, name, phone, email, (SELECT count(*)::int FROM orders o WHERE o.customer_id = customer.id) AS orders
         FROM customer
        WHERE lower($1) <% lower(name) AND ${THERE}
        ORDER BY word_similarity(lower($1), lower(name)) DESC, name LIMIT $2`,
      [text, most],
    ),
  );

const titleRow = z.object({
  number: z.int(),
  state: z.string(),
  id: z.string(),
  title: z.string(),
  customer: z.string(),
});
/** Pieces whose title comes near the text, the nearest and newest first. Only after `nearEnough`. */
export const nearPieces = async (db: Queries, text: string, most: number) =>
  readRows(
    titleRow,
    await db.query(
      `SELECT o.number, o.state, p.id, p.design -> 'piece' ->> 'title' AS title, c.name AS customer
         FROM piece p JOIN orders o ON o.id = p.order_id JOIN customer c ON c.id = o.customer_id
        WHERE lower($1) <% lower(p.design -> 'piece' ->> 'title')
        ORDER BY word_similarity(lower($1), lower(p.design -> 'piece' ->> 'title')) DESC, o.number DESC LIMIT $2`,
      [text, most],
    ),
  );

const likeRow = z.object({
  design: z.unknown(),
  id: z.string(),
  name: z.string(),
  phone: z.string(),
  email: z.string(),
  forgotten: z.boolean(),
});
/** The design of a piece as it was chosen, and whose it was. */
export const likePiece = async (db: Queries, pieceId: string) =>
  readRow(
    likeRow,
    await db.query(
      `SELECT p.design, c.id, c.name, c.phone, c.email, c.forgotten_at IS NOT NULL AS forgotten
         FROM piece p JOIN orders o ON o.id = p.order_id JOIN customer c ON c.id = o.customer_id
        WHERE p.id = $1`,
      [pieceId],
    ),
  );

const hadRow = z.object({
  order_id: z.string(),
  number: z.int(),
  state: z.string(),
  at: z.date(),
  id: z.string(),
  design: z.unknown(),
  quoted: z.unknown(),
  agreed: z.unknown(),
  total: z.int().nullable(),
});
/** The pieces of so many orders of a customer, whole orders, the newest first, below a number where one is given. */
export const piecesHad = async (db: Queries, customerId: string, most: number, below: number | null) =>
  readRows(
    hadRow,
    await db.query(
      `SELECT o.id AS order_id, o.number, o.state, coalesce(o.accepted_at, o.quoted_at) AS at, p.id, p.design, p.quoted, p.agreed,
              (o.agreed ->> 'total')::bigint AS total
         FROM orders o JOIN piece p ON p.order_id = o.id
        WHERE o.id IN (SELECT id FROM orders
                        WHERE customer_id = $1 AND ($3::int IS NULL OR number < $3) ORDER BY number DESC LIMIT $2)
        ORDER BY o.number DESC, p.position`,
      [customerId, most, below],
    ),
  );
