/** What other requests feel while the database is busy for two seconds, and what a durable commit costs. */
import fs from 'node:fs';
import http from 'node:http';
import os from 'node:os';
import path from 'node:path';
import { openDb } from '@/db/client';
import { migrate, readMigrations } from '@/db/migrate';
import { sourceThread } from '../tsx-thread';
import { say, sayOne } from './figures';

const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'lopren-bench-'));
let from = performance.now();
const db = await openDb({ folder, prepared: '.build/empty-database.tar', thread: sourceThread });
sayOne('opening an empty folder', `${Math.round(performance.now() - from)} ms`);
await migrate(db, readMigrations('src/db/migrations'));

const commits: number[] = [];
for (let k = 0; k < 300; k += 1) {
  from = performance.now();
  await db.transaction((tx) =>
    tx.query('INSERT INTO customer (id, name, created_at) VALUES (gen_random_uuid(), $1, now())', [`C${k}`]),
  );
  commits.push(performance.now() - from);
}
say('one commit, flushed to disk', commits);

const server = http.createServer((_request, response) => response.end('here'));
await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
const { port } = server.address() as { port: number };
const ask = async () => {
  const begun = performance.now();
  await (await fetch(`http://127.0.0.1:${port}/`)).text();
  return performance.now() - begun;
};
for (let k = 0; k < 50; k += 1) await ask();
let busy = true;
from = performance.now();
const long = db
  .query('SELECT count(*) FROM generate_series(1, 3800) a, generate_series(1, 3800) b WHERE (a * b) % 7 = 3')
  .then(() => (busy = false));
const during: number[] = [];
while (busy) during.push(await ask());
await long;
sayOne('a long query took', `${Math.round(performance.now() - from)} ms`);
say('other requests of the same process meanwhile', during);
server.close();
await db.close();
fs.rmSync(folder, { recursive: true, force: true });
