/** Orders and their pieces. */
import { z } from 'zod';
import type { Design } from '@/core/design/design';
import type { Letter, Other } from '@/core/design/candidates';
import { letterSchema } from '@/core/design/candidates-schema';
import { designSchema } from '@/core/design/schema';
import type { OrderPrice } from '@/core/pricing/order-price';
import { MEANS } from '@/core/ledger/accounts';
import { LINK_EVENTS } from '@/core/links/link';
import { type Agreed, readAgreed } from '@/core/agreed';
import { upgradedDesign } from '@/core/design/upgrades';
import { money } from '@/core/units/money';
import type { WallChoice } from '@/core/wall/wall';
import { wallSchema } from '@/core/wall/wall-schema';
import type { Queries, Tx } from '../client';
import { FEW, namePattern, usefulDigits } from './customers';
import { type By, BY_LINK, named, readRow, readRows } from './rows';

const object = <T>() => z.custom<T>((value) => typeof value === 'object' && value !== null);

const orderRow = z.object({
  id: z.string(),
  number: z.int(),
  customer_id: z.string(),
  state: z.enum(['quoted', 'accepted', 'handed-over', 'cancelled']),
  revision: z.int(),
  promised: z.string(),
  edition: z.int(),
  quoted_at: z.date(),
  quote_until: z.string(),
  accepted_at: z.date().nullable(),
  due: z.string().nullable(),
  agreed: object<OrderPrice>().nullable(),
  wall: wallSchema.nullable(),
  customer: z.string(),
  phone: z.string(),
});
export type OrderRow = z.infer<typeof orderRow>;

const ORDER = `SELECT o.id, o.number, o.customer_id, o.state, o.revision, o.promised::text, o.edition, o.quoted_at,
                      o.quote_until::text, o.accepted_at, o.due::text, o.agreed, o.wall, c.name AS customer, c.phone
                 FROM orders o JOIN customer c ON c.id = o.customer_id`;

export const orderById = async (db: Queries, id: string) =>
  readRow(orderRow, await db.query(`${ORDER} WHERE o.id = $1`, [id]));
export const orderByNumber = async (db: Queries, number: number) =>
  readRow(orderRow, await db.query(`${ORDER} WHERE o.number = $1`, [number]));
/** Holds the order until the transaction ends, so that two commands on it come one after the other. */
export const lockOrder = async (tx: Tx, id: string) =>
  readRow(orderRow, await tx.query(`${ORDER} WHERE o.id = $1 FOR UPDATE OF o`, [id]));

export const insertOrder = async (
  tx: Tx,
  one: Pick<OrderRow, 'id' | 'customer_id' | 'promised' | 'edition' | 'quoted_at' | 'quote_until'> & { created_by: By },
) => {
  const rows = await tx.query<{ number: number }>(
    `INSERT INTO orders (id, number, customer_id, state, revision, promised, edition, quoted_at, quote_until, created_by_id)
     VALUES ($1, nextval('order_number'), $2, 'quoted', 1, $3, $4, $5, $6, $7) RETURNING number`,
    [one.id, one.customer_id, one.promised, one.edition, one.quoted_at, one.quote_until, one.created_by],
  );
  return rows[0]!.number;
};

export const updateQuote = (
  tx: Tx,
  one: Pick<OrderRow, 'id' | 'customer_id' | 'promised' | 'edition' | 'quote_until' | 'quoted_at'>,
) =>
  tx.query(
    'UPDATE orders SET customer_id = $2, promised = $3, edition = $4, quote_until = $5, quoted_at = $6, revision = revision + 1 WHERE id = $1',
    [one.id, one.customer_id, one.promised, one.edition, one.quote_until, one.quoted_at],
  );

/** An agreed order that was changed: its day and what it comes to now. */
export const changeAgreed = (tx: Tx, id: string, promised: string, agreed: OrderPrice) =>
  tx.query('UPDATE orders SET promised = $2, agreed = $3, revision = revision + 1 WHERE id = $1', [
    id,
    promised,
    JSON.stringify(agreed),
  ]);
