/** npm run dev: the demo shop with hot reload. */
import { ENV, install, port, tool } from './lib.mjs';

install();
tool('next', ['dev', '-p', port(), '-H', '127.0.0.1'], {
  env: { ...ENV, LOPREN_DEMO: '1', LOPREN_DATA: process.env.LOPREN_DATA ?? 'data-dev' },
});
