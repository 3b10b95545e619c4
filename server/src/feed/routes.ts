import { PATHS, ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync } from 'fastify'
import { rowsAfter } from '../entries/queries.ts'
import type { EntryRow } from '../entries/rows.ts'
import type { Floor } from '../floor.ts'
import { signedInOn } from '../people/guard.ts'

const PAGE = 500
/** A reader with more than this waiting for it is not reading. */
const BACKLOG_BYTES = 4 * 1024 * 1024

function eventOf({ seq, told }: EntryRow): string {
  return `id: ${seq}\ndata: ${told}\n\n`
}

/** Where a reader wants to go on: the browser names the last event it saw when it reconnects. */
function startOf(after: number, lastEventId: string | string[] | undefined): number {
  const resumed = Number(lastEventId)
  return Number.isSafeInteger(resumed) && resumed > after ? resumed : after
}

export function feedRoutes({
  connection: { db },
  hub,
  sessions,
  guard,
  heartbeatMs,
}: Floor): FastifyPluginAsync {
  return async (app) => {
    app.get<{ Querystring: { after: number } }>(
      PATHS.feed,
      {
        ...guard(ROUTES.feed),
        schema: { querystring: ROUTES.feed.querystring, summary: ROUTES.feed.summary },
      },
      async (request, reply) => {
        reply.hijack()
        const out = reply.raw
        out.writeHead(200, {
          'content-type': 'text/event-stream',
          'cache-control': 'no-store',
          'x-accel-buffering': 'no',
        })
        let sent = startOf(request.query.after, request.headers['last-event-id'])
        let caughtUp = false
        const held: EntryRow[] = []
        const send = (rows: readonly EntryRow[]) => {
          const fresh = rows.filter(({ seq }) => seq > sent)
          sent = fresh.at(-1)?.seq ?? sent
          if (fresh.length > 0) out.write(fresh.map(eventOf).join(''))
        }
        const token = signedInOn(request).token
        const { stop } = hub.follow((rows) => {
          if (caughtUp) send(rows)
          else held.push(...rows)
        })
        // Whoever signed out, or fell behind for good, has to come back and ask.
        const beat = async () => {
          const welcome = await sessions.find(token).catch(() => null)
          if (!welcome || out.writableLength > BACKLOG_BYTES) out.destroy()
          else out.write(': here\n\n')
        }
        const heartbeat = setInterval(() => void beat(), heartbeatMs)
        const stopSite = hub.onSiteChanged(() => out.write('event: site\ndata: changed\n\n'))
        const end = () => {
          clearInterval(heartbeat)
          stop()
          stopSite()
        }
        out.on('close', end)
        out.write('retry: 1000\n: here\n\n')
        try {
          for (
            let rows = await rowsAfter(db, sent, PAGE);
            rows.length > 0;
            rows = await rowsAfter(db, sent, PAGE)
          ) {
            send(rows)
          }
        } catch (error) {
          // The browser comes back by itself and names where it was.
          request.log.warn({ err: error }, 'feed cut short')
          out.end()
          return
        }
        send(held)
        caughtUp = true
      },
    )
  }
}
