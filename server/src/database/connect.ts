import { drizzle } from 'drizzle-orm/mysql2'
import type { MySql2Database } from 'drizzle-orm/mysql2'
import type { Socket } from 'node:net'
import mysql from 'mysql2/promise'
import { KobrinFault } from '../errors/fault.ts'

export type Database = MySql2Database
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0]

export interface Connection {
  db: Database
  pool: mysql.Pool
  /** Where it leads. */
  address: DatabaseAddress
  /** A connection outside the pool, for what must not wait behind others. */
  lone: () => Promise<mysql.Connection>
  /** Lets go of everybody who waits for an answer: they are told that it is gone. */
  dropAll: () => void
  close: () => Promise<void>
}

/** A statement that runs longer than this helps nobody any more. */
const STATEMENT_SECONDS = 30

/** Where the database is: a URL to a server, or the socket of our own. */
export type DatabaseAddress =
  { url: string } | { socketPath: string; user: string; password: string; database: string }

function poolOptions(address: DatabaseAddress): mysql.PoolOptions {
  return 'url' in address ? { uri: address.url } : { ...address }
}

/** Opens a pool and proves that the database answers.
 * Throws KobrinFault `database_unreachable` with the reason when it does not. */
export async function connect(address: DatabaseAddress, connections = 10): Promise<Connection> {
  const pool = mysql.createPool({
    ...poolOptions(address),
    connectionLimit: connections,
    timezone: 'Z',
    dateStrings: true,
    jsonStrings: true,
    supportBigNumbers: true,
    connectTimeout: 5000,
    // A stack kept with every statement costs more than sending it; the error names the statement.
    trace: false,
  })
  // The callback interface underneath is the one that tells of new connections.
  const open = new Set<Socket>()
  pool.pool.on('connection', (raw) => {
    raw.query(
      `set time_zone = '+00:00', innodb_lock_wait_timeout = 10, max_statement_time = ${STATEMENT_SECONDS}`,
    )
    const { stream } = raw as unknown as { stream: Socket }
    open.add(stream)
    stream.once('close', () => open.delete(stream))
  })
  try {
    await pool.query('select 1')
  } catch (cause) {
    await pool.end()
    throw new KobrinFault(
      'database_unreachable',
      `The database cannot be reached (${cause instanceof Error ? cause.message : String(cause)}). ` +
        ('url' in address
          ? 'Check KOBRIN_DATABASE_URL and that the server is running.'
          : 'See its log beside the data.'),
      { cause },
    )
  }
  return {
    db: drizzle({ client: pool }),
    pool,
    address,
    lone: () => mysql.createConnection({ ...poolOptions(address), connectTimeout: 3000 }),
    dropAll() {
      for (const stream of open) stream.destroy()
    },
    close: () => pool.end(),
  }
}

/** The error number of MariaDB under whatever Drizzle wrapped around it. */
export function errnoOf(error: unknown): number | undefined {
  for (let at = error; at instanceof Error; at = at.cause) {
    if ('errno' in at && typeof at.errno === 'number') return at.errno
  }
  return undefined
}
