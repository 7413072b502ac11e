/** npm run kill -- 200: the server is killed in the middle of saves, so many times; npm test does it twenty times. */
import { build, install, run } from './lib.mjs';

install();
build();
run(process.execPath, ['tests/crash/kill-loop.mjs'], { env: { ...process.env, KILLS: process.argv[2] ?? '100' } });
