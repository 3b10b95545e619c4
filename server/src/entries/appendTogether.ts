import type { Receipt } from '@kobrin/contract'
import { advanced, readBookmark, sayBookmark } from '@kobrin/contract'
import type { Entry, Sheet } from '@kobrin/core'
import { isDeepStrictEqual } from 'node:util'
import { sql } from 'drizzle-orm'
import { isoInstant } from '../database/columns.ts'
import { patience } from '../database/contended.ts'
import type { Connection, Database } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import type { Lease } from '../streams/ownStream.ts'
import type { FoldMemory } from './foldMemory.ts'
import { foldsOf, knowledgeOf } from './knowledge.ts'
import { registrationOf, settled } from './settled.ts'
import { closedAtText } from './storedFold.ts'
import { judged, refusalOf } from './turn.ts'
import type { Writing } from './writeTogether.ts'
import { writeTogether } from './writeTogether.ts'

/** How often the folds of a batch may turn out to be others before it is given up. */
const OUTRUN_MOST = 50

export interface Appending {
  now: string
  lease: Lease
  memory: FoldMemory
  /** The sheets in force: asked for only where an entry speaks of one. */
  sheets: () => Promise<ReadonlyMap<string, Sheet>>
  /** Whether any may have been kept before. Where none is expected and one was, nothing is written and
   * the error is a duplicate key. */
  careful: boolean
}

interface KeptRow {
  uid: string
  stream: number
  seq: number
  subject: string
  kind: string
  author: string
  occurredAt: string
  payload: string
}

/** Whether what is on record says what is posted again. A field that came into the language since then
 * may be there now and not on record. */
function saysSame(kept: KeptRow, { subject, kind, author, occurredAt, payload }: Entry): boolean {
  const [before, now] = [JSON.parse(kept.payload), payload] as Record<string, unknown>[]
  return (
    kept.subject === subject &&
    kept.kind === kind &&
    kept.author === author &&
    isoInstant(kept.occurredAt) === occurredAt &&
    Object.entries(before ?? {}).every(([field, value]) => isDeepStrictEqual(value, now?.[field]))
  )
}

/** Receipts of those that were kept before: the place they have, or that something else has their name. */
async function alreadyKept(db: Database, entries: readonly Entry[]): Promise<Map<string, Receipt>> {
  const rows = await rowsOf<KeptRow>(
    db,
    sql`select uid, stream, seq, subject, kind, author_id as author, occurred_at as occurredAt, payload
        from entry where uid in ${entries.map(({ uid }) => uid)}`,
  )
  const kept = new Map(rows.map((row) => [row.uid, row]))
  const receipts = new Map<string, Receipt>()
  for (const entry of entries) {
    const row = kept.get(entry.uid)
    if (!row) continue
    const { uid, stream, seq } = row
    const same = saysSame(row, entry)
    receipts.set(uid, same ? { uid, stream, seq, status: 'accepted' } : refusalOf(uid, 'other_content'))
  }
  return receipts
}

/** The receipts; null when a fold was written by another meanwhile, and nothing is kept. */
async function attempted(
  { db, pool }: Connection,
  entries: readonly Entry[],
  { now, lease, memory, sheets, careful }: Appending,
): Promise<Receipt[] | null> {
  const receipts = careful ? await alreadyKept(db, entries) : new Map<string, Receipt>()
  const seen = new Set(receipts.keys())
  const fresh = entries.filter(({ uid }) => !seen.has(uid) && seen.add(uid))
  const { accepted, refused, turns } = judged(fresh, await knowledgeOf(db, fresh, memory, sheets))
  for (const [uid, code] of refused) receipts.set(uid, refusalOf(uid, code))
  if (accepted.length > 0) {
    const ends = await settled(db, turns, (subjects) => foldsOf(db, subjects, memory))
    const writing: Writing = {
      lease,
      now,
      entries: accepted.map((entry) => ({ entry, family: turns.get(entry.subject)?.family ?? 'resident' })),
      folds: ends.map(({ turn, state }) => ({
        ...turn,
        text: JSON.stringify(state),
        closedAt: closedAtText(turn.family, state),
      })),
      touches: ends.flatMap(({ touches }) => touches),
      retouched: ends.flatMap(({ retouched }) => retouched),
      registrations: ends.flatMap((end) => registrationOf(end) ?? []),
    }
    const base = await writeTogether(pool, writing)
    if (base === null) {
      memory.forget(ends.map(({ turn }) => turn.subject))
      return null
    }
    const { stream } = lease
    accepted.forEach(({ uid }, index) =>
      receipts.set(uid, { uid, status: 'accepted', stream, seq: base + index + 1 }),
    )
    const last = { stream, seq: base + accepted.length }
    for (const { turn, state } of ends) {
      const { family, was, upTo } = turn
      const upToNow = sayBookmark(advanced(readBookmark(upTo) ?? {}, last))
      memory.keep(turn.subject, { family, state, version: (was ?? 0) + 1, upTo: upToNow })
    }
  }
  return entries.map(({ uid }) => receipts.get(uid) ?? refusalOf(uid, 'internal'))
}

/** Appends entries and their subjects' folds in one transaction; answers in the order given. What has
 * to be known is read first; it is written only over the folds it was made from, or made again. */
export async function appendTogether(
  connection: Connection,
  entries: readonly Entry[],
  appending: Appending,
): Promise<Receipt[]> {
  for (let outrun = 0; outrun < OUTRUN_MOST; outrun += 1) {
    const receipts = await attempted(connection, entries, {
      ...appending,
      careful: appending.careful || outrun > 0,
    })
    if (receipts) return receipts
    await patience(Math.min(outrun, 4))
  }
  throw new Error('Others kept writing about the same subjects.')
}
