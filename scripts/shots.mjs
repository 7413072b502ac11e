/** npm run shots: one current picture of each main view, from demo data, into docs/screenshots. */
import { build, install, tool } from './lib.mjs';

install();
build();
tool('tsx', ['scripts/shots/take.ts']);
