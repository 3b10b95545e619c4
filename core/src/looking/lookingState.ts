import * as z from 'zod/mini'
import { Mark } from '../subjects/mark.ts'

export const LookingState = z.strictObject({
  seenOn: z.nullable(z.number()),
  /** Looks since then that did not find it. */
  searches: z.number(),
  /** The last that died in its box. */
  companionDied: z.optional(z.strictObject({ ...Mark.shape, companion: z.string() })),
})
export type LookingState = z.infer<typeof LookingState>

export function nothingSeen(): LookingState {
  return { seenOn: null, searches: 0 }
}
