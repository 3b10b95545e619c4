import { bigint, index, int, mysqlTable, varchar } from 'drizzle-orm/mysql-core'
import { instant, uuid } from '../database/columns.ts'

/** A list that was brought in. Its facts stand in one stream, one after the other: nobody else wrote there meanwhile. */
export const broughtList = mysqlTable(
  'brought_list',
  {
    id: uuid('id').primaryKey(),
    file: varchar('file', { length: 200 }).notNull(),
    at: instant('at').notNull(),
    by: uuid('author_id').notNull(),
    stream: int('stream', { unsigned: true }).notNull(),
    /** The places of its first fact and its last. */
    first: bigint('first_seq', { mode: 'number', unsigned: true }).notNull(),
    last: bigint('last_seq', { mode: 'number', unsigned: true }).notNull(),
    facts: int('facts', { unsigned: true }).notNull(),
    takenBackAt: instant('taken_back_at'),
    takenBackBy: uuid('taken_back_by'),
  },
  (table) => [index('brought_list_at').on(table.at)],
)
