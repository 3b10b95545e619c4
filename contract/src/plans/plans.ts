import { Day, DutyPatch, Housing, Light, Override, ZoneTarget } from '@kobrin/core'
import * as z from 'zod/mini'

const reason = z.string().check(z.trim(), z.minLength(1), z.maxLength(400))
const word = z.string().check(z.minLength(1), z.maxLength(60))

/** What was done about a member of staff. */
export const PersonChange = z.enum([
  'added',
  'kept',
  'left',
  'returned',
  'code',
  'passphrase',
  'pin',
  'units',
])
export type PersonChange = z.infer<typeof PersonChange>

/** What was done about a room or a bay. */
export const PlaceChange = z.enum(['added', 'kept', 'put', 'dropped'])
export type PlaceChange = z.infer<typeof PlaceChange>

/** What changed, in codes: the sentence is made where it is read. */
export const ChangeWhat = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('school'), sheet: z.string(), school: z.string(), option: z.string() }),
  z.strictObject({ kind: z.literal('override'), target: z.string(), change: Override }),
  z.strictObject({ kind: z.literal('ended'), target: z.string(), change: Override }),
  /** A new version with the fields that differ from the one before; none of a new sheet. */
  z.strictObject({
    kind: z.literal('sheet'),
    sheet: z.string(),
    version: z.int(),
    fields: z.nullable(z.array(z.string())),
  }),
  z.strictObject({ kind: z.literal('enclosure'), enclosure: z.uuid() }),
  z.strictObject({ kind: z.literal('room'), room: z.uuid(), name: z.string(), what: PlaceChange }),
  z.strictObject({ kind: z.literal('bay'), bay: z.uuid(), name: z.string(), what: PlaceChange }),
  z.strictObject({ kind: z.literal('setUp'), name: z.string() }),
  z.strictObject({ kind: z.literal('house'), name: z.string() }),
  /** A list was brought in. */
  z.strictObject({
    kind: z.literal('broughtIn'),
    file: z.string(),
    facts: z.int(),
    /** It was taken back. */
    back: z.optional(z.literal(true)),
  }),
  z.strictObject({ kind: z.literal('person'), person: z.uuid(), what: PersonChange }),
])
export type ChangeWhat = z.infer<typeof ChangeWhat>

/** Something that changed plans or places: who, when, what, why. The day's handover lists them. */
export const Change = z.strictObject({
  stream: z.int(),
  seq: z.int(),
  at: z.string(),
  day: z.int(),
  /** Null for what came with a new version of the shipped library. */
  by: z.nullable(z.uuid()),
  what: ChangeWhat,
  reason: z.string(),
})
export type Change = z.infer<typeof Change>

/** A school chosen for everyone on a sheet. */
export const ChooseSchool = z.strictObject({ sheet: word, school: word, option: word, reason })
export type ChooseSchool = z.infer<typeof ChooseSchool>

/** A signed change to the plan of everyone on a sheet, or of one resident. */
export const SignOverride = z.strictObject({
  patch: z.optional(DutyPatch),
  target: z.optional(ZoneTarget),
  housing: z.optional(z.partial(Housing)),
  light: z.optional(z.partial(Light)),
  /** Last day it holds. */
  until: z.optional(Day),
  sheet: z.optional(word),
  resident: z.optional(z.uuid()),
  reason,
})
export type SignOverride = z.infer<typeof SignOverride>

export const EndOverride = z.strictObject({
  target: z.string().check(z.maxLength(60)),
  number: z.int().check(z.minimum(0)),
  reason,
})
export type EndOverride = z.infer<typeof EndOverride>