/** The design that a piece of an agreed order is of now. */
export const changePiece = (tx: Tx, id: string, design: Design, quoted: Design, agreed: Agreed) =>
  tx.query('UPDATE piece SET design = $2, quoted = $3, agreed = $4 WHERE id = $1', [
    id,
    JSON.stringify(design),
    JSON.stringify(quoted),
    JSON.stringify(agreed),
  ]);

/** What a quote comes to, with tax. */
export const setQuotedTotal = (tx: Tx, id: string, total: number) =>
  tx.query('UPDATE orders SET quoted_total = $2 WHERE id = $1', [id, total]);

const quoteRow = z.object({
  id: z.string(),
  number: z.int(),
  revision: z.int(),
  customer: z.string(),
  phone: z.string(),
  quoted_at: z.date(),
  quote_until: z.string(),
  edition: z.int(),
  total: z.int().nullable(),
  titles: z.string(),
  pieces: z.int(),
  /** What happened last by a link to it. */
  last: z.object({ what: z.enum(LINK_EVENTS), at: z.string() }).nullable(),
  linked: z.boolean(),
});
export type QuoteRow = z.infer<typeof quoteRow>;
/** So many open quotes that held on that day or later, those that run out first before the others. */
export const quotesFrom = async (db: Queries, day: string, most: number): Promise<QuoteRow[]> =>
  readRows(
    quoteRow,
    await db.query(
      `SELECT o.id, o.number, o.revision, c.name AS customer, c.phone, o.quoted_at, o.quote_until::text, o.edition,
              o.quoted_total AS total,
              coalesce((SELECT string_agg(nullif(p.design -> 'piece' ->> 'title', ''), ', ' ORDER BY p.position) FROM piece p WHERE p.order_id = o.id), '') AS titles,
              (SELECT count(*)::int FROM piece p WHERE p.order_id = o.id) AS pieces,
              (SELECT jsonb_build_object('what', e.what, 'at', e.at) FROM link_event e JOIN order_link l ON l.id = e.link_id
                WHERE l.order_id = o.id AND e.what NOT IN ('made', 'withdrawn') ORDER BY e.id DESC LIMIT 1) AS last,
              EXISTS (SELECT 1 FROM order_link l WHERE l.order_id = o.id AND l.withdrawn_at IS NULL) AS linked
         FROM orders o JOIN customer c ON c.id = o.customer_id
        WHERE o.state = 'quoted' AND o.quote_until >= $1
        ORDER BY o.quote_until, o.number LIMIT $2`,
      [day, most],
    ),
  );

export const setWall = (tx: Tx, id: string, wall: WallChoice) =>
  tx.query('UPDATE orders SET wall = $2 WHERE id = $1', [id, JSON.stringify(wall)]);

export const agreeOrder = (tx: Tx, id: string, agreed: OrderPrice, now: Date) =>
  tx.query(
    "UPDATE orders SET state = 'accepted', accepted_at = $2, agreed = $3, revision = revision + 1 WHERE id = $1",
    [id, now, JSON.stringify(agreed)],
  );

/** The order is another now, for whoever looks at it. */
export const touchOrder = (tx: Tx, id: string) =>
  tx.query('UPDATE orders SET revision = revision + 1 WHERE id = $1', [id]);

export const setOrderState = (tx: Tx, id: string, state: OrderRow['state']) =>
  tx.query('UPDATE orders SET state = $2, revision = revision + 1 WHERE id = $1', [id, state]);

const pieceRow = z.object({
  id: z.string(),
  order_id: z.string(),
  position: z.int(),
  design: z.unknown(),
  quoted: z.unknown(),
  agreed: z.unknown(),
  letter: letterSchema,
  others: z.array(
    z.object({
      letter: letterSchema,
      design: z.unknown(),
      quoted: z.unknown(),
      declined: z.literal(true).optional(),
      price: z.int().nullable(),
    }),
  ),
});
/** Another design of a piece; `quoted` and `price` are null where it could not be worked out. */
export interface OtherRow extends Other {
  readonly quoted: Design | null;
  readonly price: number | null;
}
export interface PieceRow {
  readonly id: string;
  readonly order_id: string;
  readonly position: number;
  readonly design: Design;
  /** The design with the materials' figures of the day it was quoted. */
  readonly quoted: Design;
  /** The result as it was agreed; its design holds the materials' figures of that day. */
  readonly agreed: Agreed | null;
  readonly letter: Letter;
  readonly others: readonly OtherRow[];
}

