import type { KeptEntry } from '@kobrin/contract'
import { sql } from 'drizzle-orm'

/** An entry as it goes over the wire, with its place in the feed beside it. */
export interface EntryRow {
  seq: number
  /** JSON text of the whole entry. */
  json: string
}

// 1970-01-01 is day 719528 of MariaDB's calendar.
const EPOCH_DAY = 719_528

/** The database itself writes the JSON, the payload passed through as it was stored: a record of
 * thousands of entries is joined, not parsed and printed again. Every other column is free of quotes
 * by its type. */
export const ENTRY_JSON = sql.raw(`concat(
  '{"seq":', seq, ',"uid":"', uid, '","residentId":"', resident_id, '","kind":"', kind,
  '","occurredAt":"', replace(occurred_at, ' ', 'T'), 'Z","day":', to_days(day) - ${EPOCH_DAY},
  ',"recordedAt":"', replace(recorded_at, ' ', 'T'), 'Z","author":"', author_id,
  '","payload":', payload, '}')`)

/** The columns of an EntryRow. */
export const ENTRY_ROW = sql`seq, ${ENTRY_JSON} as json`

export function entriesJson(rows: readonly EntryRow[]): string {
  return `{"entries":[${rows.map(({ json }) => json).join(',')}]}`
}

/** The entry of a row. It was validated when it was appended. */
export function entryOf({ json }: EntryRow): KeptEntry {
  return JSON.parse(json) as KeptEntry
}
