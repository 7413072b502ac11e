import { closeHouse, house } from './compose';

/** Where `front/serve.ts` finds how to end the house: it is bundled apart. */
const CLOSE = Symbol.for('lopren.close');

/** Opens the house, or ends the process with one sentence. */
export async function startHouse(): Promise<void> {
  // The program round this one ends the house with it.
  (globalThis as { [CLOSE]?: typeof closeHouse })[CLOSE] = closeHouse;
  try {
    await house();
  } catch (error) {
    process.stderr.write(`\nLopren cannot start. ${error instanceof Error ? error.message : String(error)}\n`);
    process.exit(1);
  }
}
