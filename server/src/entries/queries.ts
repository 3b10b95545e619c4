import type { KeptEntry } from '@kobrin/contract'
import type { EntryKind, FamilyName } from '@kobrin/core'
import { isoDay } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import type { Pool } from 'mysql2/promise'
import type { Database, Transaction } from '../database/connect.ts'
import { bytesOf, rowsOf } from '../database/rowsOf.ts'
import type { EntryRow } from './rows.ts'
import { ENTRY_COLUMNS, ENTRY_JSON, entryOf } from './rows.ts'

const IN_ORDER = 'order by occurred_at, uid'

/** The history of one subject, one clustered range, each entry as JSON text. */
export function toldOf(pool: Pool, subject: string, families: readonly FamilyName[]): Promise<Buffer[]> {
  return bytesOf(pool, `select ${ENTRY_JSON} from entry where subject = ? and family in (?) ${IN_ORDER}`, [
    subject,
    families,
  ])
}

/** The entries of one civil day, each as JSON text. */
export function toldOfDay(pool: Pool, day: number, families: readonly FamilyName[]): Promise<Buffer[]> {
  return bytesOf(pool, `select ${ENTRY_JSON} from entry where day = ? and family in (?) ${IN_ORDER}`, [
    isoDay(day),
    families,
  ])
}

/** The entries of one doing, each as JSON text. */
export function toldOfAct(pool: Pool, act: string, families: readonly FamilyName[]): Promise<Buffer[]> {
  return bytesOf(pool, `select ${ENTRY_JSON} from entry where act = ? and family in (?) ${IN_ORDER}`, [
    act,
    families,
  ])
}

export async function historyOf(db: Database | Transaction, subject: string): Promise<KeptEntry[]> {
  const rows = await rowsOf<EntryRow>(
    db,
    sql`select ${ENTRY_COLUMNS} from entry where subject = ${subject} ${sql.raw(IN_ORDER)}`,
  )
  return rows.map(entryOf)
}

export async function familyOfSubject(db: Database, subject: string): Promise<FamilyName | null> {
  const [row] = await rowsOf<{ family: FamilyName }>(
    db,
    sql`select family from subject where id = ${subject}`,
  )
  return row?.family ?? null
}

/** Entries of some kinds since a day. */
export async function entriesSince(
  db: Database,
  day: number,
  kinds: readonly EntryKind[],
): Promise<KeptEntry[]> {
  const rows = await rowsOf<EntryRow>(
    db,
    sql`select ${ENTRY_COLUMNS} from entry where day >= ${isoDay(day)} and kind in ${kinds} order by recorded_at, uid`,
  )
  return rows.map(entryOf)
}

export interface SubjectRow {
  id: string
  family: FamilyName
  version: number
  up_to: string
  state: string
}

export function subjectRows(db: Database, ids: readonly string[]): Promise<SubjectRow[]> {
  return rowsOf(db, sql`select id, family, version, up_to, state from subject where id in ${ids}`)
}

/** Every subject about which something is on record, of the families that may be read. */
export function toldSubjects(
  db: Database,
  families: readonly FamilyName[],
  of?: readonly string[],
): Promise<SubjectRow[]> {
  const some = of ? sql` and id in ${of}` : sql``
  return rowsOf(
    db,
    sql`select id, family, version, up_to, state from subject
        where version > 0 and family in ${families}${some}`,
  )
}

/** Folds by subject as JSON text, each passed through as it was stored. */
export function statesJson(head: string, nowMs: number, rows: readonly SubjectRow[]): Buffer {
  const states = rows.map(
    ({ id, family, up_to: upTo, state }) =>
      `"${id}":{"family":"${family}","upTo":"${upTo}","state":${state}}`,
  )
  return Buffer.from(`{"head":"${head}","now":${nowMs},"states":{${states.join(',')}}}`)
}
