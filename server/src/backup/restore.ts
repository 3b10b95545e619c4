import type { Connection, DatabaseAddress } from '../database/connect.ts'
import { migrate } from '../database/migrate.ts'
import { requireEmpty } from '../setup/requireEmpty.ts'
import type { BackupHeader } from './backup.ts'
import { pourIn, verify } from './backup.ts'

/** Brings a backup back into an empty record, and up to date. Throws KobrinFault `backup_damaged`, `not_empty`. */
export async function restore(
  address: DatabaseAddress,
  connection: Connection,
  file: string,
): Promise<BackupHeader> {
  const header = await verify(file)
  await requireEmpty(connection.db)
  await pourIn(address, file)
  await migrate(connection)
  return header
}
