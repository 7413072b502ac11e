/** npm run back-up [file]: asks the shop that runs on the data folder, or backs the folder up itself when none does. */
import path from 'node:path';
import { takeFolder } from '@/db/pglite/lock';
import { makeArchive } from '@/server/back-up/archive';
import { nameAt } from '@/server/back-up/back-ups';
import { askRunning } from '@/server/back-up/control';
import { sayIssue } from '@/words/issues';

const folder = path.resolve(process.env.LOPREN_DATA ?? 'data');
const file = process.argv[2] && path.resolve(process.argv[2]);

async function withoutShop(): Promise<{ ok: boolean; said: string }> {
  const lock = await takeFolder(folder);
  const at = new Date();
  const into = file ?? path.join(folder, 'back-ups', nameAt(at));
  const made = await makeArchive({
    folder,
    file: into,
    at,
    copyIn: path.join(folder, 'back-ups'),
    hold: (work) => work(() => undefined),
  });
  lock.close();
  return made.ok
    ? { ok: true, said: `${into}, ${made.value.bytes} bytes, read back and whole.` }
    : { ok: false, said: made.issues.map((one) => sayIssue(one, 'in')).join(' ') };
}

try {
  const answer = (await askRunning(folder, { do: 'back-up', ...(file ? { file } : {}) })) ?? (await withoutShop());
  (answer.ok ? process.stdout : process.stderr).write(`${answer.said}\n`);
  process.exitCode = answer.ok ? 0 : 1;
} catch (error) {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exitCode = 1;
}