export const piecesOf = async (db: Queries, orderId: string): Promise<PieceRow[]> => {
  const rows = readRows(
    pieceRow,
    await db.query(
      'SELECT id, order_id, position, design, quoted, agreed, letter, others FROM piece WHERE order_id = $1 ORDER BY position',
      [orderId],
    ),
  );
  return rows.map((row) => ({
    ...row,
    design: designSchema.parse(upgradedDesign(row.design)),
    quoted: designSchema.parse(upgradedDesign(row.quoted)),
    agreed: row.agreed === null ? null : readAgreed(row.agreed),
    others: row.others.map((other) => ({
      ...other,
      design: designSchema.parse(upgradedDesign(other.design)),
      quoted: other.quoted === null ? null : designSchema.parse(upgradedDesign(other.quoted)),
    })),
  }));
};

/** Replaces the pieces of a quote. Answers false when one of the ids belongs to another order. */
export async function putPieces(
  tx: Tx,
  orderId: string,
  pieces: readonly Pick<PieceRow, 'id' | 'design' | 'quoted' | 'letter' | 'others'>[],
): Promise<boolean> {
  await tx.query('DELETE FROM piece WHERE order_id = $1', [orderId]);
  for (const [index, piece] of pieces.entries()) {
    const rows = await tx.query(
      `INSERT INTO piece (id, order_id, position, design, quoted, letter, others) VALUES ($1, $2, $3, $4, $5, $6, $7)
       ON CONFLICT (id) DO NOTHING RETURNING id`,
      [
        piece.id,
        orderId,
        index + 1,
        JSON.stringify(piece.design),
        JSON.stringify(piece.quoted),
        piece.letter,
        JSON.stringify(piece.others),
      ],
    );
    if (rows.length === 0) return false;
  }
  return true;
}

/** What was not chosen is declined; it stays with what it cost. */
export const declineOthers = (tx: Tx, id: string, others: readonly OtherRow[]) =>
  tx.query('UPDATE piece SET others = $2 WHERE id = $1', [
    id,
    JSON.stringify(others.map((other) => ({ ...other, declined: true }))),
  ]);
export const agreePiece = (tx: Tx, id: string, agreed: Agreed) =>
  tx.query('UPDATE piece SET agreed = $2 WHERE id = $1', [id, JSON.stringify(agreed)]);

const agreedRow = z.object({ number: z.int(), customer: z.string(), total: z.int(), designs: z.array(z.unknown()) });
/** So many orders agreed since then, the newest first, below a number where one is given, with their designs as they were chosen. */
export const agreedSince = async (db: Queries, since: Date, most: number, below: number | null = null) =>
  readRows(
    agreedRow,
    await db.query(
      `SELECT o.number, c.name AS customer, (o.agreed ->> 'total')::bigint AS total,
              (SELECT jsonb_agg(p.design ORDER BY p.position) FROM piece p WHERE p.order_id = o.id) AS designs
         FROM orders o JOIN customer c ON c.id = o.customer_id
        WHERE o.accepted_at >= $1 AND o.state <> 'cancelled' AND ($3::int IS NULL OR o.number < $3)
        ORDER BY o.number DESC LIMIT $2`,
      [since, most, below],
    ),
  ).map(({ designs, total, ...one }) => ({
    ...one,
    total: money(total),
    designs: designs.map((design) => designSchema.parse(upgradedDesign(design))),
  }));
/** How many orders were agreed since then and stand. */
export const countAgreedSince = async (db: Queries, since: Date): Promise<number> =>
  (
    await db.query<{ count: number }>(
      "SELECT count(*)::int AS count FROM orders WHERE accepted_at >= $1 AND state <> 'cancelled'",
      [since],
    )
  )[0]!.count;
