import { defineConfig } from '@playwright/test';

/** The real thing in a browser: every test has a server of its own on a copy of the demo clinic. */
export default defineConfig({
  testDir: 'tests',
  // no limit that a busy machine reaches: a test waits for what it will see, and these only end what hangs
  timeout: 1_800_000,
  expect: { timeout: 120_000, toPass: { timeout: 120_000 } },
  fullyParallel: true,
  workers: 2,
  // what passes only then is named at the end of "npm test"
  retries: 1,
  // the sweeps over every view and family are "npm run check:long"
  ...(process.env.ESTRIBO_LONG === '1' ? {} : { grepInvert: /@long/ }),
  reporter: [['list'], ['json']],
  outputDir: 'test-results',
  use: {
    // what is not there after this will not come: a test says so instead of waiting for its own end
    actionTimeout: 180_000,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/Madrid',
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
