/** Forward-only migrations: `migrations/NNNN_name.sql` in order, each once, all in one transaction at start. */
import fs from 'node:fs';
import path from 'node:path';
import type { Db } from './client';

interface Migration {
  readonly number: number;
  readonly name: string;
  readonly sql: string;
}

/** Reads the migrations of a folder. Throws when two share a number. */
export function readMigrations(folder: string): Migration[] {
  const all = fs
    .readdirSync(folder)
    .filter((name) => /^\d{4}_\w+\.sql$/.test(name))
    .sort()
    .map((name) => ({ number: Number(name.slice(0, 4)), name, sql: fs.readFileSync(path.join(folder, name), 'utf8') }));
  const twice = all.find((one, index) => all[index - 1]?.number === one.number);
  if (twice) throw new Error(`two migrations are numbered ${twice.number}`);
  return all;
}

/**
 * Brings the database up to date; answers the numbers that were run. Throws when the database is newer than the
 * program, which would not know what it is looking at.
 */
export async function migrate(db: Db, migrations: readonly Migration[]): Promise<number[]> {
  return db.transaction(async (tx) => {
    await tx.script(
      'CREATE TABLE IF NOT EXISTS migration (number integer PRIMARY KEY, name text NOT NULL, at timestamptz NOT NULL DEFAULT now())',
    );
    const rows = await tx.query<{ number: number }>('SELECT number FROM migration ORDER BY number');
    const run = new Set(rows.map((row) => row.number));
    const newest = Math.max(0, ...migrations.map((one) => one.number));
    const unknown = [...run].find((number) => number > newest);
    if (unknown)
      throw new Error(`The data was written by a newer Lopren (migration ${unknown}). Start that one instead.`);
    const due = migrations.filter((one) => !run.has(one.number));
    for (const one of due) {
      await tx.script(one.sql);
      await tx.query('INSERT INTO migration (number, name) VALUES ($1, $2)', [one.number, one.name]);
    }
    return due.map((one) => one.number);
  });
}
