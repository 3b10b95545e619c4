import type { ErrorCode, Receipt } from '@kobrin/contract'
import { ERRORS } from '@kobrin/contract'
import type { Entry, ResidentState } from '@kobrin/core'
import { advance, isAmendment, isoDay, replay } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import type { Database, Transaction } from '../database/connect.ts'
import { errnoOf } from '../database/connect.ts'
import { sqlInstant } from '../database/columns.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { historyOf } from './queries.ts'

/** Entries appended in one transaction at most. */
const BATCH_MAX = 400
/** Transactions on their way at once. */
const LANES = 2
const TRIES = 5
/** Deadlock, lock wait, and a uid that was kept before or that another server is writing. */
const RETRYABLE = new Set([1213, 1205, 1062])

export interface Appender {
  /** Appends what was posted together; receipts come in the order given. */
  append: (entries: readonly Entry[]) => Promise<Receipt[]>
  /** Resolves when everything handed over so far is answered. */
  drained: () => Promise<void>
}

interface Waiting {
  entries: readonly Entry[]
  answer: (receipts: Receipt[]) => void
  fail: (error: unknown) => void
}

interface Fold {
  state: ResidentState
  /** Entries of this batch already folded into `state`, for a replay. */
  added: Entry[]
  dirty: boolean
}

function refused(uid: string, code: ErrorCode): Receipt {
  return { uid, status: 'refused', code, message: ERRORS[code].message }
}

async function alreadyKept(tx: Transaction, uids: readonly string[]): Promise<Map<string, number>> {
  const rows = await rowsOf<{ uid: string; seq: number }>(
    tx,
    sql`select uid, seq from entry where uid in ${uids}`,
  )
  return new Map(rows.map(({ uid, seq }) => [uid, seq]))
}

async function lockedFolds(tx: Transaction, residents: readonly string[]): Promise<Map<string, Fold>> {
  const rows = await rowsOf<{ resident_id: string; state: string }>(
    tx,
    sql`select resident_id, state from resident_state where resident_id in ${residents} order by resident_id for update`,
  )
  return new Map(
    rows.map((row) => [
      row.resident_id,
      { state: JSON.parse(row.state) as ResidentState, added: [], dirty: false },
    ]),
  )
}

async function targetsOf(tx: Transaction, entries: readonly Entry[]) {
  const wanted = entries.filter(isAmendment).map(({ payload }) => payload.target)
  if (wanted.length === 0) return new Map<string, { resident_id: string; kind: string }>()
  const rows = await rowsOf<{ uid: string; resident_id: string; kind: string }>(
    tx,
    sql`select uid, resident_id, kind from entry where uid in ${wanted}`,
  )
  const targets = new Map(rows.map((row) => [row.uid, row]))
  for (const { uid, residentId, kind } of entries) targets.set(uid, { uid, resident_id: residentId, kind })
  return targets
}

function objection(
  entry: Entry,
  targets: Map<string, { resident_id: string; kind: string }>,
): ErrorCode | null {
  if (!isAmendment(entry)) return null
  const target = targets.get(entry.payload.target)
  if (!target || target.resident_id !== entry.residentId) return 'unknown_target'
  if (entry.kind !== 'corrected') return null
  if (target.kind === 'corrected' || target.kind === 'retracted') return 'not_correctable'
  return target.kind === entry.payload.to.kind ? null : 'wrong_kind'
}

async function folded(tx: Transaction, fold: Fold, entry: Entry): Promise<void> {
  fold.added.push(entry)
  fold.dirty = true
  const next = advance(fold.state, entry)
  fold.state = next === 'replay' ? replay([...(await historyOf(tx, entry.residentId)), ...fold.added]) : next
}

async function takePlaces(tx: Transaction, count: number): Promise<number> {
  // Locking the counter is the last lock taken and is held until the commit, so that commits are in
  // the order of the numbers: nobody reading the feed can pass over a row that appears later.
  const [{ insertId, affectedRows }] = await tx.execute(
    sql`update feed_counter set seq = last_insert_id(seq + ${count}) where id = 1`,
  )
  if (affectedRows !== 1) throw new Error('The feed counter is missing.')
  return insertId - count + 1
}

async function insertEntries(tx: Transaction, entries: readonly Entry[], firstSeq: number, now: string) {
  const rows = entries.map(({ residentId, occurredAt, uid, kind, day, author, payload }, index) => [
    residentId,
    sqlInstant(occurredAt),
    firstSeq + index,
    uid,
    kind,
    isoDay(day),
    author,
    JSON.stringify(payload),
  ])
  // One parameter, whatever the number of rows: building a statement of thousands costs more than running it.
  await tx.execute(
    sql`insert into entry (resident_id, occurred_at, seq, uid, kind, day, recorded_at, author_id, payload)
        select resident_id, occurred_at, seq, uid, kind, day, ${sqlInstant(now)}, author_id, payload
        from json_table(${JSON.stringify(rows)}, '$[*]' columns (
          resident_id varchar(36) path '$[0]', occurred_at datetime(3) path '$[1]', seq bigint path '$[2]',
          uid varchar(36) path '$[3]', kind varchar(20) path '$[4]', day date path '$[5]',
          author_id varchar(36) path '$[6]', payload longtext path '$[7]')) as made`,
  )
}

