import * as z from 'zod/mini'
import { Day } from '../../basics/time/day.ts'

/** How often a duty recurs. Days may be fractions where a rule says so. */
export const Cadence = z.discriminatedUnion('type', [
  z
    .strictObject({
      type: z.literal('every'),
      days: z.number().check(z.positive()),
      tolerance: z._default(z.number().check(z.nonnegative()), 0),
    })
    .check(z.describe('Every n days, floating from the day it was last done.')),
  z
    .strictObject({
      type: z.literal('weekdays'),
      on: z.array(z.int().check(z.minimum(1), z.maximum(7))).check(z.minLength(1)),
      tolerance: z._default(z.number().check(z.nonnegative()), 0),
    })
    .check(z.describe('On fixed weekdays, Monday 1 to Sunday 7.')),
  z
    .strictObject({
      type: z.literal('perWeek'),
      times: z.int().check(z.minimum(1), z.maximum(7)),
      phase: z._default(z.int().check(z.minimum(0), z.maximum(6)), 0),
      tolerance: z._default(z.number().check(z.nonnegative()), 0),
    })
    .check(
      z.describe(
        'n times in any 7 days, spread evenly; phase shifts the pattern so that not all falls on one day.',
      ),
    ),
  z
    .strictObject({
      type: z.literal('whenEmpty'),
      lookEvery: z.number().check(z.positive()),
      tolerance: z._default(z.number().check(z.nonnegative()), 0),
    })
    .check(z.describe('Look every n days and refill when the bowl is empty.')),
  z.strictObject({ type: z.literal('once'), day: Day }).check(z.describe('One time, on a day.')),
  z
    .strictObject({
      type: z.literal('after'),
      event: z.enum(['arrived', 'moved', 'shed', 'meal']),
      days: z.number().check(z.nonnegative()),
      tolerance: z._default(z.number().check(z.nonnegative()), 0),
    })
    .check(z.describe('Once, n days after the last such event.')),
])
export type Cadence = z.infer<typeof Cadence>
