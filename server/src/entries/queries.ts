import type { KeptEntry } from '@kobrin/contract'
import { sql } from 'drizzle-orm'
import type { Database, Transaction } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import type { EntryRow } from './rows.ts'
import { ENTRY_COLUMNS, RECORD_COLUMNS, entryOf } from './rows.ts'

/** The history of one resident: one clustered range. */
export async function recordRows(db: Database | Transaction, residentId: string): Promise<EntryRow[]> {
  const rows = await rowsOf<EntryRow>(
    db,
    sql`select ${RECORD_COLUMNS} from entry where resident_id = ${residentId} order by occurred_at, seq`,
  )
  for (const row of rows) row.resident_id = residentId
  return rows
}

export async function hasRecord(db: Database, residentId: string): Promise<boolean> {
  const rows = await rowsOf(db, sql`select 1 from resident_state where resident_id = ${residentId}`)
  return rows.length > 0
}

export async function historyOf(db: Database | Transaction, residentId: string): Promise<KeptEntry[]> {
  return (await recordRows(db, residentId)).map(entryOf)
}

export function rowsAfter(db: Database, after: number, limit: number): Promise<EntryRow[]> {
  return rowsOf(db, sql`select ${ENTRY_COLUMNS} from entry where seq > ${after} order by seq limit ${limit}`)
}

export async function headOf(db: Database): Promise<number> {
  const [row] = await rowsOf<{ seq: number }>(db, sql`select seq from feed_counter where id = 1`)
  return row?.seq ?? 0
}

export interface StateRow {
  resident_id: string
  last_seq: number
  state: string
}

export function stateRows(db: Database, of?: readonly string[]): Promise<StateRow[]> {
  const some = of ? sql` where resident_id in ${of}` : sql``
  return rowsOf(db, sql`select resident_id, last_seq, state from resident_state${some}`)
}

/** States by resident as JSON text, each passed through as it was stored. */
export function statesJson(head: number, rows: readonly StateRow[]): string {
  const states = rows.map((row) => `"${row.resident_id}":{"seq":${row.last_seq},"state":${row.state}}`)
  return `{"head":${head},"states":{${states.join(',')}}}`
}
