import { defineConfig } from '@playwright/test';
import { CHROMIUM_FLAGS, findChromium } from './scripts/chromium.mjs';

const executablePath = findChromium();

export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
  globalSetup: './e2e/plant.ts',
  outputDir: 'test-results',
  fullyParallel: true,
  workers: 2,
  // waits are long, so that a slow machine is no failure
  timeout: 180_000,
  expect: { timeout: 20_000 },
  // nor is one that stood still for a minute: what took two tries is told by name at the end
  retries: 1,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    screenshot: 'only-on-failure',
    actionTimeout: 20_000,
    launchOptions: { args: CHROMIUM_FLAGS, ...(executablePath === null ? {} : { executablePath }) },
  },
});
