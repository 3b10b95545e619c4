import * as z from 'zod/mini'
import { BodyPart } from '../../facts/growth/growthState.ts'
import { positiveRange } from '../../basics/range.ts'

/** What one animal of a stage can weigh and measure: plausible, not normal. */
export const Plausible = z.strictObject({
  grams: z.optional(positiveRange),
  mm: z.optional(z.partialRecord(BodyPart, positiveRange)),
})
export type Plausible = z.infer<typeof Plausible>

/** A bound, and whether the sheet says it or it holds for any animal of the group. */
export const Bound = z.strictObject({ range: positiveRange, of: z.enum(['sheet', 'group']) })
export type Bound = z.infer<typeof Bound>

export const Bounds = z.strictObject({
  grams: z.optional(Bound),
  mm: z._default(z.partialRecord(BodyPart, Bound), {}),
})
export type Bounds = z.infer<typeof Bounds>
