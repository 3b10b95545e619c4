import { char, int, mysqlTable } from 'drizzle-orm/mysql-core'
import { instant, uuid } from '../database/columns.ts'

/** Pictures by the name they were given where they were taken; the files lie beside the database by what is in
 * them. Append-only. */
export const photo = mysqlTable('photo', {
  id: uuid('id').primaryKey(),
  hash: char('hash', { length: 64 }).notNull(),
  width: int('width').notNull(),
  height: int('height').notNull(),
  by: uuid('author_id').notNull(),
  at: instant('at').notNull(),
})
