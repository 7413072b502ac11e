import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import * as tar from 'tar';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { USUAL_SETTINGS } from '@/contract/settings';
import { type Db, openDb } from '@/db/client';
import { makeArchive, restoreArchive, verifyArchive } from '@/server/back-up/archive';
import { backUpsOf, lastDue, nameAt } from '@/server/back-up/back-ups';
import { photosIn } from '@/server/photos';
import { askRunning, listenForCommands } from '@/server/back-up/control';
import { sourceThread } from '../../scripts/tsx-thread';

const root = fs.mkdtempSync(path.join(os.tmpdir(), 'lopren-back-up-'));
const folder = path.join(root, 'data');
const at = new Date(2031, 4, 5, 10, 0, 0);
let db: Db;

beforeAll(async () => {
  db = await openDb({ folder, prepared: '.build/empty-database.tar', thread: sourceThread });
  await db.transaction((tx) =>
    tx.script(
      "INSERT INTO customer (id, name, created_at) SELECT gen_random_uuid(), 'C' || n, now() FROM generate_series(1, 3000) n",
    ),
  );
});
afterAll(async () => {
  await db.close();
  fs.rmSync(root, { recursive: true, force: true });
});
const hold = <T>(work: (going: () => void) => Promise<T>) => db.hold(work);
/** A folder with what a shop's has, but little of it: for what is not about the database. */
const little = path.join(root, 'little');
const FILES = {
  secret: 'k'.repeat(32),
  'db/PG_VERSION': '17',
  'db/base/1': 'x'.repeat(90_000),
  lock: '',
  'tls/key': 't',
};
beforeAll(() => {
  for (const [name, text] of Object.entries(FILES)) {
    fs.mkdirSync(path.dirname(path.join(little, name)), { recursive: true });
    fs.writeFileSync(path.join(little, name), text);
  }
  fs.mkdirSync(path.join(little, 'db/pg_wal'));
});
const still = <T>(work: (going: () => void) => Promise<T>) => work(() => undefined);
const makeLittle = async (name: string) => {
  const file = path.join(root, name);
  const made = await makeArchive({ folder: little, file, at, hold: still });
  expect(made.ok).toBe(true);
  return file;
};
const make = (name: string, held = hold) => {
  const file = path.join(root, name);
  return makeArchive({ folder, file, at, hold: held }).then((made) => ({ made, file }));
};

/** Every row of every table, in order, as text. */
async function everything(of: Db): Promise<Map<string, string>> {
  const tables = await of.query<{ name: string }>(
    "SELECT table_name AS name FROM information_schema.tables WHERE table_schema = 'public' ORDER BY 1",
  );
  const found = new Map<string, string>();
  for (const { name } of tables) {
    const rows = await of.query<{ row: string }>(`SELECT t::text AS row FROM "${name}" t ORDER BY 1`);
    found.set(name, rows.map(({ row }) => row).join('\n'));
  }
  return found;
}

