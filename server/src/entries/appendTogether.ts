import type { ErrorCode, Receipt } from '@kobrin/contract'
import { ERRORS } from '@kobrin/contract'
import type { Entry, ResidentState } from '@kobrin/core'
import { advance, isAmendment, isoDay, replay } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import { drizzle } from 'drizzle-orm/mysql2'
import type { PoolConnection, ResultSetHeader } from 'mysql2/promise'
import type { Connection, Database } from '../database/connect.ts'
import { sqlInstant } from '../database/columns.ts'
import { inTurns, times } from '../database/inTurns.ts'
import { rowsOf } from '../database/rowsOf.ts'
import type { FoldMemory } from './foldMemory.ts'
import { createFoldMemory } from './foldMemory.ts'
import { historyOf } from './queries.ts'

interface Fold {
  state: ResidentState
  /** Entries of this batch already folded into `state`, for a replay. */
  added: Entry[]
}

/** A fold that changed, with its text as it is written. */
interface Changed {
  residentId: string
  state: ResidentState
  text: string
}

function refused(uid: string, code: ErrorCode): Receipt {
  return { uid, status: 'refused', code, message: ERRORS[code].message }
}

/** What is asked now and then, on the connection of the transaction. */
function asking(line: PoolConnection): Database {
  return drizzle({ client: line })
}

async function lockedFolds(
  line: PoolConnection,
  residents: readonly string[],
  memory: FoldMemory,
): Promise<Map<string, Fold>> {
  const locked = await inTurns(
    line,
    residents,
    (count) =>
      `select resident_id, crc32(state) as checksum from resident_state where resident_id in (${times(count, '?')}) order by resident_id for update`,
    (id) => [id],
  )
  const folds = new Map<string, Fold>()
  const unknown: string[] = []
  for (const { resident_id: id, checksum } of locked as { resident_id: string; checksum: number }[]) {
    const state = memory.recall(id, checksum)
    if (state) folds.set(id, { state, added: [] })
    else unknown.push(id)
  }
  const read = await inTurns(
    line,
    unknown,
    (count) =>
      `select resident_id, state from resident_state where resident_id in (${times(count, '?')}) for update`,
    (id) => [id],
  )
  for (const { resident_id: id, state } of read as { resident_id: string; state: string }[])
    folds.set(id, { state: JSON.parse(state) as ResidentState, added: [] })
  return folds
}

async function alreadyKept(line: PoolConnection, uids: readonly string[]): Promise<Map<string, number>> {
  const rows = await rowsOf<{ uid: string; seq: number }>(
    asking(line),
    sql`select uid, seq from entry where uid in ${uids}`,
  )
  return new Map(rows.map(({ uid, seq }) => [uid, seq]))
}

type Targets = Map<string, { resident_id: string; kind: string }>

async function targetsOf(line: PoolConnection, entries: readonly Entry[]): Promise<Targets> {
  const wanted = entries.filter(isAmendment).map(({ payload }) => payload.target)
  if (wanted.length === 0) return new Map()
  const rows = await rowsOf<{ uid: string; resident_id: string; kind: string }>(
    asking(line),
    sql`select uid, resident_id, kind from entry where uid in ${wanted}`,
  )
  const targets = new Map(rows.map((row) => [row.uid, row]))
  for (const { uid, residentId, kind } of entries) targets.set(uid, { uid, resident_id: residentId, kind })
  return targets
}

function objection(entry: Entry, targets: Targets): ErrorCode | null {
  if (!isAmendment(entry)) return null
  const target = targets.get(entry.payload.target)
  if (!target || target.resident_id !== entry.residentId) return 'unknown_target'
  if (entry.kind !== 'corrected') return null
  if (target.kind === 'corrected' || target.kind === 'retracted') return 'not_correctable'
  return target.kind === entry.payload.to.kind ? null : 'wrong_kind'
}

async function foldIn(line: PoolConnection, fold: Fold, entry: Entry): Promise<void> {
  fold.added.push(entry)
  const next = advance(fold.state, entry)
  fold.state =
    next === 'replay' ? replay([...(await historyOf(asking(line), entry.residentId)), ...fold.added]) : next
}

async function takePlaces(line: PoolConnection, count: number): Promise<number> {
  // Locking the counter is the last lock taken and is held until the commit, so that commits are in
  // the order of the numbers: nobody reading the feed can pass over a row that appears later.
  const [{ insertId, affectedRows }] = await line.query<ResultSetHeader>(
    'update feed_counter set seq = last_insert_id(seq + ?) where id = 1',
    [count],
  )
  if (affectedRows !== 1) throw new Error('The feed counter is missing.')
  return insertId - count + 1
}

