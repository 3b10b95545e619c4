import { Bay, Change, Enclosure, PastBay, Room, Units } from '@kobrin/contract'
import { Entry, Hemisphere, Override, ROLES, Sheet } from '@kobrin/core'
import { z } from 'zod'
import type { PhotoSize } from '../photos/store.ts'

/** Counts up when what was written before cannot be read as it is any more. */
const FORMAT = 1

/** The one object that says whose record it is. */
export const TakenHouse = z.strictObject({
  format: z.literal(FORMAT),
  /** Which Kobrin wrote it, and when. */
  kobrin: z.string(),
  at: z.iso.datetime(),
  name: z.string(),
  zone: z.string(),
  units: Units,
  /** Before it was known there was only the northern. */
  hemisphere: z.optional(Hemisphere),
  schools: z.record(z.string(), z.record(z.string(), z.string())),
  numbering: z.strictObject({ last: z.int(), prefix: z.string(), digits: z.int() }),
})
export type TakenHouse = z.infer<typeof TakenHouse>

/** A member of staff, without what would let anybody in under that name. */
const TakenPerson = z.strictObject({
  id: z.uuid(),
  login: z.string(),
  name: z.string(),
  initials: z.string(),
  role: z.enum(ROLES),
  competences: z.array(z.string()),
  active: z.boolean(),
  units: z.nullable(Units),
})

const TakenSheetVersion = z.strictObject({
  sheet: z.string(),
  version: z.int(),
  yaml: z.string(),
  by: z.uuid().nullable(),
  at: z.iso.datetime(),
  why: z.string(),
})

/** An entry with its place in the feed. */
const TakenEntry = z.strictObject({
  stream: z.int().positive(),
  seq: z.int().positive(),
  recordedAt: z.iso.datetime(),
  entry: Entry,
})
export type TakenEntry = z.infer<typeof TakenEntry>

/** What each file of lines holds, one JSON value to a line, in the order in which they are read back. */
export const LINES = {
  people: TakenPerson,
  rooms: Room,
  bays: Bay,
  boxes: Enclosure,
  pastBays: z.strictObject({ bay: z.uuid(), ...PastBay.shape }),
  sheets: Sheet,
  sheetVersions: TakenSheetVersion,
  overrides: z.strictObject({ target: z.string(), number: z.int(), change: Override }),
  numbers: z.strictObject({ resident: z.uuid(), number: z.string() }),
  photos: z.strictObject({
    id: z.uuid(),
    hash: z.string().regex(/^[0-9a-f]{64}$/),
    width: z.int(),
    height: z.int(),
    by: z.uuid(),
    at: z.iso.datetime(),
  }),
  changes: Change,
  /** Those of one subject follow on each other, in the order in which they happened. */
  entries: TakenEntry,
}
export type LinesOf = keyof typeof LINES
export type Line<K extends LinesOf> = z.infer<(typeof LINES)[K]>

/** A picture, under the name of what is in it. */
export function photoFile(hash: string, size: PhotoSize): string {
  return `photos/${hash}.${size}.webp`
}

export const HOUSE_FILE = 'house.json'

export function fileOf(lines: LinesOf): string {
  return `lines/${lines}.jsonl`
}

/** JSON Schema of every file, for anyone who reads it without us. */
export function schemaText(): string {
  const names = Object.keys(LINES) as LinesOf[]
  const schemas: [string, object][] = names.map((name) => [
    fileOf(name),
    z.toJSONSchema(LINES[name], { io: 'input', unrepresentable: 'any' }),
  ])
  return JSON.stringify(Object.fromEntries([[HOUSE_FILE, z.toJSONSchema(TakenHouse)], ...schemas]), null, 2)
}
