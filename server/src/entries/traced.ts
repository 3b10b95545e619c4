import type { FamilyName, Touched } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import { isoInstant } from '../database/columns.ts'
import type { Database } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import type { TouchRow } from './touchRows.ts'
import { touchedIn } from './touchRows.ts'

interface TracedRow extends Pick<TouchRow, 'uid' | 'how' | 'other' | 'amount' | 'unit'> {
  occurredAt: string
}

/** What a fact about another subject says of the one that is looked at. */
interface Traced extends Touched {
  uid: string
  occurredAt: string
}

/** What the facts that count about others of some families say of a subject: who was fed from a lot, what came out of
 * a box. Each reads as it was corrected last. */
export async function tracedOf(
  db: Database,
  subject: string,
  families: readonly FamilyName[],
): Promise<Traced[]> {
  const rows = await rowsOf<TracedRow>(
    db,
    sql`select touch.uid, touch.how, touch.other, touch.amount, touch.unit, entry.occurred_at as occurredAt
        from touch join entry on entry.uid = touch.uid
        where touch.subject = ${subject} and entry.family in ${families}
        order by entry.occurred_at, entry.uid, touch.nth`,
  )
  return rows.map((row) => ({ uid: row.uid, occurredAt: isoInstant(row.occurredAt), ...touchedIn(row) }))
}
