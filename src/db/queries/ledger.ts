/** The ledger's entries and postings, tills, their days, and vouchers. */
import { z } from 'zod';
import { ACCOUNTS, type Posting } from '@/core/ledger/accounts';
import type { Sale } from '@/core/ledger/sale';
import { summed } from '@/core/units/money';
import type { Queries, Tx } from '../client';
import { type By, BY_LINK, named, readRow, readRows } from './rows';

export const ENTRY_KINDS = [
  'deposit',
  'balance',
  'refund',
  'correction',
  'sale',
  'part-sale',
  'kept',
  'write-off',
  'voucher-sold',
  'voucher-expired',
  'float',
  'cash-in',
  'expense',
  'to-bank',
  'payout',
  'count',
] as const;
export type EntryKind = (typeof ENTRY_KINDS)[number];

export interface NewEntry {
  readonly id: string;
  readonly at: Date;
  readonly day: string;
  readonly till: number | null;
  readonly by: By;
  /** The customer's link it came by. */
  readonly link?: string | undefined;
  readonly kind: EntryKind;
  readonly orderId?: string | null;
  readonly note?: string;
  readonly reverses?: string | null;
}
export type BookedPosting = Posting & { readonly voucher?: string | undefined };

/** Writes a balanced entry; one that says nothing is not written. */
export async function insertEntry(tx: Tx, one: NewEntry, postings: readonly BookedPosting[]): Promise<void> {
  if (postings.length === 0) return;
  await tx.query(
    `INSERT INTO ledger_entry (id, at, day, till, by_id, kind, order_id, note, reverses, link_id)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)`,
    [
      one.id,
      one.at,
      one.day,
      one.till,
      one.by,
      one.kind,
      one.orderId ?? null,
      one.note ?? '',
      one.reverses ?? null,
      one.link ?? null,
    ],
  );
  for (const [index, { account, amount, group, rate, voucher }] of postings.entries())
    await tx.query(
      'INSERT INTO ledger_posting (entry_id, position, account, amount, sold, rate, voucher_id) VALUES ($1, $2, $3, $4, $5, $6, $7)',
      [one.id, index + 1, account, amount, group ?? null, rate ?? null, voucher ?? null],
    );
}

const cents = z.int().transform(summed);
const postingRow = z.object({
  entry_id: z.string(),
  kind: z.enum(ENTRY_KINDS),
  account: z.enum(ACCOUNTS),
  amount: cents,
  sold: z.string().nullable(),
  rate: z.string().nullable(),
  voucher_id: z.string().nullable(),
});
export type PostingRow = z.infer<typeof postingRow>;
const POSTING = `SELECT p.entry_id, e.kind, p.account, p.amount, p.sold, p.rate, p.voucher_id
                   FROM ledger_entry e JOIN ledger_posting p ON p.entry_id = e.id`;
export const postingOf = ({ account, amount, sold, rate, voucher_id }: PostingRow): BookedPosting => ({
  account,
  amount,
  ...(sold === null ? {} : { group: sold }),
  ...(rate === null ? {} : { rate }),
  ...(voucher_id === null ? {} : { voucher: voucher_id }),
});

export const postingsOfOrder = async (db: Queries, orderId: string) =>
  readRows(postingRow, await db.query(`${POSTING} WHERE e.order_id = $1 ORDER BY e.number, p.position`, [orderId]));
export const postingsOfEntry = async (db: Queries, entryId: string) =>
  readRows(postingRow, await db.query(`${POSTING} WHERE e.id = $1 ORDER BY p.position`, [entryId]));
/** Everything above an entry, up to another, of one till. */
export const postingsOfTill = async (db: Queries, till: number, above: number, upTo: number | null) =>
  readRows(
    postingRow,
    await db.query(
      `${POSTING} WHERE e.till = $1 AND e.number > $2 AND ($3::bigint IS NULL OR e.number <= $3) ORDER BY e.number, p.position`,
      [till, above, upTo],
    ),
  );

