/** npm run restore file: puts a back-up into the data folder (LOPREN_DATA), which must be empty. */
import { build, install, run } from './lib.mjs';

install();
build();
run('node', ['.build/restore.mjs', ...process.argv.slice(2)]);
