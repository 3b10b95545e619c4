import { FOLD_REVISION } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import { untilAlone } from '../database/contended.ts'
import type { Database } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { rebuildOne } from './rebuild.ts'

const PAGE = 200
const BEFORE_ALL = '00000000-0000-0000-0000-000000000000'

interface RefoldOptions {
  /** Told now and then how many of how many were folded again. */
  onProgress?: (done: number, of: number) => void
  signal?: AbortSignal
}

async function outdated(db: Database, after: string): Promise<string[]> {
  const rows = await rowsOf<{ id: string }>(
    db,
    sql`select id from subject where revision < ${FOLD_REVISION} and id > ${after} order by id limit ${PAGE}`,
  )
  return rows.map(({ id }) => id)
}

/** Folds again, from their entries, all subjects that an earlier version folded, one at a time, while the house is
 * served from what can be told of the old ones. Answers how many there were. Begun twice at once, by two servers, or
 * again after it was cut short, it ends the same. */
export async function refold(db: Database, { onProgress, signal }: RefoldOptions = {}): Promise<number> {
  const [{ count: of } = { count: 0 }] = await rowsOf<{ count: number }>(
    db,
    sql`select count(*) as count from subject where revision < ${FOLD_REVISION}`,
  )
  let done = 0
  let after = BEFORE_ALL
  for (let ids = await outdated(db, after); ids.length > 0; ids = await outdated(db, after)) {
    for (const id of ids) {
      if (signal?.aborted) return done
      await untilAlone(() => db.transaction((tx) => rebuildOne(tx, id, { write: true })))
      done += 1
      after = id
    }
    onProgress?.(done, of)
  }
  return done
}
