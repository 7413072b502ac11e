import type { DbState } from '@/db/client';
import { closeApp, appContext } from './compose';

/** Where `front/serve.ts` finds how to end the application and how it is: it is bundled apart. */
const CLOSE = Symbol.for('lopren.close');
const STATE = Symbol.for('lopren.state');

/** Opens the application, or ends the process with one sentence. */
export async function startHouse(): Promise<void> {
  // The program round this one ends it too.
  const round = globalThis as { [CLOSE]?: typeof closeApp; [STATE]?: () => DbState };
  round[CLOSE] = closeApp;
  try {
    const { db } = await appContext();
    round[STATE] = () => db.state();
  } catch (error) {
    process.stderr.write(`\nLopren cannot start. ${error instanceof Error ? error.message : String(error)}\n`);
    process.exit(1);
  }
}
