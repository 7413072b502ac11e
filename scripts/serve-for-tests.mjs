/** Serves the production build on a data folder of its own, for the browser tests: PORT, then `demo` or `shop`. */
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { serveApart } from './lib.mjs';

const [port, mode] = process.argv.slice(2);
const data = fs.mkdtempSync(path.join(os.tmpdir(), 'lopren-test-'));
const own = mode === 'demo' ? { LOPREN_DEMO: '1' } : { LOPREN_SET_UP_CODE: 'TESTS-CODES' };
const server = serveApart({ PORT: port, LOPREN_DATA: data, ...own }, 'inherit');
const stop = () => {
  server.kill('SIGKILL');
  fs.rmSync(data, { recursive: true, force: true });
  process.exit(0);
};
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
server.on('exit', (code) => process.exit(code ?? 1));
