import { REVISION_HEADER } from '@kobrin/contract'
import { FOLD_REVISION } from '@kobrin/core'
import type { FastifyInstance } from 'fastify'
import type { Client } from './client.ts'
import { cookieOf, portOf } from './client.ts'

/** An event as a browser is told it; `name` where it has one. */
export interface SentEvent {
  name: string | undefined
  data: string | undefined
}

interface Reading {
  headers?: Record<string, string>
  signal: AbortSignal
  hear: (event: SentEvent) => void
}

/** Follows events of a server that listens, until they end or nobody wants them any more. */
export async function readEvents(
  app: FastifyInstance,
  as: Client,
  address: string,
  { headers = {}, signal, hear }: Reading,
): Promise<void> {
  try {
    const response = await fetch(`http://127.0.0.1:${portOf(app)}${address}`, {
      headers: { cookie: cookieOf(as), [REVISION_HEADER]: String(FOLD_REVISION), ...headers },
      signal,
    })
    const decoder = new TextDecoder()
    let rest = ''
    for await (const chunk of response.body ?? []) {
      const events = (rest + decoder.decode(chunk, { stream: true })).split('\n\n')
      rest = events.pop() ?? ''
      for (const event of events)
        hear({ name: /^event: (.*)$/m.exec(event)?.[1], data: /^data: (.*)$/m.exec(event)?.[1] })
    }
  } catch {
    // It was cut off.
  }
}
