import type { SiteSeed } from '@kobrin/contract'
import { buildApp } from '../app.ts'
import { connect } from '../database/connect.ts'
import { migrate } from '../database/migrate.ts'
import { startOwnDatabase } from '../database/ownDatabase.ts'
import { loadSeed } from './loadSeed.ts'

export interface HouseOptions {
  seed: SiteSeed
  /** An empty folder for the database. */
  dataDir: string
  /** Folder of the built interface. */
  pages?: string
  now?: () => Date
}

/** A house set up from nothing on any free port, for driving and measuring: says where it is as soon
 * as it is open, and puts everything away when told to stop. */
export async function openHouse({ seed, dataDir, ...options }: HouseOptions): Promise<void> {
  const own = await startOwnDatabase(dataDir)
  const connection = await connect(own.address)
  await migrate(connection)
  await loadSeed(connection.db, seed)
  const app = await buildApp({ connection, ...options })
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
