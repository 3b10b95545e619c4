import type { AmountUnit, Entry, EntryKind, FamilyName } from '@kobrin/core'
import { FOLD_REVISION } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import {
  bigint,
  double,
  index,
  int,
  mysqlTable,
  primaryKey,
  tinyint,
  uniqueIndex,
  varchar,
} from 'drizzle-orm/mysql-core'
import { civilDay, derived, document, instant, uuid } from '../database/columns.ts'

const place = {
  /** The server's stream it was kept in, and its place there. */
  stream: int('stream', { unsigned: true }).notNull(),
  seq: bigint('seq', { mode: 'number', unsigned: true }).notNull(),
}

/** A sum over all that an entry says, as SQL. It finds what a disk, a hand or a program changed; it is no
 * proof against somebody who changes the sum as well. */
export const SEAL = sql.raw(
  `crc32(concat_ws('|', subject, occurred_at, uid, stream, seq, family, kind, day, recorded_at, author_id, act, payload, written_at))`,
)

/** The facts. Append-only; clustered so that one subject's history is one range of pages. */
export const entry = mysqlTable(
  'entry',
  {
    subject: uuid('subject').notNull(),
    occurredAt: instant('occurred_at').notNull(),
    uid: uuid('uid').notNull(),
    ...place,
    family: varchar('family', { length: 12 }).$type<FamilyName>().notNull(),
    kind: varchar('kind', { length: 20 }).$type<EntryKind>().notNull(),
    day: civilDay('day').notNull(),
    recordedAt: instant('recorded_at').notNull(),
    /** When it was written down, where that was later than it happened. */
    writtenAt: instant('written_at'),
    authorId: uuid('author_id').notNull(),
    act: uuid('act'),
    payload: document<Entry['payload']>()('payload').notNull(),
    /** Made by the database when the entry is kept, and never again. */
    seal: int('seal', { unsigned: true }).notNull().default(SEAL),
  },
  (table) => [
    primaryKey({ columns: [table.subject, table.occurredAt, table.uid] }),
    uniqueIndex('entry_place').on(table.stream, table.seq),
    uniqueIndex('entry_uid').on(table.uid),
    index('entry_day').on(table.day),
    index('entry_act').on(table.act),
  ],
)

/** What has a history of its own, and what its entries add up to: written by the transaction that
 * appends, and by it alone. */
export const subject = mysqlTable(
  'subject',
  {
    id: uuid('id').primaryKey(),
    family: varchar('family', { length: 12 }).$type<FamilyName>().notNull(),
    /** How often the fold was written: what is written over it is written only if it still is so. */
    version: int('version', { unsigned: true }).notNull(),
    /** The last place of each stream that is folded in, "1:204,2:17". */
    upTo: varchar('up_to', { length: 600 }).notNull(),
    state: derived<object>()('state').notNull(),
    /** When it was last written about, of one that nothing more may come of; null while it is open. */
    closedAt: instant('closed_at'),
    /** The revision of the code that folded it. */
    revision: int('revision', { unsigned: true })
      .notNull()
      .default(1)
      .$defaultFn(() => FOLD_REVISION),
  },
  (table) => [index('subject_revision').on(table.revision), index('subject_closed').on(table.closedAt)],
)

/** Which other subjects the facts that count are about: derived, written with them. */
export const touch = mysqlTable(
  'touch',
  {
    /** The one that is touched. */
    subject: uuid('subject').notNull(),
    day: civilDay('day').notNull(),
    uid: uuid('uid').notNull(),
    how: varchar('how', { length: 20 }).notNull(),
    /** The one the entry is about. */
    other: uuid('other').notNull(),
    /** Which of the touches of its entry it is. */
    nth: tinyint('nth', { unsigned: true }).notNull().default(0),
    amount: double('amount'),
    unit: varchar('unit', { length: 10 }).$type<AmountUnit>(),
  },
  (table) => [
    primaryKey({ columns: [table.subject, table.day, table.uid, table.how, table.nth] }),
    index('touch_uid').on(table.uid),
    // Read from the other side: what somebody ever touched.
    index('touch_other').on(table.other, table.day),
  ],
)
