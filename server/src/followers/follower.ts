import type { Bookmark, Placed } from '@kobrin/contract'
import { advanced, readBookmark, sayBookmark } from '@kobrin/contract'
import { eq } from 'drizzle-orm'
import { untilAlone } from '../database/contended.ts'
import type { Database, Transaction } from '../database/connect.ts'
import type { FeedRow } from '../feed/rows.ts'
import { feedAfter } from '../feed/rows.ts'
import { headOf } from '../streams/ownStream.ts'
import { follower } from './tables.ts'

/** Where a follower reads: rows that are only ever added, in streams that each have an order. */
export interface Source<Row extends Placed> {
  /** How far every stream has come. */
  head: (tx: Transaction) => Promise<Bookmark>
  /** So many rows after a bookmark, each stream in its order. A row that has a place before another is there before
   * it: nothing appears behind a reader. */
  after: (tx: Transaction, bookmark: Bookmark, limit: number) => Promise<Row[]>
}

/** What is said and changed: entries, and what people edit. */
export const FEED: Source<FeedRow> = { head: headOf, after: feedAfter }

/** Keeps something derived over many subjects, or of rows that are no entries: sums of days, fits, touches of
 * neighbours. */
export interface Follower<Row extends Placed = FeedRow> {
  name: string
  from: Source<Row>
  /** Says of everything there is so far at once, where that is quicker than reading the source from its beginning. */
  begin?: (tx: Transaction) => Promise<void>
  /** Works new rows into its output. Each row comes once, each stream in its order. */
  absorb: (tx: Transaction, rows: readonly Row[]) => Promise<void>
  /** Deletes its output. */
  forget: (tx: Transaction) => Promise<void>
}

const PAGE = 1000

/** How far it has read; its row is the lock, so that one server at a time moves it. */
async function bookmarkOf(tx: Transaction, name: string): Promise<Bookmark> {
  await tx.insert(follower).ignore().values({ name, upTo: '' })
  const [row] = await tx.select().from(follower).where(eq(follower.name, name)).for('update')
  return readBookmark(row?.upTo ?? '') ?? {}
}

/** One page of new rows, their output and how far it was read, in one transaction. */
async function step<Row extends Placed>(
  db: Database,
  { name, from, begin, absorb }: Follower<Row>,
): Promise<number> {
  return untilAlone(() =>
    db.transaction(async (tx) => {
      let after = await bookmarkOf(tx, name)
      if (begin && Object.keys(after).length === 0) {
        // The head first: what comes meanwhile is told again, never missed.
        after = await from.head(tx)
        await begin(tx)
        await tx
          .update(follower)
          .set({ upTo: sayBookmark(after) })
          .where(eq(follower.name, name))
      }
      const rows = await from.after(tx, after, PAGE)
      if (rows.length === 0) return 0
      await absorb(tx, rows)
      const upTo = sayBookmark(rows.reduce<Bookmark>(advanced, after))
      await tx.update(follower).set({ upTo }).where(eq(follower.name, name))
      return rows.length
    }),
  )
}

/** Works in everything that is new. Answers how many rows that were. */
export async function catchUp<Row extends Placed>(db: Database, one: Follower<Row>): Promise<number> {
  let absorbed = 0
  for (let rows = await step(db, one); rows > 0; rows = await step(db, one)) absorbed += rows
  return absorbed
}

/** Deletes what a follower made and how far it had read, and makes it again. */
export async function rebuildFollower<Row extends Placed>(db: Database, one: Follower<Row>): Promise<number> {
  await db.transaction(async (tx) => {
    await bookmarkOf(tx, one.name)
    await one.forget(tx)
    await tx.delete(follower).where(eq(follower.name, one.name))
  })
  return catchUp(db, one)
}
