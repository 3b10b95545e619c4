import * as z from 'zod/mini'
import { text, Uid, word } from '../subjects/values.ts'
import { Day } from '../../basics/time/day.ts'

/** Where it comes from, as far as anybody knows. */
export const Origin = z.enum(['bornHere', 'captive', 'wild', 'unknown'])
export type Origin = z.infer<typeof Origin>

/** A licence it may be kept under. */
export const Permit = z.strictObject({
  number: word(80),
  what: z.optional(text),
  /** Its last day; null for one without end. */
  until: z.nullable(Day),
})
export type Permit = z.infer<typeof Permit>

/** What somebody can be told by, besides its name: each word is the last one said of it. */
export const Description = z.strictObject({
  origin: z.optional(Origin),
  parents: z.optional(z.array(Uid).check(z.maxLength(8))),
  /** What it is known by: a scar, a lost leg, a ring. */
  marks: z.optional(text),
  /** The number of its chip. */
  chip: z.optional(word(40)),
  /** Without the dark of its kind, whole or in part: albino, leucistic, hypomelanistic. */
  pale: z.optional(z.boolean()),
})
export type Description = z.infer<typeof Description>

/** What is known of a resident's identity besides its line in the register. */
export const IdentityState = z.strictObject({ ...Description.shape, permits: z.array(Permit) })
export type IdentityState = z.infer<typeof IdentityState>
