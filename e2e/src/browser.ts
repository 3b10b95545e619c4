import type { BrowserContext, PlaywrightTestConfig } from '@playwright/test'

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

function shiftClock(aheadMs: number): void {
  const Real = Date
  class Shifted extends Real {
    constructor(...given: unknown[]) {
      if (given.length === 0) super(Real.now() + aheadMs)
      else super(...(given as ConstructorParameters<DateConstructor>))
    }
    static override now(): number {
      return Real.now() + aheadMs
    }
  }
  Reflect.set(globalThis, 'Date', Shifted)
}

/** Puts the clocks of a browser's pages where its house's clock is. Only what the time is changes: timers
 * and frames stay real. */
export async function standWith(context: BrowserContext, aheadMs: number): Promise<void> {
  await context.addInitScript(shiftClock, aheadMs)
}
