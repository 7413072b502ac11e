/** npm start: your own shop, with its data in ./data (LOPREN_DATA). The first visit asks for the owner's name and PIN. */
import { build, install, serve } from './lib.mjs';

install();
build();
const { address, ended } = await serve(
  { LOPREN_DATA: process.env.LOPREN_DATA ?? 'data' },
  process.env.LOPREN_HOST ?? '0.0.0.0',
);
process.stdout.write(`\nLopren is open at ${address}\n`);
process.exit((await ended) ?? 0);
