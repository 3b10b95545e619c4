import type { FastifyInstance, LightMyRequestResponse } from 'fastify'
import { ROUTES } from '@kobrin/contract'
import type { AppOptions } from '../app.ts'
import { buildApp } from '../app.ts'
import type { Connection } from '../database/connect.ts'
import { connect } from '../database/connect.ts'
import { migrate } from '../database/migrate.ts'
import type { OwnDatabase } from '../database/ownDatabase.ts'
import { startOwnDatabase } from '../database/ownDatabase.ts'
import { loadSeed } from '../setup/loadSeed.ts'
import type { Client } from './client.ts'
import { signedIn } from './client.ts'
import { postedBy } from './requests.ts'
import { smallSite } from './smallSite.ts'

export interface OwnHouse {
  own: OwnDatabase
  connection: Connection
  app: FastifyInstance
  keeper: Client
  /** Somebody who lives there. */
  resident: string
  /** Says something about somebody. */
  note: (text: string) => Promise<LightMyRequestResponse>
  health: () => Promise<{ database: string; disk: string }>
  close: () => Promise<void>
}

/** A small site on a database server of its own in a folder, which may be treated badly. */
export async function openOwnHouse(
  folder: string,
  options: Omit<AppOptions, 'connection'> = {},
): Promise<OwnHouse> {
  const site = smallSite()
  const own = await startOwnDatabase(folder)
  const connection = await connect(own.address)
  await migrate(connection)
  await loadSeed(connection.db, site)
  const app = await buildApp({ ...options, connection, dataDir: folder })
  const keeper = await signedIn(app, 'keeper')
  const resident = site.residents[0]?.id ?? ''
  return {
    own,
    connection,
    app,
    keeper,
    resident,
    note(text) {
      const fact = { subject: resident, kind: 'noted', payload: { text } } as const
      const entry = postedBy(site.person('keeper').id, fact)
      return keeper.call({ method: 'POST', url: ROUTES.append.url, body: { entries: [entry] } })
    },
    health: async () =>
      (await app.inject({ url: ROUTES.health.url })).json<{ database: string; disk: string }>(),
    async close() {
      await app.close()
      await connection.close()
      await own.stop()
    },
  }
}
