import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';

const root = new URL('../..', import.meta.url).pathname;
const demoPort = process.env.OAK_DEMO_PORT ?? '3100';
const emptyPort = process.env.OAK_EMPTY_PORT ?? '3101';
/** Holds the milliseconds by which the demo server's clock is ahead. */
process.env.OAK_TEST_CLOCK ??= join(tmpdir(), `oak-clock-${process.pid}`);

const server = (name: string, port: string, demo: boolean) => ({
  command: `node tests/e2e/serve.mjs ${name} ${port}${demo ? ' --demo' : ''}`,
  cwd: root,
  url: `http://127.0.0.1:${port}/api/health`,
  env: demo ? { OAK_TEST_CLOCK: process.env.OAK_TEST_CLOCK ?? '' } : { OAK_TEST_CLOCK: '' },
  timeout: 60_000,
  reuseExistingServer: false,
  gracefulShutdown: { signal: 'SIGTERM' as const, timeout: 5_000 },
});

export default defineConfig({
  testDir: '.',
  outputDir: join(tmpdir(), 'oak-e2e-results'),
  // One database and one clock.
  workers: 1,
  timeout: 60_000,
  expect: { timeout: 10_000 },
  reporter: [['list']],
  use: {
    baseURL: `http://127.0.0.1:${demoPort}`,
    viewport: { width: 1280, height: 800 },
    trace: 'off',
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
      ],
    },
  },
  projects: [
    { name: 'demo', testIgnore: 'firstStart.spec.ts' },
    { name: 'empty', testMatch: 'firstStart.spec.ts', use: { baseURL: `http://127.0.0.1:${emptyPort}` } },
  ],
  webServer: [server('demo', demoPort, true), server('empty_house', emptyPort, false)],
});
