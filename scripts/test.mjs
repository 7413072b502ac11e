/** npm test: installs what is missing and runs everything. Ends with one line of totals. */
import { spawn } from 'node:child_process';
import fs from 'node:fs';
import { install, run } from './lib.mjs';

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

const ENVIRONMENT = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' };
/** Of a page at which a test failed, in characters. */
const MOST_TOLD = 5000;
const running = new Set();
process.on('exit', () => {
  for (const child of running) child.kill();
});

/** Starts a program beside others. What it says is kept, and told when it is waited for; answers its status then. */
function beside(name, command, args, env = {}) {
  fs.mkdirSync('test-results', { recursive: true });
  const log = `test-results/${name.replace(/\W+/g, '-')}.log`;
  const file = fs.openSync(log, 'w');
  const from = performance.now();
  const child = spawn(command, args, { stdio: ['ignore', file, file], env: { ...ENVIRONMENT, ...env } });
  fs.closeSync(file);
  running.add(child);
  const over = new Promise((resolve) =>
    child.on('exit', (status) => {
      running.delete(child);
      resolve({ status, seconds: Math.round((performance.now() - from) / 1000) });
    }),
  );
  return async () => {
    const { status, seconds } = await over;
    process.stdout.write(`\n── ${name}, ${seconds} s\n${fs.readFileSync(log, 'utf8')}`);
    return status;
  };
}
const program = (name) => `node_modules/.bin/${name}`;
const must = async (step) => {
  if ((await step) !== 0) process.exit(1);
};

/** A test runner's verdict, read from its report, so that the totals are told in any case. */
async function counted(name, runner, args, report) {
  fs.rmSync(report, { force: true });
  const status = await beside(name, program(runner), args)();
  const told = fs.existsSync(report) ? JSON.parse(fs.readFileSync(report, 'utf8')) : undefined;
  return { ok: status === 0, told };
}

const begun = performance.now();
install();
chromium();

// What only reads goes beside the build; what starts servers waits for it. Two cores are busy throughout.
const format = beside('format', program('prettier'), ['--check', '--log-level', 'warn', '.']);
const building = beside('build', process.execPath, ['scripts/build.mjs']);
await must(format());
const rules = beside('imports', program('depcruise'), [
  'src',
  '--config',
  '.dependency-cruiser.cjs',
  '--output-type',
  'err',
]);
await must(rules());
await must(building());
const lint = beside('lint', program('eslint'), ['--max-warnings', '0', '.']);
const types = beside('types', program('tsc'), ['--noEmit']);
await must(types());
// Mostly it waits for servers to come up.
const killed = beside('kill -9', process.execPath, ['tests/crash/kill-loop.mjs']);
await must(lint());
const unit = await counted(
  'unit',
  'vitest',
  ['run', '--reporter=default', '--reporter=json', '--outputFile.json=test-results/unit.json'],
  'test-results/unit.json',
);
const crash = await killed();
const browser = await counted('browser', 'playwright', ['test'], 'test-results/browser.json');

// What the page looked like where a test failed: whoever reads this often has no more than what is printed here.
const RESULTS = 'test-results/browser';
for (const test of fs.existsSync(RESULTS) ? fs.readdirSync(RESULTS) : []) {
  const file = `${RESULTS}/${test}/error-context.md`;
  if (!fs.existsSync(file)) continue;
  process.stdout.write(`\n── ${file}\n${fs.readFileSync(file, 'utf8').slice(0, MOST_TOLD)}\n`);
}

const passed = (unit.told?.numPassedTests ?? 0) + (browser.told?.stats.expected ?? 0) + (crash === 0 ? 1 : 0);
// A runner that failed without a failed test (a file it could not read) counts as one.
const failures = (runner, told) => (runner.ok ? 0 : Math.max(1, told ?? 0));
const failed =
  failures(unit, unit.told?.numFailedTests) + failures(browser, browser.told?.stats.unexpected) + (crash === 0 ? 0 : 1);
process.stdout.write(`\nin ${Math.round((performance.now() - begun) / 1000)} s\n${passed} passed, ${failed} failed\n`);
process.exit(failed === 0 ? 0 : 1);
