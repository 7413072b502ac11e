/**
 * npm run wide: the long loops over made-up instances, of which npm test does a quarter (see tests/wide.ts), and every walk
 * by browser, of which npm test leaves out those that the screens' own tests mostly hold.
 */
import { build, install, tool } from './lib.mjs';

install();
build();
process.env.WIDE = '1';
tool('vitest', ['run'], { env: { ...process.env } });
tool('playwright', ['test'], { env: { ...process.env } });
