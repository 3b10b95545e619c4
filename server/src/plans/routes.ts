import { ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync } from 'fastify'
import { changesSince } from '../changes/queries.ts'
import { entriesSince } from '../entries/queries.ts'
import { serve } from '../interface/serve.ts'
import type { Services } from '../services.ts'
import { chooseSchool, endOverride, signOverride } from './commands.ts'

export function planRoutes(services: Services): FastifyPluginAsync {
  const {
    connection: { db },
    changingOn,
  } = services
  return async (app) => {
    serve(app, services, ROUTES.chooseSchool, async ({ body, request }) => {
      await chooseSchool(await changingOn(request), body)
    })
    serve(app, services, ROUTES.signOverride, async ({ body, request }) => {
      await signOverride(await changingOn(request), body)
    })
    serve(app, services, ROUTES.endOverride, async ({ body, request }) => {
      await endOverride(await changingOn(request), body)
    })
    serve(app, services, ROUTES.changes, async ({ query: { since } }) => ({
      changes: await changesSince(db, since),
      entries: await entriesSince(db, since, ['registered', 'staged', 'schooled']),
    }))
  }
}
