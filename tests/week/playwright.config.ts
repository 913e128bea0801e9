import { defineConfig } from '@playwright/test';
import config from '../e2e/playwright.config';

/** The week on the moving clock, for `npm run test:week`: the end-to-end tests' servers and browser, one long test. */
export default defineConfig({
  ...config,
  testDir: '.',
  globalSetup: '../e2e/globalSetup.ts',
  timeout: 900_000,
  use: { ...config.use, actionTimeout: 60_000 },
});
