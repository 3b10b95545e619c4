import * as z from 'zod/mini'
import { Barrier } from '../places/place.ts'
import { word } from '../subjects/values.ts'
import { Day } from '../../basics/time/day.ts'

/** 'male', 'female', or not known. */
export const Sex = z.enum(['male', 'female', 'unknown'])
export type Sex = z.infer<typeof Sex>

/** How exactly a day is known that is not known to the day: it is the middle of that month, season or year. */
export const KnownTo = z.enum(['month', 'season', 'year'])
export type KnownTo = z.infer<typeof KnownTo>

/** Who a resident is, besides what happens to it: one animal or one colony. */
export const Register = z.strictObject({
  name: word(80),
  /** The number it had before it was put on record here; without one it is given the next. */
  number: z.optional(word(20)),
  sheet: word(60),
  stage: word(40),
  /** Animals in a colony as it was put on record; null for one animal, or where nobody counted. */
  count: z.nullable(z.int().check(z.positive(), z.maximum(1_000_000))),
  countAbout: z.optional(z.literal(true)).check(z.describe('About so many: nobody counted to the last.')),
  colony: z
    .optional(z.boolean())
    .check(z.describe('Whether it is a colony; without a number, one that nobody has counted.')),
  sex: Sex,
  sexUnsure: z.optional(z.literal(true)).check(z.describe('Its sex is what somebody takes it for.')),
  hatchedOn: z.nullable(Day),
  /** How sure that day is, where it is not known to the day; and whether it is the day it was laid. */
  hatchedTo: z.optional(KnownTo),
  laid: z.optional(z.literal(true)),
  /** Set when the resident is stricter than its place, a sick animal for one. */
  barrier: z.nullable(Barrier),
  /** Schools chosen for it alone, option by question. */
  schools: z.record(word(60), word(60)),
})
export type Register = z.infer<typeof Register>
