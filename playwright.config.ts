import { defineConfig } from '@playwright/test';

const PORT = 3917;
const SHOP_PORT = 3918;
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
  timeout: 150_000,
});

/** Browser tests run the production build: the demo shop, and an empty shop that is still to be set up. */
export default defineConfig({
  testDir: 'tests/browser',
  timeout: 60_000,
  expect: { timeout: 8000 },
  workers: 1,
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: '/usr/bin/chromium', args: root ? ['--no-sandbox', ...flags] : flags },
    trace: 'off',
  },
  metadata: { shop: `http://127.0.0.1:${SHOP_PORT}` },
  webServer: [server(PORT, 'demo'), server(SHOP_PORT, 'shop')],
});
