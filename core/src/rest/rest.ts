import { z } from 'zod'

/** A winter rest as a sheet allows it: who may rest, how it is led into and out of it, and what ends it. */
export const Rest = z.strictObject({
  /** Days without food before it is cooled: what is left in the gut rots in the cold. */
  fastDays: z.int().nonnegative(),
  /** Lighter ones do not rest. */
  leastGrams: z.number().positive().optional(),
  /** Days since it arrived before which nobody knows it well enough. */
  settledDays: z.int().nonnegative().default(60),
  /** The last weighing may be so old when it begins, and while it rests. */
  weighedWithin: z.int().positive().default(10),
  /** Share of the weight at the start whose loss ends the rest. */
  stopAtLoss: z.number().positive().max(0.2).optional(),
  /** It is woken when it passes water: what it had stored is gone. */
  stopAtUrine: z.boolean().default(false),
  /** How it is woken, step by step. */
  wake: z.array(z.string().min(1)).min(1),
})
export type Rest = z.infer<typeof Rest>
