import compress from '@fastify/compress'
import cookie from '@fastify/cookie'
import helmet from '@fastify/helmet'
import swagger from '@fastify/swagger'
import underPressure from '@fastify/under-pressure'
import { ERRORS, OPENAPI_URL, REVISION_HEADER, ROUTES } from '@kobrin/contract'
import { FOLD_REVISION } from '@kobrin/core'
import type { FastifyInstance, FastifyServerOptions } from 'fastify'
import fastify from 'fastify'
import { jsonSchemaTransform, serializerCompiler, validatorCompiler } from 'fastify-type-provider-zod'
import type { Nightly } from './backup/nightly.ts'
import { startNightly } from './backup/nightly.ts'
import { bringInRoutes } from './bringIn/routes.ts'
import { keepFitted } from './curves/keepFitted.ts'
import { curveRoutes } from './curves/routes.ts'
import type { BalanceAddress } from './balance/balances.ts'
import { createBalances } from './balance/balances.ts'
import { balanceRoutes } from './balance/routes.ts'
import { backupRoutes } from './backup/routes.ts'
import { createAuthors } from './changes/authors.ts'
import type { Connection, Database, DatabaseAddress } from './database/connect.ts'
import type { Pulse } from './database/pulse.ts'
import { createPulse } from './database/pulse.ts'
import { createAppender } from './entries/appender.ts'
import { readingRoutes } from './entries/readingRoutes.ts'
import { entryRoutes } from './entries/routes.ts'
import { answerProblems, KobrinProblem } from './errors/problem.ts'
import { createHub } from './feed/hub.ts'
import { feedRoutes } from './feed/routes.ts'
import { healthRoutes } from './health/routes.ts'
import type { Standstill } from './health/standstill.ts'
import { createStandstill } from './health/standstill.ts'
import { checkHost, checkOrigin } from './interface/origin.ts'
import { createReports } from './interface/reports.ts'
import { servePages } from './interface/pages.ts'
import { libraryRoutes } from './library/routes.ts'
import { createDoor } from './people/door.ts'
import { createGuesses } from './people/guesses.ts'
import { createGuard } from './people/guard.ts'
import { createDevices } from './people/devices.ts'
import { pruneDoor } from './people/prune.ts'
import { peopleRoutes } from './people/routes.ts'
import { createSessions } from './people/sessions.ts'
import { staffRoutes } from './people/staffRoutes.ts'
import { photoRoutes } from './photos/routes.ts'
import { planRoutes } from './plans/routes.ts'
import type { Services } from './services.ts'
import { houseName } from './setup/firstRun.ts'
import { setUpRoutes } from './setup/routes.ts'
import { placeRoutes } from './site/placeRoutes.ts'
import { siteSettings } from './site/queries.ts'
import { siteRoutes } from './site/routes.ts'
import { createSiteBook } from './site/siteBook.ts'
import { createOwnStream, headOf } from './streams/ownStream.ts'
import { takeOutRoutes } from './takeOut/routes.ts'
import { hourIn } from './night.ts'
import { VERSION } from './version.ts'

export interface AppOptions {
  connection: Connection
  /** Folder of the built interface; without it only the API is served. */
  pages?: string
  logger?: FastifyServerOptions['logger']
  now?: () => Date
  heartbeatMs?: number
  /** Names it answers to besides those of this machine. */
  hosts?: readonly string[]
  /** Proxies whose word about where a request comes from is believed. */
  trustProxy?: string[] | false
  /** Where our own database keeps its data. */
  dataDir?: string | null
  /** With it an empty record becomes a house: shown to anyone who started the server. */
  firstCode?: string | null
  /** Where a backup is put every night; without one none is made. */
  backups?: { address: DatabaseAddress; folder: string } | null
  /** Where pictures lie; without it none are kept. */
  photos?: string | null
  /** Balances that are listened to. */
  balances?: readonly BalanceAddress[]
  /** Fits growth curves beside everything else. */
  fitsCurves?: boolean
  /** How many subjects were folded again beside the serving house, once all of them are. */
  refolded?: Promise<number>
  /** A request is here within this time, milliseconds, or its line is closed. */
  requestMs?: number
  /** When the process answers later than this, milliseconds, anyone who only looks is asked to come again. */
  lagMs?: number
}

