import type { PlaywrightTestConfig } from '@playwright/test'

/** Debian's Chromium without a screen and without calling home. */
export const BROWSER = {
  browserName: 'chromium' as const,
  launchOptions: {
    executablePath: '/usr/bin/chromium',
    chromiumSandbox: false,
    args: [
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  },
} satisfies PlaywrightTestConfig['use']
