import { sql } from 'drizzle-orm'
import type { Database } from '../database/connect.ts'
import { sqlMoment } from '../database/columns.ts'

/** A sign-in that is over is kept so long: what was made during it may still lie on a tablet in a drawer,
 * and anyone who sends it has to show that its author was at work. */
const SHIFT_DAYS = 120
/** Wrong and right tries. */
const GUESS_DAYS = 30
/** A browser nobody has signed in on for so long. */
const DEVICE_DAYS = 120

/** Forgets sign-ins, codes, tries and devices that nothing can come of any more. */
export async function pruneDoor(db: Database, now: Date): Promise<void> {
  const ago = (days: number) => sqlMoment(now, -days * 86_400_000)
  await db.execute(
    sql`delete from session where least(expires_at, coalesce(ended_at, expires_at)) < ${ago(SHIFT_DAYS)}`,
  )
  await db.execute(sql`delete from invitation where until < ${ago(0)}`)
  await db.execute(sql`delete from guess where at < ${ago(GUESS_DAYS)}`)
  await db.execute(
    sql`delete from device where created_at < ${ago(DEVICE_DAYS)} and not exists (
          select 1 from session where session.device_id = device.id and session.created_at > ${ago(DEVICE_DAYS)})`,
  )
}
