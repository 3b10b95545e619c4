import type { Bookmark } from '@kobrin/contract'
import type { FamilyName } from '@kobrin/core'
import type { SQL } from 'drizzle-orm'
import { sql } from 'drizzle-orm'
import type { Database, Transaction } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { ENTRY_JSON, KIND } from '../entries/rows.ts'
import { headOf } from '../streams/ownStream.ts'

/** A row of the feed: an entry, or a change of what people edit. */
export interface FeedRow {
  stream: number
  seq: number
  of: FamilyName | 'change'
  /** Of an entry. A correction is of the kind that it corrects to. */
  kind: string
  /** Whether it amends another, 1 or 0. */
  amends: number
  /** What it says as JSON text, ready to be sent. */
  json: string
}

const CHANGE_JSON = `concat('{"stream":', stream, ',"seq":', seq, ',"what":', what, '}')`

function afterEach(places: readonly [stream: number, from: number][]): SQL {
  return sql.join(
    places.map(([stream, from]) => sql`(stream = ${stream} and seq > ${from})`),
    sql` or `,
  )
}

/** The feed after a bookmark, each stream in its order. */
export async function feedAfter(
  db: Database | Transaction,
  after: Bookmark,
  limit: number,
): Promise<FeedRow[]> {
  const places = Object.entries(await headOf(db)).flatMap(([stream, seq]): [number, number][] => {
    const from = after[stream] ?? 0
    return seq > from ? [[Number(stream), from]] : []
  })
  if (places.length === 0) return []
  return rowsOf(
    db,
    sql`(select stream, seq, family as 'of', ${sql.raw(KIND)} as kind, ${sql.raw(ENTRY_JSON)} as json,
           kind in ('corrected', 'retracted') as amends
         from entry where ${afterEach(places)} order by stream, seq limit ${limit})
        union all
        (select stream, seq, 'change', '', ${sql.raw(CHANGE_JSON)}, 0 from \`change\` where ${afterEach(places)}
         order by stream, seq limit ${limit})
        order by stream, seq limit ${limit}`,
  )
}
