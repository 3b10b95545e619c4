import { z } from 'zod'
import { SchoolPatch } from '../plan/duty.ts'
import { Rest } from '../rest/rest.ts'
import { Season } from '../time/season.ts'
import { Needs } from '../plan/needs.ts'
import { ZoneTarget } from './climate.ts'
import { Housing, Light } from './housing.ts'

/** One side of a question on which keepers disagree, and what it changes. */
export const SchoolOption = z.strictObject({
  id: z.string().min(1),
  name: z.string().min(1),
  reason: z.string().min(1),
  /** The stages it is about; all of them when not given. */
  stages: z.array(z.string()).optional(),
  /** The time of the year outside of which it is not there. */
  season: Season.optional(),
  needs: Needs.optional(),
  duties: z.array(SchoolPatch).default([]),
  targets: z.array(ZoneTarget).default([]),
  housing: Housing.partial().optional(),
  light: Light.partial().optional(),
  /** A winter rest, and what it takes. */
  rest: Rest.optional(),
})
export type SchoolOption = z.infer<typeof SchoolOption>

/** A question on which keepers disagree, with every side's reason. */
export const School = z.strictObject({
  id: z.string().min(1),
  question: z.string().min(1),
  default: z.string(),
  /** Why that side is the one shipped. */
  why: z.string().min(1).optional(),
  options: z.array(SchoolOption).min(2),
})
export type School = z.infer<typeof School>