const movedRow = z.object({
  id: z.string(),
  kind: z.enum(ENTRY_KINDS),
  till: z.int().nullable(),
  number: z.int(),
  reverses: z.string().nullable(),
  taken_back: z.boolean(),
});
/** An entry of a till or of the books that belongs to no order. */
export const entryById = async (db: Queries, id: string) =>
  readRow(
    movedRow,
    await db.query(
      `SELECT e.id, e.kind, e.till, e.number, e.reverses, EXISTS (SELECT 1 FROM ledger_entry r WHERE r.reverses = e.id) AS taken_back
         FROM ledger_entry e WHERE e.id = $1 AND e.order_id IS NULL`,
      [id],
    ),
  );

const journalRow = z.object({
  number: z.int(),
  id: z.string(),
  day: z.string(),
  at: z.date(),
  by: named,
  till: z.int().nullable(),
  kind: z.enum(ENTRY_KINDS),
  order: z.int().nullable(),
  customer: z.string().nullable(),
  note: z.string(),
  reverses: z.int().nullable(),
  account: z.enum(ACCOUNTS),
  amount: cents,
  sold: z.string().nullable(),
  rate: z.string().nullable(),
});
export type JournalRow = z.infer<typeof journalRow>;
const JOURNAL = `SELECT e.number, e.id, e.day::text, e.at, coalesce(s.name, CASE WHEN e.link_id IS NOT NULL THEN '${BY_LINK}' END) AS by,
                        e.till, e.kind, o.number AS "order", c.name AS customer, e.note, r.number AS reverses, p.account, p.amount, p.sold, p.rate
                   FROM ledger_entry e JOIN ledger_posting p ON p.entry_id = e.id
                   LEFT JOIN staff s ON s.id = e.by_id
                   LEFT JOIN orders o ON o.id = e.order_id
                   LEFT JOIN customer c ON c.id = o.customer_id
                   LEFT JOIN ledger_entry r ON r.id = e.reverses`;
/** The journal of a time, in the order it was written; days are the shop's. */
export const journalBetween = async (db: Queries, from: string, to: string, most: number | null = null) =>
  readRows(
    journalRow,
    await db.query(`${JOURNAL} WHERE e.day BETWEEN $1 AND $2 ORDER BY e.number, p.position LIMIT $3`, [from, to, most]),
  );
export const journalOfTill = async (db: Queries, till: number, above: number, upTo: number | null) =>
  readRows(
    journalRow,
    await db.query(
      `${JOURNAL} WHERE e.till = $1 AND e.number > $2 AND ($3::bigint IS NULL OR e.number <= $3) ORDER BY e.number, p.position`,
      [till, above, upTo],
    ),
  );

// Sums of many years may be above what one amount may be.
const sumRow = z.object({ account: z.enum(ACCOUNTS), rate: z.string().nullable(), amount: z.int() });
/** What stands on each account at the end of a day; tax by its rates. */
export const standingAt = async (db: Queries, day: string) =>
  readRows(
    sumRow,
    await db.query(
      `SELECT p.account, p.rate, sum(p.amount)::bigint AS amount FROM ledger_entry e JOIN ledger_posting p ON p.entry_id = e.id
        WHERE e.day <= $1 GROUP BY p.account, p.rate HAVING sum(p.amount) <> 0 ORDER BY p.account, p.rate`,
      [day],
    ),
  );

const taxRow = z.object({ rate: z.string(), amount: z.int() });
/** Tax that came to be owed in a time, by rate: what is owed is positive. */
export const taxBetween = async (db: Queries, from: string, to: string) =>
  readRows(
    taxRow,
    await db.query(
      `SELECT p.rate, -sum(p.amount)::bigint AS amount FROM ledger_entry e JOIN ledger_posting p ON p.entry_id = e.id
        WHERE e.day BETWEEN $1 AND $2 AND p.account = 'tax' GROUP BY p.rate ORDER BY p.rate`,
      [from, to],
    ),
  );

