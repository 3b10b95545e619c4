import * as z from 'zod/mini'

/** A winter rest as a sheet allows it: who may rest, how it is led into and out of it, and what ends it. */
export const Rest = z.strictObject({
  /** Days without food before it is cooled: what is left in the gut rots in the cold. */
  fastDays: z.int().check(z.nonnegative()),
  /** Lighter ones do not rest. */
  leastGrams: z.optional(z.number().check(z.positive())),
  /** Days since it arrived before which nobody knows it well enough. */
  settledDays: z._default(z.int().check(z.nonnegative()), 60),
  /** The last weighing may be so old when it begins, and while it rests. */
  weighedWithin: z._default(z.int().check(z.positive()), 10),
  /** Share of the weight at the start whose loss ends the rest. */
  stopAtLoss: z.optional(z.number().check(z.positive(), z.maximum(0.2))),
  /** It is woken when it passes water: what it had stored is gone. */
  stopAtUrine: z._default(z.boolean(), false),
  /** How it is woken, step by step. */
  wake: z.array(z.string().check(z.minLength(1))).check(z.minLength(1)),
})
export type Rest = z.infer<typeof Rest>
