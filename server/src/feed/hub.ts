import { setTimeout as sleep } from 'node:timers/promises'
import type { Database } from '../database/connect.ts'
import { rowsAfter } from '../entries/queries.ts'
import { lastChange } from '../plans/queries.ts'
import type { EntryRow } from '../entries/rows.ts'

const PAGE = 500
/** How often to look for entries another server appended. */
const POLL_MS = 500
/** What is appended meanwhile is read together: nobody notices, and a storm of entries costs few reads. */
const GATHER_MS = 20
/** Plans change far more seldom than entries come. */
const POLLS_TO_SITE = 4

export type Listener = (rows: readonly EntryRow[]) => void

export interface Hub {
  /** Something was appended here: look now. */
  wake: () => void
  /** Follow the feed from where the hub is. Returns that place and how to stop. */
  follow: (listener: Listener) => { from: number; stop: () => void }
  /** The building, the register or a plan is no longer what it was. */
  siteChanged: () => void
  onSiteChanged: (listener: () => void) => () => void
  close: () => Promise<void>
}

/** Reads the feed once for everybody. Every listener sees every row after its starting place, once
 * and in order, whichever server appended it. */
export function createHub(db: Database, startAt: number, onError: (error: unknown) => void): Hub {
  const listeners = new Set<Listener>()
  const siteListeners = new Set<() => void>()
  let at = startAt
  let awake = false
  let reading: Promise<void> | null = null
  let closed = false

  async function read(): Promise<void> {
    while (awake && !closed) {
      awake = false
      const rows = await rowsAfter(db, at, PAGE)
      if (rows.length === 0) continue
      at = rows.at(-1)?.seq ?? at
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

  let siteAt: number | null = null

  /** Tells of what was changed through another server. */
  async function lookAtSite(): Promise<void> {
    const last = await lastChange(db)
    if (siteAt !== null && last !== siteAt) tellSite()
    siteAt = last
  }

  function tellSite(): void {
    for (const listener of siteListeners) listener()
  }

  let polls = 0
  const timer = setInterval(() => {
    if (listeners.size === 0) return
    wake()
    if (polls % POLLS_TO_SITE === 0) void lookAtSite().catch(onError)
    polls += 1
  }, POLL_MS)
  timer.unref()

  return {
    wake,
    follow(listener) {
      listeners.add(listener)
      return { from: at, stop: () => listeners.delete(listener) }
    },
    siteChanged: tellSite,
    onSiteChanged(listener) {
      siteListeners.add(listener)
      return () => siteListeners.delete(listener)
    },
    async close() {
      closed = true
      clearInterval(timer)
      await reading
    },
  }
}
