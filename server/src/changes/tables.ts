import type { ChangeWhat } from '@kobrin/contract'
import { bigint, index, int, mysqlTable, primaryKey, varchar } from 'drizzle-orm/mysql-core'
import { civilDay, document, instant, uuid } from '../database/columns.ts'

/** What changed sheets, plans, places or people: rows of the feed with a place like entries have.
 * Append-only. */
export const change = mysqlTable(
  'change',
  {
    stream: int('stream', { unsigned: true }).notNull(),
    seq: bigint('seq', { mode: 'number', unsigned: true }).notNull(),
    at: instant('at').notNull(),
    day: civilDay('day').notNull(),
    by: uuid('author_id'),
    what: document<ChangeWhat>()('what').notNull(),
    reason: varchar('reason', { length: 400 }).notNull(),
  },
  (table) => [primaryKey({ columns: [table.stream, table.seq] }), index('change_day').on(table.day)],
)
