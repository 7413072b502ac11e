/** npm run mutants: changes prices and commands one place at a time, and counts the changes that no test notices. */
import { build, install, tool } from './lib.mjs';

install();
// The tests open an empty database that the build prepares.
build();
tool('stryker', ['run', 'stryker.config.mjs', ...process.argv.slice(2)]);