/** More than any form of ours; a route whose body may be larger says so. */
const BODY_LIMIT = 64 * 1024
const REQUEST_MS = 30_000
const LAG_MS = 2_000
/** Lines are looked at so often. */
const CHECK_MS = 5_000
/** Tablets, and a few for every open feed; more at once is not a house. */
const CONNECTIONS_MOST = 2_000
const PRUNE_MS = 3_600_000
const OWN_NAMES = ['localhost', '127.0.0.1', '[::1]']

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
        'worker-src': ["'self'"],
        'manifest-src': ["'self'"],
        'object-src': ["'none'"],
        'frame-ancestors': ["'none'"],
        'upgrade-insecure-requests': null,
      },
    },
    // On loopback there is no TLS to insist on; a proxy that adds TLS adds this too.
    strictTransportSecurity: false,
  })
  app.addHook('onRequest', async (request, reply) => {
    reply.header('x-content-type-options', 'nosniff').header('cross-origin-resource-policy', 'same-origin')
    // What is told to one person is nobody else's, on no proxy and in no cache.
    if (request.url.startsWith('/api')) reply.header('cache-control', 'no-store')
  })
  await app.register(cookie)
  checkOrigin(app)
}

async function documented(app: FastifyInstance): Promise<void> {
  await app.register(swagger, {
    openapi: {
      info: {
        title: 'Kobrin',
        version: VERSION,
        description: `The shared record of a collection. Say \`${REVISION_HEADER}: ${FOLD_REVISION}\` with every request: without it answers leave out the kinds of fact that pages of before would not know.`,
      },
    },
    transform: jsonSchemaTransform,
  })
}

/** Everything behind the interface but the state of the house itself. */
function asksDatabase(url: string): boolean {
  return url.startsWith('/api') && !url.startsWith(ROUTES.health.url)
}

/** Too much at once: what is entered is still taken, and anyone who looks comes again in a moment. */
async function relieved(app: FastifyInstance, lagMs: number): Promise<void> {
  await app.register(underPressure, {
    maxEventLoopDelay: lagMs,
    pressureHandler({ url, method }, reply) {
      const isEntered = method === ROUTES.append.method && url.startsWith(ROUTES.append.url)
      if (asksDatabase(url) && !isEntered) reply.send(new KobrinProblem('busy'))
    },
  })
}

/** Backups of every night, where they are ours to make. */
function nightlyOf(
  app: FastifyInstance,
  {
    db,
    siteZone,
    now,
    backups,
    photos,
  }: Pick<Services, 'siteZone' | 'now' | 'photos'> & Pick<AppOptions, 'backups'> & { db: Database },
): Nightly | null {
  if (!backups) return null
  return startNightly({
    ...backups,
    photos: photos === null ? null : { db, folder: photos },
    now,
    hourHere: async () => hourIn(await siteZone(), now()),
    isThere: async () => (await houseName(db)) !== null,
    failed: (error) => app.log.error({ err: error }, 'no backup could be made'),
  })
}

/** What is done again and again while the house is open. */
function keepUp(app: FastifyInstance, { db, now }: { db: Database; now: () => Date }): { stop: () => void } {
  const prune = () =>
    pruneDoor(db, now()).catch((error: unknown) => app.log.warn({ err: error }, 'not pruned'))
  const timer = setInterval(() => void prune(), PRUNE_MS)
  timer.unref()
  void prune()
  return { stop: () => clearInterval(timer) }
}

/** Whether anything can be kept just now, with every change in the log. */
function watched(
  { log }: FastifyInstance,
  connection: Connection,
  dataDir: string | null,
): { standstill: Standstill; pulse: Pulse } {
  const standstill = createStandstill(dataDir, {
    onChange(why) {
      if (why) log.error(`Nothing can be kept: ${ERRORS[why].message}`)
      else log.warn('Everything can be kept again.')
    },
  })
  return { standstill, pulse: createPulse(connection, { onChange: standstill.found }) }
}

