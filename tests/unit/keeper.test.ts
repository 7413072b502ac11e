import { spawn, spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { openDb } from '@/db/client';
import { fillFolder } from '@/db/pglite/disk';
import { isNew } from '@/db/pglite/folder';
import { LEAST_ROOM } from '@/db/pglite/host';
import { FolderInUse, StartRefused, takeFolder } from '@/db/pglite/lock';
import { sourceThread } from '../../scripts/tsx-thread';

const root = fs.mkdtempSync(path.join(os.tmpdir(), 'lopren-keeper-'));
afterAll(() => fs.rmSync(root, { recursive: true, force: true }));
const IMAGE = '.build/empty-database.tar';
let count = 0;
const fresh = () => path.join(root, `data-${(count += 1)}`);
const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** A shop's folder, made once; each test takes a copy. */
const whole = path.join(root, 'whole');
const filled = fs.promises.mkdir(whole).then(() => fillFolder(whole, IMAGE));
async function copy(): Promise<string> {
  await filled;
  const folder = fresh();
  fs.cpSync(whole, folder, { recursive: true });
  return folder;
}

describe('a data folder', () => {
  it('is new when it is empty or not there, and when a first start was cut off', async () => {
    const folder = fresh();
    expect(isNew(folder)).toBe(true);
    fs.mkdirSync(path.join(folder, 'db.new'), { recursive: true });
    fs.writeFileSync(path.join(folder, 'lock'), '');
    fs.writeFileSync(path.join(folder, 'secret'), 'half');
    expect(isNew(folder)).toBe(true);
    expect(isNew(await copy())).toBe(false);
  });

  it.each([
    ['db/PG_VERSION', 'PG_VERSION'],
    ['db/pg_wal', 'pg_wal/'],
    ['db/base', 'base/'],
    ['db/global/pg_control', 'global/pg_control'],
    ['secret', 'no key'],
    ['db', 'no database'],
  ])('without %s is refused with what is missing, and left as it is', async (gone, said) => {
    const folder = await copy();
    fs.rmSync(path.join(folder, gone), { recursive: true });
    const before = fs.readdirSync(folder, { recursive: true }).sort();
    expect(() => isNew(folder)).toThrow(StartRefused);
    expect(() => isNew(folder)).toThrow(said);
    await expect(openDb({ folder, prepared: IMAGE, thread: sourceThread })).rejects.toThrow(said);
    const after = fs.readdirSync(folder, { recursive: true }).filter((name) => name !== 'lock');
    expect(after.sort()).toEqual(before);
  });

  it('with an empty log, an empty version or an empty key is refused', async () => {
    const logless = await copy();
    for (const name of fs.readdirSync(path.join(logless, 'db/pg_wal')))
      fs.rmSync(path.join(logless, 'db/pg_wal', name), { recursive: true });
    expect(() => isNew(logless)).toThrow('the log in pg_wal/');
    const folder = await copy();
    fs.truncateSync(path.join(folder, 'secret'));
    expect(() => isNew(folder)).toThrow('has 0 bytes and not 32');
    fs.truncateSync(path.join(folder, 'db/PG_VERSION'));
    expect(() => isNew(folder)).toThrow('PG_VERSION is missing, empty or cut off');
  });

  it('that holds something else is not filled', () => {
    const folder = fresh();
    fs.mkdirSync(folder);
    fs.writeFileSync(path.join(folder, 'holiday.jpg'), 'x');
    expect(() => isNew(folder)).toThrow('holds holiday.jpg but no database');
  });
});

describe('the lock', () => {
  const holder = `
    const fs = require('node:fs'), { tryLock } = require('fs-native-extensions');
    const fd = fs.openSync(process.argv[1] + '/lock', 'a+');
    process.stdout.write(String(tryLock(fd)));
    setInterval(() => {}, 1000);`;
  const hold = (folder: string, ...round: string[]) =>
    new Promise<ReturnType<typeof spawn>>((resolve, reject) => {
      const [command = process.execPath, ...args] = [...round, process.execPath, '-e', holder, folder];
      const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'] });
      child.stdout!.once('data', (said) =>
        String(said) === 'true' ? resolve(child) : reject(new Error(String(said))),
      );
      child.once('exit', (code) => reject(new Error(`ended ${code}`)));
    });
  const ended = (child: ReturnType<typeof spawn>) => new Promise((resolve) => child.once('exit', resolve));

  it('of another process holds, through a symbolic link too, and is free at once after kill -9', async () => {
    const folder = fresh();
    fs.mkdirSync(folder);
    const link = `${folder}-link`;
    fs.symlinkSync(folder, link);
    const owner = await hold(folder);
    await expect(takeFolder(folder, 200)).rejects.toThrow(FolderInUse);
    await expect(takeFolder(link, 0)).rejects.toThrow('already running on the data folder');
    const over = ended(owner);
    owner.kill('SIGKILL');
    await over;
    (await takeFolder(link, 0)).close();
  });

  const namespaces = spawnSync('unshare', ['--net', 'true']).status === 0;
  it.runIf(namespaces)('holds between network namespaces, as between two containers on one volume', async () => {
    const folder = fresh();
    fs.mkdirSync(folder);
    const owner = await hold(folder, 'unshare', '--net');
    await expect(takeFolder(folder, 0)).rejects.toThrow(FolderInUse);
    const over = ended(owner);
    owner.kill('SIGKILL');
    await over;
  });

  it('is taken in a folder that is its owner’s alone from then on', async () => {
    const folder = fresh();
    fs.mkdirSync(folder, { mode: 0o755 });
    (await takeFolder(folder)).close();
    expect(fs.statSync(folder).mode & 0o777).toBe(0o700);
  });

  it('waits for an owner that is just ending', async () => {
    const folder = fresh();
    const first = await takeFolder(folder);
    setTimeout(() => first.close(), 300);
    (await takeFolder(folder)).close();
  });
});

describe('the thread of the database', () => {
  const limits = { told: 400, ended: 1200 };
  const SLOW = 'SELECT count(*) FROM generate_series(1, 40000) a, generate_series(1, 40000) b';

  it('does not let anybody wait for ever: told after a while, then the thread is opened again, and nothing is lost', async () => {
    const folder = await copy();
    const db = await openDb({ folder, thread: sourceThread, limits });
    await db.transaction((tx) => tx.script('CREATE TABLE kept (n integer); INSERT INTO kept VALUES (1)'));
    const from = performance.now();
    const both = await Promise.allSettled([db.query(SLOW), db.query('SELECT 1')]);
    expect(performance.now() - from).toBeLessThan(3000);
    for (const one of both)
      expect(one).toMatchObject({ status: 'rejected', reason: { name: 'DbUnavailable', why: 'slow' } });
    expect(db.state()).toBe('slow');
    for (let k = 0; k < 200 && db.state() !== 'open'; k += 1) await wait(50);
    expect(await db.query('SELECT n FROM kept')).toEqual([{ n: 1 }]);
    await db.close();
  });

  it('that dies ends the questions in hand, and is opened again', async () => {
    const folder = await copy();
    const threads: ReturnType<typeof sourceThread>[] = [];
    const thread = () => {
      const made = sourceThread();
      threads.push(made);
      return made;
    };
    const db = await openDb({ folder, thread });
    await db.transaction((tx) => tx.script('CREATE TABLE kept (n integer); INSERT INTO kept VALUES (7)'));
    const asked = db.query(SLOW);
    await Promise.all([expect(asked).rejects.toMatchObject({ why: 'stopped' }), threads[0]!.terminate()]);
    for (let k = 0; k < 200 && db.state() !== 'open'; k += 1) await wait(50);
    expect([threads.length, await db.query('SELECT n FROM kept')]).toEqual([2, [{ n: 7 }]]);
    await db.close();
  });

  it('gives a transaction back that was granted when nobody waited for it any more', async () => {
    const folder = await copy();
    const db = await openDb({ folder, thread: sourceThread, limits: { told: 300, ended: 20_000 } });
    const held = db.transaction(async (tx) => {
      await tx.query('SELECT 1');
      await wait(700);
    });
    await expect(db.transaction(async () => undefined)).rejects.toMatchObject({ why: 'slow' });
    await held;
    await db.transaction((tx) => tx.query('SELECT 1'));
    await db.close();
  });
});

describe('a transaction', () => {
  const at = async (limits: { abandoned: number; held: number }) => {
    const { Host } = await import('@/db/pglite/host');
    const { openPglite } = await import('@/db/pglite/disk');
    const { dbOver } = await import('@/db/client');
    const host = new Host(await openPglite(undefined, IMAGE), undefined, limits);
    await host.open();
    return { host, db: dbOver((ask) => host.handle(ask)) };
  };

  it('goes on for as long as it is at work, and is given up when nothing is asked in it', async () => {
    const { db } = await at({ abandoned: 150, held: 150 });
    const busy = db.transaction(async (tx) => {
      for (let step = 0; step < 8; step += 1) {
        await wait(60);
        await tx.query('SELECT 1');
      }
      return 'done';
    });
    expect(await busy).toBe('done');
    const hung = db.transaction(async (tx) => {
      await wait(400);
      await tx.query('SELECT 1');
    });
    await expect(hung).rejects.toThrow('the transaction is over');
    expect(await db.query('SELECT 1 AS n')).toEqual([{ n: 1 }]);
  });

  it('of a start is not given up, however long it thinks; a held copy goes on while it says so', async () => {
    const { host, db } = await at({ abandoned: 60, held: 100 });
    const begun = await host.handle({ kind: 'begin', write: true, patient: true });
    await wait(300);
    const tx = 'tx' in begun ? begun.tx : 0;
    await host.handle({ kind: 'script', sql: 'CREATE TABLE late (n integer)', tx });
    await host.handle({ kind: 'end', tx, commit: true });
    expect(await db.query('SELECT n FROM late')).toEqual([]);
    const copied = await db.hold(async (going) => {
      for (let file = 0; file < 6; file += 1) {
        await wait(50);
        going();
      }
      return 'copied';
    });
    expect(copied).toBe('copied');
    await expect(db.hold(() => wait(300))).rejects.toThrow('the transaction is over');
  });

  it('has no time limit before the start is over, and has one after', async () => {
    const { Keeper } = await import('@/db/pglite/keeper');
    const said: unknown[] = [];
    const thread = () => {
      const made = sourceThread();
      const post = made.postMessage.bind(made);
      made.postMessage = (message: { ask: unknown }) => (said.push(message.ask), post(message));
      return made;
    };
    const keeper = new Keeper({ folder: await copy(), thread });
    await keeper.open();
    const transaction = async () => {
      const begun = await keeper.ask({ kind: 'begin', write: true });
      await keeper.ask({ kind: 'end', tx: 'tx' in begun ? begun.tx : 0, commit: true });
    };
    await transaction();
    keeper.begun();
    await transaction();
    expect(said).toContainEqual({ kind: 'begin', write: true, patient: true });
    expect(said).toContainEqual({ kind: 'begin', write: true });
    await keeper.close();
  });
});

describe('a start that comes to nothing', () => {
  it.each([
    ['pg_control', 'global/pg_control', 4000, 'global/pg_control is missing, empty or cut off'],
    ['the log', undefined, 0, 'is damaged and cannot be opened'],
  ])('for want of %s says so, and what to do', async (_name, file, bytes, said) => {
    const folder = await copy();
    if (file) fs.truncateSync(path.join(folder, 'db', file), bytes);
    else {
      const control = path.join(folder, 'db/global/pg_control');
      fs.writeFileSync(control, Buffer.alloc(8192, 0x5a));
    }
    const opened = openDb({ folder, thread: sourceThread });
    await expect(opened).rejects.toThrow(said);
    await expect(opened).rejects.toThrow(/restore (a|the newest) back-up/i);
  });

  it('is told in sentences, whatever it was', async () => {
    const { startTrouble } = await import('@/server/start');
    const { DbError, DbUnavailable } = await import('@/db/client');
    const told = [
      new DbUnavailable('no-room'),
      new DbUnavailable('slow'),
      new DbError('relation "x" does not exist'),
      new StartRefused('The data folder is a file.'),
      new Error('the database does not open'),
    ].map(startTrouble);
    expect(told[0]).toMatch(/disk is nearly full.*Make room/);
    expect(told[1]).toMatch(/Nothing was lost\. Start it again/);
    expect(told[2]).toMatch(/relation "x" does not exist.*Start it again/);
    expect(told[3]).toBe('The data folder is a file.');
    expect(told[4]).toMatch(/start it again\.$/);
  });
});

describe('a disk that is nearly full', () => {
  it('is looked at before each writing; reading goes on, and writing again when there is room', async () => {
    const { Host } = await import('@/db/pglite/host');
    const { openPglite } = await import('@/db/pglite/disk');
    const { dbOver } = await import('@/db/client');
    let room = LEAST_ROOM;
    const host = new Host(await openPglite(undefined, IMAGE), () => room);
    await host.open();
    const db = dbOver((ask) => host.handle(ask));
    await db.transaction((tx) => tx.script('CREATE TABLE t (n integer)'));
    room = LEAST_ROOM - 1;
    await expect(db.transaction((tx) => tx.query('INSERT INTO t VALUES (1)'))).rejects.toMatchObject({
      code: 'no-room',
    });
    expect(await db.query('SELECT n FROM t')).toEqual([]);
    expect(await db.read((tx) => tx.query('SELECT n FROM t'))).toEqual([]);
    room = LEAST_ROOM;
    await db.transaction((tx) => tx.query('INSERT INTO t VALUES (2)'));
    expect(await db.query('SELECT n FROM t')).toEqual([{ n: 2 }]);
  });

  const mounts = (folder: string) =>
    spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=140m', 'tmpfs', folder]).status === 0;
  const probe = fs.mkdtempSync(path.join(root, 'mount-'));
  const canMount = mounts(probe) && spawnSync('umount', [probe]).status === 0;

  it.runIf(canMount)(
    'of its own fills up while one writes: refused with a sentence, read on, and all is kept when room is made',
    async () => {
      const folder = fresh();
      fs.mkdirSync(folder);
      mounts(folder);
      try {
        await filled;
        fs.cpSync(whole, folder, { recursive: true });
        const db = await openDb({ folder, thread: sourceThread, limits: { told: 4000, ended: 8000 } });
        await db.transaction((tx) => tx.script('CREATE TABLE t (n integer, text text)'));
        const stone = path.join(folder, 'stone');
        let kept = 0;
        let refused: unknown;
        for (; kept < 400 && !refused;) {
          try {
            await db.transaction((tx) => tx.query("INSERT INTO t VALUES ($1, repeat('x', 200000))", [kept]));
            kept += 1;
            // Somebody else writes on the same disk.
            fs.appendFileSync(stone, Buffer.alloc(500_000));
          } catch (error) {
            refused = error;
          }
        }
        expect(refused).toMatchObject({ name: 'DbUnavailable', why: 'no-room' });
        const n = async () => (await db.query<{ n: number }>('SELECT count(*)::int AS n FROM t'))[0]!.n;
        expect(await n()).toBe(kept);
        fs.rmSync(stone);
        await db.transaction((tx) => tx.query("INSERT INTO t VALUES (-1, '')"));
        expect(await n()).toBe(kept + 1);
        // Begun with room, and then more than there is.
        const flood = db.transaction((tx) =>
          tx.query('INSERT INTO t SELECT n, repeat(md5(n::text), 60) FROM generate_series(1, 200000) n'),
        );
        await expect(flood).rejects.toMatchObject({ name: 'DbUnavailable', why: 'no-room' });
        expect(await n()).toBe(kept + 1);
        await db.close();
      } finally {
        spawnSync('umount', [folder]);
      }
    },
  );
});
