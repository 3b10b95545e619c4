import { defineConfig } from '@playwright/test'
import { BROWSER } from './src/browser.ts'

export default defineConfig({
  testDir: './src',
  testMatch: '*.spec.ts',
  outputDir: './test-results',
  globalSetup: './src/server.ts',
  // One house, shared by every test: one at a time.
  workers: 1,
  timeout: 120_000,
  reporter: [['list']],
  use: {
    ...BROWSER,
    viewport: { width: 1280, height: 800 },
    actionTimeout: 10_000,
    screenshot: 'only-on-failure',
  },
})
