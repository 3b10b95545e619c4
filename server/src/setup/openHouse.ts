import { join } from 'node:path'
import type { SiteSeed } from '@kobrin/contract'
import { buildApp } from '../app.ts'
import type { BalanceAddress } from '../balance/balances.ts'
import { connect } from '../database/connect.ts'
import { migrate } from '../database/migrate.ts'
import { startOwnDatabase } from '../database/ownDatabase.ts'
import { readLibrary } from '../library/readLibrary.ts'
import { renewLibrary } from '../library/commands.ts'
import { loadSeed } from './loadSeed.ts'

const MINUTE_MS = 60_000

export interface HouseOptions {
  /** Who lives there, told the minute in which the house opens: however long that took, the same live there. Null
   * for an empty record, which has the shipped library and can be set up with `firstCode`. */
  seed: ((nowMs: number) => SiteSeed) | null
  firstCode?: string
  /** Balances that are listened to. */
  balances?: readonly BalanceAddress[]
  /** Fits growth curves beside everything else. */
  fitsCurves?: boolean
  /** Folder of the built interface. */
  pages?: string
}

/** A house set up from nothing on any free port, for driving and measuring: says where it is as soon
 * as it is open, and puts everything away when told to stop. `startHouse` hands over an empty folder for
 * the database and how far the clock is ahead, so that a house stands on the day it is asked for. */
export async function openHouse({ seed, ...options }: HouseOptions): Promise<void> {
  const [dataDir = '', ahead = '0'] = process.argv.slice(2)
  const now = () => new Date(Date.now() + Number(ahead))
  const own = await startOwnDatabase(dataDir)
  const connection = await connect(own.address)
  await migrate(connection)
  if (seed) await loadSeed(connection.db, seed(Math.floor(now().getTime() / MINUTE_MS) * MINUTE_MS))
  else await renewLibrary(connection.db, readLibrary())
  const app = await buildApp({ connection, now, photos: join(dataDir, 'photos'), ...options })
  const url = await app.listen({ host: '127.0.0.1', port: 0 })
  process.once('SIGTERM', () => {
    void (async () => {
      await app.close()
      await connection.close()
      await own.stop()
    })()
  })
  console.log(JSON.stringify({ url, database: own.address }))
}
