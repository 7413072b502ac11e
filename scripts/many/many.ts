/** npm run many -- ORDERS MOULDINGS: twenty years of the demo shop, in the folder that LOPREN_DATA names. */
import fs from 'node:fs';
import path from 'node:path';
import { seedDemo } from '@demo/seed';
import { openDb } from '@/db/client';
import { migrate, readMigrations } from '@/db/migrate';
import { systemClock } from '@/server/clock';
import { contextOver } from '@/server/compose';
import { sourceCuttingThread } from '../cutting-thread';
import { sourceThread } from '../tsx-thread';
import { PATIENT, fillYears } from './years';

const [orders = 100_000, mouldings = 20_000] = process.argv.slice(2).map(Number);
const folder = path.resolve(process.env['LOPREN_DATA'] ?? 'data-many');
const db = await openDb({ folder, prepared: '.build/empty-database.tar', thread: sourceThread, limits: PATIENT });
await migrate(db, readMigrations('src/db/migrations'));
const secret = fs.readFileSync(path.join(folder, 'secret'));
const app = contextOver(db, systemClock, secret, true, { thread: sourceCuttingThread });
await seedDemo(app);
const begun = performance.now();
await fillYears(db, {
  orders,
  mouldings,
  now: new Date(),
  tell: (done) => process.stdout.write(`${Math.round((performance.now() - begun) / 1000)} s  ${done}\n`),
});
await db.close();
process.stdout.write(`The years are in ${folder}. LOPREN_DEMO=1 LOPREN_DATA=${folder} npm start serves them.\n`);
process.exit(0);
