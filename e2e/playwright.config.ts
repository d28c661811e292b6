import { defineConfig } from '@playwright/test';

/** Chromium's own errands to hosts outside are switched off; the shop's network has none of them. */
const QUIET = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export default defineConfig({
  testDir: './tests',
  outputDir: '../test-results',
  snapshotPathTemplate: '{testDir}/../pictures/{arg}{ext}',
  // Each test has a server and a browser of its own; two of them fill two processors.
  workers: 2,
  retries: 0,
  forbidOnly: true,
  // Generous, because a busy machine is several times slower than an idle one; nothing waits for time.
  timeout: 300_000,
  reporter: [['list']],
  expect: { timeout: 30_000, toHaveScreenshot: { maxDiffPixelRatio: 0.02 } },
  use: {
    viewport: { width: 1280, height: 800 },
    // Nothing fades: what is looked at is what stays.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: { executablePath: process.env['WERGON_CHROMIUM'] ?? '/usr/bin/chromium', args: QUIET },
    // A trace of each test makes them slower by a quarter: it is asked for where one is looked into.
    trace: process.env['WERGON_TRACE'] ? 'retain-on-failure' : 'off',
    screenshot: 'only-on-failure',
  },
});
