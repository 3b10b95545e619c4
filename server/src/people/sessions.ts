import type { Person, Shift, Units } from '@kobrin/contract'
import type { Role } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import { LRUCache } from 'lru-cache'
import { v7 as uuidv7 } from 'uuid'
import type { Database } from '../database/connect.ts'
import { isoInstant, sqlMoment } from '../database/columns.ts'
import { rowsOf } from '../database/rowsOf.ts'
import type { Device } from './devices.ts'
import { hashed, newToken } from './token.ts'

const SESSION_HOURS = 14
/** How long a session is believed without asking the database again. */
const BELIEVED_MS = 5_000
/** More than ever sign in at once. */
const BELIEVED_MOST = 5000

export interface SignedIn {
  person: Person
  device: Device
  token: string
  shift: Shift
}

/** A sign-in as it can be proven later: whose, from when until when, and its key. */
export interface WorkedShift {
  personId: string
  fromMs: number
  untilMs: number
  key: string
}

export interface Sessions {
  find: (token: string) => Promise<SignedIn | null>
  open: (personId: string, deviceId: string) => Promise<{ token: string; shift: Shift }>
  end: (token: string) => Promise<void>
  /** Calls when a sign-in ends, whatever server hears of it. Answers how to stop listening. */
  onEnd: (signedIn: SignedIn, ended: () => void) => () => void
  /** What is believed about sessions is asked again: something about a person or a device has changed. */
  doubt: () => void
  close: () => void
  /** A sign-in by its name, over or not. */
  shift: (id: string) => Promise<WorkedShift | null>
}

interface SessionRow {
  id: string
  name: string
  initials: string
  role: Role
  competences: string
  units: Units | null
  device_id: string
  device_name: string | null
  enrolled_by: string | null
  shift: string
  work_key: string
}

async function lookUp(db: Database, token: string, at: string): Promise<SignedIn | null> {
  const [row] = await rowsOf<SessionRow>(
    db,
    sql`select staff.id, staff.name, staff.initials, staff.role, staff.competences, staff.units, device.id as device_id,
          device.name as device_name, device.enrolled_by, session.shift, session.work_key
        from session join staff on staff.id = session.staff_id join device on device.id = session.device_id
        where session.token_hash = ${hashed(token)} and session.ended_at is null
          and session.expires_at > ${at} and staff.active`,
  )
  if (!row) return null
  const { id, name, initials, role, units } = row
  return {
    person: { id, name, initials, role, competences: JSON.parse(row.competences) as string[], units },
    device: { id: row.device_id, name: row.device_name, enrolled: row.enrolled_by !== null },
    token,
    shift: { id: row.shift, key: row.work_key },
  }
}

/** How often sign-ins that others may have ended are looked at. */
const CHECK_MS = 500

/** Of these shifts, those that are over: signed out, run out, or of somebody who may not come in any more. */
async function endedOf(db: Database, shifts: readonly string[], at: string): Promise<Set<string>> {
  if (shifts.length === 0) return new Set()
  const rows = await rowsOf<{ shift: string }>(
    db,
    sql`select session.shift from session join staff on staff.id = session.staff_id
        where session.shift in ${shifts} and session.ended_at is null and session.expires_at > ${at} and staff.active`,
  )
  const going = new Set(rows.map(({ shift }) => shift))
  return new Set(shifts.filter((shift) => !going.has(shift)))
}

/** Who listens for the end of which shift. */
function createEndings() {
  const listeners = new Map<string, Set<() => void>>()
  return {
    shifts: () => [...listeners.keys()],
    listen(shift: string, ended: () => void): () => void {
      const those = listeners.get(shift) ?? new Set()
      listeners.set(shift, those.add(ended))
      return () => {
        those.delete(ended)
        if (those.size === 0) listeners.delete(shift)
      }
    },
    end(shift: string): void {
      for (const ended of listeners.get(shift) ?? []) ended()
    },
  }
}

export function createSessions(db: Database, now: () => Date = () => new Date()): Sessions {
  const believed = new LRUCache<string, { until: number; signedIn: SignedIn }>({ max: BELIEVED_MOST })
  const at = (hoursAhead = 0) => sqlMoment(now(), hoursAhead * 3_600_000)

  const endings = createEndings()

  async function check(): Promise<void> {
    const open = new Set([
      ...endings.shifts(),
      ...[...believed.values()].map(({ signedIn }) => signedIn.shift.id),
    ])
    const ended = await endedOf(db, [...open], at())
    for (const [token, { signedIn }] of believed.entries())
      if (ended.has(signedIn.shift.id)) believed.delete(token)
    for (const shift of ended) endings.end(shift)
  }

  let checking: Promise<void> | null = null
  const timer = setInterval(() => {
    // A database that is away ends nobody's shift, and is not asked twice at once.
    checking ??= check()
      .catch(() => undefined)
      .finally(() => (checking = null))
  }, CHECK_MS)
  timer.unref()

  return {
    onEnd: ({ shift }, ended) => endings.listen(shift.id, ended),
    close: () => clearInterval(timer),
    async find(token) {
      const known = believed.get(token)
      if (known && known.until > now().getTime()) return known.signedIn
      const signedIn = await lookUp(db, token, at())
      if (signedIn) believed.set(token, { until: now().getTime() + BELIEVED_MS, signedIn })
      else believed.delete(token)
      return signedIn
    },
    doubt: () => believed.clear(),
    async open(personId, deviceId) {
      const token = newToken()
      const shift = { id: uuidv7(), key: newToken() }
      await db.execute(
        sql`insert into session (token_hash, staff_id, device_id, shift, work_key, created_at, expires_at)
            values (${hashed(token)}, ${personId}, ${deviceId}, ${shift.id}, ${shift.key}, ${at()}, ${at(SESSION_HOURS)})`,
      )
      return { token, shift }
    },
    async end(token) {
      const known = believed.get(token)
      believed.delete(token)
      await db.execute(
        sql`update session set ended_at = ${at()} where token_hash = ${hashed(token)} and ended_at is null`,
      )
      if (known) endings.end(known.signedIn.shift.id)
    },
    async shift(id) {
      const [row] = await rowsOf<{ staff_id: string; work_key: string; created_at: string; until: string }>(
        db,
        sql`select staff_id, work_key, created_at, least(expires_at, coalesce(ended_at, expires_at)) as until
            from session where shift = ${id}`,
      )
      if (!row) return null
      const ms = (instant: string) => Date.parse(isoInstant(instant))
      return {
        personId: row.staff_id,
        fromMs: ms(row.created_at),
        untilMs: ms(row.until),
        key: row.work_key,
      }
    },
  }
}
