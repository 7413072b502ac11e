/** What the commands share: installing what is missing, building when the sources changed, starting the server. */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import fs from 'node:fs';
import net from 'node:net';
import path from 'node:path';

export const ENV = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' };
const bin = (name) => path.join('node_modules', '.bin', process.platform === 'win32' ? `${name}.cmd` : name);

/** Runs a program to its end; ends this one when it fails. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { stdio: 'inherit', env: ENV, ...options });
  if (done.status !== 0) {
    process.stderr.write(`\n${[command, ...args].join(' ')} failed\n`);
    process.exit(done.status ?? 1);
  }
}
export const tool = (name, args, options) => run(bin(name), args, options);

const digest = (files) => {
  const hash = createHash('sha256');
  for (const file of files) hash.update(file).update(fs.readFileSync(file));
  return hash.digest('hex');
};
const stamp = (file) => (fs.existsSync(file) ? fs.readFileSync(file, 'utf8') : '');

/** Installs the packages of the lock file when they are not there yet. */
export function install() {
  const wanted = digest(['package.json', 'package-lock.json']);
  const mark = path.join('node_modules', '.lopren-installed');
  if (stamp(mark) === wanted) return;
  process.stdout.write('Installing packages …\n');
  run('npm', ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error'], {
    shell: process.platform === 'win32',
  });
  fs.writeFileSync(mark, wanted);
}

const sources = () => {
  const found = [];
  const walk = (folder) => {
    for (const entry of fs.readdirSync(folder, { withFileTypes: true })) {
      const file = path.join(folder, entry.name);
      if (entry.isDirectory()) walk(file);
      else if (!/\.test\.tsx?$/.test(entry.name)) found.push(file);
    }
  };
  for (const folder of ['src', 'demo', 'public']) if (fs.existsSync(folder)) walk(folder);
  return [...found.sort(), 'next.config.ts', 'tsconfig.json', 'package-lock.json', 'scripts/prepare-database.mjs'];
};

/** The production build and the prepared empty database, made again only when a source changed. */
export function build() {
  const wanted = digest(sources());
  const mark = path.join('.build', 'built');
  if (stamp(mark) === wanted && fs.existsSync('.next/BUILD_ID')) return;
  fs.mkdirSync('.build', { recursive: true });
  process.stdout.write('Building …\n');
  tool('next', ['build']);
  run('node', ['scripts/prepare-database.mjs']);
  fs.writeFileSync(mark, wanted);
}

export const port = () => process.env.PORT ?? '3000';

/** Whether nobody listens there yet; otherwise another server's answer would be taken for ours. */
const free = (host) =>
  new Promise((resolve) => {
    const probe = net.createServer();
    probe.once('error', () => resolve(false));
    probe.listen(Number(port()), host, () => probe.close(() => resolve(true)));
  });

/** Starts the built server; resolves with its address once it answers. */
export async function serve(env, host) {
  const address = `http://${host === '0.0.0.0' ? 'localhost' : host}:${port()}`;
  if (!(await free(host))) {
    process.stderr.write(`Port ${port()} is taken by another program. Stop it, or set PORT to another number.\n`);
    process.exit(1);
  }
  const server = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'start', '-p', port(), '-H', host], {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...ENV, ...env },
  });
  const ended = new Promise((resolve) => server.once('exit', resolve));
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  let alive = true;
  void ended.then(() => (alive = false));
  while (alive) {
    const answer = await fetch(`${address}/sign-in`).catch(() => undefined);
    if (answer?.ok) break;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  if (!alive) process.exit(1);
  return { address, server, ended };
}
