import type { ErrorCode, Receipt } from '@kobrin/contract'
import { ERRORS } from '@kobrin/contract'
import type { Entry, ResidentState } from '@kobrin/core'
import { advance, isAmendment, replay } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import type { Connection, Database } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import type { Fold, FoldMemory } from './foldMemory.ts'
import { createFoldMemory, foldOf } from './foldMemory.ts'
import { historyOf, stateRows } from './queries.ts'
import { writeTogether } from './writeTogether.ts'

/** How often the folds of a batch may turn out to be others before it is given up. */
const OUTRUN_MOST = 50

/** A fold on its way from what it was to what the entries of this batch make of it. */
interface Turning {
  was: number
  state: ResidentState
  added: Entry[]
}

function refused(uid: string, code: ErrorCode): Receipt {
  return { uid, status: 'refused', code, message: ERRORS[code].message }
}

async function foldsOf(
  db: Database,
  entries: readonly Entry[],
  memory: FoldMemory,
): Promise<Map<string, Fold>> {
  const folds = new Map<string, Fold>()
  const unknown = new Set<string>()
  for (const { residentId } of entries) {
    const fold = memory.recall(residentId)
    if (fold) folds.set(residentId, fold)
    else unknown.add(residentId)
  }
  if (unknown.size > 0)
    for (const { resident_id: id, state } of await stateRows(db, [...unknown]))
      folds.set(id, foldOf(JSON.parse(state) as ResidentState, state))
  return folds
}

async function alreadyKept(db: Database, uids: readonly string[]): Promise<Map<string, number>> {
  const rows = await rowsOf<{ uid: string; seq: number }>(
    db,
    sql`select uid, seq from entry where uid in ${uids}`,
  )
  return new Map(rows.map(({ uid, seq }) => [uid, seq]))
}

type Targets = Map<string, { resident_id: string; kind: string }>

async function targetsOf(db: Database, entries: readonly Entry[]): Promise<Targets> {
  const wanted = entries.filter(isAmendment).map(({ payload }) => payload.target)
  if (wanted.length === 0) return new Map()
  const rows = await rowsOf<{ uid: string; resident_id: string; kind: string }>(
    db,
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

async function turned({ was, state, added }: Turning, entry: Entry, db: Database): Promise<Turning> {
  const next = advance(state, entry)
  const all = [...added, entry]
  return {
    was,
    state: next === 'replay' ? replay([...(await historyOf(db, entry.residentId)), ...all]) : next,
    added: all,
  }
}

export interface Appending {
  now: string
  /** Whether any may have been kept before. Where none is expected and one was, nothing is written and
   * the error is a duplicate key. */
  careful?: boolean
  memory?: FoldMemory
}

/** The receipts; null when a fold was written by another meanwhile, and nothing is kept. */
async function attempted(
  { db, pool }: Connection,
  entries: readonly Entry[],
  { now, careful, memory }: Required<Appending>,
): Promise<Receipt[] | null> {
  const receipts = new Map<string, Receipt>()
  const folds = await foldsOf(db, entries, memory)
  const uids = entries.map(({ uid }) => uid)
  const before = careful ? await alreadyKept(db, uids) : new Map<string, number>()
  const targets = await targetsOf(db, entries)
  const turning = new Map<string, Turning>()
  const fresh: Entry[] = []
  for (const entry of entries) {
    const { uid, residentId } = entry
    if (receipts.has(uid)) continue
    const seq = before.get(uid)
    if (seq !== undefined) {
      receipts.set(uid, { uid, status: 'accepted', seq })
      continue
    }
    const fold = folds.get(residentId)
    const code = fold ? objection(entry, targets) : 'unknown_resident'
    if (!fold || code) receipts.set(uid, refused(uid, code ?? 'unknown_resident'))
    else {
      const { state, checksum } = fold
      const turn = turning.get(residentId) ?? { was: checksum, state, added: [] }
      turning.set(residentId, await turned(turn, entry, db))
      receipts.set(uid, { uid, status: 'accepted', seq: fresh.push(entry) })
    }
  }
  if (fresh.length > 0) {
    const turns = [...turning].map(([residentId, { was, state }]) => ({
      residentId,
      was,
      state,
      text: JSON.stringify(state),
    }))
    const base = await writeTogether(pool, fresh, turns, now)
    if (base === null) {
      memory.forget(turning.keys())
      return null
    }
    fresh.forEach(({ uid }, index) => receipts.set(uid, { uid, status: 'accepted', seq: base + index + 1 }))
    for (const { residentId, state, text } of turns) memory.keep(residentId, foldOf(state, text))
  }
  return uids.map((uid) => receipts.get(uid) ?? refused(uid, 'internal'))
}

/** Appends entries and their residents' folds in one transaction; answers in the order given. What has
 * to be known is read first; it is written only over the folds it was made from, or made again. */
export async function appendTogether(
  connection: Connection,
  entries: readonly Entry[],
  { now, careful = true, memory = createFoldMemory() }: Appending,
): Promise<Receipt[]> {
  for (let outrun = 0; outrun < OUTRUN_MOST; outrun += 1) {
    const receipts = await attempted(connection, entries, { now, careful, memory })
    if (receipts) return receipts
  }
  throw new Error('Others kept writing about the same residents.')
}
