import { readFile } from 'node:fs/promises'
import { sql } from 'drizzle-orm'
import type { Database } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { fileOf, hashOf, isThere, SIZES, writeWhole } from './store.ts'

/** Every picture on record, by what is in it. */
export async function photosOnRecord(db: Database): Promise<string[]> {
  const rows = await rowsOf<{ hash: string }>(db, sql`select distinct hash from photo order by hash`)
  return rows.map(({ hash }) => hash)
}

/** Copies the pictures that are not there yet from one folder to another. A file is named after what is in it, so
 * that one that is there need not be copied again. Answers those that are missing, or are not what they were. */
export async function carryPhotos(hashes: readonly string[], from: string, to: string): Promise<string[]> {
  const missing: string[] = []
  for (const hash of hashes) {
    if (await isThere(fileOf(to, hash, 'kept'))) continue
    const [kept, small] = await Promise.all(
      SIZES.map((size) => readFile(fileOf(from, hash, size)).catch(() => null)),
    )
    if (!kept || !small || hashOf(kept) !== hash) {
      missing.push(hash)
      continue
    }
    await writeWhole(fileOf(to, hash, 'small'), small)
    await writeWhole(fileOf(to, hash, 'kept'), kept)
  }
  return missing
}
