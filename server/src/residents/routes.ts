import type { KeepEnclosure, NewResident } from '@kobrin/contract'
import { ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync } from 'fastify'
import type { Floor } from '../floor.ts'
import { schemaOf } from '../interface/schemaOf.ts'
import { addResident, firstEntry, keepEnclosure } from './commands.ts'

export function residentRoutes({
  connection: { db },
  appender,
  guard,
  hub,
  authorOn,
}: Floor): FastifyPluginAsync {
  return async (app) => {
    app.post<{ Body: NewResident }>(
      ROUTES.addResident.url,
      { ...guard(ROUTES.addResident), schema: schemaOf(ROUTES.addResident) },
      async (request) => {
        const author = await authorOn(request)
        const { accession, isNew } = await addResident(db, request.body, author)
        if (isNew) await appender.append([firstEntry(request.body, author)])
        hub.siteChanged()
        return { accession }
      },
    )
    app.put<{ Params: { enclosureId: string }; Body: KeepEnclosure }>(
      ROUTES.keepEnclosure.url,
      { ...guard(ROUTES.keepEnclosure), schema: schemaOf(ROUTES.keepEnclosure) },
      async (request, reply) => {
        await keepEnclosure(db, request.params.enclosureId, request.body, await authorOn(request))
        hub.siteChanged()
        return reply.status(204).send()
      },
    )
  }
}
