import type { BroughtList, TakenBack } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import { desc, eq, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import type { Database } from '../database/connect.ts'
import { inChunks } from '../database/inChunks.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { IS_TAKEN_BACK } from '../entries/takenBack.ts'
import { KobrinProblem } from '../errors/problem.ts'
import type { Writing } from './bringIn.ts'
import { residentsOnRecord, writeInPieces } from './bringIn.ts'
import { broughtList } from './tables.ts'

type Row = typeof broughtList.$inferSelect

const NAMES_TOLD = 100
const LISTS_TOLD = 200
const ASKED = 5000

interface Newcomer {
  id: string
  name: string
}

/** Those that some lists put on record and who still are, by list. */
async function newcomersOf(db: Database, lists: readonly Row[]): Promise<Map<string, Newcomer[]>> {
  const newcomers = new Map<string, Newcomer[]>(lists.map(({ id }) => [id, []]))
  if (lists.length === 0) return newcomers
  const rows = await rowsOf<Newcomer & { list: string }>(
    db,
    sql`select brought_list.id as list, resident.id, resident.name
        from brought_list
        join entry on entry.stream = brought_list.stream and entry.seq between first_seq and last_seq
          and entry.kind = 'registered'
        join resident on resident.id = entry.subject
        where brought_list.id in ${[...newcomers.keys()]} order by entry.seq`,
  )
  for (const { list, id, name } of rows) newcomers.get(list)?.push({ id, name })
  return newcomers
}

/** The lists that were brought in, the last first. */
export async function broughtLists(db: Database): Promise<BroughtList[]> {
  const rows = await db.select().from(broughtList).orderBy(desc(broughtList.at)).limit(LISTS_TOLD)
  const newcomers = await newcomersOf(db, rows)
  return rows.map(({ id, file, at, by, facts, takenBackAt, takenBackBy }) => ({
    id,
    file,
    at,
    by,
    facts,
    newcomers: newcomers.get(id)?.slice(0, NAMES_TOLD) ?? [],
    newcomerCount: newcomers.get(id)?.length ?? 0,
    takenBack: takenBackAt && takenBackBy ? { at: takenBackAt, by: takenBackBy } : null,
  }))
}

/** What the file of a list was called. */
export async function fileOfList(db: Database, id: string): Promise<string> {
  const [row] = await db.select({ file: broughtList.file }).from(broughtList).where(eq(broughtList.id, id))
  return row?.file ?? ''
}

/** The newcomers of a list about whom somebody else wrote since, on their own record or on that of another. */
async function standingOn(db: Database, row: Row, newcomers: readonly Newcomer[]): Promise<Newcomer[]> {
  const { stream, first, last } = row
  const ids = newcomers.map(({ id }) => id)
  const about = await inChunks(ids, ASKED, (some) =>
    rowsOf<{ id: string }>(
      db,
      sql`select distinct subject as id from entry
          where subject in ${some} and not (stream = ${stream} and seq between ${first} and ${last})
          union select distinct touch.subject as id from touch join entry on entry.uid = touch.uid
          where touch.subject in ${some} and not (entry.stream = ${stream} and entry.seq between ${first} and ${last})`,
    ),
  )
  const written = new Set(about.flat().map(({ id }) => id))
  return newcomers.filter(({ id }) => written.has(id))
}

/** What the list said and nobody has taken back yet. */
function saidBy(db: Database, { stream, first, last }: Row): Promise<{ uid: string; subject: string }[]> {
  return rowsOf(
    db,
    sql`select uid, subject from entry as one
        where stream = ${stream} and seq between ${first} and ${last}
          and kind not in ('corrected', 'retracted') and not ${IS_TAKEN_BACK}
        order by seq`,
  )
}

/** Takes back all that a list said, while nobody stands on those it put on record: what was written about them since
 * would be about nobody. */
export async function takeBack(by: Writing, id: string, why: string): Promise<TakenBack> {
  const { db, author } = by
  const [row] = await db.select().from(broughtList).where(eq(broughtList.id, id))
  if (!row) throw new KobrinProblem('not_found')
  const before = await residentsOnRecord(db)
  const nothing = { facts: 0, residents: { before, after: before }, standing: [] }
  if (row.takenBackAt) return nothing
  const standing = await standingOn(db, row, (await newcomersOf(db, [row])).get(id) ?? [])
  if (standing.length > 0) return { ...nothing, standing: standing.slice(0, NAMES_TOLD) }
  const entries = (await saidBy(db, row)).map(({ uid, subject }): Entry => ({
    uid: uuidv7(),
    subject,
    kind: 'retracted',
    payload: { target: uid, why },
    occurredAt: author.at,
    day: author.day,
    author: author.by,
  }))
  const { accepted } = await writeInPieces(by, entries)
  await db
    .update(broughtList)
    .set({ takenBackAt: author.at, takenBackBy: author.by })
    .where(eq(broughtList.id, id))
  return { facts: accepted, residents: { before, after: await residentsOnRecord(db) }, standing: [] }
}
