/** A house on a database in memory, with a clock that tests can set, for use cases without a browser. */
import { type CommandName, type Payload } from '@/contract/commands';
import { dbOver } from '@/db/client';
import { migrate, readMigrations } from '@/db/migrate';
import { openPglite } from '@/db/pglite/disk';
import { Host } from '@/db/pglite/host';
import type { Person } from '@/db/queries/staff';
import { handlers } from '@/server/commands';
import { houseOver } from '@/server/compose';
import { enter } from '@/server/door';
import type { House } from '@/server/house';

export interface TestHouse extends House {
  readonly clock: { now(): Date; at: Date };
  readonly owner: Person;
  command<N extends CommandName>(
    name: N,
    payload: Payload<N>,
    options?: { id?: string; as?: Person | undefined },
  ): ReturnType<typeof enter>;
}

export async function openHouse(): Promise<TestHouse> {
  const host = new Host(await openPglite(undefined, '.build/empty-database.tar'));
  const db = dbOver((ask) => host.handle(ask));
  await migrate(db, readMigrations('src/db/migrations'));
  const clock = { at: new Date('2031-05-05T10:00:00Z'), now: () => clock.at };
  const house = houseOver(db, clock, Buffer.alloc(32, 7), false);
  const owner: Person = { id: crypto.randomUUID(), name: 'Ada', role: 'owner' };
  const command: TestHouse['command'] = (name, payload, { id = crypto.randomUUID(), ...options } = {}) =>
    enter(house, 'as' in options ? options.as : owner, { id, name, payload }, handlers);
  return { ...house, clock, owner, command };
}
