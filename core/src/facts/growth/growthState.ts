import * as z from 'zod/mini'

const day = z.number()

export const BodyPart = z.enum([
  'length',
  'girth',
  'headWidth',
  'eyeGap',
  'legSpan',
  'carapaceLength',
  'abdomenLength',
  'abdomenWidth',
  'shellDiameter',
  'whipLength',
])
export type BodyPart = z.infer<typeof BodyPart>

/** What was on the balance besides the animal itself, or had just come off it. */
export const WeightContext = z.enum(['fullGut', 'gravid', 'justShed'])
export type WeightContext = z.infer<typeof WeightContext>

export const WeightReading = z.strictObject({
  day,
  grams: z.number(),
  uid: z.string(),
  confirmed: z.optional(z.boolean()),
  /** Kept, and not believed. */
  doubted: z.optional(z.boolean()),
  context: z.optional(z.array(WeightContext)),
  /** Estimated, or written down with a "~". */
  about: z.optional(z.boolean()),
})
export type WeightReading = z.infer<typeof WeightReading>

type Weighed = Pick<WeightReading, 'grams' | 'confirmed' | 'doubted' | 'context' | 'about'>

/** A weighing as it is judged. */
export function weightReading({
  day,
  uid,
  payload: { grams, confirmed, doubted, context, about },
}: Pick<WeightReading, 'day' | 'uid'> & { payload: Weighed }): WeightReading {
  return {
    day,
    grams,
    uid,
    ...(confirmed && { confirmed }),
    ...(doubted && { doubted }),
    ...(context && { context }),
    ...(about && { about }),
  }
}

export const GrowthState = z.strictObject({
  /** The last weighings of this stay, oldest first. */
  weights: z.array(WeightReading),
  /** Those of earlier stays. */
  earlier: z.optional(z.array(WeightReading)),
  /** Last measured, by part of the body, and on the day before that. */
  sizes: z.record(
    z.string(),
    z.strictObject({ day, mm: z.number(), before: z.optional(z.strictObject({ day, mm: z.number() })) }),
  ),
})
export type GrowthState = z.infer<typeof GrowthState>

export function nothingMeasured(): GrowthState {
  return { weights: [], sizes: {} }
}
