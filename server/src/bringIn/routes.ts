import { OFFICE_ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync } from 'fastify'
import { serve } from '../interface/serve.ts'
import { signedInOn } from '../people/guard.ts'
import type { Services } from '../services.ts'
import { bringIn } from './bringIn.ts'

/** Lists that somebody kept before. */
export function bringInRoutes(services: Services): FastifyPluginAsync {
  const { changingOn, siteZone, book } = services
  return async (app) => {
    serve(app, services, OFFICE_ROUTES.bringIn, async ({ body, request }) =>
      bringIn(
        {
          ...(await changingOn(request)),
          role: signedInOn(request).person.role,
          zone: await siteZone(),
          sheets: () => book.sheets(),
        },
        body,
      ),
    )
  }
}
