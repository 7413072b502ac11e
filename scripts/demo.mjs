/** npm run demo: installs what is missing, builds, and serves the made-up shop. Listens on this machine only, unless LOPREN_HOST says otherwise. */
import { build, install, serve } from './lib.mjs';

install();
build();
await serve({
  LOPREN_DEMO: '1',
  LOPREN_DATA: process.env.LOPREN_DATA ?? 'data-demo',
  LOPREN_SAYS: 'Lopren’s demo shop is open at',
  LOPREN_ADDS: process.env.LOPREN_HOST
    ? 'Its PINs stand in demo/people.ts: other machines are not told them. Ctrl C closes it.\n'
    : 'The sign-in page shows its people and their PINs. Ctrl C closes it.\n',
});
