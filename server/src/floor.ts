import type { Route } from '@kobrin/contract'
import type { RouteShorthandOptions } from 'fastify'
import type { FastifyBaseLogger } from 'fastify'
import type { Connection } from './database/connect.ts'
import type { Appender } from './entries/appender.ts'
import type { Hub } from './feed/hub.ts'
import type { Sessions } from './people/sessions.ts'

/** What every feature of the server stands on. */
export interface Floor {
  connection: Connection
  appender: Appender
  hub: Hub
  sessions: Sessions
  /** The checks a route of the table asks for. */
  guard: (route: Route) => Pick<RouteShorthandOptions, 'preHandler'>
  log: FastifyBaseLogger
  now: () => Date
  /** How often a silent feed says that it is there: proxies and tablets drop a silent connection. */
  heartbeatMs: number
}
