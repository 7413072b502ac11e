/** Serves the production build on a data folder of its own, for the browser tests: PORT, then `demo` or `shop`. */
import { spawn } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { ENV } from './lib.mjs';

const [port, mode] = process.argv.slice(2);
const data = fs.mkdtempSync(path.join(os.tmpdir(), 'lopren-test-'));
const env = { ...ENV, LOPREN_DATA: data, ...(mode === 'demo' ? { LOPREN_DEMO: '1' } : {}) };
const server = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'start', '-p', port, '-H', '127.0.0.1'], {
  stdio: 'inherit',
  env,
});
const stop = () => {
  server.kill('SIGKILL');
  fs.rmSync(data, { recursive: true, force: true });
  process.exit(0);
};
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
server.on('exit', (code) => process.exit(code ?? 1));
