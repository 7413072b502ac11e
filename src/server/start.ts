import { type DbState, isDbError, isUnavailable } from '@/db/client';
import { closeApp, appContext } from './compose';

/** Where `front/serve.ts` finds how to end the application and how it is: it is bundled apart. */
const CLOSE = Symbol.for('lopren.close');
const STATE = Symbol.for('lopren.state');

/** Why a start came to nothing, in sentences for whoever began it: what happened, what is safe, what to do. */
export function startTrouble(error: unknown): string {
  const said = error instanceof Error ? error.message : String(error);
  if (isUnavailable(error))
    return error.why === 'no-room'
      ? 'The disk is nearly full. Nothing was lost. Make room for at least 100 MB, then start Lopren again.'
      : 'The database stopped answering while Lopren was starting. Nothing was lost. Start it again; if that fails too, restart this computer first.';
  if (isDbError(error))
    return `The database refused something while Lopren was starting (${said}). Nothing was changed. Start it again; if that fails too, restore the newest back-up into an empty folder (npm run restore).`;
  return said.endsWith('.') ? said : `${said}. Nothing was changed; start it again.`;
}

/** Opens the application, or ends the process and says why. */
export async function startHouse(): Promise<void> {
  // The program round this one ends it too.
  const round = globalThis as { [CLOSE]?: typeof closeApp; [STATE]?: () => DbState };
  round[CLOSE] = closeApp;
  try {
    const { db } = await appContext();
    round[STATE] = () => db.state();
  } catch (error) {
    process.stderr.write(`\nLopren cannot start. ${startTrouble(error)}\n`);
    process.exit(1);
  }
}
