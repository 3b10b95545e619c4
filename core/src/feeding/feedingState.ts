import * as z from 'zod/mini'
import { Mark } from '../subjects/mark.ts'

const day = z.number()

export const FeedOutcome = z.enum(['taken', 'part', 'refused', 'left', 'notOffered'])
export type FeedOutcome = z.infer<typeof FeedOutcome>

/** One offer of food under one duty. */
export const Offer = z.strictObject({
  ...Mark.shape,
  item: z.string(),
  size: z.optional(z.string()),
  count: z.optional(z.number()),
  grams: z.optional(z.number()),
  outcome: FeedOutcome,
  why: z.optional(z.string()),
})
export type Offer = z.infer<typeof Offer>

/** An offer that counts as a meal: taken, part taken, or left and not found again. */
export const Meal = z.strictObject({ ...Mark.shape, grams: z.optional(z.number()) })
export type Meal = z.infer<typeof Meal>

/** A portion that follows its leftovers. */
export const Portion = z.strictObject({
  grams: z.number(),
  /** Portions of this size in a row that were cleared. */
  cleared: z.number(),
  leftFraction: z.nullable(z.number()),
})
export type Portion = z.infer<typeof Portion>

/** What is believed about one feeding duty. */
export const FeedLine = z.strictObject({
  /** The last meals, oldest first: what is digested, and what to fall back on when a meal left in place
   * turns out uneaten. */
  lately: z.array(Meal),
  lastOffer: z.nullable(Offer),
  /** Refusals since the last meal. */
  refusals: z.number(),
  /** The day of the first of them. */
  refusedFrom: z.optional(day),
  /** What stood before a meal was left to find: if it is found uneaten, the row goes on. */
  undecided: z.optional(z.strictObject({ refusals: z.number(), refusedFrom: z.optional(day) })),
  meals: z.number(),
  portion: z.nullable(Portion),
})
export type FeedLine = z.infer<typeof FeedLine>

/** How one food has gone down with this resident. */
export const ItemHistory = z.strictObject({
  /** Days of the offers of the last week of offering, oldest first. */
  days: z.array(day),
  taken: z.number(),
  refusedInRow: z.number(),
})
export type ItemHistory = z.infer<typeof ItemHistory>

/** How a resident usually takes what it is offered, when nothing keeps it from eating: of how many offers how many
 * were taken, those of long ago counting less. */
export const FeedingHabit = z.strictObject({ offers: z.number(), taken: z.number() })
export type FeedingHabit = z.infer<typeof FeedingHabit>

export const FeedingState = z.strictObject({
  /** By feeding duty. */
  lines: z.record(z.string(), FeedLine),
  /** Meals of the last day with a meal: two people may both have fed. */
  today: z.array(z.strictObject({ ...Mark.shape, duty: z.string() })),
  items: z.record(z.string(), ItemHistory),
  habit: z.optional(FeedingHabit),
  /** When each supplement was last given, and how many meals there had been by then. */
  supplements: z.record(z.string(), z.strictObject({ day, meals: z.number() })),
  /** How the bowl of a feeding duty was last found. */
  bowls: z.record(
    z.string(),
    z.strictObject({ day, found: z.enum(['empty', 'leftovers', 'full']), refilled: z.boolean() }),
  ),
})
export type FeedingState = z.infer<typeof FeedingState>

export function nothingFed(): FeedingState {
  return { lines: {}, today: [], items: {}, supplements: {}, bowls: {} }
}

/** Meals over all feeding duties. */
export function mealsIn({ lines }: Pick<FeedingState, 'lines'>): number {
  return Object.values(lines).reduce((sum, { meals }) => sum + meals, 0)
}

/** The day of the last meal over all feeding duties; null before the first. */
export function lastMealDay({ lines }: Pick<FeedingState, 'lines'>): number | null {
  const days = Object.values(lines).flatMap((line) => lastMealIn(line)?.day ?? [])
  return days.length > 0 ? Math.max(...days) : null
}

export function lastMealIn(line: FeedLine | undefined): Meal | null {
  return line?.lately.at(-1) ?? null
}
