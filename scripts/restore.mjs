/** npm run restore file: puts a back-up into the data folder (LOPREN_DATA), which must be empty. */
import { spawnSync } from 'node:child_process';
import { build, install } from './lib.mjs';

install();
build();
const done = spawnSync(process.execPath, ['.build/restore.mjs', ...process.argv.slice(2)], { stdio: 'inherit' });
process.exit(done.status ?? 1);
