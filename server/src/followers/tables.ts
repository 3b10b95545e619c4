import { mysqlTable, varchar } from 'drizzle-orm/mysql-core'

/** How far each follower has read the feed: written in the transaction that writes its output. */
export const follower = mysqlTable('follower', {
  name: varchar('name', { length: 40 }).primaryKey(),
  /** "1:204,2:17" */
  upTo: varchar('up_to', { length: 600 }).notNull(),
})
