import type { Page } from '@playwright/test'
import { expect } from '@playwright/test'

/** Everything that a round needs lies on this device. */
export async function allHere(page: Page): Promise<void> {
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready
  })
  // Folds are written a moment after they came.
  await expect
    .poll(
      () =>
        page.evaluate(
          () =>
            new Promise<number>((resolve) => {
              const opening = indexedDB.open('kobrin-kept')
              opening.onsuccess = () => {
                const db = opening.result
                const counting = db.transaction('folds').objectStore('folds').count()
                counting.onsuccess = () => {
                  db.close()
                  resolve(counting.result)
                }
              }
            }),
        ),
      { timeout: 20_000 },
    )
    .toBeGreaterThan(200)
}
