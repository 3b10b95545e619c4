import * as z from 'zod/mini'
import { ZoneTarget } from '../sheet/climate.ts'
import { Housing, Light } from '../sheet/housing.ts'
import { DutyPatch } from './duty.ts'
import { Day } from '../../basics/time/day.ts'

/** A change to a plan that somebody signed: to a duty, a zone, the housing or the light. */
export const Override = z
  .strictObject({
    patch: z.optional(DutyPatch),
    target: z.optional(ZoneTarget),
    housing: z.optional(z.partial(Housing)),
    light: z.optional(z.partial(Light)),
    by: z.string(),
    on: Day,
    /** When it was signed, UTC: tells two of one day apart. */
    at: z.optional(z.string()),
    until: z.optional(Day),
    reason: z.string().check(z.trim(), z.minLength(1)),
  })
  .check(
    z.refine(
      ({ patch, target, housing, light }) =>
        [patch, target, housing, light].some((part) => part !== undefined),
      'a change has to change something',
    ),
  )
export type Override = z.infer<typeof Override>

/** Whether a change has begun on a day and has not run out. */
export function isInForce({ on, until }: Pick<Override, 'on' | 'until'>, day: Day): boolean {
  return on <= day && (until === undefined || until >= day)
}

/** Those in force on a day, the earliest first, whatever order they came in; two signed at one moment stand in an
 * order of their own. Of two about one thing the last holds. */
export function inForceOn(overrides: readonly Override[], day: Day): Override[] {
  return overrides
    .filter((override) => isInForce(override, day))
    .map((override) => ({ override, text: `${override.at ?? ''} ${JSON.stringify(override)}` }))
    .sort((a, b) => a.override.on - b.override.on || (a.text < b.text ? -1 : 1))
    .map(({ override }) => override)
}
