import type { PastBay, Units } from '@kobrin/contract'
import type { Barrier, Build, Hemisphere, Override, Sheet } from '@kobrin/core'
import { sql } from 'drizzle-orm'
import {
  boolean,
  decimal,
  int,
  mysqlTable,
  primaryKey,
  smallint,
  tinyint,
  varchar,
} from 'drizzle-orm/mysql-core'
import { document, instant, uuid } from '../database/columns.ts'

export type Schools = Record<string, string>

export const site = mysqlTable('site', {
  id: tinyint('id').primaryKey(),
  name: varchar('name', { length: 120 }).notNull(),
  zone: varchar('zone', { length: 60 }).notNull(),
  units: varchar('units', { length: 6 }).$type<Units>().notNull().default('metric'),
  hemisphere: varchar('hemisphere', { length: 5 }).$type<Hemisphere>().notNull().default('north'),
  /** Chosen schools by sheet, then by question. */
  schools: document<Record<string, Schools>>()('schools').notNull(),
})

export const room = mysqlTable('room', {
  id: uuid('id').primaryKey(),
  name: varchar('name', { length: 80 }).notNull(),
  walkOrder: smallint('walk_order').notNull(),
  barrier: tinyint('barrier').$type<Barrier>().notNull(),
  coolest: decimal('coolest', { precision: 4, scale: 1, mode: 'number' }),
  warmest: decimal('warmest', { precision: 4, scale: 1, mode: 'number' }),
})

export const bay = mysqlTable('bay', {
  id: uuid('id').primaryKey(),
  roomId: uuid('room_id').notNull(),
  name: varchar('name', { length: 80 }).notNull(),
  walkOrder: smallint('walk_order').notNull(),
  barrier: tinyint('barrier').$type<Barrier>(),
  widthMm: int('width_mm'),
  version: int('version').notNull().default(1),
})

/** How a bay stood before it was refurnished. Append-only. */
export const bayPast = mysqlTable(
  'bay_past',
  {
    bayId: uuid('bay_id').notNull(),
    version: int('version').notNull(),
    until: instant('until').notNull(),
    /** Who refurnished it. */
    by: uuid('author_id'),
    layout: document<PastBay['layout']>()('layout').notNull(),
  },
  (table) => [primaryKey({ columns: [table.bayId, table.version] })],
)

export const enclosure = mysqlTable('enclosure', {
  id: uuid('id').primaryKey(),
  bayId: uuid('bay_id').notNull(),
  shelf: smallint('shelf').notNull(),
  slot: smallint('slot').notNull(),
  widthMm: int('width_mm').notNull(),
  depthMm: int('depth_mm').notNull(),
  heightMm: int('height_mm').notNull(),
  build: document<Build>()('build')
    .notNull()
    .default(sql`('{}')`),
  retired: boolean('retired').notNull().default(false),
})

/** Who lives here: a projection of the entries, written by the transaction that appends them. The number is
 * given out there. */
export const resident = mysqlTable('resident', {
  id: uuid('id').primaryKey(),
  accession: varchar('accession', { length: 20 }).notNull().unique(),
  name: varchar('name', { length: 80 }).notNull(),
  sheetId: varchar('sheet_id', { length: 60 }).notNull(),
  stage: varchar('stage', { length: 40 }).notNull(),
  schools: document<Schools>()('schools').notNull(),
})

/** One row: the last accession number given out, and how they are written: what stands before the digits, where
 * "{year}" is the year it is given out in, and how many digits there are at least. */
export const numbering = mysqlTable('numbering', {
  id: tinyint('id').primaryKey(),
  last: int('last').notNull(),
  prefix: varchar('prefix', { length: 12 }).notNull().default(''),
  digits: tinyint('digits').notNull().default(4),
})

export const sheet = mysqlTable('sheet', {
  id: varchar('id', { length: 60 }).primaryKey(),
  doc: document<Sheet>()('doc').notNull(),
})

/** A signed change to the plan of everyone on a sheet (`target` is the sheet's id)
 * or of one resident (its id). */
export const planOverride = mysqlTable(
  'plan_override',
  {
    target: varchar('target', { length: 60 }).notNull(),
    number: smallint('number').notNull(),
    change: document<Override>()('change').notNull(),
  },
  (table) => [primaryKey({ columns: [table.target, table.number] })],
)
