/** npm run demo: installs what is missing, builds, and serves the made-up shop. Listens on this machine only, unless LOPREN_HOST says otherwise. */
import { build, install, serve } from './lib.mjs';

install();
build();
const host = process.env.LOPREN_HOST ?? '127.0.0.1';
const { address, ended } = await serve({ LOPREN_DEMO: '1', LOPREN_DATA: process.env.LOPREN_DATA ?? 'data-demo' }, host);
process.stdout.write(
  `\nLopren’s demo shop is open at ${address}\nThe sign-in page shows its people and their PINs. Ctrl C closes it.\n`,
);
process.exit((await ended) ?? 0);
