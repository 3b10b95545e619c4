import type { Page } from '@playwright/test'

/** How many rows lie in a store of a database of the device. */
export function rowsHere(page: Page, database: string, store: string): Promise<number> {
  return page.evaluate(
    (at) =>
      new Promise<number>((resolve) => {
        const opening = indexedDB.open(at.database)
        opening.onsuccess = () => {
          const db = opening.result
          const counting = db.transaction(at.store).objectStore(at.store).count()
          counting.onsuccess = () => {
            db.close()
            resolve(counting.result)
          }
        }
      }),
    { database, store },
  )
}

/** How many folds lie on the device, once it holds the interface. */
export async function foldsHere(page: Page): Promise<number> {
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready
  })
  return rowsHere(page, 'kobrin-kept', 'folds')
}
