import type { KeptEntry } from '@kobrin/contract'
import type { EntryKind, FamilyName, PlaceState } from '@kobrin/core'
import { FOLD_REVISION, isoDay, NEEDING, neededBy, UNSAID_REVISION } from '@kobrin/core'
import type { SQL } from 'drizzle-orm'
import { eq, sql } from 'drizzle-orm'
import type { Pool } from 'mysql2/promise'
import { sqlInstant } from '../database/columns.ts'
import type { Database, Transaction } from '../database/connect.ts'
import { bytesOf, rowsOf } from '../database/rowsOf.ts'
import type { EntryRow } from './rows.ts'
import { believedIn, foldBefore, foldNow } from './storedFold.ts'
import { entry } from './tables.ts'
import { ENTRY_COLUMNS, ENTRY_JSON, KIND, entryOf } from './rows.ts'

const IN_ORDER = 'order by occurred_at, uid'

/** What of the record somebody can be handed. */
export interface Readable {
  families: readonly FamilyName[]
  /** Kinds of fact that are left out. */
  hidden: readonly string[]
}

/** Entries that somebody can be handed, in the order in which they happened, each as JSON text. */
function entriesWhere(
  pool: Pool,
  where: string,
  of: string,
  { families, hidden }: Readable,
): Promise<Buffer[]> {
  const known = hidden.length > 0 ? ` and ${KIND} not in (?)` : ''
  return bytesOf(
    pool,
    `select ${ENTRY_JSON} from entry where ${where} = ? and family in (?)${known} ${IN_ORDER}`,
    [of, families, ...(hidden.length > 0 ? [hidden] : [])],
  )
}

/** The history of one subject: one clustered range. */
export function entriesOf(pool: Pool, subject: string, readable: Readable): Promise<Buffer[]> {
  return entriesWhere(pool, 'subject', subject, readable)
}

/** The entries of one civil day. */
export function entriesOfDay(pool: Pool, day: number, readable: Readable): Promise<Buffer[]> {
  return entriesWhere(pool, 'day', isoDay(day), readable)
}

/** The entries of one doing. */
export function entriesOfAct(pool: Pool, act: string, readable: Readable): Promise<Buffer[]> {
  return entriesWhere(pool, 'act', act, readable)
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
  revision: number
}

export function subjectRows(db: Database | Transaction, ids: readonly string[]): Promise<SubjectRow[]> {
  return rowsOf(db, sql`select id, family, version, up_to, state, revision from subject where id in ${ids}`)
}

/** Days for which a screen is handed what is closed. */
const CLOSED_LATELY = 60

/** Which subjects: some, or those that are open or were written about lately, or all others. */
export interface Asked {
  of?: readonly string[] | undefined
  held?: 'open' | 'closed' | undefined
  nowMs: number
}

function rowsWhere(db: Database, families: readonly FamilyName[], which: SQL): Promise<SubjectRow[]> {
  return rowsOf(
    db,
    sql`select id, family, version, up_to, state, revision from subject
        where version > 0 and family in ${families}${which}`,
  )
}

/** Those that are open or were written about lately, and those that have to be at hand with them. */
async function openRows(
  db: Database,
  families: readonly FamilyName[],
  lately: string,
): Promise<SubjectRow[]> {
  const open = await rowsWhere(db, families, sql` and (closed_at is null or closed_at > ${lately})`)
  const here = new Set(open.map(({ id }) => id))
  const needed = open
    .filter(({ family }) => NEEDING.includes(family))
    .flatMap((row) => neededBy(row.family, believedIn(row)))
    .filter((id) => !here.has(id))
  if (needed.length === 0) return open
  return [...open, ...(await rowsWhere(db, families, sql` and id in ${[...new Set(needed)]}`))]
}

/** Subjects about which something is on record, of the families that may be read. */
export async function subjectsAsked(
  db: Database,
  families: readonly FamilyName[],
  { of, held, nowMs }: Asked,
): Promise<SubjectRow[]> {
  if (of) return of.length === 0 ? [] : rowsWhere(db, families, sql` and id in ${of}`)
  const lately = sqlInstant(new Date(nowMs - CLOSED_LATELY * 86_400_000).toISOString())
  if (held === 'open') return openRows(db, families, lately)
  return rowsWhere(db, families, held === 'closed' ? sql` and closed_at <= ${lately}` : sql``)
}

/** Boxes by their identity. */
async function boxesOf(db: Database): Promise<Map<string, PlaceState>> {
  const rows = await rowsOf<SubjectRow>(
    db,
    sql`select id, family, revision, state from subject where family = 'place' and version > 0`,
  )
  return new Map(rows.map((row) => [row.id, believedIn(row) as PlaceState]))
}

/** How folds are told to a page that knows those of some revision. */
export async function foldTeller(db: Database, revision: number): Promise<(row: SubjectRow) => string> {
  if (revision > UNSAID_REVISION) return foldNow
  const boxes = await boxesOf(db)
  return (row) => foldBefore(row, (enclosure) => boxes.get(enclosure))
}

/** Folds by subject as JSON text. */
export function statesJson(
  { head, nowMs, foldOf }: { head: string; nowMs: number; foldOf: (row: SubjectRow) => string },
  rows: readonly SubjectRow[],
): Buffer {
  const states = rows.map(
    (row) => `"${row.id}":{"family":"${row.family}","upTo":"${row.up_to}","state":${foldOf(row)}}`,
  )
  return Buffer.from(
    `{"head":"${head}","now":${nowMs},"revision":${FOLD_REVISION},"states":{${states.join(',')}}}`,
  )
}

/** Who signed an entry; null where there is none of that name. */
export async function authorOfEntry(db: Database, uid: string): Promise<string | null> {
  const [row] = await db.select({ author: entry.authorId }).from(entry).where(eq(entry.uid, uid))
  return row?.author ?? null
}
