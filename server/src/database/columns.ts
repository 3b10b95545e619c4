import type { Day } from '@kobrin/core'
import { dayFromIso, isoDay } from '@kobrin/core'
import { customType } from 'drizzle-orm/mysql-core'

/** MariaDB's own UUID type; bound and read as text. */
export const uuid = customType<{ data: string; driverData: string }>({ dataType: () => 'uuid' })

/** A UTC instant with milliseconds, ISO 8601 on our side. */
export const instant = customType<{ data: string; driverData: string }>({
  dataType: () => 'datetime(3)',
  toDriver: sqlInstant,
  fromDriver: isoInstant,
})

export function sqlInstant(iso: string): string {
  return iso.replace('T', ' ').replace('Z', '')
}

export function isoInstant(sql: string): string {
  return `${sql.replace(' ', 'T')}Z`
}

/** A civil day. */
export const civilDay = customType<{ data: Day; driverData: string }>({
  dataType: () => 'date',
  toDriver: isoDay,
  fromDriver: dayFromIso,
})

/** JSON in MariaDB is text with a check. Only objects and arrays go in: a bare string would come
 * back unquoted through some clients. */
export const document = <T extends object>() =>
  customType<{ data: T; driverData: string }>({
    dataType: () => 'json',
    toDriver: (value) => JSON.stringify(value),
    fromDriver: (text) => JSON.parse(text) as T,
  })