async function saveFolds(tx: Transaction, folds: Map<string, Fold>, lastSeq: number): Promise<void> {
  const rows = [...folds]
    .filter(([, { dirty }]) => dirty)
    .map(([residentId, { state }]) => sql`(${residentId}, ${lastSeq}, ${JSON.stringify(state)})`)
  if (rows.length === 0) return
  await tx.execute(
    sql`insert into resident_state (resident_id, last_seq, state) values ${sql.join(rows, sql`, `)} on duplicate key update last_seq = values(last_seq), state = values(state)`,
  )
}

function residentsOf(entries: readonly Entry[]): string[] {
  return [...new Set(entries.map(({ residentId }) => residentId))].sort()
}

/** Appends entries and their residents' folds in one transaction; answers in the order given.
 * Unless `careful`, none is expected to have been kept before; should one have been, nothing is written
 * and the error is a duplicate key. */
export async function appendTogether(
  db: Database,
  entries: readonly Entry[],
  now: string,
  { careful = true } = {},
): Promise<Receipt[]> {
  return db.transaction(async (tx) => {
    const receipts = new Map<string, Receipt>()
    // States first: a resident's entries are written from one transaction at a time.
    const folds = await lockedFolds(tx, residentsOf(entries))
    const uids = entries.map(({ uid }) => uid)
    const before = careful ? await alreadyKept(tx, uids) : new Map<string, number>()
    const targets = await targetsOf(tx, entries)
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
        await folded(tx, fold, entry)
        receipts.set(entry.uid, { uid: entry.uid, status: 'accepted', seq: fresh.push(entry) })
      }
    }
    if (fresh.length > 0) {
      const first = await takePlaces(tx, fresh.length)
      await insertEntries(tx, fresh, first, now)
      await saveFolds(tx, folds, first + fresh.length - 1)
      fresh.forEach(({ uid }, index) => receipts.set(uid, { uid, status: 'accepted', seq: first + index }))
    }
    return entries.map(({ uid }) => receipts.get(uid) ?? refused(uid, 'internal'))
  })
}

/** Gathers what arrives while transactions are on their way and appends it in the next: one durable
 * commit serves everyone who waits. Two may be on their way at once, so that the database writes while
 * the next is made up; the folds' locks keep one resident's entries apart. A batch that cannot be
 * written is retried; if it still cannot, every caller hears why, and nobody is told that something
 * was kept when it was not. */
export function createAppender(
  db: Database,
  { onAppended, now = () => new Date().toISOString() }: { onAppended: () => void; now?: () => string },
): Appender {
  const waiting: Waiting[] = []
  const lanes = new Set<Promise<void>>()

  async function attempt(entries: readonly Entry[]): Promise<Receipt[]> {
    for (let tries = 1; ; tries += 1) {
      try {
        return await appendTogether(db, entries, now(), { careful: tries > 1 })
      } catch (error) {
        if (tries >= TRIES || !RETRYABLE.has(errnoOf(error) ?? 0)) throw error
      }
    }
  }

  /** The posts at the head of the queue that fit one transaction; a post is never torn apart. */
  function nextBatch(): Waiting[] {
    let count = 0
    const fitting = waiting.findIndex(({ entries }, index) => {
      count += entries.length
      return index > 0 && count > BATCH_MAX
    })
    return waiting.splice(0, fitting === -1 ? waiting.length : fitting)
  }

  async function run(): Promise<void> {
    // Let requests that arrived in the same moment in.
    await new Promise((resolve) => setImmediate(resolve))
    for (let batch = nextBatch(); batch.length > 0; batch = nextBatch()) {
      try {
        const receipts = await attempt(batch.flatMap(({ entries }) => entries))
        for (const { entries, answer } of batch) answer(receipts.splice(0, entries.length))
        onAppended()
      } catch (error) {
        for (const { fail } of batch) fail(error)
      }
    }
  }

  function start(): void {
    if (lanes.size >= LANES) return
    const lane = run().finally(() => lanes.delete(lane))
    lanes.add(lane)
  }

  return {
    append: (entries) =>
      new Promise((answer, fail) => {
        waiting.push({ entries, answer, fail })
        start()
      }),
    drained: async () => {
      while (lanes.size > 0) await Promise.all(lanes)
    },
  }
}