/** How many quotes are open and have not run out. */
export const openQuotes = async (db: Queries, day: string): Promise<number> =>
  (
    await db.query<{ count: number }>(
      "SELECT count(*)::int AS count FROM orders WHERE state = 'quoted' AND quote_until >= $1",
      [day],
    )
  )[0]!.count;

const paymentRow = z.object({
  id: z.string(),
  order_id: z.string(),
  kind: z.enum(['deposit', 'balance', 'refund', 'correction']),
  method: z.enum(MEANS),
  amount: z.int(),
  at: z.date(),
  by: named,
  note: z.string(),
  reverses: z.string().nullable(),
});
export type PaymentRow = z.infer<typeof paymentRow>;

const PAYMENT = `SELECT p.id, p.order_id, p.kind, p.method, p.amount, p.at,
                        coalesce(s.name, CASE WHEN p.link_id IS NOT NULL THEN '${BY_LINK}' END) AS by, p.note, p.reverses
                   FROM payment p LEFT JOIN staff s ON s.id = p.by_id`;
export const paymentsOf = async (db: Queries, orderId: string) =>
  readRows(paymentRow, await db.query(`${PAYMENT} WHERE p.order_id = $1 ORDER BY p.number`, [orderId]));
export const paymentById = async (db: Queries, id: string) =>
  readRow(paymentRow, await db.query(`${PAYMENT} WHERE p.id = $1`, [id]));
export const isReversed = async (db: Queries, id: string) =>
  (await db.query('SELECT 1 AS found FROM payment WHERE reverses = $1', [id])).length > 0;

const cardRow = z.object({
  id: z.string(),
  order_id: z.string(),
  kind: z.enum(['deposit', 'balance']),
  amount: z.int(),
  state: z.string(),
  at: z.date(),
  /** The link that asked at the payment page; null where the shop asked at its terminal. */
  link_id: z.string().nullable(),
});
export type CardRow = z.infer<typeof cardRow>;
const CARD = 'SELECT id, order_id, kind, amount, state, at, link_id FROM card_request';
export const cardRequest = async (db: Queries, id: string) =>
  readRow(cardRow, await db.query(`${CARD} WHERE id = $1`, [id]));
/** Requests whose answer is not known yet. */
export const openCards = async (db: Queries, orderId: string) =>
  readRows(
    cardRow,
    await db.query(`${CARD} WHERE order_id = $1 AND state IN ('open', 'unanswered') ORDER BY at`, [orderId]),
  );
/** Questions that nobody waits for any more, since then. */
export const droppedCards = async (db: Queries, since: Date) =>
  readRows(cardRow, await db.query(`${CARD} WHERE state = 'dropped' AND at >= $1 ORDER BY at`, [since]));
export const insertCard = (tx: Tx, one: Omit<CardRow, 'state'>, by: By) =>
  tx.query(
    "INSERT INTO card_request (id, order_id, kind, amount, state, at, by_id, link_id) VALUES ($1, $2, $3, $4, 'open', $5, $6, $7)",
    [one.id, one.order_id, one.kind, one.amount, one.at, by, one.link_id],
  );
/** Questions at the payment page that are not answered. */
export const openAtPage = async (db: Queries) =>
  readRows(
    cardRow,
    await db.query(`${CARD} WHERE link_id IS NOT NULL AND state IN ('open', 'unanswered') ORDER BY at`),
  );
export const setCard = (tx: Tx, id: string, state: string) =>
  tx.query('UPDATE card_request SET state = $2 WHERE id = $1', [id, state]);

export const foundRow = z.object({
  number: z.int(),
  state: z.string(),
  promised: z.string(),
  customer: z.string(),
  phone: z.string(),
  titles: z.string(),
  total: z.int().nullable(),
  paid: z.int(),
  /** Every piece has passed its final check. */
  ready: z.boolean(),
});
export type FoundOrder = z.infer<typeof foundRow>;

