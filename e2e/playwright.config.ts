import { defineConfig } from '@playwright/test';

/** Debian's Chromium, headless; the flags keep it from asking for hosts that are not there. */
export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  globalSetup: './prepare.ts',
  // Long enough for a machine that others slow down, where boards are solved and a turntable drawn; what has come is not waited for.
  timeout: 300_000,
  expect: { timeout: 90_000 },
  workers: 2,
  // Test by test, so that no long file is left to one worker while the other has nothing to do.
  fullyParallel: true,
  reporter: [['list'], ['json']],
  use: {
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    actionTimeout: 90_000,
    // What a test says of requests holds for the page's own; installed.spec.ts lets the worker in.
    serviceWorkers: 'block',
    // What was on the screen when a test failed lies in test-results.
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: process.env.FELLSIDE_CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-quic',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        // The solver of boards is compiled once, quickly: what optimizing takes is more than a test's few boards give back.
        '--js-flags=--no-wasm-tier-up --no-wasm-dynamic-tiering',
      ],
    },
  },
});
