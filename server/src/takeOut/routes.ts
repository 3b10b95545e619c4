import { PassThrough } from 'node:stream'
import { OFFICE_ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync } from 'fastify'
import pLimit from 'p-limit'
import { schemaOf } from '../interface/serve.ts'
import type { Services } from '../services.ts'
import { takeOut } from './takeOut.ts'

/** Everything on record, as it is packed: it may be more than fits into this process. */
export function takeOutRoutes({ connection: { db }, guard, now, photos }: Services): FastifyPluginAsync {
  const route = OFFICE_ROUTES.takeOut
  // It holds a connection to the database for as long as it takes.
  const oneAtATime = pLimit(1)
  return async (app) => {
    app.get(route.url, { ...guard(route), schema: schemaOf(route) }, async (request, reply) => {
      const out = new PassThrough()
      // The line is cut where it goes wrong: half a file is not to be taken for a whole one.
      oneAtATime(() => takeOut(db, out, now(), photos)).catch((error: unknown) => {
        request.log.warn({ err: error }, 'taking out was broken off')
        out.destroy(error instanceof Error ? error : new Error(String(error)))
      })
      return reply
        .type('application/zip')
        .header('content-disposition', 'attachment; filename="kobrin.zip"')
        .send(out)
    })
  }
}
