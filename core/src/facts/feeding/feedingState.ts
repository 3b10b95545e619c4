import * as z from 'zod/mini'
import { Mark } from '../subjects/mark.ts'

const day = z.number()

export const FeedOutcome = z.enum(['taken', 'part', 'refused', 'left', 'notOffered'])
export type FeedOutcome = z.infer<typeof FeedOutcome>

/** What was found later of an offer that lay there: the share of it that was left, 0 to 1. */
export const Leftover = z.strictObject({ ...Mark.shape, left: z.number() })
export type Leftover = z.infer<typeof Leftover>

/** One offer of food under one duty, as it was made, with what was found of it afterwards. */
export const Offer = z.strictObject({
  ...Mark.shape,
  item: z.string(),
  size: z.optional(z.string()),
  count: z.optional(z.number()),
  grams: z.optional(z.number()),
  supplements: z.optional(z.array(z.string())),
  outcome: FeedOutcome,
  why: z.optional(z.string()),
  found: z.optional(Leftover),
  /** Something kept it from eating whatever its appetite: a refusal then says nothing of its habit. */
  apart: z.optional(z.literal(true)),
})
export type Offer = z.infer<typeof Offer>

/** How one food has gone down. */
export const ItemHistory = z.strictObject({
  taken: z.number(),
  refusedInRow: z.number(),
  /** The day it was offered last. */
  lastDay: day,
})
export type ItemHistory = z.infer<typeof ItemHistory>

/** How offers are usually taken when nothing keeps the animal from eating: of how many how many were, those of long
 * ago counting less. */
export const FeedingHabit = z.strictObject({ offers: z.number(), taken: z.number() })
export type FeedingHabit = z.infer<typeof FeedingHabit>

/** Refusals in a row, the day of the first of them, and the habit as it was before them. */
export const RefusalRow = z.strictObject({ refusals: z.number(), from: day, before: FeedingHabit })
export type RefusalRow = z.infer<typeof RefusalRow>

export const Meal = z.strictObject({ ...Mark.shape, grams: z.optional(z.number()) })
export type Meal = z.infer<typeof Meal>

/** What some offers add up to. */
export const OfferSum = z.strictObject({
  meals: z.number(),
  lastMeal: z.nullable(Meal),
  row: z.nullable(RefusalRow),
  habit: FeedingHabit,
  items: z.record(z.string(), ItemHistory),
  /** When each supplement was last eaten, and how many meals of this duty there had been by then. */
  supplements: z.record(z.string(), z.strictObject({ day, at: z.string(), meals: z.number() })),
})
export type OfferSum = z.infer<typeof OfferSum>

/** What is known of one feeding duty: its last offers, oldest first, and what those before them add up to. All that
 * is believed of it is derived from them. */
export const FeedLine = z.strictObject({ before: OfferSum, offers: z.array(Offer) })
export type FeedLine = z.infer<typeof FeedLine>

export const FeedingState = z.strictObject({
  /** By feeding duty. */
  lines: z.record(z.string(), FeedLine),
  /** How the bowl of a feeding duty was last found. */
  bowls: z.record(
    z.string(),
    z.strictObject({ ...Mark.shape, found: z.enum(['empty', 'leftovers', 'full']), refilled: z.boolean() }),
  ),
})
export type FeedingState = z.infer<typeof FeedingState>

export function nothingFed(): FeedingState {
  return { lines: {}, bowls: {} }
}