async function insertEntries(line: PoolConnection, entries: readonly Entry[], firstSeq: number, now: string) {
  const recordedAt = sqlInstant(now)
  await inTurns(
    line,
    entries,
    (count) =>
      `insert into entry (resident_id, occurred_at, seq, uid, kind, day, recorded_at, author_id, payload) values ${times(count, '(?, ?, ?, ?, ?, ?, ?, ?, ?)')}`,
    ({ residentId, occurredAt, uid, kind, day, author, payload }, index) => [
      residentId,
      sqlInstant(occurredAt),
      firstSeq + index,
      uid,
      kind,
      isoDay(day),
      recordedAt,
      author,
      JSON.stringify(payload),
    ],
  )
}

async function saveFolds(line: PoolConnection, folds: readonly Changed[], lastSeq: number): Promise<void> {
  await inTurns(
    line,
    folds,
    (count) =>
      `insert into resident_state (resident_id, last_seq, state) values ${times(count, '(?, ?, ?)')} on duplicate key update last_seq = values(last_seq), state = values(state)`,
    ({ residentId, text }) => [residentId, lastSeq, text],
  )
}

function residentsOf(entries: readonly Entry[]): string[] {
  return [...new Set(entries.map(({ residentId }) => residentId))].sort()
}

/** What is not yet committed: the receipts, and the folds that changed. */
async function written(
  line: PoolConnection,
  entries: readonly Entry[],
  { now, careful, memory }: Required<Appending>,
): Promise<{ receipts: Receipt[]; changed: readonly Changed[] }> {
  const receipts = new Map<string, Receipt>()
  // States first: a resident's entries are written from one transaction at a time.
  const folds = await lockedFolds(line, residentsOf(entries), memory)
  const uids = entries.map(({ uid }) => uid)
  const before = careful ? await alreadyKept(line, uids) : new Map<string, number>()
  const targets = await targetsOf(line, entries)
  const fresh: Entry[] = []
  for (const entry of entries) {
    if (receipts.has(entry.uid)) continue
    const seq = before.get(entry.uid)
    if (seq !== undefined) {
      receipts.set(entry.uid, { uid: entry.uid, status: 'accepted', seq })
      continue
    }
    const fold = folds.get(entry.residentId)
    const code = fold ? objection(entry, targets) : 'unknown_resident'
    if (!fold || code) receipts.set(entry.uid, refused(entry.uid, code ?? 'unknown_resident'))
    else {
      await foldIn(line, fold, entry)
      receipts.set(entry.uid, { uid: entry.uid, status: 'accepted', seq: fresh.push(entry) })
    }
  }
  const changed = [...folds]
    .filter(([, { added }]) => added.length > 0)
    .map(([residentId, { state }]) => ({ residentId, state, text: JSON.stringify(state) }))
  if (fresh.length > 0) {
    const first = await takePlaces(line, fresh.length)
    await insertEntries(line, fresh, first, now)
    await saveFolds(line, changed, first + fresh.length - 1)
    fresh.forEach(({ uid }, index) => receipts.set(uid, { uid, status: 'accepted', seq: first + index }))
  }
  return { receipts: entries.map(({ uid }) => receipts.get(uid) ?? refused(uid, 'internal')), changed }
}

export interface Appending {
  now: string
  /** Whether any may have been kept before. Where none is expected and one was, nothing is written and
   * the error is a duplicate key. */
  careful?: boolean
  memory?: FoldMemory
}

/** Appends entries and their residents' folds in one transaction; answers in the order given. */
export async function appendTogether(
  { pool }: Connection,
  entries: readonly Entry[],
  { now, careful = true, memory = createFoldMemory() }: Appending,
): Promise<Receipt[]> {
  const line = await pool.getConnection()
  try {
    await line.beginTransaction()
    const { receipts, changed } = await written(line, entries, { now, careful, memory })
    await line.commit()
    line.release()
    for (const { residentId, state, text } of changed) memory.keep(residentId, state, text)
    return receipts
  } catch (error) {
    await line.rollback().then(
      () => line.release(),
      // What a broken connection has left open is undone by the database.
      () => line.destroy(),
    )
    throw error
  }
}
