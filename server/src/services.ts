import type { Route } from '@kobrin/contract'
import type { FastifyBaseLogger, FastifyRequest, RouteShorthandOptions } from 'fastify'
import type { Author } from './changes/author.ts'
import type { Changing } from './changes/changing.ts'
import type { Pulse } from './database/pulse.ts'
import type { Connection } from './database/connect.ts'
import type { Appender } from './entries/appender.ts'
import type { Hub } from './feed/hub.ts'
import type { Standstill } from './health/standstill.ts'
import type { Reports } from './interface/reports.ts'
import type { Devices } from './people/devices.ts'
import type { Guesses } from './people/guesses.ts'
import type { Sessions } from './people/sessions.ts'
import type { SiteBook } from './site/siteBook.ts'

/** What every feature of the server stands on. */
export interface Services {
  connection: Connection
  appender: Appender
  hub: Hub
  sessions: Sessions
  devices: Devices
  guesses: Guesses
  reports: Reports
  pulse: Pulse
  standstill: Standstill
  book: SiteBook
  /** The checks a route of the table asks for. */
  guard: (route: Pick<Route, 'access'>) => Pick<RouteShorthandOptions, 'onRequest'>
  log: FastifyBaseLogger
  now: () => Date
  /** The site's IANA zone, UTC before there is a site. */
  siteZone: () => Promise<string>
  /** Who asks, and when. Only behind a guard that asks for a sign-in. */
  authorOn: (request: FastifyRequest) => Promise<Author>
  /** What a change by whoever asks needs. */
  changingOn: (request: FastifyRequest) => Promise<Changing>
  /** How often a silent feed says that it is there: proxies and tablets drop a silent connection. */
  heartbeatMs: number
}