const tillRow = z.object({ number: z.int(), name: z.string() });
export const listTills = async (db: Queries) =>
  readRows(tillRow, await db.query('SELECT number, name FROM till ORDER BY number'));
export const insertTill = async (tx: Tx, name: string): Promise<number | undefined> =>
  (
    await tx.query<{ number: number }>(
      `INSERT INTO till (number, name) SELECT coalesce(max(number), 0) + 1, $1 FROM till ON CONFLICT (name) DO NOTHING RETURNING number`,
      [name],
    )
  )[0]?.number;
/** Held until the transaction ends: what is booked and what is counted at a drawer come one after the other. */
export const lockTill = async (tx: Tx, till: number) =>
  readRow(tillRow, await tx.query('SELECT number, name FROM till WHERE number = $1 FOR UPDATE', [till]));

const FIRST_TILL = 1;
/** The drawer of the device that a session is on. */
export const tillOfSession = async (db: Queries, session: string | undefined): Promise<number> =>
  session === undefined
    ? FIRST_TILL
    : ((
        await db.query<{ till: number }>(
          'SELECT d.till FROM session s JOIN device_till d ON d.device_id = s.device_id WHERE s.id::text = $1',
          [session],
        )
      )[0]?.till ?? FIRST_TILL);
export const setDeviceTill = async (tx: Tx, session: string, till: number): Promise<boolean> =>
  (
    await tx.query(
      `INSERT INTO device_till (device_id, till) SELECT device_id, $2 FROM session WHERE id::text = $1
       ON CONFLICT (device_id) DO UPDATE SET till = excluded.till RETURNING till`,
      [session, till],
    )
  ).length > 0;

/** What was counted at the end of a drawer's day. */
export const countedSchema = z.object({
  cash: cents,
  card: cents,
  vouchers: cents,
  expected: z.object({ cash: cents, card: cents, vouchers: cents }),
  pieces: z.array(z.object({ of: z.int(), count: z.int() })),
  /** The last entry that was there when it was counted. */
  upTo: z.int(),
  by: z.string(),
});
export type Counted = z.infer<typeof countedSchema>;
const tillDayRow = z.object({
  id: z.string(),
  till: z.int(),
  name: z.string(),
  day: z.string(),
  after_entry: z.int(),
  opened_at: z.date(),
  opened_by: named,
  float: cents,
  counted: countedSchema.nullable(),
  up_to: z.int().nullable(),
  sealed_at: z.date().nullable(),
  sealed_by: named,
  note: z.string(),
});
export type TillDayRow = z.infer<typeof tillDayRow>;
const TILL_DAY = `SELECT d.id, d.till, t.name, d.day::text, d.after_entry, d.opened_at, a.name AS opened_by, d.float, d.counted, d.up_to,
                         d.sealed_at, z.name AS sealed_by, d.note
                    FROM till_day d JOIN till t ON t.number = d.till
                    LEFT JOIN staff a ON a.id = d.opened_by_id LEFT JOIN staff z ON z.id = d.sealed_by_id`;
export const openDayOf = async (db: Queries, till: number) =>
  readRow(tillDayRow, await db.query(`${TILL_DAY} WHERE d.till = $1 AND d.sealed_at IS NULL`, [till]));
export const tillDayById = async (db: Queries, id: string) =>
  readRow(tillDayRow, await db.query(`${TILL_DAY} WHERE d.id = $1`, [id]));
/** The newest sealed days, or those of one day. */
export const sealedDays = async (db: Queries, most: number, day: string | null = null) =>
  readRows(
    tillDayRow,
    await db.query(
      `${TILL_DAY} WHERE d.sealed_at IS NOT NULL AND ($2::date IS NULL OR d.day = $2) ORDER BY d.sealed_at DESC LIMIT $1`,
      [most, day],
    ),
  );
/** Tills whose day is not sealed yet. */
export const openTillsOn = async (db: Queries, day: string): Promise<number[]> =>
  (await db.query<{ till: number }>('SELECT till FROM till_day WHERE day = $1 AND sealed_at IS NULL', [day])).map(
    ({ till }) => till,
  );
