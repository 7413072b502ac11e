import { defineConfig } from '@playwright/test';
import { WORKERS, demoPort, shopPort } from './tests/browser/servers';

const flags = [
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
const root = process.getuid?.() === 0;
const server = (port: number, mode: string) => ({
  command: `node scripts/serve-for-tests.mjs ${port} ${mode}`,
  url: `http://127.0.0.1:${port}/sign-in`,
  reuseExistingServer: false,
  timeout: 300_000,
});
const workers = Array.from({ length: WORKERS }, (_, worker) => worker);

/** Browser tests run the production build: the demo shop, and an empty shop that is still to be set up. */
export default defineConfig({
  testDir: 'tests/browser',
  timeout: 60_000,
  expect: { timeout: 8000 },
  workers: WORKERS,
  outputDir: 'test-results/browser',
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: '/usr/bin/chromium', args: root ? ['--no-sandbox', ...flags] : flags },
    trace: 'off',
  },
  webServer: workers.flatMap((worker) => [server(demoPort(worker), 'demo'), server(shopPort(worker), 'shop')]),
});
