import { setTimeout as sleep } from 'node:timers/promises'
import { errnoOf } from './connect.ts'

/** Deadlock, lock wait, and a key that another is writing. */
export const CONTENDED = new Set([1213, 1205, 1062])

const TRIES = 8

/** Does something again for as long as others get in its way. */
export async function untilAlone<T>(act: () => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries += 1) {
    try {
      return await act()
    } catch (error) {
      if (tries >= TRIES || !CONTENDED.has(errnoOf(error) ?? 0)) throw error
      await sleep(tries * 5)
    }
  }
}