describe('a back-up', () => {
  it('made while others write holds every row that was there when it stood still, and restores to it', async () => {
    let stop = false;
    let written = 0;
    const writing = (async () => {
      while (!stop) {
        await db.transaction((tx) =>
          tx.query("INSERT INTO customer (id, name, created_at) VALUES (gen_random_uuid(), 'later', now())"),
        );
        written += 1;
      }
    })();
    let atLeast = 0;
    const { made, file } = await make('while.tar.gz', (work) => {
      atLeast = written;
      return db.hold(work);
    });
    stop = true;
    await writing;
    expect(made).toMatchObject({ ok: true });
    // How long the longest of them waited is measured by `npm run bench`.
    expect(written).toBeGreaterThan(atLeast);

    const back = path.join(root, 'restored');
    expect((await restoreArchive(file, back)).ok).toBe(true);
    const again = await openDb({ folder: back, thread: sourceThread });
    const then = await everything(again);
    const later = then
      .get('customer')!
      .split('\n')
      .filter((row) => row.includes('later')).length;
    expect(later).toBeGreaterThanOrEqual(atLeast);
    expect(later).toBeLessThanOrEqual(written);
    await again.close();
    expect(fs.readFileSync(path.join(back, 'secret'))).toEqual(fs.readFileSync(path.join(folder, 'secret')));
  });

  it('restores to the same, table by table and row by row', async () => {
    const { file } = await make('same.tar.gz');
    const back = path.join(root, 'same');
    await restoreArchive(file, back);
    const again = await openDb({ folder: back, thread: sourceThread });
    const [was, is] = [await everything(db), await everything(again)];
    expect([...is.keys()]).toEqual([...was.keys()]);
    for (const [table, rows] of was) expect(is.get(table) === rows, table).toBe(true);
    expect(was.get('customer')!.split('\n').length).toBeGreaterThanOrEqual(3000);
    await again.close();
  });

  it('leaves out the lock, the socket and other back-ups', async () => {
    fs.mkdirSync(path.join(little, 'back-ups'), { recursive: true });
    fs.writeFileSync(path.join(little, 'back-ups', 'old.tar.gz'), 'old');
    const file = await makeLittle('left.tar.gz');
    const names: string[] = [];
    await tar.list({ file, onReadEntry: (entry) => void names.push(entry.path) });
    expect(names[0]).toBe('manifest.json');
    expect(names.some((name) => /^(lock|back-ups|control\.sock|tls)/.test(name))).toBe(false);
    expect(names).toEqual(expect.arrayContaining(['secret', 'db/PG_VERSION', 'db/pg_wal/']));
  });

  it('holds each photo once, and none of the small ones, which can be made again', async () => {
    const photos = photosIn(little);
    const picture = (shade: number) =>
      sharp({ create: { width: 900, height: 700, channels: 3, background: { r: shade, g: 9, b: 9 } } })
        .png()
        .toBuffer();
    const hashes: string[] = [];
    for (const shade of [10, 200, 10]) {
      const kept = await photos.keep(await picture(shade));
      if (!kept.ok) throw new Error(kept.issues[0]!.code);
      await photos.read(kept.value.hash, 'small');
      hashes.push(kept.value.hash);
    }
    const file = await makeLittle('photos.tar.gz');
    const names: string[] = [];
    await tar.list({ file, onReadEntry: (entry) => void names.push(entry.path) });
    const jpegs = names.filter((name) => name.endsWith('.jpg')).sort();
    expect(jpegs).toEqual([...new Set(hashes)].map((hash) => `photos/${hash.slice(0, 2)}/${hash}.jpg`).sort());
    const again = path.join(root, 'with-photos');
    expect((await restoreArchive(file, again)).ok).toBe(true);
    expect(await photosIn(again).read(hashes[1]!, 'small')).toBeDefined();
    for (const name of ['photos', 'small-photos']) fs.rmSync(path.join(little, name), { recursive: true });
  });

  it('that was changed, cut short or made up is not restored, and nothing is written', async () => {
    const file = await makeLittle('whole.tar.gz');
    const to = path.join(root, 'never');
    const bytes = fs.readFileSync(file);
    const cases: [string, Buffer][] = [
      ['cut', bytes.subarray(0, Math.floor(bytes.length / 2))],
      ['no archive', Buffer.from('not a back-up')],
      ['empty', Buffer.alloc(0)],
      ['turned', Buffer.concat([bytes.subarray(0, 5000), Buffer.from([bytes[5000]! ^ 1]), bytes.subarray(5001)])],
    ];
    for (const [name, broken] of cases) {
      const bad = path.join(root, `${name}.tar.gz`);
      fs.writeFileSync(bad, broken);
      const done = await restoreArchive(bad, to);
      expect([name, done.ok, fs.existsSync(to)]).toEqual([name, false, false]);
    }
    // A file changed inside an archive that is otherwise right.
    const inside = fs.mkdtempSync(path.join(root, 'inside-'));
    await tar.extract({ file, cwd: inside });
    fs.appendFileSync(path.join(inside, 'db/PG_VERSION'), 'x');
    const changed = path.join(root, 'changed.tar.gz');
    await tar.create({ file: changed, cwd: inside, gzip: true }, ['manifest.json', 'db', 'secret']);
    expect(await verifyArchive(changed)).toBe('db/PG_VERSION is not as it was');
    fs.rmSync(path.join(inside, 'manifest.json'));
    await tar.create({ file: changed, cwd: inside, gzip: true }, ['db', 'secret']);
    expect(await verifyArchive(changed)).toBe('it has no list of its files');
  });

  it('is not restored over anything', async () => {
    const file = await makeLittle('onto.tar.gz');
    const to = path.join(root, 'used');
    fs.mkdirSync(to);
    fs.writeFileSync(path.join(to, 'letter'), 'x');
    expect(await restoreArchive(file, to)).toMatchObject({ ok: false, issues: [{ code: 'restore-not-empty' }] });
    expect(fs.readdirSync(to)).toEqual(['letter']);
    expect(await restoreArchive(path.join(root, 'none.tar.gz'), to)).toMatchObject({
      issues: [{ code: 'restore-no-file' }],
    });
  });
});

