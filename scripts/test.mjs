/** npm test: installs what is missing and runs everything. Ends with one line of totals. */
import { spawn, spawnSync } from 'node:child_process';
import fs from 'node:fs';
import { build, install, run, tool } from './lib.mjs';

function chromium() {
  if (fs.existsSync('/usr/bin/chromium')) return;
  if (process.platform !== 'linux' || process.getuid?.() !== 0) {
    process.stderr.write(
      'The browser tests need Chromium at /usr/bin/chromium (on Debian: apt-get install chromium).\n',
    );
    process.exit(1);
  }
  run('apt-get', ['update', '-qq']);
  run('apt-get', ['install', '-y', '-qq', 'chromium']);
}

/** Runs a test runner to its end and keeps its verdict, so that the totals are told in any case. */
function counted(name, args, report) {
  fs.rmSync(report, { force: true });
  const done = spawnSync(`node_modules/.bin/${name}`, args, {
    stdio: 'inherit',
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' },
  });
  const told = fs.existsSync(report) ? JSON.parse(fs.readFileSync(report, 'utf8')) : undefined;
  return { ok: done.status === 0, told };
}

/** A program that runs beside others; what it says is told when it is waited for. */
function beside(command, args, log) {
  fs.mkdirSync('test-results', { recursive: true });
  const file = fs.openSync(log, 'w');
  const child = spawn(command, args, { stdio: ['ignore', file, file] });
  fs.closeSync(file);
  const over = new Promise((resolve) => child.on('exit', resolve));
  process.on('exit', () => child.kill());
  return async () => {
    const status = await over;
    process.stdout.write(fs.readFileSync(log, 'utf8'));
    return status;
  };
}

const step = (name) => process.stdout.write(`\n── ${name}\n`);

install();
chromium();
step('format');
tool('prettier', ['--check', '--log-level', 'warn', '.']);
step('build');
build();
// Mostly it waits for servers to come up.
const killed = beside(process.execPath, ['tests/crash/kill-loop.mjs'], 'test-results/kill.log');
step('lint');
tool('eslint', ['--max-warnings', '0', '.']);
tool('depcruise', ['src', '--config', '.dependency-cruiser.cjs', '--output-type', 'err']);
step('types');
tool('tsc', ['--noEmit']);
step('kill -9');
const crash = await killed();
step('unit');
const unit = counted(
  'vitest',
  ['run', '--reporter=default', '--reporter=json', '--outputFile.json=test-results/unit.json'],
  'test-results/unit.json',
);
step('browser');
const browser = counted('playwright', ['test'], 'test-results/browser.json');

const passed = (unit.told?.numPassedTests ?? 0) + (browser.told?.stats.expected ?? 0) + (crash === 0 ? 1 : 0);
// A runner that failed without a failed test (a file it could not read) counts as one.
const failures = (runner, told) => (runner.ok ? 0 : Math.max(1, told ?? 0));
const failed =
  failures(unit, unit.told?.numFailedTests) + failures(browser, browser.told?.stats.unexpected) + (crash === 0 ? 0 : 1);
process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exit(failed === 0 ? 0 : 1);
