/** The people of the shop, their sessions, and what happened at the door. */
import { z } from 'zod';
import type { Queries, Tx } from '../client';
import { type By, named, readRow, readRows } from './rows';

const roles = z.enum(['owner', 'counter', 'bench', 'view']);
const staffRow = z.object({
  id: z.string(),
  name: z.string(),
  role: roles,
  pin_hash: z.string(),
  active: z.boolean(),
  discount_limit: z.int(),
});
export type StaffRow = z.infer<typeof staffRow>;
export type Person = Pick<StaffRow, 'id' | 'name' | 'role'>;

export const listStaff = async (db: Queries) =>
  readRows(
    staffRow.omit({ pin_hash: true }),
    await db.query('SELECT id, name, role, active, discount_limit FROM staff ORDER BY active DESC, name'),
  );

const STAFF = 'SELECT id, name, role, pin_hash, active, discount_limit FROM staff';
export const staffByName = async (db: Queries, name: string) =>
  readRow(staffRow, await db.query(`${STAFF} WHERE lower(name) = lower($1) AND active`, [name]));
export const staffById = async (db: Queries, id: string) =>
  readRow(staffRow, await db.query(`${STAFF} WHERE id = $1`, [id]));
export const listOwners = async (db: Queries) =>
  readRows(staffRow, await db.query(`${STAFF} WHERE role = 'owner' AND active ORDER BY name`));
export const lockStaff = async (tx: Tx, id: string) =>
  readRow(staffRow, await tx.query(`${STAFF} WHERE id = $1 FOR UPDATE`, [id]));
export const activeOwners = async (tx: Tx) =>
  (await tx.query("SELECT 1 AS found FROM staff WHERE role = 'owner' AND active FOR UPDATE")).length;

export const insertStaff = (tx: Tx, one: Pick<StaffRow, 'id' | 'name' | 'role' | 'pin_hash'>) =>
  tx.query('INSERT INTO staff (id, name, role, pin_hash) VALUES ($1, $2, $3, $4)', [
    one.id,
    one.name,
    one.role,
    one.pin_hash,
  ]);
export const setStaffActive = (tx: Tx, id: string, active: boolean) =>
  tx.query('UPDATE staff SET active = $2 WHERE id = $1', [id, active]);
export const setDiscountLimit = (tx: Tx, id: string, percent: number) =>
  tx.query('UPDATE staff SET discount_limit = $2 WHERE id = $1', [id, percent]);
export const setPinHash = (tx: Tx, id: string, hash: string) =>
  tx.query('UPDATE staff SET pin_hash = $2 WHERE id = $1', [id, hash]);

/** Wrong PINs for one person from one place. */
const wrongRow = z.object({ count: z.int(), at: z.date(), until: z.date() });
export const wrongPins = async (db: Queries, place: string, staffId: string) =>
  readRow(
    wrongRow,
    await db.query('SELECT count, at, until FROM wrong_pin WHERE place = $1 AND staff_id = $2', [place, staffId]),
  );
export const putWrongPin = (tx: Tx, place: string, staffId: string, count: number, at: Date, until: Date) =>
  tx.query(
    `INSERT INTO wrong_pin (place, staff_id, count, at, until) VALUES ($1, $2, $3, $4, $5)
     ON CONFLICT (place, staff_id) DO UPDATE SET count = excluded.count, at = excluded.at, until = excluded.until`,
    [place, staffId, count, at, until],
  );
export const clearWrongPins = (tx: Tx, place: string, staffId: string) =>
  tx.query('DELETE FROM wrong_pin WHERE place = $1 AND staff_id = $2', [place, staffId]);
/** Wrong guesses that nobody waits for any more. */
export const forgetWrongPins = (tx: Tx, before: Date) => tx.query('DELETE FROM wrong_pin WHERE until < $1', [before]);

export const knowsDevice = async (db: Queries, deviceId: string, staffId: string) =>
  (await db.query('SELECT 1 AS found FROM known_device WHERE device_id = $1 AND staff_id = $2', [deviceId, staffId]))
    .length > 0;
export const rememberDevice = (tx: Tx, deviceId: string, staffId: string, at: Date) =>
  tx.query(
    'INSERT INTO known_device (device_id, staff_id, at) VALUES ($1, $2, $3) ON CONFLICT (device_id, staff_id) DO UPDATE SET at = excluded.at',
    [deviceId, staffId, at],
  );

