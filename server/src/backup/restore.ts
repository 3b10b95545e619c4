import type { Connection, DatabaseAddress } from '../database/connect.ts'
import { migrate } from '../database/migrate.ts'
import { carryPhotos, photosIn, photosOnRecord } from '../photos/carry.ts'
import { requireEmpty } from '../setup/requireEmpty.ts'
import type { BackupHeader } from './backup.ts'
import { photosBeside, pourIn, verify } from './backup.ts'

/** Brings a backup back into an empty record, and up to date. Throws KobrinFault `backup_damaged`, `not_empty`. */
export async function restore(
  address: DatabaseAddress,
  connection: Connection,
  file: string,
  photos: string | null = null,
): Promise<BackupHeader & { missing: number }> {
  const header = await verify(file)
  await requireEmpty(connection.db)
  await pourIn(address, file)
  await migrate(connection)
  const missing = photos
    ? await carryPhotos(await photosOnRecord(connection.db), photosIn(photosBeside(file)), photos)
    : []
  return { ...header, missing: missing.length }
}
