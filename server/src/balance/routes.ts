import type { Heard } from '@kobrin/contract'
import { OFFICE_ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync } from 'fastify'
import { KobrinProblem } from '../errors/problem.ts'
import { openEvents } from '../interface/events.ts'
import { schemaOf } from '../interface/serve.ts'
import { signedInOn } from '../people/guard.ts'
import type { Services } from '../services.ts'

/** What a reader may be behind with before it misses lines: a weight is of now. */
const BEHIND_BYTES = 16 * 1024

function eventOf(heard: Heard): string {
  return heard ? `data: ${JSON.stringify(heard)}\n\n` : 'event: away\ndata: {}\n\n'
}

/** Balances that speak lines, told on to anyone who weighs. */
export function balanceRoutes({ balances, sessions, guard, heartbeatMs }: Services): FastifyPluginAsync {
  const { balances: names, balance } = OFFICE_ROUTES
  return async (app) => {
    app.get(names.url, { ...guard(names), schema: schemaOf(names) }, async () => ({ names: balances.names }))

    app.get<{ Params: { name: string } }>(
      balance.url,
      { ...guard(balance), schema: schemaOf(balance) },
      async (request, reply) => {
        const signedIn = signedInOn(request)
        const { name } = request.params
        if (!balances.names.includes(name)) throw new KobrinProblem('not_found')
        const out = openEvents(request, reply)
        const say = (text: string) => {
          if (!out.destroyed && out.writableLength < BEHIND_BYTES) out.write(text)
        }
        const stop = balances.follow(name, (heard) => say(eventOf(heard)))
        const unlisten = sessions.onEnd(signedIn, () => out.end())
        const heartbeat = setInterval(() => say('event: beat\ndata: {}\n\n'), heartbeatMs)
        out.on('close', () => {
          clearInterval(heartbeat)
          unlisten()
          stop?.()
        })
      },
    )
  }
}