export const lastSealed = async (db: Queries, till: number) =>
  readRow(
    tillDayRow,
    await db.query(`${TILL_DAY} WHERE d.till = $1 AND d.sealed_at IS NOT NULL ORDER BY d.up_to DESC LIMIT 1`, [till]),
  );
export const insertTillDay = (
  tx: Tx,
  one: Pick<TillDayRow, 'id' | 'till' | 'day' | 'after_entry' | 'opened_at' | 'float'>,
  by: By,
) =>
  tx.query(
    'INSERT INTO till_day (id, till, day, after_entry, opened_at, opened_by_id, float) VALUES ($1, $2, $3, $4, $5, $6, $7)',
    [one.id, one.till, one.day, one.after_entry, one.opened_at, by, one.float],
  );
export const setCounted = (tx: Tx, id: string, counted: Counted) =>
  tx.query('UPDATE till_day SET counted = $2 WHERE id = $1', [id, JSON.stringify(counted)]);
export const sealDay = (tx: Tx, id: string, upTo: number, at: Date, by: By, note: string) =>
  tx.query('UPDATE till_day SET up_to = $2, sealed_at = $3, sealed_by_id = $4, note = $5 WHERE id = $1', [
    id,
    upTo,
    at,
    by,
    note,
  ]);
/** The newest entry of a till; zero where there is none. */
export const lastEntryOf = async (db: Queries, till: number): Promise<number> =>
  (
    await db.query<{ number: number }>(
      'SELECT coalesce(max(number), 0)::bigint AS number FROM ledger_entry WHERE till = $1',
      [till],
    )
  )[0]!.number;
/** The newest entry of a till that fell on an earlier day; zero where there is none. */
export const lastEntryBefore = async (db: Queries, till: number, day: string): Promise<number> =>
  (
    await db.query<{ number: number }>(
      'SELECT coalesce(max(number), 0)::bigint AS number FROM ledger_entry WHERE till = $1 AND day < $2',
      [till, day],
    )
  )[0]!.number;
/** Cash that should lie in a drawer: all that ever came and went there. */
export const cashIn = async (db: Queries, till: number) =>
  summed(
    (
      await db.query<{ amount: number }>(
        `SELECT coalesce(sum(p.amount), 0)::bigint AS amount FROM ledger_entry e JOIN ledger_posting p ON p.entry_id = e.id
          WHERE e.till = $1 AND p.account = 'cash'`,
        [till],
      )
    )[0]!.amount,
  );

const voucherRow = z.object({
  id: z.string(),
  code: z.string(),
  sold_at: z.date(),
  expires: z.string().nullable(),
  left: cents,
});
export type VoucherRow = z.infer<typeof voucherRow>;
const VOUCHER = `SELECT v.id, v.code, v.sold_at, v.expires::text,
                        (SELECT -coalesce(sum(amount), 0)::bigint FROM ledger_posting p WHERE p.voucher_id = v.id) AS left FROM voucher v`;
export const insertVoucher = (tx: Tx, one: Omit<VoucherRow, 'left'>) =>
  tx.query('INSERT INTO voucher (id, code, sold_at, expires) VALUES ($1, $2, $3, $4)', [
    one.id,
    one.code,
    one.sold_at,
    one.expires,
  ]);
export const voucherByCode = async (db: Queries, code: string) =>
  readRow(voucherRow, await db.query(`${VOUCHER} WHERE v.code = $1`, [code]));
/** Held until the transaction ends, so that no two counters use it at once. */
export async function lockVoucher(tx: Tx, code: string): Promise<VoucherRow | undefined> {
  await tx.query('SELECT id FROM voucher WHERE code = $1 FOR UPDATE', [code]);
  return voucherByCode(tx, code);
}
/** The voucher that an entry sold, held until the transaction ends. */
export async function lockVoucherOf(tx: Tx, entryId: string): Promise<VoucherRow | undefined> {
  await tx.query('SELECT id FROM voucher WHERE id = $1 FOR UPDATE', [entryId]);
  return readRow(voucherRow, await tx.query(`${VOUCHER} WHERE v.id = $1`, [entryId]));
}
export const openVouchers = async (db: Queries) =>
  readRows(
    voucherRow,
    await db.query(`SELECT * FROM (${VOUCHER}) found WHERE "left" > 0 ORDER BY sold_at DESC LIMIT 500`),
  );

