import { defineConfig } from '@playwright/test'
import { CHROMIUM } from './scripts/serve'

/** Drives the production build in Debian's Chromium; every worker serves its own copy of the demo on a free port. */
export default defineConfig({
  testDir: 'e2e',
  timeout: 120_000,
  expect: { timeout: 20_000 },
  workers: 2,
  fullyParallel: false,
  reporter: [['list'], ['json', { outputFile: 'reports/playwright.json' }]],
  globalSetup: './e2e/lay-out-demo.ts',
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: CHROMIUM,
  },
})
