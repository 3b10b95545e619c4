import type { Page } from '@playwright/test'

/** How many folds lie on the device, once it holds the interface. */
export function foldsHere(page: Page): Promise<number> {
  return page.evaluate(async () => {
    await navigator.serviceWorker.ready
    return new Promise<number>((resolve) => {
      const opening = indexedDB.open('kobrin-kept')
      opening.onsuccess = () => {
        const db = opening.result
        const counting = db.transaction('folds').objectStore('folds').count()
        counting.onsuccess = () => {
          db.close()
          resolve(counting.result)
        }
      }
    })
  })
}
