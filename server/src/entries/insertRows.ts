import type { Entry, FamilyName } from '@kobrin/core'
import { isoDay } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import { format } from 'mysql2'
import { sqlInstant } from '../database/columns.ts'
import type { Transaction } from '../database/connect.ts'
import { inChunks } from '../database/inChunks.ts'

/** Rows of one statement: it has to fit what the database takes at once. */
const ROWS = 2000

/** An entry with its place. */
export interface PlacedEntry {
  entry: Entry
  family: FamilyName
  stream: number
  seq: number
  recordedAt: string
}

/** Inserts many rows, so many to a statement. Written out here: a list of a hundred thousand is not to be put
 * together value by value. */
export async function insertRows(
  tx: Transaction,
  into: string,
  rows: readonly (readonly (string | number | null)[])[],
  { otherwise = '', size = ROWS } = {},
): Promise<void> {
  await inChunks(rows, size, async (some) => {
    const statement = format(`${into} values ? ${otherwise}`, [some.map((row) => [...row])])
    await tx.execute(sql.raw(statement))
  })
}

export async function insertEntries(tx: Transaction, entries: readonly PlacedEntry[]): Promise<void> {
  await insertRows(
    tx,
    'insert into entry (subject, occurred_at, uid, stream, seq, family, kind, day, recorded_at, author_id, act, payload, written_at)',
    entries.map(({ entry, family, stream, seq, recordedAt }) => [
      entry.subject,
      sqlInstant(entry.occurredAt),
      entry.uid,
      stream,
      seq,
      family,
      entry.kind,
      isoDay(entry.day),
      sqlInstant(recordedAt),
      entry.author,
      entry.act ?? null,
      JSON.stringify(entry.payload),
      entry.writtenAt === undefined ? null : sqlInstant(entry.writtenAt),
    ]),
  )
}