describe('the back-ups of a shop', { timeout: 180_000 }, () => {
  const clock = { at, now: () => clock.at };
  const settings = { ...USUAL_SETTINGS, backUpsKept: 2 };
  const backUps = () => backUpsOf(little, { hold: still } as Db, clock, async () => settings);

  it('are kept so many, the newest first; one at a time', async () => {
    fs.rmSync(path.join(little, 'back-ups'), { recursive: true, force: true });
    const mine = backUps();
    for (const day of [7, 8, 9]) {
      clock.at = new Date(2031, 4, day, 12);
      expect((await mine.make()).ok).toBe(true);
    }
    expect((await mine.list()).map((one) => one.name)).toEqual([9, 8].map((day) => nameAt(new Date(2031, 4, day, 12))));
    const both = await Promise.all([mine.make(), mine.make()]);
    expect(both.map((one) => (one.ok ? 'made' : one.issues[0]!.code)).sort()).toEqual(['back-up-running', 'made']);
  });

  it('are made each night at the hour, once, also when the shop was closed then, unless it is switched off', async () => {
    fs.rmSync(path.join(little, 'back-ups'), { recursive: true, force: true });
    const mine = backUps();
    const at2 = { ...settings, backUpHour: 2 };
    clock.at = new Date(2031, 4, 10, 1, 59);
    expect((await mine.nightly(at2))!.ok).toBe(true);
    expect(await mine.nightly(at2)).toBeUndefined();
    clock.at = new Date(2031, 4, 10, 2, 0, 30);
    expect((await mine.nightly(at2))!.ok).toBe(true);
    clock.at = new Date(2031, 4, 10, 23);
    expect(await mine.nightly(at2)).toBeUndefined();
    clock.at = new Date(2031, 4, 12, 9);
    expect(await mine.nightly({ ...at2, backUpNightly: false })).toBeUndefined();
    expect((await mine.nightly(at2))!.ok).toBe(true);
    expect(lastDue(new Date(2031, 4, 12, 1), 2)).toEqual(new Date(2031, 4, 11, 2));
    expect(lastDue(new Date(2031, 4, 12, 2), 2)).toEqual(new Date(2031, 4, 12, 2));
  });

  it('that were half made when the program ended are swept at the next start, key and all; whole ones stay', async () => {
    const place = path.join(little, 'back-ups');
    const mine = backUps();
    const whole = await mine.make();
    expect(whole.ok).toBe(true);
    const kept = fs.readdirSync(place).sort();
    for (const half of ['.making-Ab12Cd', '.making-Zz99Yy']) {
      fs.mkdirSync(path.join(place, half, 'db'), { recursive: true });
      fs.writeFileSync(path.join(place, half, 'secret'), 'k'.repeat(32));
    }
    fs.writeFileSync(path.join(place, `${nameAt(at)}.making`), 'half');
    fs.writeFileSync(path.join(place, 'notes.txt'), 'not ours');
    mine.sweep();
    expect(fs.readdirSync(place).sort()).toEqual([...kept, 'notes.txt'].sort());
    fs.rmSync(path.join(place, 'notes.txt'));
  });

  it('made in another folder are copied in the shop’s own first, where a half one is swept', async () => {
    const other = path.join(root, 'other');
    const seen = new Set<string>();
    const watched = {
      hold: async <T>(work: (going: () => void) => Promise<T>) => {
        for (const where of [other, path.join(little, 'back-ups')])
          for (const name of fs.existsSync(where) ? fs.readdirSync(where) : [])
            if (name.startsWith('.making-')) seen.add(path.basename(where));
        return work(() => undefined);
      },
    };
    const mine = backUpsOf(little, watched as Db, clock, async () => settings);
    expect((await mine.make(path.join(other, 'elsewhere.tar.gz'))).ok).toBe(true);
    expect([...seen]).toEqual(['back-ups']);
    expect(fs.readdirSync(other)).toEqual(['elsewhere.tar.gz']);
  });

  it('are asked for by a command through a socket in the folder', async () => {
    const mine = backUps();
    const server = listenForCommands(little, mine);
    await new Promise((resolve) => server.once('listening', resolve));
    const file = path.join(root, 'asked.tar.gz');
    const answer = await askRunning(little, { do: 'back-up', file });
    expect(answer).toMatchObject({ ok: true, said: expect.stringContaining('read back and whole') });
    expect(await verifyArchive(file)).toBeUndefined();
    expect(await askRunning(little, { do: 'something' } as never)).toMatchObject({ ok: false });
    await new Promise((resolve) => server.close(resolve));
    expect(await askRunning(little, { do: 'back-up' })).toBeUndefined();
  });
});
