import { z } from 'zod'
import { EcdysisStage, FeedOutcome, Severity, SkinLeft } from '../entries/entry.ts'
import { HoldKind } from '../holds/holdKind.ts'

const day = z.number()

/** Who did something, and when. */
export const Mark = z.strictObject({ day, at: z.string(), by: z.string(), uid: z.string() })
export type Mark = z.infer<typeof Mark>

/** One offer of food under one duty. */
export const Offer = z.strictObject({
  ...Mark.shape,
  item: z.string(),
  size: z.string().optional(),
  count: z.number().optional(),
  grams: z.number().optional(),
  outcome: FeedOutcome,
  why: z.string().optional(),
})
export type Offer = z.infer<typeof Offer>

/** A portion that follows its leftovers. */
export const Portion = z.strictObject({
  grams: z.number(),
  /** Portions of this size in a row that were cleared. */
  cleared: z.number(),
  leftFraction: z.number().nullable(),
})
export type Portion = z.infer<typeof Portion>

/** What is believed about one feeding duty. */
export const FeedLine = z.strictObject({
  /** The last offer that counts as a meal: taken, part taken, or left and not found again. */
  lastMeal: Mark.nullable(),
  /** The meal before that, to fall back on when a meal left in place turns out uneaten. */
  mealBefore: Mark.nullable(),
  lastOffer: Offer.nullable(),
  /** Refusals since the last meal. */
  refusals: z.number(),
  meals: z.number(),
  portion: Portion.nullable(),
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

export const WeightReading = z.strictObject({
  day,
  grams: z.number(),
  uid: z.string(),
  confirmed: z.boolean().optional(),
})
export type WeightReading = z.infer<typeof WeightReading>

export const PersonHold = z.strictObject({
  since: day,
  until: day.nullable(),
  reason: z.string(),
  by: z.string(),
  uid: z.string(),
})
export type PersonHold = z.infer<typeof PersonHold>

/** Old floor put aside for what may hide in it. */
export const KeptFloor = z.strictObject({
  ...Mark.shape,
  place: z.string(),
  lastLook: Mark.nullable(),
  /** The last day on which something alive was found in it. */
  foundOn: day.optional(),
})
export type KeptFloor = z.infer<typeof KeptFloor>

/** The fold of a resident's entries. */
export const ResidentState = z.strictObject({
  cursor: z.strictObject({ at: z.string(), uid: z.string() }).nullable(),
  facts: z.number(),
  arrivedOn: day.nullable(),
  place: z.strictObject({ enclosure: z.string(), since: day }).nullable(),
  /** Last done, by duty. */
  done: z.record(z.string(), Mark),
  feeds: z.record(z.string(), FeedLine),
  /** Offers of the last day of offering: two people may both have fed. */
  fedToday: z.array(z.strictObject({ ...Mark.shape, duty: z.string() })),
  items: z.record(z.string(), ItemHistory),
  supplements: z.record(z.string(), z.strictObject({ day, meals: z.number() })),
  /** Meals over all feeding duties. */
  meals: z.number(),
  /** How the bowl of a feeding duty was last found. */
  bowls: z.record(
    z.string(),
    z.strictObject({ day, found: z.enum(['empty', 'leftovers', 'full']), refilled: z.boolean() }),
  ),
  weights: z.array(WeightReading),
  sizes: z.record(z.string(), z.strictObject({ day, mm: z.number() })),
  ecdysis: z.strictObject({ ...Mark.shape, stage: EcdysisStage, since: day }).nullable(),
  /** Days on which the skin came off, oldest first. */
  sheds: z.array(day),
  retained: z.array(SkinLeft),
  seenOn: day.nullable(),
  searches: z.number(),
  holds: z.partialRecord(HoldKind, PersonHold),
  observations: z.array(z.strictObject({ ...Mark.shape, text: z.string(), severity: Severity })),
  note: z.strictObject({ ...Mark.shape, text: z.string() }).nullable(),
  // Absent until the first of its kind: most residents never have one.
  expectedOn: day.optional(),
  count: z.strictObject({ day, count: z.number() }).optional(),
  unaccounted: z.strictObject({ ...Mark.shape, expected: z.number(), found: z.number() }).optional(),
  /** Places it left that wait to be cleaned or emptied. */
  vacated: z
    .array(z.strictObject({ ...Mark.shape, enclosure: z.string(), leaves: z.enum(['toClean', 'toHold']) }))
    .optional(),
  floors: z.array(KeptFloor).optional(),
  condition: z.strictObject({ ...Mark.shape, score: z.number() }).optional(),
})
export type ResidentState = z.infer<typeof ResidentState>
