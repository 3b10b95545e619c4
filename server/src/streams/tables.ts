import { bigint, int, mysqlTable } from 'drizzle-orm/mysql-core'
import { instant, uuid } from '../database/columns.ts'

/** One stream of entries for each server at work. Only the holder appends to it, so that no row is written
 * by every server; within a stream commits are in the order of the places. */
export const stream = mysqlTable('stream', {
  id: int('id', { unsigned: true }).autoincrement().primaryKey(),
  holder: uuid('holder').notNull(),
  /** Without a word from its holder until then it is anybody's. */
  heldUntil: instant('held_until').notNull(),
  /** The last place given out. */
  seq: bigint('seq', { mode: 'number', unsigned: true }).notNull(),
})
