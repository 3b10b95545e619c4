import type { KeptEntry } from '@kobrin/contract'
import { sql } from 'drizzle-orm'
import type { Database, Transaction } from '../database/connect.ts'
import { GROUP_CONCAT_BYTES } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import type { EntryRow } from './rows.ts'
import { ENTRY_JSON, ENTRY_ROW, entriesJson, entryOf } from './rows.ts'

/** The history of one resident: one clustered range. */
function recordRows(db: Database | Transaction, residentId: string): Promise<EntryRow[]> {
  return rowsOf(
    db,
    sql`select ${ENTRY_ROW} from entry where resident_id = ${residentId} order by occurred_at, seq`,
  )
}

export async function hasRecord(db: Database, residentId: string): Promise<boolean> {
  const rows = await rowsOf(db, sql`select 1 from resident_state where resident_id = ${residentId}`)
  return rows.length > 0
}

const HEAD = Buffer.from('{"entries":[')
const TAIL = Buffer.from(']}')

/** A whole record as JSON text, put together by the database and passed on as the bytes it sent:
 * one row costs far less than thousands. */
export async function recordJson(db: Database, residentId: string): Promise<Buffer> {
  const [row] = await rowsOf<{ entries: Buffer | null }>(
    db,
    sql`select cast(group_concat(${ENTRY_JSON} order by occurred_at, seq separator ',') as binary) as entries
        from entry where resident_id = ${residentId}`,
  )
  const entries = row?.entries ?? Buffer.alloc(0)
  if (entries.length < GROUP_CONCAT_BYTES) return Buffer.concat([HEAD, entries, TAIL])
  return Buffer.from(entriesJson(await recordRows(db, residentId)))
}

export async function historyOf(db: Database | Transaction, residentId: string): Promise<KeptEntry[]> {
  return (await recordRows(db, residentId)).map(entryOf)
}

export function rowsAfter(db: Database, after: number, limit: number): Promise<EntryRow[]> {
  return rowsOf(db, sql`select ${ENTRY_ROW} from entry where seq > ${after} order by seq limit ${limit}`)
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
