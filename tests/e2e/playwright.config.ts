import { join } from 'node:path';
import { defineConfig } from '@playwright/test';
import { BASE_FOLDER, TIME_ZONE } from './instants';

/** What Playwright turns off by itself, as far as it tells here: a second list replaces the first. */
const USUALLY_OFF = [
  'AimEnabled',
  'AvoidUnnecessaryBeforeUnloadCheckSync',
  'DestroyProfileOnBrowserClose',
  'HttpsUpgrades',
  'NetworkTimeServiceQuerying',
  'OptimizationHints',
  'PaintHolding',
  'PreconnectToSearch',
  'ThirdPartyStoragePartitioning',
];

export default defineConfig({
  testDir: '.',
  outputDir: join(BASE_FOLDER, 'results'),
  globalSetup: './globalSetup.ts',
  // Each worker has a server and a database of its own; a test's house is its own too.
  workers: 2,
  fullyParallel: true,
  // For what hangs, not for what is slow.
  timeout: 300_000,
  expect: { timeout: 60_000 },
  reporter: [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    timezoneId: TIME_ZONE,
    trace: 'off',
    // What waits longer says for what.
    actionTimeout: 120_000,
    // Only those that are about it have a device that answers by itself.
    serviceWorkers: 'block',
    // Colours are judged when they have arrived.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
        '--disable-quic',
        // Threads that compile and collect beside a page's own only take the cores from the other worker's.
        '--js-flags=--single-threaded',
        // Each window loads its address bar's suggestions as a page of three hundred scripts: more work than a page of ours.
        `--disable-features=${['WebUIOmniboxPopup', 'WebUIOmniboxFullPopup', 'WebUIOmniboxAimPopup', ...USUALLY_OFF]}`,
      ],
    },
  },
});
