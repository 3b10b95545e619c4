import type { Echo, FamilyName } from '@kobrin/core'
import { HEARD, hearerOf } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import { isoInstant } from '../database/columns.ts'
import type { Database, Transaction } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import type { TouchRow } from './touchRows.ts'
import { touchedIn } from './touchRows.ts'

interface EchoRow extends Pick<TouchRow, 'subject' | 'uid' | 'how' | 'other' | 'amount' | 'unit'> {
  occurredAt: string
  writtenAt: string | null
  day: number
  author: string
  act: string | null
}

function echoOf(row: EchoRow, family: FamilyName, touches: Echo['payload']['touches']): Echo {
  const { uid, subject, day, author, act, writtenAt } = row
  return {
    uid,
    subject,
    occurredAt: isoInstant(row.occurredAt),
    ...(writtenAt !== null && { writtenAt: isoInstant(writtenAt) }),
    day,
    author,
    ...(act !== null && { act }),
    kind: 'touchedBy',
    family,
    payload: { touches },
  }
}

/** What the facts that count about others say of a subject, as far as its family asks to hear of it: as core makes it
 * from the facts, read from the touches. */
export async function echoesAbout(
  db: Database | Transaction,
  subject: string,
  family: FamilyName,
): Promise<Echo[]> {
  const hows = HEARD.filter((how) => hearerOf(family, how))
  if (hows.length === 0) return []
  const rows = await rowsOf<EchoRow>(
    db,
    sql`select touch.subject, touch.uid, touch.how, touch.other, touch.amount, touch.unit,
          entry.occurred_at as occurredAt, entry.written_at as writtenAt, to_days(entry.day) - 719528 as day,
          entry.author_id as author, entry.act
        from touch join entry on entry.uid = touch.uid
        where touch.subject = ${subject} and touch.how in ${hows}
        order by entry.occurred_at, entry.uid, touch.nth`,
  )
  const echoes = new Map<string, Echo>()
  for (const row of rows) {
    const before = echoes.get(row.uid)?.payload.touches ?? []
    echoes.set(row.uid, echoOf(row, family, [...before, touchedIn(row)]))
  }
  return [...echoes.values()]
}

/** The subjects that heard of some facts so far; of all facts, where none are named. */
export async function hearersOf(db: Database | Transaction, uids?: readonly string[]): Promise<string[]> {
  if (uids?.length === 0 || HEARD.length === 0) return []
  const some = uids ? sql` and touch.uid in ${uids}` : sql``
  const rows = await rowsOf<{ subject: string; family: FamilyName; how: string }>(
    db,
    sql`select distinct touch.subject, subject.family, touch.how
        from touch join subject on subject.id = touch.subject
        where touch.how in ${HEARD}${some}`,
  )
  return [...new Set(rows.flatMap(({ subject, family, how }) => (hearerOf(family, how) ? [subject] : [])))]
}
