import type { Units } from '@kobrin/contract'
import type { Role } from '@kobrin/core'
import { ROLES } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import { bigint, boolean, char, index, mysqlEnum, mysqlTable, varchar } from 'drizzle-orm/mysql-core'
import { document, instant, uuid } from '../database/columns.ts'

export const staff = mysqlTable('staff', {
  id: uuid('id').primaryKey(),
  /** Small letters, digits, points and hyphens: another spelling is another name. */
  login: varchar('login', { length: 60 }).notNull().unique(),
  name: varchar('name', { length: 120 }).notNull(),
  initials: varchar('initials', { length: 4 }).notNull(),
  role: mysqlEnum('role', ROLES as readonly [Role, ...Role[]]).notNull(),
  /** None before they came in with the code that was given to them. */
  passphraseHash: varchar('passphrase_hash', { length: 200 }),
  pinHash: varchar('pin_hash', { length: 200 }),
  active: boolean('active').notNull().default(true),
  units: varchar('units', { length: 6 }).$type<Units>(),
  competences: document<string[]>()('competences')
    .notNull()
    .default(sql`('[]')`),
})

/** A code that was given to somebody: good once, until then, and only the last one. */
export const invitation = mysqlTable('invitation', {
  staffId: uuid('staff_id').primaryKey(),
  codeHash: char('code_hash', { length: 64 }).notNull(),
  givenBy: uuid('given_by').notNull(),
  until: instant('until').notNull(),
})

/** A browser that somebody signed in on. Enrolled ones may switch person by PIN. */
export const device = mysqlTable('device', {
  id: uuid('id').primaryKey(),
  tokenHash: char('token_hash', { length: 64 }).notNull().unique(),
  name: varchar('name', { length: 60 }),
  enrolledBy: uuid('enrolled_by'),
  createdAt: instant('created_at').notNull(),
  revokedAt: instant('revoked_at'),
})

/** A try to come in, right or wrong: how often somebody may guess is counted on these. */
export const guess = mysqlTable(
  'guess',
  {
    id: bigint('id', { mode: 'number', unsigned: true }).autoincrement().primaryKey(),
    at: instant('at').notNull(),
    guessedBy: mysqlEnum('guessed_by', ['passphrase', 'pin']).notNull(),
    staffId: uuid('staff_id'),
    deviceId: uuid('device_id'),
    /** On a device that this person has signed in on before. */
    ownDevice: boolean('own_device').notNull(),
    address: varchar('address', { length: 45 }).notNull(),
    wasRight: boolean('was_right').notNull(),
  },
  (table) => [
    index('guess_staff').on(table.staffId, table.at),
    index('guess_device').on(table.deviceId, table.at),
    index('guess_address').on(table.address, table.at),
    index('guess_at').on(table.at),
  ],
)

export const session = mysqlTable(
  'session',
  {
    tokenHash: char('token_hash', { length: 64 }).primaryKey(),
    staffId: uuid('staff_id').notNull(),
    deviceId: uuid('device_id').notNull(),
    /** Names it to those who may know of it; and the key that stamps what is made during it. */
    shift: uuid('shift').notNull().unique(),
    workKey: char('work_key', { length: 43 }).notNull(),
    createdAt: instant('created_at').notNull(),
    expiresAt: instant('expires_at').notNull(),
    endedAt: instant('ended_at'),
  },
  (table) => [index('session_device').on(table.deviceId, table.staffId)],
)
