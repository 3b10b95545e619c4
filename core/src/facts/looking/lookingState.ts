import * as z from 'zod/mini'
import { Mark } from '../subjects/mark.ts'

/** What speaks for somebody who is hidden, and what for somebody who is gone. */
export const Found = z.strictObject({
  /** The day it ate, drank, dug or left droppings last, unseen. */
  aliveOn: z.optional(z.number()),
  /** How often since then food was found untouched, water full, no droppings. */
  untouched: z.number(),
  full: z.number(),
  noDroppings: z.number(),
})
export type Found = z.infer<typeof Found>

export const NOTHING_FOUND: Found = { untouched: 0, full: 0, noDroppings: 0 }

export const LookingState = z.strictObject({
  seenOn: z.nullable(z.number()),
  /** Looks since then that did not find it. */
  searches: z.number(),
  /** Days from one sighting to the next, of those that were days apart: the last of them, oldest first. */
  gaps: z.optional(z.array(z.number())),
  /** What was found since it was seen last. */
  found: z.optional(Found),
  /** The last that died in its box. */
  companionDied: z.optional(z.strictObject({ ...Mark.shape, companion: z.string() })),
})
export type LookingState = z.infer<typeof LookingState>

export function nothingSeen(): LookingState {
  return { seenOn: null, searches: 0 }
}
