/** npm run bench: how fast and how heavy, on this machine, in production mode. Prints figures; judges nothing. */
import os from 'node:os';
import { build, install, tool } from './lib.mjs';

install();
build();
process.stdout.write(`${os.cpus().length} cores, ${os.cpus()[0]?.model.trim()}, Node ${process.version}\n`);
tool('tsx', ['scripts/bench/core.ts']);
tool('tsx', ['scripts/bench/database.ts']);
tool('tsx', ['scripts/bench/browser.ts']);
