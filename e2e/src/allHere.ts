import type { Page } from '@playwright/test'
import { expect } from '@playwright/test'
import { foldsHere } from './foldsHere.ts'

/** Everything that a round needs lies on this device. */
export async function allHere(page: Page): Promise<void> {
  // Folds are written a moment after they came.
  await expect.poll(() => foldsHere(page), { timeout: 20_000 }).toBeGreaterThan(200)
}
