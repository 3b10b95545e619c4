import type { KeptEntry } from '@kobrin/contract'
import { sql } from 'drizzle-orm'

/** An entry as the database hands it over: the whole of it as JSON text, ready to be sent. */
export interface EntryRow {
  json: string
}

/** JSON text of a row of `entry`. The database prints it, the payload passed through as it was stored:
 * a record of thousands of entries is joined here, not parsed and printed again. Every other column is
 * free of quotes by its type. 1970-01-01 is day 719528 of MariaDB's calendar. */
export const ENTRY_JSON = `concat(
  '{"stream":', stream,
  ',"seq":', seq,
  ',"uid":"', uid,
  '","subject":"', subject,
  '","kind":"', kind,
  '","occurredAt":"', insert(occurred_at, 11, 1, 'T'),
  'Z","day":', to_days(day) - 719528,
  ',"recordedAt":"', insert(recorded_at, 11, 1, 'T'),
  if(written_at is null, 'Z', concat('Z","writtenAt":"', insert(written_at, 11, 1, 'T'), 'Z')),
  '","author":"', author_id,
  if(act is null, '"', concat('","act":"', act, '"')),
  ',"payload":', payload, '}')`

/** The kind of fact an entry is, or would make of another. */
export const KIND = `if(kind = 'corrected', json_value(payload, '$.to.kind'), kind)`

/** The columns of an `EntryRow`. */
export const ENTRY_COLUMNS = sql.raw(`${ENTRY_JSON} as json`)

const COMMA = Buffer.from(',')

/** Entries whose JSON text never left its bytes. */
export function entriesJson(entries: readonly Buffer[]): Buffer {
  const parts: Buffer[] = [Buffer.from('{"entries":[')]
  for (const one of entries) {
    if (parts.length > 1) parts.push(COMMA)
    parts.push(one)
  }
  parts.push(Buffer.from(']}'))
  return Buffer.concat(parts)
}

/** The entry of a row. It was validated when it was appended. */
export function entryOf({ json }: EntryRow): KeptEntry {
  return JSON.parse(json) as KeptEntry
}
