import { z } from 'zod'

export const SightState = z.strictObject({
  seenOn: z.number().nullable(),
  /** Looks since then that did not find it. */
  searches: z.number(),
})
export type SightState = z.infer<typeof SightState>

export function nothingSeen(): SightState {
  return { seenOn: null, searches: 0 }
}
