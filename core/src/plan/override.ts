import { z } from 'zod'
import { ZoneTarget } from '../sheet/climate.ts'
import { Housing, Light } from '../sheet/housing.ts'
import { DutyPatch } from './duty.ts'
import { Day } from '../time/day.ts'

/** A change to a plan that somebody signed: to a duty, a zone, the housing or the light. */
export const Override = z
  .strictObject({
    patch: DutyPatch.optional(),
    target: ZoneTarget.optional(),
    housing: Housing.partial().optional(),
    light: Light.partial().optional(),
    by: z.string(),
    on: Day,
    /** When it was signed, UTC: tells two of one day apart. */
    at: z.string().optional(),
    until: Day.optional(),
    reason: z.string().trim().min(1),
  })
  .refine(
    ({ patch, target, housing, light }) => [patch, target, housing, light].some((part) => part !== undefined),
    'a change has to change something',
  )
export type Override = z.infer<typeof Override>