const idsOf = async (db: Queries, sql: string, params: unknown[]) =>
  (await db.query<{ id: string }>(sql, params)).map(({ id }) => id);

/** Customers whose name holds the letters or whose phone holds the digits; undefined when they are too many to list. */
async function customersNamed(db: Queries, letters: string, digits: string): Promise<string[] | undefined> {
  const named =
    letters === ''
      ? []
      : await idsOf(db, 'SELECT id FROM customer WHERE lower(name) LIKE lower($1) LIMIT $2', [
          namePattern(letters),
          FEW + 1,
        ]);
  const called =
    digits === ''
      ? []
      : await idsOf(db, `SELECT id FROM customer WHERE digits LIKE '%' || $1 || '%' LIMIT $2`, [digits, FEW + 1]);
  return named.length > FEW || called.length > FEW ? undefined : [...new Set([...named, ...called])];
}

/** The ids of the newest orders that match, and of all open ones among them. */
async function ordersNamed(db: Queries, text: string, states: readonly string[], most: number): Promise<string[]> {
  const number = /^(\d{1,9})(-\d*)?$/.exec(text)?.[1] ?? '';
  const digits = usefulDigits(text);
  const customers = text === '' ? undefined : await customersNamed(db, text, digits);
  const numbered =
    number === ''
      ? []
      : await idsOf(
          db,
          `SELECT id FROM orders WHERE number::text LIKE $1 || '%' AND state = ANY ($2) ORDER BY state = 'accepted' DESC, number DESC LIMIT $3`,
          [number, states, FEW],
        );
  const theirs = customers
    ? await idsOf(
        db,
        `SELECT id FROM orders WHERE customer_id = ANY ($1) AND state = ANY ($2)
          ORDER BY state = 'accepted' DESC, number DESC LIMIT $3`,
        [customers, states, FEW],
      )
    : await idsOf(
        db,
        `(SELECT o.id FROM orders o JOIN customer c ON c.id = o.customer_id
           WHERE o.state = ANY ($2) AND (lower(c.name) LIKE lower($1) OR ($3 <> '' AND c.digits LIKE '%' || $3 || '%'))
           ORDER BY o.number DESC LIMIT $4)
          UNION
         (SELECT o.id FROM orders o JOIN customer c ON c.id = o.customer_id
           WHERE o.state = 'accepted' AND 'accepted' = ANY ($2)
             AND (lower(c.name) LIKE lower($1) OR ($3 <> '' AND c.digits LIKE '%' || $3 || '%'))
           LIMIT ${FEW})`,
        [namePattern(text), states, digits, most],
      );
  return [...new Set([...numbered, ...theirs])];
}

/** Orders by number, ticket, customer's name or phone; what can be collected first, then the newest. */
export const findOrders = async (db: Queries, text: string, states: readonly string[], most = 30) =>
  readRows(
    foundRow,
    await db.query(
      `WITH found AS MATERIALIZED (
         SELECT o.id, o.number, o.state, o.promised, o.customer_id, o.agreed,
                o.state = 'accepted' AND NOT EXISTS (SELECT 1 FROM job j JOIN step s ON s.job_id = j.id
                                                      WHERE j.order_id = o.id AND s.step = 'final-check' AND s.state <> 'done') AS ready
           FROM orders o WHERE o.id = ANY ($1)
          ORDER BY ready DESC, number DESC LIMIT $2)
       SELECT o.number, o.state, o.promised::text, c.name AS customer, c.phone,
              coalesce((SELECT string_agg(nullif(p.design -> 'piece' ->> 'title', ''), ', ' ORDER BY p.position) FROM piece p WHERE p.order_id = o.id), '') AS titles,
              (o.agreed ->> 'total')::bigint AS total,
              coalesce((SELECT sum(amount) FROM payment y WHERE y.order_id = o.id), 0)::bigint AS paid,
              o.ready
         FROM found o JOIN customer c ON c.id = o.customer_id
        ORDER BY o.ready DESC, o.number DESC`,
      [await ordersNamed(db, text.trim(), states, most), most],
    ),
  );
