import type { Entry, EntryKind, ResidentState } from '@kobrin/core'
import { bigint, index, mysqlTable, primaryKey, tinyint, uniqueIndex, varchar } from 'drizzle-orm/mysql-core'
import { civilDay, derived, document, instant, uuid } from '../database/columns.ts'

/** The facts. Append-only; clustered so that one resident's history is one range of pages. */
export const entry = mysqlTable(
  'entry',
  {
    residentId: uuid('resident_id').notNull(),
    occurredAt: instant('occurred_at').notNull(),
    seq: bigint('seq', { mode: 'number', unsigned: true }).notNull(),
    uid: uuid('uid').notNull(),
    kind: varchar('kind', { length: 20 }).$type<EntryKind>().notNull(),
    day: civilDay('day').notNull(),
    recordedAt: instant('recorded_at').notNull(),
    authorId: uuid('author_id').notNull(),
    payload: document<Entry['payload']>()('payload').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.residentId, table.occurredAt, table.seq] }),
    uniqueIndex('entry_seq').on(table.seq),
    uniqueIndex('entry_uid').on(table.uid),
    index('entry_day').on(table.day),
  ],
)

/** What a resident's entries add up to, written by the transaction that appends. */
export const residentState = mysqlTable('resident_state', {
  residentId: uuid('resident_id').primaryKey(),
  lastSeq: bigint('last_seq', { mode: 'number', unsigned: true }).notNull(),
  state: derived<ResidentState>()('state').notNull(),
})

/** One row: the last place given out in the feed. Taking its lock puts commits in feed order. */
export const feedCounter = mysqlTable('feed_counter', {
  id: tinyint('id').primaryKey(),
  seq: bigint('seq', { mode: 'number', unsigned: true }).notNull(),
})
