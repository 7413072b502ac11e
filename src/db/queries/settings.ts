/** The settings of the shop, edition by edition. */
import { z } from 'zod';
import type { Queries, Tx } from '../client';
import { type By, named, readRow, readRows } from './rows';

const editionRow = z.object({ number: z.int(), at: z.date(), by: named, settings: z.unknown() });
const EDITION = `SELECT e.number, e.at, s.name AS by, e.settings
                   FROM settings_edition e LEFT JOIN staff s ON s.id = e.by_id`;

export const latestSettings = async (db: Queries) =>
  readRow(editionRow, await db.query(`${EDITION} ORDER BY e.number DESC LIMIT 1`));
export const settingsEditions = async (db: Queries, most: number) =>
  readRows(editionRow, await db.query(`${EDITION} ORDER BY e.number DESC LIMIT $1`, [most]));
export const insertSettings = (tx: Tx, number: number, at: Date, by: By, settings: unknown) =>
  tx.query('INSERT INTO settings_edition (number, at, by_id, settings) VALUES ($1, $2, $3, $4)', [
    number,
    at,
    by,
    JSON.stringify(settings),
  ]);
