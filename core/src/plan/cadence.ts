import { z } from 'zod'
import { Day } from '../time/day.ts'

/** How often a duty recurs. Days may be fractions where a rule says so. */
export const Cadence = z.discriminatedUnion('type', [
  z
    .strictObject({
      type: z.literal('every'),
      days: z.number().positive(),
      tolerance: z.number().nonnegative().default(0),
    })
    .describe('Every n days, floating from the day it was last done.'),
  z
    .strictObject({
      type: z.literal('weekdays'),
      on: z.array(z.int().min(1).max(7)).min(1),
      tolerance: z.number().nonnegative().default(0),
    })
    .describe('On fixed weekdays, Monday 1 to Sunday 7.'),
  z
    .strictObject({
      type: z.literal('perWeek'),
      times: z.int().min(1).max(7),
      phase: z.int().min(0).max(6).default(0),
      tolerance: z.number().nonnegative().default(0),
    })
    .describe(
      'n times in any 7 days, spread evenly; phase shifts the pattern so that not all falls on one day.',
    ),
  z
    .strictObject({
      type: z.literal('whenEmpty'),
      lookEvery: z.number().positive(),
      tolerance: z.number().nonnegative().default(0),
    })
    .describe('Look every n days and refill when the bowl is empty.'),
  z.strictObject({ type: z.literal('once'), day: Day }).describe('One time, on a day.'),
  z
    .strictObject({
      type: z.literal('after'),
      event: z.enum(['arrived', 'moved', 'shed', 'meal']),
      days: z.number().nonnegative(),
      tolerance: z.number().nonnegative().default(0),
    })
    .describe('Once, n days after the last such event.'),
])
export type Cadence = z.infer<typeof Cadence>
