import { readFile } from 'node:fs/promises'
import { sql } from 'drizzle-orm'
import type { Database } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import type { PhotoSize } from './store.ts'
import { fileOf, hashOf, isThere, writeWhole } from './store.ts'

/** Every picture on record, by what is in it. */
export async function photosOnRecord(db: Database): Promise<string[]> {
  const rows = await rowsOf<{ hash: string }>(db, sql`select distinct hash from photo order by hash`)
  return rows.map(({ hash }) => hash)
}

/** Where pictures come from; null where one is not there. */
export type PhotoSource = (hash: string, size: PhotoSize) => Promise<Buffer | null>

export function photosIn(folder: string): PhotoSource {
  return (hash, size) => readFile(fileOf(folder, hash, size)).catch(() => null)
}

/** Brings the pictures that are not there yet to a folder. A file is named after what is in it, so that one that is
 * there need not be brought again. Answers those that are missing, or are not what they were. */
export async function carryPhotos(
  hashes: Iterable<string>,
  from: PhotoSource,
  to: string,
): Promise<string[]> {
  const missing: string[] = []
  for (const hash of hashes) {
    if (await isThere(fileOf(to, hash, 'kept'))) continue
    const [kept, small] = [await from(hash, 'kept'), await from(hash, 'small')]
    if (!kept || !small || hashOf(kept) !== hash) {
      missing.push(hash)
      continue
    }
    await writeWhole(fileOf(to, hash, 'small'), small)
    await writeWhole(fileOf(to, hash, 'kept'), kept)
  }
  return missing
}
