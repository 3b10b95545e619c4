import { sql } from 'drizzle-orm'
import type { Connection, DatabaseAddress } from '../database/connect.ts'
import { migrate } from '../database/migrate.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { KobrinFault } from '../errors/fault.ts'
import { houseName } from '../setup/firstRun.ts'
import type { BackupHeader } from './backup.ts'
import { pourIn, verify } from './backup.ts'

async function requireEmpty({ db }: Connection): Promise<void> {
  const name = await houseName(db)
  const [row] = await rowsOf<{ entries: number }>(db, sql`select count(*) as entries from entry`)
  if (name === null && row?.entries === 0) return
  throw new KobrinFault(
    'not_empty',
    `The record that is here is of ${name ?? 'somebody'}, with ${row?.entries ?? 0} entries. A backup is only brought into an empty one: choose another KOBRIN_DATA_DIR.`,
  )
}

/** Brings a backup back into an empty record, and up to date. Throws KobrinFault `backup_damaged`, `not_empty`. */
export async function restore(
  address: DatabaseAddress,
  connection: Connection,
  file: string,
): Promise<BackupHeader> {
  const header = await verify(file)
  await requireEmpty(connection)
  await pourIn(address, file)
  await migrate(connection)
  return header
}
