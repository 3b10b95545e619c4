import { setTimeout as sleep } from 'node:timers/promises'
import { errnoOf } from './connect.ts'

/** A signal of our own: the stream this server appends to was taken over by another. */
export const STREAM_LOST = 1644

/** Deadlock, lock wait, a key that another is writing, and a stream that another has taken over. */
export const CONTENDED: ReadonlySet<number> = new Set([1213, 1205, 1062, STREAM_LOST])

const TRIES = 8

/** A little longer with every try, and never the same for two who got in each other's way. */
export function patience(tries: number): Promise<void> {
  return sleep(Math.random() * tries * 10)
}

/** Does something again for as long as others get in its way. */
export async function untilAlone<T>(act: () => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries += 1) {
    try {
      return await act()
    } catch (error) {
      if (tries >= TRIES || !CONTENDED.has(errnoOf(error) ?? 0)) throw error
      await patience(tries)
    }
  }
}
