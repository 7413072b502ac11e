/** npm run bench: how fast and how heavy, on this machine, in production mode. Prints figures; judges nothing. */
import os from 'node:os';
import { build, install, run, tool } from './lib.mjs';

install();
build();
process.stdout.write(`${os.cpus().length} cores, ${os.cpus()[0]?.model.trim()}, Node ${process.version}\n`);
// As plain JavaScript: the loader used for the other two wraps every function, which the core would feel.
tool('vite', [
  'build',
  '--config',
  'vitest.config.mts',
  '--ssr',
  'scripts/bench/core.ts',
  '--outDir',
  '.build/bench',
  '--logLevel',
  'error',
]);
run(process.execPath, ['.build/bench/core.js']);
tool('tsx', ['scripts/bench/database.ts']);
tool('tsx', ['scripts/bench/years.ts']);
tool('tsx', ['scripts/bench/import.ts']);
tool('tsx', ['scripts/bench/back-up.ts']);
tool('tsx', ['scripts/bench/browser.ts']);
tool('tsx', ['scripts/bench/cutting.ts']);
