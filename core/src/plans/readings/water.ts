import * as z from 'zod/mini'
import type { Quantity } from '../../facts/readings/quantity.ts'

/** What is wanted of a quantity in water, and what harms. */
export const WaterLimit = z.strictObject({
  want: z.tuple([z.number().check(z.nonnegative()), z.number().check(z.nonnegative())]),
  harmAbove: z.optional(z.number().check(z.nonnegative())),
  harmBelow: z.optional(z.number().check(z.nonnegative())),
})
export type WaterLimit = z.infer<typeof WaterLimit>

/** What is read of water. */
export const WATER_QUANTITIES = [
  'ammonia',
  'nitrite',
  'nitrate',
  'ph',
  'chlorine',
] as const satisfies readonly Quantity[]

/** The water of animals that live in it, mg/l and pH. */
export const Water = z.partialRecord(z.enum(WATER_QUANTITIES), WaterLimit)
export type Water = z.infer<typeof Water>
