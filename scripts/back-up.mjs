/** npm run back-up [file]: one file of the whole data folder (LOPREN_DATA), made while the shop runs. */
import { spawnSync } from 'node:child_process';
import { build, install } from './lib.mjs';

install();
build();
const done = spawnSync(process.execPath, ['.build/back-up.mjs', ...process.argv.slice(2)], { stdio: 'inherit' });
process.exit(done.status ?? 1);
