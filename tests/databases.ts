/**
 * Databases in memory for tests. Starting one takes a second, emptying one some ms: each worker keeps those it has, and
 * lends them out. What a test borrowed is back when the test is over, what its file borrowed when the file is.
 *
 * Lives on `globalThis`: files of one worker have modules of their own where they are isolated.
 */
import type { PGlite } from '@electric-sql/pglite';
import { type Db, dbOver } from '@/db/client';
import { migrate, readMigrations } from '@/db/migrate';
import { openPglite } from '@/db/pglite/disk';
import { Host } from '@/db/pglite/host';

/** What stands in the tables, as text: rows by table, and where the numbers go on. */
interface Content {
  readonly rows: readonly (readonly [table: string, rows: string])[];
  readonly sequences: readonly (readonly [name: string, last: string | null])[];
}
interface Database {
  readonly pg: PGlite;
  /** As the migrations left it. */
  readonly first: Content;
}
interface Loan {
  readonly database: Database;
  /** Waits for what is being asked, and answers nothing more. */
  end(): Promise<void>;
}
interface Shelf {
  free: Database[];
  /** What shops begin with, by its name. */
  readonly contents: Map<string, Content>;
  /** What is lent now: by the test that runs, and by its file. */
  test: Loan[] | undefined;
  file: Loan[];
}
const KEY = Symbol.for('lopren.test-databases');
const holder = globalThis as { [KEY]?: Shelf };
const shelf = (): Shelf => (holder[KEY] ??= { free: [], contents: new Map(), test: undefined, file: [] });

const OWN = new Set(['migration']);
const tablesOf = async (pg: PGlite): Promise<string[]> => {
  const { rows } = await pg.query<{ name: string }>(
    "SELECT tablename AS name FROM pg_tables WHERE schemaname = 'public'",
  );
  return rows.map(({ name }) => name).filter((name) => !OWN.has(name));
};
async function contentOf(pg: PGlite): Promise<Content> {
  const rows: [string, string][] = [];
  for (const table of await tablesOf(pg)) {
    const found = await pg.query<{ rows: string | null }>(
      `SELECT jsonb_agg(to_jsonb(t))::text AS rows FROM ${table} t`,
    );
    if (found.rows[0]?.rows) rows.push([table, found.rows[0].rows]);
  }
  const sequences = await pg.query<{ name: string; last: string | null }>(
    "SELECT sequencename AS name, last_value::text AS last FROM pg_sequences WHERE schemaname = 'public'",
  );
  return { rows, sequences: sequences.rows.map(({ name, last }) => [name, last] as const) };
}

/** Makes it what stands in `content`, whatever it was. Nothing that keeps rows from being deleted is asked. */
async function become({ pg }: Pick<Database, 'pg'>, { rows, sequences }: Content): Promise<void> {
  await pg.exec(
    [
      'BEGIN READ WRITE',
      'SET LOCAL session_replication_role = replica',
      ...(await tablesOf(pg)).map((table) => `DELETE FROM ${table}`),
      ...sequences.map(([name, last]) =>
        last === null ? `ALTER SEQUENCE ${name} RESTART` : `SELECT setval('${name}', ${last})`,
      ),
    ].join(';'),
  );
  for (const [table, kept] of rows)
    await pg.query(
      `INSERT INTO ${table} OVERRIDING SYSTEM VALUE SELECT * FROM jsonb_populate_recordset(NULL::${table}, $1::jsonb)`,
      [kept],
    );
  await pg.exec('COMMIT');
}

/** The program that the database is would take a window for a browser’s. */
async function withoutWindow<T>(work: () => Promise<T>): Promise<T> {
  const round = globalThis as { window?: unknown };
  const { window } = round;
  round.window = undefined;
  try {
    return await work();
  } finally {
    round.window = window;
  }
}

async function begun(): Promise<Database> {
  const pg = await withoutWindow(() => openPglite(undefined, '.build/empty-database.tar'));
  const host = new Host(pg);
  await host.open();
  await migrate(
    dbOver((ask) => host.handle(ask)),
    readMigrations('src/db/migrations'),
  );
  return { pg, first: await contentOf(pg) };
}

/** What a shop begins with: made once by a worker, under this name. */
export interface Beginning {
  readonly name: string;
  readonly make: (db: Db) => Promise<void>;
}

/** A database with the tables of today and nothing in them, or what is said; until the test or its file is over. */
export async function borrowed(beginning?: Beginning): Promise<Db> {
  const { free, contents, test, file } = shelf();
  const database = free.pop() ?? (await begun());
  const known = beginning && contents.get(beginning.name);
  if (known) await become(database, known);
  const host = new Host(database.pg);
  await host.open();
  let over = false;
  (test ?? file).push({
    database,
    async end() {
      over = true;
      await host.handle({ kind: 'query', sql: 'SELECT 1', params: [] });
    },
  });
  const db = dbOver((ask) => (over ? Promise.reject(new Error('the test of this shop is over')) : host.handle(ask)));
  if (beginning && !known) {
    await beginning.make(db);
    contents.set(beginning.name, await contentOf(database.pg));
  }
  return db;
}

const PATIENCE_MS = 5000;
/** Puts back what was lent. One in which something still goes on is left alone. */
async function back(loans: readonly Loan[]): Promise<void> {
  for (const { database, end } of loans) {
    const quiet = await Promise.race([
      end().then(() => true),
      new Promise<boolean>((resolve) => setTimeout(() => resolve(false), PATIENCE_MS)),
    ]);
    if (!quiet) continue;
    await become(database, database.first);
    shelf().free.push(database);
  }
}

export const testBegins = (): void => void (shelf().test = []);
export async function testEnds(): Promise<void> {
  const { test = [] } = shelf();
  shelf().test = undefined;
  await back(test);
}
export async function fileEnds(): Promise<void> {
  const loans = shelf().file;
  shelf().file = [];
  await back(loans);
}
