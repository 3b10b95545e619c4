import type { Bookmark } from '@kobrin/contract'
import { advanced, readBookmark, sayBookmark } from '@kobrin/contract'
import { eq } from 'drizzle-orm'
import { untilAlone } from '../database/contended.ts'
import type { Database, Transaction } from '../database/connect.ts'
import type { FeedRow } from '../feed/rows.ts'
import { feedAfter } from '../feed/rows.ts'
import { headOf } from '../streams/ownStream.ts'
import { follower } from './tables.ts'

/** Keeps something derived over many subjects: sums of days, fits, touches of neighbours. */
export interface Follower {
  name: string
  /** Says of everything there is so far at once, where that is quicker than reading the feed from its beginning. */
  begin?: (tx: Transaction) => Promise<void>
  /** Works new rows into its output. Each row comes once, each stream in its order. */
  absorb: (tx: Transaction, rows: readonly FeedRow[]) => Promise<void>
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
async function step(db: Database, { name, begin, absorb }: Follower): Promise<number> {
  return untilAlone(() =>
    db.transaction(async (tx) => {
      let after = await bookmarkOf(tx, name)
      if (begin && Object.keys(after).length === 0) {
        // The head first: what comes meanwhile is told again, never missed.
        after = await headOf(tx)
        await begin(tx)
        await tx
          .update(follower)
          .set({ upTo: sayBookmark(after) })
          .where(eq(follower.name, name))
      }
      const rows = await feedAfter(tx, after, PAGE)
      if (rows.length === 0) return 0
      await absorb(tx, rows)
      const upTo = sayBookmark(rows.reduce(advanced, after))
      await tx.update(follower).set({ upTo }).where(eq(follower.name, name))
      return rows.length
    }),
  )
}

/** Works in everything that is new. Answers how many rows that were. */
export async function catchUp(db: Database, one: Follower): Promise<number> {
  let absorbed = 0
  for (let rows = await step(db, one); rows > 0; rows = await step(db, one)) absorbed += rows
  return absorbed
}

/** Deletes what a follower made and how far it had read, and makes it anew. */
export async function rebuildFollower(db: Database, one: Follower): Promise<number> {
  await db.transaction(async (tx) => {
    await bookmarkOf(tx, one.name)
    await one.forget(tx)
    await tx.delete(follower).where(eq(follower.name, one.name))
  })
  return catchUp(db, one)
}
