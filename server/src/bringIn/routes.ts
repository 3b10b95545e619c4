import { OFFICE_ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync } from 'fastify'
import { postingOn } from '../entries/postingOn.ts'
import { serve } from '../interface/serve.ts'
import type { Services } from '../services.ts'
import { bringIn } from './bringIn.ts'

/** Lists that somebody kept before. */
export function bringInRoutes(services: Services): FastifyPluginAsync {
  const { changingOn, book } = services
  return async (app) => {
    serve(app, services, OFFICE_ROUTES.bringIn, async ({ body, request }) =>
      bringIn(
        {
          ...(await changingOn(request)),
          posting: await postingOn(services, request),
          sheets: () => book.sheets(),
        },
        body,
      ),
    )
  }
}
