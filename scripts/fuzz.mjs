/** npm run fuzz: what nobody should ask, of every page, route and command, as every role; see fuzz.ts. */
import { build, install, tool } from './lib.mjs';

install();
build();
tool('tsx', ['scripts/fuzz.ts']);
