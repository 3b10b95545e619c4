import { Barrier, Build, Hemisphere, Override, Sheet } from '@kobrin/core'
import * as z from 'zod/mini'
import { Person, Units } from '../people/session.ts'

export const Room = z.strictObject({
  id: z.uuid(),
  name: z.string(),
  order: z.int(),
  barrier: Barrier,
  /** Its air through the year, coolest and warmest, °C. */
  celsius: z.nullable(z.tuple([z.number(), z.number()])),
})
export type Room = z.infer<typeof Room>

export const Bay = z.strictObject({
  id: z.uuid(),
  roomId: z.uuid(),
  name: z.string(),
  order: z.int(),
  /** Set when the bay has a level of its own. */
  barrier: z.nullable(Barrier),
  /** Inside width of its shelves, mm, where it was measured. */
  widthMm: z.nullable(z.int()),
  /** Counts up whenever it is refurnished. */
  version: z.int(),
})
export type Bay = z.infer<typeof Bay>

/** A box standing in a bay: `row` counts shelves from the top, `column` from the left. */
export const Enclosure = z.strictObject({
  id: z.uuid(),
  bayId: z.uuid(),
  row: z.int(),
  column: z.int(),
  widthMm: z.int().check(z.positive()),
  depthMm: z.int().check(z.positive()),
  heightMm: z.int().check(z.positive()),
  build: Build,
  /** It was taken away, and held somebody before. */
  retired: z.boolean(),
})
export type Enclosure = z.infer<typeof Enclosure>

/** The building, who works there, and the numbers of those who live there. */
export const Site = z.strictObject({
  name: z.string(),
  zone: z.string(),
  /** Of people who have not chosen their own. */
  units: z.optional(Units),
  /** Tells the seasons. */
  hemisphere: z.optional(Hemisphere),
  rooms: z.array(Room),
  bays: z.array(Bay),
  enclosures: z.array(Enclosure),
  people: z.array(Person),
  /** Accession numbers by resident. */
  numbers: z.record(z.string(), z.string()),
})
export type Site = z.infer<typeof Site>

/** What plans are made of besides the residents themselves; `planOf` in core makes them. */
export const PlanBook = z.strictObject({
  sheets: z.array(Sheet),
  /** Chosen by the site, option by question, by sheet. */
  schools: z.record(z.string(), z.record(z.string(), z.string())),
  /** Signed for everyone on a sheet or for one resident; the number tells them apart. */
  overrides: z.array(z.strictObject({ target: z.string(), number: z.int(), change: Override })),
})
export type PlanBook = z.infer<typeof PlanBook>
