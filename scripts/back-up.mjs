/** npm run back-up [file]: one file of the whole data folder (LOPREN_DATA), made while the shop runs. */
import { build, install, run } from './lib.mjs';

install();
build();
run('node', ['.build/back-up.mjs', ...process.argv.slice(2)]);
