import type { PlanBook, Site, Units } from '@kobrin/contract'
import type { Hemisphere } from '@kobrin/core'
import { emptyBuild } from '@kobrin/core'
import { asc, sql } from 'drizzle-orm'
import type { Database, Transaction } from '../database/connect.ts'
import { rowsOf } from '../database/rowsOf.ts'
import { everyone } from '../people/queries.ts'
import * as tables from './tables.ts'

export interface SiteSettings {
  name: string
  zone: string
  units: Units
  hemisphere: Hemisphere
}

export async function siteSettings(db: Database | Transaction): Promise<SiteSettings | null> {
  const [row] = await db
    .select({
      name: tables.site.name,
      zone: tables.site.zone,
      units: tables.site.units,
      hemisphere: tables.site.hemisphere,
    })
    .from(tables.site)
  return row ?? null
}

/** Changes whenever a number was given out or a registration taken back. */
export async function registerMark(db: Database): Promise<string> {
  const [row] = await rowsOf<{ mark: string }>(
    db,
    sql`select concat((select last from numbering where id = 1), '/', (select count(*) from resident)) as mark`,
  )
  return row?.mark ?? ''
}

/** The building, the people and the numbers of the residents. Null when nothing has been set up yet. */
export async function readSite(db: Database | Transaction): Promise<Site | null> {
  const settings = await siteSettings(db)
  if (!settings) return null
  const rooms = await db.select().from(tables.room).orderBy(asc(tables.room.walkOrder))
  const bays = await db.select().from(tables.bay).orderBy(asc(tables.bay.walkOrder))
  const enclosures = await db.select().from(tables.enclosure)
  const numbers = await db
    .select({ id: tables.resident.id, accession: tables.resident.accession })
    .from(tables.resident)
  return {
    ...settings,
    rooms: rooms.map(({ walkOrder, coolest, warmest, ...room }) => ({
      ...room,
      celsius: coolest === null || warmest === null ? null : [coolest, warmest],
      order: walkOrder,
    })),
    bays: bays.map(({ walkOrder, ...bay }) => ({ ...bay, order: walkOrder })),
    enclosures: enclosures.map(({ shelf: row, slot, build, ...enclosure }) => ({
      ...enclosure,
      row,
      column: slot,
      build: { ...emptyBuild(), ...build },
    })),
    people: await everyone(db),
    numbers: Object.fromEntries(numbers.map(({ id, accession }) => [id, accession])),
  }
}

/** What plans are made of. Null when nothing has been set up yet. */
export async function readPlanBook(db: Database | Transaction): Promise<PlanBook | null> {
  const [settings] = await db.select({ schools: tables.site.schools }).from(tables.site)
  if (!settings) return null
  const sheets = await db.select().from(tables.sheet).orderBy(asc(tables.sheet.id))
  const overrides = await db
    .select()
    .from(tables.planOverride)
    .orderBy(asc(tables.planOverride.target), asc(tables.planOverride.number))
  return { sheets: sheets.map(({ doc }) => doc), schools: settings.schools, overrides }
}
