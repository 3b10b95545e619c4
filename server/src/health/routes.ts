import { ROUTES, sayBookmark } from '@kobrin/contract'
import type { FastifyPluginAsync } from 'fastify'
import { serve } from '../interface/serve.ts'
import type { Services } from '../services.ts'
import { headOf } from '../streams/ownStream.ts'
import { VERSION } from '../version.ts'

export function healthRoutes(services: Services): FastifyPluginAsync {
  const { db } = services.connection
  return async (app) => {
    serve(
      app,
      services,
      ROUTES.health,
      async () => {
        const head = services.pulse.isBeating() ? await headOf(db).catch(() => null) : null
        return {
          app: 'up' as const,
          disk: await services.standstill.disk(),
          database: head === null ? ('down' as const) : ('up' as const),
          version: VERSION,
          head: head && sayBookmark(head),
        }
      },
      { logLevel: 'warn' },
    )
  }
}
