/** What the commands share: installing what is missing, building when the sources changed, starting the server. */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';

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
  return [
    ...found.sort(),
    'next.config.ts',
    'tsconfig.json',
    'package-lock.json',
    'scripts/prepare-database.mjs',
    'scripts/bundle.mjs',
  ];
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
  run('node', ['scripts/bundle.mjs']);
  fs.writeFileSync(mark, wanted);
}

export const port = () => process.env.PORT ?? '3000';

/** Serves the built shop in this process, as the environment says; returns when it answers. */
export async function serve(env) {
  Object.assign(process.env, { NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1', PORT: port(), ...env });
  await import(pathToFileURL(path.resolve('.build', 'main.mjs')).href);
}

/** Starts the built shop as a program of its own, for benches. */
export const serveApart = (env, stdio) =>
  spawn(process.execPath, ['.build/main.mjs'], { stdio, env: { ...ENV, NODE_ENV: 'production', ...env } });
/** As tests want it: the threads for cutting plans, which take some seconds of both cores to get warm, begin cold. */
export const serveForTests = (env, stdio) => serveApart({ LOPREN_WARM: '0', ...env }, stdio);
