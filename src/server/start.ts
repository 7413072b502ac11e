import { house } from './compose';

/** Opens the house, or ends the process with one sentence. */
export async function startHouse(): Promise<void> {
  try {
    await house();
  } catch (error) {
    process.stderr.write(`\nLopren cannot start. ${error instanceof Error ? error.message : String(error)}\n`);
    process.exit(1);
  }
}
