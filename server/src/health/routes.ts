import { ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync } from 'fastify'
import { headOf } from '../entries/queries.ts'
import type { Floor } from '../floor.ts'
import { schemaOf } from '../interface/schemaOf.ts'
import { VERSION } from '../version.ts'

export function healthRoutes({ connection: { db } }: Floor): FastifyPluginAsync {
  return async (app) => {
    app.get(ROUTES.health.url, { schema: schemaOf(ROUTES.health), logLevel: 'warn' }, async () => {
      const head = await headOf(db).catch(() => null)
      return { app: 'up', database: head === null ? 'down' : 'up', version: VERSION, head }
    })
  }
}
