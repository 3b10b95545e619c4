import * as z from 'zod/mini'
import { Ended } from './ended.ts'

const day = z.number()

/** Where a resident is, since when, and how its stay ended. */
export const StayState = z.strictObject({
  /** Set while it is expected and not here yet. */
  expectedOn: z.nullable(day),
  arrivedOn: z.nullable(day),
  place: z.nullable(z.strictObject({ enclosure: z.string(), since: day, at: z.string() })),
  ended: z.nullable(Ended),
})
export type StayState = z.infer<typeof StayState>

export function nowhere(): StayState {
  return { expectedOn: null, arrivedOn: null, place: null, ended: null }
}
