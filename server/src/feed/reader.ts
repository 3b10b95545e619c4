import { once } from 'node:events'
import type { ServerResponse } from 'node:http'
import type { Bookmark } from '@kobrin/contract'
import { advanced, isPast, sayBookmark } from '@kobrin/contract'
import type { FamilyName } from '@kobrin/core'
import type { Database } from '../database/connect.ts'
import type { ScreenRow } from './screenFeed.ts'
import { screenFeedAfter } from './screenFeed.ts'

/** Rows written at once: what a reader that does not read can hold of our memory. */
const PAGE = 64

export interface ReaderOptions {
  db: Database
  out: ServerResponse
  families: readonly FamilyName[]
  /** Kinds of fact that the reader does not know. */
  hidden: ReadonlySet<string>
  after: Bookmark
}

export interface Reader {
  /** Reads what it has not seen from the database and is then kept up by `hear`. */
  catchUp: () => Promise<void>
  /** What was just kept. A reader that is behind, or does not read, finds it when it catches up. */
  hear: (rows: readonly ScreenRow[]) => void
  /** Says something that is not of the feed. */
  say: (text: string) => void
  end: () => void
  /** Since when it has not taken what was written to it; null while it does. */
  stuckSince: () => number | null
}

function eventOf(row: ScreenRow, bookmark: Bookmark): string {
  const event = row.of === 'change' ? 'event: change\n' : ''
  const anew = row.anew ? `event: anew\ndata: ${JSON.stringify(row.anew)}\n\n` : ''
  return `${event}id: ${sayBookmark(bookmark)}\ndata: ${row.json}\n\n${anew}`
}

/** One open screen: it is never written more than it takes. */
export function createReader({ db, out, families, hidden, after }: ReaderOptions): Reader {
  let read = after
  let behind = true
  let catching: Promise<void> | null = null
  let stuck: number | null = null
  const isGone = () => out.destroyed || out.writableEnded

  /** False when it has to be waited for. */
  function write(rows: readonly ScreenRow[]): boolean {
    const events: string[] = []
    for (const row of rows) {
      if (isPast(read, row)) continue
      read = advanced(read, row)
      const isTold = row.of === 'change' || (families.includes(row.of) && !hidden.has(row.kind))
      if (isTold) events.push(eventOf(row, read))
    }
    return events.length === 0 || isGone() || out.write(events.join(''))
  }

  async function drained(): Promise<void> {
    if (isGone()) return
    stuck = performance.now()
    const gone = new AbortController()
    const stop = () => gone.abort()
    out.once('close', stop)
    await once(out, 'drain', { signal: gone.signal }).catch(() => undefined)
    out.off('close', stop)
    stuck = null
  }

  async function catchUpNow(): Promise<void> {
    if (out.writableNeedDrain) await drained()
    while (!isGone() && behind) {
      behind = false
      for (
        let rows = await screenFeedAfter(db, read, PAGE);
        rows.length > 0;
        rows = await screenFeedAfter(db, read, PAGE)
      ) {
        if (!write(rows)) await drained()
        if (isGone()) return
      }
    }
  }

  function catchUp(): Promise<void> {
    behind = true
    catching ??= catchUpNow().finally(() => (catching = null))
    return catching
  }

  return {
    say(text) {
      if (!isGone()) out.write(text)
    },
    end() {
      // Who takes nothing would never take the end either.
      if (out.writableNeedDrain) out.destroy()
      else if (!isGone()) out.end()
    },
    catchUp,
    hear(rows) {
      if (catching) behind = true
      else if (rows.length > PAGE || !write(rows)) catchUp().catch(() => out.destroy())
    },
    stuckSince: () => stuck,
  }
}
