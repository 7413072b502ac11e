/** npm run many -- 100000 20000: the demo shop after twenty years, with that many orders and mouldings; see many/many.ts. */
import { build, install, tool } from './lib.mjs';

install();
build();
tool('tsx', ['scripts/many/many.ts', ...process.argv.slice(2)]);
