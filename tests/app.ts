/** An application on a database in memory, with a clock that tests can set, for use cases without a browser. */
import type { Asked, CommandName, Role } from '@/contract/commands';
import type { Db } from '@/db/client';
import { type Person, staffByName } from '@/db/queries/staff';
import type { Viewer } from '@/server/access';
import { handlers, readyings } from '@/server/commands';
import { contextOver } from '@/server/compose';
import { handleCommand } from '@/server/door';
import type { AppContext } from '@/server/app-context';
import { borrowed } from './databases';

export interface TestApp extends AppContext {
  readonly clock: { now(): Date; at: Date };
  readonly owner: Person;
  command<N extends CommandName>(
    name: N,
    payload: Asked<N>,
    options?: { id?: string; as?: Person | undefined; session?: string; program?: boolean; link?: string },
  ): ReturnType<typeof handleCommand>;
  setUp(homeUnit?: 'in' | 'mm'): Promise<void>;
  /** The same app, its owner being somebody who is there already. */
  as(owner: Person): TestApp;
  /** Somebody of that role who looks at a view; Ada for the owner. */
  viewer<R extends Role = 'owner'>(role?: R): Viewer<R>;
}

export const openApp = async (): Promise<TestApp> => testApp(await borrowed());

/** An application on a database that is there already. */
export function testApp(db: Db): TestApp {
  const clock = { at: new Date('2031-05-05T10:00:00Z'), now: () => clock.at };
  const app = contextOver(db, clock, Buffer.alloc(32, 7), false);
  const ada = { id: '', name: 'Ada', role: 'owner' as const };
  const command: TestApp['command'] = async (name, payload, { id = crypto.randomUUID(), ...options } = {}) => {
    const person = 'as' in options ? options.as : ada;
    const asker = { person, session: options.session, program: options.program ?? false, link: options.link };
    return handleCommand(app, asker, { id, name, payload }, handlers, readyings);
  };
  /** Sets the shop up; its owner is Ada. */
  const setUp: TestApp['setUp'] = async (homeUnit = 'in') => {
    const payload = { shop: 'Test shop', owner: 'Ada', pin: '1357', homeUnit, code: '' };
    const done = await command('set-up-shop', payload, { as: undefined });
    if (!done.ok) throw new Error(JSON.stringify(done.issues));
    ada.id = (await staffByName(db, 'Ada'))!.id;
  };
  const viewer = ((role: Role = 'owner') => ({
    app,
    session: 'test',
    person: role === 'owner' ? ada : { id: crypto.randomUUID(), name: role, role },
  })) as unknown as TestApp['viewer'];
  const test: TestApp = {
    ...app,
    clock,
    owner: ada,
    command,
    setUp,
    viewer,
    as: ({ id, name }) => (Object.assign(ada, { id, name }), test),
  };
  return test;
}
