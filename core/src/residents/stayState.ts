import { z } from 'zod'
import { Mark } from '../subjects/mark.ts'

const day = z.number()

/** Where a resident is, since when, and how its stay ended. */
export const StayState = z.strictObject({
  /** Set while it is expected and not here yet. */
  expectedOn: day.nullable(),
  arrivedOn: day.nullable(),
  place: z.strictObject({ enclosure: z.string(), since: day, at: z.string() }).nullable(),
  ended: z.strictObject({ ...Mark.shape, how: z.enum(['died', 'left']) }).nullable(),
})
export type StayState = z.infer<typeof StayState>

export function nowhere(): StayState {
  return { expectedOn: null, arrivedOn: null, place: null, ended: null }
}
