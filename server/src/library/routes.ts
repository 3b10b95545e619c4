import { OFFICE_ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync } from 'fastify'
import { KobrinProblem } from '../errors/problem.ts'
import { serve } from '../interface/serve.ts'
import type { Services } from '../services.ts'
import { keepSheet } from './commands.ts'
import { everySchool, librarySheet, summaries, textOfVersion } from './queries.ts'

export function libraryRoutes(services: Services): FastifyPluginAsync {
  const {
    connection: { db },
    changingOn,
  } = services
  return async (app) => {
    serve(app, services, OFFICE_ROUTES.library, async () => ({ sheets: await summaries(db) }))
    serve(app, services, OFFICE_ROUTES.schools, async () => ({ sheets: await everySchool(db) }))
    serve(app, services, OFFICE_ROUTES.sheet, async ({ params }) => {
      const found = await librarySheet(db, params.sheetId)
      if (!found) throw new KobrinProblem('unknown_sheet')
      return found
    })
    serve(app, services, OFFICE_ROUTES.sheetVersion, async ({ params }) => {
      const yaml = await textOfVersion(db, params.sheetId, params.version)
      if (yaml === null) throw new KobrinProblem('unknown_sheet')
      return { yaml }
    })
    serve(app, services, OFFICE_ROUTES.keepSheet, async ({ params, body, request }) =>
      keepSheet(await changingOn(request), params.sheetId, body),
    )
  }
}
