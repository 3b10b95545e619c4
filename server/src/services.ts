import type { Route } from '@kobrin/contract'
import type { FastifyBaseLogger, RouteShorthandOptions } from 'fastify'
import type { Balances } from './balance/balances.ts'
import type { Nightly } from './backup/nightly.ts'
import type { Authors } from './changes/authors.ts'
import type { Pulse } from './database/pulse.ts'
import type { Connection } from './database/connect.ts'
import type { Appender } from './entries/appender.ts'
import type { Hub } from './feed/hub.ts'
import type { Standstill } from './health/standstill.ts'
import type { Reports } from './interface/reports.ts'
import type { OwnStream } from './streams/ownStream.ts'
import type { Devices } from './people/devices.ts'
import type { Door } from './people/door.ts'
import type { Guesses } from './people/guesses.ts'
import type { Sessions } from './people/sessions.ts'
import type { SiteBook } from './site/siteBook.ts'

/** What every feature of the server stands on. */
export interface Services extends Authors {
  connection: Connection
  appender: Appender
  hub: Hub
  /** Where what is changed by this server gets its places in the feed. */
  stream: OwnStream
  sessions: Sessions
  door: Door
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
  /** Makes a backup every night; null where somebody else does. */
  nightly: Nightly | null
  /** Those that can be listened to. */
  balances: Balances
  /** Where pictures lie; null where none are kept. */
  photos: string | null
  /** When this server began, ms. */
  startedAt: number
  /** With it a house is set up; null where there is one. */
  firstCode: string | null
  /** How many subjects were folded again beside the serving house, once all of them are. */
  refolded: Promise<number>
  /** How often a silent feed says that it is there: proxies and tablets drop a silent connection. */
  heartbeatMs: number
}
