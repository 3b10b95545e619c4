import * as z from 'zod/mini'

/** How far a single weighing may be from the truth. */
export const Weighing = z.strictObject({
  /** Standard deviation of ln grams of one weighing: gut fill and scale. */
  r: z.number().check(z.positive()),
  /** Wandering of the growth rate, per day³ in ln grams squared. */
  q: z.number().check(z.nonnegative()),
})
export type Weighing = z.infer<typeof Weighing>
