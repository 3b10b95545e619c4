import type { KeptEntry } from '@kobrin/contract'
import { addressOf, ROUTES } from '@kobrin/contract'
import type { FastifyInstance } from 'fastify'
import type { Client } from './client.ts'
import { cookieOf, portOf } from './client.ts'

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
  const ended = (async () => {
    const response = await fetch(
      `http://127.0.0.1:${portOf(app)}${addressOf(ROUTES.feed.url, {}, { after })}`,
      {
        headers: { cookie: cookieOf(as), ...headers },
        signal: control.signal,
      },
    )
    const decoder = new TextDecoder()
    let rest = ''
    for await (const chunk of response.body ?? []) {
      const events = (rest + decoder.decode(chunk, { stream: true })).split('\n\n')
      rest = events.pop() ?? ''
      for (const event of events) {
        const name = /^event: (.*)$/m.exec(event)?.[1]
        const data = /^data: (.*)$/m.exec(event)?.[1]
        if (name) told.push(`${name}: ${data}`)
        else if (data) entries.push(JSON.parse(data) as KeptEntry)
      }
    }
  })().catch(() => undefined)
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
