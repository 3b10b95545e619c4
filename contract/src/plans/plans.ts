import { Day, DutyPatch, Housing, Light, Override, ZoneTarget } from '@kobrin/core'
import { z } from 'zod'

const reason = z.string().trim().min(1).max(400)
const word = z.string().min(1).max(60)

/** What was done about a member of staff. */
export const PersonChange = z.enum(['added', 'kept', 'left', 'returned', 'code', 'passphrase', 'pin'])
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
    fields: z.array(z.string()).nullable(),
  }),
  z.strictObject({ kind: z.literal('enclosure'), enclosure: z.uuid() }),
  z.strictObject({ kind: z.literal('room'), room: z.uuid(), name: z.string(), what: PlaceChange }),
  z.strictObject({ kind: z.literal('bay'), bay: z.uuid(), name: z.string(), what: PlaceChange }),
  z.strictObject({ kind: z.literal('setUp'), name: z.string() }),
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
  by: z.uuid().nullable(),
  what: ChangeWhat,
  reason: z.string(),
})
export type Change = z.infer<typeof Change>

/** A school chosen for everyone on a sheet. */
export const ChooseSchool = z.strictObject({ sheet: word, school: word, option: word, reason })
export type ChooseSchool = z.infer<typeof ChooseSchool>

/** A signed change to the plan of everyone on a sheet, or of one resident. */
export const SignOverride = z.strictObject({
  patch: DutyPatch.optional(),
  target: ZoneTarget.optional(),
  housing: Housing.partial().optional(),
  light: Light.partial().optional(),
  /** Last day it holds. */
  until: Day.optional(),
  sheet: word.optional(),
  resident: z.uuid().optional(),
  reason,
})
export type SignOverride = z.infer<typeof SignOverride>

export const EndOverride = z.strictObject({ target: z.string().max(60), number: z.int().min(0), reason })
export type EndOverride = z.infer<typeof EndOverride>
