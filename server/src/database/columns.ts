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

/** A moment, or so many milliseconds after it. */
export function sqlMoment(moment: Date, laterMs = 0): string {
  return sqlInstant(new Date(moment.getTime() + laterMs).toISOString())
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

const jsonAs =
  (dataType: 'json' | 'longtext') =>
  <T extends object>() =>
    customType<{ data: T; driverData: string }>({
      dataType: () => dataType,
      toDriver: (value) => JSON.stringify(value),
      fromDriver: (text) => JSON.parse(text) as T,
    })

/** JSON in MariaDB is text with a check. Only objects and arrays go in: a bare string would come
 * back unquoted through some clients. */
export const document = jsonAs('json')

/** A document that only ever comes out of our own fold and can be made again: the check of it, twice
 * with every entry, would cost as much as writing it. */
export const derived = jsonAs('longtext')
