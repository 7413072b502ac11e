/** A back-up of a shop of BACK_UP_MB (default 1000) while others write: how long they are held, how long it takes. */
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { openDb } from '@/db/client';
import { makeArchive } from '@/server/back-up/archive';
import { sourceThread } from '../tsx-thread';
import { say, sayOne } from './figures';

const MEGABYTES = Number(process.env.BACK_UP_MB ?? 1000);
const ROWS = 20_000;
const ROW_BYTES = 1900;
const root = fs.mkdtempSync(path.join(os.tmpdir(), 'lopren-bench-'));
const folder = path.join(root, 'data');
const limits = { told: 120_000, ended: 240_000 };
const db = await openDb({ folder, prepared: '.build/empty-database.tar', thread: sourceThread, limits });
await db.transaction((tx) => tx.script('CREATE TABLE filler (n bigint, text text)'));
for (let done = 0; done < MEGABYTES * 1e6; done += ROWS * ROW_BYTES)
  await db.transaction((tx) =>
    tx.script(
      `INSERT INTO filler SELECT n, repeat(md5(random()::text), ${Math.floor(ROW_BYTES / 32)}) FROM generate_series(1, ${ROWS}) n`,
    ),
  );
await db.hold(async () => undefined);
let stop = false;
const others: number[] = [];
const writing = (async () => {
  while (!stop) {
    const from = performance.now();
    const page = Math.floor(Math.random() * ((MEGABYTES * 1e6) / 8192));
    await db.transaction((tx) => tx.query('UPDATE filler SET n = n + 1 WHERE ctid = $1::tid', [`(${page},1)`]));
    others.push(performance.now() - from);
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
})();
const holds: number[] = [];
const from = performance.now();
const made = await makeArchive({
  folder,
  file: path.join(root, 'back-up.tar.gz'),
  at: new Date(),
  hold: async (work) => {
    const begun = performance.now();
    const done = await db.hold(work);
    holds.push(performance.now() - begun);
    return done;
  },
});
sayOne(
  `a back-up of ${MEGABYTES} MB, read back`,
  made.ok
    ? `${Math.round(performance.now() - from)} ms, ${Math.round(made.value.bytes / 1e6)} MB`
    : JSON.stringify(made.issues),
);
stop = true;
await writing;
sayOne('  the database stood still for', holds.map((ms) => `${Math.round(ms)} ms`).join(' and '));
say('  what others waited to write', others);
sayOne('  the longest', `${Math.round(Math.max(...others))} ms`);
await db.close();
fs.rmSync(root, { recursive: true, force: true });
process.exit(0);
