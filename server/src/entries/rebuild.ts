import { isDeepStrictEqual } from 'node:util'
import type { ResidentState } from '@kobrin/core'
import { replay } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import type { Database } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { historyOf } from './queries.ts'

export interface RebuildReport {
  residents: number
  entries: number
  differing: { residentId: string; fields: string[] }[]
}

function differingFields(a: ResidentState, b: ResidentState): string[] {
  const keys = Object.keys({ ...a, ...b }) as (keyof ResidentState)[]
  return keys.filter((key) => !isDeepStrictEqual(a[key], b[key]))
}

/** Replays every resident's entries and compares with the stored fold; with `write`, puts the
 * replayed one in its place. */
export async function rebuild(db: Database, { write }: { write: boolean }): Promise<RebuildReport> {
  const residents = await rowsOf<{ resident_id: string }>(
    db,
    sql`select resident_id from resident_state order by resident_id`,
  )
  const report: RebuildReport = { residents: residents.length, entries: 0, differing: [] }
  for (const { resident_id: residentId } of residents) {
    await db.transaction(async (tx) => {
      const [row] = await rowsOf<{ state: string }>(
        tx,
        sql`select state from resident_state where resident_id = ${residentId} for update`,
      )
      if (!row) return
      const history = await historyOf(tx, residentId)
      report.entries += history.length
      // As JSON, because that is how it was stored.
      const told = JSON.stringify(replay(history))
      const fields = differingFields(
        JSON.parse(row.state) as ResidentState,
        JSON.parse(told) as ResidentState,
      )
      if (fields.length === 0) return
      report.differing.push({ residentId, fields })
      if (write)
        await tx.execute(sql`update resident_state set state = ${told} where resident_id = ${residentId}`)
    })
  }
  return report
}
