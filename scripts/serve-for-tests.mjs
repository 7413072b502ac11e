/**
 * Serves the production build for the browser tests, on data folders of their own: a port to tell that all answer,
 * then for each server its port and `demo` or `shop`, as `3931=demo`. They start beside one another.
 */
import fs from 'node:fs';
import http from 'node:http';
import os from 'node:os';
import path from 'node:path';
import { serveForTests } from './lib.mjs';

const POLL_MS = 200;
const [ready, ...wanted] = process.argv.slice(2);
const root = fs.mkdtempSync(path.join(os.tmpdir(), 'lopren-test-'));
const servers = wanted.map((one) => {
  const [port, mode] = one.split('=');
  const own = mode === 'demo' ? { LOPREN_DEMO: '1' } : { LOPREN_SET_UP_CODE: 'TESTS-CODES' };
  return { port, program: serveForTests({ PORT: port, LOPREN_DATA: path.join(root, port), ...own }, 'inherit') };
});
const stop = (code = 0) => {
  for (const { program } of servers) program.kill('SIGKILL');
  fs.rmSync(root, { recursive: true, force: true });
  process.exit(code);
};
process.on('SIGTERM', () => stop());
process.on('SIGINT', () => stop());
for (const { program } of servers) program.on('exit', (code) => stop(code ?? 1));

const answers = ({ port }) =>
  fetch(`http://127.0.0.1:${port}/sign-in`).then(
    ({ ok }) => ok,
    () => false,
  );
while (!(await Promise.all(servers.map(answers))).every(Boolean))
  await new Promise((resolve) => setTimeout(resolve, POLL_MS));
http.createServer((_request, response) => response.end('all of them answer')).listen(Number(ready), '127.0.0.1');