const saleSchema = z.custom<Sale>((value) => typeof value === 'object' && value !== null);
/** What an order sells, kept when it was agreed; null for what was agreed before. */
export const saleOfOrder = async (db: Queries, orderId: string): Promise<Sale | null> =>
  saleSchema
    .nullable()
    .parse((await db.query<{ sale: unknown }>('SELECT sale FROM orders WHERE id = $1', [orderId]))[0]?.sale ?? null);
/** The sale of an order, and of each of its pieces by itself. */
export const setSale = (tx: Tx, orderId: string, sale: Sale, parts: Readonly<Record<string, Sale>>) =>
  tx.query('UPDATE orders SET sale = $2, parts = $3 WHERE id = $1', [
    orderId,
    JSON.stringify(sale),
    JSON.stringify(parts),
  ]);
/** Null for an order that was agreed before parts were kept. */
export const partsOfOrder = async (db: Queries, orderId: string): Promise<Readonly<Record<string, Sale>> | null> =>
  z
    .record(z.string(), saleSchema)
    .nullable()
    .parse((await db.query<{ parts: unknown }>('SELECT parts FROM orders WHERE id = $1', [orderId]))[0]?.parts ?? null);
export const setDue = (tx: Tx, orderId: string, due: string) =>
  tx.query('UPDATE orders SET due = $2 WHERE id = $1', [orderId, due]);

const termsRow = z.object({ days: z.int().nullable(), limit: z.int().nullable() });
/** Held until the transaction ends, so that no two hand-overs stay below the limit one by one. */
export const lockTerms = async (tx: Tx, customerId: string) =>
  readRow(
    termsRow,
    await tx.query('SELECT terms_days AS days, credit_limit AS limit FROM customer WHERE id = $1 FOR UPDATE', [
      customerId,
    ]),
  );
export const termsOf = async (db: Queries, customerId: string) =>
  readRow(
    termsRow,
    await db.query('SELECT terms_days AS days, credit_limit AS limit FROM customer WHERE id = $1', [customerId]),
  );
export const setTerms = async (tx: Tx, customerId: string, days: number | null, limit: number | null) =>
  (
    await tx.query('UPDATE customer SET terms_days = $2, credit_limit = $3 WHERE id = $1 RETURNING id', [
      customerId,
      days,
      limit,
    ])
  ).length > 0;

const owingRow = z.object({
  order_id: z.string(),
  number: z.int(),
  customer_id: z.string(),
  customer: z.string(),
  due: z.string().nullable(),
  handed: z.string(),
  total: z.int().nullable(),
  amount: cents,
});
export type OwingRow = z.infer<typeof owingRow>;
/** Orders that were handed over and are not paid in full, the oldest first; of one customer, or of all. */
export const owingOrders = async (db: Queries, customerId: string | null = null) =>
  readRows(
    owingRow,
    await db.query(
      `SELECT o.id AS order_id, o.number, o.customer_id, c.name AS customer, o.due::text, min(e.day)::text AS handed,
              (o.agreed ->> 'total')::bigint AS total, sum(p.amount)::bigint AS amount
         FROM orders o JOIN customer c ON c.id = o.customer_id
         JOIN ledger_entry e ON e.order_id = o.id JOIN ledger_posting p ON p.entry_id = e.id AND p.account = 'receivable'
        WHERE o.due IS NOT NULL AND ($1::uuid IS NULL OR o.customer_id = $1)
        GROUP BY o.id, c.name HAVING sum(p.amount) > 0 ORDER BY o.due, o.number`,
      [customerId],
    ),
  );
