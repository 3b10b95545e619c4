import type { Entry } from '@kobrin/core'
import { isAmendment } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import { entryOf } from '../entries/rows.ts'
import type { Follower } from '../followers/follower.ts'
import { FEED } from '../followers/follower.ts'
import { residentCurve } from './tables.ts'

/** Whether a curve may be another one after it: a weight, a stage with other limits, or a word about either. */
function bearsOnCurve(entry: Entry): boolean {
  return entry.kind === 'weighed' || entry.kind === 'staged' || isAmendment(entry)
}

/** Whose curve is to be fitted again. */
export const curveFollower: Follower = {
  name: 'curves',
  from: FEED,
  async begin(tx) {
    await tx.execute(
      sql`insert ignore into resident_curve (resident_id, due) select id, 'anew' from resident`,
    )
  },
  async absorb(tx, rows) {
    const entries = rows.filter(({ of }) => of === 'resident').map(entryOf)
    const due = new Set(entries.filter(bearsOnCurve).map(({ subject }) => subject))
    if (due.size === 0) return
    await tx
      .insert(residentCurve)
      .values([...due].map((resident) => ({ resident, due: 'weighed' as const })))
      .onDuplicateKeyUpdate({ set: { due: 'weighed' } })
  },
  async forget(tx) {
    await tx.delete(residentCurve)
  },
}
