import { randomBytes } from 'node:crypto'
import type { SiteSeed } from '@kobrin/contract'
import { inject } from 'vitest'
import type { Connection, DatabaseAddress } from '../database/connect.ts'
import { connect } from '../database/connect.ts'
import { migrate } from '../database/migrate.ts'
import { loadSeed } from '../setup/loadSeed.ts'

export interface Scratch extends Connection {
  address: DatabaseAddress
  /** Another pool on the same database, as another server would have. */
  again: (connections?: number) => Promise<Connection>
  drop: () => Promise<void>
}

function at(database: string) {
  return {
    socketPath: inject('databaseSocket'),
    user: 'root',
    password: inject('databasePassword'),
    database,
  }
}

/** A database of its own for one test file, brought up to date and set up with a site if one is given. */
export async function scratch(seed?: SiteSeed): Promise<Scratch> {
  const name = `test_${randomBytes(6).toString('hex')}`
  const server = await connect(at('mysql'), 1)
  await server.pool.query(`create database ${name}`)
  const again = (connections?: number) => connect(at(name), connections)
  const connection = await again()
  await migrate(connection)
  if (seed) await loadSeed(connection.db, seed)
  return {
    ...connection,
    address: at(name),
    again,
    drop: async () => {
      await connection.close()
      await server.pool.query(`drop database ${name}`)
      await server.close()
    },
  }
}
