import { z } from 'zod'

export const LookingState = z.strictObject({
  seenOn: z.number().nullable(),
  /** Looks since then that did not find it. */
  searches: z.number(),
})
export type LookingState = z.infer<typeof LookingState>

export function nothingSeen(): LookingState {
  return { seenOn: null, searches: 0 }
}
