import type { DeviceLine } from '@kobrin/contract'
import { sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import type { Database } from '../database/connect.ts'
import { isoInstant, sqlMoment } from '../database/columns.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { hashed, newToken } from './token.ts'

export interface Device {
  id: string
  name: string | null
  enrolled: boolean
}

export interface Devices {
  find: (token: string) => Promise<Device | null>
  begin: () => Promise<{ device: Device; token: string }>
  enrol: (deviceId: string, name: string, by: string) => Promise<void>
  /** Those that people have signed in on and that were not revoked. */
  list: () => Promise<DeviceLine[]>
  /** Nobody can switch by PIN there any more, and anyone who is signed in there has to sign in again.
   * False when there is no such device. */
  revoke: (deviceId: string) => Promise<boolean>
}

/** The browsers people sign in on. */
export function createDevices(db: Database, now: () => Date): Devices {
  const at = () => sqlMoment(now())
  return {
    async find(token) {
      const [row] = await rowsOf<{ id: string; name: string | null; enrolled_by: string | null }>(
        db,
        sql`select id, name, enrolled_by from device where token_hash = ${hashed(token)} and revoked_at is null`,
      )
      return row ? { id: row.id, name: row.name, enrolled: row.enrolled_by !== null } : null
    },
    async begin() {
      const token = newToken()
      const id = uuidv7()
      await db.execute(
        sql`insert into device (id, token_hash, created_at) values (${id}, ${hashed(token)}, ${at()})`,
      )
      return { device: { id, name: null, enrolled: false }, token }
    },
    async enrol(deviceId, name, by) {
      await db.execute(sql`update device set name = ${name}, enrolled_by = ${by} where id = ${deviceId}`)
    },
    async list() {
      const rows = await rowsOf<{ id: string; name: string | null; enrolled: number; last: string | null }>(
        db,
        sql`select device.id, device.name, device.enrolled_by is not null as enrolled,
              max(session.created_at) as last
            from device left join session on session.device_id = device.id
            where device.revoked_at is null
            group by device.id order by last desc`,
      )
      return rows.map(({ id, name, enrolled, last }) => ({
        id,
        name,
        enrolled: enrolled === 1,
        lastSignIn: last && isoInstant(last),
      }))
    },
    async revoke(deviceId) {
      return db.transaction(async (tx) => {
        const [revoked] = await tx.execute(
          sql`update device set revoked_at = ${at()} where id = ${deviceId} and revoked_at is null`,
        )
        if (revoked.affectedRows === 0) return false
        await tx.execute(
          sql`update session set ended_at = ${at()} where device_id = ${deviceId} and ended_at is null`,
        )
        return true
      })
    },
  }
}
