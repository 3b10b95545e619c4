import * as z from 'zod/mini'
import { SchoolPatch } from '../plan/duty.ts'
import { Rest } from '../winterRest/winterRest.ts'
import { Season } from '../../basics/time/season.ts'
import { Needs } from '../plan/needs.ts'
import { ZoneTarget } from './climate.ts'
import { Housing, Light } from './housing.ts'

/** One side of a question on which keepers disagree, and what it changes. */
export const SchoolOption = z.strictObject({
  id: z.string().check(z.minLength(1)),
  name: z.string().check(z.minLength(1)),
  reason: z.string().check(z.minLength(1)),
  /** The stages it is about; all of them when not given. */
  stages: z.optional(z.array(z.string())),
  /** The time of the year outside of which it is not there. */
  season: z.optional(Season),
  needs: z.optional(Needs),
  duties: z._default(z.array(SchoolPatch), []),
  targets: z._default(z.array(ZoneTarget), []),
  housing: z.optional(z.partial(Housing)),
  light: z.optional(z.partial(Light)),
  /** Days a newcomer is kept apart at least, where that is the question. */
  quarantineDays: z.optional(z.int().check(z.positive())),
  /** A winter rest, and what it takes. */
  rest: z.optional(Rest),
})
export type SchoolOption = z.infer<typeof SchoolOption>

/** A question on which keepers disagree, with every side's reason. */
export const School = z.strictObject({
  id: z.string().check(z.minLength(1)),
  question: z.string().check(z.minLength(1)),
  default: z.string(),
  /** Why that side is the one shipped. */
  why: z.optional(z.string().check(z.minLength(1))),
  options: z.array(SchoolOption).check(z.minLength(2)),
})
export type School = z.infer<typeof School>
