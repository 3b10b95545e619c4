import type { KeepSheet } from '@kobrin/contract'
import { ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync } from 'fastify'
import { KobrinProblem } from '../errors/problem.ts'
import type { Floor } from '../floor.ts'
import { schemaOf, joinedAnswer } from '../interface/schemaOf.ts'
import { keepSheet } from './commands.ts'
import { everySchool, librarySheet, summaries, textOfVersion } from './queries.ts'

export function libraryRoutes({ connection: { db }, guard, hub, authorOn }: Floor): FastifyPluginAsync {
  return async (app) => {
    app.get(ROUTES.library.url, { ...guard(ROUTES.library), schema: schemaOf(ROUTES.library) }, async () => ({
      sheets: await summaries(db),
    }))
    app.get(
      ROUTES.schools.url,
      { ...guard(ROUTES.schools), ...joinedAnswer(ROUTES.schools) },
      async () => ({ sheets: await everySchool(db) }),
    )
    app.get<{ Params: { sheetId: string } }>(
      ROUTES.sheet.url,
      { ...guard(ROUTES.sheet), ...joinedAnswer(ROUTES.sheet) },
      async ({ params }) => {
        const found = await librarySheet(db, params.sheetId)
        if (!found) throw new KobrinProblem('unknown_sheet')
        return found
      },
    )
    app.get<{ Params: { sheetId: string; version: number } }>(
      ROUTES.sheetVersion.url,
      { ...guard(ROUTES.sheetVersion), schema: schemaOf(ROUTES.sheetVersion) },
      async ({ params }) => {
        const yaml = await textOfVersion(db, params.sheetId, params.version)
        if (yaml === null) throw new KobrinProblem('unknown_sheet')
        return { yaml }
      },
    )
    app.put<{ Params: { sheetId: string }; Body: KeepSheet }>(
      ROUTES.keepSheet.url,
      { ...guard(ROUTES.keepSheet), schema: schemaOf(ROUTES.keepSheet) },
      async (request) => {
        const answer = await keepSheet(db, request.params.sheetId, request.body, await authorOn(request))
        if (answer.status === 'kept') hub.siteChanged()
        return answer
      },
    )
  }
}