type ServiceOptions = Required<
  Pick<
    AppOptions,
    | 'connection'
    | 'now'
    | 'heartbeatMs'
    | 'dataDir'
    | 'firstCode'
    | 'refolded'
    | 'backups'
    | 'photos'
    | 'balances'
    | 'fitsCurves'
  >
>

/** What the features stand on, put together; `close` ends what was begun here. */
async function servicesOf(
  app: FastifyInstance,
  { connection, now, heartbeatMs, dataDir, backups, photos, balances, fitsCurves, ...said }: ServiceOptions,
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
    onTried: (error) => standstill.tried(error),
    now: () => now().toISOString(),
  })
  const sessions = createSessions(db, now)
  const { standstill, pulse } = watched(app, connection, dataDir)
  let zone: string | null = null
  const siteZone = async () => {
    zone ??= (await siteSettings(db))?.zone ?? null
    return zone ?? 'UTC'
  }
  const devices = createDevices(db, now)
  const guesses = createGuesses(db, now)
  const services: Services = {
    connection,
    appender,
    hub,
    stream,
    sessions,
    devices,
    guesses,
    door: createDoor({ sessions, devices, guesses }),
    reports: createReports(),
    pulse,
    standstill,
    book,
    guard: createGuard(sessions),
    log: app.log,
    now,
    siteZone,
    ...createAuthors({ db, stream, onChanged: hub.wake, siteZone, now }),
    nightly: nightlyOf(app, { db, siteZone, now, backups, photos }),
    photos,
    balances: createBalances(balances, now),
    startedAt: now().getTime(),
    heartbeatMs,
    ...said,
  }
  const upkeep = keepUp(app, { db, now })
  const curves = fitsCurves ? keepFitted(services) : null
  const close = async () => {
    upkeep.stop()
    await curves?.stop()
    services.balances.close()
    await services.nightly?.stop()
    await appender.drained()
    await hub.close()
    await stream.close()
    sessions.close()
    await pulse.stop()
    await standstill.stop()
  }
  return { services, close }
}

const FEATURES = [
  healthRoutes,
  setUpRoutes,
  peopleRoutes,
  staffRoutes,
  siteRoutes,
  placeRoutes,
  bringInRoutes,
  takeOutRoutes,
  photoRoutes,
  balanceRoutes,
  curveRoutes,
  backupRoutes,
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
  hosts = [],
  trustProxy = false,
  dataDir = null,
  firstCode = null,
  refolded = Promise.resolve(0),
  backups = null,
  photos = null,
  balances = [],
  fitsCurves = false,
  requestMs = REQUEST_MS,
  lagMs = LAG_MS,
}: AppOptions): Promise<FastifyInstance> {
  const app = fastify({
    logger,
    trustProxy,
    bodyLimit: BODY_LIMIT,
    requestTimeout: requestMs,
    http: { headersTimeout: requestMs, connectionsCheckingInterval: Math.min(CHECK_MS, requestMs) },
    forceCloseConnections: true,
  })
  app.server.maxConnections = CONNECTIONS_MOST
  app.setValidatorCompiler(validatorCompiler)
  app.setSerializerCompiler(serializerCompiler)
  app.decorateRequest('signedIn', null)
  answerProblems(app)
  checkHost(app, [...OWN_NAMES, ...hosts])
  await protect(app)
  await relieved(app, lagMs)
  await app.register(compress, { global: false })
  await documented(app)
  const { services, close } = await servicesOf(app, {
    connection,
    now,
    heartbeatMs,
    dataDir,
    firstCode,
    refolded,
    backups,
    photos,
    balances,
    fitsCurves,
  })
  app.addHook('onRequest', async ({ url }) => {
    if (asksDatabase(url) && !services.pulse.isBeating()) throw new KobrinProblem('database_away')
  })
  for (const routes of FEATURES) await app.register(routes(services))
  const forPeople = services.guard({ access: 'signedIn' })
  app.get(OPENAPI_URL, { ...forPeople, schema: { hide: true } }, () => app.swagger())
  if (pages) await servePages(app, pages)
  app.addHook('onClose', close)
  return app
}
