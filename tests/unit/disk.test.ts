import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { type Db, dbOver } from '@/db/client';
import { migrate, readMigrations } from '@/db/migrate';
import { fillFolder, openPglite } from '@/db/pglite/disk';
import { Host } from '@/db/pglite/host';
import { FolderInUse, takeFolder } from '@/db/pglite/lock';

const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'lopren-disk-'));
let db: Db;
beforeAll(async () => {
  await fillFolder(folder, '.build/empty-database.tar');
  const host = new Host(await openPglite(path.join(folder, 'db')));
  await host.open();
  db = dbOver((ask) => host.handle(ask));
  await db.transaction((tx) => tx.query('CREATE TABLE IF NOT EXISTS scratch (n integer PRIMARY KEY)'));
});
afterAll(async () => {
  await db.close();
  fs.rmSync(folder, { recursive: true, force: true });
});

describe('the database on disk', () => {
  it('flushes every commit to the disk, and nothing for a transaction that rolls back', async () => {
    const flushed = vi.spyOn(fs, 'fdatasyncSync');
    for (let n = 0; n < 20; n += 1) await db.transaction((tx) => tx.query('INSERT INTO scratch (n) VALUES ($1)', [n]));
    expect(flushed.mock.calls.length).toBeGreaterThanOrEqual(20);
    flushed.mockClear();
    await expect(db.transaction(async (tx) => tx.query('SELECT no_such_column FROM scratch'))).rejects.toThrow(
      'no_such_column',
    );
    expect(flushed).not.toHaveBeenCalled();
    flushed.mockRestore();
  });

  it('keeps a transaction whole while others wait, and takes nothing from one that failed', async () => {
    const slow = db.transaction(async (tx) => {
      await tx.query('INSERT INTO scratch (n) VALUES (100)');
      await tx.query('SELECT pg_sleep(0.05)');
      await tx.query('INSERT INTO scratch (n) VALUES (101)');
    });
    const beside = db.query('SELECT count(*)::int AS n FROM scratch WHERE n >= 100');
    await slow;
    expect(await beside).toEqual([{ n: 2 }]);
    await expect(
      db.transaction(async (tx) => [
        await tx.query('INSERT INTO scratch (n) VALUES (200)'),
        await tx.query('INSERT INTO scratch (n) VALUES (200)'),
      ]),
    ).rejects.toThrow();
    expect(await db.query('SELECT n FROM scratch WHERE n = 200')).toEqual([]);
  });

  it('belongs to one owner at a time', async () => {
    const lock = await takeFolder(folder);
    await expect(takeFolder(folder, 0)).rejects.toThrow(FolderInUse);
    lock.close();
    (await takeFolder(folder, 0)).close();
  });

  it('migrates forward only, each once, and refuses data of a newer program', async () => {
    const migrations = readMigrations('src/db/migrations');
    await migrate(db, migrations);
    expect(await migrate(db, migrations)).toEqual([]);
    expect(
      await migrate(db, [
        ...migrations,
        { number: 9000, name: '9000_later.sql', sql: 'CREATE TABLE later (n integer)' },
      ]),
    ).toEqual([9000]);
    await expect(migrate(db, migrations)).rejects.toThrow('newer Lopren');
    await expect(
      migrate(db, [
        ...migrations,
        { number: 9001, name: '9001_bad.sql', sql: 'CREATE TABLE half (n integer); SELECT nonsense' },
      ]),
    ).rejects.toThrow();
    expect(await db.query("SELECT 1 AS found FROM information_schema.tables WHERE table_name = 'half'")).toEqual([]);
  });
});
