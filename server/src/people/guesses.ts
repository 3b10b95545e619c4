import { sql } from 'drizzle-orm'
import type { SQL } from 'drizzle-orm'
import type { Database } from '../database/connect.ts'
import { sqlMoment } from '../database/columns.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { KobrinProblem } from '../errors/problem.ts'
import type { Device } from './devices.ts'

/** Somebody tries to come in. The person is looked up first: it is people and devices that are counted,
 * not what was typed. */
export interface Try {
  by: 'passphrase' | 'pin'
  /** Null where nobody has that name. */
  personId: string | null
  /** Null on a device that is seen for the first time. */
  device: Pick<Device, 'id'> | null
  address: string
}

/** How many wrong tries are let through. */
export const GUESSES = {
  /** In a row, of one person's PIN or on one device: then a passphrase is asked for. */
  pins: 10,
  /** Of one person's passphrase on a device they have used before. */
  ownDevice: { most: 10, minutes: 5 },
  /** Of one person's passphrase on all other devices together: nobody out there can keep them from theirs. */
  otherDevices: { most: 10, minutes: 15 },
  /** From one address, no matter which person is meant. */
  address: { most: 30, minutes: 5 },
} as const

interface Span {
  most: number
  minutes: number
}

export interface Guesses {
  /** Counts a try as wrong before it is judged, so that a hundred at once are a hundred, and judges it.
   * Throws `too_many` or `passphrase_needed`. */
  judged: <T>(guess: Try, judge: () => Promise<T | null>) => Promise<T | null>
}

/** Counts tries in the database: every server counts the same ones. */
export function createGuesses(db: Database, now: () => Date): Guesses {
  const ago = (minutes: number) => sqlMoment(now(), -minutes * 60_000)

  async function count(where: SQL): Promise<number> {
    const [row] = await rowsOf<{ wrong: number }>(
      db,
      sql`select count(*) as wrong from guess where not was_right and ${where}`,
    )
    return row?.wrong ?? 0
  }

  /** Wrong ones since the last right one. */
  function inARow(of: SQL): Promise<number> {
    const lastRight = sql`(select coalesce(max(id), 0) from guess where was_right and ${of})`
    return count(sql`guessed_by = 'pin' and ${of} and id > ${lastRight}`)
  }

  async function isOwn({ personId, device }: Try): Promise<boolean> {
    if (!personId || !device) return false
    const rows = await rowsOf(
      db,
      sql`select 1 from session where device_id = ${device.id} and staff_id = ${personId} limit 1`,
    )
    return rows.length > 0
  }

  async function refuseMoreThan({ most, minutes }: Span, of: SQL): Promise<void> {
    if ((await count(sql`${of} and at > ${ago(minutes)}`)) > most) throw new KobrinProblem('too_many')
  }

  async function checkPin({ personId, device }: Try): Promise<void> {
    const ofPerson = await inARow(sql`staff_id = ${personId}`)
    const onDevice = await inARow(sql`device_id = ${device?.id ?? null}`)
    if (Math.max(ofPerson, onDevice) > GUESSES.pins) throw new KobrinProblem('passphrase_needed')
  }

  async function checkPassphrase({ personId, device, address }: Try, own: boolean): Promise<void> {
    if (own)
      return refuseMoreThan(
        GUESSES.ownDevice,
        sql`staff_id = ${personId} and device_id = ${device?.id ?? null} and guessed_by = 'passphrase'`,
      )
    await refuseMoreThan(GUESSES.address, sql`address = ${address} and not own_device`)
    if (personId)
      await refuseMoreThan(
        GUESSES.otherDevices,
        sql`staff_id = ${personId} and guessed_by = 'passphrase' and not own_device`,
      )
  }

  return {
    async judged(guess, judge) {
      const { by, personId, device, address } = guess
      const own = await isOwn(guess)
      const [made] = await db.execute(
        sql`insert into guess (at, guessed_by, staff_id, device_id, own_device, address, was_right)
            values (${ago(0)}, ${by}, ${personId}, ${device?.id ?? null}, ${own}, ${address}, false)`,
      )
      try {
        if (by === 'pin') await checkPin(guess)
        else await checkPassphrase(guess, own)
      } catch (refusal) {
        // What was not judged told nobody anything: anyone who hammers at the door does not keep it shut.
        await db.execute(sql`delete from guess where id = ${made.insertId}`)
        throw refusal
      }
      const right = await judge()
      if (right !== null) await db.execute(sql`update guess set was_right = true where id = ${made.insertId}`)
      return right
    },
  }
}
