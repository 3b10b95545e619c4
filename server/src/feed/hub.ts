import { setTimeout as sleep } from 'node:timers/promises'
import type { Bookmark } from '@kobrin/contract'
import { advanced } from '@kobrin/contract'
import type { Database } from '../database/connect.ts'
import type { ScreenRow } from './screenFeed.ts'
import { screenFeedAfter } from './screenFeed.ts'

const PAGE = 500
/** How often to look for what another server kept. */
const POLL_MS = 500
/** What is kept meanwhile is read together: nobody notices, and a storm of entries costs few reads. */
const GATHER_MS = 20

export type Listener = (rows: readonly ScreenRow[]) => void

export interface Hub {
  /** Something was kept here: look now. */
  wake: () => void
  /** Follow the feed from where the hub is. Returns how to stop. */
  follow: (listener: Listener) => () => void
  close: () => Promise<void>
}

/** Reads the feed once for everybody. Every listener sees every row after its starting place, once
 * and each stream in order, whichever server kept it. */
export function createHub(db: Database, startAt: Bookmark, onError: (error: unknown) => void): Hub {
  const listeners = new Set<Listener>()
  let at = startAt
  let awake = false
  let reading: Promise<void> | null = null
  let closed = false

  async function read(): Promise<void> {
    while (awake && !closed) {
      awake = false
      const rows = await screenFeedAfter(db, at, PAGE)
      if (rows.length === 0) continue
      at = rows.reduce(advanced, at)
      for (const listener of listeners) listener(rows)
      if (rows.length === PAGE) awake = true
      else await sleep(GATHER_MS)
    }
  }

  function wake(): void {
    awake = true
    reading ??= read()
      .catch(onError)
      .finally(() => {
        reading = null
        if (awake && !closed) wake()
      })
  }

  const timer = setInterval(() => {
    if (listeners.size > 0) wake()
  }, POLL_MS)
  timer.unref()

  return {
    wake,
    follow(listener) {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    async close() {
      closed = true
      clearInterval(timer)
      await reading
    },
  }
}
