import { ERRORS, isBehind, readBookmark, ROUTES, sayBookmark } from '@kobrin/contract'
import type { Bookmark, Problem } from '@kobrin/contract'
import { readableBy } from '@kobrin/core'
import type { FastifyPluginAsync } from 'fastify'
import { hiddenFrom } from '../interface/revision.ts'
import { openEvents } from '../interface/events.ts'
import { schemaOf } from '../interface/serve.ts'
import type { Why } from '../health/standstill.ts'
import { signedInOn } from '../people/guard.ts'
import { headOf } from '../streams/ownStream.ts'
import type { Services } from '../services.ts'
import { createReader } from './reader.ts'

/** A reader that takes nothing for this long is not there. */
const STUCK_MS = 60_000

/** Where a reader wants to go on: the browser names the last event it saw when it reconnects. */
function startOf(after: Bookmark, lastEventId: string | string[] | undefined): Bookmark {
  const resumed = typeof lastEventId === 'string' ? readBookmark(lastEventId) : null
  return resumed && isBehind(after, resumed) ? resumed : after
}

/** Why nothing can be kept just now, told as an answer would tell it; null while everything can. */
function standstillEvent(why: Why): string {
  const problem: Problem | null = why && { code: why, message: ERRORS[why].message }
  return `event: standstill\ndata: ${JSON.stringify(problem)}\n\n`
}

export function feedRoutes({
  connection: { db },
  hub,
  sessions,
  guard,
  heartbeatMs,
  standstill,
  refolded,
}: Services): FastifyPluginAsync {
  let isFolded = false
  void refolded.then(() => (isFolded = true))
  return async (app) => {
    app.get<{ Querystring: { after: string } }>(
      ROUTES.feed.url,
      { ...guard(ROUTES.feed), schema: schemaOf(ROUTES.feed) },
      async (request, reply) => {
        const signedIn = signedInOn(request)
        const out = openEvents(request, reply)
        const asked = startOf(readBookmark(request.query.after) ?? {}, request.headers['last-event-id'])
        const head = await headOf(db).catch(() => asked)
        // It went away meanwhile, and nobody will be told so again.
        if (out.destroyed) return
        const after = isBehind(asked, head) ? asked : head
        // The record was put back to an earlier state: what this screen believes is not on it.
        if (after !== asked) out.write(`event: startOver\nid: ${sayBookmark(head)}\ndata: {}\n\n`)
        const families = readableBy(signedIn.person.role)
        const reader = createReader({ db, out, families, hidden: hiddenFrom(request), after })
        const stop = hub.follow(reader.hear)
        const sayWhy = (why: Why) => reader.say(standstillEvent(why))
        const unfollow = standstill.follow(sayWhy)
        // Anyone who is signed out has to come back and ask, and is then told to sign in.
        const unlisten = sessions.onEnd(signedIn, () => reader.end())
        const beat = () => {
          const stuck = reader.stuckSince()
          if (stuck === null) reader.say('event: beat\ndata: {}\n\n')
          else if (performance.now() - stuck > STUCK_MS) out.destroy()
        }
        const heartbeat = setInterval(beat, heartbeatMs)
        out.on('close', () => {
          clearInterval(heartbeat)
          unlisten()
          unfollow()
          stop()
        })
        // What was shown until then was only what could be told without the entries.
        if (!isFolded)
          void refolded.then((count) => {
            if (count > 0) reader.say(`event: startOver\nid: ${sayBookmark(after)}\ndata: {}\n\n`)
          })
        sayWhy(standstill.why())
        await reader.catchUp().catch((error: unknown) => {
          // The browser comes back by itself and names where it was.
          request.log.warn({ err: error }, 'feed cut short')
          reader.end()
        })
      },
    )
  }
}
