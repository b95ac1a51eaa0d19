import { defineConfig } from '@playwright/test';

/** Debian's Chromium, offline switches on; one server for all journeys (e2e/setup.ts). */
export default defineConfig({
  testDir: 'e2e',
  testMatch: /.*\.spec\.ts/,
  workers: 1,
  fullyParallel: false,
  // Generous: the machine may be shared and slow; a journey fails by what it sees, not by the clock.
  timeout: 420_000,
  expect: { timeout: 45_000 },
  reporter: [['list'], ['json']],
  globalSetup: './e2e/setup.ts',
  outputDir: '.vobrik/journeys',
  use: {
    viewport: { width: 1280, height: 800 },
    // Journeys that go offline allow it; the others need not fill a cache each.
    serviceWorkers: 'block',
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
