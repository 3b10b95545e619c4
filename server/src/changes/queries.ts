import type { Bookmark, Change } from '@kobrin/contract'
import { isPast } from '@kobrin/contract'
import { asc, gte, max } from 'drizzle-orm'
import type { Database } from '../database/connect.ts'
import { change } from './tables.ts'

export function changesSince(db: Database, day: number): Promise<Change[]> {
  return db.select().from(change).where(gte(change.day, day)).orderBy(asc(change.at))
}

/** The last change in each stream. */
export async function lastChanges(db: Database): Promise<Bookmark> {
  const rows = await db
    .select({ stream: change.stream, seq: max(change.seq) })
    .from(change)
    .groupBy(change.stream)
  return Object.fromEntries(rows.map(({ stream, seq }) => [String(stream), seq ?? 0]))
}

/** Whether there are changes that a bookmark is not past. */
export function isNews(last: Bookmark, read: Bookmark): boolean {
  return Object.entries(last).some(([stream, seq]) => !isPast(read, { stream: Number(stream), seq }))
}
