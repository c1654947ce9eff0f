import { defineConfig } from '@playwright/test';
import { launchOptions } from './launchOptions';

export default defineConfig({
  testDir: './journeys',
  globalSetup: './globalSetup.ts',
  workers: 1,
  timeout: 60_000,
  expect: { timeout: 8000 },
  forbidOnly: Boolean(process.env.CI),
  outputDir: './test-results',
  use: { launchOptions, trace: 'off', actionTimeout: 10_000, locale: 'en-GB', timezoneId: 'UTC' },
  projects: [
    { name: 'phone', use: { viewport: { width: 390, height: 844 }, deviceScaleFactor: 2, hasTouch: true } },
    { name: 'wide', use: { viewport: { width: 1280, height: 800 } }, grep: /@wide/ },
  ],
});
