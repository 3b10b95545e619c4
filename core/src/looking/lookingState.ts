import * as z from 'zod/mini'

export const LookingState = z.strictObject({
  seenOn: z.nullable(z.number()),
  /** Looks since then that did not find it. */
  searches: z.number(),
})
export type LookingState = z.infer<typeof LookingState>

export function nothingSeen(): LookingState {
  return { seenOn: null, searches: 0 }
}
