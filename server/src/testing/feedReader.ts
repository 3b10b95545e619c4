import type { KeptEntry } from '@kobrin/contract'
import { addressOf, ROUTES } from '@kobrin/contract'
import type { FastifyInstance } from 'fastify'
import type { Client } from './client.ts'
import { readEvents } from './readEvents.ts'

export interface FeedReader {
  entries: KeptEntry[]
  /** What it was told besides entries, as `name: data`. */
  told: string[]
  /** Resolves when so many entries have come. */
  reached: (count: number) => Promise<void>
  ended: Promise<void>
  stop: () => void
}

/** A screen that follows the feed of a server that listens. */
export function readFeed(
  app: FastifyInstance,
  as: Client,
  after: string,
  headers: Record<string, string> = {},
): FeedReader {
  const control = new AbortController()
  const entries: KeptEntry[] = []
  const told: string[] = []
  const ended = readEvents(app, as, addressOf(ROUTES.feed.url, {}, { after }), {
    headers,
    signal: control.signal,
    hear({ name, data }) {
      if (name) told.push(`${name}: ${data}`)
      else if (data) entries.push(JSON.parse(data) as KeptEntry)
    },
  })
  return {
    entries,
    told,
    ended,
    stop: () => control.abort(),
    reached: async (count) => {
      const until = Date.now() + 3000
      while (entries.length < count && Date.now() < until) await new Promise((go) => setTimeout(go, 5))
    },
  }
}
