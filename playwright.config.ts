import { defineConfig } from '@playwright/test';
import { readdirSync } from 'node:fs';
import path from 'node:path';
import type { PlaceOptions } from './e2e/place';

/** What a file of journeys finds, where it is not the demo season on the common cluster. */
const PLACES: Readonly<Record<string, Partial<PlaceOptions>>> = {
  '2-first.spec.ts': { site: 'empty' },
  '93-hard-plays.spec.ts': { site: 'empty' },
  '3-outage.spec.ts': { cluster: 'outage' },
};
/** The longest first, so that none is left to run alone at the end. */
const LONGEST = [
  '4-open-to-all.spec.ts',
  '1-week.spec.ts',
  '5-book.spec.ts',
  '97-report.spec.ts',
  '7-offline.spec.ts',
  '94-charting.spec.ts',
  '8-hostile.spec.ts',
  '95-charters.spec.ts',
  '99-plan.spec.ts',
  '91-schedules.spec.ts',
  '98-reels.spec.ts',
];
const rank = (file: string): number => (LONGEST.includes(file) ? LONGEST.indexOf(file) : LONGEST.length);
const files = readdirSync(path.join(import.meta.dirname, 'e2e'))
  .filter((f) => f.endsWith('.spec.ts'))
  .sort((a, b) => rank(a) - rank(b));

/** Debian's Chromium, offline switches on; a project, a database and a server a file (e2e/place.ts), two files at a time. */
export default defineConfig<object, PlaceOptions>({
  testDir: 'e2e',
  workers: 2,
  fullyParallel: false,
  // Generous: the machine may be shared and slow; a journey fails by what it sees, not by the clock.
  timeout: 420_000,
  expect: { timeout: 45_000 },
  projects: files.map((file) => ({
    name: file.replace('.spec.ts', ''),
    testMatch: file,
    use: PLACES[file] ?? {},
  })),
  reporter: [['list'], ['json']],
  globalSetup: './e2e/setup.ts',
  outputDir: '.vobrik/journeys',
  use: {
    viewport: { width: 1280, height: 800 },
    // Journeys that go offline allow it; the others need not fill a cache each.
    serviceWorkers: 'block',
    actionTimeout: 60_000,
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
