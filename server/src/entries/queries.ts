import type { KeptEntry } from '@kobrin/contract'
import { sql } from 'drizzle-orm'
import type { Pool } from 'mysql2/promise'
import type { Database, Transaction } from '../database/connect.ts'
import { bytesOf, rowsOf } from '../database/rowsOf.ts'
import type { EntryRow } from './rows.ts'
import { ENTRY_COLUMNS, ENTRY_JSON, entryOf } from './rows.ts'

const IN_ORDER = 'order by occurred_at, seq'

/** The history of one resident, one clustered range, each entry as JSON text. */
export function toldOf(pool: Pool, residentId: string): Promise<Buffer[]> {
  return bytesOf(pool, `select ${ENTRY_JSON} from entry where resident_id = ? ${IN_ORDER}`, [residentId])
}

export async function historyOf(db: Database | Transaction, residentId: string): Promise<KeptEntry[]> {
  const rows = await rowsOf<EntryRow>(
    db,
    sql`select ${ENTRY_COLUMNS} from entry where resident_id = ${residentId} ${sql.raw(IN_ORDER)}`,
  )
  return rows.map(entryOf)
}

export async function hasRecord(db: Database, residentId: string): Promise<boolean> {
  const rows = await rowsOf(db, sql`select 1 from resident_state where resident_id = ${residentId}`)
  return rows.length > 0
}

/** The feed after a place, each entry as JSON text. */
export function toldAfter(pool: Pool, after: number, limit: number): Promise<Buffer[]> {
  return bytesOf(pool, `select ${ENTRY_JSON} from entry where seq > ? order by seq limit ?`, [after, limit])
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
export function statesJson(head: number, rows: readonly StateRow[]): Buffer {
  const states = rows.map((row) => `"${row.resident_id}":{"seq":${row.last_seq},"state":${row.state}}`)
  return Buffer.from(`{"head":${head},"states":{${states.join(',')}}}`)
}
