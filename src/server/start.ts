import type { DbState } from '@/db/client';
import { closeHouse, house } from './compose';

/** Where `front/serve.ts` finds how to end the house and how it is: it is bundled apart. */
const CLOSE = Symbol.for('lopren.close');
const STATE = Symbol.for('lopren.state');

/** Opens the house, or ends the process with one sentence. */
export async function startHouse(): Promise<void> {
  // The program round this one ends the house with it.
  const round = globalThis as { [CLOSE]?: typeof closeHouse; [STATE]?: () => DbState };
  round[CLOSE] = closeHouse;
  try {
    const { db } = await house();
    round[STATE] = () => db.state();
  } catch (error) {
    process.stderr.write(`\nLopren cannot start. ${error instanceof Error ? error.message : String(error)}\n`);
    process.exit(1);
  }
}
