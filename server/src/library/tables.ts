import type { Sheet } from '@kobrin/core'
import { int, mediumtext, mysqlTable, primaryKey, varchar } from 'drizzle-orm/mysql-core'
import { document, instant, uuid } from '../database/columns.ts'

/** Every version of every sheet, as it was written. Append-only; the highest is in force. */
export const sheetVersion = mysqlTable(
  'sheet_version',
  {
    sheetId: varchar('sheet_id', { length: 60 }).notNull(),
    version: int('version').notNull(),
    yaml: mediumtext('yaml').notNull(),
    /** Null: it came with the shipped library. */
    authorId: uuid('author_id'),
    madeAt: instant('made_at').notNull(),
    why: varchar('why', { length: 400 }).notNull(),
  },
  (table) => [primaryKey({ columns: [table.sheetId, table.version] })],
)

/** The library as it was last shipped, to hold the site's sheets against. */
export const sheetShipped = mysqlTable('sheet_shipped', {
  sheetId: varchar('sheet_id', { length: 60 }).primaryKey(),
  doc: document<Sheet>()('doc').notNull(),
})
