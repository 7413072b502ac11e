import { defineConfig } from '@playwright/test';
import { WIDE } from './tests/wide';
import { READY_PORT, SHOP_PORT, WORKERS, demoPort } from './tests/browser/servers';

const flags = [
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  // Pages of the browser's own that no test opens, got ready for each window.
  '--disable-features=PreloadTopChromeWebUI,PaintHolding,HttpsUpgrades,DestroyProfileOnBrowserClose',
];
const root = process.getuid?.() === 0;
const demos = Array.from({ length: WORKERS }, (_, worker) => `${demoPort(worker)}=demo`);

/** Browser tests run the production build: the demo shop, and an empty shop that is still to be set up. */
export default defineConfig({
  testDir: 'tests/browser',
  // Of these the screens' own tests hold most; by browser they are walked with `npm run wide`.
  ...(WIDE ? {} : { grepInvert: /@wide/ }),
  // Patient: what is slow on a busy machine is not wrong.
  timeout: 300_000,
  expect: { timeout: 20_000 },
  workers: WORKERS,
  outputDir: 'test-results/browser',
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: '/usr/bin/chromium', args: root ? ['--no-sandbox', ...flags] : flags },
    trace: 'off',
    contextOptions: { reducedMotion: 'reduce' },
    // Emptied for each test, but what the pages' scripts were compiled to is kept.
    reuseContext: true,
  },
  webServer: {
    command: `node scripts/serve-for-tests.mjs ${READY_PORT} ${SHOP_PORT}=shop ${demos.join(' ')}`,
    url: `http://127.0.0.1:${READY_PORT}`,
    reuseExistingServer: false,
    timeout: 600_000,
  },
});
