import { defineConfig } from '@playwright/test'
import { BROWSER } from './src/browser.ts'

export default defineConfig({
  testDir: './src',
  testMatch: '*.spec.ts',
  outputDir: './test-results',
  globalSetup: './src/server.ts',
  // One house, shared by every test: one at a time.
  workers: 1,
  timeout: 240_000,
  // How long a page takes is for the benches to say: a busy machine is no fault of it.
  expect: { timeout: 20_000 },
  reporter: [['list']],
  use: {
    ...BROWSER,
    viewport: { width: 1280, height: 800 },
    actionTimeout: 20_000,
    screenshot: 'only-on-failure',
  },
})
