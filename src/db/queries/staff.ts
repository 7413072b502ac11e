/** The people of the shop and their sessions. */
import { z } from 'zod';
import type { Queries, Tx } from '../client';
import { readRow, readRows } from './rows';

const roles = z.enum(['owner', 'counter', 'bench']);
const staffRow = z.object({
  id: z.string(),
  name: z.string(),
  role: roles,
  pin_hash: z.string(),
  failures: z.int(),
  locked_until: z.date().nullable(),
});
export type StaffRow = z.infer<typeof staffRow>;

export const listStaff = async (db: Queries) =>
  readRows(
    z.object({ name: z.string(), role: roles }),
    await db.query('SELECT name, role FROM staff WHERE active ORDER BY name'),
  );

export const staffByName = async (db: Queries, name: string): Promise<StaffRow | undefined> =>
  readRow(
    staffRow,
    await db.query(
      'SELECT id, name, role, pin_hash, failures, locked_until FROM staff WHERE lower(name) = lower($1) AND active',
      [name],
    ),
  );

export const insertStaff = (tx: Tx, one: Pick<StaffRow, 'id' | 'name' | 'role' | 'pin_hash'>) =>
  tx.query('INSERT INTO staff (id, name, role, pin_hash) VALUES ($1, $2, $3, $4)', [
    one.id,
    one.name,
    one.role,
    one.pin_hash,
  ]);

/**
 * Counts a try before its PIN is looked at, in one statement, so that guesses sent side by side are all counted.
 * Answers how many tries there were since the last right one.
 */
export const countTry = async (db: Queries, id: string, most: number, lockedUntil: Date): Promise<number> => {
  const rows = await db.query<{ failures: number }>(
    'UPDATE staff SET failures = failures + 1, locked_until = CASE WHEN failures + 1 >= $2 THEN $3::timestamptz ELSE locked_until END WHERE id = $1 RETURNING failures',
    [id, most, lockedUntil],
  );
  return rows[0]?.failures ?? most + 1;
};

export const clearFailures = (db: Queries, id: string) =>
  db.query('UPDATE staff SET failures = 0, locked_until = NULL WHERE id = $1', [id]);

const personRow = z.object({ id: z.string(), name: z.string(), role: roles, expires_at: z.date() });
export type Person = Pick<StaffRow, 'id' | 'name' | 'role'>;

export const insertSession = (db: Queries, tokenHash: string, staffId: string, now: Date, expires: Date) =>
  db.query('INSERT INTO session (token_hash, staff_id, created_at, expires_at) VALUES ($1, $2, $3, $4)', [
    tokenHash,
    staffId,
    now,
    expires,
  ]);

export const sessionPerson = async (db: Queries, tokenHash: string) =>
  readRow(
    personRow,
    await db.query(
      'SELECT s.id, s.name, s.role, e.expires_at FROM session e JOIN staff s ON s.id = e.staff_id WHERE e.token_hash = $1 AND s.active',
      [tokenHash],
    ),
  );

export const deleteSession = (db: Queries, tokenHash: string) =>
  db.query('DELETE FROM session WHERE token_hash = $1', [tokenHash]);
