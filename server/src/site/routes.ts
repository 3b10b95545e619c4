import { ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync, FastifyReply, FastifyRequest } from 'fastify'
import { KobrinProblem } from '../errors/problem.ts'
import { serve, serveText } from '../interface/serve.ts'
import type { Services } from '../services.ts'
import { keepEnclosure } from './commands.ts'
import type { Page } from './siteBook.ts'

/** The page, or nothing when the caller has it already. */
function unlessKnown(page: Page | null, request: FastifyRequest, reply: FastifyReply): Buffer | null {
  if (!page) throw new KobrinProblem('not_found')
  reply.header('etag', page.etag).header('cache-control', 'private, no-cache')
  return request.headers['if-none-match'] === page.etag ? null : page.text
}

export function siteRoutes(services: Services): FastifyPluginAsync {
  const { book, changingOn } = services
  return async (app) => {
    serveText(app, services, ROUTES.site, async ({ request, reply }) =>
      unlessKnown(await book.site(), request, reply),
    )
    serveText(app, services, ROUTES.planBook, async ({ request, reply }) =>
      unlessKnown(await book.plans(), request, reply),
    )
    serve(app, services, ROUTES.keepEnclosure, async ({ params, body, request }) => {
      await keepEnclosure(await changingOn(request), params.enclosureId, body)
    })
  }
}