export const deviceOfSession = async (db: Queries, session: string): Promise<string | undefined> =>
  (
    await db.query<{ device: string }>('SELECT device_id::text AS device FROM session WHERE id::text = $1', [session])
  )[0]?.device;

const sessionRow = z.object({
  session: z.string(),
  id: z.string(),
  name: z.string(),
  role: roles,
  created_at: z.date(),
  seen_at: z.date(),
  expires_at: z.date(),
});
export const sessionByHash = async (db: Queries, tokenHash: string) =>
  readRow(
    sessionRow,
    await db.query(
      `SELECT e.id AS session, s.id, s.name, s.role, e.created_at, e.seen_at, e.expires_at
         FROM session e JOIN staff s ON s.id = e.staff_id WHERE e.token_hash = $1 AND s.active`,
      [tokenHash],
    ),
  );
export interface NewSession {
  readonly id: string;
  readonly tokenHash: string;
  readonly staffId: string;
  readonly deviceId: string;
  readonly address: string;
  readonly now: Date;
  readonly expires: Date;
}
export const insertSession = (tx: Tx, one: NewSession) =>
  tx.query(
    `INSERT INTO session (id, token_hash, staff_id, device_id, address, created_at, seen_at, expires_at)
     VALUES ($1, $2, $3, $4, $5, $6, $6, $7)`,
    [one.id, one.tokenHash, one.staffId, one.deviceId, one.address, one.now, one.expires],
  );
export const touchSession = (tx: Tx, id: string, at: Date) =>
  tx.query('UPDATE session SET seen_at = $2 WHERE id = $1', [id, at]);
const ids = (rows: readonly { id: string }[]) => rows.map(({ id }) => id);
/** Each answers the sessions it ended. */
export const endSession = async (tx: Tx, id: string) =>
  ids(await tx.query<{ id: string }>('DELETE FROM session WHERE id = $1 RETURNING id', [id]));
export const endSessionsOf = async (tx: Tx, staffId: string, but = '') =>
  ids(
    await tx.query<{ id: string }>('DELETE FROM session WHERE staff_id = $1 AND id::text <> $2 RETURNING id', [
      staffId,
      but,
    ]),
  );
/** Sessions that are over: run out, not used for so long, or begun after now, when the clock was put back. */
export const endOldSessions = async (tx: Tx, now: Date, idleSince: Date) =>
  ids(
    await tx.query<{ id: string }>(
      'DELETE FROM session WHERE expires_at <= $1 OR seen_at <= $2 OR created_at > $3 RETURNING id',
      [now, idleSince, new Date(now.getTime() + CLOCK_SLACK)],
    ),
  );
/** A clock may be put right by this much without ending anybody's session, in ms. */
export const CLOCK_SLACK = 5 * 60_000;

const sessionListRow = z.object({
  id: z.string(),
  staff_id: z.string(),
  name: z.string(),
  address: z.string(),
  created_at: z.date(),
  seen_at: z.date(),
});
export const listSessions = async (db: Queries) =>
  readRows(
    sessionListRow,
    await db.query(
      `SELECT e.id, e.staff_id, s.name, e.address, e.created_at, e.seen_at
         FROM session e JOIN staff s ON s.id = e.staff_id ORDER BY e.seen_at DESC LIMIT 200`,
    ),
  );

const securityRow = z.object({
  id: z.int(),
  at: z.date(),
  what: z.string(),
  person: named,
  address: z.string(),
  detail: z.record(z.string(), z.unknown()),
});
export type SecurityRow = z.infer<typeof securityRow>;
export const insertSecurity = (
  tx: Tx,
  at: Date,
  one: { readonly what: string; readonly staffId?: By; readonly address: string; readonly detail?: unknown },
) =>
  tx.query('INSERT INTO security_event (at, what, staff_id, address, detail) VALUES ($1, $2, $3, $4, $5)', [
    at,
    one.what,
    one.staffId ?? null,
    one.address,
    JSON.stringify(one.detail ?? {}),
  ]);
export const securityEvents = async (db: Queries, most: number) =>
  readRows(
    securityRow,
    await db.query(
      `SELECT e.id, e.at, e.what, s.name AS person, e.address, e.detail
         FROM security_event e LEFT JOIN staff s ON s.id = e.staff_id ORDER BY e.id DESC LIMIT $1`,
      [most],
    ),
  );
