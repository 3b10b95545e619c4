import * as z from 'zod/mini'
import { Mark } from '../subjects/mark.ts'

/** Fewer were found than were expected. */
export const Shortfall = z.strictObject({ ...Mark.shape, expected: z.number(), found: z.number() })
export type Shortfall = z.infer<typeof Shortfall>

/** The animals of a colony as last counted, and who is missing. */
export const CountState = z.strictObject({
  last: z.nullable(z.strictObject({ day: z.number(), count: z.number() })),
  /** Missing and not accounted for, over all shortfalls. */
  missing: z.number(),
  /** The shortfalls behind it, oldest first, the last few of them. */
  shortfalls: z.array(Shortfall),
})
export type CountState = z.infer<typeof CountState>

export function nothingCounted(): CountState {
  return { last: null, missing: 0, shortfalls: [] }
}
