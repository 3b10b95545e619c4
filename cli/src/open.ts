import type { Connection, DatabaseAddress } from '@kobrin/server'
import { connect, KobrinFault, migrate, ownAddress, startOwnDatabase } from '@kobrin/server'
import { lockData } from './lock.ts'
import type { Settings } from './settings.ts'

export interface Opened {
  address: DatabaseAddress
  connection: Connection
  close: () => Promise<void>
}

/** Opens the database of the settings, our own or an existing one, brought up to date.
 * Closing undoes everything opening did. */
export async function openDatabase({ dataDir, databaseUrl }: Settings): Promise<Opened> {
  const undo: (() => void | Promise<void>)[] = []
  const close = async () => {
    for (const step of undo.reverse()) await step()
    undo.length = 0
  }
  try {
    let address: DatabaseAddress
    if (databaseUrl) address = { url: databaseUrl }
    else {
      undo.push(lockData(dataDir))
      const own = await startOwnDatabase(dataDir, { says: console.error })
      undo.push(own.stop)
      address = own.address
    }
    const connection = await connect(address)
    undo.push(connection.close)
    await migrate(connection)
    return { address, connection, close }
  } catch (error) {
    await close()
    throw error
  }
}

/** The same, also while a house is serving: then its database is asked beside it. */
export async function openBeside(settings: Settings): Promise<Opened> {
  try {
    return await openDatabase(settings)
  } catch (error) {
    if (!(error instanceof KobrinFault) || error.code !== 'already_running') throw error
    const address = ownAddress(settings.dataDir)
    const connection = await connect(address)
    return { address, connection, close: connection.close }
  }
}
