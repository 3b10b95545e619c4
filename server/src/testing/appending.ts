import type { Receipt } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import type { Connection } from '../database/connect.ts'
import type { Appender } from '../entries/appender.ts'
import { createAppender } from '../entries/appender.ts'
import { createSiteBook } from '../site/siteBook.ts'
import { createOwnStream } from '../streams/ownStream.ts'

export const NOW = '2026-06-01T12:00:00.000Z'

/** A server as far as appending goes. */
export interface AppendingServer extends Appender {
  close: () => Promise<void>
}

export function appendingServer(connection: Connection): AppendingServer {
  const stream = createOwnStream(connection.db)
  const appender = createAppender(connection, {
    stream,
    sheets: createSiteBook(connection.db).sheets,
    onAppended: () => undefined,
    onTried: () => undefined,
    now: () => NOW,
  })
  return {
    ...appender,
    async close() {
      await appender.drained()
      await stream.close()
    },
  }
}

/** The receipt of an entry that was kept: its place as text. */
export function placeOf(receipt: Receipt | undefined): string {
  if (receipt?.status !== 'accepted') throw new Error(`Not accepted: ${JSON.stringify(receipt)}`)
  return `${receipt.stream}:${receipt.seq}`
}

export function entriesIn(rows: readonly { json: string }[]): Entry[] {
  return rows.map(({ json }) => JSON.parse(json) as Entry)
}
