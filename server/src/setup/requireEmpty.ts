import { sql } from 'drizzle-orm'
import type { Database } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { KobrinFault } from '../errors/fault.ts'
import { houseName } from './firstRun.ts'

/** What was kept elsewhere is never mixed with what is here. Throws KobrinFault `not_empty`. */
export async function requireEmpty(db: Database): Promise<void> {
  const name = await houseName(db)
  const [row] = await rowsOf<{ entries: number }>(db, sql`select count(*) as entries from entry`)
  if (name === null && row?.entries === 0) return
  throw new KobrinFault(
    'not_empty',
    `The record that is here is of ${name ?? 'somebody'}, with ${row?.entries ?? 0} entries. A whole record is only brought into an empty one: choose another KOBRIN_DATA_DIR.`,
  )
}
