import { fileURLToPath } from 'node:url'
import { drizzle } from 'drizzle-orm/mysql2'
import { migrate as runMigrations } from 'drizzle-orm/mysql2/migrator'
import type { Connection } from './connect.ts'
import { KobrinFault } from '../errors/fault.ts'

const MIGRATIONS = fileURLToPath(new URL('../../migrations', import.meta.url))

/** Brings the tables up to date. Several servers may start at once: a named lock lets one at a time
 * through, and the others find nothing left to do. */
export async function migrate({ pool }: Connection): Promise<void> {
  const connection = await pool.getConnection()
  try {
    const [rows] = await connection.query("select get_lock('kobrin migrate', 60) as got")
    const [row] = rows as { got: number | null }[]
    if (row?.got !== 1) {
      throw new KobrinFault(
        'database_unreachable',
        'Another server has been migrating this database for a minute. Try again when it is done.',
      )
    }
    // History stays with a table when a later migration changes its shape.
    await connection.query('set session system_versioning_alter_history = KEEP')
    await runMigrations(drizzle({ client: connection }), { migrationsFolder: MIGRATIONS })
  } finally {
    await connection.query("select release_lock('kobrin migrate')").catch(() => undefined)
    connection.release()
  }
}
