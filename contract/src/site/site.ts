import { Barrier, Build, Plan, SheetGroup } from '@kobrin/core'
import { z } from 'zod'
import { Person } from '../people/session.ts'

export const Room = z.strictObject({
  id: z.uuid(),
  name: z.string(),
  order: z.int(),
  barrier: Barrier,
  /** Its air through the year, coolest and warmest, °C. */
  celsius: z.tuple([z.number(), z.number()]).nullable(),
})
export type Room = z.infer<typeof Room>

export const Bay = z.strictObject({
  id: z.uuid(),
  roomId: z.uuid(),
  name: z.string(),
  order: z.int(),
  /** Set when the bay is stricter than its room. */
  barrier: Barrier.nullable(),
})
export type Bay = z.infer<typeof Bay>

/** A box standing in a bay: `row` counts shelves from the top, `column` from the left. */
export const Enclosure = z.strictObject({
  id: z.uuid(),
  bayId: z.uuid(),
  row: z.int(),
  column: z.int(),
  widthMm: z.int().positive(),
  depthMm: z.int().positive(),
  heightMm: z.int().positive(),
  build: Build,
})
export type Enclosure = z.infer<typeof Enclosure>

export const Resident = z.strictObject({
  id: z.uuid(),
  accession: z.string(),
  name: z.string(),
  sheet: z.string(),
  lives: z.enum(['individual', 'colony']),
  /** Animals in a colony, as last estimated. */
  count: z.int().positive().nullable(),
  sex: z.enum(['male', 'female', 'unknown']),
  hatchedOn: z.int().nullable(),
  /** Set when the resident is stricter than its place, a sick animal for one. */
  barrier: Barrier.nullable(),
  stage: z.string(),
  /** Key of its plan in `plans`. */
  plan: z.string(),
})
export type Resident = z.infer<typeof Resident>

export const Species = z.strictObject({
  id: z.string(),
  common: z.string(),
  latin: z.string(),
  group: SheetGroup,
  /** Names of its stages by their ids. */
  stages: z.record(z.string(), z.string()),
  /** Its schools by their ids: what is asked, and the names of the options. */
  schools: z.record(
    z.string(),
    z.strictObject({ question: z.string(), options: z.record(z.string(), z.string()) }),
  ),
})
export type Species = z.infer<typeof Species>

/** The reference data of a site: the building, who lives in it, who works there, the plans in force. */
export const Site = z.strictObject({
  name: z.string(),
  zone: z.string(),
  /** The server's clock, milliseconds since 1970 UTC: tablets drift. */
  now: z.number(),
  rooms: z.array(Room),
  bays: z.array(Bay),
  enclosures: z.array(Enclosure),
  residents: z.array(Resident),
  species: z.array(Species),
  plans: z.record(z.string(), Plan),
  people: z.array(Person),
})
export type Site = z.infer<typeof Site>
