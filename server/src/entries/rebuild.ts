import { isDeepStrictEqual } from 'node:util'
import { effectiveFacts, FOLD_REVISION, replay } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import type { Database, Transaction } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { echoesAbout, hearersOf } from './echoes.ts'
import { historyOf } from './queries.ts'
import type { StoredFold } from './storedFold.ts'
import { closedAtText, isOutdated } from './storedFold.ts'
import { touch } from './tables.ts'
import type { TouchRow } from './touchRows.ts'
import { touchRows } from './touchRows.ts'

export interface RebuildReport {
  subjects: number
  entries: number
  differing: { subject: string; fields: string[] }[]
}

function differingFields(a: object, b: object): string[] {
  const [before, after] = [new Map(Object.entries(a)), new Map(Object.entries(b))]
  const keys = new Set([...before.keys(), ...after.keys()])
  return [...keys].filter((key) => !isDeepStrictEqual(before.get(key), after.get(key)))
}

type TouchKey = Omit<TouchRow, 'day' | 'other'>

function keyOf({ uid, subject, how, nth, amount, unit }: TouchKey): string {
  return `${uid} ${subject} ${how} ${nth} ${amount} ${unit}`
}

/** Replays one subject's entries and compares with what is stored of it; with `write`, puts what was
 * replayed in its place. */
export async function rebuildOne(
  tx: Transaction,
  subject: string,
  { write }: { write: boolean },
): Promise<{ entries: number; fields: string[] }> {
  const [row] = await rowsOf<StoredFold>(
    tx,
    sql`select family, state, revision from subject where id = ${subject} for update`,
  )
  if (!row) return { entries: 0, fields: [] }
  const history = await historyOf(tx, subject)
  // As JSON, because that is how it was stored.
  const echoes = await echoesAbout(tx, subject, row.family)
  const state = replay(row.family, history, echoes)
  const anew = JSON.stringify(state)
  // What an earlier version folded differs for a reason, and is folded again by itself.
  const fields = isOutdated(row)
    ? [...(write ? ['revision'] : [])]
    : differingFields(JSON.parse(row.state) as object, JSON.parse(anew) as object)
  const touches = effectiveFacts(history).flatMap(touchRows)
  const stored = await rowsOf<TouchKey>(
    tx,
    sql`select uid, subject, how, nth, amount, unit from touch where other = ${subject}`,
  )
  const expected = new Set(touches.map(keyOf))
  const same = stored.length === expected.size && stored.every((one) => expected.has(keyOf(one)))
  if (!same) fields.push('touches')
  if (!write || fields.length === 0) return { entries: history.length, fields }
  await tx.execute(
    sql`update subject set state = ${anew}, version = version + 1, revision = ${FOLD_REVISION},
          closed_at = ${closedAtText(row.family, state)}
        where id = ${subject}`,
  )
  await tx.execute(sql`delete from touch where other = ${subject}`)
  if (touches.length > 0) await tx.insert(touch).values(touches)
  return { entries: history.length, fields }
}

/** Folds those that hear of others once more, once all of these are there. */
export async function foldHearers(db: Database | Transaction): Promise<void> {
  for (const id of await hearersOf(db)) await db.transaction((tx) => rebuildOne(tx, id, { write: true }))
}

/** Replays every subject's entries and compares with what is stored; with `write`, puts it right. */
export async function rebuild(db: Database, { write }: { write: boolean }): Promise<RebuildReport> {
  const subjects = await rowsOf<{ id: string }>(db, sql`select id from subject where version > 0 order by id`)
  const report: RebuildReport = { subjects: subjects.length, entries: 0, differing: [] }
  for (const { id } of subjects) {
    const { entries, fields } = await db.transaction((tx) => rebuildOne(tx, id, { write }))
    report.entries += entries
    if (fields.length > 0) report.differing.push({ subject: id, fields })
  }
  // What they hear from others may have been put right after they were.
  const touched = write && report.differing.some(({ fields }) => fields.includes('touches'))
  if (touched) await foldHearers(db)
  return report
}
