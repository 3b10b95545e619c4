import { sql } from 'drizzle-orm'
import { isoInstant } from '../database/columns.ts'
import type { Database } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { KobrinFault } from '../errors/fault.ts'

/** Two machines that are set by hand differ by no more. */
const BEHIND_MS = 15 * 60_000
/** A house that rested longer than this can say so. */
const AHEAD_MS = 120 * 86_400_000

/** When the newest entry was recorded, milliseconds. */
async function lastRecorded(db: Database): Promise<number | null> {
  const streams = await rowsOf<{ id: number }>(db, sql`select id from stream`)
  const lasts = await Promise.all(
    streams.map(({ id }) =>
      rowsOf<{ at: string }>(
        db,
        sql`select recorded_at as at from entry where stream = ${id} order by seq desc limit 1`,
      ),
    ),
  )
  const times = lasts.flat().map(({ at }) => Date.parse(isoInstant(at)))
  return times.length > 0 ? Math.max(...times) : null
}

/** Throws KobrinFault `clock_wrong` when the clock of this machine does not fit the record: with a clock
 * that is behind, true entries would be refused for good; with one that is far ahead, all that came after
 * it was set right would be late. */
export async function requireClock(db: Database, now: Date): Promise<void> {
  const last = await lastRecorded(db)
  if (last === null) return
  const apart = now.getTime() - last
  if (apart >= -BEHIND_MS && apart <= AHEAD_MS) return
  const days = Math.round(Math.abs(apart) / 86_400_000)
  throw new KobrinFault(
    'clock_wrong',
    `The clock of this machine says ${now.toISOString()}, ${days} days ${apart < 0 ? 'before' : 'after'} the last entry ` +
      `(${new Date(last).toISOString()}). Set the clock right. If it is right: KOBRIN_CLOCK=believe.`,
  )
}
