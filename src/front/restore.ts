/** npm run restore file: unpacks a back-up into the data folder, which must be empty. */
import path from 'node:path';
import { restoreArchive } from '@/server/back-up/archive';
import { sayIssue } from '@/words/issues';

const file = process.argv[2];
const folder = path.resolve(process.env.LOPREN_DATA ?? 'data');
if (!file) {
  process.stderr.write('Which back-up? npm run restore -- FILE, with LOPREN_DATA naming an empty folder.\n');
  process.exit(1);
}
const done = await restoreArchive(path.resolve(file), folder);
if (done.ok) {
  process.stdout.write(`Restored ${done.value.files.length} files of ${done.value.at} into ${folder}.\n`);
} else {
  process.stderr.write(`${done.issues.map((one) => sayIssue(one, 'in')).join(' ')}\n`);
  process.exitCode = 1;
}
