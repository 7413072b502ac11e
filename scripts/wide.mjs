/** npm run wide: the long loops over made-up instances, of which npm test does a quarter; see tests/wide.ts. */
import { build, install, tool } from './lib.mjs';

install();
build();
process.env.WIDE = '1';
tool('vitest', ['run', ...process.argv.slice(2)], { env: { ...process.env } });
