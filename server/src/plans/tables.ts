import type { PlanChange } from '@kobrin/contract'
import { bigint, index, mysqlTable, varchar } from 'drizzle-orm/mysql-core'
import { civilDay, instant, uuid } from '../database/columns.ts'

/** What changed plans, in order. Append-only. */
export const planChange = mysqlTable(
  'plan_change',
  {
    seq: bigint('seq', { mode: 'number', unsigned: true }).autoincrement().primaryKey(),
    at: instant('at').notNull(),
    day: civilDay('day').notNull(),
    by: uuid('author_id'),
    kind: varchar('kind', { length: 20 }).$type<PlanChange['kind']>().notNull(),
    sheet: varchar('sheet_id', { length: 60 }),
    resident: uuid('resident_id'),
    what: varchar('what', { length: 600 }).notNull(),
    reason: varchar('reason', { length: 400 }).notNull(),
  },
  (table) => [index('plan_change_day').on(table.day)],
)
