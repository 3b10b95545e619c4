import compress from '@fastify/compress'
import cookie from '@fastify/cookie'
import helmet from '@fastify/helmet'
import rateLimit from '@fastify/rate-limit'
import swagger from '@fastify/swagger'
import { OPENAPI_URL } from '@kobrin/contract'
import { civil } from '@kobrin/core'
import type { FastifyInstance, FastifyServerOptions } from 'fastify'
import fastify from 'fastify'
import { jsonSchemaTransform, serializerCompiler, validatorCompiler } from 'fastify-type-provider-zod'
import type { Connection } from './database/connect.ts'
import { createAppender } from './entries/appender.ts'
import { readingRoutes } from './entries/readingRoutes.ts'
import { entryRoutes } from './entries/routes.ts'
import { answerProblems } from './errors/problem.ts'
import { createHub } from './feed/hub.ts'
import { feedRoutes } from './feed/routes.ts'
import { healthRoutes } from './health/routes.ts'
import { checkOrigin } from './interface/origin.ts'
import { servePages } from './interface/pages.ts'
import { libraryRoutes } from './library/routes.ts'
import { createGuard, signedInOn } from './people/guard.ts'
import { createDevices } from './people/devices.ts'
import { peopleRoutes } from './people/routes.ts'
import { createSessions } from './people/sessions.ts'
import { planRoutes } from './plans/routes.ts'
import type { Services } from './services.ts'
import { siteSettings } from './site/queries.ts'
import { siteRoutes } from './site/routes.ts'
import { createSiteBook } from './site/siteBook.ts'
import { createOwnStream, headOf } from './streams/ownStream.ts'
import { VERSION } from './version.ts'

export interface AppOptions {
  connection: Connection
  /** Folder of the built interface; without it only the API is served. */
  pages?: string
  logger?: FastifyServerOptions['logger']
  now?: () => Date
  heartbeatMs?: number
}

const BODY_LIMIT = 2 * 1024 * 1024

async function protect(app: FastifyInstance): Promise<void> {
  // A page is what a browser has to be kept from misusing; answers of the API only must not be taken
  // for one, nor read by another site's page.
  await app.register(helmet, {
    global: false,
    contentSecurityPolicy: {
      directives: {
        'default-src': ["'self'"],
        'script-src': ["'self'"],
        'style-src': ["'self'"],
        'img-src': ["'self'", 'data:', 'blob:'],
        'font-src': ["'self'"],
        'connect-src': ["'self'"],
        'object-src': ["'none'"],
        'frame-ancestors': ["'none'"],
        'upgrade-insecure-requests': null,
      },
    },
    // On loopback there is no TLS to insist on; a proxy that adds TLS adds this too.
    strictTransportSecurity: false,
  })
  app.addHook('onRequest', async (_request, reply) => {
    reply.header('x-content-type-options', 'nosniff').header('cross-origin-resource-policy', 'same-origin')
  })
  await app.register(cookie)
  await app.register(rateLimit, { global: false })
  checkOrigin(app)
}

async function documented(app: FastifyInstance): Promise<void> {
  await app.register(swagger, {
    openapi: {
      info: { title: 'Kobrin', version: VERSION, description: 'The shared record of a collection.' },
    },
    transform: jsonSchemaTransform,
  })
  app.get(OPENAPI_URL, { schema: { hide: true } }, () => app.swagger())
}

/** What the features stand on, put together; `close` ends what was begun here. */
async function servicesOf(
  app: FastifyInstance,
  { connection, now, heartbeatMs }: Required<Pick<AppOptions, 'connection' | 'now' | 'heartbeatMs'>>,
): Promise<{ services: Services; close: () => Promise<void> }> {
  const { db } = connection
  const hub = createHub(db, await headOf(db), (error) =>
    app.log.warn({ err: error }, 'the feed could not be read'),
  )
  const stream = createOwnStream(db)
  const book = createSiteBook(db)
  const appender = createAppender(connection, {
    stream,
    sheets: book.sheets,
    onAppended: hub.wake,
    now: () => now().toISOString(),
  })
  const sessions = createSessions(db, now)
  let zone: string | null = null
  const siteZone = async () => {
    zone ??= (await siteSettings(db))?.zone ?? null
    return zone ?? 'UTC'
  }
  const authorOn: Services['authorOn'] = async (request) => ({
    by: signedInOn(request).person.id,
    at: now().toISOString(),
    day: civil(now().getTime(), await siteZone()).day,
  })
  const services: Services = {
    connection,
    appender,
    hub,
    sessions,
    devices: createDevices(db, now),
    book,
    guard: createGuard(sessions),
    log: app.log,
    now,
    siteZone,
    authorOn,
    changingOn: async (request) => ({ db, stream, author: await authorOn(request), onChanged: hub.wake }),
    heartbeatMs,
  }
  const close = async () => {
    await appender.drained()
    await hub.close()
    await stream.close()
  }
  return { services, close }
}

const FEATURES = [
  healthRoutes,
  peopleRoutes,
  siteRoutes,
  libraryRoutes,
  planRoutes,
  entryRoutes,
  readingRoutes,
  feedRoutes,
]

/** The whole server over an open database connection; closing it closes what it opened, not the connection. */
export async function buildApp({
  connection,
  pages,
  logger = false,
  now = () => new Date(),
  heartbeatMs = 15_000,
}: AppOptions): Promise<FastifyInstance> {
  const app = fastify({ logger, bodyLimit: BODY_LIMIT, forceCloseConnections: true })
  app.setValidatorCompiler(validatorCompiler)
  app.setSerializerCompiler(serializerCompiler)
  app.decorateRequest('signedIn', null)
  answerProblems(app)
  await protect(app)
  await app.register(compress, { global: false })
  await documented(app)
  const { services, close } = await servicesOf(app, { connection, now, heartbeatMs })
  for (const routes of FEATURES) await app.register(routes(services))
  if (pages) await servePages(app, pages)
  app.addHook('onClose', close)
  return app
}
