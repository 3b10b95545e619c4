import { sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import type { Database } from '../database/connect.ts'
import { sqlInstant } from '../database/columns.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { hashed, newToken } from './token.ts'

export interface Device {
  id: string
  name: string | null
  enrolled: boolean
}

export interface Devices {
  find: (token: string) => Promise<Device | null>
  begin: () => Promise<{ id: string; token: string }>
  enrol: (deviceId: string, name: string, by: string) => Promise<void>
}

/** The browsers people sign in on. */
export function createDevices(db: Database, now: () => Date): Devices {
  return {
    async find(token) {
      const [row] = await rowsOf<{ id: string; name: string | null; enrolled_by: string | null }>(
        db,
        sql`select id, name, enrolled_by from device where token_hash = ${hashed(token)}`,
      )
      return row ? { id: row.id, name: row.name, enrolled: row.enrolled_by !== null } : null
    },
    async begin() {
      const token = newToken()
      const id = uuidv7()
      const at = sqlInstant(now().toISOString())
      await db.execute(
        sql`insert into device (id, token_hash, created_at) values (${id}, ${hashed(token)}, ${at})`,
      )
      return { id, token }
    },
    async enrol(deviceId, name, by) {
      await db.execute(sql`update device set name = ${name}, enrolled_by = ${by} where id = ${deviceId}`)
    },
  }
}
